package pixeron.image;

import pixeron.number.Value;

/** How the samples of an image are kept. Arrays are never shared with the outside. */
sealed interface Samples permits ByteSamples, WordSamples, OpenSamples {

    Value value(int offset);

    double asDouble(int offset);

    /** Returns a copy with a level at some places; only for samples that are levels. */
    Samples with(int[] offsets, int level);
}

package pixeron.exercise;

import pixeron.image.Result;

/** The image that an exercise begins with. */
public sealed interface GivenImage {

    /**
     * One that is made for each variant.
     *
     * @param line of a new image, such as {@code uniform-noise rows=5 columns=5 maximum=7 seed={s}}
     */
    record Made(String line) implements GivenImage {
    }

    /** The same for all variants. */
    record Samples(Result image) implements GivenImage {
    }
}

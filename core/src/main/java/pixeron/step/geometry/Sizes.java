package pixeron.step.geometry;

import pixeron.PixeronException;
import pixeron.image.Frame;
import pixeron.step.Inputs;
import pixeron.step.key.NumberParameter;

/** Sizes of results: asked before anything is made. */
public final class Sizes {

    private Sizes() {
    }

    /**
     * Returns the frame of a result, with the maximum level of what the step is applied to.
     *
     * @throws PixeronException if it would have more pixels than there may be
     */
    public static Frame frame(long rows, long columns, Inputs inputs) {
        if (rows > Integer.MAX_VALUE || columns > Integer.MAX_VALUE || rows * columns > Math.min(inputs.mostPixels(), Integer.MAX_VALUE)) {
            throw PixeronException.of("The result would have %d × %d pixels. At most %d are possible.", rows, columns, inputs.mostPixels());
        }
        return inputs.before().frame().sized((int) rows, (int) columns);
    }

    /** Returns a key that is a whole number, 0 where it is omitted. */
    static NumberParameter count(String key, String title, int least) {
        return NumberParameter.optional(key, title, least).only(n -> n.isInt() && n.toInt() >= least, "a whole number of at least " + least);
    }
}

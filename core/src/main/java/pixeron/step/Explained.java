package pixeron.step;

import pixeron.image.Frame;
import pixeron.image.Pixel;
import pixeron.number.Value;
import pixeron.working.LoopWriter;
import pixeron.working.Working;

/**
 * Values that can be calculated pixel by pixel, so that values by hand can be held against them: a step bound to its
 * input, or gray made of a color picture. {@code value(pixel)} equals {@code explain(pixel).result()}.
 */
public interface Explained {

    /** Returns size and maximum level of all values together; they need not be those of what it is made of. */
    Frame frame();

    /** Returns whether there is a value at this place. */
    default boolean contains(Pixel pixel) {
        return frame().contains(pixel);
    }

    /** Returns the value before rounding and overflow; outside the area of a step the sample itself. */
    Value exact(Pixel pixel);

    /** Returns the value that is written. */
    Value value(Pixel pixel);

    /** Returns the arithmetic that leads to {@link #value}, line by line. */
    Working explain(Pixel pixel);

    /**
     * Goes through the loop that leads to {@link #value}.
     *
     * @param out gets each line as it is done
     */
    void follow(Pixel pixel, LoopWriter out);
}

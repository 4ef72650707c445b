package pixeron.step;

import pixeron.image.Pixel;
import pixeron.number.Value;
import pixeron.working.LoopWriter;
import pixeron.working.Working;

/**
 * Values that can be worked out pixel by pixel, so that values by hand can be held against them: a step bound to its
 * input, or gray made of a colour picture. {@code value(pixel)} equals {@code explain(pixel).result()}.
 */
public interface Explained {

    /** @return whether there is a value at this place; what is worked out may be smaller than what it is made of */
    default boolean contains(Pixel pixel) {
        return true;
    }

    /** @return the value before rounding and overflow; outside the area of a step the sample itself */
    Value exact(Pixel pixel);

    /** @return the value that is written */
    Value value(Pixel pixel);

    /** @return the arithmetic that leads to {@link #value}, line by line */
    Working explain(Pixel pixel);

    /**
     * Goes through the loop that leads to {@link #value}.
     *
     * @param out gets each line as it is done
     */
    void follow(Pixel pixel, LoopWriter out);
}

package pixeron.step;

import java.util.List;
import pixeron.image.Pixel;
import pixeron.working.Line;

/**
 * Where the pixels of the image before would be put by a user who goes through them one after the other, instead of going through
 * the result and reading backwards: several may meet in one place, and others are left out.
 */
public interface Forward {

    /** Returns the place of a pixel of the image before in the result; it may lie outside. */
    Pixel put(Pixel before);

    /** Returns how i and j follow from y and x, for a loop. */
    List<String> formulas();

    /** Returns the calculation of both for a pixel of the image before. */
    List<Line> work(Pixel before);
}

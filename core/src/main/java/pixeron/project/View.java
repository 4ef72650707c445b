package pixeron.project;

import pixeron.image.Pixel;

/**
 * Where a person was when the project was saved.
 *
 * @param position position of the selected step from 0; −1 for the image itself
 * @param picked the picked pixel
 */
public record View(int position, Pixel picked) {

    /** The first step, if there is one, and the first pixel. */
    public static final View START = new View(0, new Pixel(0, 0));
}

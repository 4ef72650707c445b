package pixeron.app.sheet;

import pixeron.image.Pixel;

/** What a drag on a sheet does other than move the image: it begins at a pixel, goes on, and ends. */
public interface Drag {

    /**
     * Continues or ends the drag.
     *
     * @param from where the pointer was pressed, inside the image
     * @param to where it is now, inside the image; the same pixel at the beginning
     * @param isEnd true when the pointer was let go
     */
    void to(Pixel from, Pixel to, boolean isEnd);
}

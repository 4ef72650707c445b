package pixeron.app.sheet.paint;

import pixeron.image.Image;

/** How a sample is shown as gray: 0 and below black, M and above white, evenly in between. */
public final class Grays {

    private Grays() {
    }

    /** Returns the gray on the screen of the sample at a row-major offset, 0–255, not rounded. */
    public static double of(Image image, int offset) {
        return Math.max(0, Math.min(1, image.asDouble(offset) / image.maximumLevel())) * 255;
    }

    /** Returns an opaque point of that gray, rounded, as 0xAARRGGBB. */
    public static int point(double gray) {
        int level = (int) (gray + 0.5);
        return 0xFF000000 | level << 16 | level << 8 | level;
    }
}

package pixeron.format;

import pixeron.PixeronException;

/** An image has more pixels than are read without a question; a user may raise the limit. */
public final class TooManyPixelsException extends PixeronException {

    private static final long serialVersionUID = 1;
    /** A byte for each sample and another for what is drawn of it. */
    private static final double BYTES_A_PIXEL = 2.5;

    private final long pixels;

    TooManyPixelsException(long rows, long columns, long limit) {
        super(String.format("The image has %d × %d pixels, more than the limit of %d pixels"
                + " (--most-pixels).", rows, columns, limit), null);
        pixels = rows * columns;
    }

    private TooManyPixelsException(long pixels, String message) {
        super(message, null);
        this.pixels = pixels;
    }

    /** A small file that unfolds to much memory; the user may want it, but must say so. */
    static TooManyPixelsException ofMemory(long rows, long columns, long bytes, long fileBytes) {
        return new TooManyPixelsException(rows * columns, String.format("The file of %d KiB contains %d × %d pixels and needs"
                + " %d MiB when decoded. To read it, raise the limit (--most-pixels).", fileBytes >> 10, rows, columns,
                bytes >> 20));
    }

    /** Returns the number of pixels of the image. */
    public long pixels() {
        return pixels;
    }

    /** Returns about how much memory a gray image of this size takes, in MiB. */
    public long megabytes() {
        return Math.round(pixels * BYTES_A_PIXEL / (1 << 20));
    }
}

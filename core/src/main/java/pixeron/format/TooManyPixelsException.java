package pixeron.format;

import pixeron.PixeronException;

/** An image has more pixels than are read without a question; a person may raise the limit. */
public final class TooManyPixelsException extends PixeronException {

    private static final long serialVersionUID = 1;
    /** A byte for each sample and another for what is drawn of it. */
    private static final double BYTES_A_PIXEL = 2.5;

    private final long pixels;

    TooManyPixelsException(long rows, long columns, long limit) {
        super(String.format("The image has %d × %d pixels; at most %d pixels are read unless the limit is raised"
                + " (--most-pixels).", rows, columns, limit), null);
        pixels = rows * columns;
    }

    /** @return the number of pixels of the image */
    public long pixels() {
        return pixels;
    }

    /** @return about how much memory a gray image of this size takes, in MiB */
    public long megabytes() {
        return Math.round(pixels * BYTES_A_PIXEL / (1 << 20));
    }
}

package pixeron.format;

import java.util.OptionalInt;
import pixeron.image.Image;

/**
 * What a user says about a file that the file does not say itself.
 *
 * @param maximum M for a format that does not carry it; empty: the format's default
 * @param isOpen true to read a number table of any numbers as a real-valued image
 * @param pixelLimit most pixels that are read
 * @param array what the text of an array leaves open
 */
public record ReadOptions(OptionalInt maximum, boolean isOpen, long pixelLimit, ArrayOptions array) {

    /** 8192 × 8192: far beyond what is looked at as numbers, and still a quarter of a gigabyte at most. */
    public static final long DEFAULT_PIXEL_LIMIT = 1L << 26;

    public static final ReadOptions DEFAULT = new ReadOptions(OptionalInt.empty(), false, DEFAULT_PIXEL_LIMIT);

    public ReadOptions {
        maximum.ifPresent(Image::requireMaximum);
    }

    /** No choice is made about arrays. */
    public ReadOptions(OptionalInt maximum, boolean isOpen, long pixelLimit) {
        this(maximum, isOpen, pixelLimit, ArrayOptions.NONE);
    }

    /** Returns this with what the text of an array leaves open. */
    public ReadOptions with(ArrayOptions other) {
        return new ReadOptions(maximum, isOpen, pixelLimit, other);
    }

    public ReadOptions withMaximum(int maximumLevel) {
        return new ReadOptions(OptionalInt.of(maximumLevel), isOpen, pixelLimit, array);
    }

    /** Returns true if the user has set the limit for the number of pixels, and so for memory. */
    boolean isLimitChosen() {
        return pixelLimit != DEFAULT_PIXEL_LIMIT;
    }

    /**
     * Returns this with another limit for pixels.
     *
     * @param pixels most pixels that are read, at least 1
     */
    public ReadOptions withPixelLimit(long pixels) {
        return new ReadOptions(maximum, isOpen, pixels, array);
    }

    public ReadOptions asOpen() {
        return new ReadOptions(maximum, true, pixelLimit, array);
    }
}

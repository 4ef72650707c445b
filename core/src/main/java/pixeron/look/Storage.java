package pixeron.look;

import java.util.OptionalInt;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.walk.ScanOrder;

/** How the samples of an image lie in memory. */
public final class Storage {

    private Storage() {
    }

    /** Returns n where the maximum level is 2ⁿ − 1; empty for any other. */
    public static OptionalInt bits(Image image) {
        int levels = image.maximumLevel() + 1;
        return Integer.bitCount(levels) == 1 ? OptionalInt.of(Integer.numberOfTrailingZeros(levels))
                : OptionalInt.empty();
    }

    /** Returns levels, fractions (exact ones) or doubles. */
    public static String kind(Image image) {
        return image.isLevelImage() ? "levels" : image.isExact() ? "fractions" : "doubles";
    }

    /**
     * Returns which pixel is at the first offsets: {@code 0: (0, 0)  1: (0, 1) …}.
     *
     * @param rows of the image
     * @param columns of the image
     * @param order rows for row-major, columns for column-major
     * @param count how many offsets are written out, from 0
     */
    public static String offsets(int rows, int columns, ScanOrder order, int count) {
        long all = (long) rows * columns;
        String text = IntStream.range(0, (int) Math.min(count, all)).mapToObj(offset -> {
            Pixel pixel = order.pixel(rows, columns, offset);
            return offset + ": (" + pixel.row() + ", " + pixel.column() + ")";
        }).collect(Collectors.joining("  "));
        return text + (count < all ? " …" : "");
    }
}

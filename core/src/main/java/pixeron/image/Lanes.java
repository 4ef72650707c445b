package pixeron.image;

import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.IntBuffer;
import java.util.stream.IntStream;

/**
 * Rows of levels of bytes with two columns in each number, one in the lower 16 bits and one in the upper: number m of the lanes from column p on
 * holds columns 4m + p and 4m + p + 2. Lanes of a row are {@link Quarters#size} long; the last numbers may represent no column.
 *
 * <p>What is added to such a number, or multiplied by, is so for both columns at once: a sum of numbers times weights holds both columns' sums,
 * exactly where each of them less the smallest that can occur is below 2¹⁶. Half as many products are then done as for columns by themselves. As with
 * {@link Quarters}, nothing is widened byte by byte. One for each thread.
 */
public final class Lanes {

    /** Bits of a lane. */
    public static final int BITS = 16;
    /** The largest number of a lane. */
    public static final int MOST = (1 << BITS) - 1;
    /** Times a number, the same number in both lanes. */
    public static final int BOTH = 1 | 1 << BITS;

    /** By how many bits the second, third and fourth of four levels in one number are shifted. */
    public static final int FIRST_ODD = 8;
    public static final int SECOND_EVEN = 16;
    public static final int SECOND_ODD = 24;

    private static final int BYTES = 0x00FF00FF;

    private final byte[] bytes;
    private final IntBuffer[] from;
    private final int[] packed;

    /**
     * Creates empty lanes for one row of results.
     *
     * @param columns of a row of results, at least 1
     * @param further how many columns further on the last lanes begin, at least 1
     */
    public Lanes(int columns, int further) {
        int size = Quarters.size(columns);
        this.bytes = new byte[Quarters.FOUR * (size + 1) + further];
        ByteBuffer all = ByteBuffer.wrap(bytes);
        this.from = IntStream.rangeClosed(0, further / 2).mapToObj(half -> all.slice(2 * half, Quarters.FOUR * size).order(ByteOrder.LITTLE_ENDIAN).asIntBuffer())
                .toArray(IntBuffer[]::new);
        this.packed = new int[size];
    }

    /**
     * Takes a row of an image.
     *
     * @param image for which {@link Quarters#isPossible}
     * @param left in which column its first one stands
     */
    public void take(Image image, int row, int left) {
        System.arraycopy(((ByteSamples) image.samples()).bytes(), row * image.columns(), bytes, left, image.columns());
    }

    /** Returns the level that is in a column. */
    public int level(int column) {
        return bytes[column] & Image.BYTE_MAXIMUM;
    }

    /**
     * Puts a level into a column.
     *
     * @param level 0–255, from now on in this column
     */
    public void put(int column, int level) {
        bytes[column] = (byte) level;
    }

    /**
     * Reads lanes.
     *
     * @param column even, at most as far on as the lanes were created for
     * @param here gets the lanes from that column on
     * @param next gets the lanes from the next column on
     */
    public void read(int column, int[] here, int[] next) {
        from[column / 2].get(0, packed);
        split(packed, here, next);
    }

    private static void split(int[] packed, int[] here, int[] next) {
        for (int m = 0; m < packed.length; m++) {
            int four = packed[m];
            here[m] = four & BYTES;
            next[m] = four >>> FIRST_ODD & BYTES;
        }
    }

    /**
     * Puts the levels of all columns.
     *
     * @param fours levels of four columns in each number, the first one's lowest, that are in the columns from now on
     */
    public void put(int[] fours) {
        from[0].put(0, fours);
    }

    /**
     * Writes the levels.
     *
     * @param raster of bytes and as many columns, whose row becomes what is here
     */
    public void write(LevelRaster raster, int row) {
        raster.write(row, bytes, 0);
    }
}

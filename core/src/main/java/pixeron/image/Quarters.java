package pixeron.image;

import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.IntBuffer;

/**
 * Rows of levels of bytes whose columns are in four runs: columns 0, 4, 8 … first, then 1, 5, 9 …, then 2, 6, 10 …, then 3, 7, 11 ….
 *
 * <p>The virtual machine does several columns at once only where all numbers of a loop have the same size, so not while it widens bytes.
 * Four bytes read as one number, though, are taken apart into four runs by shifts, and put together again, many numbers at once. What is
 * done for all columns alike, in between, may be done in any order of them. One for each thread.
 */
public final class Quarters {

    /** How many runs there are. */
    public static final int FOUR = 4;

    private static final int BYTE = 0xFF;
    private static final int BITS = 8;

    private final byte[] bytes;
    private final IntBuffer fours;
    private final int[] packed;

    /**
     * Creates an empty row in four quarters.
     *
     * @param columns of a row, at least 1
     */
    public Quarters(int columns) {
        int size = size(columns);
        this.bytes = new byte[FOUR * size];
        this.fours = ByteBuffer.wrap(bytes).order(ByteOrder.LITTLE_ENDIAN).asIntBuffer();
        this.packed = new int[size];
    }

    /** Returns whether an image has levels of bytes. */
    public static boolean isPossible(Image image) {
        return image.samples() instanceof ByteSamples;
    }

    /** Returns how long each of the four runs of so many columns is; the last numbers of some may represent no column. */
    public static int size(int columns) {
        return (columns + FOUR - 1) / FOUR;
    }

    /**
     * Takes a row of an image apart.
     *
     * @param image for which {@link #isPossible}, at most {@code columns − left} wide
     * @param left in which column its first one stands; before it and behind the last stand levels of other rows, or 0
     * @param into gets four runs
     */
    public void split(Image image, int row, int left, int[]... into) {
        System.arraycopy(((ByteSamples) image.samples()).bytes(), row * image.columns(), bytes, left, image.columns());
        fours.get(0, packed);
        split(packed, into[0], into[1], into[2], into[3]);
    }

    private static void split(int[] packed, int[] first, int[] second, int[] third, int[] fourth) {
        for (int m = 0; m < packed.length; m++) {
            int four = packed[m];
            first[m] = four & BYTE;
            second[m] = four >>> BITS & BYTE;
            third[m] = four >>> 2 * BITS & BYTE;
            fourth[m] = four >>> 3 * BITS;
        }
    }

    /**
     * Writes a row of levels.
     *
     * @param levels four runs, all of 0–M
     * @param raster of bytes and as many columns
     */
    public void join(int[][] levels, LevelRaster raster, int row) {
        join(levels[0], levels[1], levels[2], levels[3], packed);
        fours.put(0, packed);
        raster.write(row, bytes, 0);
    }

    private static void join(int[] first, int[] second, int[] third, int[] fourth, int[] packed) {
        for (int m = 0; m < packed.length; m++) {
            packed[m] = first[m] | second[m] << BITS | third[m] << 2 * BITS | fourth[m] << 3 * BITS;
        }
    }
}

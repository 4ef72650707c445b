package pixeron.image;

import java.lang.invoke.MethodHandles;
import java.lang.invoke.VarHandle;
import java.nio.ByteOrder;
import java.util.function.IntUnaryOperator;
import java.util.stream.IntStream;

/** Sums of all blocks of a level image, each of which becomes a level. */
public final class BlockSums {

    /** Beyond so many sums the table would not be worth its while. */
    private static final int MOST_SUMS = 1 << 20;

    private static final VarHandle EIGHT = MethodHandles.byteArrayViewVarHandle(long[].class, ByteOrder.LITTLE_ENDIAN);
    private static final long EVEN = 0x00FF00FF00FF00FFL;
    private static final int GROUP = 4;

    private BlockSums() {
    }

    /** Returns whether blocks of so many pixels are few enough sums. */
    public static boolean isPossible(Image before, int down, int right) {
        return before.samples() instanceof ByteSamples && (long) before.maximumLevel() * down * right < MOST_SUMS;
    }

    /**
     * Returns an image of one pixel for each block, with the maximum level of before.
     *
     * @param before has levels of bytes, in whole blocks
     * @param down rows of a block
     * @param right columns of a block
     * @param level what becomes of a sum
     */
    public static Image of(Image before, int down, int right, IntUnaryOperator level) {
        byte[] table = new byte[before.maximumLevel() * down * right + 1];
        IntStream.range(0, table.length).parallel().forEach(sum -> table[sum] = (byte) level.applyAsInt(sum));
        byte[] in = ((ByteSamples) before.samples()).bytes();
        int rows = before.rows() / down;
        int columns = before.columns() / right;
        byte[] out = new byte[rows * columns];
        IntStream.range(0, rows).parallel().forEach(i -> {
            if (down == 2 && right == 2) {
                two(in, 2 * i * before.columns(), before.columns(), table, out, i * columns, columns);
                return;
            }
            int[] sums = new int[columns];
            for (int row = i * down; row < (i + 1) * down; row++) {
                int at = row * before.columns();
                for (int j = 0; j < columns; j++) {
                    int sum = 0;
                    for (int n = 0; n < right; n++) {
                        sum += in[at++] & 0xFF;
                    }
                    sums[j] += sum;
                }
            }
            for (int j = 0; j < columns; j++) {
                out[i * columns + j] = table[sums[j]];
            }
        });
        return new Image(rows, columns, before.maximumLevel(), new ByteSamples(out));
    }

    /** Halving is what is mostly wanted: eight bytes of two rows are added up at once to four sums of sixteen bits. */
    private static void two(byte[] in, int upper, int width, byte[] table, byte[] out, int at, int columns) {
        int lower = upper + width;
        int grouped = columns / GROUP * GROUP;
        for (int j = 0; j < grouped; j += GROUP) {
            long a = (long) EIGHT.get(in, upper + 2 * j);
            long b = (long) EIGHT.get(in, lower + 2 * j);
            long sums = (a & EVEN) + (a >>> 8 & EVEN) + (b & EVEN) + (b >>> 8 & EVEN);
            out[at + j] = table[(int) sums & 0xFFFF];
            out[at + j + 1] = table[(int) (sums >>> 16) & 0xFFFF];
            out[at + j + 2] = table[(int) (sums >>> 32) & 0xFFFF];
            out[at + j + 3] = table[(int) (sums >>> 48)];
        }
        for (int j = grouped; j < columns; j++) {
            int from = 2 * j;
            out[at + j] = table[(in[upper + from] & 0xFF) + (in[upper + from + 1] & 0xFF) + (in[lower + from] & 0xFF) + (in[lower + from + 1] & 0xFF)];
        }
    }
}

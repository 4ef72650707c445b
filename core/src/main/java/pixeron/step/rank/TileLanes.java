package pixeron.step.rank;

import java.lang.invoke.MethodHandles;
import java.lang.invoke.VarHandle;
import java.nio.ByteOrder;
import java.util.Arrays;

/**
 * The values at a place of sorted windows in 64 tiles of an image at once, one tile in each of 64 lanes of 8 bits: eight numbers of 64 bits
 * stand abreast for each place of the tiles. Threshold after threshold it is counted how many cells of each window reach it, by running
 * sums down and across; the value is the largest threshold that enough of them reach.
 *
 * <p>Each tile has thresholds of its own: 127 from a base on. They are tried from the middle upwards and downwards until nearly all places
 * are decided; for the others the caller is asked. Every loop is one over numbers that stand abreast, which the virtual machine does several at once.
 */
final class TileLanes {

    static final int LANES = 64;
    /** Numbers that stand abreast; also lanes of each. */
    private static final int ABREAST = 8;
    static final int ROWS = 32;
    static final int COLUMNS = 64;
    /** Thresholds above the base that a lane can tell. */
    static final int MOST = 127;
    static final int MIDDLE = 64;
    /** Bytes that rows have at their end beyond the last that counts. */
    static final int SPARE = ABREAST;

    /** So many cells of a window fit in a lane, with what they are compared with. */
    private static final int NARROW = 128;
    private static final int COUNT_EVERY = 16;
    /** One place of so many is calculated alone sooner than by one threshold more for all. */
    private static final int FEW = 700;

    private static final VarHandle EIGHT = MethodHandles.byteArrayViewVarHandle(long[].class, ByteOrder.LITTLE_ENDIAN);
    private static final long ONES = 0x0101010101010101L;
    private static final long HIGH = ONES << 7;
    private static final long LOW_SEVEN = ~HIGH;
    private static final long EVEN = 0x00FF00FF00FF00FFL;
    private static final long WIDE_ONES = 0x0001000100010001L;

    /** A tile: its first row and column, and what its thresholds are counted from, 0–128. */
    record Tile(int row, int column, int base) {
    }

    /** Is asked for places that no threshold decides. */
    @FunctionalInterface
    interface Undecided {
        void at(int row, int column);
    }

    private final int height;
    private final int width;
    private final boolean isNarrow;
    private final long[][] cells;
    private final long[] bases;
    private final long[][] reached = new long[ROWS][ABREAST * COLUMNS];
    /** What the needed count lacks of half of a lane, or of half of one of 16 bits. */
    private final long lacking;
    private final long[] down;
    private final long[] evenDown;
    private final long[] oddDown;
    private final long[] entering = new long[ABREAST * COLUMNS];
    private final long[] across = new long[ABREAST * COLUMNS];
    private final long[] oddAcross = new long[ABREAST * COLUMNS];
    private final long[] block = new long[ABREAST];
    private final Tile[] tiles = new Tile[LANES];

    /** Returns whether counts of windows fit: those of a column in 8 bits, those of all cells in 16. */
    static boolean isPossible(int height, int width) {
        return height <= 0xFF && height * width <= Short.MAX_VALUE;
    }

    /** Returns whether 8 bits hold counts of all cells as well, which takes half as long. */
    static boolean isNarrow(int cells, int needed) {
        return needed <= NARROW && cells - needed < NARROW;
    }

    /**
     * @param height of windows that are {@link #isPossible}
     * @param needed how many cells of a window must reach a value
     */
    TileLanes(int height, int width, int needed) {
        this.height = height;
        this.width = width;
        this.isNarrow = isNarrow(height * width, needed);
        this.lacking = isNarrow ? (NARROW - needed) * ONES : ((1L << 15) - needed) * WIDE_ONES;
        int length = (COLUMNS + width - 1 + ABREAST - 1) / ABREAST * ABREAST * ABREAST;
        this.cells = new long[ROWS + height - 1][length];
        this.bases = new long[length];
        this.down = new long[length];
        this.evenDown = new long[isNarrow ? 0 : length];
        this.oddDown = new long[isNarrow ? 0 : length];
    }

    /**
     * @param rows levels, with what is around the tiles, and {@link #SPARE} more
     * @param some the tiles, at most 64; one lane each
     */
    void take(byte[][] rows, Tile... some) {
        for (int lane = 0; lane < LANES; lane++) {
            tiles[lane] = some[Math.min(lane, some.length - 1)];
        }
        for (int i = 0; i < bases.length; i++) {
            long base = 0;
            for (int k = ABREAST - 1; k >= 0; k--) {
                base = base << Byte.SIZE | tiles[i % ABREAST * ABREAST + k].base();
            }
            bases[i] = base;
        }
        for (int y = 0; y < cells.length; y++) {
            for (int q = 0; q < ABREAST; q++) {
                for (int j = 0; j < cells[y].length / ABREAST; j += ABREAST) {
                    for (int k = 0; k < ABREAST; k++) {
                        Tile tile = tiles[q * ABREAST + k];
                        block[k] = (long) EIGHT.get(rows[tile.row() + y], tile.column() + j);
                    }
                    turn(block);
                    for (int k = 0; k < ABREAST; k++) {
                        cells[y][(j + k) * ABREAST + q] = block[k];
                    }
                }
            }
            aboveBase(cells[y], bases);
        }
    }

    /** Rows for columns of eight times eight bytes. An image that is transposed does the same without an array, which would cost it half as long again. */
    private static void turn(long[] block) {
        for (int n = 0; n < ABREAST; n += 2) {
            swap(block, n, n + 1, Byte.SIZE, EVEN);
        }
        for (int n = 0; n < ABREAST; n += n % 2 == 0 ? 1 : 3) {
            swap(block, n, n + 2, 2 * Byte.SIZE, 0x0000FFFF0000FFFFL);
        }
        for (int n = 0; n < ABREAST / 2; n++) {
            swap(block, n, n + ABREAST / 2, Integer.SIZE, 0x00000000FFFFFFFFL);
        }
    }

    private static void swap(long[] block, int first, int second, int by, long mask) {
        long changed = (block[first] >>> by ^ block[second]) & mask;
        block[second] ^= changed;
        block[first] ^= changed << by;
    }

    /** Each level less its base, but no less than 0 and no more than 127. */
    private static void aboveBase(long[] levels, long[] bases) {
        for (int i = 0; i < levels.length; i++) {
            long x = levels[i];
            long b = bases[i];
            long difference = (x | HIGH) - (b & LOW_SEVEN) ^ (x ^ ~b) & HIGH;
            long below = ((~x & b | ~(x ^ b) & difference) & HIGH) >>> 7;
            long rest = difference & ~((below << 8) - below);
            long above = (rest & HIGH) >>> 7;
            levels[i] = (rest | (above << 7) - above) & LOW_SEVEN;
        }
    }

    /**
     * Works the values out.
     *
     * @param values get those of the tiles
     * @param undecided asked for places that are not decided; their values are written before
     */
    void find(byte[][] values, Undecided undecided) {
        for (long[] row : reached) {
            Arrays.fill(row, 0);
        }
        int all = ROWS / COUNT_EVERY * COLUMNS * LANES;
        int few = all / FEW;
        int top = MIDDLE;
        while (count(top) > few && top < MOST) {
            top++;
        }
        int lowest = MIDDLE - 1;
        while (lowest > 0 && all - count(lowest) > few) {
            lowest--;
        }
        // The thresholds that were tried are those above it.
        int first = Math.max(0, lowest - 1);
        write(values, first);
        for (int y = 0; y < ROWS; y++) {
            ask(y, first, top, undecided);
        }
    }

    /** Returns in how many places, of every sixteenth row, enough cells reach the threshold. */
    private int count(int threshold) {
        long lack = (MOST + 1 - threshold) * ONES;
        Arrays.fill(down, 0);
        for (int y = 0; y < height - 1; y++) {
            enter(down, cells[y], lack);
        }
        int count = 0;
        for (int y = 0; y < ROWS; y++) {
            if (y == 0) {
                enter(down, cells[height - 1], lack);
            } else {
                enterAndLeave(down, cells[y + height - 1], cells[y - 1], lack);
            }
            if (isNarrow) {
                sumAcross(down, across);
                add(across, lacking, reached[y]);
            } else {
                split(down, evenDown, oddDown);
                sumAcross(evenDown, across);
                sumAcross(oddDown, oddAcross);
                add(across, oddAcross, lacking, reached[y]);
            }
            count += y % COUNT_EVERY == 0 ? enough() : 0;
        }
        return count;
    }

    private int enough() {
        int count = 0;
        for (int i = 0; i < across.length; i++) {
            count += isNarrow ? Long.bitCount(across[i] + lacking & HIGH)
                    : Long.bitCount(across[i] + lacking & WIDE_ONES << 15) + Long.bitCount(oddAcross[i] + lacking & WIDE_ONES << 15);
        }
        return count;
    }

    private static void enter(long[] down, long[] cells, long lack) {
        for (int i = 0; i < down.length; i++) {
            down[i] += cells[i] + lack >>> 7 & ONES;
        }
    }

    private static void enterAndLeave(long[] down, long[] entering, long[] leaving, long lack) {
        for (int i = 0; i < down.length; i++) {
            down[i] += (entering[i] + lack >>> 7 & ONES) - (leaving[i] + lack >>> 7 & ONES);
        }
    }

    private void sumAcross(long[] down, long[] across) {
        System.arraycopy(down, ABREAST * (width - 1), entering, 0, entering.length);
        for (int q = 0; q < ABREAST; q++) {
            long sum = 0;
            for (int j = 0; j < width; j++) {
                sum += down[ABREAST * j + q];
            }
            across[q] = sum;
        }
        run(down, entering, across);
    }

    private static void run(long[] leaving, long[] entering, long[] across) {
        for (int i = ABREAST; i < across.length; i++) {
            across[i] = across[i - ABREAST] + entering[i] - leaving[i - ABREAST];
        }
    }

    private static void split(long[] down, long[] even, long[] odd) {
        for (int i = 0; i < down.length; i++) {
            even[i] = down[i] & EVEN;
            odd[i] = down[i] >>> 8 & EVEN;
        }
    }

    private static void add(long[] across, long lacking, long[] reached) {
        for (int i = 0; i < reached.length; i++) {
            reached[i] += across[i] + lacking >>> 7 & ONES;
        }
    }

    private static void add(long[] even, long[] odd, long lacking, long[] reached) {
        for (int i = 0; i < reached.length; i++) {
            reached[i] += (even[i] + lacking >>> 15 & WIDE_ONES) + ((odd[i] + lacking >>> 15 & WIDE_ONES) << 8);
        }
    }

    /** @param first the thresholds that were tried are those above it */
    private void write(byte[][] values, int first) {
        for (int y = 0; y < ROWS; y++) {
            for (int q = 0; q < ABREAST; q++) {
                for (int j = 0; j < COLUMNS; j += ABREAST) {
                    for (int k = 0; k < ABREAST; k++) {
                        block[k] = reached[y][(j + k) * ABREAST + q];
                    }
                    turn(block);
                    for (int k = 0; k < ABREAST; k++) {
                        Tile tile = tiles[q * ABREAST + k];
                        EIGHT.set(values[tile.row() + y], tile.column() + j, block[k] + (tile.base() + first) * ONES);
                    }
                }
            }
        }
    }

    private void ask(int y, int first, int top, Undecided undecided) {
        long[] row = reached[y];
        long all = (top - first) * ONES;
        for (int i = 0; i < row.length; i++) {
            long open = zeros(row[i]) | zeros(row[i] ^ all);
            while (open != 0) {
                int k = Long.numberOfTrailingZeros(open) / Byte.SIZE;
                open &= open - 1;
                Tile tile = tiles[i % ABREAST * ABREAST + k];
                boolean isNone = (row[i] >>> k * Byte.SIZE & 0xFF) == 0;
                if (isNone ? tile.base() + first > 0 : tile.base() + top < 0xFF) {
                    undecided.at(tile.row() + y, tile.column() + i / ABREAST);
                }
            }
        }
    }

    /** Returns the highest bit of each byte that is 0. */
    private static long zeros(long bytes) {
        return ~((bytes & LOW_SEVEN) + LOW_SEVEN | bytes) & HIGH;
    }
}

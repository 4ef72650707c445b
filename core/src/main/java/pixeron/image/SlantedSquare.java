package pixeron.image;

import java.lang.invoke.MethodHandles;
import java.lang.invoke.VarHandle;
import java.nio.ByteOrder;
import java.util.Arrays;

/**
 * A square of a result whose pixels are read along slanted lines between the pixels of an image of bytes: what all its lines cross is
 * copied once into a room of its own, small enough to stay near to the processor, where rows do not lie a whole image's width apart.
 *
 * <p>One loop calculates places, one reads there, one weights what was read: only the second reads elsewhere for each pixel, so that the
 * virtual machine does the other two several pixels at a time, in whole numbers of 32 bits. Levels near to a half are looked at a second
 * time with 64 bits; where rounding to nearest is not sure even then, the place is named and the level is to be calculated exactly.
 * Cost: some thirty operations a pixel, most of them eight pixels at a time. One for each thread.
 */
public final class SlantedSquare {

    /** Rows and columns of a square. */
    public static final int SIDE = 32;

    /** A square's lines cross no more rows and columns than its diagonal is long, and two on each side. */
    private static final int ROOM = 64;
    private static final int ROOM_BITS = 6;
    private static final int BITS = 24;
    private static final int PART = (1 << BITS) - 1;
    private static final long ONE = 1L << BITS;
    /** Weights have 16 bits, so that a weighted level has 24 and its weighted difference, shortened by 8, has 32 once more. */
    private static final int SHORT = 8;
    private static final int SHORT_HALF = 1 << SHORT - 1;
    private static final int SHORT_PART = 0xFFFF;
    private static final int BYTE = 0xFF;
    private static final int QUARTER = SIDE * SIDE / 4;
    /** Two weights and a difference, each wrong by half of its last bit, change a level by less than 3 · 255 · 2⁻¹⁷: of 2²⁴, 98,000. */
    private static final int SHORT_DOUBT = 100_000;
    /**
     * A place of 24 bits behind the point is wrong by two roundings, 2⁻²⁴, in both directions, which changes a level by less than 2 · 255 · 2⁻²⁴;
     * eight times as much is not sure.
     */
    private static final long DOUBT = 8L * 2 * 256 << BITS;
    private static final long HALF = 1L << 2 * BITS - 1;
    private static final VarHandle PAIRS = MethodHandles.byteArrayViewVarHandle(char[].class, ByteOrder.LITTLE_ENDIAN);
    private static final VarHandle FOURS = MethodHandles.byteArrayViewVarHandle(int[].class, ByteOrder.LITTLE_ENDIAN);

    private final byte[] bytes;
    private final int rows;
    private final int columns;
    private final double down;
    private final double right;
    private final int[] rowOffsets = new int[SIDE * SIDE];
    private final int[] columnOffsets = new int[SIDE * SIDE];
    private final byte[] room = new byte[ROOM * ROOM];
    /** For each pixel first where it is read in the room, then the four pixels there, then their weighted sum: all near to the processor. */
    private final int[] work = new int[SIDE * SIDE];
    private final int[] levels = new int[QUARTER];
    private final int[] near = new int[QUARTER];
    /** Which fours of levels are to be looked at again. */
    private final int[] doubtful = new int[QUARTER];
    private final int[] open = new int[SIDE * SIDE];
    private int openCount;
    /** Keeps the virtual machine from leaving out what is only read so that it is near. */
    private int nothing;
    private int top;
    private int left;
    private int bottom;
    private int end;
    /** Where the square's first pixel is read, from the room's first pixel on. */
    private int y;
    private int x;

    /**
     * Creates a square without pixels; it is moved to its place later.
     *
     * @param image for which {@link SlantedRow#isPossible}
     * @param down by how much the place read goes down from one column of the result to the next; from one row to the next it goes right by
     *        as much to the left
     * @param right by how much it goes right, and down from row to row; down² + right² is at most 1
     */
    public SlantedSquare(Image image, double down, double right) {
        this.bytes = ((ByteSamples) image.samples()).bytes();
        this.rows = image.rows();
        this.columns = image.columns();
        this.down = down;
        this.right = right;
        for (int n = 0; n < rowOffsets.length; n++) {
            // Entry m of quarter q represents pixel 4 · m + q, so that levels of neighbors come to lie in the bytes of one number.
            int pixel = n % QUARTER * 4 + n / QUARTER;
            int i = pixel / SIDE;
            int j = pixel % SIDE;
            rowOffsets[n] = fixed(i * right + j * down);
            columnOffsets[n] = fixed(j * right - i * down);
        }
    }

    /**
     * Goes to another square of the result.
     *
     * @param row of the image that the square's first pixel reads, between pixels
     * @param column likewise
     */
    public void moveTo(double row, double column) {
        double over = (SIDE - 1) * down;
        double on = (SIDE - 1) * right;
        top = (int) Math.floor(row + Math.min(0, over) + Math.min(0, on)) - 1;
        left = (int) Math.floor(column + Math.min(0, on) + Math.min(0, -over)) - 1;
        bottom = (int) Math.floor(row + Math.max(0, over) + Math.max(0, on)) + 3;
        end = (int) Math.floor(column + Math.max(0, on) + Math.max(0, -over)) + 3;
        y = fixed(row - top);
        x = fixed(column - left);
    }

    /** Returns whether all pixels that are read lie inside the image. */
    public boolean isInside() {
        return top >= 0 && left >= 0 && bottom <= rows && end <= columns && bottom - top <= ROOM && end - left <= ROOM;
    }

    /** Returns whether all pixels that are read lie outside the image. */
    public boolean isOutside() {
        return bottom <= 0 || end <= 0 || top >= rows || left >= columns;
    }

    /**
     * Reads the levels between four pixels each, rounded to nearest, of a square that lies inside.
     *
     * @param out gets the levels, row by row
     * @param at where the first one goes
     * @param stride from row to row of {@code out}
     */
    public void read(byte[] out, int at, int stride) {
        nothing = fetched();
        for (int i = top; i < bottom; i++) {
            System.arraycopy(bytes, i * columns + left, room, i - top << ROOM_BITS, end - left);
        }
        // Half of the last bit of a weight is added at once for all, so that places are cut to 16 bits in the nearest way.
        places(y + SHORT_HALF, rowOffsets, x + SHORT_HALF, columnOffsets, work);
        cells(room, work);
        weighted(y + SHORT_HALF, rowOffsets, x + SHORT_HALF, columnOffsets, work);
        packed(work, levels, near);
        write(out, at, stride);
    }

    /**
     * Writes one level everywhere, for a square that lies outside.
     *
     * @param level 0–255
     * @param out as of {@link #read}, as the others
     */
    public void fill(int level, byte[] out, int at, int stride) {
        openCount = 0;
        for (int i = 0; i < SIDE; i++) {
            Arrays.fill(out, at + i * stride, at + i * stride + SIDE, (byte) level);
        }
    }

    /** Returns how many levels of the square that was read last are not sure. */
    public int openCount() {
        return openCount;
    }

    /** Returns where in {@code out} the n-th level stands that is not sure. */
    public int open(int n) {
        return open[n];
    }

    /** Asks for all rows of the image before the first is copied: waiting for one after the other would take a seventh of the time. */
    private int fetched() {
        int sum = 0;
        for (int i = top; i < bottom; i++) {
            sum += bytes[i * columns + left] + bytes[i * columns + end - 1];
        }
        return sum;
    }

    private static void places(int y, int[] rowOffsets, int x, int[] columnOffsets, int[] work) {
        for (int n = 0; n < SIDE * SIDE; n++) {
            work[n] = (y + rowOffsets[n] >> BITS << ROOM_BITS) + (x + columnOffsets[n] >> BITS);
        }
    }

    /** The four pixels around each place, a byte each. */
    private static void cells(byte[] room, int[] work) {
        for (int n = 0; n < SIDE * SIDE; n++) {
            int at = work[n];
            work[n] = (char) PAIRS.get(room, at) | (char) PAIRS.get(room, at + ROOM) << 2 * SHORT;
        }
    }

    /** @param sums get the level plus a half, with 24 bits behind the point */
    private static void weighted(int y, int[] rowOffsets, int x, int[] columnOffsets, int[] work) {
        for (int n = 0; n < SIDE * SIDE; n++) {
            int a = y + rowOffsets[n] >> SHORT & SHORT_PART;
            int b = x + columnOffsets[n] >> SHORT & SHORT_PART;
            int cells = work[n];
            int left = cells & BYTE;
            int lowerLeft = cells >>> 2 * SHORT & BYTE;
            int upper = (left << 2 * SHORT) + b * ((cells >>> SHORT & BYTE) - left);
            int lower = (lowerLeft << 2 * SHORT) + b * ((cells >>> 3 * SHORT) - lowerLeft);
            // Up to 2³²: the sum is right as a whole number without sign, whatever goes over on the way.
            work[n] = (upper << SHORT) + a * (lower - upper + SHORT_HALF >> SHORT) + (1 << BITS - 1);
        }
    }

    /**
     * @param levels get four levels each, a byte each
     * @param near get a negative number where one of the four is to be looked at again
     */
    private static void packed(int[] sums, int[] levels, int[] near) {
        for (int m = 0; m < QUARTER; m++) {
            int first = sums[m];
            int second = sums[m + QUARTER];
            int third = sums[m + 2 * QUARTER];
            int fourth = sums[m + 3 * QUARTER];
            levels[m] = first >>> BITS | second >>> 2 * SHORT & BYTE << SHORT | third >>> SHORT & BYTE << 2 * SHORT | fourth & BYTE << BITS;
            near[m] = (first + SHORT_DOUBT & PART) - 2 * SHORT_DOUBT | (second + SHORT_DOUBT & PART) - 2 * SHORT_DOUBT
                    | (third + SHORT_DOUBT & PART) - 2 * SHORT_DOUBT | (fourth + SHORT_DOUBT & PART) - 2 * SHORT_DOUBT;
        }
    }

    private void write(byte[] out, int at, int stride) {
        for (int i = 0; i < SIDE; i++) {
            row(levels, i * SIDE / 4, out, at + i * stride);
        }
        int count = found(near, doubtful);
        openCount = 0;
        for (int k = 0; k < count; k++) {
            int m = doubtful[k];
            for (int q = 0; q < 4; q++) {
                int n = m + q * QUARTER;
                if ((work[n] + SHORT_DOUBT & PART) < 2 * SHORT_DOUBT) {
                    again(y + rowOffsets[n], x + columnOffsets[n], out, at + m / (SIDE / 4) * stride + m % (SIDE / 4) * 4 + q);
                }
            }
        }
    }

    private static void row(int[] levels, int first, byte[] out, int at) {
        for (int k = 0; k < SIDE / 4; k++) {
            FOURS.set(out, at + 4 * k, levels[first + k]);
        }
    }

    /** Where there is a negative number; without a jump, which would be guessed wrongly now and then. */
    private static int found(int[] near, int[] where) {
        int count = 0;
        for (int m = 0; m < QUARTER; m++) {
            where[count] = m;
            count -= near[m] >> 31;
        }
        return count;
    }

    private void again(int y, int x, byte[] out, int at) {
        long sum = sum(y, x);
        out[at] = (byte) (sum >>> 2 * BITS);
        if ((sum + DOUBT & 2 * HALF - 1) < 2 * DOUBT) {
            open[openCount++] = at;
        }
    }

    /** Returns the level plus a half, with 48 bits behind the point. */
    private long sum(int y, int x) {
        int at = (y >> BITS << ROOM_BITS) + (x >> BITS);
        long b = x & PART;
        long upper = ((long) (room[at] & BYTE) << BITS) + b * ((room[at + 1] & BYTE) - (room[at] & BYTE));
        long lower = ((long) (room[at + ROOM] & BYTE) << BITS) + b * ((room[at + ROOM + 1] & BYTE) - (room[at + ROOM] & BYTE));
        return (upper << BITS) + (y & PART) * (lower - upper) + HALF;
    }

    private static int fixed(double place) {
        return (int) Math.round(place * ONE);
    }
}

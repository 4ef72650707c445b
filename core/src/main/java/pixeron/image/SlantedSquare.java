package pixeron.image;

import java.lang.invoke.MethodHandles;
import java.lang.invoke.VarHandle;
import java.nio.ByteOrder;

/**
 * A square of a result whose pixels are read along slanted lines between the pixels of an image of bytes: what all its lines cross is
 * copied once into a room of its own, small enough to stay near to the processor, where rows do not lie a whole image's width apart.
 *
 * <p>Places have 24 bits behind the point, weights as many. Where rounding to nearest is not sure of the level, the place is named and
 * the level is to be worked out exactly. Cost: some thirty operations a pixel. One for each thread.
 */
public final class SlantedSquare {

    /** Rows and columns of a square, at most. */
    public static final int SIDE = 64;

    /** A square's lines cross no more rows and columns than its diagonal is long, and two on each side. */
    private static final int ROOM = 128;
    private static final int ROOM_BITS = 7;
    private static final int BITS = 24;
    private static final int PART = (1 << BITS) - 1;
    private static final long ONE = 1L << BITS;
    private static final long TWO_BYTES = 0x000000FF000000FFL;
    private static final long LOW = 0xFFFFFFFFL;
    private static final long HALF = 1L << 2 * BITS - 1;
    /** The level's part behind the point is looked at with 32 bits. */
    private static final int PART_SHIFT = 2 * BITS - 32;
    /**
     * Steps of 2⁻²⁴ are wrong by half of that, 64 of them by 2⁻¹⁹, which changes a level by less than 2 · 255 · 2⁻¹⁹ = 2⁻¹⁰; four times
     * as much is not sure.
     */
    private static final int DOUBT = 1 << 32 - 8;
    private static final VarHandle PAIRS = MethodHandles.byteArrayViewVarHandle(char[].class, ByteOrder.LITTLE_ENDIAN);

    private final byte[] bytes;
    private final int rows;
    private final int columns;
    private final byte[] room = new byte[ROOM * ROOM];
    private final int[] open = new int[SIDE * SIDE + 1];
    private int openCount;

    /** @param image for which {@link SlantedRow#isPossible} */
    public SlantedSquare(Image image) {
        this.bytes = ((ByteSamples) image.samples()).bytes();
        this.rows = image.rows();
        this.columns = image.columns();
    }

    /**
     * Reads the levels between four pixels each, rounded to nearest.
     *
     * @param line its first place is the square's; the next row of the square begins at (row + right, column − down)
     * @param height of the square, 1 … {@link #SIDE}
     * @param width likewise
     * @param out gets the levels, row by row
     * @param at where the first one goes
     * @param stride from row to row of {@code out}
     * @return whether all lines lie well inside the image; nothing is written otherwise
     */
    public boolean read(SlantedRow.Line line, int height, int width, byte[] out, int at, int stride) {
        double overRow = (width - 1) * line.down();
        double overColumn = (width - 1) * line.right();
        double downRow = (height - 1) * line.right();
        double downColumn = -(height - 1) * line.down();
        int top = (int) Math.floor(line.row() + Math.min(0, overRow) + Math.min(0, downRow)) - 1;
        int left = (int) Math.floor(line.column() + Math.min(0, overColumn) + Math.min(0, downColumn)) - 1;
        int bottom = (int) Math.floor(line.row() + Math.max(0, overRow) + Math.max(0, downRow)) + 3;
        int right = (int) Math.floor(line.column() + Math.max(0, overColumn) + Math.max(0, downColumn)) + 3;
        if (top < 0 || left < 0 || bottom > rows || right > columns || bottom - top > ROOM || right - left > ROOM) {
            return false;
        }
        for (int i = top; i < bottom; i++) {
            System.arraycopy(bytes, i * columns + left, room, i - top << ROOM_BITS, right - left);
        }
        openCount = 0;
        int down = fixed(line.down());
        int across = fixed(line.right());
        for (int i = 0; i < height; i++) {
            row(fixed(line.row() + i * line.right() - top), fixed(line.column() - i * line.down() - left), down, across, out, at + i * stride, width);
        }
        return true;
    }

    /** @return how many levels of the square that was read last are not sure */
    public int openCount() {
        return openCount;
    }

    /** @return where in {@code out} the n-th level stands that is not sure */
    public int open(int n) {
        return open[n];
    }

    private void row(int row, int column, int down, int across, byte[] out, int at, int width) {
        int y = row;
        int x = column;
        int count = openCount;
        for (int j = 0; j < width; j++) {
            int from = (y >> BITS << ROOM_BITS) + (x >> BITS);
            // The left pixels in the two halves of one number and the right ones in another, so that both rows take one multiplication.
            long four = (char) PAIRS.get(room, from) | (long) (char) PAIRS.get(room, from + ROOM) << 32;
            long left = four & TWO_BYTES;
            long both = (left << BITS) + (x & PART) * ((four >>> 8 & TWO_BYTES) - left);
            long upper = both & LOW;
            long sum = (upper << BITS) + (y & PART) * ((both >>> 32) - upper) + HALF;
            out[at + j] = (byte) (sum >>> 2 * BITS);
            int near = (int) (sum >>> PART_SHIFT) + DOUBT;
            // Without a jump, which would be guessed wrongly now and then.
            open[count] = at + j;
            count += (near - 2 * DOUBT & ~near) >>> 31;
            y += down;
            x += across;
        }
        openCount = count;
    }

    private static int fixed(double place) {
        return (int) Math.round(place * ONE);
    }
}

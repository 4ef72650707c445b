package pixeron.image;

import java.lang.invoke.MethodHandles;
import java.lang.invoke.VarHandle;
import java.nio.ByteOrder;

/**
 * A straight line through a level image, read between its pixels quickly and nearly: places in fixed point, weights of 16 bits. Where
 * that leaves it open which level comes out, it says so, and the level is to be calculated exactly.
 *
 * <p>Cost: a few operations a pixel.
 */
public final class SlantedRow {

    /** Stands for a level that is not sure, or for a place at the edge or outside. */
    public static final int OPEN = -1;

    /** After so many steps the place is calculated anew: until then the error of a step adds up to less than 2⁻²⁰. */
    private static final int STEPS = 1 << 11;
    private static final int WEIGHT_BITS = 16;
    private static final long ONE = 1L << 32;
    private static final int WEIGHTS = (1 << WEIGHT_BITS) - 1;
    private static final VarHandle PAIRS = MethodHandles.byteArrayViewVarHandle(char[].class, ByteOrder.LITTLE_ENDIAN);
    private static final long WHOLE = 1L << 2 * WEIGHT_BITS;
    /** Rounded weights change a level by less than 255 · 4 · 2⁻¹⁷; nearer to a half than this is not sure. */
    private static final long DOUBT = WHOLE / 100;
    private static final long PLACE_DOUBT = ONE >> 16;

    private final byte[] bytes;
    private final int rows;
    private final int columns;
    private final int outside;

    private SlantedRow(byte[] bytes, int rows, int columns, int outside) {
        this.outside = outside;
        this.bytes = bytes;
        this.rows = rows;
        this.columns = columns;
    }

    /** Returns whether an image can be read so: it has levels of bytes. */
    public static boolean isPossible(Image image) {
        return image.samples() instanceof ByteSamples;
    }

    /**
     * Creates rows that are read along a line.
     *
     * @param image for which {@link #isPossible}
     * @param outside the level that is outside; {@link #OPEN} where that is not one for all places
     */
    public static SlantedRow of(Image image, int outside) {
        return new SlantedRow(((ByteSamples) image.samples()).bytes(), image.rows(), image.columns(), outside);
    }

    /** The row and the column of the first place and how both go on from place to place. */
    public record Line(double row, double column, double down, double right) {
    }

    /**
     * Reads along a line with linear interpolation.
     *
     * @param first the first place of the line that is read
     * @param last the place behind the last one
     * @param levels gets at these places the level of four weighted pixels, rounded to nearest, or {@link #OPEN}
     */
    public void linear(Line line, int first, int last, int... levels) {
        for (int start = first; start < last; start += STEPS) {
            long y = fixed(line.row + start * line.down);
            long x = fixed(line.column + start * line.right);
            long down = fixed(line.down);
            long right = fixed(line.right);
            int end = Math.min(last, start + STEPS);
            // A straight line whose ends lie inside lies inside.
            if (isInside(y, x) && isInside(y + (end - 1 - start) * down, x + (end - 1 - start) * right)) {
                between(y, x, down, right, start, end, levels);
                continue;
            }
            for (int j = start; j < end; j++) {
                levels[j] = linear(y, x);
                y += down;
                x += right;
            }
        }
    }

    /** Returns what is everywhere outside; {@link #OPEN} where that is not one level. */
    public int outside() {
        return outside;
    }

    /** Whether a place lies between four pixels of the image, and not at its very edge. */
    private boolean isInside(long y, long x) {
        return y >= ONE && x >= ONE && y < (rows - 2) * ONE && x < (columns - 2) * ONE;
    }

    private int linear(long y, long x) {
        int row = (int) (y >> 32);
        int column = (int) (x >> 32);
        if ((row | column | rows - 2 - row | columns - 2 - column) < 0) {
            boolean isFar = row < -1 || column < -1 || row >= rows || column >= columns;
            return isFar ? outside : OPEN;
        }
        return between(y, x);
    }

    private void between(long row, long column, long down, long right, int first, int last, int... levels) {
        long y = row;
        long x = column;
        for (int j = first; j < last; j++) {
            levels[j] = between(y, x);
            y += down;
            x += right;
        }
    }

    private int between(long y, long x) {
        int at = (int) (y >> 32) * columns + (int) (x >> 32);
        int b = (int) (x >>> 32 - WEIGHT_BITS) & WEIGHTS;
        int a = (int) (y >>> 32 - WEIGHT_BITS) & WEIGHTS;
        int two = (char) PAIRS.get(bytes, at);
        int lowerTwo = (char) PAIRS.get(bytes, at + columns);
        int left = two & 0xFF;
        int lowerLeft = lowerTwo & 0xFF;
        int upper = (left << WEIGHT_BITS) + b * ((two >>> 8) - left);
        int lower = (lowerLeft << WEIGHT_BITS) + b * ((lowerTwo >>> 8) - lowerLeft);
        long sum = ((long) upper << WEIGHT_BITS) + (long) a * (lower - upper);
        long half = (sum & WHOLE - 1) - WHOLE / 2;
        return half < DOUBT && half > -DOUBT ? OPEN : (int) (sum + WHOLE / 2 >>> 2 * WEIGHT_BITS);
    }

    /** The level of the nearest pixel at these places, or {@link #OPEN}; as {@link #linear}. */
    public void nearest(Line line, int first, int last, int... levels) {
        for (int start = first; start < last; start += STEPS) {
            long y = fixed(line.row + start * line.down) + ONE / 2;
            long x = fixed(line.column + start * line.right) + ONE / 2;
            long down = fixed(line.down);
            long right = fixed(line.right);
            int end = Math.min(last, start + STEPS);
            for (int j = start; j < end; j++) {
                int row = (int) (y >> 32);
                int column = (int) (x >> 32);
                boolean isOutside = (row | column | rows - 1 - row | columns - 1 - column) < 0;
                levels[j] = isBetween(y) || isBetween(x) ? OPEN : isOutside ? outside : bytes[row * columns + column] & 0xFF;
                y += down;
                x += right;
            }
        }
    }

    private static boolean isBetween(long place) {
        long part = place & ONE - 1;
        return part < PLACE_DOUBT || part > ONE - PLACE_DOUBT;
    }

    private static long fixed(double place) {
        return Math.round(place * ONE);
    }
}

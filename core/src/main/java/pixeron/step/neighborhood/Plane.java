package pixeron.step.neighborhood;

import java.util.Arrays;
import pixeron.image.Image;
import pixeron.number.Rational;

/**
 * Some rows of a level image with what stands outside around them: the cell (a, b) of the window of the result at (i, j)
 * is {@code row(i + a)[j + b]}, without a question about borders.
 */
public final class Plane {

    /** Values outside beyond this are left to exact arithmetic; they could overflow sums. */
    private static final int LARGEST_OUTSIDE = 65535;

    private final Image image;
    private final Window window;
    private final int first;
    private final int count;
    private final int outside;
    private final int up;
    private final int left;
    private final int columns;
    private final int[] sources;
    private final int[][] kept;
    private final int[] keptRow;
    private final int[][][] moved;
    private final int[][] movedRow;

    private Plane(Image image, Window window, int first, int count, int absent, int capacity) {
        this.image = image;
        this.window = window;
        this.first = first;
        this.count = count;
        boolean isGiven = window.border() == Border.ZERO || window.border() == Border.CONSTANT;
        this.outside = isGiven ? ((Rational) window.outside()).toInt() : absent;
        boolean isCropped = window.border() == Border.CROP;
        this.up = isCropped ? 0 : window.anchorRow();
        this.left = isCropped ? 0 : window.anchorColumn();
        this.columns = window.frameOf(image).columns();
        this.sources = new int[columns + window.width() - 1];
        Arrays.setAll(sources, n -> window.border().source(n - left, image.columns()));
        this.kept = new int[capacity][sources.length];
        this.keptRow = new int[capacity];
        Arrays.fill(keptRow, -1);
        this.moved = new int[capacity][window.width()][];
        this.movedRow = new int[capacity][window.width()];
    }

    /** @return whether all that can stand in a window is a whole number */
    public static boolean isPossible(Image image, Window window) {
        return image.isLevelImage() && window.outside() instanceof Rational outside && outside.isInt()
                && Math.abs((long) outside.toInt()) <= LARGEST_OUTSIDE;
    }

    /** @return all rows, with 0 where nothing stands outside; several threads may read it */
    public static Plane all(Image image, Window window) {
        int rows = window.frameOf(image).rows();
        Plane plane = new Plane(image, window, 0, rows, 0, rows + window.height() - 1);
        for (int n = 0; n < plane.height(); n++) {
            plane.row(n);
        }
        return plane;
    }

    /**
     * A plane for reading downwards: only as many rows as the window is high are kept at a time.
     *
     * @param first the first row of the result
     * @param count how many of its rows
     * @param absent stands where nothing stands outside
     */
    static Plane of(Image image, Window window, int first, int count, int absent) {
        return new Plane(image, window, first, count, absent, window.height());
    }

    /** @return a row with its sides, not to be changed; it holds until a row by the window's height further is asked for */
    public int[] row(int n) {
        int slot = n % kept.length;
        if (keptRow[slot] != n) {
            keptRow[slot] = n;
            read(n, kept[slot]);
        }
        return kept[slot];
    }

    private void read(int n, int[] into) {
        int from = window.border().source(first + n - up, image.rows());
        if (from < 0) {
            Arrays.fill(into, outside);
            return;
        }
        image.levels(from, into, left);
        // What lies beside the image is copied from it; with border=crop nothing does.
        int width = image.columns();
        for (int j = 0; j < left; j++) {
            into[j] = sources[j] < 0 ? outside : into[left + sources[j]];
        }
        for (int j = left + width; j < into.length; j++) {
            into[j] = sources[j] < 0 ? outside : into[left + sources[j]];
        }
    }

    /**
     * A row moved to the left, so that a loop over columns reads it from its first place: the virtual machine works on
     * several columns at once only where all arrays are read from the same place.
     *
     * @param n as for {@link #row}
     * @param by the cell of the window, 0 … width − 1
     * @return its cell for each column of the result; holds as long as the row does
     */
    public int[] shifted(int n, int by) {
        if (by == 0) {
            return row(n);
        }
        int slot = n % kept.length;
        int[] into = moved[slot][by];
        if (into == null) {
            into = new int[columns];
            moved[slot][by] = into;
            movedRow[slot][by] = -1;
        }
        if (movedRow[slot][by] != n) {
            movedRow[slot][by] = n;
            System.arraycopy(row(n), by, into, 0, columns);
        }
        return into;
    }

    /** @return the number of rows, those around the result counted in */
    public int height() {
        return count + window.height() - 1;
    }

    /** @return the columns of the result */
    public int columns() {
        return columns;
    }

    public Window window() {
        return window;
    }
}

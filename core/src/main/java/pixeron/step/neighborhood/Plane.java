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

    private final int[][] rows;
    private final Window window;
    private final int columns;

    private Plane(int[][] rows, Window window, int columns) {
        this.rows = rows;
        this.window = window;
        this.columns = columns;
    }

    /** @return whether all that can stand in a window is a whole number */
    public static boolean isPossible(Image image, Window window) {
        return image.isLevelImage() && window.outside() instanceof Rational outside && outside.isInt()
                && Math.abs((long) outside.toInt()) <= LARGEST_OUTSIDE;
    }

    /** @return all rows, with 0 where nothing stands outside */
    public static Plane all(Image image, Window window) {
        return of(image, window, 0, window.rowsOf(image), 0);
    }

    /**
     * @param first the first row of the result
     * @param count how many of its rows
     * @param absent stands where nothing stands outside
     */
    static Plane of(Image image, Window window, int first, int count, int absent) {
        boolean isGiven = window.border() == Border.ZERO || window.border() == Border.CONSTANT;
        int outside = isGiven ? ((Rational) window.outside()).toInt() : absent;
        boolean isCropped = window.border() == Border.CROP;
        int up = isCropped ? 0 : window.anchorRow();
        int left = isCropped ? 0 : window.anchorColumn();
        int columns = window.columnsOf(image);
        int[] sources = new int[columns + window.width() - 1];
        Arrays.setAll(sources, n -> window.border().source(n - left, image.columns()));
        int[][] rows = new int[count + window.height() - 1][sources.length];
        for (int n = 0; n < rows.length; n++) {
            int from = window.border().source(first + n - up, image.rows());
            if (from < 0) {
                Arrays.fill(rows[n], outside);
            } else if (isCropped) {
                image.levels(from, rows[n], 0);
            } else {
                image.levels(from, rows[n], left);
                addSides(rows[n], sources, left, image.columns(), outside);
            }
        }
        return new Plane(rows, window, columns);
    }

    private static void addSides(int[] row, int[] sources, int left, int width, int outside) {
        for (int n = 0; n < row.length; n++) {
            if (n < left || n >= left + width) {
                row[n] = sources[n] < 0 ? outside : row[left + sources[n]];
            }
        }
    }

    /** @return a row with its sides; not to be changed */
    public int[] row(int n) {
        return rows[n];
    }

    public int height() {
        return rows.length;
    }

    /** @return the columns of the result */
    public int columns() {
        return columns;
    }

    public Window window() {
        return window;
    }
}

package pixeron.step.neighborhood;

import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;
import pixeron.image.Image;
import pixeron.number.Rational;

/**
 * Some rows of a level image with what is outside around them: the cell (a, b) of the window of the result at (i, j)
 * is {@code row(i + a)[j + b]}, without a question about borders.
 */
public final class Plane extends RowsAround {

    /** Values outside beyond this are left to exact arithmetic; they could overflow sums. */
    private static final int LARGEST_OUTSIDE = 65535;

    private final int count;
    private final RowRing<int[]> rows;
    private final List<RowRing<int[]>> moved;

    private Plane(Margins around, int count, int capacity) {
        super(around);
        this.count = count;
        this.rows = new RowRing<>(capacity, () -> new int[around.columns().length], this::read);
        this.moved = IntStream.range(0, window().width()).mapToObj(by -> new RowRing<>(capacity, () -> new int[columns],
                (n, into) -> System.arraycopy(row(n), by, into, 0, columns))).toList();
    }

    /** Returns whether all that can be in a window is a whole number. */
    public static boolean isPossible(Image image, Window window) {
        return image.isLevelImage() && window.outside() instanceof Rational outside && outside.isInt()
                && Math.abs((long) outside.toInt()) <= LARGEST_OUTSIDE;
    }

    /** Returns all rows, with 0 where nothing is outside; several threads may read it. */
    public static Plane all(Image image, Window window) {
        int rows = window.frameOf(image).rows();
        Plane plane = new Plane(Margins.of(image, window, 0, 0), rows, rows + window.height() - 1);
        for (int n = 0; n < plane.height(); n++) {
            plane.row(n);
        }
        return plane;
    }

    /**
     * A plane for reading downwards: only as many rows as the window is high are kept at a time.
     *
     * @param count how many of the result's rows
     */
    static Plane of(Margins around, int count) {
        return new Plane(around, count, around.window().height());
    }

    /** Returns a row with its sides, not to be changed; it holds until a row by the window's height further is asked for. */
    public int[] row(int n) {
        return rows.get(n);
    }

    private void read(int n, int[] into) {
        int from = around.row(n);
        if (from < 0) {
            Arrays.fill(into, around.outside());
            return;
        }
        around.image().levels(from, into, around.left());
        // What lies beside the image is copied from it; with border=crop nothing does.
        around.forSides((at, column) -> into[at] = column < 0 ? around.outside() : into[around.left() + column]);
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
        return by == 0 ? row(n) : moved.get(by).get(n);
    }

    @Override
    public int[] cells(int n, int by, int run) {
        return shifted(n, by);
    }

    @Override
    public int runs() {
        return 1;
    }

    @Override
    public int length() {
        return columns;
    }

    /** Returns the number of rows, those around the result counted in. */
    public int height() {
        return count + window().height() - 1;
    }
}

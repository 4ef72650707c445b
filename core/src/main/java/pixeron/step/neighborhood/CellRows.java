package pixeron.step.neighborhood;

/**
 * For each cell of a window its samples for all pixels of a row of the result, in some runs of equal length: of n runs column j is in run
 * j mod n at place ⌊j ÷ n⌋, or {@link #place where else}, if numbers hold more than one. The last numbers of a run may represent no column.
 */
public interface CellRows {

    /**
     * Returns its samples, at least {@link #length} of them, not to be changed; they hold until a row by the window's height further is asked for.
     *
     * @param n the row of the result and of the window, added up
     * @param by the column of the cell in the window, 0 … width − 1
     * @param run which run
     */
    int[] cells(int n, int by, int run);

    /** Returns how many runs there are. */
    int runs();

    /** Returns the run in which a column of the result stands. */
    default int run(int column) {
        return column % runs();
    }

    /** Returns where in its run a column of the result stands. */
    default int place(int column) {
        return column / runs();
    }

    /** Returns how long a run is. */
    int length();

    /** Returns the columns of the result. */
    int columns();

    Window window();

    /** Returns room for a number for each place. */
    default int[][] room() {
        return new int[runs()][length()];
    }
}

package pixeron.step.neighborhood;

/**
 * For each cell of a window its samples for all pixels of a row of the result, in some runs of equal length: of n runs column j stands in run
 * j mod n at place ⌊j ÷ n⌋, or {@link #place where else}, if numbers hold more than one. The last numbers of a run may stand for no column.
 */
public interface CellRows {

    /**
     * @param n the row of the result and of the window, added up
     * @param by the column of the cell in the window, 0 … width − 1
     * @param run which run
     * @return its samples, at least {@link #length} of them, not to be changed; they hold until a row by the window's height further is asked for
     */
    int[] cells(int n, int by, int run);

    /** @return how many runs there are */
    int runs();

    /** @return the run in which a column of the result stands */
    default int run(int column) {
        return column % runs();
    }

    /** @return where in its run a column of the result stands */
    default int place(int column) {
        return column / runs();
    }

    /** @return how long a run is */
    int length();

    /** @return the columns of the result */
    int columns();

    Window window();

    /** @return room for a number for each place */
    default int[][] room() {
        return new int[runs()][length()];
    }
}

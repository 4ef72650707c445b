package pixeron.step.rank;

import java.util.Arrays;
import pixeron.step.neighborhood.Window;

/**
 * Places in sorted windows of which rows or columns are missing, at the edges of an image of bytes. The levels of a window are counted; from
 * one window to the next, along an edge, a row or a column of cells joins and another leaves.
 */
final class EdgeRanks {

    private static final int BYTE = 0xFF;

    private final byte[][] rows;
    private final Ranked ranked;
    private final int height;
    private final int width;
    private final int columns;
    /** Which rows and columns around the results are there: from the first on up to the last and one. */
    private int firstRow;
    private int endOfRows;
    private int firstColumn;
    private int endOfColumns;
    private int rowCount;
    /** The codes of rows of which all windows miss something, and of all rows those at both sides, beside each other. */
    private final int[][] ofRows;
    private final int[][] ofSides;

    private final int[] counts = new int[BYTE + 1];
    private int count;
    /** How many of those counted reach the value. */
    private int value;
    private int reaching;

    /**
     * @param rows the levels around some rows of results; read again for each band
     * @param columns of the results
     */
    EdgeRanks(byte[][] rows, Window window, int columns, Ranked ranked) {
        this.rows = rows;
        this.ranked = ranked;
        this.height = window.height();
        this.width = window.width();
        this.columns = columns;
        this.ofRows = new int[rows.length - height + 1][];
        this.ofSides = new int[rows.length - height + 1][];
    }

    /** @param count how many rows are read, those around the results counted in */
    void begin(int count) {
        rowCount = count;
        firstRow = count;
        endOfRows = 0;
    }

    /** Looks at a row that is read for what is missing. */
    void look(int n, int... levels) {
        int middle = levels.length / 2;
        if (levels[middle] == SortedRows.ABSENT) {
            return;
        }
        firstRow = Math.min(firstRow, n);
        endOfRows = n + 1;
        firstColumn = 0;
        while (levels[firstColumn] == SortedRows.ABSENT) {
            firstColumn++;
        }
        endOfColumns = levels.length;
        while (levels[endOfColumns - 1] == SortedRows.ABSENT) {
            endOfColumns--;
        }
    }

    /** Writes into what is missing what stands next to it. */
    void extend() {
        for (int n = firstRow; n < endOfRows; n++) {
            Arrays.fill(rows[n], 0, firstColumn, rows[n][firstColumn]);
            Arrays.fill(rows[n], endOfColumns, columns + width - 1, rows[n][endOfColumns - 1]);
        }
        for (int n = 0; n < firstRow; n++) {
            System.arraycopy(rows[firstRow], 0, rows[n], 0, rows[n].length);
        }
        for (int n = endOfRows; n < rowCount; n++) {
            System.arraycopy(rows[endOfRows - 1], 0, rows[n], 0, rows[n].length);
        }
    }

    private boolean isRowMissing(int row) {
        return row < firstRow || row + height > endOfRows;
    }

    /** Returns the columns of results at the left that miss something. */
    private int left() {
        return Math.min(firstColumn, columns);
    }

    /** Returns the first column at the right that misses something, and is not one at the left. */
    private int right() {
        return Math.max(left(), endOfColumns - width + 1);
    }

    /** Calculates all windows of some rows of results of which something is missing. */
    void find(int results) {
        for (int row = 0; row < results; row++) {
            if (isRowMissing(row)) {
                ofRows[row] = new int[columns];
                across(row);
            }
            ofSides[row] = new int[left() + columns - right()];
        }
        for (int column = 0; column < left(); column++) {
            down(column, column, results);
        }
        for (int column = right(); column < columns; column++) {
            down(column, column - right() + left(), results);
        }
    }

    private void across(int row) {
        int top = Math.max(row, firstRow);
        int end = Math.min(row + height, endOfRows);
        clear();
        for (int j = 0; j < columns + width - 1; j++) {
            if (j >= firstColumn && j < endOfColumns) {
                for (int n = top; n < end; n++) {
                    join(rows[n][j] & BYTE);
                }
            }
            int column = j - width + 1;
            if (column >= 0) {
                ofRows[row][column] = code();
                for (int n = top; n < end && column >= firstColumn; n++) {
                    leave(rows[n][column] & BYTE);
                }
            }
        }
    }

    /** @param at where its codes stand among those of the sides */
    private void down(int column, int at, int results) {
        int left = Math.max(column, firstColumn);
        int end = Math.min(column + width, endOfColumns);
        clear();
        for (int n = 0; n < results + height - 1; n++) {
            for (int j = left; j < end && n >= firstRow && n < endOfRows; j++) {
                join(rows[n][j] & BYTE);
            }
            int row = n - height + 1;
            if (row >= 0) {
                ofSides[row][at] = code();
                for (int j = left; j < end && row >= firstRow; j++) {
                    leave(rows[row][j] & BYTE);
                }
            }
        }
    }

    private void clear() {
        Arrays.fill(counts, 0);
        count = 0;
        value = 0;
        reaching = 0;
    }

    private void join(int level) {
        counts[level]++;
        count++;
        reaching += level >= value ? 1 : 0;
    }

    private void leave(int level) {
        counts[level]--;
        count--;
        reaching -= level >= value ? 1 : 0;
    }

    /** Returns the value and once more the value, or that at the next place. */
    private int code() {
        int needed = ranked.needed(count);
        while (reaching < needed) {
            value--;
            reaching += counts[value];
        }
        while (reaching - counts[value] >= needed) {
            reaching -= counts[value];
            value++;
        }
        int other = value;
        if (ranked.isBetween(count)) {
            for (int left = reaching - counts[other]; left >= needed - 1; left -= counts[other]) {
                other++;
            }
        }
        return value + other;
    }

    /** Writes the codes of the windows of a row of which something is missing. */
    void fill(int row, int... into) {
        if (isRowMissing(row)) {
            System.arraycopy(ofRows[row], 0, into, 0, columns);
        } else {
            System.arraycopy(ofSides[row], 0, into, 0, left());
            System.arraycopy(ofSides[row], left(), into, right(), columns - right());
        }
    }
}

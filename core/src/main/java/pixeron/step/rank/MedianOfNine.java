package pixeron.step.rank;

import java.util.Arrays;
import pixeron.step.neighborhood.Codes;
import pixeron.step.neighborhood.Plane;

/**
 * The median of whole windows of 3 × 3 by exchanges alone: each column of three is sorted once and serves three windows. The median of
 * nine is the median of the largest of the three smallest, the middle of the three middle ones, and the smallest of the three largest.
 *
 * <p>Every line is a loop of minima and maxima over a whole row, which the virtual machine does for several columns at once. Windows with
 * cells missing, at the edge of the image, are sorted one by one.
 */
final class MedianOfNine implements Codes.Rows {

    static final int SIDE = 3;

    private final Plane plane;
    private final Ranked ranked;
    private final int[] low;
    private final int[] middle;
    private final int[] high;
    private final int[] cells = new int[SIDE * SIDE];

    /** @param plane of windows of 3 × 3 */
    MedianOfNine(Plane plane, Ranked ranked) {
        this.plane = plane;
        this.ranked = ranked;
        int width = plane.columns() + SIDE - 1;
        this.low = new int[width];
        this.middle = new int[width];
        this.high = new int[width];
    }

    @Override
    public void fill(int row, int[] codes) {
        int[] above = plane.row(row);
        int[] here = plane.row(row + 1);
        int[] below = plane.row(row + 2);
        sortColumns(above, here, below);
        choose(codes);
        // A row that is missing is missing as a whole; of a column at the side all cells are.
        boolean isRowMissing = above[1] == SortedRows.ABSENT || below[1] == SortedRows.ABSENT;
        for (int j = 0; j < codes.length; j += isRowMissing ? 1 : Math.max(1, codes.length - 1)) {
            if (isRowMissing || here[j] == SortedRows.ABSENT || here[j + 2] == SortedRows.ABSENT) {
                codes[j] = sorted(j, above, here, below);
            }
        }
    }

    private void choose(int... codes) {
        int[] smallest = low;
        int[] middles = middle;
        int[] largest = high;
        for (int j = 0; j < codes.length; j++) {
            int a = Math.max(Math.max(smallest[j], smallest[j + 1]), smallest[j + 2]);
            int c = Math.min(Math.min(largest[j], largest[j + 1]), largest[j + 2]);
            int first = Math.min(middles[j], middles[j + 1]);
            int second = Math.max(middles[j], middles[j + 1]);
            int b = Math.max(first, Math.min(second, middles[j + 2]));
            // A code is twice the value.
            codes[j] = 2 * Math.max(Math.min(a, b), Math.min(Math.max(a, b), c));
        }
    }

    private void sortColumns(int[] above, int[] here, int... below) {
        int[] smallest = low;
        int[] middles = middle;
        int[] largest = high;
        for (int j = 0; j < smallest.length; j++) {
            int first = Math.min(above[j], here[j]);
            int second = Math.max(above[j], here[j]);
            smallest[j] = Math.min(first, below[j]);
            middles[j] = Math.max(first, Math.min(second, below[j]));
            largest[j] = Math.max(second, below[j]);
        }
    }

    /** @return the code of a window of which some cells are missing */
    private int sorted(int column, int[]... rows) {
        int count = 0;
        for (int[] row : rows) {
            for (int b = column; b < column + SIDE; b++) {
                if (row[b] != SortedRows.ABSENT) {
                    cells[count++] = row[b];
                }
            }
        }
        Arrays.sort(cells, 0, count);
        // Where cells are missing the pixel may be one that keeps its value; then any place will do.
        int at = Math.min(ranked.at(count), count - 1);
        return cells[at] + (ranked.isBetween(count) ? cells[at + 1] : cells[at]);
    }
}

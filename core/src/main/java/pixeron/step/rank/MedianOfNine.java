package pixeron.step.rank;

import pixeron.step.neighborhood.CellRows;
import pixeron.step.neighborhood.Codes;

/**
 * The median of whole windows of 3 × 3 by exchanges alone: each column of three is sorted. The median of nine is the median of the largest
 * of the three smallest, the middle of the three middle ones, and the smallest of the three largest.
 *
 * <p>Every line is a loop over a whole run of columns, which the virtual machine does several columns at once; not so minima and maxima, so
 * the smaller of two numbers is found by the sign of their difference.
 */
final class MedianOfNine implements Codes.RunRows {

    static final int SIDE = 3;
    private static final int SIGN = 31;

    private final CellRows rows;
    private final Gaps gaps;
    private final int[][] low;
    private final int[][] middle;
    private final int[][] high;
    /** Gets what of three sorted numbers is of no use. */
    private final int[] spare;

    /**
     * @param rows of windows of 3 × 3
     * @param maximumLevel M of the image
     */
    MedianOfNine(CellRows rows, int maximumLevel, Ranked ranked) {
        this.rows = rows;
        this.gaps = new Gaps(rows, maximumLevel, ranked);
        this.low = new int[SIDE][rows.length()];
        this.middle = new int[SIDE][rows.length()];
        this.high = new int[SIDE][rows.length()];
        this.spare = new int[rows.length()];
    }

    @Override
    public void fill(int row, int[][] codes) {
        for (int run = 0; run < codes.length; run++) {
            for (int b = 0; b < SIDE; b++) {
                sort(rows.cells(row, b, run), rows.cells(row + 1, b, run), rows.cells(row + 2, b, run), low[b], middle[b], high[b]);
            }
            largest(low[0], low[1], low[2]);
            smallest(high[0], high[1], high[2]);
            sort(middle[0], middle[1], middle[2], spare, middle[0], spare);
            sort(low[0], middle[0], high[0], spare, middle[0], spare);
            twice(middle[0], codes[run]);
        }
        gaps.fill(row, codes);
    }

    private static void sort(int[] first, int[] second, int[] third, int[] low, int[] middle, int[] high) {
        for (int j = 0; j < low.length; j++) {
            int a = first[j];
            int b = second[j];
            int c = third[j];
            int less = a - b & a - b >> SIGN;
            int small = b + less;
            int large = a - less;
            int lessOfLarge = large - c & large - c >> SIGN;
            int between = c + lessOfLarge;
            int lessOfSmall = small - between & small - between >> SIGN;
            low[j] = between + lessOfSmall;
            middle[j] = small - lessOfSmall;
            high[j] = large - lessOfLarge;
        }
    }

    /** The largest of three comes to be in the first. */
    private static void largest(int[] first, int[] second, int[] third) {
        for (int j = 0; j < first.length; j++) {
            int a = first[j];
            int b = second[j];
            int c = third[j];
            int large = a - (a - b & a - b >> SIGN);
            first[j] = large - (large - c & large - c >> SIGN);
        }
    }

    private static void smallest(int[] first, int[] second, int[] third) {
        for (int j = 0; j < first.length; j++) {
            int a = first[j];
            int b = second[j];
            int c = third[j];
            int small = b + (a - b & a - b >> SIGN);
            first[j] = c + (small - c & small - c >> SIGN);
        }
    }

    /** A code is twice the value. */
    private static void twice(int[] values, int[] codes) {
        for (int j = 0; j < codes.length; j++) {
            codes[j] = values[j] + values[j];
        }
    }
}

package pixeron.step.rank;

import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;
import pixeron.step.neighborhood.CellRows;
import pixeron.step.neighborhood.Codes;
import pixeron.step.neighborhood.RowRing;

/**
 * Places in sorted windows of bytes without sorting, bit by bit from the highest: the next bit of the value is set where so many cells of the
 * window are at least the value with it as are at the place or behind.
 *
 * <p>Every line is a loop of differences over a whole run of columns, which the virtual machine does many columns at once; two columns are
 * kept in one number, 16 bits each. Cost for each pixel: one and a half operations for each cell and bit, many pixels at a time.
 */
final class RankByBits implements Codes.RunRows {

    /** Counts of so many cells fit with what they are compared with. */
    static final int MOST_CELLS = 127;

    private static final int BITS = 8;
    private static final int HALF = 16;
    private static final int BYTE = 0xFF;
    private static final int LOWER = 0xFFFF;
    private static final int BOTH = 0x00010001;
    /** Stands above a level: it is still there after a number is removed that is no larger than the level. */
    private static final int ABOVE = BOTH << BITS;
    private static final int SIGNS = BOTH << HALF - 1;

    private final CellRows rows;
    private final Ranked ranked;
    private final Gaps gaps;
    private final int width;
    /** For each two runs, and each column of the window, both of them together. */
    private final List<List<RowRing<int[]>>> pairs;
    private final int[][] cells;
    private final int[] values;
    private final int[] counts;

    /** @param rows of four runs of levels up to 255 and windows of at most {@link #MOST_CELLS} cells */
    RankByBits(CellRows rows, Ranked ranked) {
        this.rows = rows;
        this.ranked = ranked;
        this.gaps = new Gaps(rows, BYTE, ranked);
        this.width = rows.window().width();
        int height = rows.window().height();
        this.pairs = IntStream.range(0, rows.runs() / 2).mapToObj(two -> IntStream.range(0, width).mapToObj(b -> new RowRing<>(height,
                () -> new int[rows.length()], (n, into) -> join(rows.cells(n, b, 2 * two), rows.cells(n, b, 2 * two + 1), into))).toList()).toList();
        this.cells = new int[height * width][];
        this.values = new int[rows.length()];
        this.counts = new int[rows.length()];
    }

    private static void join(int[] first, int[] second, int[] into) {
        for (int m = 0; m < into.length; m++) {
            into[m] = first[m] & BYTE | (second[m] & BYTE) << HALF | ABOVE;
        }
    }

    @Override
    public void fill(int row, int[][] codes) {
        int at = ranked.at(cells.length);
        for (int two = 0; two < pairs.size() && !gaps.isRowMissing(row); two++) {
            for (int n = 0; n < cells.length; n++) {
                cells[n] = pairs.get(two).get(n % width).get(row + n / width);
            }
            find(at);
            part(values, codes[2 * two], codes[2 * two + 1]);
            if (ranked.isBetween(cells.length)) {
                find(at + 1);
            }
            add(values, codes[2 * two], codes[2 * two + 1]);
        }
        gaps.fill(row, codes);
    }

    /** Finds the values at a place from 0 of all windows. */
    private void find(int at) {
        int needed = cells.length - at;
        Arrays.fill(values, 0);
        for (int bit = BITS - 1; bit >= 0; bit--) {
            int trial = BOTH << bit;
            first(cells[0], trial, values, counts);
            int n = 1;
            // Three at a time: for more the virtual machine no longer does several columns at once.
            for (; n + 2 < cells.length; n += 3) {
                count(cells[n], cells[n + 1], cells[n + 2], trial, values, counts);
            }
            for (; n < cells.length; n++) {
                count(cells[n], trial, values, counts);
            }
            keep(bit, (1 << HALF - 1) - (needed << BITS), counts, values);
        }
    }

    private static void first(int[] cells, int trial, int[] values, int[] counts) {
        for (int m = 0; m < counts.length; m++) {
            counts[m] = cells[m] - values[m] - trial & ABOVE;
        }
    }

    private static void count(int[] cells, int trial, int[] values, int[] counts) {
        for (int m = 0; m < counts.length; m++) {
            counts[m] += cells[m] - values[m] - trial & ABOVE;
        }
    }

    private static void count(int[] first, int[] second, int[] third, int trial, int[] values, int[] counts) {
        for (int m = 0; m < counts.length; m++) {
            int value = values[m] + trial;
            counts[m] += (first[m] - value & ABOVE) + (second[m] - value & ABOVE) + (third[m] - value & ABOVE);
        }
    }

    /** Where there are as many as needed, the count and what it lacks of 2¹⁵ come to that. */
    private static void keep(int bit, int lack, int[] counts, int[] values) {
        int both = lack * BOTH;
        int down = HALF - 1 - bit;
        for (int m = 0; m < values.length; m++) {
            values[m] += (counts[m] + both & SIGNS) >>> down;
        }
    }

    private static void part(int[] values, int[] first, int[] second) {
        for (int m = 0; m < values.length; m++) {
            first[m] = values[m] & LOWER;
            second[m] = values[m] >>> HALF;
        }
    }

    /** A code is the value and once more the value, or that at the next place. */
    private static void add(int[] values, int[] first, int[] second) {
        for (int m = 0; m < values.length; m++) {
            first[m] += values[m] & LOWER;
            second[m] += values[m] >>> HALF;
        }
    }
}

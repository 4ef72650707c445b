package pixeron.step.rank;

import java.util.Arrays;
import pixeron.step.neighborhood.Codes;
import pixeron.step.neighborhood.Plane;

/**
 * Places in sorted windows of levels of bytes, at a cost that does not grow with the window: each column of the image counts its own levels
 * over the window's height, one level joining and one leaving from row to row; the window's counts are those of its columns, one joining
 * and one leaving from pixel to pixel.
 *
 * <p>Levels are counted in 16 groups of 16, four counts of 16 bits in one number, so that adding a column's counts of groups is four
 * additions. A group's own counts are brought up to date only where the place lies in it, which is mostly the same group for neighbors.
 */
final class ColumnCounts implements Codes.Rows {

    /** Four counts of one number must stay below this, so that they can be compared at once. */
    static final int MOST_CELLS = Short.MAX_VALUE;

    private static final int GROUPS = 16;
    /** Numbers that hold the counts of 16 levels, or of 16 groups. */
    private static final int NUMBERS = 4;
    private static final int COUNT_BITS = 16;
    private static final int LAST = 48;
    private static final int LOWER = 0xFFFF;
    private static final long ONES = 0x0001000100010001L;
    private static final long SIGNS = 0x8000800080008000L;

    private final Plane plane;
    private final int height;
    private final int width;
    private final int columns;
    private final Ranked ranked;
    /** For each column how many levels it has of each group, and in all; for each group of each column those of its levels. */
    private final long[] ofGroups;
    private final int[] inAll;
    private final long[][] ofLevels;
    private final long[] window = new long[NUMBERS];
    private final long[][] windowLevels = new long[GROUPS][NUMBERS];
    /** For each group up to which column its counts in the window are right; the window reaches as far back from there. */
    private final int[] upTo = new int[GROUPS];
    private int counted;
    private int rest;

    /** @param plane of levels up to 255 and windows of at most {@link #MOST_CELLS} cells */
    ColumnCounts(Plane plane, Ranked ranked) {
        this.plane = plane;
        this.height = plane.window().height();
        this.width = plane.window().width();
        this.columns = plane.columns() + width - 1;
        this.ranked = ranked;
        this.ofGroups = new long[NUMBERS * columns];
        this.inAll = new int[columns];
        this.ofLevels = new long[GROUPS][NUMBERS * columns];
    }

    @Override
    public void fill(int row, int[] codes) {
        for (; counted < row + height; counted++) {
            count(plane.row(counted), 1);
        }
        Arrays.fill(window, 0);
        Arrays.fill(upTo, -1);
        int cells = 0;
        for (int b = 0; b < width - 1; b++) {
            add(ofGroups, b, window);
            cells += inAll[b];
        }
        for (int j = 0; j < codes.length; j++) {
            add(ofGroups, j + width - 1, window);
            cells += inAll[j + width - 1];
            int at = ranked.anyAt(cells);
            int level = level(j, at);
            codes[j] = level + (ranked.isBetween(cells) ? level(j, at + 1) : level);
            subtract(ofGroups, j, window);
            cells -= inAll[j];
        }
        count(plane.row(row), -1);
    }

    /** Counts a row in, or out. */
    private void count(int[] levels, int one) {
        for (int j = 0; j < columns; j++) {
            int level = levels[j];
            if (level != SortedRows.ABSENT) {
                int group = level >> 4;
                ofGroups[NUMBERS * j + (group >> 2)] += (long) one << COUNT_BITS * (group & 3);
                ofLevels[group][NUMBERS * j + (level >> 2 & 3)] += (long) one << COUNT_BITS * (level & 3);
                inAll[j] += one;
            }
        }
    }

    private static void add(long[] counts, int column, long[] sums) {
        int at = NUMBERS * column;
        sums[0] += counts[at];
        sums[1] += counts[at + 1];
        sums[2] += counts[at + 2];
        sums[3] += counts[at + 3];
    }

    private static void subtract(long[] counts, int column, long[] sums) {
        int at = NUMBERS * column;
        sums[0] -= counts[at];
        sums[1] -= counts[at + 1];
        sums[2] -= counts[at + 2];
        sums[3] -= counts[at + 3];
    }

    /** Returns the level at a place from 0 of the window whose first column is given. */
    private int level(int column, int at) {
        int group = found(window, at);
        int inGroup = rest;
        long[] levels = windowLevels[group];
        bringUpToDate(ofLevels[group], levels, upTo[group], column);
        upTo[group] = column + width - 1;
        return group * GROUPS + found(levels, inGroup);
    }

    private void bringUpToDate(long[] counts, long[] sums, int before, int first) {
        int last = first + width - 1;
        // Nothing of what was added up is left: all columns anew.
        if (before < 0 || last - before >= width / 2 + 1) {
            Arrays.fill(sums, 0);
            for (int column = first; column <= last; column++) {
                add(counts, column, sums);
            }
            return;
        }
        for (int column = before + 1; column <= last; column++) {
            add(counts, column, sums);
            subtract(counts, column - width, sums);
        }
    }

    /** Finds the count in which a place lies; the rest is the place less all counts before. */
    private int found(long[] counts, int at) {
        int left = at;
        int n = 0;
        // Times ones, every count becomes the sum of itself and those before it.
        long sums = counts[0] * ONES;
        while (left >= (int) (sums >>> LAST)) {
            left -= (int) (sums >>> LAST);
            n++;
            sums = counts[n] * ONES;
        }
        int before = Long.bitCount((left * ONES | SIGNS) - sums & SIGNS);
        rest = left - ((int) (sums << COUNT_BITS >>> COUNT_BITS * before) & LOWER);
        return NUMBERS * n + before;
    }
}

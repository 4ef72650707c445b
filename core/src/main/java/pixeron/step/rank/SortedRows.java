package pixeron.step.rank;

import pixeron.step.neighborhood.Codes;
import pixeron.step.neighborhood.Plane;

/**
 * Places in sorted windows without sorting: how often each level is in the window is counted, one column joins and one
 * leaves from pixel to pixel, and the place is found by counting up, first in groups of levels, then within one.
 *
 * <p>Cost for each pixel: 2·height counts, and at most 2·√(M + 1) additions.
 */
final class SortedRows implements Codes.Rows {

    /** Stands where nothing counts. */
    static final int ABSENT = -1;

    private static final int BYTE_SHIFT = 4;
    private static final int WORD_SHIFT = 8;

    private final Plane plane;
    private final int height;
    private final int width;
    private final Ranked ranked;
    private final int shift;
    private final int[] counts;
    private final int[] groups;
    private final int[][] rows;
    private int count;

    SortedRows(Plane plane, int maximumLevel, Ranked ranked) {
        this.plane = plane;
        this.height = plane.window().height();
        this.width = plane.window().width();
        this.ranked = ranked;
        this.shift = maximumLevel <= 255 ? BYTE_SHIFT : WORD_SHIFT;
        this.counts = new int[((maximumLevel >> shift) + 1) << shift];
        this.rows = new int[height][];
        this.groups = new int[(maximumLevel >> shift) + 1];
    }

    @Override
    public void fill(int row, int[] codes) {
        for (int a = 0; a < height; a++) {
            rows[a] = plane.row(row + a);
        }
        for (int b = 0; b < width - 1; b++) {
            count(b, 1);
        }
        for (int j = 0; j < plane.columns(); j++) {
            count(j + width - 1, 1);
            int at = ranked.anyAt(count);
            int level = level(at);
            codes[j] = level + (ranked.isBetween(count) ? level(at + 1) : level);
            count(j, -1);
        }
        for (int b = 0; b < width - 1; b++) {
            count(plane.columns() + b, -1);
        }
    }

    /** Counts a column of cells in, or out. */
    private void count(int column, int one) {
        int[] all = counts;
        int[] ofGroups = groups;
        int seen = 0;
        for (int[] cells : rows) {
            int level = cells[column];
            if (level != ABSENT) {
                all[level] += one;
                ofGroups[level >> shift] += one;
                seen++;
            }
        }
        count += one * seen;
    }

    /** Returns the level at a place from 0. */
    private int level(int at) {
        int left = at;
        int group = 0;
        while (left >= groups[group]) {
            left -= groups[group++];
        }
        int level = group << shift;
        while (left >= counts[level]) {
            left -= counts[level++];
        }
        return level;
    }
}

package pixeron.step.rank;

import java.util.function.IntConsumer;
import java.util.stream.IntStream;
import pixeron.step.neighborhood.Border;
import pixeron.step.neighborhood.CellRows;

/** Places of sorted windows of which cells are missing, at the edge of an image: these are calculated one by one. */
final class Gaps {

    private static final int SIGN = 31;

    private final CellRows rows;
    private final Ranked ranked;
    private final int highestBit;
    private final boolean hasAny;
    private final int[][] cells;
    private final int[] inside;

    /** @param maximumLevel M of the image */
    Gaps(CellRows rows, int maximumLevel, Ranked ranked) {
        this.rows = rows;
        this.ranked = ranked;
        this.highestBit = Integer.highestOneBit(maximumLevel);
        this.hasAny = rows.window().border() == Border.INSIDE || rows.window().border() == Border.KEEP;
        this.cells = new int[rows.window().height() * rows.window().width()][];
        this.inside = new int[cells.length];
    }

    /** Returns whether rows of the windows of a row are missing as a whole, the topmost or the lowest first. */
    boolean isRowMissing(int row) {
        int middle = rows.window().anchorColumn();
        return rows.cells(row, middle, 0)[0] == SortedRows.ABSENT || rows.cells(row + rows.window().height() - 1, middle, 0)[0] == SortedRows.ABSENT;
    }

    /** Writes the codes, twice the values, of all windows of a row of which cells are missing. */
    void fill(int row, int[]... codes) {
        if (!hasAny) {
            return;
        }
        int width = rows.window().width();
        for (int run = 0; run < codes.length; run++) {
            for (int n = 0; n < cells.length; n++) {
                cells[n] = rows.cells(row + n / width, n % width, run);
            }
            int[] ofRun = codes[run];
            int own = run;
            IntConsumer visit = j -> {
                if (rows.run(j) == own) {
                    fill(rows.place(j), ofRun);
                }
            };
            if (isRowMissing(row)) {
                IntStream.range(0, rows.columns()).forEach(visit);
            } else {
                rows.window().forSides(rows.columns(), visit);
            }
        }
    }

    private void fill(int place, int... codes) {
        int count = 0;
        for (int[] cell : cells) {
            if (cell[place] != SortedRows.ABSENT) {
                inside[count++] = cell[place];
            }
        }
        if (count < cells.length) {
            int at = ranked.anyAt(count);
            int value = value(count, at);
            codes[place] = value + (ranked.isBetween(count) ? value(count, at + 1) : value);
        }
    }

    /** The value at a place from 0, bit by bit: it has a bit where no more cells than are before the place are below the value with it. */
    private int value(int count, int at) {
        int value = 0;
        for (int bit = highestBit; bit > 0; bit >>= 1) {
            int below = 0;
            for (int n = 0; n < count; n++) {
                below += inside[n] - value - bit >>> SIGN;
            }
            value += below <= at ? bit : 0;
        }
        return value;
    }
}

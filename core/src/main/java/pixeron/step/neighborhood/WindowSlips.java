package pixeron.step.neighborhood;

import java.util.ArrayList;
import java.util.List;
import pixeron.image.Pixel;
import pixeron.step.Slip;
import pixeron.step.Source;
import pixeron.step.Way;

/** Slips that every step with a window has: something else is outside the image, or a cell of the window is omitted. */
final class WindowSlips {

    /** In windows with more cells than this a single one is not looked for. */
    private static final int MOST_CELLS = 49;

    private WindowSlips() {
    }

    /** The same cell is omitted for all pixels, where cells have no weights: it does not count. */
    static Slip missed() {
        return Slip.of("neighbor-missed", right -> {
            if (right.step().type().spelledOut(right.step()).isPresent()) {
                // There a weight is omitted, with its divisor.
                return List.of();
            }
            Pixel middle = new Pixel(right.before().rows() / 2, right.before().columns() / 2);
            List<Source> cells = right.frame().contains(middle) ? right.sources(middle) : List.of();
            List<Way> ways = new ArrayList<>();
            for (int n = 0; n < cells.size() && cells.size() <= MOST_CELLS; n++) {
                Source cell = cells.get(n);
                String words = "the cell " + place(cell.row() - middle.row(), cell.column() - middle.column())
                        + " of the window is omitted";
                right.missing(n).ifPresent(done -> ways.add(Way.of(words, done)));
            }
            return ways;
        });
    }

    /** Returns where a cell lies from the pixel: 1 up, 2 left. */
    static String place(int down, int right) {
        String row = down == 0 ? "" : Math.abs(down) + (down < 0 ? " up" : " down");
        String column = right == 0 ? "" : Math.abs(right) + (right < 0 ? " left" : " right");
        return row.isEmpty() && column.isEmpty() ? "in the middle"
                : row + (row.isEmpty() || column.isEmpty() ? "" : ", ") + column;
    }
}

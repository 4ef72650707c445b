package pixeron.step.rank;

import java.util.Arrays;
import java.util.Optional;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.number.Rational;
import pixeron.number.Value;
import pixeron.step.neighborhood.Codes;
import pixeron.step.neighborhood.Plane;
import pixeron.step.neighborhood.Window;

/**
 * The smallest or the largest value of a window, or of the cells of it that a shape has.
 *
 * <p>Cost for each pixel: a few comparisons for a whole window, whatever its size, else one for each cell of the shape.
 */
final class ExtremeCodes implements Codes {

    private final Image before;
    private final boolean isLeast;
    private final Optional<boolean[][]> shape;
    private final int outside;

    /** @param shape which cells count; empty: all */
    ExtremeCodes(Image before, Window window, boolean isLeast, Optional<boolean[][]> shape) {
        this.before = before;
        this.isLeast = isLeast;
        this.shape = shape.filter(cells -> !Arrays.stream(cells).allMatch(ExtremeCodes::isFull));
        this.outside = ((Rational) window.outside()).toInt();
    }

    private static boolean isFull(boolean... row) {
        for (boolean counts : row) {
            if (!counts) {
                return false;
            }
        }
        return true;
    }

    /** Beyond all levels and what is outside, so that it is the smallest or the largest only where nothing else is. */
    @Override
    public int absent() {
        return isLeast ? Math.max(before.maximumLevel(), outside) + 1 : Math.min(0, outside) - 1;
    }

    @Override
    public int least() {
        return Math.min(0, isLeast ? outside : absent());
    }

    @Override
    public int most() {
        return Math.max(before.maximumLevel(), isLeast ? absent() : outside);
    }

    @Override
    public Value value(int code) {
        return Rational.of(code);
    }

    @Override
    public boolean dependsOnCells() {
        return shape.isPresent();
    }

    /** Where no cell of the shape is there, the pixel stays. */
    @Override
    public Value valueAt(Pixel pixel, int code) {
        return code == absent() ? before.value(pixel) : value(code);
    }

    @Override
    public Rows rows(Plane plane) {
        return shape.<Rows>map(cells -> new Shaped(cells, plane)).orElseGet(() -> new Whole(plane));
    }

    private void join(int[] codes, int... cells) {
        if (isLeast) {
            for (int j = 0; j < codes.length; j++) {
                codes[j] = Math.min(codes[j], cells[j]);
            }
        } else {
            for (int j = 0; j < codes.length; j++) {
                codes[j] = Math.max(codes[j], cells[j]);
            }
        }
    }

    private int worst() {
        return isLeast ? Integer.MAX_VALUE : Integer.MIN_VALUE;
    }

    private final class Shaped implements Rows {

        private final boolean[][] cells;
        private final Plane plane;

        Shaped(boolean[][] cells, Plane plane) {
            this.cells = cells;
            this.plane = plane;
        }

        @Override
        public void fill(int row, int[] codes) {
            Arrays.fill(codes, worst());
            for (int a = 0; a < cells.length; a++) {
                for (int b = 0; b < cells[a].length; b++) {
                    if (cells[a][b]) {
                        join(codes, plane.shifted(row + a, b));
                    }
                }
            }
        }
    }

    /**
     * First across, then down. Down goes by blocks of as many rows as the window is high: a window reaches from somewhere in one block to its end, and
     * from the beginning of the next to somewhere in that; the extremes of both are known, so each row takes three comparisons whatever the height.
     */
    private final class Whole implements Rows {

        /** For fewer columns comparing all of them, several columns at once, is quicker than going by blocks. */
        private static final int WORTH_BLOCKS = 6;

        private final Plane plane;
        private final int height;
        private final int width;
        /** For each row of the block, the extreme from it to the end of the block. */
        private int[][] toEnd;
        /** The rows of the next block, as far as they were reached. */
        private int[][] next;
        /** The extreme of those. */
        private final int[] begun;
        private final int[] toRight;
        private final int[] fromLeft;

        Whole(Plane plane) {
            this.plane = plane;
            this.height = plane.window().height();
            this.width = plane.window().width();
            this.toEnd = new int[height][plane.columns()];
            this.next = new int[height][plane.columns()];
            this.begun = new int[plane.columns()];
            this.toRight = new int[plane.columns() + width - 1];
            this.fromLeft = new int[toRight.length];
        }

        @Override
        public void fill(int row, int[] codes) {
            int at = row % height;
            if (at == 0) {
                for (int n = row == 0 ? 0 : height - 1; n < height; n++) {
                    across(row + n, next[n]);
                }
                int[][] done = toEnd;
                toEnd = next;
                next = done;
                for (int n = height - 2; n >= 0; n--) {
                    join(toEnd[n], toEnd[n + 1]);
                }
                Arrays.fill(begun, worst());
            } else {
                across(row + height - 1, next[at - 1]);
                join(begun, next[at - 1]);
            }
            System.arraycopy(toEnd[at], 0, codes, 0, codes.length);
            join(codes, begun);
        }

        private void across(int row, int[] found) {
            if (width < WORTH_BLOCKS) {
                Arrays.fill(found, worst());
                for (int b = 0; b < width; b++) {
                    join(found, plane.shifted(row, b));
                }
                return;
            }
            int[] cells = plane.row(row);
            for (int start = 0; start < cells.length; start += width) {
                int end = Math.min(start + width, cells.length) - 1;
                fromLeft[start] = cells[start];
                for (int j = start + 1; j <= end; j++) {
                    fromLeft[j] = better(fromLeft[j - 1], cells[j]);
                }
                toRight[end] = cells[end];
                for (int j = end - 1; j >= start; j--) {
                    toRight[j] = better(toRight[j + 1], cells[j]);
                }
            }
            for (int j = 0; j < found.length; j++) {
                found[j] = better(toRight[j], fromLeft[j + width - 1]);
            }
        }

        private int better(int one, int other) {
            return isLeast ? Math.min(one, other) : Math.max(one, other);
        }
    }
}

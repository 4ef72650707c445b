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
 * <p>Cost for each pixel: height + width comparisons for a whole window, else one for each cell of the shape.
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

    /** Beyond all levels and what stands outside, so that it is the smallest or the largest only where nothing else is. */
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

    /** First across, kept for as many rows as the window is high, then down. */
    private final class Whole implements Rows {

        private final Plane plane;
        private final int height;
        private final int width;
        private final int[][] across;
        private int done;

        Whole(Plane plane) {
            this.plane = plane;
            this.height = plane.window().height();
            this.width = plane.window().width();
            this.across = new int[height][plane.columns()];
        }

        @Override
        public void fill(int row, int[] codes) {
            for (; done < row + height; done++) {
                int[] found = across[done % height];
                Arrays.fill(found, worst());
                for (int b = 0; b < width; b++) {
                    join(found, plane.shifted(done, b));
                }
            }
            Arrays.fill(codes, worst());
            for (int[] found : across) {
                join(codes, found);
            }
        }
    }
}

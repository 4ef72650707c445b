package pixeron.step.kernel;

import java.util.Arrays;
import java.util.Optional;
import pixeron.step.neighborhood.Codes;
import pixeron.step.neighborhood.Plane;

/**
 * Sums of whole weights times levels for rows of pixels, each kernel the fastest way that it allows; all give the same
 * numbers, because whole numbers may be added in any order.
 *
 * <p>Cost for each pixel: equal weights two sums whatever the size; weights that are a column times a row height + width
 * products; others height × width. No loop but that of equal weights depends on what it did before, so that the
 * virtual machine works on several columns at once.
 */
final class Summation {

    private Summation() {
    }

    /**
     * @param weights whole; every sum of products must fit an int
     * @return what adds up rows of a plane
     */
    static Codes.Rows of(int[][] weights, Plane plane) {
        boolean isBox = Arrays.stream(weights).allMatch(row -> Arrays.stream(row).allMatch(w -> w == weights[0][0]));
        if (isBox && weights.length * weights[0].length > 1) {
            return new Box(weights[0][0], plane);
        }
        return factors(weights).filter(factors -> isWorthwhile(weights)).<Codes.Rows>map(factors ->
                new Separable(factors[0], factors[1], plane)).orElseGet(() -> new Plain(weights, plane));
    }

    private static boolean isWorthwhile(int[]... weights) {
        return weights.length * weights[0].length > weights.length + weights[0].length;
    }

    /** @return a column and a row of whole numbers whose products are the weights; empty where there are none */
    static Optional<int[][]> factors(int[]... weights) {
        int pivotRow = 0;
        while (pivotRow < weights.length && Arrays.stream(weights[pivotRow]).allMatch(w -> w == 0)) {
            pivotRow++;
        }
        if (pivotRow == weights.length) {
            return Optional.empty();
        }
        int common = Arrays.stream(weights[pivotRow]).reduce(0, Summation::commonDivisor);
        int[] row = Arrays.stream(weights[pivotRow]).map(w -> w / common).toArray();
        int pivot = 0;
        while (row[pivot] == 0) {
            pivot++;
        }
        // The row has no common divisor, so every whole multiple of it has a whole factor.
        int[] column = new int[weights.length];
        for (int i = 0; i < weights.length; i++) {
            column[i] = weights[i][pivot] / row[pivot];
            for (int j = 0; j < row.length; j++) {
                if ((long) column[i] * row[j] != weights[i][j]) {
                    return Optional.empty();
                }
            }
        }
        return Optional.of(new int[][] {column, row});
    }

    private static int commonDivisor(int a, int b) {
        return b == 0 ? Math.abs(a) : commonDivisor(b, a % b);
    }

    /** Adds the products of a row of weights and the cells to the right of each column. */
    private static void addAcross(int[] weights, int[] cells, int columns, int[] sums) {
        int b = 0;
        // Three products at a time: each column is then read and written a third as often.
        for (; b + 2 < weights.length; b += 3) {
            addThree(weights[b], weights[b + 1], weights[b + 2], cells, b, columns, sums);
        }
        for (; b < weights.length; b++) {
            addOne(weights[b], cells, b, columns, sums);
        }
    }

    private static void addThree(int u, int v, int w, int[] cells, int from, int columns, int[] sums) {
        for (int j = 0; j < columns; j++) {
            sums[j] += u * cells[from + j] + v * cells[from + 1 + j] + w * cells[from + 2 + j];
        }
    }

    private static void addOne(int weight, int[] cells, int from, int columns, int[] sums) {
        if (weight != 0) {
            for (int j = 0; j < columns; j++) {
                sums[j] += weight * cells[from + j];
            }
        }
    }

    private record Plain(int[][] weights, Plane plane) implements Codes.Rows {

        @Override
        public void fill(int row, int[] codes) {
            Arrays.fill(codes, 0);
            for (int a = 0; a < weights.length; a++) {
                addAcross(weights[a], plane.row(row + a), plane.columns(), codes);
            }
        }
    }

    /** Sums across are kept for as many rows as the kernel is high. */
    private static final class Separable implements Codes.Rows {

        private final int[] column;
        private final int[] row;
        private final Plane plane;
        private final int[][] across;
        private int summed;

        Separable(int[] column, int[] row, Plane plane) {
            this.column = column;
            this.row = row;
            this.plane = plane;
            this.across = new int[column.length][plane.columns()];
        }

        @Override
        public void fill(int result, int[] codes) {
            for (; summed < result + column.length; summed++) {
                int[] sums = across[summed % column.length];
                Arrays.fill(sums, 0);
                addAcross(row, plane.row(summed), plane.columns(), sums);
            }
            Arrays.fill(codes, 0);
            for (int a = 0; a < column.length; a++) {
                addOne(column[a], across[(result + a) % column.length], 0, plane.columns(), codes);
            }
        }
    }

    /** The sum down each column moves from row to row, the sum across from column to column. */
    private static final class Box implements Codes.Rows {

        private final int weight;
        private final Plane plane;
        private final int height;
        private final int width;
        private final int[] down;

        Box(int weight, Plane plane) {
            this.weight = weight;
            this.plane = plane;
            this.height = plane.window().height();
            this.width = plane.window().width();
            this.down = new int[plane.columns() + width - 1];
            for (int a = 0; a < height - 1; a++) {
                addOne(1, plane.row(a), 0, down.length, down);
            }
        }

        @Override
        public void fill(int row, int[] codes) {
            addOne(1, plane.row(row + height - 1), 0, down.length, down);
            int sum = 0;
            for (int b = 0; b < width - 1; b++) {
                sum += down[b];
            }
            for (int j = 0; j < plane.columns(); j++) {
                sum += down[j + width - 1];
                codes[j] = weight * sum;
                sum -= down[j];
            }
            addOne(-1, plane.row(row), 0, down.length, down);
        }
    }
}

package pixeron.step.kernel;

import java.util.Arrays;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.IntStream;
import pixeron.step.neighborhood.CellRows;
import pixeron.step.neighborhood.Codes;
import pixeron.step.neighborhood.Plane;

/**
 * Sums of whole weights times levels for rows of pixels, each kernel the fastest way that it allows; all give the same
 * numbers, because whole numbers may be added in any order.
 *
 * <p>Cost for each pixel: equal weights, or all but a few, two sums whatever the size; weights that are a column times a row height + width
 * products; others height × width. All loops but those of equal weights read their arrays from the first place and depend
 * on nothing that they did before, so that the virtual machine works on several columns at once.
 */
final class Summation {

    /** Moving sums are worth it for so many equal weights. */
    private static final int FEWEST_EQUAL = 16;
    private static final int MOST_OTHERS = 4;
    /** Where columns may be in any order, it takes more of them: adding up several columns at once is quicker for fewer. */
    private static final int FEWEST_MOVED = 50;

    private Summation() {
    }

    /**
     * Returns what adds up rows of a plane.
     *
     * @param weights whole; every sum of products must fit an int
     */
    static Codes.Rows of(int[][] weights, Plane plane) {
        boolean isBox = Arrays.stream(weights).allMatch(row -> Arrays.stream(row).allMatch(w -> w == weights[0][0]));
        if (isBox && weights.length * weights[0].length > 1) {
            return new Box(weights[0][0], plane);
        }
        Optional<Codes.Rows> almost = almostBox(weights, plane);
        if (almost.isPresent()) {
            return almost.get();
        }
        return cellByCell(weights, plane).inOneRun();
    }

    /**
     * Returns what adds up runs of cells by a product for each weight, or for each of a column and a row.
     *
     * @param weights as of {@link #of}
     */
    static Codes.RunRows cellByCell(int[][] weights, CellRows rows) {
        return factors(weights).filter(factors -> isWorthwhile(weights)).<Codes.RunRows>map(factors ->
                new Separable(factors[0], factors[1], rows)).orElseGet(() -> new Plain(weights, rows));
    }

    /** Returns the same for columns in any order; empty for large equal weights, whose sums are moved from column to column. */
    static Optional<Function<CellRows, Codes.RunRows>> inAnyOrder(int[]... weights) {
        boolean isMoving = weights.length * weights[0].length >= FEWEST_MOVED && Arrays.stream(weights).flatMapToInt(Arrays::stream)
                .filter(w -> w != weights[0][0]).count() <= MOST_OTHERS;
        return isMoving ? Optional.empty() : Optional.of(rows -> cellByCell(weights, rows));
    }

    /** Equal weights but for a few cells, such as r less the mean around it: moving sums, and those cells' products. */
    private static Optional<Codes.Rows> almostBox(int[][] weights, Plane plane) {
        int same = weights[0][0];
        int[][] others = Arrays.stream(weights).map(row -> Arrays.stream(row).map(w -> w - same).toArray()).toArray(int[][]::new);
        long count = Arrays.stream(others).flatMapToInt(Arrays::stream).filter(w -> w != 0).count();
        if (same == 0 || count > MOST_OTHERS || (long) weights.length * weights[0].length < FEWEST_EQUAL) {
            return Optional.empty();
        }
        Box box = new Box(same, plane);
        Plain plain = new Plain(others, plane);
        return Optional.of((row, codes) -> {
            box.fill(row, codes);
            plain.addTo(row, codes);
        });
    }

    private static boolean isWorthwhile(int[]... weights) {
        return weights.length * weights[0].length > weights.length + weights[0].length;
    }

    /** Returns a column and a row of whole numbers whose products are the weights; empty where there are none. */
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

    private static void addThree(int[] weights, int[][] rows, int n, int... sums) {
        int u = weights[n];
        int v = weights[n + 1];
        int w = weights[n + 2];
        int[] a = rows[n];
        int[] b = rows[n + 1];
        int[] c = rows[n + 2];
        for (int j = 0; j < sums.length; j++) {
            sums[j] += u * a[j] + v * b[j] + w * c[j];
        }
    }

    private static void setThree(int[] weights, int[][] rows, int... sums) {
        int u = weights[0];
        int v = weights[1];
        int w = weights[2];
        int[] a = rows[0];
        int[] b = rows[1];
        int[] c = rows[2];
        for (int j = 0; j < sums.length; j++) {
            sums[j] = u * a[j] + v * b[j] + w * c[j];
        }
    }

    private static void addOne(int weight, int[] cells, int... sums) {
        for (int j = 0; j < sums.length; j++) {
            sums[j] += weight * cells[j];
        }
    }

    /** Adds weights times rows, three at a time: sums are then read and written a third as often. */
    private static void addAll(int[] weights, int[][] rows, int count, int... sums) {
        int n = 0;
        if (count >= 3) {
            setThree(weights, rows, sums);
            n = 3;
        } else {
            Arrays.fill(sums, 0);
        }
        for (; n + 2 < count; n += 3) {
            addThree(weights, rows, n, sums);
        }
        for (; n < count; n++) {
            addOne(weights[n], rows[n], sums);
        }
    }

    /** One product for each weight that is not 0. */
    private static final class Plain implements Codes.RunRows {

        private final CellRows plane;
        private final int[] down;
        private final int[] across;
        private final int[] weights;
        private final int[][] rows;

        Plain(int[][] all, CellRows plane) {
            this.plane = plane;
            int width = all[0].length;
            int[] cells = IntStream.range(0, all.length * width).filter(n -> all[n / width][n % width] != 0).toArray();
            this.down = Arrays.stream(cells).map(n -> n / width).toArray();
            this.across = Arrays.stream(cells).map(n -> n % width).toArray();
            this.weights = Arrays.stream(cells).map(n -> all[n / width][n % width]).toArray();
            this.rows = new int[cells.length][];
        }

        /** For a plane of one run. */
        void addTo(int row, int... codes) {
            for (int n = 0; n < weights.length; n++) {
                addOne(weights[n], plane.cells(row + down[n], across[n], 0), codes);
            }
        }

        @Override
        public void fill(int row, int[][] codes) {
            for (int run = 0; run < codes.length; run++) {
                for (int n = 0; n < weights.length; n++) {
                    rows[n] = plane.cells(row + down[n], across[n], run);
                }
                addAll(weights, rows, weights.length, codes[run]);
            }
        }
    }

    /** Sums across are kept for as many rows as the kernel is high. */
    private static final class Separable implements Codes.RunRows {

        private final int[] column;
        private final Plain row;
        private final int[][][] across;
        private final int[][] ordered;
        private int summed;

        Separable(int[] column, int[] row, CellRows plane) {
            this.column = column;
            this.row = new Plain(new int[][] {row}, plane);
            this.across = IntStream.range(0, column.length).mapToObj(a -> plane.room()).toArray(int[][][]::new);
            this.ordered = new int[column.length][];
        }

        @Override
        public void fill(int result, int[][] codes) {
            for (; summed < result + column.length; summed++) {
                row.fill(summed, across[summed % column.length]);
            }
            for (int run = 0; run < codes.length; run++) {
                for (int a = 0; a < column.length; a++) {
                    ordered[a] = across[(result + a) % column.length][run];
                }
                addAll(column, ordered, column.length, codes[run]);
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
                addOne(1, plane.row(a), down);
            }
        }

        @Override
        public void fill(int row, int[] codes) {
            addOne(1, plane.row(row + height - 1), down);
            int sum = 0;
            for (int b = 0; b < width - 1; b++) {
                sum += down[b];
            }
            for (int j = 0; j < plane.columns(); j++) {
                sum += down[j + width - 1];
                codes[j] = weight * sum;
                sum -= down[j];
            }
            addOne(-1, plane.row(row), down);
        }
    }
}

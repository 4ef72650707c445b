package pixeron.step.kernel;

import java.math.BigInteger;
import java.util.Optional;
import java.util.function.Function;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.number.Rational;
import pixeron.number.Value;
import pixeron.step.Finish;
import pixeron.step.neighborhood.CellRows;
import pixeron.step.neighborhood.Codes;
import pixeron.step.neighborhood.Plane;
import pixeron.step.neighborhood.Window;

/**
 * The code of a kernel: Σ n·r with whole weights n over a common denominator D. Its value is code ÷ (D·divisor) + offset.
 */
public final class KernelCodes implements Codes {

    /** Sums stay inside this, and so do differences of two of them. */
    private static final long LARGEST_SUM = 1 << 29;
    /** Codes times a number below this stay within 2⁶¹. */
    private static final int MOST_BITS = 30;

    private final int[][] weights;
    private final Range range;
    private final Rational denominator;
    private final Rational factor;
    private final Rational offset;
    private final boolean dividesByCells;
    private final Image before;
    private final Window window;
    /** Sums of the weights above and to the left of a cell: those of any rectangle are four of these. */
    private final long[][] corners;
    /** code × p + q over d, where all three fit; d = 0 where not. */
    private long p;
    private long q;
    private long d;

    /** The smallest and the largest sum. */
    record Range(int least, int most) {
    }

    private KernelCodes(Weights.Whole whole, Weights given, Range range, Image before, Window window,
            boolean dividesByCells) {
        this.weights = whole.numerators();
        this.range = range;
        this.before = before;
        this.window = window;
        Rational divisor = given.divisor().orElseGet(() -> (Rational) Weights.divisor(given.sum()));
        this.denominator = whole.denominator();
        this.factor = Rational.ONE.dividedBy(whole.denominator().times(divisor));
        this.offset = given.offset();
        this.dividesByCells = dividesByCells;
        this.corners = corners(weights);
        if (isSmall(factor.numerator()) && isSmall(factor.denominator()) && isSmall(offset.numerator())
                && isSmall(offset.denominator())) {
            // factor·code + offset over the product of both denominators; each product of two stays below 2⁶⁰.
            long below = factor.denominator().longValueExact();
            long offsetBelow = offset.denominator().longValueExact();
            p = factor.numerator().longValueExact() * offsetBelow;
            q = offset.numerator().longValueExact() * below;
            d = p < 1L << MOST_BITS && p > -(1L << MOST_BITS) ? below * offsetBelow : 0;
        }
    }

    private static boolean isSmall(BigInteger number) {
        return number.bitLength() < MOST_BITS;
    }

    /**
     * Returns the codes; empty where a weight is no fraction or a sum could become too large.
     *
     * @param dividesByCells whether, where cells are missing, the divisor is the sum of the weights that are there
     */
    public static Optional<KernelCodes> of(Weights weights, Image before, Window window, boolean dividesByCells) {
        return weights.whole().flatMap(whole -> range(whole.numerators(), before, window).map(range ->
                new KernelCodes(whole, weights, range, before, window, dividesByCells)));
    }

    /** Returns the smallest and the largest sum; empty where that does not fit. */
    static Optional<Range> range(int[][] weights, Image before, Window window) {
        long outside = ((Rational) window.outside()).toInt();
        long low = Math.min(0, outside);
        long high = Math.max(before.maximumLevel(), outside);
        long least = 0;
        long most = 0;
        for (int[] row : weights) {
            for (int weight : row) {
                least += weight < 0 ? weight * high : weight * low;
                most += weight < 0 ? weight * low : weight * high;
                if (Math.max(-least, most) > LARGEST_SUM) {
                    return Optional.empty();
                }
            }
        }
        return Optional.of(new Range((int) least, (int) most));
    }

    private static long[][] corners(int[]... weights) {
        long[][] sums = new long[weights.length + 1][weights[0].length + 1];
        for (int a = 0; a < weights.length; a++) {
            for (int b = 0; b < weights[0].length; b++) {
                sums[a + 1][b + 1] = weights[a][b] + sums[a][b + 1] + sums[a + 1][b] - sums[a][b];
            }
        }
        return sums;
    }

    @Override
    public int least() {
        return range.least();
    }

    @Override
    public int most() {
        return range.most();
    }

    @Override
    public Value value(int code) {
        return Rational.of(code).times(factor).plus(offset);
    }

    @Override
    public int level(int code, Finish finish) {
        return d == 0 ? finish.level(value(code)) : finish.level(code * p + q, d);
    }

    @Override
    public boolean dependsOnCells() {
        return dividesByCells;
    }

    @Override
    public Value valueAt(Pixel pixel, int code) {
        int top = Math.max(0, window.anchorRow() - pixel.row());
        int left = Math.max(0, window.anchorColumn() - pixel.column());
        int bottom = Math.min(window.height(), before.rows() - pixel.row() + window.anchorRow());
        int right = Math.min(window.width(), before.columns() - pixel.column() + window.anchorColumn());
        long inside = corners[bottom][right] - corners[top][right] - corners[bottom][left] + corners[top][left];
        // Sum and divisor are both over the same denominator; a sum of 0 is divided by 1 instead.
        return (inside == 0 ? Rational.of(code).dividedBy(denominator) : Rational.of(code, inside))
                .plus(offset);
    }

    @Override
    public Optional<Line> line() {
        long common = BigInteger.valueOf(p).gcd(BigInteger.valueOf(q)).gcd(BigInteger.valueOf(d)).longValueExact();
        return d == 0 ? Optional.empty() : Optional.of(new Line(p / common, q / common, d / common));
    }

    @Override
    public boolean areSums() {
        return true;
    }

    @Override
    public Rows rows(Plane plane) {
        return Summation.of(weights, plane);
    }

    @Override
    public Optional<Function<CellRows, RunRows>> inAnyOrder() {
        return Summation.inAnyOrder(weights);
    }
}

package pixeron.step.kernel;

import java.math.BigInteger;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import pixeron.number.Rational;
import pixeron.number.Value;

/**
 * The weights of a kernel with the cell that is on the pixel.
 *
 * @param rows the weights, row by row; all rational, or doubles
 * @param anchorRow row of the anchor, from 0
 * @param anchorColumn its column
 * @param divisor what the sum is divided by; empty: the sum of the weights, or 1 when that is 0
 * @param offset added at the end
 */
public record Weights(List<List<Value>> rows, int anchorRow, int anchorColumn, Optional<Rational> divisor,
        Rational offset) {

    /**
     * Two rows of weights whose products are all the weights of a kernel.
     *
     * @param column the weights down
     * @param row the weights across
     */
    public record Factors(List<Rational> column, List<Rational> row) {
    }

    /** Whole weights over one denominator. */
    record Whole(int[][] numerators, Rational denominator) {
    }

    /** Returns weights with the anchor in the middle, divisor auto and no offset. */
    public static Weights centered(List<? extends List<? extends Value>> rows) {
        List<List<Value>> all = new ArrayList<>();
        rows.forEach(row -> all.add(List.copyOf(row)));
        return new Weights(List.copyOf(all), (rows.size() - 1) / 2, (rows.get(0).size() - 1) / 2, Optional.empty(),
                Rational.ZERO);
    }

    /** Returns weights from whole numbers, row by row. */
    public static Weights centered(int[]... rows) {
        List<List<Value>> all = new ArrayList<>();
        for (int[] row : rows) {
            List<Value> weights = new ArrayList<>();
            for (int weight : row) {
                weights.add(Rational.of(weight));
            }
            all.add(weights);
        }
        return centered(all);
    }

    /** Returns these with another anchor. */
    Weights anchoredAt(int row, int column) {
        return new Weights(rows, row, column, divisor, offset);
    }

    /** Returns these with a divisor and an offset. */
    public Weights with(Optional<Rational> newDivisor, Rational newOffset) {
        return new Weights(rows, anchorRow, anchorColumn, newDivisor, newOffset);
    }

    /** Returns whether the anchor is the cell that anchor=auto takes. */
    boolean hasMiddleAnchor() {
        return anchorRow == (height() - 1) / 2 && anchorColumn == (width() - 1) / 2;
    }

    public int height() {
        return rows.size();
    }

    public int width() {
        return rows.get(0).size();
    }

    public Value at(int row, int column) {
        return rows.get(row).get(column);
    }

    /** Returns all weights, row by row. */
    List<Value> all() {
        return rows.stream().flatMap(List::stream).toList();
    }

    /** Returns weights and anchor turned by 180°: convolution with these is correlation with those. */
    public Weights turned() {
        List<List<Value>> turned = new ArrayList<>();
        for (int i = height() - 1; i >= 0; i--) {
            List<Value> row = new ArrayList<>();
            for (int j = width() - 1; j >= 0; j--) {
                row.add(at(i, j));
            }
            turned.add(row);
        }
        return new Weights(turned, height() - 1 - anchorRow, width() - 1 - anchorColumn, divisor, offset);
    }

    /** Returns weights and anchor with rows for columns. */
    public Weights transposed() {
        List<List<Value>> transposed = new ArrayList<>();
        for (int j = 0; j < width(); j++) {
            List<Value> row = new ArrayList<>();
            for (int i = 0; i < height(); i++) {
                row.add(at(i, j));
            }
            transposed.add(row);
        }
        return new Weights(transposed, anchorColumn, anchorRow, divisor, offset);
    }

    /** Returns every weight with the other sign. */
    public Weights negated() {
        return new Weights(rows.stream().map(row -> row.stream().map(Value::negated).toList()).toList(), anchorRow,
                anchorColumn, divisor, offset);
    }

    public Value sum() {
        return Value.sum(all());
    }

    /** Returns what a sum of products is divided by, where all cells count. */
    public Value divisorOrSum() {
        return divisor.isPresent() ? divisor.get() : divisor(sum());
    }

    /** Returns a sum of weights as a divisor: itself, or 1 when it is 0. */
    static Value divisor(Value sum) {
        return sum.signum() == 0 ? Rational.ONE : sum;
    }

    /** Returns what becomes of an image that has 1 everywhere: the sum of the weights ÷ divisor, without the offset. */
    public Value gain() {
        return sum().dividedBy(divisor.isPresent() ? divisor.get() : divisor(sum()));
    }

    public boolean isRational() {
        return rows.stream().allMatch(row -> row.stream().allMatch(Rational.class::isInstance));
    }

    /** Returns the weights over their common denominator; empty where a number does not fit in 31 bits or is a double. */
    Optional<Whole> whole() {
        if (!isRational()) {
            return Optional.empty();
        }
        BigInteger common = BigInteger.ONE;
        for (Value weight : all()) {
            BigInteger denominator = ((Rational) weight).denominator();
            common = common.multiply(denominator.divide(common.gcd(denominator)));
            if (common.bitLength() >= Integer.SIZE) {
                return Optional.empty();
            }
        }
        Rational denominator = Rational.of(common, BigInteger.ONE);
        int[][] numerators = new int[height()][width()];
        for (int i = 0; i < height(); i++) {
            for (int j = 0; j < width(); j++) {
                Rational numerator = ((Rational) at(i, j)).times(denominator);
                if (!numerator.isInt()) {
                    return Optional.empty();
                }
                numerators[i][j] = numerator.toInt();
            }
        }
        return Optional.of(new Whole(numerators, denominator));
    }

    /** Returns a column and a row whose products are these weights; empty where there are none, or all weights are 0. */
    public Optional<Factors> factors() {
        return whole().flatMap(whole -> Summation.factors(whole.numerators()).map(factors -> new Factors(
                rationals(factors[0]).stream().map(weight -> weight.dividedBy(whole.denominator())).toList(),
                rationals(factors[1]))));
    }

    private static List<Rational> rationals(int... numbers) {
        List<Rational> all = new ArrayList<>();
        for (int number : numbers) {
            all.add(Rational.of(number));
        }
        return all;
    }
}

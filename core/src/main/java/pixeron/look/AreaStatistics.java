package pixeron.look;

import java.math.BigInteger;
import java.util.Arrays;
import pixeron.image.Area;
import pixeron.image.Histogram;
import pixeron.image.Image;
import pixeron.number.Rational;
import pixeron.number.Value;

/**
 * Statistics of the samples of a rectangle.
 *
 * <p>With n samples r and mean μ: the variance of the population is Σ(r − μ)² ÷ n, of a sample Σ(r − μ)² ÷ (n − 1); a
 * deviation is the root of its variance. The median of an even count is the mean of the two middle samples.
 *
 * <p>Exact where the samples are, up to the roots. Cost: one pass for a level image, a sort of the rectangle for an
 * open one.
 *
 * @param area the rectangle
 * @param smallest least sample
 * @param largest greatest sample
 * @param sum Σr
 * @param median the middle of the sorted samples
 * @param squares Σ(r − μ)²
 */
public record AreaStatistics(Area area, Value smallest, Value largest, Value sum, Value median, Value squares) {

    /**
     * Returns the statistics.
     *
     * @param image any
     * @param area inside image
     * @throws pixeron.PixeronException if area reaches beyond image
     */
    public static AreaStatistics of(Image image, Area area) {
        area.requireInside(image);
        return image.isLevelImage() ? ofLevels(Histogram.of(image, area), area) : ofValues(image, area);
    }

    private static AreaStatistics ofLevels(Histogram histogram, Area area) {
        long count = area.count();
        long sum = 0;
        // Σr² stays below 2³¹·2³² for the largest image, so a long holds it.
        long squares = 0;
        for (int level = 0; level <= histogram.maximumLevel(); level++) {
            sum += (long) histogram.count(level) * level;
            squares += (long) histogram.count(level) * level * level;
        }
        BigInteger n = BigInteger.valueOf(count);
        BigInteger deviations = n.multiply(BigInteger.valueOf(squares)).subtract(BigInteger.valueOf(sum).pow(2));
        Rational median = Rational.of(histogram.levelAt((count + 1) / 2) + histogram.levelAt(count / 2 + 1), 2);
        return new AreaStatistics(area, Rational.of(histogram.levelAt(1)), Rational.of(histogram.levelAt(count)),
                Rational.of(sum), median, Rational.of(deviations, n));
    }

    private static AreaStatistics ofValues(Image image, Area area) {
        Value[] sorted = new Value[area.count()];
        Arrays.setAll(sorted, n -> image.value((area.row() + n / area.width()) * image.columns()
                + area.column() + n % area.width()));
        Arrays.sort(sorted, Value::compareValue);
        Value sum = Rational.ZERO;
        for (Value value : sorted) {
            sum = sum.plus(value);
        }
        Value mean = sum.dividedBy(Rational.of(sorted.length));
        Value squares = Rational.ZERO;
        for (Value value : sorted) {
            Value off = value.minus(mean);
            squares = squares.plus(off.times(off));
        }
        Value median = sorted[(sorted.length - 1) / 2].plus(sorted[sorted.length / 2]).times(Rational.HALF);
        return new AreaStatistics(area, sorted[0], sorted[sorted.length - 1], sum, median, squares);
    }

    /** Returns n. */
    public int count() {
        return area.count();
    }

    /** Returns Σr ÷ n. */
    public Value mean() {
        return sum.dividedBy(Rational.of(count()));
    }

    /** Returns Σ(r − μ)² ÷ n. */
    public Value populationVariance() {
        return squares.dividedBy(Rational.of(count()));
    }

    /**
     * Returns Σ(r − μ)² ÷ (n − 1).
     *
     * @throws pixeron.PixeronException if n = 1
     */
    public Value sampleVariance() {
        return squares.dividedBy(Rational.of(count() - 1L));
    }
}

package pixeron.image;

import java.util.HashSet;
import java.util.Set;
import pixeron.number.Rational;
import pixeron.number.Value;

/**
 * Facts about all samples of an image together.
 *
 * @param smallest least sample
 * @param largest greatest sample
 * @param mean exact when the samples are
 * @param distinct number of different samples
 */
public record ImageFacts(Value smallest, Value largest, Value mean, int distinct) {

    /** Returns the facts of image, in one pass over its pixels. */
    public static ImageFacts of(Image image) {
        return image.isLevelImage() ? ofLevels(Histogram.of(image), image.count()) : ofValues(image);
    }

    /**
     * Returns its facts, without looking at its pixels again.
     *
     * @param histogram of a level image
     * @param count N
     */
    public static ImageFacts ofLevels(Histogram histogram, int count) {
        int smallest = -1;
        int largest = 0;
        int distinct = 0;
        long sum = 0;
        for (int level = 0; level <= histogram.maximumLevel(); level++) {
            int n = histogram.count(level);
            if (n > 0) {
                smallest = smallest < 0 ? level : smallest;
                largest = level;
                distinct++;
                sum += (long) n * level;
            }
        }
        return new ImageFacts(Rational.of(smallest), Rational.of(largest), Rational.of(sum, count), distinct);
    }

    private static ImageFacts ofValues(Image image) {
        Value smallest = image.value(0);
        Value largest = smallest;
        Value sum = Rational.ZERO;
        Set<Value> distinct = new HashSet<>();
        for (int n = 0; n < image.count(); n++) {
            Value value = image.value(n);
            smallest = value.compareValue(smallest) < 0 ? value : smallest;
            largest = value.compareValue(largest) > 0 ? value : largest;
            sum = sum.plus(value);
            distinct.add(value);
        }
        return new ImageFacts(smallest, largest, sum.dividedBy(Rational.of(image.count())), distinct.size());
    }
}

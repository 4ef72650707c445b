package pixeron.step;

import java.util.ArrayList;
import java.util.List;
import java.util.function.IntFunction;
import pixeron.PixeronException;
import pixeron.image.Histogram;
import pixeron.number.Rational;
import pixeron.number.Value;
import pixeron.working.Table;

/** The tables with a row for every level 0 … M. */
final class LevelRows {

    private LevelRows() {
    }

    private static List<Value> counted(Histogram histogram, int level) {
        return List.of(Rational.of(level), Rational.of(histogram.count(level)),
                Rational.of(histogram.count(level), total(histogram)));
    }

    private static int total(Histogram histogram) {
        return histogram.running(histogram.maximumLevel());
    }

    /** @return k, n(k), p(k) */
    static Table histogram(Histogram histogram) {
        List<List<Value>> rows = new ArrayList<>();
        for (int level = 0; level <= histogram.maximumLevel(); level++) {
            rows.add(counted(histogram, level));
        }
        return new Table("histogram", List.of("k", "n", "p"), rows);
    }

    /**
     * @param exact the value of a level before rounding
     * @param finish rounding and overflow
     * @return k, n(k), p(k), C(k), exact value, new level; without the rows of levels that have no value
     */
    static Table levels(Histogram histogram, IntFunction<Value> exact, Finish finish) {
        List<List<Value>> rows = new ArrayList<>();
        for (int level = 0; level <= histogram.maximumLevel(); level++) {
            try {
                List<Value> row = new ArrayList<>(counted(histogram, level));
                Value value = exact.apply(level);
                row.addAll(List.of(Rational.of(histogram.running(level)), value, finish.apply(value)));
                rows.add(row);
            } catch (PixeronException withoutValue) {
                // Such as the logarithm of a level that does not occur: there is nothing to write.
                continue;
            }
        }
        return new Table("levels", List.of("k", "n", "p", "running", "exact", "s"), rows);
    }
}

package pixeron.step.histogram;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.IntFunction;
import java.util.function.IntToLongFunction;
import pixeron.image.Area;
import pixeron.image.Histogram;
import pixeron.image.Image;
import pixeron.number.Rational;
import pixeron.number.Value;
import pixeron.step.Early;
import pixeron.step.Finish;
import pixeron.step.Operation;
import pixeron.step.Slip;
import pixeron.step.StepType;
import pixeron.step.Way;

/** Slips in the counts of an equalization: shares that do not run, a cumulative count that goes wrong, a level miscounted. */
final class CountingSlips {

    /** By how much a count is off, the nearest first; further is not tried. */
    private static final int[] ERRORS = {-1, 1, -2, 2, -3, 3, -4, 4, -5, 5};
    /** With more levels than this, every level with every error would be too many to try. */
    private static final int MOST_LEVELS = 256;

    private CountingSlips() {
    }

    static List<Slip> all() {
        return List.of(Slip.of("share-not-running", right -> of(right).map(CountingSlips::notRunning).orElse(List.of())),
                Slip.of("running-count-slip", right -> of(right).map(CountingSlips::runningWays).orElse(List.of())),
                Slip.of("miscounted", right -> of(right).map(CountingSlips::miscountedWays).orElse(List.of())),
                Early.slip((right, decimals) -> of(right).map(found -> summedEarly(found, decimals)).orElse(List.of())));
    }

    private static Optional<Equalization> of(Operation right) {
        Image before = right.before();
        if (!before.isLevelImage() || before.maximumLevel() >= MOST_LEVELS) {
            return Optional.empty();
        }
        Area area = right.step().arguments().find(StepType.AREA).orElseGet(() -> Area.all(before));
        return Optional.of(new Equalization(before, area, Histogram.of(before, area), right.finish(),
                Equalize.isFromFirst(right.step())));
    }

    /** M·n(k) ÷ N instead of M·C(k) ÷ N. */
    private static List<Way> notRunning(Equalization of) {
        return List.of(of.way("the relative frequency p(k) is used instead of the cumulative one",
                level -> of.histogram.count(level), of.area.count()));
    }

    /** Each share p(k) is rounded before the cumulative share is added up. */
    private static List<Way> summedEarly(Equalization of, int decimals) {
        if (of.isFromFirst) {
            return List.of();
        }
        Rational maximum = Rational.of(of.before.maximumLevel());
        Rational[] summed = new Rational[of.before.maximumLevel() + 1];
        Rational sum = Rational.ZERO;
        for (int k = 0; k < summed.length; k++) {
            sum = sum.plus(Early.rounded(Rational.of(of.histogram.count(k), of.area.count()), decimals));
            summed[k] = sum;
        }
        return List.of(of.way("each relative frequency p(k) is rounded " + Early.to(decimals), level -> maximum.times(summed[level])));
    }

    private static List<Way> runningWays(Equalization of) {
        List<Way> ways = new ArrayList<>();
        for (int k = 0; k <= of.before.maximumLevel(); k++) {
            // A slip shows first at a level that occurs.
            int from = k;
            for (int error : of.histogram.count(k) > 0 ? ERRORS : new int[0]) {
                ways.add(of.way("the cumulative count is wrong by " + signed(error) + " from level " + k + " on",
                        level -> of.histogram.running(level) + (level >= from ? error : 0), of.area.count()));
            }
        }
        return ways;
    }

    private static List<Way> miscountedWays(Equalization of) {
        List<Way> ways = new ArrayList<>();
        for (int k = 0; k <= of.before.maximumLevel(); k++) {
            int at = k;
            for (int error : of.histogram.count(k) > 0 ? ERRORS : new int[0]) {
                if (of.histogram.count(k) + error >= 0) {
                    ways.add(of.way("level " + k + " is counted " + (of.histogram.count(k) + error) + " times instead of "
                            + of.histogram.count(k) + ", and the cumulative counts follow",
                            level -> of.histogram.running(level) + (level >= at ? error : 0), of.area.count() + error));
                }
            }
        }
        return ways;
    }

    private static String signed(int number) {
        return number < 0 ? "−" + -number : "+" + number;
    }

    /** An equalization with other counts. */
    private record Equalization(Image before, Area area, Histogram histogram, Finish finish, boolean isFromFirst) {

        Way way(String words, IntToLongFunction running, long total) {
            int maximum = before.maximumLevel();
            int lowest = histogram.levelAt(1);
            long first = isFromFirst ? running.applyAsLong(lowest) : 0;
            Rational factor = total == first ? Rational.ZERO : Rational.of(maximum, total - first);
            return way(words, level -> Rational.of(running.applyAsLong(level) - first).times(factor));
        }

        Way way(String words, IntFunction<Rational> exact) {
            // There are thousands of these ways, and many pixels of each level.
            Value[] known = new Value[before.maximumLevel() + 1];
            return Way.of(words, pixel -> {
                if (!area.contains(pixel.row(), pixel.column())) {
                    return before.value(pixel);
                }
                int level = before.level(before.offset(pixel));
                Value value = known[level];
                if (value == null) {
                    value = finish.apply(exact.apply(level));
                    known[level] = value;
                }
                return value;
            });
        }
    }
}

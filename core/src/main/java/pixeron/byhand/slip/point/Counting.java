package pixeron.byhand.slip.point;

import java.util.ArrayList;
import java.util.List;
import java.util.function.IntToLongFunction;
import pixeron.byhand.slip.Slip;
import pixeron.byhand.slip.Varied;
import pixeron.image.Area;
import pixeron.image.Histogram;
import pixeron.image.Image;
import pixeron.number.Rational;
import pixeron.step.Finish;
import pixeron.step.Step;
import pixeron.step.StepType;

/** Slips in the counts of an equalization: shares that do not run, a running count that goes wrong, a level miscounted. */
public final class Counting implements Slip {

    /** By how much a count is off, the nearest first; further is not tried. */
    private static final int[] ERRORS = {-1, 1, -2, 2, -3, 3, -4, 4, -5, 5};
    /** With more levels than this, every level with every error would be too many to try. */
    private static final int MOST_LEVELS = 256;

    private enum Kind { NOT_RUNNING, RUNNING, MISCOUNTED }

    private final String id;
    private final Kind kind;

    private Counting(String id, Kind kind) {
        this.id = id;
        this.kind = kind;
    }

    /** @return M·n(k) ÷ N instead of M·C(k) ÷ N */
    public static Counting notRunning() {
        return new Counting("share-not-running", Kind.NOT_RUNNING);
    }

    /** @return from a level on the running counts are wrong by a constant */
    public static Counting running() {
        return new Counting("running-count-slip", Kind.RUNNING);
    }

    /** @return one count is off; the wrong total is the divisor */
    public static Counting miscounted() {
        return new Counting("miscounted", Kind.MISCOUNTED);
    }

    @Override
    public String id() {
        return id;
    }

    @Override
    public List<Way> ways(Step step, Image before) {
        if (!Varied.is(step, "equalize") || !before.isLevelImage() || before.maximumLevel() >= MOST_LEVELS) {
            return List.of();
        }
        Area area = step.arguments().find(StepType.AREA).orElseGet(() -> Area.all(before));
        Equalization of = new Equalization(before, area, Histogram.of(before, area), Finish.of(step, before.maximumLevel()),
                Varied.choice(step, "method").orElse("").equals("share-from-first"));
        return switch (kind) {
            case NOT_RUNNING -> List.of(of.way("the share of the level itself is taken, not the running one",
                    level -> of.histogram.count(level), area.count()));
            case RUNNING -> runningWays(of);
            case MISCOUNTED -> miscountedWays(of);
        };
    }

    private static List<Way> runningWays(Equalization of) {
        List<Way> ways = new ArrayList<>();
        for (int k = 0; k <= of.before.maximumLevel(); k++) {
            // A slip shows first at a level that occurs.
            int from = k;
            for (int error : of.histogram.count(k) > 0 ? ERRORS : new int[0]) {
                ways.add(of.way("the running count is wrong by " + signed(error) + " from level " + k + " on",
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
                            + of.histogram.count(k) + ", and the sums follow",
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
            return Way.of(words, pixel -> {
                boolean isInside = area.contains(pixel.row(), pixel.column());
                return !isInside ? before.value(pixel) : finish.apply(Rational.of(running.applyAsLong(
                        before.level(before.offset(pixel))) - first).times(factor));
            });
        }
    }
}

package pixeron.step.threshold;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import pixeron.PixeronException;
import pixeron.formula.Operator;
import pixeron.image.Area;
import pixeron.image.Histogram;
import pixeron.image.Image;
import pixeron.image.Levels;
import pixeron.loop.Code;
import pixeron.loop.Origin;
import pixeron.loop.Statement;
import pixeron.number.Decimals;
import pixeron.number.Rational;
import pixeron.number.Value;
import pixeron.step.Slip;
import pixeron.step.Step;
import pixeron.step.key.Amount;
import pixeron.step.key.Arguments;
import pixeron.step.key.NumberParameter;
import pixeron.step.pointwise.PointRule;
import pixeron.step.pointwise.PointStep;
import pixeron.step.table.TableRule;
import pixeron.working.Line;
import pixeron.working.Run;
import pixeron.working.Table;
import pixeron.working.TableKind;

/**
 * {@code threshold-otsu}: for every t with levels on both sides, class 0 is r ≤ t; w0·w1·(μ0 − μ1)² is the variance between
 * the classes. The t where it is largest is taken, the smallest of several; high where r &gt; t, else low. All exact.
 *
 * <p>Domain: levels, at least two different ones. Cost: one pass more, and M + 1 variances. Source: What is largest
 * between two classes is smallest within them, docs/definitions/thresholds.md.
 */
public final class Otsu extends PointStep {

    private static final NumberParameter LOW = NumberParameter.level("low", "Low", Amount.of(0));
    private static final NumberParameter HIGH = NumberParameter.level("high", "High", Amount.MAXIMUM);
    private static final List<String> COLUMNS = List.of("t", "n0", "n1", "w0", "w1", "mean0", "mean1", "variance0",
            "variance1", "within", "between", "total");
    private static final String BETWEEN = "between";
    private static final TableKind TABLE = TableKind.of("otsu", "Threshold table").plotting(BETWEEN).with(Map.of("mean0",
            "mean μ0", "mean1", "mean μ1", "variance0", "variance 0", "variance1", "variance 1"));
    /** Far more than a double can be off in {@link Parting#roughly}. */
    private static final double NEAR = 1e-9;

    public Otsu() {
        super("threshold-otsu", "Otsu threshold",
                "Chooses the threshold that maximizes the between-class variance.", "if(r > t, high, low)",
                Set.of("t"), LOW, HIGH);
    }

    @Override
    protected PointRule rule(Arguments arguments, Image before, Area area) {
        Levels.require(before, title());
        Histogram histogram = Histogram.of(before, area);
        List<Parting> best = best(histogram);
        if (best.isEmpty()) {
            throw PixeronException.of("%s needs at least two levels, but only level %d occurs.", title(),
                    histogram.levelAt(1));
        }
        Parting first = best.get(0);
        PointRule rule = super.rule(arguments, before, area).withConstant("t", Rational.of(first.t), Line.of("t",
                Run.plain("t = " + first.t), Run.note("   between-class variance "
                        + Decimals.approximate(first.between()) + ", the largest")));
        rule = rule.coming("t", () -> Origin.counts(area, before.frame()).and(new Origin(widestApart(), List.of())));
        String ties = ties(best);
        return (ties.isEmpty() ? rule : rule.withNote(ties)).withTable(() -> new Table(TABLE, COLUMNS,
                partings(histogram).stream().map(Parting::row).toList()).withRules(rules(area.count()))
                        .concluding("t", cells -> largest(cells, partings(histogram))));
    }

    @Override
    protected List<TableKind> ownTables() {
        return List.of(TABLE);
    }

    @Override
    protected List<Slip> ownSlips() {
        return List.of(TwoLevels.swapped(LOW, HIGH));
    }

    /** The first t whose variance between the classes is largest, by these cells. */
    private static Value largest(Table.Cells cells, List<Parting> partings) {
        int best = 0;
        for (int row = 1; row < partings.size(); row++) {
            best = cells.value(row, BETWEEN).compareValue(cells.value(best, BETWEEN)) > 0 ? row : best;
        }
        return Rational.of(partings.get(best).t);
    }

    /**
     * The levels parted at t.
     *
     * @param t the limit
     * @param below sums over the levels up to t
     * @param above sums over the levels above t
     */
    private record Parting(int t, Sums below, Sums above) {

        /** w0·w1·(μ0 − μ1)², as nearly as a double has it: within a few units of its last place. */
        double roughly() {
            double apart = (double) below.sum / below.count - (double) above.sum / above.count;
            return (double) below.count * above.count * apart * apart;
        }

        Rational between() {
            Rational apart = below.mean().minus(above.mean());
            long count = below.count + above.count;
            return Rational.of(below.count, count).times(Rational.of(above.count, count)).times(apart).times(apart);
        }

        List<Value> row() {
            long count = below.count + above.count;
            Rational w0 = Rational.of(below.count, count);
            Rational w1 = Rational.of(above.count, count);
            Rational within = w0.times(below.variance()).plus(w1.times(above.variance()));
            Rational between = between();
            return List.of(Rational.of(t), Rational.of(below.count), Rational.of(above.count), w0, w1, below.mean(),
                    above.mean(), below.variance(), above.variance(), within, between, within.plus(between));
        }
    }

    /** Every t with levels on both sides. */
    private static List<Parting> partings(Histogram histogram) {
        Sums all = Sums.of(histogram, 0, histogram.maximumLevel());
        List<Parting> partings = new ArrayList<>();
        Sums below = new Sums(0, 0, 0);
        for (int t = 0; t < histogram.maximumLevel(); t++) {
            below = below.plus(histogram.count(t), t);
            Sums above = all.minus(below);
            if (below.count > 0 && above.count > 0) {
                partings.add(new Parting(t, below, above));
            }
        }
        return partings;
    }

    /** The first limit whose two parts lie farthest apart: (sum0 · n1 − sum1 · n0)² ÷ (n0 · n1), which is the variance between them times N². */
    private static List<Statement> widestApart() {
        Code k = Code.name("k");
        Code n0 = Code.name("n0");
        Code n1 = Code.name("n1");
        Code apart = Code.name("sum0").times(n1).minus(Code.name("all").minus(Code.name("sum0")).times(n0));
        Statement better = new Statement.When(new Code.Binary(Operator.GREATER, Code.name("between"), Code.name("most")), List.of(
                Statement.set("most", Code.name("between")), Statement.set("t", k)), List.of());
        Statement each = new Statement.When(new Code.All(List.of(n0.atLeast(Code.of(1)), n1.atLeast(Code.of(1)))), List.of(
                Statement.set("between", apart.times(apart).over(n0.times(n1))), better), List.of());
        return List.of(Statement.set("all", Code.of(0)), new Statement.Loop("k", Code.of(0), Code.name("M").plus(Code.of(1)), List.of(Statement.set("all",
                Code.name("all").plus(k.times(new Code.At("n", k)))))), Statement.set("n0", Code.of(0)), Statement.set("sum0", Code.of(0)),
                Statement.set("most", Code.of(-1)), Statement.set("t", Code.of(0)), new Statement.Loop("k", Code.of(0), Code.name("M"), List.of(
                        Statement.set("n0", n0.plus(new Code.At("n", k))), Statement.set("sum0", Code.name("sum0").plus(k.times(new Code.At("n", k)))),
                        Statement.set("n1", new Code.At("running", Code.name("M")).minus(n0)), each)));
    }

    /** All partings with the largest variance. A double leaves only a few that fractions have to decide between. */
    private static List<Parting> best(Histogram histogram) {
        List<Parting> partings = partings(histogram);
        double rough = partings.stream().map(Parting::roughly).max(Double::compare).orElse(0.0) * (1 - NEAR);
        List<Parting> near = partings.stream().filter(parting -> parting.roughly() >= rough).toList();
        Optional<Rational> largest = near.stream().map(Parting::between).max(Rational::compareTo);
        return near.stream().filter(parting -> parting.between().equals(largest.orElseThrow())).toList();
    }

    private static Map<String, Table.Rule> rules(int count) {
        Map<String, Value> pixels = Map.of("N", Rational.of(count));
        return Map.of("n1", TableRule.of("N - n0", pixels, "n0"), "w0", TableRule.of("n0 / N", pixels, "n0"),
                "w1", TableRule.of("n1 / N", pixels, "n1"),
                "within", TableRule.of("w0 * variance0 + w1 * variance1", Map.of(), "w0", "variance0", "w1", "variance1"),
                "between", TableRule.of("w0 * w1 * (mean0 - mean1)^2", Map.of(), "w0", "w1", "mean0", "mean1"),
                "total", TableRule.of("within + between", Map.of(), "within", "between"));
    }

    /** Thresholds between the same two neighboring levels part the pixels alike and count as one. */
    private static String ties(List<Parting> best) {
        List<String> groups = best.stream().collect(Collectors.groupingBy(parting -> parting.below.count,
                LinkedHashMap::new, Collectors.toList())).values().stream().map(group -> group.size() == 1
                ? String.valueOf(group.get(0).t) : group.get(0).t + " to " + group.get(group.size() - 1).t
                        + " (the same two classes)").toList();
        return groups.size() == 1 && best.size() == 1 ? ""
                : "The variance is largest at t = " + String.join(" and at t = ", groups) + "; the smallest t is used.";
    }

    @Override
    public Step starter(int maximumLevel) {
        return new Step(this, Arguments.NONE);
    }

    /**
     * Sums over some levels.
     *
     * @param count Σn(k)
     * @param sum Σk·n(k)
     * @param squares Σk²·n(k), below 2⁶³ for the largest image
     */
    private record Sums(long count, long sum, long squares) {

        static Sums of(Histogram histogram, int from, int to) {
            Sums sums = new Sums(0, 0, 0);
            for (int level = from; level <= to; level++) {
                sums = sums.plus(histogram.count(level), level);
            }
            return sums;
        }

        Sums plus(long n, long level) {
            return new Sums(count + n, sum + n * level, squares + n * level * level);
        }

        Sums minus(Sums other) {
            return new Sums(count - other.count, sum - other.sum, squares - other.squares);
        }

        Rational mean() {
            return Rational.of(sum, count);
        }

        Rational variance() {
            return Rational.of(squares, count).minus(mean().times(mean()));
        }
    }
}

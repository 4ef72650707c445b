package pixeron.step.threshold;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import pixeron.PixeronException;
import pixeron.formula.Function;
import pixeron.formula.Operator;
import pixeron.image.Area;
import pixeron.image.Histogram;
import pixeron.image.Image;
import pixeron.image.ImageFacts;
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
 * {@code threshold-iterative start=auto stop=0.5}: begins with t = the mean; the next t is half way between the mean of r ≤ t
 * and the mean of r &gt; t, until it changes by at most stop; high above the last t, else low.
 *
 * <p>Domain: levels with values on both sides of every t on the way. Cost: one pass more, and M + 1 sums for each t.
 * Source: The limit half way between two class means, docs/definitions/thresholds.md.
 */
public final class TwoMeans extends PointStep {

    private static final NumberParameter START = NumberParameter.automatic("start", "First threshold", true);
    private static final NumberParameter STOP = NumberParameter.optional("stop", "Tolerance", 0)
            .with(new Amount(Rational.HALF)).only(n -> n.signum() >= 0, "a number of at least 0");
    private static final NumberParameter LOW = NumberParameter.level("low", "Low", Amount.of(0));
    private static final NumberParameter HIGH = NumberParameter.level("high", "High", Amount.MAXIMUM);
    private static final List<String> COLUMNS = List.of("round", "t", "n0", "n1", "mean0", "mean1", "next", "change");
    private static final Map<String, Table.Rule> RULES = Map.of(
            "next", TableRule.of("(mean0 + mean1) / 2", Map.of(), "mean0", "mean1"),
            "change", TableRule.of("abs(next - t)", Map.of(), "next", "t"));
    private static final TableKind TABLE = TableKind.of("two-means", "Rounds").with(Map.of("mean0", "mean μ0", "mean1", "mean μ1"));
    /** Every round but the last parts the samples anew, and t only ever goes one way: far more than ever happen. */
    private static final int MOST_ROUNDS = 100_000;

    /** Whether a change of just stop goes on, which is a slip. */
    private final boolean isStrict;

    public TwoMeans() {
        this(false);
    }

    private TwoMeans(boolean isStrict) {
        super("threshold-iterative", "Iterative threshold",
                "Repeats: new threshold = average of the two class means, until it stops changing.", "if(r > t, high, low)",
                Set.of("t"), START, STOP, LOW, HIGH);
        this.isStrict = isStrict;
    }

    @Override
    public List<NumberParameter> limits() {
        return List.of(START);
    }

    @Override
    protected List<TableKind> ownTables() {
        return List.of(TABLE);
    }

    @Override
    protected List<Slip> ownSlips() {
        return List.of(TwoLevels.swapped(LOW, HIGH), Slip.of("strictness", "a change equal to the tolerance does not stop the iteration",
                step -> step.as(new TwoMeans(true))));
    }

    @Override
    protected PointRule rule(Arguments arguments, Image before, Area area) {
        Image part = before.part(area);
        Value t = arguments.get(START).isAuto() ? ImageFacts.of(part).mean() : arguments.get(START).resolve(before.maximumLevel());
        Rational stop = arguments.get(STOP).number();
        List<List<Value>> rows = new ArrayList<>();
        Value change;
        do {
            Value[] round = round(part, t);
            Value next = round[2].plus(round[3]).times(Rational.HALF);
            change = next.minus(t).absolute();
            rows.add(List.of(Rational.of(rows.size() + 1L), t, round[0], round[1], round[2], round[3], next, change));
            t = next;
        } while (change.signum() > 0 && change.compareValue(stop) > (isStrict ? -1 : 0) && rows.size() < MOST_ROUNDS);
        return super.rule(arguments, before, area)
                .coming("t", () -> start(arguments.get(START), before, area).and(Origin.counts(area, before.frame())).and(new Origin(rounds(stop), List.of())))
                .withConstant("t", t, Line.of("t", Run.plain("t = "
                + Decimals.working(t)), Run.note("   after " + rows.size() + (rows.size() == 1 ? " round" : " rounds"))))
                .withTable(() -> new Table(TABLE, COLUMNS, rows).withRules(RULES)
                        .concluding("t", cells -> cells.value(rows.size() - 1, "next")));
    }

    private static Origin start(Amount start, Image before, Area area) {
        return start.isAuto() ? Origin.mean("t", area, before.frame()) : Origin.once("t", Code.of(start.resolve(before.maximumLevel())));
    }

    /** Returns counts and means of the samples up to t and above it. */
    private Value[] round(Image part, Value t) {
        long[] counts = new long[2];
        Value[] sums = {Rational.ZERO, Rational.ZERO};
        if (part.isLevelImage()) {
            Histogram histogram = Histogram.of(part);
            long[] whole = new long[2];
            for (int level = 0; level <= histogram.maximumLevel(); level++) {
                int side = Rational.of(level).compareValue(t) > 0 ? 1 : 0;
                counts[side] += histogram.count(level);
                whole[side] += (long) histogram.count(level) * level;
            }
            sums = new Value[] {Rational.of(whole[0]), Rational.of(whole[1])};
        } else {
            for (int n = 0; n < part.count(); n++) {
                int side = part.value(n).compareValue(t) > 0 ? 1 : 0;
                counts[side]++;
                sums[side] = sums[side].plus(part.value(n));
            }
        }
        if (counts[0] == 0 || counts[1] == 0) {
            throw PixeronException.of("%s: no value is %s t = %s, so this class has no mean.", title(),
                    counts[0] == 0 ? "at or below" : "above", Decimals.working(t));
        }
        return new Value[] {Rational.of(counts[0]), Rational.of(counts[1]), sums[0].dividedBy(Rational.of(counts[0])),
            sums[1].dividedBy(Rational.of(counts[1]))};
    }

    /** The rounds as a loop: t only ever goes one way, from a level to another, so that M + 3 of them are enough. */
    private List<Statement> rounds(Rational stop) {
        Code k = Code.name("k");
        Code t = Code.name("t");
        Code n = new Code.At("n", k);
        Code end = Code.name("M").plus(Code.of(1));
        List<Statement> above = List.of(added("n1", n), added("sum1", k.times(n)));
        List<Statement> below = List.of(added("n0", n), added("sum0", k.times(n)));
        List<Statement> round = new ArrayList<>();
        List.of("n0", "sum0", "n1", "sum1").forEach(name -> round.add(Statement.set(name, Code.of(0))));
        round.add(new Statement.Loop("k", Code.of(0), end, List.of(new Statement.When(new Code.Binary(Operator.GREATER, k, t), above, below))));
        round.add(Statement.set("next", Code.name("sum0").over(Code.name("n0")).plus(Code.name("sum1").over(Code.name("n1"))).over(Code.of(2))));
        round.add(Statement.set("change", new Code.Call(Function.ABS, List.of(Code.name("next").minus(t)))));
        round.add(Statement.set("t", Code.name("next")));
        Code isFar = new Code.Binary(isStrict ? Operator.AT_LEAST : Operator.GREATER, Code.name("change"), Code.of(stop));
        return List.of(Statement.set("change", Code.of(stop).plus(Code.of(1))), new Statement.Loop("round", Code.of(0), Code.name("M").plus(Code.of(3)),
                List.of(new Statement.When(isFar, round, List.of()))));
    }

    private static Statement added(String name, Code value) {
        return Statement.set(name, Code.name(name).plus(value));
    }

    @Override
    public Step starter(int maximumLevel) {
        return new Step(this, Arguments.NONE);
    }
}

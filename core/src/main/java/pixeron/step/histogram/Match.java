package pixeron.step.histogram;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import pixeron.PixeronException;
import pixeron.formula.Expression;
import pixeron.formula.Function;
import pixeron.image.Area;
import pixeron.image.Histogram;
import pixeron.image.Image;
import pixeron.image.Levels;
import pixeron.loop.Code;
import pixeron.loop.Origin;
import pixeron.loop.Statement;
import pixeron.number.Rational;
import pixeron.number.Value;
import pixeron.step.Inputs;
import pixeron.step.Reference;
import pixeron.step.Slip;
import pixeron.step.Step;
import pixeron.step.Way;
import pixeron.step.key.Arguments;
import pixeron.step.key.ChoiceParameter;
import pixeron.step.key.ListParameter;
import pixeron.step.key.ReferenceParameter;
import pixeron.step.pointwise.PointRule;
import pixeron.step.pointwise.PointStep;
import pixeron.step.table.TableRule;
import pixeron.working.Line;
import pixeron.working.Run;
import pixeron.working.Table;
import pixeron.working.TableKind;

/**
 * {@code match counts="…"} or {@code match with=REF}: with the cumulative shares Q(z) of the target, a level k goes to the z
 * whose Q(z) is closest to P(k), the smallest of several; {@code rule=first-at-least}: to the smallest z with Q(z) ≥ P(k).
 *
 * <p>Domain: levels; target counts not all 0. Cost: one pass more, for the counts, and M + 1 comparisons. Source: Equal
 * cumulative shares, docs/definitions/equalization.md.
 */
public final class Match extends PointStep {

    private static final ListParameter COUNTS = new ListParameter("counts", "Target counts",
            "one count for each level 0–M, whole numbers of at least 0").leftOutAtWill();
    private static final ReferenceParameter WITH = Reference.WITH.leftOutAtWill();
    private static final ChoiceParameter.Choice CLOSEST = new ChoiceParameter.Choice("closest",
            "the z whose Q(z) is closest to P(r)");
    private static final ChoiceParameter.Choice FIRST = new ChoiceParameter.Choice("first-at-least",
            "the smallest z with Q(z) ≥ P(r)");
    private static final TableKind TARGET = TableKind.of("target", "Target").with(Map.of("z", "level z", "n", "count n",
            "running", "cumulative C", "Q", "relative Q"));
    private static final ChoiceParameter RULE = ChoiceParameter.of("rule", "Rule", CLOSEST, FIRST);

    /** Whether a share of just P(k) is not enough, which is a slip. */
    private final boolean isAbove;

    public Match() {
        this(false);
    }

    private Match(boolean isAbove) {
        super("match", "Histogram matching", "Maps levels so that their histogram becomes similar to a target histogram.", "r",
                COUNTS, WITH, RULE);
        this.isAbove = isAbove;
    }

    @Override
    public String formula(Arguments arguments) {
        return "s = " + arguments.get(RULE).sentence();
    }

    @Override
    public void validate(Arguments arguments) {
        boolean hasCounts = arguments.isGiven(COUNTS);
        if (hasCounts == arguments.isGiven(WITH)) {
            throw PixeronException.of(hasCounts ? "match has both counts and with. Give only one of them."
                    : "match needs counts=\"…\", one for each level, or another image with=…");
        }
        if (hasCounts) {
            Target.of(arguments.get(COUNTS));
        }
    }

    @Override
    public List<ReferenceParameter> references() {
        return List.of(WITH);
    }

    @Override
    protected List<TableKind> ownTables() {
        return List.of(TARGET);
    }

    @Override
    protected List<Slip> ownSlips() {
        return List.of(Slip.of("strictness", right -> right.step().arguments().get(RULE).equals(FIRST) ? Way.tried(
                "Q(z) > P(k) is used instead of Q(z) ≥ P(k)", () -> right.step().as(new Match(true)), right) : List.of()));
    }

    @Override
    public Step starter(int maximumLevel) {
        // The same count for every level: what equalization aims at, so a user sees at once what the key means.
        return new Step(this, Arguments.NONE.with(COUNTS, Collections.nCopies(maximumLevel + 1, Rational.ONE)));
    }

    @Override
    protected PointRule rule(Arguments arguments, Inputs inputs, Area area) {
        Image before = inputs.image(this);
        Levels.require(before, title());
        Target target = arguments.find(COUNTS).map(Target::of).orElseGet(() -> Target.of(histogram(inputs.other(this, arguments.get(WITH)), before.maximumLevel())));
        int maximum = before.maximumLevel();
        if (target.levels() != maximum + 1) {
            throw PixeronException.of("match has %d target counts, but the image has %d levels, 0–%d. Give one count "
                    + "for each.", target.levels(), maximum + 1, maximum);
        }
        Histogram histogram = Histogram.of(before, area);
        boolean isFirst = arguments.get(RULE).equals(FIRST);
        Choice choice = !isFirst ? Choice.CLOSEST : isAbove ? Choice.FIRST_ABOVE : Choice.FIRST_AT_LEAST;
        long pixels = area.count();
        return PointRule.ofCases(shown(arguments),
                sample -> Expression.Literal.of(Rational.of(target.level(running(histogram, sample), pixels, choice))),
                sample -> why(target, running(histogram, sample), pixels, choice), maximum)
                .coming("exact", () -> Origin.counts(area, before.frame()).and(arguments.isGiven(COUNTS) ? ofLine(target) : ofOther()).and(new Origin(List.of(), nearest(isFirst))))
                .withConstant("N", Rational.of(pixels), Line.of("N", Run.plain("N = " + pixels),
                        Run.note("   the target has " + target.total())))
                .withTable(() -> new Table(TARGET, List.of("z", "n", "running", "Q"), target.rows())
                        .withRules(Map.of("running", TableRule.of("runningAbove + n", Map.of(), "runningAbove", "n"),
                                "Q", TableRule.of("running / N", Map.of("N", Rational.of(target.total())), "running")))
                        .withSums("n"));
    }

    private static Origin ofLine(Target target) {
        return new Origin(List.of(new Statement.Values("target", target.runningCounts().stream().<Value>map(Rational::of).toList())), List.of());
    }

    /** The cumulative counts of the other image. */
    private static Origin ofOther() {
        Code levels = Code.name("M").plus(Code.of(1));
        Code level = new Code.Cell("other", Code.name("a"), Code.name("b"));
        Code k = Code.name("k");
        return new Origin(List.of(new Statement.Zeros("target", levels), new Statement.Loop("a", Code.of(0), new Code.Rows("other"), List.of(
                new Statement.Loop("b", Code.of(0), new Code.Columns("other"), List.of(new Statement.SetAt("target", level, new Code.At("target", level).plus(Code.of(1))))))),
                new Statement.Loop("k", Code.of(1), levels, List.of(new Statement.SetAt("target", k, new Code.At("target", k).plus(new Code.At("target", k.minus(Code.of(1)))))))),
                List.of(), true);
    }

    /** Shares are compared crosswise, in whole numbers. */
    private List<Statement> nearest(boolean isFirst) {
        Code k = Code.name("k");
        Code last = Code.name("M");
        List<Statement> body = new ArrayList<>(List.of(Statement.set("exact", Code.of(0))));
        if (isFirst) {
            body.add(new Statement.Loop("k", Code.of(0), last, List.of(new Statement.When(isAbove ? share(k).atMost(wanted()) : share(k).less(wanted()),
                    List.of(Statement.set("exact", k.plus(Code.of(1)))), List.of()))));
            return body;
        }
        body.add(Statement.set("nearest", apart(Code.of(0))));
        body.add(new Statement.Loop("k", Code.of(1), last.plus(Code.of(1)), List.of(Statement.set("apart", apart(k)), new Statement.When(
                Code.name("apart").less(Code.name("nearest")), List.of(Statement.set("nearest", Code.name("apart")), Statement.set("exact", k)), List.of()))));
        return body;
    }

    private static Code share(Code level) {
        return new Code.At("target", level).times(new Code.At("running", Code.name("M")));
    }

    private static Code wanted() {
        return new Code.At("running", Code.name("r")).times(new Code.At("target", Code.name("M")));
    }

    private static Code apart(Code level) {
        return new Code.Call(Function.ABS, List.of(share(level).minus(wanted())));
    }

    private static long running(Histogram histogram, Value sample) {
        return histogram.running(((Rational) sample).toInt());
    }

    private static String why(Target target, long running, long pixels, Choice choice) {
        int level = target.level(running, pixels, choice);
        List<String> shares = new ArrayList<>();
        for (int z = Math.max(0, level - 1); z <= Math.min(target.levels() - 1, level + 1); z++) {
            shares.add("Q(" + z + ") = " + target.running(z) + " ÷ " + target.total());
        }
        return "P(r) = " + running + " ÷ " + pixels + ";  " + String.join(",  ", shares);
    }

    /** The other image may have another maximum level, as long as its samples are levels here. */
    private static Histogram histogram(Image other, int maximum) {
        Value[] values = new Value[other.count()];
        Arrays.setAll(values, other::value);
        Image here = other.maximumLevel() == maximum ? other : Image.from(other.rows(), other.columns(), maximum, values);
        Levels.require(here, "The target of match");
        return Histogram.of(here);
    }

    /** Which z is taken; the last is a slip. */
    private enum Choice { CLOSEST, FIRST_AT_LEAST, FIRST_ABOVE }

    /** Running counts of a target. */
    private record Target(List<Long> runningCounts) {

        static Target of(Histogram histogram) {
            List<Long> running = new ArrayList<>();
            for (int level = 0; level <= histogram.maximumLevel(); level++) {
                running.add((long) histogram.running(level));
            }
            return new Target(running);
        }

        static Target of(List<Rational> counts) {
            List<Long> running = new ArrayList<>();
            long sum = 0;
            for (Rational count : counts) {
                if (!count.isInt() || count.signum() < 0) {
                    throw PixeronException.of("counts contains %s. Give %s.", count, COUNTS.range());
                }
                sum += count.toInt();
                running.add(sum);
            }
            if (sum == 0 || sum > Integer.MAX_VALUE) {
                throw PixeronException.of("counts add up to %d. Their sum must be from 1 to %d.", sum,
                        Integer.MAX_VALUE);
            }
            return new Target(running);
        }

        int levels() {
            return runningCounts.size();
        }

        long running(int level) {
            return runningCounts.get(level);
        }

        long total() {
            return running(levels() - 1);
        }

        /** Returns the level that a cumulative share of counted ÷ pixels goes to; shares are compared exactly, crosswise. */
        int level(long counted, long pixels, Choice choice) {
            int at = firstAtLeast(counted, pixels, choice == Choice.FIRST_ABOVE);
            if (choice != Choice.CLOSEST || at == 0) {
                return at;
            }
            int below = firstAtLeast(running(at - 1), total(), false);
            long over = running(at) * pixels - counted * total();
            long under = counted * total() - running(at - 1) * pixels;
            return under <= over ? below : at;
        }

        /** Returns the smallest level with running ÷ total ≥ counted ÷ pixels. The images are: one, the last has share 1. */
        private int firstAtLeast(long counted, long pixels, boolean isAbove) {
            int low = 0;
            int high = levels() - 1;
            while (low < high) {
                int middle = (low + high) >>> 1;
                long over = running(middle) * pixels - counted * total();
                if (isAbove ? over > 0 : over >= 0) {
                    high = middle;
                } else {
                    low = middle + 1;
                }
            }
            return low;
        }

        List<List<Value>> rows() {
            List<List<Value>> rows = new ArrayList<>();
            for (int z = 0; z < levels(); z++) {
                long count = running(z) - (z == 0 ? 0 : running(z - 1));
                rows.add(List.of(Rational.of(z), Rational.of(count), Rational.of(running(z)),
                        Rational.of(running(z), total())));
            }
            return rows;
        }
    }
}

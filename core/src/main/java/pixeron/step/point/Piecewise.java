package pixeron.step.point;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.IntStream;
import pixeron.PixeronException;
import pixeron.formula.Expression;
import pixeron.formula.Parser;
import pixeron.formula.Trace;
import pixeron.image.Area;
import pixeron.image.Image;
import pixeron.loop.Code;
import pixeron.loop.Origin;
import pixeron.loop.Statement;
import pixeron.number.Decimals;
import pixeron.number.Rational;
import pixeron.number.Value;
import pixeron.step.Handle;
import pixeron.step.Step;
import pixeron.step.key.Arguments;
import pixeron.step.key.PairsParameter;
import pixeron.step.pointwise.PointRule;
import pixeron.step.pointwise.PointStep;

/**
 * {@code piecewise points="0 0 | 100 40 | 255 255"}: straight lines between points, level before the first and after the
 * last.
 *
 * <p>Domain: at least two points with rising first numbers; exact fractions between them. Source: Linear interpolation,
 * docs/definitions/point-steps.md.
 */
public final class Piecewise extends PointStep {

    private static final PairsParameter POINTS = new PairsParameter("points", "Points",
            "pairs r s, such as 0 0 | 100 40 | 255 255, with increasing r");
    private static final Expression BETWEEN = Parser.parse("s0 + (r - r0) * (s1 - s0) / (r1 - r0)",
            Set.of("r", "r0", "s0", "r1", "s1"));

    public Piecewise() {
        super("piecewise", "Piecewise linear", "Maps levels along straight lines between points that you choose.", "r", POINTS);
    }

    @Override
    public String formula(Arguments arguments) {
        return "s = s0 + (r − r0) × (s1 − s0) ÷ (r1 − r0) between two points";
    }

    @Override
    public void validate(Arguments arguments) {
        List<PairsParameter.Pair> points = arguments.get(POINTS);
        for (int n = 1; n < points.size(); n++) {
            if (points.get(n).from().compareTo(points.get(n - 1).from()) <= 0) {
                throw PixeronException.of("piecewise: the point at %s comes after the one at %s. r must increase.",
                        Decimals.print(points.get(n).from()), Decimals.print(points.get(n - 1).from()));
            }
        }
    }

    @Override
    protected PointRule rule(Arguments arguments, Image before, Area area) {
        List<PairsParameter.Pair> points = arguments.get(POINTS);
        return PointRule.ofCases(shown(arguments), sample -> at(points, sample),
                sample -> why(points, sample), before.maximumLevel()).coming("exact", () -> told(points));
    }

    /** Level before the first point and from the last on; between two the line that joins them. */
    private static Origin told(List<PairsParameter.Pair> points) {
        Code r = Code.name("r");
        Code k = Code.name("k");
        Code next = k.plus(Code.of(1));
        Code line = Code.of(BETWEEN, name -> switch (name) {
            case "r0" -> new Code.At("levels", k);
            case "s0" -> new Code.At("values", k);
            case "r1" -> new Code.At("levels", next);
            case "s1" -> new Code.At("values", next);
            default -> r;
        });
        Code last = Code.of(points.size() - 1L);
        Code isBetween = new Code.All(Code.inside(r, new Code.At("levels", k), new Code.At("levels", next)));
        return new Origin(List.of(new Statement.Values("levels", points.stream().<Value>map(PairsParameter.Pair::from).toList()),
                new Statement.Values("values", points.stream().<Value>map(PairsParameter.Pair::to).toList())), List.of(Statement.set("exact", new Code.At("values", Code.of(0))),
                        new Statement.Loop("k", Code.of(0), last, List.of(new Statement.When(isBetween, List.of(Statement.set("exact", line)), List.of()))),
                        new Statement.When(new Code.At("levels", last).atMost(r), List.of(Statement.set("exact", new Code.At("values", last))), List.of())));
    }

    /** Returns the number of points at or below the sample. */
    private static int below(List<PairsParameter.Pair> points, Value sample) {
        int below = 0;
        while (below < points.size() && points.get(below).from().compareValue(sample) <= 0) {
            below++;
        }
        return below;
    }

    private static Expression at(List<PairsParameter.Pair> points, Value sample) {
        int below = below(points, sample);
        if (below == 0 || below == points.size()) {
            return Expression.Literal.of(points.get(Math.max(0, below - 1)).to());
        }
        PairsParameter.Pair left = points.get(below - 1);
        PairsParameter.Pair right = points.get(below);
        return Trace.substitute(BETWEEN, name -> switch (name) {
            case "r0" -> Expression.Literal.of(left.from());
            case "s0" -> Expression.Literal.of(left.to());
            case "r1" -> Expression.Literal.of(right.from());
            case "s1" -> Expression.Literal.of(right.to());
            default -> null;
        });
    }

    private static String why(List<PairsParameter.Pair> points, Value sample) {
        int below = below(points, sample);
        return below == 0 ? "below the first point" : below == points.size() ? "from the last point on"
                : "between r = " + Decimals.working(points.get(below - 1).from()) + " and "
                        + Decimals.working(points.get(below).from());
    }

    @Override
    protected List<Handle> handles(Step step, Map<String, Value> constants, int maximumLevel) {
        List<PairsParameter.Pair> points = step.arguments().get(POINTS);
        return IntStream.range(0, points.size()).mapToObj(n -> Handle.point("points " + n, points.get(n).from(),
                points.get(n).to(), (level, result) -> {
            List<PairsParameter.Pair> moved = new ArrayList<>(points);
            moved.set(n, new PairsParameter.Pair(level, result));
            return step.with(POINTS, moved);
        })).toList();
    }

    @Override
    public Step starter(int maximumLevel) {
        Rational half = Rational.of(maximumLevel, 2);
        return new Step(this, Arguments.NONE.with(POINTS, List.of(new PairsParameter.Pair(Rational.ZERO, Rational.ZERO),
                new PairsParameter.Pair(half, half),
                new PairsParameter.Pair(Rational.of(maximumLevel), Rational.of(maximumLevel)))));
    }
}

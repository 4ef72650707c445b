package pixeron.step.histogram;

import java.util.Map;
import java.util.Set;
import pixeron.formula.Expression;
import pixeron.formula.Parser;
import pixeron.formula.Trace;
import pixeron.image.Area;
import pixeron.image.Histogram;
import pixeron.image.Image;
import pixeron.image.Levels;
import pixeron.number.Rational;
import pixeron.number.Value;
import pixeron.step.Arguments;
import pixeron.step.ChoiceParameter;
import pixeron.step.PointRule;
import pixeron.step.PointStep;
import pixeron.step.TableRule;
import pixeron.working.Line;
import pixeron.working.Run;
import pixeron.working.Table;

/**
 * {@code equalize method=share}: M·C(k) ÷ N; {@code method=share-from-first}: M·(C(k) − C₀) ÷ (N − C₀), with C₀ the running
 * count of the lowest level present.
 */
public final class Equalize extends PointStep {

    private static final ChoiceParameter.Choice SHARE = new ChoiceParameter.Choice("share", "s = M × C(r) ÷ N");
    private static final ChoiceParameter.Choice FROM_FIRST = new ChoiceParameter.Choice("share-from-first",
            "s = M × (C(r) − C0) ÷ (N − C0)");
    private static final ChoiceParameter METHOD = ChoiceParameter.of("method", "Method", SHARE, FROM_FIRST);
    private static final Expression PLAIN = Parser.parse("M * C / N", Set.of("M", "C", "N"));
    private static final Expression RELATIVE = Parser.parse("M * (C - C0) / (N - C0)", Set.of("M", "C", "N", "C0"));

    public Equalize() {
        super("equalize", "Equalize", "Spreads levels by how often they occur, so that all are used about alike.",
                "r", METHOD);
    }

    @Override
    public String formula() {
        return "s = M × C(r) ÷ N";
    }

    @Override
    protected PointRule rule(Arguments arguments, Image before, Area area) {
        Levels.require(before, title());
        Histogram histogram = Histogram.of(before, area);
        int maximum = before.maximumLevel();
        int count = area.count();
        boolean isRelative = arguments.get(METHOD).equals(FROM_FIRST);
        long first = histogram.running(histogram.levelAt(1));
        if (isRelative && first == count) {
            return PointRule.of(parsed("r"), maximum).withNote("Only one level occurs, so the image is unchanged.");
        }
        Expression formula = isRelative ? RELATIVE : PLAIN;
        PointRule rule = PointRule.ofCases(isRelative ? "M × (C(r) − C0) ÷ (N − C0)" : "M × C(r) ÷ N",
                sample -> counted(formula, histogram, sample), sample -> "C(" + ((Rational) sample).toInt() + ") = "
                        + histogram.running(((Rational) sample).toInt()), maximum)
                .withConstant("N", Rational.of(count), Line.of("N", Run.plain("N = " + count)))
                .withMapping(mapping(isRelative, Map.of("M", Rational.of(maximum), "N", Rational.of(count), "C0",
                        Rational.of(first))));
        return isRelative ? rule.withConstant("C0", Rational.of(first), Line.of("C0", Run.plain("C0 = " + first),
                Run.note("   the running count of the lowest level present, " + histogram.levelAt(1)))) : rule;
    }

    private static Table.Rule mapping(boolean isRelative, Map<String, Value> constants) {
        return TableRule.of(isRelative ? "M * (running - C0) / (N - C0)" : "M * running / N", constants, "running");
    }

    private static Expression counted(Expression formula, Histogram histogram, Value sample) {
        return Trace.substitute(formula, name -> name.equals("C")
                ? Expression.Literal.of(Rational.of(histogram.running(((Rational) sample).toInt()))) : null);
    }
}

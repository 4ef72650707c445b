package pixeron.step.point;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import pixeron.formula.Expression;
import pixeron.formula.Parser;
import pixeron.formula.Trace;
import pixeron.image.Area;
import pixeron.image.Image;
import pixeron.image.ImageFacts;
import pixeron.loop.Code;
import pixeron.loop.Origin;
import pixeron.number.Rational;
import pixeron.number.Value;
import pixeron.step.Inputs;
import pixeron.step.Mend;
import pixeron.step.Reference;
import pixeron.step.Step;
import pixeron.step.key.Arguments;
import pixeron.step.key.ReferenceParameter;
import pixeron.step.key.TextParameter;
import pixeron.step.pair.SameSize;
import pixeron.step.pointwise.PointRule;
import pixeron.step.pointwise.PointStep;

/**
 * {@code formula expression="…" with=REF}: a formula of one's own over r, the sample t of another image, the place i, j (y, x), M, L = M + 1, the size H, W, and N,
 * min, max, mean of the area.
 *
 * <p>Domain: what the formula has a value for; min, max and mean are those of the area. Source: The language of formulas,
 * docs/definitions/point-steps.md. Cost: with a place in it, once for each pixel.
 */
public final class OwnFormula extends PointStep {

    private static final Set<String> PLACES = Set.of("i", "j", "x", "y");
    private static final Set<String> NAMES = Set.of("r", "i", "j", "x", "y", "M", "L", "N", "H", "W", "min", "max",
            "mean");
    private static final String OTHER = "t";
    private static final ReferenceParameter WITH = Reference.WITH.leftOutAtWill();
    private static final TextParameter EXPRESSION = new TextParameter("expression", "Formula",
            "a formula of r, i, j, x, y, M, L, N, H, W, min, max, mean, such as (r - min) / (max - min) * M; with another image t as well");

    public OwnFormula() {
        super("formula", "Formula", "Calculates each value with your own formula of the level and its position.", "r", EXPRESSION, WITH);
    }

    @Override
    protected Expression expression(Arguments arguments) {
        Set<String> names = new HashSet<>(NAMES);
        if (arguments.isGiven(WITH)) {
            names.add(OTHER);
        }
        return Parser.parse(arguments.get(EXPRESSION), names);
    }

    @Override
    public List<ReferenceParameter> references() {
        return List.of(WITH);
    }

    /** Returns the step with this formula. */
    public static Step of(String expression) {
        return new Step(new OwnFormula(), Arguments.NONE.with(EXPRESSION, expression));
    }

    @Override
    public void validate(Arguments arguments) {
        expression(arguments);
    }

    @Override
    protected PointRule rule(Arguments arguments, Inputs inputs, Area area) {
        Image before = inputs.image(this);
        Expression expression = expression(arguments);
        Set<String> used = new HashSet<>();
        Trace.substitute(expression, name -> {
            used.add(name);
            return null;
        });
        PointRule rule = PointRule.of(expression, before.maximumLevel());
        rule = with(rule, used, "L", Rational.of(before.maximumLevel() + 1L));
        rule = with(rule, used, "N", Rational.of(area.count()));
        rule = with(rule, used, "H", Rational.of(before.rows()));
        rule = with(rule, used, "W", Rational.of(before.columns()));
        if (used.contains("min") || used.contains("max") || used.contains("mean")) {
            ImageFacts facts = ImageFacts.of(before.part(area));
            rule = with(rule, used, "min", facts.smallest());
            rule = with(rule, used, "max", facts.largest());
            rule = with(rule, used, "mean", facts.mean());
        }
        rule = coming(rule, used, before, area);
        if (arguments.isGiven(WITH)) {
            String reference = arguments.get(WITH);
            rule = rule.withOther(reference, SameSize.require(name(), before, reference, inputs.other(this, reference)), (r, t) -> "");
        }
        return used.stream().anyMatch(PLACES::contains) ? rule.withPlace() : rule;
    }

    @Override
    public List<Mend> mends(Step step, Inputs inputs) {
        return step.arguments().find(WITH).map(reference -> SameSize.mends(inputs, reference)).orElse(List.of());
    }

    private static PointRule with(PointRule rule, Set<String> used, String name, Value value) {
        return used.contains(name) ? rule.withConstant(name, value) : rule;
    }

    private static PointRule coming(PointRule rule, Set<String> used, Image before, Area area) {
        PointRule all = used.contains("L") ? rule.coming("L", () -> Origin.once("L", Code.name("M").plus(Code.of(1)))) : rule;
        all = used.contains("N") ? all.coming("N", () -> Origin.pixels(area, before.frame())) : all;
        all = used.contains("min") ? all.coming("min", () -> Origin.extreme("min", true, area, before.frame())) : all;
        all = used.contains("max") ? all.coming("max", () -> Origin.extreme("max", false, area, before.frame())) : all;
        return used.contains("mean") ? all.coming("mean", () -> Origin.mean("mean", area, before.frame())) : all;
    }

    @Override
    public Step starter(int maximumLevel) {
        return new Step(this, Arguments.NONE.with(EXPRESSION, "M - r"));
    }
}

package pixeron.step.point;

import java.util.List;
import pixeron.PixeronException;
import pixeron.formula.Expression;
import pixeron.formula.Function;
import pixeron.image.Area;
import pixeron.image.Image;
import pixeron.image.ImageFacts;
import pixeron.loop.Code;
import pixeron.loop.Origin;
import pixeron.number.Approximate;
import pixeron.number.Decimals;
import pixeron.number.Rational;
import pixeron.number.Value;
import pixeron.step.key.Arguments;
import pixeron.step.key.ChoiceParameter;
import pixeron.step.key.NumberParameter;
import pixeron.step.pointwise.PointRule;
import pixeron.step.pointwise.PointStep;
import pixeron.working.Line;
import pixeron.working.Run;

/** What logarithm and exponential share: the constant c and where it comes from. */
abstract class Curve extends PointStep {

    static final NumberParameter SCALE = NumberParameter.automatic("scale", "Scale", false)
            .only(number -> number.signum() != 0, "a number other than 0, or auto");
    private static final ChoiceParameter.Choice MAXIMUM = new ChoiceParameter.Choice("maximum",
            "c = M ÷ ln(1 + M)");
    private static final ChoiceParameter.Choice IMAGE = new ChoiceParameter.Choice("image",
            "c = M ÷ ln(1 + largest value)");
    static final ChoiceParameter REFERENCE = ChoiceParameter.of("reference", "Reference", MAXIMUM, IMAGE);

    Curve(String name, String title, String sentence, String formula) {
        super(name, title, sentence, formula, SCALE, REFERENCE);
    }

    @Override
    public void validate(Arguments arguments) {
        if (!arguments.get(SCALE).isAuto() && arguments.isGiven(REFERENCE)) {
            throw PixeronException.of("%s has both scale=%s and reference=%s. Reference works with scale=auto only.",
                    name(), arguments.get(SCALE), arguments.get(REFERENCE).word());
        }
    }

    @Override
    protected PointRule rule(Arguments arguments, Image before, Area area) {
        int maximum = before.maximumLevel();
        PointRule rule = super.rule(arguments, before, area);
        if (!arguments.get(SCALE).isAuto()) {
            return rule;
        }
        boolean isImage = arguments.get(REFERENCE).equals(IMAGE);
        Value largest = isImage ? ImageFacts.of(before.part(area)).largest() : Rational.of(maximum);
        if (largest.signum() <= 0) {
            return withoutScale(before, area, largest);
        }
        double scale = maximum / Math.log1p(largest.asDouble());
        String name = isImage ? "largest" : "M";
        return rule.coming("scale", () -> isImage ? Origin.extreme("top", false, area, before.frame()).and(scaledBy("top")) : scaledBy("M")).withConstant("scale", Approximate.from(scale), Line.of("scale", Run.plain("c = M ÷ ln(1 + " + name
                + ") = " + maximum + " ÷ ln(1 + " + Decimals.working(largest) + ") = "
                + Decimals.approximate(Approximate.from(scale)))));
    }

    private static Origin scaledBy(String largest) {
        return Origin.once("scale", Code.name("M").over(new Code.Call(Function.LN, List.of(Code.of(1).plus(Code.name(largest))))));
    }

    /** ln(1 + largest) is no divisor then. */
    private PointRule withoutScale(Image before, Area area, Value largest) {
        boolean isAllZero = largest.signum() == 0
                && ImageFacts.of(before.part(area)).smallest().signum() == 0;
        if (!isAllZero) {
            throw PixeronException.of("%s with reference=image needs a value above 0, but the largest is %s.", title(),
                    Decimals.working(largest));
        }
        return PointRule.of(Expression.Literal.of(Rational.ZERO), before.maximumLevel())
                .withNote("All values are 0, so ln(1 + largest) is 0 and every pixel gets 0.");
    }
}

package pixeron.step.point;

import pixeron.PixeronException;
import pixeron.image.Area;
import pixeron.image.Image;
import pixeron.step.Amount;
import pixeron.step.Arguments;
import pixeron.step.NumberParameter;
import pixeron.step.PointRule;
import pixeron.step.PointStep;
import pixeron.step.Step;
import pixeron.step.StepType;

/** {@code depth maximum=M2}: r·M2 ÷ M; the result's maximum level is M2. */
public final class Depth extends PointStep {

    private static final NumberParameter MAXIMUM = NumberParameter.required("maximum", "Maximum level").only(
            n -> n.isInt() && n.toInt() >= 1 && n.toInt() <= Image.LARGEST_MAXIMUM, "a whole number from 1 to 65535");

    public Depth() {
        super("depth", "Depth", "The same picture with another number of levels.", "r * maximum / M", MAXIMUM);
    }

    @Override
    public void validate(Arguments arguments) {
        if (arguments.find(StepType.AREA).isPresent()) {
            throw PixeronException.of("depth changes the maximum level of the whole image; leave area out.");
        }
    }

    @Override
    protected PointRule rule(Arguments arguments, Image before, Area area) {
        return PointRule.of(expression(arguments), arguments.get(MAXIMUM).number().toInt());
    }

    @Override
    public Step starter(int maximumLevel) {
        return new Step(this, Arguments.NONE.with(MAXIMUM, Amount.of(maximumLevel)));
    }
}

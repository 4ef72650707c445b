package pixeron.step.point;

import java.util.List;
import pixeron.PixeronException;
import pixeron.image.Area;
import pixeron.image.Image;
import pixeron.step.Slip;
import pixeron.step.Step;
import pixeron.step.StepType;
import pixeron.step.key.Amount;
import pixeron.step.key.Arguments;
import pixeron.step.key.NumberParameter;
import pixeron.step.pointwise.EarlyPart;
import pixeron.step.pointwise.PointRule;
import pixeron.step.pointwise.PointStep;

/**
 * {@code depth maximum=M2}: r·M2 ÷ M; the result's maximum level is M2.
 *
 * <p>Domain: r from 0 to M, M2 a whole number from 1 to 65535. Source: The straight line through (0, 0) and (M, M2),
 * docs/definitions/point-steps.md.
 */
public final class Depth extends PointStep {

    private static final NumberParameter MAXIMUM = NumberParameter.required("maximum", "Maximum level").only(
            n -> n.isInt() && n.toInt() >= 1 && n.toInt() <= Image.LARGEST_MAXIMUM, "a whole number from 1 to 65535");

    public Depth() {
        super("depth", "Bit depth", "Scales the levels to another maximum level.", "r * maximum / M", MAXIMUM);
    }

    @Override
    public void validate(Arguments arguments) {
        if (arguments.find(StepType.AREA).isPresent()) {
            throw PixeronException.of("depth changes the maximum level of the whole image. Leave area out.");
        } else if (arguments.isGiven(StepType.CHANNELS)) {
            throw PixeronException.of("depth changes the maximum level of all channels. Leave channels out.");
        }
    }

    @Override
    protected PointRule rule(Arguments arguments, Image before, Area area) {
        return PointRule.of(expression(arguments), arguments.get(MAXIMUM).number().toInt());
    }

    @Override
    protected List<EarlyPart> earlyParts(Arguments arguments) {
        return List.of(new EarlyPart("M2 ÷ M", "r * (maximum / M)", "maximum / M"));
    }

    @Override
    protected List<Slip> ownSlips() {
        return List.of(otherFormula("count-for-maximum", "M + 1 is used instead of M, before and after",
                "r * (maximum + 1) / (M + 1)"), otherFormula("count-for-maximum", "M2 + 1 is used instead of M2",
                "r * (maximum + 1) / M"));
    }

    /** Returns the step that makes M2 the maximum level. */
    public static Step to(int maximumLevel) {
        return new Step(new Depth(), Arguments.NONE.with(MAXIMUM, Amount.of(maximumLevel)));
    }

    @Override
    public Step starter(int maximumLevel) {
        return to(maximumLevel);
    }
}

package pixeron.step.point;

import java.util.List;
import java.util.Map;
import pixeron.number.Rational;
import pixeron.number.Value;
import pixeron.step.Handle;
import pixeron.step.Step;
import pixeron.step.key.Amount;
import pixeron.step.key.Arguments;
import pixeron.step.key.NumberParameter;
import pixeron.step.key.Span;
import pixeron.step.pointwise.EarlyPart;
import pixeron.step.pointwise.PointStep;

/**
 * {@code linear gain=a bias=b}: a·r + b.
 *
 * <p>Domain: r any value, a and b any numbers or M. Source: The straight line with slope a through (0, b),
 * docs/definitions/point-steps.md.
 */
public final class Linear extends PointStep {

    private static final NumberParameter GAIN = NumberParameter.required("gain", "Gain").sliding(Span.of(0, 4, 20));
    private static final NumberParameter BIAS = NumberParameter.required("bias", "Bias").sliding(Span.ofLevels(-1, 1));

    public Linear() {
        super("linear", "Linear (gain and bias)", "Multiplies by a gain and adds a bias: contrast and brightness in one step.",
                "gain * r + bias", GAIN, BIAS);
    }

    @Override
    protected List<Handle> handles(Step step, Map<String, Value> constants, int maximumLevel) {
        Rational gain = step.arguments().get(GAIN).number();
        Rational bias = step.arguments().get(BIAS).number();
        Rational right = Rational.of(maximumLevel);
        // The left end moves the line up and down, the right one turns it about the left.
        return List.of(Handle.point("bias", Rational.ZERO, bias, (level, result) -> step.with(BIAS, new Amount(result))),
                Handle.point("gain", right, gain.times(right).plus(bias), (level, result) -> step.with(GAIN,
                        new Amount(result.minus(bias).dividedBy(right).toDecimals(2)))));
    }

    @Override
    protected List<EarlyPart> earlyParts(Arguments arguments) {
        return List.of(new EarlyPart("the factor", "gain * r + bias", "gain"));
    }

    @Override
    public Step starter(int maximumLevel) {
        return new Step(this, Arguments.NONE.with(GAIN, new Amount(Rational.of(6, 5)))
                .with(BIAS, Amount.of(-Math.max(1, maximumLevel / 16))));
    }
}

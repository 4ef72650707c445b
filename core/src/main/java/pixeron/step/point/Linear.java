package pixeron.step.point;

import pixeron.number.Rational;
import pixeron.step.Amount;
import pixeron.step.Arguments;
import pixeron.step.NumberParameter;
import pixeron.step.PointStep;
import pixeron.step.Step;

/** {@code linear gain=a bias=b}: a·r + b. */
public final class Linear extends PointStep {

    private static final NumberParameter GAIN = NumberParameter.required("gain", "Gain");
    private static final NumberParameter BIAS = NumberParameter.required("bias", "Bias");

    public Linear() {
        super("linear", "Linear", "Multiplies by a gain and adds a bias: contrast and brightness in one step.",
                "gain * r + bias", GAIN, BIAS);
    }

    @Override
    public Step starter(int maximumLevel) {
        return new Step(this, Arguments.NONE.with(GAIN, new Amount(Rational.of(6, 5)))
                .with(BIAS, Amount.of(-Math.max(1, maximumLevel / 16))));
    }
}

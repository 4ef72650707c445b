package pixeron.step.point;

import pixeron.number.Rational;
import pixeron.step.Amount;
import pixeron.step.Arguments;
import pixeron.step.NumberParameter;
import pixeron.step.PointStep;
import pixeron.step.Step;

/** {@code multiply factor=a}: a·r. */
public final class Multiply extends PointStep {

    private static final NumberParameter FACTOR = NumberParameter.required("factor", "Factor");

    public Multiply() {
        super("multiply", "Multiply", "Multiplies every level by a factor: more contrast above 1, less below.",
                "factor * r", FACTOR);
    }

    @Override
    public Step starter(int maximumLevel) {
        return new Step(this, Arguments.NONE.with(FACTOR, new Amount(Rational.of(3, 2))));
    }
}

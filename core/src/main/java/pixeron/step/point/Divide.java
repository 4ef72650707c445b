package pixeron.step.point;

import pixeron.step.Amount;
import pixeron.step.Arguments;
import pixeron.step.NumberParameter;
import pixeron.step.PointStep;
import pixeron.step.Step;

/** {@code divide divisor=d}: r ÷ d, d ≠ 0. */
public final class Divide extends PointStep {

    private static final NumberParameter DIVISOR = NumberParameter.required("divisor", "Divisor")
            .only(number -> number.signum() != 0, "a number other than 0");

    public Divide() {
        super("divide", "Divide", "Divides every level by a number: less contrast.", "r / divisor", DIVISOR);
    }

    @Override
    public Step starter(int maximumLevel) {
        return new Step(this, Arguments.NONE.with(DIVISOR, Amount.of(2)));
    }
}

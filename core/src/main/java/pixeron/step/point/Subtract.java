package pixeron.step.point;

import pixeron.step.Amount;
import pixeron.step.Arguments;
import pixeron.step.NumberParameter;
import pixeron.step.PointStep;
import pixeron.step.Step;

/** {@code subtract amount=k}: r − k. */
public final class Subtract extends PointStep {

    private static final NumberParameter AMOUNT = NumberParameter.required("amount", "Amount");

    public Subtract() {
        super("subtract", "Subtract", "Subtracts a number from every level: darker.", "r - amount", AMOUNT);
    }

    @Override
    public Step starter(int maximumLevel) {
        return new Step(this, Arguments.NONE.with(AMOUNT, Amount.of(Math.max(1, maximumLevel / 8))));
    }
}

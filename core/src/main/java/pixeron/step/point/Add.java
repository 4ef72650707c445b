package pixeron.step.point;

import pixeron.step.Amount;
import pixeron.step.Arguments;
import pixeron.step.NumberParameter;
import pixeron.step.PointStep;
import pixeron.step.Step;

/** {@code add amount=k}: r + k. */
public final class Add extends PointStep {

    private static final NumberParameter AMOUNT = NumberParameter.required("amount", "Amount");

    public Add() {
        super("add", "Add", "Adds a number to every level: brighter, or darker with a negative number.",
                "r + amount", AMOUNT);
    }

    @Override
    public Step starter(int maximumLevel) {
        return new Step(this, Arguments.NONE.with(AMOUNT, Amount.of(Math.max(1, maximumLevel / 8))));
    }
}

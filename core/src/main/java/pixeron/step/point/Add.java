package pixeron.step.point;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import pixeron.number.Rational;
import pixeron.number.Value;
import pixeron.step.Handle;
import pixeron.step.Opposite;
import pixeron.step.Step;
import pixeron.step.key.Amount;
import pixeron.step.key.Arguments;
import pixeron.step.key.NumberParameter;
import pixeron.step.key.Span;
import pixeron.step.pointwise.PointStep;

/**
 * {@code add amount=k}: r + k.
 *
 * <p>Domain: r any value, k any number or M. Source: A shift of the curve, docs/definitions/point-steps.md.
 */
public final class Add extends PointStep {

    private static final NumberParameter AMOUNT = NumberParameter.required("amount", "Amount").sliding(Span.ofLevels(-1, 1));

    public Add() {
        super("add", "Add", "Adds a number to every level: brighter, or darker if it is negative.",
                "r + amount", AMOUNT);
    }

    /** Returns the step that adds this number. */
    public static Step of(long amount) {
        return new Step(new Add(), Arguments.NONE.with(AMOUNT, Amount.of(amount)));
    }

    @Override
    protected List<Handle> handles(Step step, Map<String, Value> constants, int maximumLevel) {
        Rational amount = step.arguments().get(AMOUNT).number();
        Rational middle = Rational.of(maximumLevel / 2);
        return List.of(Handle.point("amount", middle, middle.plus(amount),
                (level, result) -> step.with(AMOUNT, new Amount(result.minus(middle)))));
    }

    @Override
    public Optional<Opposite> opposite(Step step) {
        return Optional.of(new Opposite("the number is subtracted instead of added", step.as(new Subtract())));
    }

    @Override
    public Step starter(int maximumLevel) {
        return new Step(this, Arguments.NONE.with(AMOUNT, Amount.of(Math.max(1, maximumLevel / 8))));
    }
}

package pixeron.step.point;

import java.util.Optional;
import pixeron.step.Opposite;
import pixeron.step.Step;
import pixeron.step.key.Amount;
import pixeron.step.key.Arguments;
import pixeron.step.key.NumberParameter;
import pixeron.step.key.Span;
import pixeron.step.pointwise.PointStep;

/**
 * {@code subtract amount=k}: r − k.
 *
 * <p>Domain: r any value, k any number or M. Source: A shift of the curve, docs/definitions/point-steps.md.
 */
public final class Subtract extends PointStep {

    private static final NumberParameter AMOUNT = NumberParameter.required("amount", "Amount").sliding(Span.ofLevels(-1, 1));

    public Subtract() {
        super("subtract", "Subtract", "Subtracts a number from every level: darker.", "r - amount", AMOUNT);
    }

    @Override
    public Optional<Opposite> opposite(Step step) {
        return Optional.of(new Opposite("the number is added instead of subtracted", step.as(new Add())));
    }

    @Override
    public Step starter(int maximumLevel) {
        return new Step(this, Arguments.NONE.with(AMOUNT, Amount.of(Math.max(1, maximumLevel / 8))));
    }
}

package pixeron.step.cut;

import java.util.List;
import java.util.Optional;
import pixeron.PixeronException;
import pixeron.formula.Expression;
import pixeron.number.Rational;
import pixeron.step.Step;
import pixeron.step.key.Amount;
import pixeron.step.key.Arguments;
import pixeron.step.key.NumberParameter;
import pixeron.step.pointwise.PointStep;

/**
 * {@code clamp low=a high=b}: min(max(r, a), b); one of the two may be left out; a ≤ b.
 *
 * <p>Domain: r any value, a and b any numbers or M. Source: The part of a curve between two limits,
 * docs/definitions/point-steps.md.
 */
public final class Clamp extends PointStep {

    private static final NumberParameter LOW = NumberParameter.level("low", "Low", Amount.of(0)).leftOutAtWill();
    private static final NumberParameter HIGH = NumberParameter.level("high", "High", Amount.MAXIMUM).leftOutAtWill();

    private final Expression onlyLow = parsed("max(r, low)");
    private final Expression onlyHigh = parsed("min(r, high)");

    public Clamp() {
        super("clamp", "Clamp", "Sets levels below Low to Low and levels above High to High.",
                "min(max(r, low), high)", LOW, HIGH);
    }

    @Override
    public void validate(Arguments arguments) {
        Optional<Amount> low = arguments.find(LOW);
        Optional<Amount> high = arguments.find(HIGH);
        if (low.isEmpty() && high.isEmpty()) {
            throw PixeronException.of("clamp needs low=… or high=… or both.");
        }
        // With M on one side only, the order depends on the image; PointStep asks again when it is known.
        if (low.isPresent() && high.isPresent() && low.get().number() != null && high.get().number() != null) {
            requireOrder(low.get().number(), high.get().number());
        }
    }

    @Override
    protected void validate(Arguments arguments, int maximumLevel) {
        if (arguments.find(LOW).isPresent() && arguments.find(HIGH).isPresent()) {
            requireOrder(arguments.get(LOW).resolve(maximumLevel), arguments.get(HIGH).resolve(maximumLevel));
        }
    }

    private static void requireOrder(Rational low, Rational high) {
        if (low.compareTo(high) > 0) {
            throw PixeronException.of("clamp: low=%s is above high=%s. Low must be at most High.",
                    new Amount(low), new Amount(high));
        }
    }

    @Override
    protected Expression expression(Arguments arguments) {
        return arguments.find(HIGH).isEmpty() ? onlyLow
                : arguments.find(LOW).isEmpty() ? onlyHigh : super.expression(arguments);
    }

    @Override
    protected List<NumberParameter> levelKeys() {
        return List.of(LOW, HIGH);
    }

    @Override
    public Step starter(int maximumLevel) {
        return new Step(this, Arguments.NONE.with(LOW, Amount.of(maximumLevel / 4))
                .with(HIGH, Amount.of(maximumLevel - maximumLevel / 4)));
    }
}

package pixeron.step.cut;

import java.util.List;
import pixeron.formula.Expression;
import pixeron.step.Step;
import pixeron.step.key.Amount;
import pixeron.step.key.Arguments;
import pixeron.step.key.NumberParameter;
import pixeron.step.pointwise.PointStep;

/**
 * {@code slice low=a high=b inside=M outside=keep}: one value for a range of levels, another one or none for the rest.
 *
 * <p>Domain: a ≤ b; inside and outside any numbers, M or keep. Source: Both limits belong to the range,
 * docs/definitions/point-steps.md.
 */
public final class Slice extends PointStep {

    private static final NumberParameter LOW = NumberParameter.level("low", "Low", Amount.of(0)).givenAlways();
    private static final NumberParameter HIGH = NumberParameter.level("high", "High", Amount.of(0)).givenAlways();
    private static final NumberParameter INSIDE = NumberParameter.level("inside", "Inside", Amount.MAXIMUM);
    private static final NumberParameter OUTSIDE = NumberParameter.kept("outside", "Outside");

    private final Expression replacing = parsed("if(r >= low, if(r <= high, inside, outside), outside)");

    public Slice() {
        super("slice", "Slice", "Sets a range of levels to one value; the others keep their level or get another value.",
                "if(r >= low, if(r <= high, inside, r), r)", LOW, HIGH, INSIDE, OUTSIDE);
    }

    @Override
    protected Expression expression(Arguments arguments) {
        return arguments.get(OUTSIDE).equals(Amount.KEEP) ? super.expression(arguments) : replacing;
    }

    @Override
    protected void validate(Arguments arguments, int maximumLevel) {
        requireOrder(name(), arguments.get(LOW), arguments.get(HIGH), maximumLevel);
    }

    @Override
    protected List<NumberParameter> levelKeys() {
        return List.of(LOW, HIGH);
    }

    @Override
    public Step starter(int maximumLevel) {
        return new Step(this, Arguments.NONE.with(LOW, Amount.of(maximumLevel / 3))
                .with(HIGH, Amount.of(maximumLevel - maximumLevel / 3)));
    }
}

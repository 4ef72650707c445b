package pixeron.step.threshold;

import java.util.List;
import pixeron.step.Slip;
import pixeron.step.Step;
import pixeron.step.key.Amount;
import pixeron.step.key.Arguments;
import pixeron.step.key.NumberParameter;
import pixeron.step.pointwise.PointStep;

/**
 * {@code band low=a high=b}: M where a ≤ r ≤ b, else 0.
 *
 * <p>Domain: r any value, a ≤ b. Source: Both limits belong to the band, docs/definitions/thresholds.md.
 */
public final class Band extends PointStep {

    private static final NumberParameter LOW = NumberParameter.level("low", "Low", Amount.of(0)).givenAlways();
    private static final NumberParameter HIGH = NumberParameter.level("high", "High", Amount.MAXIMUM).givenAlways();

    public Band() {
        super("band", "Band threshold", "Sets levels from Low to High, both included, to white and all others to black.",
                "if(r >= low, if(r <= high, M, 0), 0)", LOW, HIGH);
    }

    @Override
    protected void validate(Arguments arguments, int maximumLevel) {
        requireOrder(name(), arguments.get(LOW), arguments.get(HIGH), maximumLevel);
    }

    @Override
    protected List<Slip> ownSlips() {
        return List.of(otherFormula("black-white-swapped", "M is written outside the band and 0 inside",
                "if(r >= low, if(r <= high, 0, M), M)"));
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

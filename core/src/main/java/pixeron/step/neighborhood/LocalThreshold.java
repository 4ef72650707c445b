package pixeron.step.neighborhood;

import java.util.List;
import java.util.stream.Stream;
import pixeron.image.Image;
import pixeron.step.Inputs;
import pixeron.step.Operation;
import pixeron.step.Slip;
import pixeron.step.Step;
import pixeron.step.key.Amount;
import pixeron.step.key.NumberParameter;
import pixeron.step.threshold.TwoLevels;

/**
 * {@code threshold-local size=n offset=0 border=zero low=0 high=M}: high where r &gt; (mean of the n × n window) − offset,
 * else low.
 */
public final class LocalThreshold extends WindowStep {

    private static final NumberParameter SIZE = size();
    static final NumberParameter OFFSET = NumberParameter.optional("offset", "Offset", 0);
    static final NumberParameter LOW = NumberParameter.level("low", "Low", Amount.of(0));
    static final NumberParameter HIGH = NumberParameter.level("high", "High", Amount.MAXIMUM);

    /** Whether a pixel of just the limit is high, which is a slip. */
    private final boolean isAtLeast;

    public LocalThreshold() {
        this(false);
    }

    private LocalThreshold(boolean isAtLeast) {
        super("threshold-local", "Local threshold",
                "Makes two levels of all: high above the mean of the window around each pixel, low elsewhere.",
                "s = if r > window mean − offset: high, else low", Border.ZERO, SIZE, OFFSET, LOW, HIGH);
        this.isAtLeast = isAtLeast;
    }

    @Override
    public Step starter(int maximumLevel) {
        return new Step(this, small(SIZE));
    }

    @Override
    public List<Slip> slips() {
        return Stream.concat(super.slips().stream(), Stream.of(TwoLevels.swapped(LOW, HIGH), Slip.of("strictness",
                "r = mean − offset counts as above", step -> step.as(new LocalThreshold(true))))).toList();
    }

    @Override
    public Operation bind(Step step, Inputs inputs) {
        Image before = inputs.image(this);
        return new LocalThresholdOperation(step, before, square(step.arguments(), before,
                step.arguments().get(SIZE).resolve(before.maximumLevel()).toInt()), isAtLeast);
    }
}

package pixeron.step.neighborhood;

import pixeron.image.Image;
import pixeron.step.Amount;
import pixeron.step.NumberParameter;
import pixeron.step.Operation;
import pixeron.step.Step;

/**
 * {@code threshold-local size=n offset=0 border=zero low=0 high=M}: high where r &gt; (mean of the n × n window) − offset,
 * else low.
 */
public final class LocalThreshold extends WindowStep {

    private static final NumberParameter SIZE = size();
    static final NumberParameter OFFSET = NumberParameter.optional("offset", "Offset", 0);
    static final NumberParameter LOW = NumberParameter.level("low", "Low", Amount.of(0));
    static final NumberParameter HIGH = NumberParameter.level("high", "High", Amount.MAXIMUM);

    public LocalThreshold() {
        super("threshold-local", "Local threshold",
                "Makes two levels of all: high above the mean of the window around each pixel, low elsewhere.",
                "s = if r > window mean − offset: high, else low", Border.ZERO, SIZE, OFFSET, LOW, HIGH);
    }

    @Override
    public Step starter(int maximumLevel) {
        return new Step(this, small(SIZE));
    }

    @Override
    public Operation bind(Step step, Image before) {
        return new LocalThresholdOperation(step, before, square(step.arguments(), before,
                step.arguments().get(SIZE).resolve(before.maximumLevel()).toInt()));
    }
}

package pixeron.step.neighborhood;

import java.util.List;
import java.util.Optional;
import pixeron.PixeronException;
import pixeron.image.Image;
import pixeron.number.Rational;
import pixeron.step.Amount;
import pixeron.step.Arguments;
import pixeron.step.ChoiceParameter;
import pixeron.step.NumberParameter;
import pixeron.step.Operation;
import pixeron.step.Parameter;
import pixeron.step.Step;
import pixeron.step.StepType;

/**
 * {@code threshold-local size=n offset=0 border=zero low=0 high=M}: high where r &gt; (mean of the n × n window) − offset,
 * else low.
 */
public final class LocalThreshold implements StepType {

    private static final int LARGEST = 999;

    static final NumberParameter SIZE = NumberParameter.required("size", "Size").only(
            size -> size.isInt() && size.toInt() >= 1 && size.toInt() <= LARGEST, "a whole number from 1 to " + LARGEST);
    static final NumberParameter OFFSET = NumberParameter.optional("offset", "Offset", 0);
    static final ChoiceParameter BORDER = Border.ZERO.parameter();
    static final NumberParameter OUTSIDE = NumberParameter.required("outside", "Outside").leftOutAtWill();
    static final NumberParameter LOW = NumberParameter.level("low", "Low", Amount.of(0));
    static final NumberParameter HIGH = NumberParameter.level("high", "High", Amount.MAXIMUM);

    @Override
    public String name() {
        return "threshold-local";
    }

    @Override
    public String title() {
        return "Local threshold";
    }

    @Override
    public String sentence() {
        return "Makes two levels of all: high above the mean of the window around each pixel, low elsewhere.";
    }

    @Override
    public String formula() {
        return "s = if r > window mean − offset: high, else low";
    }

    @Override
    public List<Parameter<?>> ownParameters() {
        return List.of(SIZE, OFFSET, BORDER, OUTSIDE, LOW, HIGH);
    }

    @Override
    public void validate(Arguments arguments) {
        boolean isConstant = Border.named(arguments.get(BORDER)) == Border.CONSTANT;
        if (isConstant != arguments.isGiven(OUTSIDE)) {
            throw PixeronException.of(isConstant ? "border=constant needs outside=…, the value outside the image."
                    : "outside belongs to border=constant; leave it out.");
        }
        if (Border.named(arguments.get(BORDER)) == Border.CROP && arguments.isGiven(AREA)) {
            throw PixeronException.of("area goes with results as large as the image, and border=crop makes them smaller; "
                    + "leave one of them out.");
        }
    }

    @Override
    public Step starter(int maximumLevel) {
        return new Step(this, Arguments.NONE.with(SIZE, Amount.of(3)));
    }

    @Override
    public Operation bind(Step step, Image before) {
        Optional<Rational> outside = step.arguments().find(OUTSIDE).map(amount -> amount.resolve(before.maximumLevel()));
        Window window = Window.square(step.arguments().get(SIZE).resolve(before.maximumLevel()).toInt(),
                Border.named(step.arguments().get(BORDER)), outside.orElse(Rational.ZERO));
        window.requireFit(before);
        return new LocalThresholdOperation(step, before, window);
    }
}

package pixeron.step.model;

import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;
import pixeron.image.Frame;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.number.Decimals;
import pixeron.number.Value;
import pixeron.step.Finish;
import pixeron.step.Inputs;
import pixeron.step.Progress;
import pixeron.step.Source;
import pixeron.step.Step;
import pixeron.step.StepOperation;

/** What both ways of a conversion share: each value is worked out from its own pixel, and images of levels have a quicker way. */
abstract class ModelOperation extends StepOperation {

    ModelOperation(Step step, Supplier<Image> before, Frame frame, Inputs inputs, UnaryOperator<Finish> ending) {
        super(step, before, frame, inputs, ending);
    }

    /** Returns the result of levels; empty where they are none. */
    abstract Optional<Image> quickly(Progress progress);

    /** Returns the result, calculated value by value. */
    final Image slowly(Progress progress) {
        return oneByOne(progress);
    }

    @Override
    public final Image result(Progress progress) {
        return quickly(progress).orElseGet(() -> slowly(progress));
    }

    @Override
    public final List<Source> sources(Pixel pixel) {
        return List.of(Source.of(pixel, before().value(pixel)));
    }

    static String text(Value value) {
        return Decimals.working(value);
    }

    /** As a part of an expression: a fraction or a negative number in parentheses. */
    static String part(Value value) {
        String text = text(value);
        return text.contains("/") || value.signum() < 0 ? "(" + text + ")" : text;
    }
}

package pixeron.step.geometry;

import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import pixeron.image.Frame;
import pixeron.image.Image;
import pixeron.step.Common;
import pixeron.step.Inputs;
import pixeron.step.NamedStep;
import pixeron.step.Operation;
import pixeron.step.Slip;
import pixeron.step.Step;
import pixeron.step.Way;
import pixeron.step.key.Arguments;
import pixeron.step.key.Parameter;

/**
 * {@code transpose}: s(i, j) = r(j, i), W × H pixels.
 *
 * <p>Domain: any image. Cost: one copy, in squares. Source: docs/definitions/moving.md.
 */
public final class Transpose extends NamedStep {

    public Transpose() {
        super("transpose", "Transpose", "Swaps rows and columns.");
    }

    @Override
    public String formula(Arguments arguments) {
        return "s(i, j) = r(j, i)";
    }

    @Override
    public List<Parameter<?>> ownParameters() {
        return List.of();
    }

    @Override
    public Set<Common> common() {
        return Common.NONE;
    }

    @Override
    public List<Slip> slips() {
        return List.of(Slip.of("turned-other-way", right -> Stream.of(true, false).map(isLeft -> Way.of("the image is rotated by 90° "
                + (isLeft ? "to the left" : "to the right") + " instead", quarter(right.step(), right.before(), isLeft))).toList()));
    }

    /** Returns a quarter turn, counter-clockwise or clockwise as seen. */
    private static Operation quarter(Step step, Image before, boolean isLeft) {
        List<String> formulas = isLeft ? List.of("j", "W - 1 - i") : List.of("H - 1 - j", "i");
        List<String> home = isLeft ? List.of("W - 1 - x", "y") : List.of("x", "H - 1 - y");
        return new MovedOperation(step, before, Places.of(frame(before), formulas, home, Points.sizes(before.frame())), Outside.NEVER);
    }

    private static Frame frame(Image before) {
        return before.frame().sized(before.columns(), before.rows());
    }

    @Override
    public Operation bind(Step step, Inputs inputs) {
        Image before = inputs.image(this);
        return new MovedOperation(step, before, Places.of(frame(before), List.of("j", "i"), List.of("x", "y"), Map.of()), Outside.NEVER);
    }
}

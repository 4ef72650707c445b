package pixeron.step.geometry;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import pixeron.image.Image;
import pixeron.step.Common;
import pixeron.step.Inputs;
import pixeron.step.NamedStep;
import pixeron.step.Operation;
import pixeron.step.Slip;
import pixeron.step.Step;
import pixeron.step.key.Arguments;
import pixeron.step.key.ChoiceParameter;
import pixeron.step.key.Parameter;

/**
 * {@code flip direction=left-right}: s(i, j) = r(i, W − 1 − j); {@code direction=up-down}: s(i, j) = r(H − 1 − i, j).
 *
 * <p>Domain: any image. Cost: one copy. Source: docs/definitions/moving.md.
 */
public final class Flip extends NamedStep {

    private static final String LEFT_RIGHT = "left-right";
    private static final ChoiceParameter DIRECTION = new ChoiceParameter("direction", "Direction", Optional.empty(), List.of(
            new ChoiceParameter.Choice(LEFT_RIGHT, "left becomes right"), new ChoiceParameter.Choice("up-down", "top becomes bottom")));

    public Flip() {
        super("flip", "Flip", "Mirrors the image left to right or top to bottom.");
    }

    private static boolean isLeftRight(Arguments arguments) {
        return arguments.get(DIRECTION).word().equals(LEFT_RIGHT);
    }

    private Step of(boolean isLeftRight) {
        return new Step(this, Arguments.NONE.with(DIRECTION, DIRECTION.choices().get(isLeftRight ? 0 : 1)));
    }

    @Override
    public String formula(Arguments arguments) {
        return isLeftRight(arguments) ? "s(i, j) = r(i, W − 1 − j)" : "s(i, j) = r(H − 1 − i, j)";
    }

    @Override
    public List<Parameter<?>> ownParameters() {
        return List.of(DIRECTION);
    }

    @Override
    public Set<Common> common() {
        return Set.of(Common.AREA, Common.CHANNELS);
    }

    @Override
    public Step starter(int maximumLevel) {
        return of(true);
    }

    @Override
    public List<Slip> slips() {
        return List.of(Slip.of("flipped-other-way", "the image is flipped in the other direction", step -> step.with(DIRECTION,
                DIRECTION.choices().get(isLeftRight(step.arguments()) ? 1 : 0))));
    }

    @Override
    public Operation bind(Step step, Inputs inputs) {
        Image before = inputs.image(this);
        boolean isLeftRight = isLeftRight(step.arguments());
        List<String> formulas = isLeftRight ? List.of("i", "W - 1 - j") : List.of("H - 1 - i", "j");
        List<String> home = isLeftRight ? List.of("y", "W - 1 - x") : List.of("H - 1 - y", "x");
        return new MovedOperation(step, before, Places.of(before.frame(), formulas, home, Points.sizes(before.frame())), Outside.NEVER);
    }
}

package pixeron.step.geometry;

import java.util.List;
import java.util.Set;
import pixeron.image.Frame;
import pixeron.image.Image;
import pixeron.step.Common;
import pixeron.step.Inputs;
import pixeron.step.NamedStep;
import pixeron.step.Operation;
import pixeron.step.Slip;
import pixeron.step.Step;
import pixeron.step.Way;
import pixeron.step.key.Amount;
import pixeron.step.key.Arguments;
import pixeron.step.key.ChoiceParameter;
import pixeron.step.key.NumberParameter;
import pixeron.step.key.Parameter;

/**
 * {@code tile down=n right=m mirrored=no}: n × m copies; with {@code mirrored=yes} the odd ones, counted from 0, are flipped
 * up-down going down and left-right going to the right.
 *
 * <p>Domain: whole n, m ≥ 1. Cost: one copy of the result. Source: docs/definitions/moving.md.
 */
public final class Tile extends NamedStep {

    private static final NumberParameter DOWN = Sizes.count("down", "Down", 1);
    private static final NumberParameter RIGHT = Sizes.count("right", "Right", 1);
    private static final ChoiceParameter MIRRORED = ChoiceParameter.of("mirrored", "Mirrored", new ChoiceParameter.Choice("no", "all copies the same"),
            new ChoiceParameter.Choice("yes", "every second copy is mirrored, so that equal edges meet"));

    public Tile() {
        super("tile", "Tile", "Repeats the image in rows and columns; every second copy can be mirrored.");
    }

    private static boolean isMirrored(Arguments arguments) {
        return arguments.get(MIRRORED).word().equals("yes");
    }

    @Override
    public String formula(Arguments arguments) {
        return isMirrored(arguments) ? "s(i, j) = r(y, x), back and forth: y = min(i mod 2H, 2H − 1 − i mod 2H)" : "s(i, j) = r(i mod H, j mod W)";
    }

    @Override
    public List<Parameter<?>> ownParameters() {
        return List.of(DOWN, RIGHT, MIRRORED);
    }

    @Override
    public Set<Common> common() {
        return Common.NONE;
    }

    @Override
    public Step starter(int maximumLevel) {
        return new Step(this, Arguments.NONE.with(DOWN, Amount.of(2)).with(RIGHT, Amount.of(2)));
    }

    @Override
    public List<Slip> slips() {
        return List.of(Slip.of("flipped-other-way", right -> isMirrored(right.step().arguments()) ? Way.tried("the copies are not mirrored",
                () -> right.step().with(MIRRORED, MIRRORED.choices().get(0)), right) : List.of()));
    }

    @Override
    public Operation bind(Step step, Inputs inputs) {
        Image before = inputs.image(this);
        Frame frame = Sizes.frame((long) before.rows() * step.arguments().get(DOWN).number().toInt(),
                (long) before.columns() * step.arguments().get(RIGHT).number().toInt(), inputs);
        List<String> formulas = isMirrored(step.arguments())
                ? List.of("min(mod(i, 2 * H), 2 * H - 1 - mod(i, 2 * H))", "min(mod(j, 2 * W), 2 * W - 1 - mod(j, 2 * W))")
                : List.of("mod(i, H)", "mod(j, W)");
        // Of all copies the first is where a pixel went to.
        return new MovedOperation(step, before, Places.of(frame, formulas, List.of("y", "x"), Points.sizes(before.frame())), Outside.NEVER);
    }
}

package pixeron.step.geometry;

import java.util.List;
import java.util.Map;
import java.util.Set;
import pixeron.image.Image;
import pixeron.number.Value;
import pixeron.step.Common;
import pixeron.step.Inputs;
import pixeron.step.NamedStep;
import pixeron.step.Operation;
import pixeron.step.Slip;
import pixeron.step.Step;
import pixeron.step.key.Amount;
import pixeron.step.key.Arguments;
import pixeron.step.key.NumberParameter;
import pixeron.step.key.Parameter;

/**
 * {@code move down=a right=b border=zero}: s(i, j) = r(i − a, j − b), whole a, b of any sign.
 *
 * <p>Domain: what stands outside is as for windows, without keep, inside and crop. Cost: one copy. Source:
 * docs/definitions/geometry.md.
 */
public final class Move extends NamedStep {

    private static final NumberParameter DOWN = NumberParameter.whole("down", "Down");
    private static final NumberParameter RIGHT = NumberParameter.whole("right", "Right");

    public Move() {
        super("move", "Move", "Moves the image down and to the right, or back; what comes in from outside is chosen.");
    }

    @Override
    public String formula(Arguments arguments) {
        return "s(i, j) = r(i − down, j − right)";
    }

    @Override
    public List<Parameter<?>> ownParameters() {
        return List.of(DOWN, RIGHT, Outside.BORDER, Outside.VALUE);
    }

    @Override
    public Set<Common> common() {
        return Set.of(Common.AREA, Common.CHANNELS);
    }

    @Override
    public void validate(Arguments arguments) {
        Outside.validate(arguments);
    }

    @Override
    public Step starter(int maximumLevel) {
        return new Step(this, Arguments.NONE.with(DOWN, Amount.of(0)).with(RIGHT, Amount.of(1)));
    }

    @Override
    public List<Slip> slips() {
        return Outside.slips();
    }

    @Override
    public Operation bind(Step step, Inputs inputs) {
        Image before = inputs.image(this);
        Map<String, Value> numbers = Map.of("down", step.arguments().get(DOWN).number(), "right",
                step.arguments().get(RIGHT).number());
        return new MovedOperation(step, before, Places.of(before.frame(), List.of("i - down", "j - right"),
                List.of("y + down", "x + right"), numbers), Outside.of(step.arguments(), before.maximumLevel()));
    }
}

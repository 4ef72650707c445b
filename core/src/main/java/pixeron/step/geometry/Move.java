package pixeron.step.geometry;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import pixeron.image.Frame;
import pixeron.image.Image;
import pixeron.number.Decimals;
import pixeron.number.Value;
import pixeron.step.Common;
import pixeron.step.Grip;
import pixeron.step.Inputs;
import pixeron.step.NamedStep;
import pixeron.step.Operation;
import pixeron.step.Slip;
import pixeron.step.Step;
import pixeron.step.key.Amount;
import pixeron.step.key.Arguments;
import pixeron.step.key.NumberParameter;
import pixeron.step.key.Parameter;
import pixeron.step.key.Span;

/**
 * {@code translate down=a right=b border=zero}: s(i, j) = r(i − a, j − b), whole a, b of any sign.
 *
 * <p>Domain: what is outside is as for windows, without keep, inside and crop. Cost: one copy. Source:
 * docs/definitions/moving.md.
 */
public final class Move extends NamedStep {

    private static final NumberParameter DOWN = NumberParameter.pixels("down", "Down").sliding(Span.of(-32, 32));
    private static final NumberParameter RIGHT = NumberParameter.pixels("right", "Right").sliding(Span.of(-32, 32));

    public Move() {
        super("translate", "Translate", "Translates the image down and to the right; Border sets the values that come in.");
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

    private static int pixels(Step step, NumberParameter key) {
        return step.arguments().get(key).number().toInt();
    }

    @Override
    public List<Grip> grips(Step step, Inputs inputs) {
        int down = pixels(step, DOWN);
        int right = pixels(step, RIGHT);
        Frame frame = inputs.before().frame();
        Grip.Place middle = new Grip.Place(frame.rows() / 2.0, frame.columns() / 2.0);
        List<Grip> grips = new ArrayList<>(super.grips(step, inputs));
        grips.add(new Grip.Arm(Grip.On.AFTER, "Translate", middle, new Grip.Place(middle.row() + down, middle.column() + right),
                Decimals.working(down) + " down, " + Decimals.working(right) + " right", (from, to) -> step.with(DOWN, Amount.of(down + Math.round(to.row() - from.row())))
                        .with(RIGHT, Amount.of(right + Math.round(to.column() - from.column())))));
        return grips;
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

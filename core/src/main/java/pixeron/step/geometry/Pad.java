package pixeron.step.geometry;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import pixeron.PixeronException;
import pixeron.image.Frame;
import pixeron.image.Image;
import pixeron.number.Rational;
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
 * {@code pad top=0 bottom=0 left=0 right=0 border=zero}: rows and columns added, filled as a border goes on: s(i, j) =
 * r(i − top, j − left).
 *
 * <p>Domain: whole numbers ≥ 0, at least one above 0; borders as for {@code move}. Cost: one copy of the result. Source:
 * docs/definitions/moving.md.
 */
public final class Pad extends NamedStep {

    private static final List<NumberParameter> SIDES = List.of(Sizes.count("top", "Top", 0), Sizes.count("bottom", "Bottom", 0),
            Sizes.count("left", "Left", 0), Sizes.count("right", "Right", 0));

    public Pad() {
        super("pad", "Pad", "Adds rows and columns around the image; Border sets their values.");
    }

    @Override
    public String formula(Arguments arguments) {
        return "s(i, j) = r(i − top, j − left)";
    }

    @Override
    public List<Parameter<?>> ownParameters() {
        List<Parameter<?>> all = new ArrayList<>(SIDES);
        all.addAll(List.of(Outside.BORDER, Outside.VALUE));
        return all;
    }

    @Override
    public Set<Common> common() {
        return Common.NONE;
    }

    private static int side(Arguments arguments, int side) {
        return arguments.get(SIDES.get(side)).number().toInt();
    }

    @Override
    public void validate(Arguments arguments) {
        Outside.validate(arguments);
        if (SIDES.stream().allMatch(side -> arguments.get(side).number().signum() == 0)) {
            throw PixeronException.of("pad adds nothing. Set at least one of top, bottom, left, right above 0.");
        }
    }

    @Override
    public Step starter(int maximumLevel) {
        Arguments arguments = Arguments.NONE;
        for (NumberParameter side : SIDES) {
            arguments = arguments.with(side, Amount.of(1));
        }
        return new Step(this, arguments);
    }

    @Override
    public List<Slip> slips() {
        return Outside.slips();
    }

    @Override
    public Operation bind(Step step, Inputs inputs) {
        Image before = inputs.image(this);
        Arguments arguments = step.arguments();
        Frame frame = Sizes.frame((long) before.rows() + side(arguments, 0) + side(arguments, 1),
                (long) before.columns() + side(arguments, 2) + side(arguments, 3), inputs);
        Map<String, Value> numbers = Map.of("top", Rational.of(side(arguments, 0)), "left", Rational.of(side(arguments, 2)));
        return new MovedOperation(step, before, Places.of(frame, List.of("i - top", "j - left"), List.of("y + top", "x + left"), numbers),
                Outside.of(arguments, before.maximumLevel()));
    }
}

package pixeron.step.geometry;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import pixeron.image.Frame;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.number.Approximate;
import pixeron.number.Rational;
import pixeron.number.Rounding;
import pixeron.number.Value;
import pixeron.step.Common;
import pixeron.step.Finish;
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
 * {@code turn degrees=d by=nearest size=fit border=zero}: turned around its middle, counter-clockwise as seen: y = (H − 1) ÷ 2 +
 * dx · s + dy · c, x = (W − 1) ÷ 2 + dx · c − dy · s with dy = i − (h − 1) ÷ 2, dx = j − (w − 1) ÷ 2.
 *
 * <p>Domain: any d, first taken modulo 360; c and s are exactly 0 and ±1 at multiples of 90°, doubles elsewhere. Cost: one or
 * four cells a pixel. Source: docs/definitions/geometry.md.
 */
public final class Turn extends NamedStep {

    private static final Rational QUARTER = Rational.of(90);
    private static final int HALF_TURN = 180;
    private static final NumberParameter DEGREES = NumberParameter.required("degrees", "Degrees");
    private static final ChoiceParameter BY = ChoiceParameter.of("by", "By", Reading.NEAREST_CHOICE, Reading.LINEAR_CHOICE);
    private static final ChoiceParameter SIZE = ChoiceParameter.of("size", "Size", new ChoiceParameter.Choice("fit", "as large as the turned image"),
            new ChoiceParameter.Choice("keep", "as large as before"));

    /** The cosine and the sine of the angle. */
    private record Angle(Value cosine, Value sine) {

        static Angle of(Rational degrees) {
            Rational turns = degrees.dividedBy(Rational.of(360));
            Rational left = degrees.minus(Rational.of(360).times((Rational) Rounding.FLOOR.apply(turns)));
            Rational quarters = left.dividedBy(QUARTER);
            if (quarters.isWhole()) {
                int quarter = quarters.toInt();
                return new Angle(Rational.of(quarter == 0 ? 1 : quarter == 2 ? -1 : 0), Rational.of(quarter == 1 ? 1 : quarter == 3 ? -1 : 0));
            }
            return ofRadians(left.asDouble() * Math.PI / HALF_TURN);
        }

        static Angle ofRadians(double angle) {
            return new Angle(Approximate.from(Math.cos(angle)), Approximate.from(Math.sin(angle)));
        }
    }

    public Turn() {
        super("turn", "Turn", "Turns the image around its middle, counter-clockwise; what comes in from outside is chosen.");
    }

    @Override
    public String formula(Arguments arguments) {
        return "s(i, j) = r((H − 1) ÷ 2 + dx × s + dy × c, (W − 1) ÷ 2 + dx × c − dy × s)";
    }

    @Override
    public List<Parameter<?>> ownParameters() {
        return List.of(DEGREES, BY, SIZE, Outside.BORDER, Outside.VALUE);
    }

    @Override
    public Set<Common> common() {
        return Set.of(Common.ROUNDING, Common.OVERFLOW);
    }

    @Override
    public void validate(Arguments arguments) {
        Outside.validate(arguments);
    }

    @Override
    public Step starter(int maximumLevel) {
        return new Step(this, Arguments.NONE.with(DEGREES, Amount.of(90)));
    }

    private static Rational degrees(Step step) {
        return step.arguments().get(DEGREES).number();
    }

    private static boolean isLinear(Step step) {
        return step.arguments().get(BY).equals(Reading.LINEAR_CHOICE);
    }

    private static Frame frame(Step step, Image before, Angle angle) {
        if (step.arguments().get(SIZE).word().equals("keep")) {
            return before.frame();
        }
        double c = Math.abs(angle.cosine.asDouble());
        double s = Math.abs(angle.sine.asDouble());
        return Sizes.frame((long) Math.ceil(before.rows() * c + before.columns() * s - Points.NEAR),
                (long) Math.ceil(before.columns() * c + before.rows() * s - Points.NEAR), before.maximumLevel());
    }

    @Override
    public Operation bind(Step step, Inputs inputs) {
        Image before = inputs.image(this);
        Angle angle = Angle.of(degrees(step));
        return turned(step, before, frame(step, before, angle), angle, isLinear(step));
    }

    private static Operation turned(Step step, Image before, Frame frame, Angle angle, boolean isLinear) {
        Map<String, Value> numbers = new HashMap<>(Points.sizes(before.frame(), frame));
        numbers.put("c", angle.cosine);
        numbers.put("s", angle.sine);
        Points points = Points.of(frame, List.of("(H - 1) / 2 + (j - (w - 1) / 2) * s + (i - (h - 1) / 2) * c",
                "(W - 1) / 2 + (j - (w - 1) / 2) * c - (i - (h - 1) / 2) * s"), numbers);
        PointCells cells = new PointCells(points, isLinear ? Reading.LINEAR : Reading.NEAREST, Optional.empty(), pixel -> back(pixel, before, frame, angle));
        Outside outside = Outside.of(step.arguments(), before.maximumLevel());
        TurnBulk bulk = new TurnBulk(before, frame, angle.cosine.asDouble(), angle.sine.asDouble(), isLinear, outside.border());
        SampledOperation operation = new SampledOperation(step, before, frame, cells, outside);
        Finish finish = Finish.of(step, frame.maximumLevel());
        OptionalInt level = Image.isLevel(outside.value(), frame.maximumLevel()) ? OptionalInt.of(((Rational) outside.value()).toInt())
                : OptionalInt.empty();
        return operation.with(progress -> bulk.result(level, finish, pixel -> ((Rational) operation.value(pixel)).toInt(), progress))
                .noting(() -> bulk.notRead() == 0 ? List.of() : List.of(bulk.notRead() + " of " + before.count() + " pixels of the image are read nowhere."));
    }

    private static double[] back(Pixel pixel, Image before, Frame frame, Angle angle) {
        double down = pixel.row() - (before.rows() - 1) / 2.0;
        double right = pixel.column() - (before.columns() - 1) / 2.0;
        double c = angle.cosine.asDouble();
        double s = angle.sine.asDouble();
        return new double[] {(frame.rows() - 1) / 2.0 + down * c - right * s, (frame.columns() - 1) / 2.0 + down * s + right * c};
    }

    @Override
    public List<Slip> slips() {
        List<Slip> all = new ArrayList<>(List.of(
                Slip.of("turned-other-way", "the image is turned clockwise instead of counter-clockwise, or back", step -> step.with(DEGREES,
                        new Amount(degrees(step).negated()))),
                Slip.of("nearest-for-linear", right -> List.of(Way.of(Reading.otherWords(isLinear(right.step())), turned(right.step(), right.before(), right.frame(),
                                Angle.of(degrees(right.step())), !isLinear(right.step()))))),
                Slip.of("degrees-for-radians", right -> List.of(Way.of("sine and cosine are taken of the number of degrees as if it were radians",
                        turned(right.step(), right.before(), right.frame(), Angle.ofRadians(degrees(right.step()).asDouble()), isLinear(right.step())))))));
        all.addAll(Outside.slips());
        return all;
    }
}

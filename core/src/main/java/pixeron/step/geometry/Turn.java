package pixeron.step.geometry;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import pixeron.formula.Function;
import pixeron.image.Frame;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.loop.Code;
import pixeron.number.Approximate;
import pixeron.number.Decimals;
import pixeron.number.Rational;
import pixeron.number.Rounding;
import pixeron.number.Value;
import pixeron.step.Common;
import pixeron.step.Early;
import pixeron.step.Finish;
import pixeron.step.Forward;
import pixeron.step.Grip;
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
import pixeron.step.key.Span;
import pixeron.working.Line;
import pixeron.working.Run;

/**
 * {@code rotate degrees=d by=nearest size=fit border=zero}: turned around its middle, counter-clockwise as seen: y = (H − 1) ÷ 2 +
 * dx · s + dy · c, x = (W − 1) ÷ 2 + dx · c − dy · s with dy = i − (h − 1) ÷ 2, dx = j − (w − 1) ÷ 2.
 *
 * <p>Domain: any d, first taken modulo 360; c and s are exactly 0 and ±1 at multiples of 90°, doubles elsewhere. Cost: one or
 * four cells a pixel. Source: docs/definitions/resampling.md.
 */
public final class Turn extends NamedStep {

    private static final Rational QUARTER = Rational.of(90);
    private static final int HALF_TURN = 180;
    private static final int EVEN_ANGLE = 15;
    private static final NumberParameter DEGREES = NumberParameter.required("degrees", "Angle in degrees").sliding(Span.of(-180, 180));
    private static final ChoiceParameter BY = ChoiceParameter.of("by", "Interpolation", Reading.NEAREST_CHOICE, Reading.LINEAR_CHOICE);
    private static final ChoiceParameter SIZE = ChoiceParameter.of("size", "Size", new ChoiceParameter.Choice("fit", "as large as the rotated image"),
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
        super("rotate", "Rotate", "Rotates the image counterclockwise around its center; Border sets the values outside.");
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

    private static Frame frame(Step step, Inputs inputs, Angle angle) {
        Frame before = inputs.before().frame();
        if (step.arguments().get(SIZE).word().equals("keep")) {
            return before;
        }
        double c = Math.abs(angle.cosine.asDouble());
        double s = Math.abs(angle.sine.asDouble());
        return Sizes.frame((long) Math.ceil(before.rows() * c + before.columns() * s - Points.NEAR),
                (long) Math.ceil(before.columns() * c + before.rows() * s - Points.NEAR), inputs);
    }

    @Override
    public Operation bind(Step step, Inputs inputs) {
        Image before = inputs.image(this);
        Angle angle = Angle.of(degrees(step));
        return turned(step, before, frame(step, inputs, angle), angle, isLinear(step));
    }

    /** An arm from the middle, which lies level at 0° and turns with the image; whole degrees are dragged. */
    @Override
    public List<Grip> grips(Step step, Inputs inputs) {
        Frame before = inputs.before().frame();
        Angle angle = Angle.of(degrees(step));
        Frame frame = frame(step, inputs, angle);
        Grip.Place middle = new Grip.Place(frame.rows() / 2.0, frame.columns() / 2.0);
        double length = 0.4 * Math.min(before.rows(), before.columns());
        return List.of(new Grip.Arm(Grip.On.AFTER, "Angle", middle, new Grip.Place(middle.row() - length * angle.sine.asDouble(),
                middle.column() + length * angle.cosine.asDouble()), Decimals.table(degrees(step)) + "°", (from, to) -> {
                    double by = toward(middle, to) - toward(middle, from);
                    return step.with(DEGREES, Amount.of(upright(even(degrees(step).asDouble() + by))));
                }));
    }

    private static double toward(Grip.Place middle, Grip.Place place) {
        return Math.toDegrees(Math.atan2(middle.row() - place.row(), place.column() - middle.column()));
    }

    /** Returns whole degrees; a multiple of 15° where they are next to one, for a hand does not hold still enough. */
    private static long even(double degrees) {
        long whole = Math.round(degrees);
        long near = Math.round(degrees / EVEN_ANGLE) * EVEN_ANGLE;
        return Math.abs(whole - near) <= 1 ? near : whole;
    }

    /** Returns the same angle above −180° and up to 180°. */
    private static long upright(long degrees) {
        long turned = Math.floorMod(degrees, 2L * HALF_TURN);
        return turned > HALF_TURN ? turned - 2L * HALF_TURN : turned;
    }

    private static Operation turned(Step step, Image before, Frame frame, Angle angle, boolean isLinear) {
        Map<String, Value> numbers = new HashMap<>(Points.sizes(before.frame(), frame));
        numbers.put("c", angle.cosine);
        numbers.put("s", angle.sine);
        Map<String, String> parts = new LinkedHashMap<>();
        parts.put("dy", "i - (h - 1) / 2");
        parts.put("dx", "j - (w - 1) / 2");
        Line fact = Line.of("angle", Run.plain("c = " + Decimals.working(angle.cosine) + ", s = " + Decimals.working(angle.sine)),
                Run.note("   cosine and sine"));
        Points points = Points.of(frame, List.of("(H - 1) / 2 + dx * s + dy * c", "(W - 1) / 2 + dx * c - dy * s"), numbers, parts, List.of(fact));
        PointCells cells = new PointCells(points, isLinear ? Reading.LINEAR : Reading.NEAREST, Optional.empty(), pixel -> back(pixel, before, frame, angle));
        Outside outside = Outside.of(step.arguments(), before.maximumLevel());
        TurnBulk bulk = new TurnBulk(before, frame, angle.cosine.asDouble(), angle.sine.asDouble(), isLinear, outside.border());
        SampledOperation operation = new SampledOperation(step, before, frame, cells, outside);
        Finish finish = Finish.of(step, frame);
        OptionalInt level = Image.isLevel(outside.value(), frame.maximumLevel()) ? OptionalInt.of(((Rational) outside.value()).toInt())
                : OptionalInt.empty();
        Forward forward = ForwardPlaces.of(List.of("(h - 1) / 2 + (y - (H - 1) / 2) * c - (x - (W - 1) / 2) * s + 1 / 2",
                "(w - 1) / 2 + (y - (H - 1) / 2) * s + (x - (W - 1) / 2) * c + 1 / 2"), numbers);
        return operation.with(forward).with(sides(step, angle)).with(progress -> bulk.result(level, finish, pixel -> ((Rational) operation.value(pixel)).toInt(), progress))
                .noting(() -> bulk.notRead() == 0 ? List.of() : List.of(bulk.notRead() + " of " + before.count() + " pixels of the input do not affect the result."));
    }

    /** The sizes of the result as a program works them out, for images of any size. */
    private static SampledProgram sides(Step step, Angle angle) {
        Code rows = Code.name("H");
        Code columns = Code.name("W");
        return step.arguments().get(SIZE).word().equals("keep") ? new SampledProgram(rows, columns)
                : new SampledProgram(side(rows, angle.cosine, columns, angle.sine), side(columns, angle.cosine, rows, angle.sine));
    }

    private static Code side(Code one, Value cosine, Code other, Value sine) {
        if (cosine.signum() == 0 || sine.signum() == 0) {
            return cosine.signum() == 0 ? other : one;
        }
        Code length = one.times(Code.of(absolute(cosine))).plus(other.times(Code.of(absolute(sine)))).minus(Code.of(Approximate.from(Points.NEAR)));
        return new Code.Call(Function.CEILING, List.of(length));
    }

    private static Value absolute(Value value) {
        return value.signum() < 0 ? value.negated() : value;
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
                Slip.of("turned-other-way", "the image is rotated clockwise instead of counterclockwise, or vice versa", step -> step.with(DEGREES,
                        new Amount(degrees(step).negated()))),
                Slip.of("nearest-for-linear", right -> List.of(Way.of(Reading.otherWords(isLinear(right.step())), turned(right.step(), right.before(), right.frame(),
                                Angle.of(degrees(right.step())), !isLinear(right.step()))))),
                Slip.of("degrees-for-radians", right -> List.of(Way.of("the sine and cosine of the angle in degrees are calculated as if it were in radians",
                        turned(right.step(), right.before(), right.frame(), Angle.ofRadians(degrees(right.step()).asDouble()), isLinear(right.step())))))));
        all.addAll(Outside.slips());
        all.add(Early.slip(Turn::early));
        return all;
    }

    /** The sine and the cosine are rounded, or what follows from them; the size stays the right one. */
    private static List<Way> early(Operation right, int decimals) {
        Angle angle = Angle.of(degrees(right.step()));
        Angle rounded = new Angle(Early.rounded(angle.cosine, decimals), Early.rounded(angle.sine, decimals));
        List<Way> ways = new ArrayList<>();
        ways.add(Way.of("c and s are rounded " + Early.to(decimals) + " too early", turned(right.step(), right.before(), right.frame(), rounded,
                isLinear(right.step()))));
        ways.addAll(EarlyPlaces.ways(right, decimals));
        return ways;
    }
}

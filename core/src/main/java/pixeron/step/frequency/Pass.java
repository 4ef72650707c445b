package pixeron.step.frequency;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.Stream;
import pixeron.PixeronException;
import pixeron.formula.Function;
import pixeron.formula.Operator;
import pixeron.image.Frame;
import pixeron.image.Frequency;
import pixeron.image.Spectrum;
import pixeron.loop.Code;
import pixeron.loop.Statement;
import pixeron.number.Approximate;
import pixeron.number.Decimals;
import pixeron.number.Rational;
import pixeron.step.Grip;
import pixeron.step.Inputs;
import pixeron.step.Operation;
import pixeron.step.Profile;
import pixeron.step.Slip;
import pixeron.step.Step;
import pixeron.step.Way;
import pixeron.step.key.Amount;
import pixeron.step.key.Arguments;
import pixeron.step.key.ChoiceParameter;
import pixeron.step.key.ChoiceParameter.Choice;
import pixeron.step.key.NumberParameter;
import pixeron.step.key.Parameter;
import pixeron.step.key.Span;
import pixeron.working.Line;
import pixeron.working.LoopWriter;
import pixeron.working.Run;

/**
 * {@code frequency-filter keep=low|high|band|stop radius=a to=b shape=ideal}: every coefficient times a factor that depends on its distance D = √(u² + v²)
 * from frequency zero.
 *
 * <p>Domain: a spectrum; a ≥ 0, above 0 for a smooth shape; to ≥ a with band and stop and only with those; smooth shapes only for low
 * and high. Distances are compared exactly, smooth factors are doubles. Cost: one pass. Source: docs/definitions/frequency.md.
 */
public final class Pass extends FilterStep {

    private static final Choice LOW = new Choice("low", "low frequencies stay: D ≤ radius");
    private static final Choice HIGH = new Choice("high", "high frequencies stay: D > radius");
    private static final Choice BAND = new Choice("band", "intermediate frequencies stay: radius ≤ D ≤ to");
    private static final Choice STOP = new Choice("stop", "intermediate frequencies become 0");
    private static final ChoiceParameter KEEP = ChoiceParameter.required("keep", "Band threshold", LOW, HIGH, BAND, STOP);
    static final NumberParameter RADIUS = NumberParameter.required("radius", "Radius").sliding(Span.of(0, 64)).only(n -> n.signum() >= 0, "a number of at least 0");
    private static final NumberParameter TO = NumberParameter.required("to", "Upper radius").sliding(Span.of(0, 64)).only(n -> n.signum() >= 0, "a number of at least radius").leftOutAtWill();
    private static final int USUAL_ORDER = 2;
    private static final Choice IDEAL = new Choice("ideal", "ideal: 0 or 1");
    private static final Choice GAUSSIAN = new Choice("gaussian", "e^(\u2212D² ÷ (2 × radius²)), or 1 \u2212 that");
    private static final Choice BUTTERWORTH = new Choice("butterworth", "1 ÷ (1 + (D ÷ radius)^(2 × order)), or 1 \u2212 that");
    private static final ChoiceParameter SHAPE = ChoiceParameter.of("shape", "Transition", IDEAL, GAUSSIAN, BUTTERWORTH);
    private static final NumberParameter ORDER = NumberParameter.required("order", "Order").sliding(Span.of(1, 8)).leftOutAtWill()
            .only(n -> n.isInt() && n.toInt() >= 1, "a whole number of at least 1; " + USUAL_ORDER + " where it is omitted");

    private static final String SQUARED = "squared";
    private static final Statement SQUARED_DISTANCE = Statement.set(SQUARED, Code.name("u").times(Code.name("u")).plus(Code.name("v").times(Code.name("v"))));
    private static final double HALF = 0.5;

    public Pass() {
        super("frequency-filter", "Frequency filter", "Keeps low, high or intermediate frequencies.");
    }

    private static boolean isRing(Arguments arguments) {
        return arguments.get(KEEP).equals(BAND) || arguments.get(KEEP).equals(STOP);
    }

    @Override
    public String formula(Arguments arguments) {
        String keep = arguments.get(KEEP).word();
        String smooth = arguments.get(SHAPE).equals(GAUSSIAN) ? "e^(\u2212D^2 ÷ (2 × radius^2))" : "1 ÷ (1 + (D ÷ radius)^(2 × order))";
        String factor = !arguments.get(SHAPE).equals(IDEAL) ? keep.equals("low") ? smooth : "1 \u2212 " + smooth : switch (keep) {
            case "low" -> "1 where D ≤ radius, else 0";
            case "high" -> "1 where D > radius, else 0";
            case "band" -> "1 where radius ≤ D ≤ to, else 0";
            default -> "0 where radius ≤ D ≤ to, else 1";
        };
        return "F(u, v) × factor,  factor = " + factor + ",  D = \u221A(u^2 + v^2)";
    }

    @Override
    public List<Parameter<?>> ownParameters() {
        return List.of(KEEP, RADIUS, TO, SHAPE, ORDER);
    }

    @Override
    public void validate(Arguments arguments) {
        Rational radius = arguments.get(RADIUS).number();
        Optional<Rational> to = arguments.find(TO).map(Amount::number);
        if (isRing(arguments) != to.isPresent()) {
            throw PixeronException.of(to.isPresent() ? "Upper radius (to) applies to keep=band and keep=stop, not to keep=%s. Leave it out."
                    : "keep=%s needs an upper radius, to=….", arguments.get(KEEP).word());
        } else if (to.isPresent() && to.get().compareTo(radius) < 0) {
            throw PixeronException.of("to=%s is below radius=%s. The upper radius must be at least the radius.", Decimals.print(to.get()), Decimals.print(radius));
        } else if (arguments.isGiven(ORDER) && !arguments.get(SHAPE).equals(BUTTERWORTH)) {
            throw PixeronException.of("order applies to shape=butterworth, not to shape=%s. Leave it out.", arguments.get(SHAPE).word());
        } else if (!arguments.get(SHAPE).equals(IDEAL) && isRing(arguments)) {
            throw PixeronException.of("shape=%s works with keep=low and keep=high, not with keep=%s.", arguments.get(SHAPE).word(), arguments.get(KEEP).word());
        } else if (!arguments.get(SHAPE).equals(IDEAL) && radius.signum() == 0) {
            throw PixeronException.of("shape=%s needs a radius above 0.", arguments.get(SHAPE).word());
        }
    }

    @Override
    public Step starter(int maximumLevel) {
        return new Step(this, Arguments.NONE.with(KEEP, LOW).with(RADIUS, Amount.of(1)));
    }

    @Override
    Filter filter(Step step, Spectrum before) {
        return step.arguments().get(SHAPE).equals(IDEAL) ? Ring.of(step.arguments(), false, false) : Smooth.of(step.arguments());
    }

    @Override
    Optional<Profile> profile(Step step, Frame frame) {
        Arguments arguments = step.arguments();
        // Where there is no frequency but zero there is an axis all the same.
        double end = Math.max(1, Math.hypot(frame.rows() / 2, frame.columns() / 2));
        DoubleUnaryOperator factor = arguments.get(SHAPE).equals(IDEAL) ? Ring.of(arguments, false, false)::at : Smooth.of(arguments)::at;
        return Optional.of(new Profile(end, factor, radii(step).map(key -> new Profile.Mark(key.key(), arguments.get(key).number().asDouble(), at -> with(step, key, at))).toList()));
    }

    private static Stream<NumberParameter> radii(Step step) {
        return isRing(step.arguments()) ? Stream.of(RADIUS, TO) : Stream.of(RADIUS);
    }

    /** Half a frequency is near enough for a hand; a radius stays below the end of its ring. */
    private static Step with(Step step, NumberParameter key, double at) {
        Arguments arguments = step.arguments();
        Rational least = key.equals(TO) ? arguments.get(RADIUS).number() : arguments.get(SHAPE).equals(IDEAL) ? Rational.ZERO : Rational.of(1, 2);
        Rational half = Rational.of(Math.round(2 * at), 2);
        Rational most = key.equals(RADIUS) && isRing(arguments) ? arguments.get(TO).number() : half;
        Rational above = half.compareTo(least) < 0 ? least : half;
        return step.with(key, new Amount(above.compareTo(most) > 0 && most.compareTo(least) >= 0 ? most : above));
    }

    /** The radii as circles around frequency zero. */
    @Override
    public List<Grip> grips(Step step, Inputs inputs) {
        Frame frame = inputs.before().frame();
        Grip.Place middle = new Grip.Place(frame.rows() / 2 + HALF, frame.columns() / 2 + HALF);
        return radii(step).<Grip>map(key -> new Grip.Circle(Grip.On.AFTER, key.key(), middle, step.arguments().get(key).number().asDouble(),
                key.key() + " " + Decimals.print(step.arguments().get(key).number()), at -> with(step, key, at))).toList();
    }

    @Override
    List<Slip> ownSlips() {
        return List.of(Slip.of("strictness", Pass::strict));
    }

    private static List<Way> strict(Operation right) {
        Arguments arguments = right.step().arguments();
        if (!arguments.get(SHAPE).equals(IDEAL)) {
            return List.of();
        }
        List<Way> ways = new ArrayList<>();
        boolean isRing = isRing(arguments);
        ways.add(other((FilterFace) right, Ring.of(arguments, true, false), isRing ? "D = radius counts as outside" : "D = radius counts as the other side"));
        if (isRing) {
            ways.add(other((FilterFace) right, Ring.of(arguments, false, true), "D = to counts as outside"));
            ways.add(other((FilterFace) right, Ring.of(arguments, true, true), "D = radius and D = to count as outside"));
        }
        return ways;
    }

    private static Way other(FilterFace face, Ring ring, String words) {
        return Way.of(words, pixel -> face.shown(ring.factor(face.spectrum().frequency(pixel)), pixel));
    }

    /**
     * All or nothing.
     *
     * @param from where the ring begins, squared; of a disc 0
     * @param to where the ring or the disc ends, squared
     * @param isWithoutFrom whether its beginning does not belong to it
     * @param isWithoutTo whether its end does not belong to it
     * @param isInside whether what is in it stays
     */
    private record Ring(Rational from, Rational to, boolean isWithoutFrom, boolean isWithoutTo, boolean isInside, String words) implements Filter {

        static Ring of(Arguments arguments, boolean isRadiusOther, boolean isToOther) {
            Rational radius = arguments.get(RADIUS).number();
            Rational squared = radius.times(radius);
            boolean isInside = arguments.get(KEEP).equals(LOW) || arguments.get(KEEP).equals(BAND);
            if (!isRing(arguments)) {
                return new Ring(Rational.ZERO, squared, false, isRadiusOther, isInside, "radius " + Decimals.print(radius));
            }
            Rational to = arguments.get(TO).number();
            return new Ring(squared, to.times(to), isRadiusOther, isToOther, isInside, Decimals.print(radius) + " to " + Decimals.print(to));
        }

        double at(double distance) {
            double squared = distance * distance;
            return (squared >= from.asDouble() && squared <= to.asDouble()) == isInside ? 1 : 0;
        }

        private boolean isIn(Frequency at) {
            Rational squared = Rational.of(at.squared());
            int begin = squared.compareTo(from);
            int end = squared.compareTo(to);
            return (isWithoutFrom ? begin > 0 : begin >= 0) && (isWithoutTo ? end < 0 : end <= 0);
        }

        @Override
        public double factor(Frequency at) {
            return isIn(at) == isInside ? 1 : 0;
        }

        @Override
        public List<Statement> statements() {
            Code begin = isWithoutFrom ? Code.of(from).less(Code.name(SQUARED)) : Code.of(from).atMost(Code.name(SQUARED));
            Code end = isWithoutTo ? Code.name(SQUARED).less(Code.of(to)) : Code.name(SQUARED).atMost(Code.of(to));
            return List.of(SQUARED_DISTANCE, Statement.set("factor", new Code.Choice(new Code.All(List.of(begin, end)), Code.of(isInside ? 1 : 0), Code.of(isInside ? 0 : 1))));
        }

        @Override
        public List<Line> work(Frequency at) {
            return List.of(distance(at), Line.of("factor", Run.plain(factor(at) == 0 ? "0" : "1"), Run.note("   it is " + (isIn(at) ? "within " : "outside ") + words)));
        }

        @Override
        public void loop(Frequency at, LoopWriter out) {
            out.set("D", squareRoot(at)).line(0, "D ← \u221A(u^2 + v^2)");
            out.set("factor", factor(at) == 0 ? "0" : "1").line(0, "factor ← 1 if this D is kept, else 0");
        }
    }

    private static Line distance(Frequency at) {
        return Line.of("distance", Run.plain("D = \u221A((" + Decimals.working(at.u()) + ")^2 + (" + Decimals.working(at.v()) + ")^2) = \u221A" + at.squared() + Decimals.arriving(Approximate.snapped(Math.sqrt(at.squared()), 1))));
    }

    private static String squareRoot(Frequency at) {
        return Decimals.legible(Approximate.snapped(Math.sqrt(at.squared()), 1));
    }

    /** @param order 0 for the bell, else that of the other shape */
    private record Smooth(double radius, int order, boolean isLow) implements Filter {

        static Smooth of(Arguments arguments) {
            return new Smooth(arguments.get(RADIUS).number().asDouble(), arguments.get(SHAPE).equals(GAUSSIAN) ? 0 : arguments.find(ORDER).map(order -> order.number().toInt()).orElse(USUAL_ORDER),
                    arguments.get(KEEP).equals(LOW));
        }

        @Override
        public double factor(Frequency at) {
            return of(at.squared() / (radius * radius));
        }

        double at(double distance) {
            return of(distance * distance / (radius * radius));
        }

        private double of(double squared) {
            double low = order == 0 ? Math.exp(-squared / 2) : 1 / (1 + Math.pow(squared, order));
            return isLow ? low : 1 - low;
        }

        @Override
        public List<Statement> statements() {
            Code part = Code.name(SQUARED).over(Code.of(Approximate.from(radius * radius)));
            Code low = order == 0 ? new Code.Call(Function.EXP, List.of(new Code.Negation(part.over(Code.of(2)))))
                    : Code.of(1).over(Code.of(1).plus(new Code.Binary(Operator.POWER, part, Code.of(order))));
            return List.of(SQUARED_DISTANCE, Statement.set("factor", isLow ? low : Code.of(1).minus(low)));
        }

        @Override
        public List<Line> work(Frequency at) {
            String r = Decimals.shortest(radius);
            String low = order == 0 ? "e^(\u2212" + at.squared() + " ÷ (2 × " + r + "^2))" : "1 ÷ (1 + (" + squareRoot(at) + " ÷ " + r + ")^" + 2L * order + ")";
            return List.of(distance(at), Line.of("factor", Run.plain((isLow ? "" : "1 \u2212 ") + low + Decimals.arriving(Approximate.snapped(factor(at), 1)))));
        }

        @Override
        public void loop(Frequency at, LoopWriter out) {
            out.set("D", squareRoot(at)).line(0, "D ← \u221A(u^2 + v^2)");
            String low = order == 0 ? "e^(\u2212D^2 ÷ (2 × radius^2))" : "1 ÷ (1 + (D ÷ radius)^(2 × order))";
            out.set("factor", Approximate.snapped(factor(at), 1)).line(0, "factor ← " + (isLow ? "" : "1 \u2212 ") + low);
        }
    }
}

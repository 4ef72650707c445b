package pixeron.step.frequency;

import java.util.List;
import pixeron.formula.Function;
import pixeron.image.Frame;
import pixeron.image.Frequency;
import pixeron.image.Pixel;
import pixeron.image.Spectrum;
import pixeron.loop.Code;
import pixeron.loop.Statement;
import pixeron.number.Decimals;
import pixeron.number.Rational;
import pixeron.step.Operation;
import pixeron.step.Slip;
import pixeron.step.Step;
import pixeron.step.Way;
import pixeron.step.key.Amount;
import pixeron.step.key.Arguments;
import pixeron.step.key.NumberParameter;
import pixeron.step.key.Parameter;
import pixeron.step.key.Span;
import pixeron.working.Line;
import pixeron.working.LoopWriter;
import pixeron.working.Run;

/**
 * {@code notch u=a v=b radius=0}: coefficients no farther than the radius from (a, b) or from its conjugate (−a, −b) become 0: a wave is taken
 * away.
 *
 * <p>Domain: a spectrum; whole a and b, counted round modulo H and W; radius ≥ 0. Cost: one pass. Source:
 * docs/definitions/frequency.md.
 */
public final class Notch extends FilterStep {

    static final NumberParameter U = NumberParameter.pixels("u", "u, rows").sliding(Span.of(-32, 32));
    static final NumberParameter V = NumberParameter.pixels("v", "v, columns").sliding(Span.of(-32, 32));
    static final NumberParameter RADIUS = NumberParameter.optional("radius", "Radius", 0).sliding(Span.of(0, 16)).only(n -> n.signum() >= 0, "a number of at least 0");

    public Notch() {
        super("notch", "Notch filter", "Removes one wave: sets a coefficient, its conjugate and those within a radius to 0.");
    }

    @Override
    public String formula(Arguments arguments) {
        return "F(u, v) becomes 0 if (u, v) is at most radius away from (a, b) or (\u2212a, \u2212b)";
    }

    @Override
    public List<Parameter<?>> ownParameters() {
        return List.of(U, V, RADIUS);
    }

    @Override
    public Step starter(int maximumLevel) {
        return at(new Frequency(0, 1));
    }

    /** Returns the step that takes one wave away. */
    public Step at(Frequency frequency) {
        return new Step(this, Arguments.NONE.with(U, Amount.of(frequency.u())).with(V, Amount.of(frequency.v())));
    }

    @Override
    Filter filter(Step step, Spectrum before) {
        return Around.of(step, before.frame());
    }

    @Override
    List<Slip> ownSlips() {
        return List.of(Slip.of("strictness", Notch::strict), new Slip() {
            @Override
            public String id() {
                return "pair-forgotten";
            }

            @Override
            public List<Way> ways(Operation right) {
                return forgotten(right);
            }

            @Override
            public boolean isOfOneCell(Operation right) {
                return right.step().arguments().get(RADIUS).number().signum() == 0;
            }
        });
    }

    private static List<Way> strict(Operation right) {
        FilterFace face = (FilterFace) right;
        Around around = Around.of(right.step(), right.frame());
        return around.radius.signum() == 0 ? List.of() : List.of(Way.of("a coefficient exactly at the radius stays", pixel ->
                face.shown(around.isNear(face.spectrum().frequency(pixel), true) ? 0 : 1, pixel)));
    }

    private static List<Way> forgotten(Operation right) {
        FilterFace face = (FilterFace) right;
        Around around = Around.of(right.step(), right.frame());
        Pixel mate = Spectrum.mate(right.frame(), around.place());
        if (mate.equals(around.place())) {
            return List.of();
        }
        return List.of(only(face, around, around.place(), "the conjugate at " + Spectrum.frequency(right.frame(), mate) + " stays"),
                only(face, around, mate, "only the conjugate at " + Spectrum.frequency(right.frame(), mate) + " becomes 0"));
    }

    private static Way only(FilterFace face, Around around, Pixel middle, String words) {
        return Way.of(words, pixel -> face.shown(around.isWithin(around.squaredDistance(face.spectrum().frequency(pixel), middle), false) ? 0 : 1, pixel));
    }

    /**
     * Round places of a spectrum.
     *
     * @param place one of the two middles; the other is its conjugate
     */
    private record Around(Frame frame, Pixel place, Rational radius) implements Filter {

        static Around of(Step step, Frame frame) {
            long u = step.arguments().get(U).number().toInt();
            return new Around(frame, Spectrum.place(frame, u, step.arguments().get(V).number().toInt()), step.arguments().get(RADIUS).number());
        }

        long squaredDistance(Frequency at, Pixel middle) {
            Frequency to = Spectrum.frequency(frame, middle);
            long down = round(at.u() - to.u(), frame.rows());
            long right = round(at.v() - to.v(), frame.columns());
            return down * down + right * right;
        }

        /** Counted round, the nearest way. */
        private static long round(int distance, int length) {
            int forwards = Math.floorMod(distance, length);
            return Math.min(forwards, length - forwards);
        }

        boolean isWithin(long squared, boolean isStrict) {
            int order = Rational.of(squared).compareTo(radius.times(radius));
            return isStrict ? order < 0 : order <= 0;
        }

        boolean isNear(Frequency at, boolean isStrict) {
            return isWithin(nearest(at), isStrict);
        }

        private long nearest(Frequency at) {
            return Math.min(squaredDistance(at, place), squaredDistance(at, Spectrum.mate(frame, place)));
        }

        @Override
        public double factor(Frequency at) {
            return isNear(at, false) ? 0 : 1;
        }

        @Override
        public List<Statement> statements() {
            Code one = squaredDistance(Code.name("u").minus(Code.of(a())), Code.name("v").minus(Code.of(b())));
            Code mate = squaredDistance(Code.name("u").plus(Code.of(a())), Code.name("v").plus(Code.of(b())));
            Code nearest = new Code.Call(Function.MIN, List.of(one, mate));
            return List.of(Statement.set("factor", new Code.Choice(nearest.atMost(Code.of(radius.times(radius))), Code.of(0), Code.of(1))));
        }

        private long a() {
            return Spectrum.frequency(frame, place).u();
        }

        private long b() {
            return Spectrum.frequency(frame, place).v();
        }

        private static Code squaredDistance(Code down, Code right) {
            return squared(down.mod(Code.name("H")), Code.name("H")).plus(squared(right.mod(Code.name("W")), Code.name("W")));
        }

        private static Code squared(Code forwards, Code length) {
            Code round = new Code.Call(Function.MIN, List.of(forwards, length.minus(forwards)));
            return round.times(round);
        }

        @Override
        public List<Line> work(Frequency at) {
            long squared = nearest(at);
            boolean isNear = isNear(at, false);
            Frequency middle = Spectrum.frequency(frame, place);
            String mate = Spectrum.frequency(frame, Spectrum.mate(frame, place)).toString();
            return List.of(Line.of("distance", Run.plain("\u221A" + squared + (isNear ? " ≤ " : " > ") + Decimals.working(radius)),
                    Run.note("   from " + at + " to the nearer of " + middle + " and " + mate)),
                    Line.of("factor", Run.plain(isNear ? "0" : "1"), Run.note(isNear ? "   it becomes 0" : "   it stays")));
        }

        @Override
        public void loop(Frequency at, LoopWriter out) {
            out.set("d", "\u221A" + nearest(at)).line(0, "d ← distance from (u, v) to the nearer of (a, b) and (\u2212a, \u2212b)");
            out.set("factor", isNear(at, false) ? "0" : "1").line(0, "factor ← 0 if d ≤ radius, else 1");
        }
    }
}

package pixeron.step.noise;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import pixeron.PixeronException;
import pixeron.image.Area;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.loop.Code;
import pixeron.loop.Ending;
import pixeron.loop.Helper;
import pixeron.loop.LoopProgram;
import pixeron.loop.Origin;
import pixeron.loop.Statement;
import pixeron.number.Decimals;
import pixeron.number.Draws;
import pixeron.number.Rational;
import pixeron.number.Rounding;
import pixeron.number.Value;
import pixeron.step.Operation;
import pixeron.step.Progress;
import pixeron.step.Source;
import pixeron.step.Step;
import pixeron.step.StepOperation;
import pixeron.step.StepType;
import pixeron.step.key.Amount;
import pixeron.step.key.Arguments;
import pixeron.step.key.NumberParameter;
import pixeron.step.key.Span;
import pixeron.working.Line;
import pixeron.working.LoopWriter;
import pixeron.working.Run;

/**
 * {@code salt-pepper count=n white=50 low=0 high=M seed=1}: the n pixels with the smallest drawn numbers h(offset) get another
 * value; in that order the first n · white ÷ 100 high, the others low. All others stay.
 *
 * <p>Domain: 0 ≤ n ≤ N, 0 ≤ white ≤ 100. Cost: a draw for each pixel, and sorting the smallest. Source: docs/definitions/noise.md.
 */
public final class SaltAndPepper extends NoiseStep {

    private static final NumberParameter COUNT = NumberParameter.required("count", "Count").only(n -> n.isInt() && n.signum() >= 0, "a whole number of at least 0");
    private static final NumberParameter WHITE = NumberParameter.optional("white", "White, percent", 50).sliding(Span.of(0, 100)).only(n -> n.signum() >= 0
            && n.compareTo(Rational.of(100)) <= 0, "a number from 0 to 100");
    private static final NumberParameter LOW = NumberParameter.level("low", "Low", Amount.of(0));
    private static final NumberParameter HIGH = NumberParameter.level("high", "High", Amount.MAXIMUM);

    public SaltAndPepper() {
        super("salt-pepper", "Salt-and-pepper noise", "Sets randomly chosen pixels to white or black.", COUNT, WHITE, LOW, HIGH);
    }

    @Override
    public String formula(Arguments arguments) {
        return "s = high or low where u(n) is among the smallest, else r";
    }

    @Override
    public Step starter(int maximumLevel) {
        return new Step(this, Arguments.NONE.with(COUNT, Amount.of(1)));
    }

    /** The same pixels in all channels. */
    @Override
    public Step onChannel(Step step, int place) {
        return step;
    }

    @Override
    Operation operation(Step step, Image before, Draws draws) {
        Arguments arguments = step.arguments();
        Optional<Area> given = arguments.find(StepType.AREA).map(part -> part.requireInside(before));
        Area area = given.orElseGet(() -> Area.all(before));
        int count = arguments.get(COUNT).number().toInt();
        if (count > area.count()) {
            throw PixeronException.of("salt-pepper has count=%d, but the image has %d pixels.", count, area.count());
        }
        int white = ((Rational) Rounding.NEAREST.apply(Rational.of(count).times(arguments.get(WHITE).number()).dividedBy(Rational.of(100)))).toInt();
        int maximum = before.maximumLevel();
        return new Specks(step, before, draws, given.isPresent() ? draws.least(offsets(before, area), count)
                : draws.least(before.count(), count), white, arguments.get(HIGH).resolve(maximum),
                arguments.get(LOW).resolve(maximum));
    }

    private static int[] offsets(Image before, Area area) {
        return IntStream.range(0, area.count()).map(n -> (area.row() + n / area.width()) * before.columns() + area.column() + n % area.width()).toArray();
    }

    private static final class Specks extends StepOperation {

        private final Draws draws;
        /** The offsets of the pixels that change, those with the smallest numbers first. */
        private final int[] order;
        private final int white;
        private final Value high;
        private final Value low;

        Specks(Step step, Image before, Draws draws, int[] order, int white, Value high, Value low) {
            super(step, before, before.frame());
            this.draws = draws;
            this.order = order;
            this.white = white;
            this.high = high;
            this.low = low;
        }

        /** Returns the place among those with the smallest numbers, in whose order they stand; −1 where it is not among them. */
        private int place(Pixel pixel) {
            int offset = before().offset(pixel);
            long bits = draws.bits(offset);
            int low = 0;
            int high = order.length;
            while (low < high) {
                int middle = (low + high) >>> 1;
                if (Long.compareUnsigned(draws.bits(order[middle]), bits) < 0) {
                    low = middle + 1;
                } else {
                    high = middle;
                }
            }
            return low < order.length && order[low] == offset ? low : -1;
        }

        @Override
        protected Optional<Kept> kept(Pixel result) {
            return super.kept(result).or(() -> place(result) >= 0 ? Optional.empty() : Optional.of(new Kept("drawn",
                    "h(" + before().offset(result) + ") = " + hexadecimal(result) + " is not among the " + order.length + " smallest: the pixel stays")));
        }

        /** All drawn numbers in order; the one at the place of the last that changes, and that of the last white one, are the limits. */
        @Override
        public Optional<LoopProgram> program() {
            Area area = ownArea().orElseGet(() -> Area.all(before()));
            List<Statement> start = List.of(Statement.set("M", Code.of(before().maximumLevel())), new Statement.NewList("numbers"),
                    Origin.over(area, before().frame(), List.of(new Statement.Put("numbers", drawn(Code.name("a"), Code.name("b"))))),
                    new Statement.Sort("numbers"));
            List<Statement> changed = new ArrayList<>(List.of(Statement.set("exact", white == 0 ? Code.of(low) : white == order.length ? Code.of(high)
                    : new Code.Choice(Code.name("drawn").atMost(limit(white)), Code.of(high), Code.of(low)))));
            changed.addAll(Ending.of(step().rounding(), step().overflow(), Code.name("M")));
            List<Statement> stays = List.of(Statement.set("s", Code.before(Code.name("i"), Code.name("j"))));
            List<Statement> body = order.length == 0 ? stays : List.of(Statement.set("drawn", drawn(Code.name("i"), Code.name("j"))),
                    new Statement.When(Code.name("drawn").atMost(limit(order.length)), changed, stays));
            return Optional.of(new LoopProgram(step().type().name(), step().line(), start, Code.name("H"), Code.name("W"),
                    Ending.within(ownArea(), body)).reading(before()));
        }

        private Code drawn(Code row, Code column) {
            return Code.helped(Helper.DRAWN_ORDER, Code.of(draws.seed()), row.times(Code.name("W")).plus(column));
        }

        private static Code limit(int count) {
            return new Code.At("numbers", Code.of(count - 1L));
        }

        private String hexadecimal(Pixel pixel) {
            return String.format("0x%016X", draws.bits(before().offset(pixel)));
        }

        @Override
        protected Optional<String> calculated() {
            return Optional.of(super.calculated().map(where -> where + " and ").orElse("") + "h(n) is among the " + order.length + " smallest");
        }

        @Override
        protected Value calculate(Pixel result, Sight sight) {
            return place(result) < white ? high : low;
        }

        @Override
        protected List<Line> work(Pixel result, Sight sight) {
            int place = place(result);
            return List.of(Line.of("drawn", Run.plain("h(" + before().offset(result) + ") = " + hexadecimal(result)), Run.note("   seed " + draws.seed())),
                    Line.of("order", Run.plain("number " + (place + 1) + " of the " + order.length + " smallest; the first " + white + " become white")),
                    Line.of("this pixel", Run.plain("s = " + (place < white ? "high" : "low") + " = " + Decimals.working(calculate(result, sight)))));
        }

        @Override
        protected void loop(Pixel result, Sight sight, LoopWriter out) {
            out.set("n", Integer.toString(before().offset(result))).line(0, "n ← i × W + j");
            out.set("s", kept(result).isPresent() ? keptValue(result, sight) : calculate(result, sight)).line(0, "s ← high for the first " + white
                    + " of the smallest h(n), low for the others");
        }

        @Override
        public Image result(Progress progress) {
            return before().with(Arrays.copyOf(order, white), finish().apply(high)).with(Arrays.copyOfRange(order, white, order.length),
                    finish().apply(low));
        }

        @Override
        public List<Source> sources(Pixel pixel) {
            return List.of(Source.of(pixel, before().value(pixel)));
        }
    }
}

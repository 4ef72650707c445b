package pixeron.step.point;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import pixeron.PixeronException;
import pixeron.image.Area;
import pixeron.image.Histogram;
import pixeron.image.Image;
import pixeron.image.ImageFacts;
import pixeron.image.Levels;
import pixeron.loop.Code;
import pixeron.loop.Origin;
import pixeron.loop.Statement;
import pixeron.number.Decimals;
import pixeron.number.Rational;
import pixeron.number.Value;
import pixeron.step.Handle;
import pixeron.step.Slip;
import pixeron.step.Step;
import pixeron.step.Way;
import pixeron.step.key.Amount;
import pixeron.step.key.Arguments;
import pixeron.step.key.NumberParameter;
import pixeron.step.key.Span;
import pixeron.step.pointwise.EarlyPart;
import pixeron.step.pointwise.PointRule;
import pixeron.step.pointwise.PointStep;
import pixeron.working.Line;
import pixeron.working.Run;

/**
 * {@code stretch low=auto high=auto to-low=0 to-high=auto}: a straight line through (low, to-low) and (high, to-high). With
 * {@code cut=p} the ends leave out p % of the pixels on either side.
 *
 * <p>Domain: low and high differ; auto are the smallest and the largest value of the area. Cost: one pass more for those.
 * Source: The straight line through two points, docs/definitions/point-steps.md.
 */
public final class Stretch extends PointStep {

    private static final NumberParameter LOW = NumberParameter.automatic("low", "Low", true);
    private static final NumberParameter HIGH = NumberParameter.automatic("high", "High", true);
    private static final NumberParameter TO_LOW = NumberParameter.level("to-low", "To low", Amount.of(0));
    private static final NumberParameter TO_HIGH = NumberParameter.automatic("to-high", "To high", true);
    private static final NumberParameter CUT = NumberParameter.required("cut", "Clipped % at each end").sliding(Span.of(0, 25, 2)).leftOutAtWill()
            .only(n -> n.signum() >= 0 && n.compareTo(Rational.of(50)) < 0, "a number from 0 to below 50");

    /** Whether a share of just p % is enough, which is a slip. */
    private final boolean isAtLeast;

    public Stretch() {
        this(false);
    }

    private Stretch(boolean isAtLeast) {
        super("stretch", "Contrast stretch", "Maps the range of levels that occur linearly to the full range.",
                "(r - low) * (toHigh - toLow) / (high - low) + toLow", Set.of("toLow", "toHigh"), LOW, HIGH, TO_LOW,
                TO_HIGH, CUT);
        this.isAtLeast = isAtLeast;
    }

    /** Returns the step that spreads smallest and largest to 0 and M. */
    public static Step plain() {
        return new Step(new Stretch(), Arguments.NONE);
    }

    @Override
    protected List<EarlyPart> earlyParts(Arguments arguments) {
        return List.of(new EarlyPart("the slope", "(r - low) * ((toHigh - toLow) / (high - low)) + toLow",
                "(toHigh - toLow) / (high - low)"), new EarlyPart("(r − low) ÷ (high − low)",
                "((r - low) / (high - low)) * (toHigh - toLow) + toLow", "(r - low) / (high - low)"));
    }

    @Override
    protected List<Slip> ownSlips() {
        return List.of(Slip.of("strictness", right -> right.step().arguments().find(CUT).filter(cut ->
                !cut.equals(Amount.of(0))).isEmpty() ? List.of() : Way.tried("a count of exactly p% is enough",
                        () -> right.step().as(new Stretch(true)), right)));
    }

    @Override
    public void validate(Arguments arguments) {
        if (arguments.find(CUT).isPresent() && (arguments.isGiven(LOW) || arguments.isGiven(HIGH))) {
            throw PixeronException.of("stretch has both cut=… and low=… or high=…. Give only one of them.");
        }
    }

    @Override
    protected PointRule rule(Arguments arguments, Image before, Area area) {
        int maximum = before.maximumLevel();
        if (arguments.find(CUT).isPresent()) {
            Levels.require(before, title());
        }
        Optional<Rational> cut = arguments.find(CUT).map(amount -> amount.resolve(maximum));
        Value low = cut.isPresent() ? cutLow(before, area, cut.get()) : given(arguments, LOW, maximum)
                .orElseGet(() -> ImageFacts.of(before.part(area)).smallest());
        Value high = cut.isPresent() ? cutHigh(before, area, cut.get()) : given(arguments, HIGH, maximum)
                .orElseGet(() -> ImageFacts.of(before.part(area)).largest());
        Value toLow = arguments.get(TO_LOW).resolve(maximum);
        Value toHigh = given(arguments, TO_HIGH, maximum).orElse(Rational.of(maximum));
        String how = cut.map(p -> ", " + Decimals.print(p) + "% of the pixels clipped").orElse("");
        if (low.compareValue(high) == 0) {
            return PointRule.of(parsed("toLow"), maximum).withConstant("toLow", toLow, line("to-low", toLow, ""))
                    .withNote("low and high are both " + Decimals.working(low) + ", so every pixel gets to-low.");
        }
        PointRule rule = super.rule(arguments, before, area)
                .withConstant("low", low, line("low", low, arguments.get(LOW).isAuto() ? smallest(how, "smallest") : ""))
                .withConstant("high", high, line("high", high, arguments.get(HIGH).isAuto() ? smallest(how, "largest")
                        : ""))
                .withConstant("toLow", toLow, line("toLow", toLow, ""))
                .withConstant("toHigh", toHigh, line("toHigh", toHigh, ""))
                .coming("toLow", () -> Origin.once("toLow", Code.of(toLow))).coming("toHigh", () -> Origin.once("toHigh", Code.of(toHigh)));
        if (cut.isPresent()) {
            return rule.coming("low", () -> Origin.counts(area, before.frame()).and(end("low", cut.get(), true)))
                    .coming("high", () -> Origin.counts(area, before.frame()).and(end("high", cut.get(), false)));
        }
        return rule.coming("low", () -> given(arguments, LOW, maximum).map(value -> Origin.once("low", Code.of(value))).orElseGet(() -> Origin.extreme("low", true, area,
                before.frame()))).coming("high", () -> given(arguments, HIGH, maximum).map(value -> Origin.once("high", Code.of(value))).orElseGet(() ->
                        Origin.extreme("high", false, area, before.frame())));
    }

    /** As long as the share beyond it is too small, the end is one level further inside. */
    private Origin end(String name, Rational percent, boolean isLow) {
        Code all = new Code.At("running", Code.name("M"));
        Code upTo = new Code.At("running", Code.name("k"));
        Code beyond = Code.of(100).times(isLow ? upTo : all.minus(upTo));
        Code wanted = Code.of(percent).times(all);
        Code inside = isLow ? Code.name(name).plus(Code.of(1)) : Code.name(name).minus(Code.of(1));
        return new Origin(List.of(Statement.set(name, isLow ? Code.of(0) : Code.name("M")), new Statement.Loop("k", Code.of(0), Code.name("M"), List.of(new Statement.When(
                isAtLeast ? beyond.less(wanted) : beyond.atMost(wanted), List.of(Statement.set(name, inside)), List.of())))), List.of());
    }

    @Override
    protected List<Handle> handles(Step step, Map<String, Value> constants, int maximumLevel) {
        // Ends that are dragged take the place of those that a cut finds.
        Step given = step.without(CUT);
        return Stream.of(LOW, HIGH).filter(key -> constants.get(key.key()) instanceof Rational)
                .map(key -> Handle.line(given, key, (Rational) constants.get(key.key()))).toList();
    }

    private static String smallest(String how, String which) {
        return "   the " + which + " sample" + how;
    }

    private static Line line(String name, Value value, String note) {
        return Line.of(name, Run.plain(name + " = " + Decimals.working(value)), Run.note(note));
    }

    private static Optional<Value> given(Arguments arguments, NumberParameter key, int maximum) {
        return arguments.get(key).isAuto() ? Optional.empty() : Optional.of(arguments.get(key).resolve(maximum));
    }

    /** The smallest level whose cumulative count is above p % of N. */
    private Value cutLow(Image before, Area area, Rational percent) {
        Histogram histogram = Histogram.of(before, area);
        Rational wanted = percent.times(Rational.of(area.count()));
        int level = 0;
        while (Rational.of(100L * histogram.running(level)).compareTo(wanted) < (isAtLeast ? 0 : 1)) {
            level++;
        }
        return Rational.of(level);
    }

    /** The largest level for which the count from it upwards is above p % of N. */
    private Value cutHigh(Image before, Area area, Rational percent) {
        Histogram histogram = Histogram.of(before, area);
        Rational wanted = percent.times(Rational.of(area.count()));
        int level = histogram.maximumLevel();
        while (Rational.of(100L * (area.count() - (level == 0 ? 0 : histogram.running(level - 1))))
                .compareTo(wanted) < (isAtLeast ? 0 : 1)) {
            level--;
        }
        return Rational.of(level);
    }
}

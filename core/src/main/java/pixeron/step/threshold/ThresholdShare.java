package pixeron.step.threshold;

import java.util.List;
import java.util.Set;
import pixeron.formula.Operator;
import pixeron.image.Area;
import pixeron.image.Histogram;
import pixeron.image.Image;
import pixeron.image.Levels;
import pixeron.loop.Code;
import pixeron.loop.Origin;
import pixeron.loop.Statement;
import pixeron.number.Rational;
import pixeron.step.Slip;
import pixeron.step.Step;
import pixeron.step.key.Amount;
import pixeron.step.key.Arguments;
import pixeron.step.key.NumberParameter;
import pixeron.step.key.Span;
import pixeron.step.pointwise.PointRule;
import pixeron.step.pointwise.PointStep;
import pixeron.working.Line;
import pixeron.working.Run;

/**
 * {@code threshold-percentile percent=p}: t is the smallest level with 100·C(t) ≥ p·N; high above it, else low.
 *
 * <p>Domain: levels; 0 ≤ p ≤ 100. Cost: one pass more, for the counts. Source: The limit that leaves a given share dark,
 * docs/definitions/thresholds.md.
 */
public final class ThresholdShare extends PointStep {

    private static final NumberParameter PERCENT = NumberParameter.required("percent", "Percent").sliding(Span.of(0, 100)).only(
            n -> n.signum() >= 0 && n.compareTo(Rational.of(100)) <= 0, "a number from 0 to 100");
    private static final NumberParameter LOW = NumberParameter.level("low", "Low", Amount.of(0));
    private static final NumberParameter HIGH = NumberParameter.level("high", "High", Amount.MAXIMUM);

    /** Whether a share of just percent is not enough, which is a slip. */
    private final boolean isStrict;

    public ThresholdShare() {
        this(false);
    }

    private ThresholdShare(boolean isStrict) {
        super("threshold-percentile", "Percentile threshold", "Sets a given percentage of the pixels to low and the others to high.",
                "if(r > t, high, low)", Set.of("t"), PERCENT, LOW, HIGH);
        this.isStrict = isStrict;
    }

    @Override
    protected List<Slip> ownSlips() {
        return List.of(TwoLevels.swapped(LOW, HIGH), Slip.of("strictness", "100 × C(t) > p × N is used instead of ≥",
                step -> step.as(new ThresholdShare(true))));
    }

    @Override
    protected PointRule rule(Arguments arguments, Image before, Area area) {
        Levels.require(before, title());
        Histogram histogram = Histogram.of(before, area);
        Rational percent = arguments.get(PERCENT).number();
        Rational wanted = percent.times(Rational.of(area.count()));
        int t = 0;
        while (t < histogram.maximumLevel() && Rational.of(100L * histogram.running(t)).compareTo(wanted) < (isStrict ? 1 : 0)) {
            t++;
        }
        return super.rule(arguments, before, area)
                .coming("t", () -> Origin.counts(area, before.frame()).and(new Origin(firstWithShare(percent), List.of())))
                .withConstant("t", Rational.of(t), Line.of("t", Run.plain("t = " + t),
                Run.note("   the smallest level with 100 × C(t) ≥ " + arguments.get(PERCENT) + " × N: 100 × "
                        + histogram.running(t) + " ≥ " + arguments.get(PERCENT) + " × " + area.count())));
    }

    /** As long as the share is too small, t is the level after it. */
    private List<Statement> firstWithShare(Rational percent) {
        Code k = Code.name("k");
        Code hundredfold = Code.of(100).times(new Code.At("running", k));
        Code wanted = Code.of(percent).times(new Code.At("running", Code.name("M")));
        return List.of(Statement.set("t", Code.of(0)), new Statement.Loop("k", Code.of(0), Code.name("M"), List.of(new Statement.When(
                new Code.Binary(isStrict ? Operator.AT_MOST : Operator.LESS, hundredfold, wanted), List.of(Statement.set("t", k.plus(Code.of(1)))), List.of()))));
    }

    @Override
    public Step starter(int maximumLevel) {
        return new Step(this, Arguments.NONE.with(PERCENT, Amount.of(50)));
    }
}

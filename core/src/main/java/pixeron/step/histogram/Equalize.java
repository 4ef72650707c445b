package pixeron.step.histogram;

import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import pixeron.image.Area;
import pixeron.image.Histogram;
import pixeron.image.Image;
import pixeron.image.Levels;
import pixeron.loop.Code;
import pixeron.loop.Origin;
import pixeron.number.Decimals;
import pixeron.number.Rational;
import pixeron.number.Value;
import pixeron.step.Slip;
import pixeron.step.Step;
import pixeron.step.Way;
import pixeron.step.key.Arguments;
import pixeron.step.key.ChoiceParameter;
import pixeron.step.point.Stretch;
import pixeron.step.pointwise.EarlyPart;
import pixeron.step.pointwise.PointRule;
import pixeron.step.pointwise.PointStep;
import pixeron.step.table.TableRule;
import pixeron.working.Line;
import pixeron.working.Run;
import pixeron.working.Table;

/**
 * {@code equalize method=share}: M·C(k) ÷ N; {@code method=share-from-first}: M·(C(k) − C₀) ÷ (N − C₀), with C₀ the running
 * count of the lowest level present.
 *
 * <p>Domain: levels; N the pixels of the area, C(k) its cumulative count. Cost: one pass more, for the counts. Source:
 * Shares of the cumulative count spread evenly over 0–M, docs/definitions/equalization.md.
 */
public final class Equalize extends PointStep {

    private static final ChoiceParameter.Choice SHARE = new ChoiceParameter.Choice("share", "s = M × C(r) ÷ N");
    private static final ChoiceParameter.Choice FROM_FIRST = new ChoiceParameter.Choice("share-from-first",
            "s = M × (C(r) − C0) ÷ (N − C0)");
    private static final ChoiceParameter METHOD = ChoiceParameter.of("method", "Method", SHARE, FROM_FIRST);

    public Equalize() {
        super("equalize", "Histogram equalization", "Maps levels by their cumulative histogram, so that all are used about equally often.",
                "M * C / N", Set.of("C", "N", "C0"), METHOD);
    }

    /** Returns the step with M·C ÷ N. */
    public static Step share() {
        return new Step(new Equalize(), Arguments.NONE);
    }

    /** Returns the step with M·(C − C₀) ÷ (N − C₀). */
    public static Step fromFirst() {
        return share().with(METHOD, FROM_FIRST);
    }

    static boolean isFromFirst(Step step) {
        return step.arguments().get(METHOD).equals(FROM_FIRST);
    }

    @Override
    public String formula(Arguments arguments) {
        return arguments.get(METHOD).sentence();
    }

    @Override
    protected List<EarlyPart> earlyParts(Arguments arguments) {
        return arguments.get(METHOD).equals(FROM_FIRST) ? List.of() : List.of(
                new EarlyPart("each cumulative frequency P(k)", "M * (C / N)", "C / N"),
                new EarlyPart("M ÷ N", "C * (M / N)", "M / N"));
    }

    @Override
    protected List<Slip> ownSlips() {
        return Stream.concat(CountingSlips.all().stream(), Stream.of(
                Slip.of("stretch-for-equalize", "the levels are stretched instead of equalized",
                        step -> step.as(new Stretch(), Arguments.NONE)),
                method("share-from-first", "the count of the lowest level is subtracted: M × (C − C0) ÷ (N − C0)", FROM_FIRST),
                method("share-plain", "the count of the lowest level is not subtracted: M × C ÷ N", SHARE))).toList();
    }

    private static Slip method(String id, String words, ChoiceParameter.Choice other) {
        return Slip.of(id, right -> right.step().arguments().get(METHOD).equals(other) ? List.of()
                : Way.tried(words, () -> right.step().with(METHOD, other), right));
    }

    @Override
    protected PointRule rule(Arguments arguments, Image before, Area area) {
        Levels.require(before, title());
        Histogram histogram = Histogram.of(before, area);
        int maximum = before.maximumLevel();
        int count = area.count();
        boolean isRelative = arguments.get(METHOD).equals(FROM_FIRST);
        long first = histogram.running(histogram.levelAt(1));
        if (isRelative && first == count) {
            return PointRule.of(parsed("r"), maximum).withNote("Only one level occurs, so the image stays unchanged.");
        }
        PointRule rule = PointRule.of(parsed(isRelative ? "M * (C - C0) / (N - C0)" : "M * C / N"), maximum)
                .withOfSample(isRelative ? "M × (C(r) − C0) ÷ (N − C0)" : "M × C(r) ÷ N", (name, sample) ->
                        name.equals("C") ? running(histogram, sample) : null, sample -> "C(" + Decimals.working(sample)
                                + ") = " + Decimals.working(running(histogram, sample)))
                .withConstant("N", Rational.of(count), Line.of("N", Run.plain("N = " + count)))
                .coming("N", () -> Origin.pixels(area, before.frame()))
                .coming("C", () -> Origin.counts(area, before.frame()).and(Origin.ofLevel("C", "running")))
                .withMapping(mapping(isRelative, Map.of("M", Rational.of(maximum), "N", Rational.of(count), "C0",
                        Rational.of(first))));
        return isRelative ? rule.coming("C0", () -> Origin.extreme("least", true, area, before.frame()).and(Origin.counts(area, before.frame()))
                .and(Origin.once("C0", new Code.At("running", Code.name("least"))))).withConstant("C0", Rational.of(first), Line.of("C0", Run.plain("C0 = " + first),
                Run.note("   the cumulative count of the lowest level present, " + histogram.levelAt(1)))) : rule;
    }

    private static Value running(Histogram histogram, Value sample) {
        return Rational.of(histogram.running(((Rational) sample).toInt()));
    }

    private static Table.Rule mapping(boolean isRelative, Map<String, Value> constants) {
        return TableRule.of(isRelative ? "M * (running - C0) / (N - C0)" : "M * running / N", constants, "running");
    }
}

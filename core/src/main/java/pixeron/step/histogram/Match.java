package pixeron.step.histogram;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import pixeron.PixeronException;
import pixeron.formula.Expression;
import pixeron.format.ImageFiles;
import pixeron.format.ReadOptions;
import pixeron.image.Area;
import pixeron.image.Histogram;
import pixeron.image.Image;
import pixeron.image.Levels;
import pixeron.number.Rational;
import pixeron.number.Value;
import pixeron.step.Arguments;
import pixeron.step.ChoiceParameter;
import pixeron.step.ListParameter;
import pixeron.step.PointRule;
import pixeron.step.PointStep;
import pixeron.step.Step;
import pixeron.step.TableRule;
import pixeron.step.TextParameter;
import pixeron.working.Line;
import pixeron.working.Run;
import pixeron.working.Table;

/**
 * {@code match counts="…"} or {@code match image=FILE}: with the running shares Q(z) of the target, a level k goes to the z
 * whose Q(z) is closest to P(k), the smallest of several; {@code rule=first-at-least}: to the smallest z with Q(z) ≥ P(k).
 */
public final class Match extends PointStep {

    private static final ListParameter COUNTS = new ListParameter("counts", "Target counts",
            "one count for each level 0 … M, whole numbers from 0").leftOutAtWill();
    private static final TextParameter IMAGE = new TextParameter("image", "Target image", "the file of an image")
            .leftOutAtWill();
    private static final ChoiceParameter.Choice CLOSEST = new ChoiceParameter.Choice("closest",
            "the z whose Q(z) is closest to P(r)");
    private static final ChoiceParameter.Choice FIRST = new ChoiceParameter.Choice("first-at-least",
            "the smallest z with Q(z) ≥ P(r)");
    private static final ChoiceParameter RULE = ChoiceParameter.of("rule", "Rule", CLOSEST, FIRST);

    public Match() {
        super("match", "Match a histogram", "Spreads levels so that they occur about as often as in a target.", "r",
                COUNTS, IMAGE, RULE);
    }

    @Override
    public String formula() {
        return "s = the z whose Q(z) is closest to P(r)";
    }

    @Override
    public void validate(Arguments arguments) {
        boolean hasCounts = arguments.isGiven(COUNTS);
        if (hasCounts == arguments.isGiven(IMAGE)) {
            throw PixeronException.of(hasCounts ? "match has counts and image; give one of them."
                    : "match needs counts=\"…\", one for each level, or image=FILE.");
        }
        if (hasCounts) {
            Target.of(arguments.get(COUNTS));
        }
    }

    @Override
    public Step starter(int maximumLevel) {
        // The same count for every level: what equalization aims at, so a person sees at once what the key means.
        return new Step(this, Arguments.NONE.with(COUNTS, Collections.nCopies(maximumLevel + 1, Rational.ONE)));
    }

    @Override
    protected PointRule rule(Arguments arguments, Image before, Area area) {
        Levels.require(before, title());
        Target target = arguments.find(COUNTS).map(Target::of).orElseGet(() -> Target.of(read(arguments.get(IMAGE))));
        int maximum = before.maximumLevel();
        if (target.levels() != maximum + 1) {
            throw PixeronException.of("match has %d target counts, and the image has %d levels, 0 to %d; give one count "
                    + "for each.", target.levels(), maximum + 1, maximum);
        }
        Histogram histogram = Histogram.of(before, area);
        boolean isFirst = arguments.get(RULE).equals(FIRST);
        long pixels = area.count();
        return PointRule.ofCases(isFirst ? "the smallest z with Q(z) ≥ P(r)" : "the z whose Q(z) is closest to P(r)",
                sample -> Expression.Literal.of(Rational.of(target.level(running(histogram, sample), pixels, isFirst))),
                sample -> why(target, running(histogram, sample), pixels, isFirst), maximum)
                .withConstant("N", Rational.of(pixels), Line.of("N", Run.plain("N = " + pixels),
                        Run.note("   the target has " + target.total())))
                .withTable(() -> new Table("target", List.of("z", "n", "running", "Q"), target.rows())
                        .withRules(Map.of("running", TableRule.of("runningAbove + n", Map.of(), "runningAbove", "n"),
                                "Q", TableRule.of("running / N", Map.of("N", Rational.of(target.total())), "running")))
                        .withSums("n"));
    }

    private static long running(Histogram histogram, Value sample) {
        return histogram.running(((Rational) sample).toInt());
    }

    private static String why(Target target, long running, long pixels, boolean isFirst) {
        int level = target.level(running, pixels, isFirst);
        List<String> shares = new ArrayList<>();
        for (int z = Math.max(0, level - 1); z <= Math.min(target.levels() - 1, level + 1); z++) {
            shares.add("Q(" + z + ") = " + target.running(z) + " ÷ " + target.total());
        }
        return "P(r) = " + running + " ÷ " + pixels + ";  " + String.join(",  ", shares);
    }

    private static Histogram read(String file) {
        Image image = ImageFiles.read(Path.of(file), ReadOptions.DEFAULT).image();
        Levels.require(image, "The target of match");
        return Histogram.of(image);
    }

    /** Running counts of a target. */
    private record Target(List<Long> runningCounts) {

        static Target of(Histogram histogram) {
            List<Long> running = new ArrayList<>();
            for (int level = 0; level <= histogram.maximumLevel(); level++) {
                running.add((long) histogram.running(level));
            }
            return new Target(running);
        }

        static Target of(List<Rational> counts) {
            List<Long> running = new ArrayList<>();
            long sum = 0;
            for (Rational count : counts) {
                if (!count.isInt() || count.signum() < 0) {
                    throw PixeronException.of("counts has %s; give %s.", count, COUNTS.range());
                }
                sum += count.toInt();
                running.add(sum);
            }
            if (sum == 0 || sum > Integer.MAX_VALUE) {
                throw PixeronException.of("counts add up to %d; together they must be from 1 to %d.", sum,
                        Integer.MAX_VALUE);
            }
            return new Target(running);
        }

        int levels() {
            return runningCounts.size();
        }

        long running(int level) {
            return runningCounts.get(level);
        }

        long total() {
            return running(levels() - 1);
        }

        /** @return the level that a running share of counted ÷ pixels goes to; shares are compared exactly, crosswise */
        int level(long counted, long pixels, boolean isFirst) {
            int at = firstAtLeast(counted, pixels);
            if (isFirst || at == 0) {
                return at;
            }
            int below = firstAtLeast(running(at - 1), total());
            long over = running(at) * pixels - counted * total();
            long under = counted * total() - running(at - 1) * pixels;
            return under <= over ? below : at;
        }

        /** @return the smallest level with running ÷ total ≥ counted ÷ pixels; there is one, the last has share 1 */
        private int firstAtLeast(long counted, long pixels) {
            int low = 0;
            int high = levels() - 1;
            while (low < high) {
                int middle = (low + high) >>> 1;
                if (running(middle) * pixels >= counted * total()) {
                    high = middle;
                } else {
                    low = middle + 1;
                }
            }
            return low;
        }

        List<List<Value>> rows() {
            List<List<Value>> rows = new ArrayList<>();
            for (int z = 0; z < levels(); z++) {
                long count = running(z) - (z == 0 ? 0 : running(z - 1));
                rows.add(List.of(Rational.of(z), Rational.of(count), Rational.of(running(z)),
                        Rational.of(running(z), total())));
            }
            return rows;
        }
    }
}

package pixeron.byhand.slip.point;

import java.util.ArrayList;
import java.util.List;
import pixeron.byhand.slip.Slip;
import pixeron.byhand.slip.Varied;
import pixeron.image.Area;
import pixeron.image.Histogram;
import pixeron.image.Image;
import pixeron.number.Decimals;
import pixeron.number.Rational;
import pixeron.number.Rounding;
import pixeron.number.Value;
import pixeron.step.Finish;
import pixeron.step.Operation;
import pixeron.step.Step;
import pixeron.step.StepType;
import pixeron.step.kernel.Kernel;
import pixeron.step.kernel.Weights;
import pixeron.working.Table;

/**
 * A number on the way was rounded to 0 to 3 decimals: shares and M ÷ N of an equalization, the slope of a stretch, 1 ÷ divisor or
 * each weight ÷ divisor of a kernel, M2 ÷ M of a change of depth. Factors and curves are in {@link RoundedCurve}.
 */
public final class RoundedEarly implements Slip {

    private static final int MOST_DECIMALS = 3;

    @Override
    public String id() {
        return "rounded-early";
    }

    static Rational rounded(Rational number, int decimals) {
        Rational scale = Decimals.parse("1" + "0".repeat(decimals));
        return ((Rational) Rounding.NEAREST.apply(number.times(scale))).dividedBy(scale);
    }

    static String to(int decimals) {
        return decimals == 0 ? "to a whole number" : "to " + decimals + (decimals == 1 ? " decimal" : " decimals");
    }

    @Override
    public List<Way> ways(Step step, Image before) {
        List<Way> ways = new ArrayList<>();
        for (int decimals = MOST_DECIMALS; decimals >= 0; decimals--) {
            switch (step.type().name()) {
                case "equalize" -> addShares(ways, step, before, decimals);
                case "stretch" -> addSlope(ways, step, before, decimals);
                case "kernel", "box", "binomial", "sharpen", "laplacian" -> addKernel(ways, step, before, decimals);
                case "depth" -> addFactor(ways, step, before, decimals);
                default -> ways.addAll(RoundedCurve.ways(step, before, decimals));
            }
        }
        return ways;
    }

    private static void addShares(List<Way> ways, Step step, Image before, int decimals) {
        if (!before.isLevelImage() || !Varied.choice(step, "method").orElse("").equals("share")) {
            return;
        }
        Area area = step.arguments().find(StepType.AREA).orElseGet(() -> Area.all(before));
        Histogram histogram = Histogram.of(before, area);
        Finish finish = Finish.of(step, before.maximumLevel());
        Rational maximum = Rational.of(before.maximumLevel());
        Rational pixels = Rational.of(area.count());
        Rational[] summed = new Rational[before.maximumLevel() + 1];
        Rational sum = Rational.ZERO;
        for (int k = 0; k < summed.length; k++) {
            sum = sum.plus(rounded(Rational.of(histogram.count(k), area.count()), decimals));
            summed[k] = sum;
        }
        if (decimals > 0) {
            ways.add(way("each share p(k) is rounded " + to(decimals), before, area, finish,
                    level -> maximum.times(summed[level])));
            ways.add(way("each running share P(k) is rounded " + to(decimals), before, area, finish,
                    level -> maximum.times(rounded(Rational.of(histogram.running(level)).dividedBy(pixels), decimals))));
        }
        Rational factor = rounded(maximum.dividedBy(pixels), decimals);
        ways.add(way("M ÷ N is rounded " + to(decimals), before, area, finish,
                level -> Rational.of(histogram.running(level)).times(factor)));
    }

    private interface OfLevel {
        Rational exact(int level);
    }

    private static Way way(String words, Image before, Area area, Finish finish, OfLevel value) {
        return Way.of(words, pixel -> area.contains(pixel.row(), pixel.column())
                ? finish.apply(value.exact(before.level(before.offset(pixel)))) : before.value(pixel));
    }

    private static void addSlope(List<Way> ways, Step step, Image before, int decimals) {
        Operation operation = step.bind(before);
        Table constants = operation.tables().stream().filter(table -> table.name().equals("constants")).findFirst()
                .orElse(null);
        if (constants == null || !constants.columns().containsAll(List.of("low", "high", "toLow", "toHigh"))
                || step.arguments().isGiven(StepType.AREA)) {
            return;
        }
        Value low = constants.value(0, "low").orElseThrow();
        Value high = constants.value(0, "high").orElseThrow();
        Value toLow = constants.value(0, "toLow").orElseThrow();
        Value toHigh = constants.value(0, "toHigh").orElseThrow();
        if (!(toHigh.minus(toLow).dividedBy(high.minus(low)) instanceof Rational slope)) {
            return;
        }
        Finish finish = Finish.of(step, before.maximumLevel());
        Rational early = rounded(slope, decimals);
        ways.add(Way.of("the slope is rounded " + to(decimals), pixel ->
                finish.apply(before.value(pixel).minus(low).times(early).plus(toLow))));
        if (decimals > 0) {
            ways.add(Way.of("(r − low) ÷ (high − low) is rounded " + to(decimals), pixel ->
                    finish.apply(rounded((Rational) before.value(pixel).minus(low).dividedBy(high.minus(low)), decimals)
                            .times(toHigh.minus(toLow)).plus(toLow))));
        }
    }

    private static void addKernel(List<Way> ways, Step step, Image before, int decimals) {
        Step kernel = Varied.is(step, "kernel") ? step : step.type().spelledOut(step).orElseThrow();
        Weights weights = Kernel.weights(kernel);
        Rational divisor = (Rational) weights.divisorOrSum();
        Rational inverse = rounded(Rational.ONE.dividedBy(divisor), decimals);
        if (inverse.signum() != 0) {
            ways.addAll(Way.tried("1 ÷ divisor is rounded " + to(decimals), () -> Varied.with(kernel, "divisor",
                    Decimals.print(Rational.ONE.dividedBy(inverse))), before));
        }
        List<List<Value>> rows = weights.rows().stream().map(row -> row.stream().<Value>map(weight ->
                rounded(((Rational) weight).dividedBy(divisor), decimals)).toList()).toList();
        ways.addAll(Way.tried("each weight ÷ divisor is rounded " + to(decimals), () -> Varied.with(Kernel.with(kernel,
                new Weights(rows, weights.anchorRow(), weights.anchorColumn(), weights.divisor(), weights.offset())),
                "divisor", "1"), before));
    }

    private static void addFactor(List<Way> ways, Step step, Image before, int decimals) {
        String written = Varied.number(step, "maximum").orElse("");
        if (Decimals.isNumber(written)) {
            int maximum = Decimals.parse(written).toInt();
            Rational factor = rounded(Rational.of(maximum, before.maximumLevel()), decimals);
            Finish finish = Finish.of(step, maximum);
            ways.add(Way.of("M2 ÷ M is rounded " + to(decimals), pixel -> finish.apply(before.value(pixel).times(factor))));
        }
    }
}

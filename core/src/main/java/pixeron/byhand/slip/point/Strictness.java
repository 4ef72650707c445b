package pixeron.byhand.slip.point;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import pixeron.byhand.slip.Slip;
import pixeron.byhand.slip.Varied;
import pixeron.image.Image;
import pixeron.number.Decimals;
import pixeron.number.Rational;
import pixeron.step.Step;
import pixeron.step.catalog.StepLine;

/** A limit itself was put on the other side: r &gt; t for r ≥ t, or back; at the ends of a band or slice as well. */
public final class Strictness implements Slip {

    @Override
    public String id() {
        return "strictness";
    }

    @Override
    public List<Way> ways(Step step, Image before) {
        List<Way> ways = new ArrayList<>();
        String name = step.type().name();
        if (name.equals("threshold")) {
            boolean isAbove = Varied.choice(step, "compare").orElse("").equals("above");
            ways.addAll(Way.tried(isAbove ? "r = t counts as above (r ≥ t)" : "r = t counts as below (r > t)",
                    () -> Varied.with(step, "compare", isAbove ? "at-least" : "above"), before));
        } else if (name.equals("band") || name.equals("slice")) {
            // Without their ends, whole levels begin one further in.
            for (Map.Entry<String, Rational> end : Map.of("low", Rational.ONE, "high", Rational.ONE.negated()).entrySet()) {
                Varied.number(step, end.getKey()).filter(Decimals::isNumber).map(Decimals::parse).ifPresent(at ->
                        ways.addAll(Way.tried("the " + end.getKey() + " end itself is left out", () -> Varied.with(step,
                                end.getKey(), Decimals.print(at.plus(end.getValue()))), before)));
            }
        } else if (name.equals("threshold-otsu") || name.equals("threshold-share") || name.equals("threshold-two-means")) {
            Varied.constant(step.bind(before), "t").filter(Rational.class::isInstance).map(Rational.class::cast).ifPresent(limit -> ways.addAll(Way.tried("r = t counts as above (r ≥ t)",
                    () -> StepLine.parse("threshold compare=at-least at=" + Decimals.print(limit) + ends(step)), before)));
        }
        return ways;
    }

    private static String ends(Step step) {
        return " low=" + Varied.number(step, "low").orElse("0") + " high=" + Varied.number(step, "high").orElse("M");
    }
}

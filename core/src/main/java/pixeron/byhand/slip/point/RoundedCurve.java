package pixeron.byhand.slip.point;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import pixeron.byhand.slip.Slip.Way;
import pixeron.byhand.slip.Varied;
import pixeron.image.Image;
import pixeron.number.Decimals;
import pixeron.number.Rational;
import pixeron.number.Value;
import pixeron.step.Step;

/**
 * What is rounded on the way in a step of one factor or of a curve: the factor; r ÷ M and (r ÷ M)^γ of a power; c and ln(1 + r) of
 * a logarithm, c of an exponential. Each is a step of its own, so its working can be shown.
 */
final class RoundedCurve {

    private RoundedCurve() {
    }

    static List<Way> ways(Step step, Image before, int decimals) {
        List<Way> ways = new ArrayList<>();
        String to = " is rounded " + RoundedEarly.to(decimals);
        switch (step.type().name()) {
            case "multiply" -> addKey(ways, step, "factor", "the factor" + to, before, decimals);
            case "linear" -> addKey(ways, step, "gain", "the factor" + to, before, decimals);
            case "divide" -> Varied.number(step, "divisor").filter(Decimals::isNumber).map(Decimals::parse).ifPresent(divisor ->
                    ways.addAll(Way.tried("1 ÷ " + Decimals.print(divisor) + to, () -> Varied.like(step, "multiply factor="
                            + Decimals.print(RoundedEarly.rounded(Rational.ONE.dividedBy(divisor), decimals))), before)));
            case "power" -> addPower(ways, step, before, decimals);
            case "log" -> addLogarithm(ways, step, before, decimals);
            case "exponential" -> addScale(ways, step, before, decimals);
            default -> {
                // Nothing on the way of this step can be rounded early.
            }
        }
        return ways;
    }

    private static void addKey(List<Way> ways, Step step, String key, String words, Image before, int decimals) {
        Varied.number(step, key).filter(Decimals::isNumber).map(Decimals::parse).ifPresent(number -> {
            Rational early = RoundedEarly.rounded(number, decimals);
            if (!early.equals(number)) {
                ways.addAll(Way.tried(words, () -> Varied.with(step, key, Decimals.print(early)), before));
            }
        });
    }

    private static String rounded(String expression, int decimals) {
        String scale = "1" + "0".repeat(decimals);
        return decimals == 0 ? "round(" + expression + ")" : "round((" + expression + ")*" + scale + ")/" + scale;
    }

    private static void addFormula(List<Way> ways, Step step, String words, String expression, Image before) {
        ways.addAll(Way.tried(words, () -> Varied.like(step, "formula expression=\"" + expression + "\""), before));
    }

    private static void addPower(List<Way> ways, Step step, Image before, int decimals) {
        Optional<String> gamma = Varied.number(step, "gamma").filter(Decimals::isNumber);
        if (gamma.isPresent() && Varied.number(step, "scale").filter(Decimals::isNumber).isEmpty()) {
            String power = "^(" + gamma.get() + ")";
            String to = " is rounded " + RoundedEarly.to(decimals);
            addFormula(ways, step, "r ÷ M" + to, "M*(" + rounded("r/M", decimals) + ")" + power, before);
            addFormula(ways, step, "(r ÷ M)^" + gamma.get() + to, "M*" + rounded("(r/M)" + power, decimals), before);
        }
    }

    private static void addLogarithm(List<Way> ways, Step step, Image before, int decimals) {
        addScale(ways, step, before, decimals);
        String scale = Varied.number(step, "scale").filter(Decimals::isNumber).orElseGet(() -> "M/ln(1+"
                + (Varied.choice(step, "reference").orElse("").equals("image") ? "max" : "M") + ")");
        addFormula(ways, step, "ln(1 + r) is rounded " + RoundedEarly.to(decimals), scale + "*("
                + rounded("ln(1+r)", decimals) + ")", before);
    }

    /** c as the step found it, rounded. */
    private static void addScale(List<Way> ways, Step step, Image before, int decimals) {
        Optional<Double> given = Varied.number(step, "scale").filter(Decimals::isNumber)
                .map(text -> Decimals.parse(text).asDouble());
        given.or(() -> Varied.constant(step.bind(before), "scale").map(Value::asDouble)).filter(Double::isFinite).ifPresent(scale -> {
            String early = BigDecimal.valueOf(scale).setScale(decimals, RoundingMode.HALF_UP).toPlainString();
            ways.addAll(Way.tried("c = " + early + " is taken, rounded " + RoundedEarly.to(decimals),
                    () -> Varied.like(step, step.type().name() + " scale=" + early), before));
        });
    }
}

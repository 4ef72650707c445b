package pixeron.step.kernel;

import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import pixeron.number.Decimals;
import pixeron.number.Rational;
import pixeron.number.Value;

/**
 * Facts about a kernel that need no image.
 *
 * @param sum of the weights
 * @param divisor what a sum of products is divided by
 * @param factors a column and a row whose products are the weights, where there are such
 * @param gain what a flat area is multiplied with
 * @param offset what is added then
 */
public record KernelFacts(Value sum, Value divisor, Optional<Weights.Factors> factors, Value gain, Rational offset) {

    public static KernelFacts of(Weights weights) {
        return new KernelFacts(weights.sum(), weights.divisor().<Value>map(number -> number)
                .orElseGet(() -> Weights.divisor(weights.sum())), weights.factors(), weights.gain(), weights.offset());
    }

    /** Returns all of it, one sentence each. */
    public List<String> sentences() {
        return List.of("The weights add up to " + Decimals.working(sum) + ", the divisor is " + Decimals.working(divisor)
                + ".", factors.map(found -> "Separable: " + text(found.column()) + " down × " + text(found.row())
                + " across.").orElse("Not separable: no column × row gives these weights."), flat());
    }

    private static String text(List<Rational> weights) {
        return weights.stream().map(Decimals::working).collect(Collectors.joining(" ", "(", ")"));
    }

    private String flat() {
        String shifted = offset.signum() == 0 ? "" : offset.signum() > 0 ? " + " + Decimals.working(offset)
                : " − " + Decimals.working(offset.absolute());
        if (gain.signum() == 0) {
            return "A flat area becomes " + Decimals.working(offset) + ".";
        } else if (gain.equals(Rational.ONE)) {
            return offset.signum() == 0 ? "A flat area keeps its level." : "A flat area becomes its level" + shifted + ".";
        }
        return "A flat area becomes " + Decimals.working(gain) + " × its level" + shifted + ".";
    }
}

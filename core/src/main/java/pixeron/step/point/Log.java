package pixeron.step.point;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.List;
import java.util.Map;
import pixeron.number.Approximate;
import pixeron.number.Rational;
import pixeron.number.Value;
import pixeron.step.Handle;
import pixeron.step.Slip;
import pixeron.step.Step;
import pixeron.step.key.Amount;
import pixeron.step.key.Arguments;
import pixeron.step.pointwise.EarlyPart;

/**
 * {@code log scale=auto}: c·ln(1 + r), for r &gt; −1.
 *
 * <p>Domain: c &gt; 0; auto is M ÷ ln(1 + M), which takes M to M. Doubles. Source: Lifts dark levels,
 * docs/definitions/point-steps.md.
 */
public final class Log extends Curve {

    public Log() {
        super("log", "Logarithm", "Expands dark levels and compresses bright levels.", "scale * ln(1 + r)");
    }

    @Override
    protected List<EarlyPart> earlyParts(Arguments arguments) {
        String whole = "scale * ln(1 + r)";
        return List.of(new EarlyPart("c", whole, "scale"), new EarlyPart("ln(1 + r)", whole, "ln(1 + r)"));
    }

    @Override
    protected List<Slip> ownSlips() {
        return List.of(otherFormula("one-plus-forgotten", "the logarithm of r is used instead of 1 + r", "scale * ln(r)"));
    }

    @Override
    protected List<Handle> handles(Step step, Map<String, Value> constants, int maximumLevel) {
        double scale = constants.containsKey("scale") ? constants.get("scale").asDouble() : 0;
        Rational right = Rational.of(maximumLevel);
        return scale == 0 ? List.of() : List.of(Handle.point("scale", right,
                Approximate.from(scale * Math.log1p(maximumLevel)), (level, result) -> {
            double found = Math.max(1, result.asDouble()) / Math.log1p(maximumLevel);
            return step.without(REFERENCE).with(SCALE, new Amount(Rational.of(BigDecimal.valueOf(found)
                    .setScale(2, RoundingMode.HALF_UP).max(new BigDecimal("0.01")))));
        }));
    }
}

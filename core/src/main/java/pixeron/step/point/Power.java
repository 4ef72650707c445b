package pixeron.step.point;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.List;
import java.util.Map;
import pixeron.formula.Expression;
import pixeron.number.Approximate;
import pixeron.number.Rational;
import pixeron.number.Value;
import pixeron.step.Handle;
import pixeron.step.Step;
import pixeron.step.key.Amount;
import pixeron.step.key.Arguments;
import pixeron.step.key.NumberParameter;
import pixeron.step.key.Span;
import pixeron.step.pointwise.EarlyPart;
import pixeron.step.pointwise.PointStep;

/**
 * {@code power gamma=g scale=auto}: M·(r ÷ M)^g, or c·r^g with a number c; g &gt; 0, r ≥ 0 unless g is whole.
 *
 * <p>Domain: auto is M^(1 − g), which takes M to M. Doubles unless g is a whole number. Source: The power law of
 * displays, docs/definitions/point-steps.md.
 */
public final class Power extends PointStep {

    private static final NumberParameter GAMMA = NumberParameter.required("gamma", "Gamma").sliding(Span.of(Rational.of(1, 10), Rational.of(5), Rational.of(1, 20)))
            .only(number -> number.signum() > 0, "a number above 0");
    private static final NumberParameter SCALE = NumberParameter.automatic("scale", "Scale", false);

    private final Expression scaled = parsed("scale * r^gamma");

    public Power() {
        super("power", "Power (gamma)", "Raises levels to a power: gamma above 1 darkens, below 1 brightens; 0 and M stay.",
                "M * (r / M)^gamma", GAMMA, SCALE);
    }

    @Override
    protected Expression expression(Arguments arguments) {
        return arguments.get(SCALE).isAuto() ? super.expression(arguments) : scaled;
    }

    @Override
    protected List<Handle> handles(Step step, Map<String, Value> constants, int maximumLevel) {
        Rational middle = Rational.of(Math.max(1, maximumLevel / 2));
        boolean isScaled = !step.arguments().get(SCALE).isAuto();
        double scale = isScaled ? constants.get("scale").asDouble() : maximumLevel;
        double unit = isScaled ? 1 : maximumLevel;
        if (middle.asDouble() == unit || scale <= 0) {
            return List.of();
        }
        double gamma = constants.get("gamma").asDouble();
        double height = scale * Math.pow(middle.asDouble() / unit, gamma);
        if (!Double.isFinite(height)) {
            // So high above the curve that nobody could take hold of it.
            return List.of();
        }
        return List.of(Handle.point("gamma", middle, Approximate.from(height), (level, result) -> {
            double found = Math.log(Math.max(0.5, result.asDouble()) / scale) / Math.log(middle.asDouble() / unit);
            return step.with(GAMMA, new Amount(Rational.of(BigDecimal.valueOf(Math.max(0.05, Math.min(20, found)))
                    .setScale(2, RoundingMode.HALF_UP))));
        }));
    }

    @Override
    protected List<EarlyPart> earlyParts(Arguments arguments) {
        String whole = "M * (r / M)^gamma";
        return arguments.get(SCALE).isAuto() ? List.of(new EarlyPart("r ÷ M", whole, "r / M"),
                new EarlyPart("(r ÷ M)^gamma", whole, "(r / M)^gamma")) : List.of();
    }

    @Override
    public Step starter(int maximumLevel) {
        return new Step(this, Arguments.NONE.with(GAMMA, new Amount(Rational.of(2))));
    }
}

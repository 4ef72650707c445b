package pixeron.step.point;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import pixeron.number.Rational;
import pixeron.number.Value;
import pixeron.step.Handle;
import pixeron.step.Opposite;
import pixeron.step.Step;
import pixeron.step.key.Amount;
import pixeron.step.key.Arguments;
import pixeron.step.key.NumberParameter;
import pixeron.step.key.Span;
import pixeron.step.pointwise.EarlyPart;
import pixeron.step.pointwise.PointStep;

/**
 * {@code multiply factor=a}: a·r.
 *
 * <p>Domain: r any value, a any number or M. Source: A change of contrast, docs/definitions/point-steps.md.
 */
public final class Multiply extends PointStep {

    private static final NumberParameter FACTOR = NumberParameter.required("factor", "Factor").sliding(Span.of(0, 4, 20));

    public Multiply() {
        super("multiply", "Multiply", "Multiplies every level by a factor: more contrast above 1, less below 1.",
                "factor * r", FACTOR);
    }

    @Override
    protected List<Handle> handles(Step step, Map<String, Value> constants, int maximumLevel) {
        Rational factor = step.arguments().get(FACTOR).number();
        Rational right = Rational.of(maximumLevel);
        return List.of(Handle.point("factor", right, right.times(factor),
                (level, result) -> step.with(FACTOR, new Amount(result.dividedBy(right).toDecimals(2)))));
    }

    @Override
    public Optional<Opposite> opposite(Step step) {
        return step.arguments().get(FACTOR).number().signum() == 0 ? Optional.empty() : Optional.of(new Opposite(
                "the level is divided instead of multiplied", step.as(new Divide(), Map.of("divisor", FACTOR.key()))));
    }

    @Override
    protected List<EarlyPart> earlyParts(Arguments arguments) {
        return List.of(new EarlyPart("the factor", "factor * r", "factor"));
    }

    @Override
    public Step starter(int maximumLevel) {
        return new Step(this, Arguments.NONE.with(FACTOR, new Amount(Rational.of(3, 2))));
    }
}

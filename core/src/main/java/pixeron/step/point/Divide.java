package pixeron.step.point;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import pixeron.step.Opposite;
import pixeron.step.Step;
import pixeron.step.key.Amount;
import pixeron.step.key.Arguments;
import pixeron.step.key.NumberParameter;
import pixeron.step.key.Span;
import pixeron.step.pointwise.EarlyPart;
import pixeron.step.pointwise.PointStep;

/**
 * {@code divide divisor=d}: r ÷ d, d ≠ 0.
 *
 * <p>Domain: r any value, d any number but 0. Source: A change of contrast, docs/definitions/point-steps.md.
 */
public final class Divide extends PointStep {

    private static final NumberParameter DIVISOR = NumberParameter.required("divisor", "Divisor").sliding(Span.of(1, 16, 2))
            .only(number -> number.signum() != 0, "a number other than 0");

    public Divide() {
        super("divide", "Divide", "Divides every level by a number: darker, with less contrast.", "r / divisor", DIVISOR);
    }

    @Override
    public Optional<Opposite> opposite(Step step) {
        return Optional.of(new Opposite("the level is multiplied instead of divided", step.as(new Multiply(),
                Map.of("factor", DIVISOR.key()))));
    }

    @Override
    protected List<EarlyPart> earlyParts(Arguments arguments) {
        return List.of(new EarlyPart("1 ÷ divisor", "r * (1 / divisor)", "1 / divisor"));
    }

    @Override
    public Step starter(int maximumLevel) {
        return new Step(this, Arguments.NONE.with(DIVISOR, Amount.of(2)));
    }
}

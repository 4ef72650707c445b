package pixeron.step.point;

import java.util.List;
import pixeron.step.key.Arguments;
import pixeron.step.pointwise.EarlyPart;

/**
 * {@code exponential scale=auto}: exp(r ÷ c) − 1; undoes an unrounded log of the same scale.
 *
 * <p>Domain: r any value, c &gt; 0; auto is the c that takes M to M: M ÷ ln(1 + M). Doubles. Source: The inverse of
 * {@link Log}, docs/definitions/point-steps.md.
 */
public final class Exponential extends Curve {

    public Exponential() {
        super("exponential", "Exponential", "Compresses dark levels and expands bright levels; the inverse of Logarithm.",
                "exp(r / scale) - 1");
    }

    @Override
    protected List<EarlyPart> earlyParts(Arguments arguments) {
        return List.of(new EarlyPart("c", "exp(r / scale) - 1", "scale"));
    }
}

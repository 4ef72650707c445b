package pixeron.step.threshold;

import java.util.List;
import pixeron.formula.Expression;
import pixeron.image.Area;
import pixeron.image.Image;
import pixeron.number.Rational;
import pixeron.step.Slip;
import pixeron.step.Step;
import pixeron.step.key.Amount;
import pixeron.step.key.Arguments;
import pixeron.step.key.NumberParameter;
import pixeron.step.pointwise.PointRule;
import pixeron.step.pointwise.PointStep;

/**
 * {@code band low=a high=b}: M where a ≤ r ≤ b, else 0.
 *
 * <p>Domain: r any value, a ≤ b; on a hue a > b as well, which is the arc through 0. Source: Both limits belong to the band, docs/definitions/thresholds.md.
 */
public final class Band extends PointStep {

    private static final NumberParameter LOW = NumberParameter.level("low", "Low", Amount.of(0)).givenAlways();
    private static final NumberParameter HIGH = NumberParameter.level("high", "High", Amount.MAXIMUM).givenAlways();

    public Band() {
        super("band", "Band threshold", "Sets levels from Low to High, both included, to white and all others to black.",
                "if(r >= low, if(r <= high, M, 0), 0)", LOW, HIGH);
    }

    /** From low up through 0 to high, where low is above high: an arc of a circle such as hue. */
    private final Expression arc = parsed("if(r >= low, M, if(r <= high, M, 0))");

    private static boolean isArc(Arguments arguments) {
        Rational low = arguments.get(LOW).number();
        Rational high = arguments.get(HIGH).number();
        return low != null && high != null && low.compareTo(high) > 0;
    }

    @Override
    protected Expression expression(Arguments arguments) {
        return isArc(arguments) ? arc : super.expression(arguments);
    }

    @Override
    protected PointRule rule(Arguments arguments, Image before, Area area) {
        if (!before.frame().range().isCircle() || !isArc(arguments)) {
            requireOrder(name(), arguments.get(LOW), arguments.get(HIGH), before.maximumLevel());
        }
        return super.rule(arguments, before, area);
    }

    @Override
    protected List<Slip> ownSlips() {
        return List.of(otherFormula("black-white-swapped", "M is written outside the band and 0 inside",
                "if(r >= low, if(r <= high, 0, M), M)"));
    }

    @Override
    protected List<NumberParameter> levelKeys() {
        return List.of(LOW, HIGH);
    }

    @Override
    public Step starter(int maximumLevel) {
        return new Step(this, Arguments.NONE.with(LOW, Amount.of(maximumLevel / 3))
                .with(HIGH, Amount.of(maximumLevel - maximumLevel / 3)));
    }
}

package pixeron.step.cut;

import java.util.List;
import pixeron.PixeronException;
import pixeron.image.Area;
import pixeron.image.Image;
import pixeron.image.Levels;
import pixeron.number.Rational;
import pixeron.step.Slip;
import pixeron.step.Step;
import pixeron.step.key.Amount;
import pixeron.step.key.Arguments;
import pixeron.step.key.NumberParameter;
import pixeron.step.key.Span;
import pixeron.step.pointwise.PointRule;
import pixeron.step.pointwise.PointStep;

/**
 * {@code quantize levels=n}: bin q = ⌊r·n ÷ (M + 1)⌋, then q·M ÷ (n − 1); 2 ≤ n ≤ M + 1.
 *
 * <p>Domain: r from 0 to M. Source: A stair of n equal treads from 0 to M, docs/definitions/point-steps.md.
 */
public final class Quantize extends PointStep {

    private static final NumberParameter LEVELS = NumberParameter.required("levels", "Levels").sliding(Span.of(2, 64))
            .only(n -> n.isInt() && n.toInt() >= 2 && n.toInt() <= Image.LARGEST_MAXIMUM + 1,
                    "a whole number from 2 to M + 1");

    public Quantize() {
        super("quantize", "Quantize", "Reduces the image to a few evenly spaced levels.",
                "floor(r * levels / (M + 1)) * M / (levels - 1)", LEVELS);
    }

    @Override
    protected void validate(Arguments arguments, int maximumLevel) {
        if (arguments.get(LEVELS).number().compareTo(Rational.of(maximumLevel + 1L)) > 0) {
            throw PixeronException.of("levels=%s is more than the %d levels of the image.", arguments.get(LEVELS),
                    maximumLevel + 1);
        }
    }

    @Override
    protected PointRule rule(Arguments arguments, Image before, Area area) {
        Levels.require(before, title());
        return super.rule(arguments, before, area);
    }

    @Override
    protected List<Slip> ownSlips() {
        return List.of(otherFormula("maximum-for-count", "r × levels is divided by M instead of M + 1",
                "floor(r * levels / M) * M / (levels - 1)"));
    }

    @Override
    public Step starter(int maximumLevel) {
        return new Step(this, Arguments.NONE.with(LEVELS, Amount.of(Math.min(4, maximumLevel + 1))));
    }
}

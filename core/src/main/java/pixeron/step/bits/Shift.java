package pixeron.step.bits;

import java.util.List;
import pixeron.formula.Expression;
import pixeron.formula.Function;
import pixeron.image.Area;
import pixeron.image.Image;
import pixeron.loop.Code;
import pixeron.step.Step;
import pixeron.step.key.Amount;
import pixeron.step.key.Arguments;
import pixeron.step.key.NumberParameter;
import pixeron.step.key.Span;
import pixeron.step.pointwise.PointRule;
import pixeron.step.pointwise.PointStep;

/**
 * {@code bit-shift by=n}: r·2ⁿ for n &gt; 0, ⌊r ÷ 2⁻ⁿ⌋ for n &lt; 0; −16 ≤ n ≤ 16.
 *
 * <p>Domain: whole levels r. Source: A place in binary is a factor of 2, docs/definitions/point-steps.md.
 */
public final class Shift extends PointStep {

    private static final int FARTHEST = 16;
    private static final NumberParameter BY = NumberParameter.required("by", "Bits").sliding(Span.of(-8, 8))
            .only(n -> n.isInt() && n.toInt() >= -FARTHEST && n.toInt() <= FARTHEST, "a whole number from -16 to 16");

    private final Expression right = parsed("floor(r / 2^(-by))");

    public Shift() {
        super("bit-shift", "Bit shift", "Shifts the bits: each place to the left doubles the value, each place to the right halves it.", "r * 2^by", BY);
    }

    @Override
    protected Expression expression(Arguments arguments) {
        return arguments.get(BY).number().signum() < 0 ? right : super.expression(arguments);
    }

    @Override
    protected PointRule rule(Arguments arguments, Image before, Area area) {
        return Bits.wholeOnly(this, expression(arguments), before).coming("exact", () -> Bits.told(moved(arguments.get(BY).number().toInt())));
    }

    private static Code moved(int by) {
        Code times = Code.of(1L << Math.abs(by));
        return by < 0 ? new Code.Call(Function.FLOOR, List.of(Code.name("r").over(times))) : Code.name("r").times(times);
    }

    @Override
    public Step starter(int maximumLevel) {
        return new Step(this, Arguments.NONE.with(BY, Amount.of(-1)));
    }
}

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
import pixeron.step.key.ChoiceParameter;
import pixeron.step.key.NumberParameter;
import pixeron.step.key.Span;
import pixeron.step.pointwise.PointRule;
import pixeron.step.pointwise.PointStep;

/**
 * {@code bit-plane bit=b}: bit b of r (0 = lowest) as 0 or M, or with {@code as=bit} as 0 or 1.
 *
 * <p>Domain: whole levels r; 0 ≤ b, and 2^b ≤ M. Source: ⌊r ÷ 2^b⌋ mod 2, docs/definitions/point-steps.md.
 */
public final class BitPlane extends PointStep {

    private static final int LAST_BIT = 15;
    private static final NumberParameter BIT = NumberParameter.required("bit", "Bit").sliding(Span.of(0, 15))
            .only(n -> n.isInt() && n.toInt() >= 0 && n.toInt() <= LAST_BIT, "a whole number from 0 to 15");
    private static final ChoiceParameter.Choice LEVEL = new ChoiceParameter.Choice("level", "0 or M");
    private static final ChoiceParameter.Choice AS_BIT = new ChoiceParameter.Choice("bit", "0 or 1");
    private static final ChoiceParameter AS = ChoiceParameter.of("as", "Output", LEVEL, AS_BIT);

    private final Expression bare = parsed("mod(floor(r / 2^bit), 2)");

    public BitPlane() {
        super("bit-plane", "Bit plane", "Shows one bit of every level.", "mod(floor(r / 2^bit), 2) * M", BIT,
                AS);
    }

    @Override
    protected Expression expression(Arguments arguments) {
        return arguments.get(AS).equals(AS_BIT) ? bare : super.expression(arguments);
    }

    @Override
    protected PointRule rule(Arguments arguments, Image before, Area area) {
        return Bits.wholeOnly(this, expression(arguments), before).coming("exact", () -> Bits.told(told(arguments)));
    }

    private static Code told(Arguments arguments) {
        Code halved = new Code.Call(Function.FLOOR, List.of(Code.name("r").over(Code.of(1L << arguments.get(BIT).number().toInt()))));
        Code digit = halved.mod(Code.of(2));
        return arguments.get(AS).equals(AS_BIT) ? digit : digit.times(Code.name("M"));
    }

    @Override
    public Step starter(int maximumLevel) {
        return new Step(this, Arguments.NONE.with(BIT, Amount.of(0)));
    }
}

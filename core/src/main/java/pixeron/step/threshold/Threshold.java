package pixeron.step.threshold;

import java.util.List;
import pixeron.formula.Expression;
import pixeron.step.Slip;
import pixeron.step.Step;
import pixeron.step.key.Amount;
import pixeron.step.key.Arguments;
import pixeron.step.key.ChoiceParameter;
import pixeron.step.key.NumberParameter;
import pixeron.step.pointwise.PointStep;

/**
 * {@code threshold at=t compare=above low=0 high=M}: high where r &gt; t (above) or r ≥ t (at-least), else low.
 *
 * <p>Domain: r any value, t any number or M. Source: docs/definitions/thresholds.md.
 */
public final class Threshold extends PointStep {

    private static final NumberParameter AT = NumberParameter.level("at", "Threshold", Amount.MAXIMUM).givenAlways();
    private static final ChoiceParameter.Choice ABOVE = new ChoiceParameter.Choice("above", "high where r > at");
    private static final ChoiceParameter.Choice AT_LEAST = new ChoiceParameter.Choice("at-least", "high where r ≥ at");
    private static final ChoiceParameter COMPARE = ChoiceParameter.of("compare", "Comparison", ABOVE, AT_LEAST);
    private static final NumberParameter LOW = NumberParameter.level("low", "Low", Amount.of(0));
    private static final NumberParameter HIGH = NumberParameter.level("high", "High", Amount.MAXIMUM);

    private final Expression atLeast = parsed("if(r >= at, high, low)");

    public Threshold() {
        super("threshold", "Threshold", "Sets levels above a threshold to high, the others to low.",
                "if(r > at, high, low)", AT, COMPARE, LOW, HIGH);
    }

    @Override
    protected Expression expression(Arguments arguments) {
        return arguments.get(COMPARE).equals(AT_LEAST) ? atLeast : super.expression(arguments);
    }

    @Override
    protected List<Slip> ownSlips() {
        return List.of(TwoLevels.swapped(LOW, HIGH));
    }

    @Override
    protected List<NumberParameter> levelKeys() {
        return List.of(AT);
    }

    @Override
    public Step starter(int maximumLevel) {
        return new Step(this, Arguments.NONE.with(AT, Amount.of(maximumLevel / 2)));
    }
}

package pixeron.step.pointwise;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import pixeron.number.Overflow;
import pixeron.number.Rounding;
import pixeron.step.Common;
import pixeron.step.Inputs;
import pixeron.step.Operation;
import pixeron.step.Slip;
import pixeron.step.Step;
import pixeron.step.StepType;
import pixeron.step.key.Arguments;
import pixeron.step.key.ChoiceParameter;
import pixeron.step.key.Parameter;

/**
 * A point step as a user does it who takes its formula for another one. It is in no catalog: its line is that of the
 * right step, whose keys it has, so that a second slip can be made in it.
 */
final class OtherFormula implements StepType {

    private final PointStep right;
    private final UnaryOperator<PointRule> change;

    OtherFormula(PointStep right, UnaryOperator<PointRule> change) {
        this.right = right;
        this.change = change;
    }

    /** Returns the step done in this way. */
    Step of(Step step) {
        return new Step(this, step.arguments());
    }

    @Override
    public Operation bind(Step step, Inputs inputs) {
        return right.bind(step, inputs, change);
    }

    @Override
    public String name() {
        return right.name();
    }

    @Override
    public String title() {
        return right.title();
    }

    @Override
    public String sentence() {
        return right.sentence();
    }

    @Override
    public String formula(Arguments arguments) {
        return right.formula(arguments);
    }

    @Override
    public Set<Common> common() {
        return right.common();
    }

    @Override
    public ChoiceParameter roundingParameter() {
        return right.roundingParameter();
    }

    @Override
    public ChoiceParameter overflowParameter() {
        return right.overflowParameter();
    }

    @Override
    public Rounding rounding(Arguments arguments) {
        return right.rounding(arguments);
    }

    @Override
    public Overflow overflow(Arguments arguments) {
        return right.overflow(arguments);
    }

    @Override
    public List<Parameter<?>> ownParameters() {
        return right.ownParameters();
    }

    @Override
    public List<Slip> slips() {
        return List.of();
    }

    @Override
    public Optional<Step> spelledOut(Step step) {
        return Optional.empty();
    }
}

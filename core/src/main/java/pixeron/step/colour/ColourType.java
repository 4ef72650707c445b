package pixeron.step.colour;

import pixeron.PixeronException;
import pixeron.step.Bound;
import pixeron.step.Inputs;
import pixeron.step.Operation;
import pixeron.step.Step;
import pixeron.step.StepType;

/** A kind of step that takes a colour image as a whole, or makes one: it does not work channel by channel. */
public interface ColourType extends StepType {

    /**
     * @param step of this type
     * @param inputs what it is applied to, of any kind
     * @return the step bound to that
     * @throws PixeronException if it cannot be applied to this
     */
    Bound whole(Step step, Inputs inputs);

    @Override
    default Operation bind(Step step, Inputs inputs) {
        if (whole(step, inputs) instanceof Operation operation) {
            return operation;
        }
        throw PixeronException.of("%s makes a colour image.", name());
    }
}

package pixeron.step.colour;

import pixeron.PixeronException;
import pixeron.image.ColourImage;
import pixeron.step.Bound;
import pixeron.step.Inputs;
import pixeron.step.Operation;
import pixeron.step.Step;
import pixeron.step.StepType;

/** A kind of step that takes a colour image as a whole, not channel by channel. */
public interface ColourType extends StepType {

    /**
     * @param step of this type
     * @return the step bound to a colour image
     * @throws PixeronException if it cannot be applied to this one
     */
    Bound bind(Step step, ColourImage before);

    @Override
    default Operation bind(Step step, Inputs inputs) {
        throw PixeronException.of("%s takes a colour image, and %s stands before it.", name(), inputs.before().kind());
    }
}

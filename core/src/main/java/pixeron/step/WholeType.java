package pixeron.step;

import pixeron.PixeronException;

/**
 * A kind of step that takes what is before it as a whole, or makes something with several faces: it does not work channel by
 * channel. On an image, a color image or a spectrum it says itself whether it can be applied.
 */
public interface WholeType extends StepType {

    /**
     * Returns the step bound to that.
     *
     * @param step of this type
     * @param inputs what it is applied to, of any kind
     * @throws PixeronException if it cannot be applied to this
     */
    Bound whole(Step step, Inputs inputs);

    /** Where the result has several faces, that of the inputs is meant. */
    @Override
    default Operation bind(Step step, Inputs inputs) {
        Bound whole = whole(step, inputs);
        if (whole instanceof Operation operation) {
            return operation;
        }
        return whole.face(inputs.face()).orElseThrow(() -> PixeronException.of("The result of %s has several components: %s.", name(), String.join(", ", whole.faces())));
    }
}

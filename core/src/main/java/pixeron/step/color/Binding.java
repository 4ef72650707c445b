package pixeron.step.color;

import pixeron.image.Components;
import pixeron.image.Result;
import pixeron.step.Bound;
import pixeron.step.Inputs;
import pixeron.step.Step;
import pixeron.step.WholeType;

/** Binds a step to a result of any kind. */
public final class Binding {

    private Binding() {
    }

    /**
     * Returns the step bound to it: to an image as it is, to a color image channel by channel, unless the step takes it whole.
     *
     * @throws pixeron.PixeronException if the step cannot be applied to this
     */
    public static Bound of(Step step, Result before) {
        return of(step, new Inputs(before));
    }

    /**
     * Returns the same, with other results that the step may refer to.
     *
     * @throws pixeron.PixeronException if it cannot be applied to this
     */
    public static Bound of(Step step, Inputs inputs) {
        return step.type() instanceof WholeType type ? type.whole(step, inputs)
                : inputs.before() instanceof Components components ? ComponentsOperation.of(step, components, inputs) : step.bind(inputs);
    }
}

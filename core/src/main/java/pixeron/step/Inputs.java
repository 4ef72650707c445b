package pixeron.step;

import pixeron.PixeronException;
import pixeron.image.Image;
import pixeron.image.Result;

/**
 * What a step is applied to.
 *
 * @param before the result in front of it
 */
public record Inputs(Result before) {

    /**
     * @param type the kind of step that asks
     * @return what is before, which is an image
     * @throws PixeronException if it is of another kind
     */
    public Image image(StepType type) {
        if (before instanceof Image image) {
            return image;
        }
        throw PixeronException.of("%s takes an image, and %s stands before it.", type.name(), before.kind());
    }
}

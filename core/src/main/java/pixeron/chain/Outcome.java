package pixeron.chain;

import pixeron.PixeronException;
import pixeron.image.Image;

/** What came of a stage: an image, or the reason why there is none. */
public sealed interface Outcome {

    /** @param image the result */
    record Done(Image image) implements Outcome {
    }

    /**
     * @param position the position of the step that failed, from 0; later steps carry it on
     * @param message one line for the person
     */
    record Failed(int position, String message) implements Outcome {
    }

    /**
     * @return the image
     * @throws PixeronException with the reason, where there is none; names the step, counted from 1
     */
    default Image image() {
        if (this instanceof Done done) {
            return done.image();
        }
        Failed failed = (Failed) this;
        throw PixeronException.of("Step %d: %s", failed.position() + 1, failed.message());
    }
}

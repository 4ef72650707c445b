package pixeron.chain;

import pixeron.PixeronException;
import pixeron.image.Image;
import pixeron.image.Result;
import pixeron.image.Spectrum;
import pixeron.step.color.GrayStep;
import pixeron.step.frequency.FourierInverse;

/** What came of a stage: a result, or the reason why there is none. */
public sealed interface Outcome {

    /**
     * A step with a result.
     *
     * @param result of any kind
     */
    record Done(Result result) implements Outcome {
    }

    /**
     * A step without a result.
     *
     * @param position the position of the step that failed, from 0; later steps carry it on
     * @param message one line for the user
     */
    record Failed(int position, String message) implements Outcome {
    }

    /**
     * Returns the image.
     *
     * @throws PixeronException with the reason, where there is none; names the step, counted from 1
     */
    default Image image() {
        Result result = required();
        if (result instanceof Image image) {
            return image;
        }
        throw PixeronException.of("The result is %s. Add the step %s to get an image.", result.kind(), (result instanceof Spectrum ? new FourierInverse() : new GrayStep()).name());
    }

    /**
     * Returns the result, of any kind.
     *
     * @throws PixeronException with the reason, where there is none; names the step, counted from 1
     */
    default Result required() {
        if (this instanceof Done done) {
            return done.result();
        }
        Failed failed = (Failed) this;
        throw PixeronException.of("Step %d: %s", failed.position() + 1, failed.message());
    }
}

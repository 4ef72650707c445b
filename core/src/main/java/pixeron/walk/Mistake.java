package pixeron.walk;

import java.util.List;
import java.util.Optional;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.step.Explained;
import pixeron.step.Operation;
import pixeron.step.Progress;

/** A mistake of the loop, not of the step: all values are calculated, in the wrong order or the wrong way round. It is shown on purpose. */
public sealed interface Mistake extends Explained permits InPlace, Forwards {

    /** Which mistake belongs to a step. */
    enum Kind {
        IN_PLACE("In place", "Show the mistake of writing into the image that is being read",
                "the result is written into the image that is being read, so later windows use values that were already changed."),
        FORWARDS("Forward mapping", "Show the mistake of mapping each input pixel to the result, instead of each result pixel to the input",
                "each input pixel is written to the nearest position of the result. Some positions are written several times; hatched positions are never written.");

        private final String title;
        private final String sentence;
        private final String consequence;

        Kind(String title, String sentence, String consequence) {
            this.title = title;
            this.sentence = sentence;
            this.consequence = consequence;
        }

        public String title() {
            return title;
        }

        /** Returns what is shown by it, as an invitation. */
        public String sentence() {
            return sentence;
        }

        /** Returns what happens then. */
        public String consequence() {
            return consequence;
        }

        /** Returns the mistake that can be made in the loops of a step; empty for a step that reads no pixel but its own. */
        public static Optional<Kind> of(Operation operation) {
            return operation.forward().isPresent() ? Optional.of(FORWARDS)
                    : operation.reading(operation.before()::value).map(reading -> IN_PLACE);
        }

        /**
         * Returns the mistake, made; empty where it cannot be made in that step.
         *
         * @param visits in which order the pixels are written, where it is not the loop that is wrong
         */
        public Optional<? extends Mistake> made(Operation operation, Visits visits, Progress progress) {
            return this == FORWARDS ? Forwards.of(operation, progress) : InPlace.of(operation, visits, progress);
        }
    }

    /** Returns which mistake it is. */
    Kind kind();

    /** Returns what is there when all is written. */
    Image image();

    /** Returns whether a pixel of the result is written at all. */
    boolean isWritten(Pixel pixel);

    /** Returns the heads of the loops. */
    List<String> heads(Visits visits);
}

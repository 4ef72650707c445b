package pixeron.byhand.slip;

import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Supplier;
import pixeron.PixeronException;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.number.Value;
import pixeron.step.Explained;
import pixeron.step.Step;

/** A named mistake, or a different convention. */
public interface Slip {

    /** @return the stable id that stands in written results */
    String id();

    /**
     * @param step the step
     * @param before its input
     * @return what a person with this slip would have written, in one or several ways; none where it cannot happen
     */
    List<Way> ways(Step step, Image before);

    /**
     * @param words behind "are what you get when": {@code the fraction is dropped instead of rounded}
     * @param value what the person would have written for a pixel; throws a PixeronException where there is none
     * @param isUnrounded true when a fraction would have been written, so that a whole number written where the value
     *     has one cannot come from this slip
     * @param done what was worked out instead, whose working can be shown beside the right one; empty where it is no step
     * @param step the step that was done instead, in which a second slip can be made; empty where there is no line for it
     */
    record Way(String words, Function<Pixel, Value> value, boolean isUnrounded, Optional<Explained> done,
            Optional<Step> step) {

        /** @return the way in which the person wrote something else */
        public static Way of(String words, Function<Pixel, Value> value) {
            return new Way(words, value, false, Optional.empty(), Optional.empty());
        }

        /** @return the way in which the person did another step instead */
        public static Way of(String words, Step done, Image before) {
            return bound(words, done, before, false);
        }

        /** @return the way in which the person worked out something else */
        public static Way of(String words, Explained done) {
            return new Way(words, done::value, false, Optional.of(done), Optional.empty());
        }

        /** @return the way in which the person did another step instead, one that leaves fractions */
        public static Way unrounded(String words, Step done, Image before) {
            return bound(words, done, before, true);
        }

        private static Way bound(String words, Step done, Image before, boolean isUnrounded) {
            Explained bound = done.bind(before);
            return new Way(words, bound::value, isUnrounded, Optional.of(bound), Optional.of(done));
        }

        /** @return the way in which the person did another step instead; none where there is no such step */
        public static List<Way> tried(String words, Supplier<Step> done, Image before) {
            try {
                return List.of(of(words, done.get(), before));
            } catch (PixeronException noSuchStep) {
                return List.of();
            }
        }

        /**
         * @param second a slip in the step that this one makes of the right one
         * @return both at once
         */
        public Way and(Way second) {
            return new Way(words + " and " + second.words, second.value, isUnrounded || second.isUnrounded, second.done,
                    second.step);
        }
    }
}

package pixeron.byhand.slip;

import java.util.List;
import java.util.function.Function;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.number.Value;
import pixeron.step.Step;

/** A named mistake, or a different convention. */
interface Slip {

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
     * @param value what the person would have written for a pixel
     * @param isUnrounded true when a fraction would have been written, so that a whole number written where the value
     *     has one cannot come from this slip
     */
    record Way(String words, Function<Pixel, Value> value, boolean isUnrounded) {

        /** @return the way in which the person did another step instead */
        static Way of(String words, Step done, Image before) {
            return new Way(words, done.bind(before)::value, false);
        }

        /** @return the way in which the person did another step instead, one that leaves fractions */
        static Way unrounded(String words, Step done, Image before) {
            return new Way(words, done.bind(before)::value, true);
        }
    }
}

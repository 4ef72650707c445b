package pixeron.step;

import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Supplier;
import pixeron.PixeronException;
import pixeron.image.Pixel;
import pixeron.number.Value;

/**
 * One way to make a slip.
 *
 * @param words behind "are what you get when": {@code the fraction is dropped instead of rounded}
 * @param value what the user would have written for a pixel; throws a PixeronException where there is none
 * @param isUnrounded true when a fraction would have been written, so that a whole number written where the value has one
 *     cannot come from this slip
 * @param done what was calculated instead, whose working can be shown beside the right one; empty where it is no step
 * @param step the step that was done instead, in which a second slip can be made; empty where there is no line for it
 */
public record Way(String words, Function<Pixel, Value> value, boolean isUnrounded, Optional<Explained> done,
        Optional<Step> step) {

    /** Returns the way in which the user wrote something else. */
    public static Way of(String words, Function<Pixel, Value> value) {
        return new Way(words, value, false, Optional.empty(), Optional.empty());
    }

    /** Returns the way in which the user calculated something else. */
    public static Way of(String words, Explained done) {
        return new Way(words, done::value, false, Optional.of(done), Optional.empty());
    }

    /** Returns the way in which the user did another step instead, on what the right one is applied to. */
    public static Way of(String words, Step done, Operation right) {
        return bound(words, done, right, false);
    }

    /** Returns the way in which the user did another step instead, one that leaves fractions. */
    public static Way unrounded(String words, Step done, Operation right) {
        return bound(words, done, right, true);
    }

    private static Way bound(String words, Step done, Operation right, boolean isUnrounded) {
        Explained bound = done.bind(right.inputs());
        return new Way(words, bound::value, isUnrounded, Optional.of(bound), Optional.of(done));
    }

    /** Returns the way in which the user did another step instead; none where there is no such step. */
    public static List<Way> tried(String words, Supplier<Step> done, Operation right) {
        try {
            return List.of(of(words, done.get(), right));
        } catch (PixeronException noSuchStep) {
            return List.of();
        }
    }

    /**
     * Returns both at once.
     *
     * @param second a slip in the step that this one makes of the right one
     */
    public Way and(Way second) {
        return new Way(words + " and " + second.words, second.value, isUnrounded || second.isUnrounded, second.done,
                second.step);
    }
}

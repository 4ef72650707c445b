package pixeron.step;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import pixeron.image.Image;
import pixeron.image.ImageFacts;
import pixeron.image.Result;
import pixeron.number.Decimals;
import pixeron.number.Rational;
import pixeron.number.Value;
import pixeron.step.key.Amount;
import pixeron.step.key.Parameter;

/**
 * Tells which limits of a step no level can reach: a threshold of 907 where the largest level is 7 is allowed, but is rarely meant.
 *
 * <p>In a level image a level can be anything from 0 to M. In an image of other values those that occur count.
 */
public final class Reach {

    private Reach() {
    }

    /**
     * Returns a note about one key of a step.
     *
     * @param step the step
     * @param key one of its keys
     * @param before what the step is applied to
     * @return one sentence, or empty where the key is no limit or every number of it can be reached
     */
    public static Optional<String> note(Step step, Parameter<?> key, Result before) {
        List<Rational> limits = step.type().limits().contains(key) ? step.arguments().all(key).stream().flatMap(Reach::numbers).toList() : List.of();
        if (limits.isEmpty()) {
            return Optional.empty();
        }
        List<Image> images = before.faces().stream().map(Result.Face::image).toList();
        boolean isLevels = images.stream().allMatch(Image::isLevelImage);
        Value largest = isLevels ? Rational.of(before.frame().maximumLevel())
                : images.stream().map(image -> ImageFacts.of(image).largest()).max(Value::compareValue).orElseThrow();
        Value smallest = isLevels ? Rational.ZERO
                : images.stream().map(image -> ImageFacts.of(image).smallest()).min(Value::compareValue).orElseThrow();
        String what = isLevels ? "level" : "value";
        if (limits.stream().anyMatch(limit -> limit.compareValue(largest) > 0)) {
            return Optional.of("No " + what + " is above " + Decimals.working(largest) + ".");
        } else if (limits.stream().anyMatch(limit -> limit.compareValue(smallest) < 0)) {
            return Optional.of("No " + what + " is below " + Decimals.working(smallest) + ".");
        }
        return Optional.empty();
    }

    /** Words such as M or auto represent numbers that are always within reach. */
    private static Stream<Rational> numbers(Object value) {
        if (value instanceof Amount amount) {
            return Stream.ofNullable(amount.number());
        }
        return value instanceof List<?> list ? list.stream().filter(Rational.class::isInstance).map(Rational.class::cast) : Stream.empty();
    }
}

package pixeron.step.neighborhood;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import pixeron.step.Operation;
import pixeron.step.Slip;
import pixeron.step.Step;
import pixeron.step.Way;
import pixeron.step.key.Amount;
import pixeron.step.key.Arguments;

/** Something else taken for what is outside the image: the same in windows and where values come in from outside. */
public final class BorderSlips {

    /** Constants up to this are tried one by one. */
    private static final int MOST_CONSTANTS = 255;

    /** Another border in a step. */
    public interface Change {

        /** @param outside what is outside for a constant; null for other borders */
        Step to(Step step, Border border, Amount outside);
    }

    private BorderSlips() {
    }

    /**
     * Returns a slip for each of them.
     *
     * @param some the borders that the step can have; the constant last: it has the most ways
     * @param given the border of a step with these arguments
     * @param change makes the step with another one
     */
    public static List<Slip> of(List<Border> some, Function<Arguments, Border> given, Change change) {
        return some.stream().map(border -> Slip.of("border-" + border.slipWord(), right -> ways(border, given, change, right))).toList();
    }

    private static List<Way> ways(Border border, Function<Arguments, Border> found, Change change, Operation right) {
        Border given = found.apply(right.step().arguments());
        if (given == Border.CROP || given == border && border != Border.CONSTANT) {
            return List.of();
        } else if (border != Border.CONSTANT) {
            return Way.tried(words(border), () -> change.to(right.step(), border, null), right);
        }
        List<Way> ways = new ArrayList<>();
        // 0 is border-zero.
        for (int outside = 1; outside <= Math.min(MOST_CONSTANTS, right.before().maximumLevel()); outside++) {
            Amount value = Amount.of(outside);
            ways.addAll(Way.tried("every value outside is " + outside, () -> change.to(right.step(), border, value), right));
        }
        return ways;
    }

    private static String words(Border border) {
        return switch (border) {
            case ZERO -> "values outside are 0";
            case REPEAT -> "outside, the nearest edge pixel is replicated";
            case MIRROR_HALF -> "outside, the image is reflected with the edge repeated";
            case MIRROR_WHOLE -> "outside, the image is reflected without repeating the edge";
            case WRAP -> "outside, the image continues periodically";
            case KEEP -> "pixels whose window crosses the edge keep their value";
            default -> "only cells inside the image count";
        };
    }
}

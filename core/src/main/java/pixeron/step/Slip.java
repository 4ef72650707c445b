package pixeron.step;

import java.util.List;
import java.util.function.Function;

/**
 * A named mistake, or a different convention: another way to reach a value.
 *
 * <p>Those that any step can have are in {@code pixeron.byhand.slip}; a step names those of its own kind itself, in
 * {@link StepType#slips}.
 */
public interface Slip {

    /** @return the stable id that stands in written results */
    String id();

    /**
     * @param right the step, bound to its input
     * @return what a person with this slip would have written, in one or several ways; none where it cannot happen
     */
    List<Way> ways(Operation right);

    /** @return whether it can only change one cell of the sheet, so that one differing cell is enough to claim it */
    default boolean isOfOneCell(Operation right) {
        return false;
    }

    /** @return a slip with the ways that a function finds */
    static Slip of(String id, Function<Operation, List<Way>> ways) {
        return new Slip() {
            @Override
            public String id() {
                return id;
            }

            @Override
            public List<Way> ways(Operation right) {
                return ways.apply(right);
            }
        };
    }

    /** @return the slip of doing another step instead; a step that is not possible, or the same, is no way */
    static Slip of(String id, String words, Function<Step, Step> other) {
        return of(id, right -> Way.tried(words, () -> other.apply(right.step()), right));
    }
}

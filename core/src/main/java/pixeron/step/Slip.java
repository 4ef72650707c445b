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

    /** Returns the stable id that is in written results. */
    String id();

    /**
     * Returns what a user with this slip would have written, in one or several ways; none where it cannot happen.
     *
     * @param right the step, bound to its input
     */
    List<Way> ways(Operation right);

    /** Returns whether it can only change one cell of the sheet, so that one differing cell is enough to claim it. */
    default boolean isOfOneCell(Operation right) {
        return false;
    }

    /** Returns a slip with the ways that a function finds. */
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

    /** Returns the slip of doing another step instead; a step that is not possible, or the same, is no way. */
    static Slip of(String id, String words, Function<Step, Step> other) {
        return of(id, right -> Way.tried(words, () -> other.apply(right.step()), right));
    }
}

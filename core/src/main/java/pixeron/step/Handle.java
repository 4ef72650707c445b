package pixeron.step;

import java.util.Optional;
import pixeron.number.Rational;
import pixeron.number.Value;
import pixeron.step.key.Amount;
import pixeron.step.key.NumberParameter;

/**
 * A part of a step that can be taken hold of on its curve, input level across and result up.
 *
 * @param name what it is: a key, or a key with the place of a point in its list
 * @param level where it stands
 * @param result how high it stands; empty for a line from bottom to top, which is moved across only
 * @param drag what the step becomes when it is moved
 */
public record Handle(String name, Rational level, Optional<Value> result, Drag drag) {

    /** Moving a handle. */
    public interface Drag {

        /**
         * Returns the step with its keys changed so that the handle is there, as far as they allow it.
         *
         * @param level where it is moved to
         * @param result how high; without meaning for a line
         * @throws pixeron.PixeronException if no step has it there, such as a point behind the next one
         */
        Step to(Rational level, Rational result);
    }

    /** Returns a line that is at a key's level. */
    public static Handle line(Step step, NumberParameter key, Rational at) {
        return new Handle(key.key(), at, Optional.empty(), (level, result) -> step.with(key, new Amount(level)));
    }

    /** Returns a point on the curve. */
    public static Handle point(String name, Rational level, Value result, Drag drag) {
        return new Handle(name, level, Optional.of(result), drag);
    }
}

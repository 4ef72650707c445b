package pixeron.byhand;

import java.util.Optional;
import pixeron.image.Pixel;
import pixeron.number.Decimals;
import pixeron.number.Value;

/**
 * What is said of one filled cell.
 *
 * @param pixel its place
 * @param byHand what was written
 * @param value the step's result there
 * @param state how the two compare
 */
public record CellCheck(Pixel pixel, HandValue byHand, Value value, State state) {

    /** How a value by hand compares with the result. */
    public enum State {
        AGREES("agrees"),
        DIFFERS("differs"),
        /** Right before rounding and overflow. */
        NOT_ROUNDED("not-rounded"),
        /** Neither a number nor an expression. */
        NOT_UNDERSTOOD("not-understood");

        private final String word;

        State(String word) {
            this.word = word;
        }

        /** @return the word in written results */
        public String word() {
            return word;
        }
    }

    /** @return value by hand − result; empty when it was not understood */
    public Optional<Value> difference() {
        return byHand.value().map(written -> written.minus(value));
    }

    /** @return how far off it is, such as 5 too large; empty when it was not understood or is right */
    public String distance() {
        return difference().filter(off -> off.signum() != 0).map(off -> Decimals.approximate(off.absolute())
                + (off.signum() > 0 ? " too large" : " too small")).orElse("");
    }

    /** @return true for a value that was understood and does not agree */
    public boolean isDiffering() {
        return state == State.DIFFERS || state == State.NOT_ROUNDED;
    }
}

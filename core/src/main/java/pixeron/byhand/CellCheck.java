package pixeron.byhand;

import java.util.Optional;
import pixeron.image.Pixel;
import pixeron.number.Decimals;
import pixeron.number.Value;

/**
 * The findings about one filled cell.
 *
 * @param pixel its place
 * @param byHand what was written
 * @param value the step's result there
 * @param state how the two compare
 */
public record CellCheck(Pixel pixel, HandValue byHand, Value value, Verdict state) {

    /** Returns value by hand − result; empty when it was not understood. */
    public Optional<Value> difference() {
        return byHand.value().map(written -> written.minus(value));
    }

    /** Returns how far off it is, such as 5 too large; empty when it was not understood or is right. */
    public String distance() {
        return difference().filter(off -> off.signum() != 0).map(off -> Decimals.approximate(off.absolute())
                + (off.signum() > 0 ? " too large" : " too small")).orElse("");
    }

    /** Returns true for a value that was understood and does not agree. */
    public boolean isDiffering() {
        return state == Verdict.DIFFERS || state == Verdict.NOT_ROUNDED;
    }
}

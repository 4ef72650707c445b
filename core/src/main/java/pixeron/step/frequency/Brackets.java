package pixeron.step.frequency;

import pixeron.number.Decimals;
import pixeron.number.Value;

/** Numbers in products and behind signs. */
final class Brackets {

    private Brackets() {
    }

    /** @return the number, with brackets where it is negative or a fraction */
    static String around(Value value) {
        return value.signum() < 0 || Decimals.isShownAsFraction(value) ? "(" + Decimals.legible(value) + ")" : Decimals.legible(value);
    }
}

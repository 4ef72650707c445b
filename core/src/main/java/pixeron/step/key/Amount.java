package pixeron.step.key;

import pixeron.number.Decimals;
import pixeron.number.Rational;

/**
 * A number in a step line, or a word that represents one: M for the maximum level of the image before, auto for a number
 * that the step calculates.
 *
 * @param number the number, or null for a word
 * @param word the word, or null for a number
 */
public record Amount(Rational number, String word) {

    /** The maximum level, whatever it is. */
    public static final Amount MAXIMUM = new Amount(null, "M");
    /** A sample stays as it is. */
    public static final Amount KEEP = new Amount(null, "keep");
    /** What the step calculates itself. */
    public static final Amount AUTO = new Amount(null, "auto");

    public Amount(Rational number) {
        this(number, null);
    }

    public static Amount of(long number) {
        return new Amount(Rational.of(number));
    }

    public boolean isAuto() {
        return equals(AUTO);
    }

    /** Returns true when the line alone says the number, or the image's maximum level does. */
    public boolean isResolvable() {
        return number != null || equals(MAXIMUM);
    }

    /**
     * Returns the number, with M put in.
     *
     * @throws IllegalStateException if this is auto: only its step knows the number
     */
    public Rational resolve(int maximumLevel) {
        if (isAuto() || equals(KEEP)) {
            throw new IllegalStateException("the step itself knows what " + word + " is");
        }
        return number == null ? Rational.of(maximumLevel) : number;
    }

    @Override
    public String toString() {
        return number == null ? word : Decimals.print(number);
    }
}

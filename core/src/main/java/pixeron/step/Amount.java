package pixeron.step;

import pixeron.number.Decimals;
import pixeron.number.Rational;

/**
 * A number in a step line, or the word M that stands for the maximum level of the image before.
 *
 * @param number the number, or null for M
 */
public record Amount(Rational number) {

    /** The maximum level, whatever it is. */
    public static final Amount MAXIMUM = new Amount(null);

    public static Amount of(long number) {
        return new Amount(Rational.of(number));
    }

    /** @return the number, with M put in */
    public Rational resolve(int maximumLevel) {
        return number == null ? Rational.of(maximumLevel) : number;
    }

    @Override
    public String toString() {
        return number == null ? "M" : Decimals.print(number);
    }
}

package pixeron.step.plain;

import java.math.BigInteger;
import java.util.List;
import org.apache.commons.numbers.fraction.BigFraction;
import pixeron.number.Rational;
import pixeron.number.Value;

/** Whole parts, rounding and overflow of fractions, by a few lines of their own. */
final class Numbers {

    static final BigFraction ZERO = BigFraction.ZERO;
    static final BigFraction ONE = BigFraction.ONE;

    private Numbers() {
    }

    static BigFraction whole(long number) {
        return BigFraction.of(number);
    }

    static BigFraction over(long above, long below) {
        return BigFraction.of(above, below);
    }

    static BigFraction floor(BigFraction value) {
        BigInteger[] parts = value.getNumerator().divideAndRemainder(value.getDenominator());
        boolean isBelow = parts[1].signum() * value.getDenominator().signum() < 0;
        return BigFraction.of(isBelow ? parts[0].subtract(BigInteger.ONE) : parts[0]);
    }

    static boolean isWhole(BigFraction value) {
        return floor(value).equals(value);
    }

    static BigFraction rounded(BigFraction value, String rounding) {
        BigFraction below = floor(value);
        BigFraction rest = value.subtract(below);
        int half = rest.compareTo(over(1, 2));
        boolean isOdd = below.getNumerator().testBit(0);
        return switch (rounding) {
            case "nearest" -> half > 0 || half == 0 && value.signum() > 0 ? below.add(1) : below;
            case "nearest-even" -> half > 0 || half == 0 && isOdd ? below.add(1) : below;
            case "truncate" -> value.signum() < 0 && rest.signum() > 0 ? below.add(1) : below;
            case "floor" -> below;
            case "ceiling" -> rest.signum() > 0 ? below.add(1) : below;
            default -> value;
        };
    }

    static BigFraction fitted(BigFraction value, String overflow, int maximum) {
        return switch (overflow) {
            case "clip" -> value.signum() < 0 ? ZERO : value.compareTo(whole(maximum)) > 0 ? whole(maximum) : value;
            case "wrap" -> value.subtract(floor(value.divide(maximum + 1)).multiply(maximum + 1));
            default -> value;
        };
    }

    static BigFraction ended(BigFraction value, String rounding, String overflow, int maximum) {
        return fitted(rounded(value, rounding), overflow, maximum);
    }

    /** Returns whether a value of the program is just this fraction. */
    static boolean same(Value value, BigFraction expected) {
        BigInteger sign = BigInteger.valueOf(expected.getDenominator().signum());
        return value instanceof Rational rational && rational.numerator().equals(expected.getNumerator().multiply(sign))
                && rational.denominator().equals(expected.getDenominator().abs());
    }

    /** Returns whether numerators over one common denominator fit in signed whole numbers of 64 bits. */
    static boolean haveCommonDenominator(List<BigFraction> values) {
        BigInteger common = values.stream().map(value -> value.getDenominator().abs()).reduce(BigInteger.ONE, (a, b) -> a.divide(a.gcd(b)).multiply(b));
        return common.bitLength() < Long.SIZE && values.stream().allMatch(value -> value.multiply(common).getNumerator().bitLength() < Long.SIZE);
    }

    /** Returns whether a double is as near as doubles in calculations are. */
    static boolean near(Value value, BigFraction expected, int maximum) {
        double right = expected.doubleValue();
        return Math.abs(value.asDouble() - right) <= 1e-12 * Math.max(maximum, Math.abs(right));
    }
}

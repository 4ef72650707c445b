package pixeron.number;

import java.math.BigDecimal;
import java.math.BigInteger;
import java.math.RoundingMode;
import java.util.Arrays;
import java.util.List;
import org.apache.commons.numbers.fraction.BigFraction;
import pixeron.PixeronException;

/**
 * An exact fraction, always in lowest terms with a positive denominator.
 *
 * <p>Numerator and denominator are two longs while they fit, else a {@link BigFraction}: nearly every number of a
 * hand calculation fits, and the long form is several times faster (docs/performance.md has the figure). Equal
 * numbers are equal
 * objects, because a fraction that fits is never kept wide.
 *
 * <p>Cost: one or two gcd of longs an operation while the numbers fit.
 */
public final class Rational implements Value, Comparable<Rational> {

    public static final Rational ZERO = new Rational(0, 1, null);
    public static final Rational ONE = new Rational(1, 1, null);
    public static final Rational HALF = new Rational(1, 2, null);

    /** Largest size of a power's numerator or denominator; a hand calculation never comes near it. */
    private static final int MAXIMUM_POWER_BITS = 4096;

    /** Levels of a byte are made so often that sharing them keeps large real-valued images small. */
    private static final Rational[] BYTES = new Rational[256];

    static {
        Arrays.setAll(BYTES, n -> new Rational(n, 1, null));
    }

    private final long numerator;
    private final long denominator;
    /** The number when it does not fit in two longs; then the two fields above mean nothing. */
    private final BigFraction wide;

    private Rational(long numerator, long denominator, BigFraction wide) {
        this.numerator = numerator;
        this.denominator = denominator;
        this.wide = wide;
    }

    public static Rational of(long whole) {
        if (whole >= 0 && whole < BYTES.length) {
            return BYTES[(int) whole];
        }
        return whole == Long.MIN_VALUE ? of(BigInteger.valueOf(whole), BigInteger.ONE) : new Rational(whole, 1, null);
    }

    /**
     * Returns numerator ÷ denominator.
     *
     * @param numerator any
     * @param denominator not 0
     * @throws PixeronException if denominator = 0
     */
    public static Rational of(long numerator, long denominator) {
        if (denominator == 0) {
            throw divisionByZero();
        }
        if (numerator == Long.MIN_VALUE || denominator == Long.MIN_VALUE) {
            return of(BigInteger.valueOf(numerator), BigInteger.valueOf(denominator));
        }
        long divisor = gcd(Math.abs(numerator), Math.abs(denominator));
        long sign = denominator < 0 ? -1 : 1;
        return new Rational(sign * (numerator / divisor), Math.abs(denominator) / divisor, null);
    }

    /**
     * Returns numerator ÷ denominator.
     *
     * @param numerator any
     * @param denominator not 0
     * @throws PixeronException if denominator = 0
     */
    public static Rational of(BigInteger numerator, BigInteger denominator) {
        if (denominator.signum() == 0) {
            throw divisionByZero();
        }
        return narrowed(BigFraction.of(numerator, denominator));
    }

    /** Returns the decimal, exactly. */
    public static Rational of(BigDecimal decimal) {
        return decimal.scale() <= 0
                ? of(decimal.toBigIntegerExact(), BigInteger.ONE)
                : of(decimal.unscaledValue(), BigInteger.TEN.pow(decimal.scale()));
    }

    static PixeronException divisionByZero() {
        return PixeronException.of("Division by zero has no value.");
    }

    private static Rational narrowed(BigFraction fraction) {
        BigInteger n = fraction.getNumerator();
        BigInteger d = fraction.getDenominator();
        boolean isFlipped = d.signum() < 0;
        if (n.bitLength() < Long.SIZE && d.bitLength() < Long.SIZE
                && n.longValue() != Long.MIN_VALUE && d.longValue() != Long.MIN_VALUE) {
            return new Rational(isFlipped ? -n.longValue() : n.longValue(), Math.abs(d.longValue()), null);
        }
        return new Rational(0, 0, isFlipped ? BigFraction.of(n.negate(), d.negate()) : fraction);
    }

    /** Returns the greatest number that divides both, which are not negative; the other where one is 0. */
    public static long gcd(long a, long b) {
        while (b != 0) {
            long rest = a % b;
            a = b;
            b = rest;
        }
        return a;
    }

    private BigFraction widened() {
        return wide != null ? wide : BigFraction.of(numerator, denominator);
    }

    public BigInteger numerator() {
        return wide != null ? wide.getNumerator() : BigInteger.valueOf(numerator);
    }

    /** Returns the denominator in lowest terms, always ≥ 1. */
    public BigInteger denominator() {
        return wide != null ? wide.getDenominator() : BigInteger.valueOf(denominator);
    }

    /** Returns true when numerator and denominator both fit in a long. */
    public boolean isNarrow() {
        return wide == null;
    }

    public Rational plus(Rational other) {
        if (wide == null && other.wide == null) {
            try {
                return denominator == other.denominator
                        ? of(Math.addExact(numerator, other.numerator), denominator)
                        : of(Math.addExact(Math.multiplyExact(numerator, other.denominator),
                                Math.multiplyExact(other.numerator, denominator)),
                                Math.multiplyExact(denominator, other.denominator));
            } catch (ArithmeticException tooWide) {
                // falls through to the wide form, which always fits
            }
        }
        return narrowed(widened().add(other.widened()));
    }

    /**
     * Returns their exact sum. With many different denominators all are brought to a common one first: reduced after every addition, a sum of 225
     * fractions would take a hundred times as long.
     *
     * @param all any number of them
     */
    public static Rational sum(List<Rational> all) {
        Rational sum = ZERO;
        for (Rational next : all) {
            sum = sum.plus(next);
            if (!sum.isNarrow()) {
                return commonSum(all);
            }
        }
        return sum;
    }

    private static Rational commonSum(List<Rational> all) {
        BigInteger common = BigInteger.ONE;
        for (Rational next : all) {
            BigInteger denominator = next.denominator();
            common = common.multiply(denominator.divide(common.gcd(denominator)));
        }
        BigInteger sum = BigInteger.ZERO;
        for (Rational next : all) {
            sum = sum.add(next.numerator().multiply(common.divide(next.denominator())));
        }
        return of(sum, common);
    }

    public Rational minus(Rational other) {
        return plus(other.negated());
    }

    public Rational times(Rational other) {
        if (wide == null && other.wide == null) {
            // Cancelling crosswise first leaves the product in lowest terms, and as small as it can be.
            long a = gcd(Math.abs(numerator), other.denominator);
            long b = gcd(Math.abs(other.numerator), denominator);
            try {
                return new Rational(Math.multiplyExact(numerator / a, other.numerator / b),
                        Math.multiplyExact(denominator / b, other.denominator / a), null).checked();
            } catch (ArithmeticException tooWide) {
                // falls through to the wide form, which always fits
            }
        }
        return narrowed(widened().multiply(other.widened()));
    }

    /** A product may be exactly −2⁶³, which has no negative of its own in a long: keep it wide. */
    private Rational checked() {
        return numerator == Long.MIN_VALUE ? of(BigInteger.valueOf(numerator), BigInteger.valueOf(denominator)) : this;
    }

    /**
     * Returns this ÷ other.
     *
     * @param other not 0
     * @throws PixeronException if other = 0
     */
    public Rational dividedBy(Rational other) {
        return times(other.reciprocal());
    }

    /**
     * Returns 1 ÷ this.
     *
     * @throws PixeronException if this = 0
     */
    public Rational reciprocal() {
        if (signum() == 0) {
            throw divisionByZero();
        }
        return wide == null ? of(denominator, numerator) : narrowed(wide.reciprocal());
    }

    /**
     * Returns this to the power of exponent, exactly; 0⁰ = 1.
     *
     * @param exponent any whole number; a negative one needs this ≠ 0
     * @throws PixeronException if this = 0 and exponent &lt; 0, or if the result is longer than 4096 bits
     */
    public Rational power(int exponent) {
        long bits = Math.max(numerator().bitLength(), denominator().bitLength());
        if (bits > 1 && bits * Math.abs((long) exponent) > MAXIMUM_POWER_BITS) {
            throw PixeronException.of("The power %s^%d is too large.", Decimals.print(this), exponent);
        }
        if (exponent < 0) {
            return reciprocal().power(-exponent);
        }
        return of(numerator().pow(exponent), denominator().pow(exponent));
    }

    @Override
    public Rational negated() {
        return wide == null ? new Rational(-numerator, denominator, null) : narrowed(wide.negate());
    }

    @Override
    public Rational absolute() {
        return signum() < 0 ? negated() : this;
    }

    @Override
    public int signum() {
        return wide == null ? Long.signum(numerator) : wide.signum();
    }

    @Override
    public boolean isWhole() {
        return wide == null ? denominator == 1 : wide.getDenominator().equals(BigInteger.ONE);
    }

    /** Returns true when this is a whole number that fits in an int. */
    public boolean isInt() {
        return wide == null && denominator == 1 && numerator == (int) numerator;
    }

    /**
     * Returns this as an int.
     *
     * @throws ArithmeticException if {@link #isInt} is false
     */
    public int toInt() {
        if (!isInt()) {
            throw new ArithmeticException("not an int: " + this);
        }
        return (int) numerator;
    }

    /** Returns the largest whole number ≤ this. */
    public Rational floor() {
        return wide == null ? of(Math.floorDiv(numerator, denominator)) : whole(RoundingMode.FLOOR);
    }

    /** Returns this as a whole number, by the mode. */
    Rational whole(RoundingMode mode) {
        BigDecimal quotient = new BigDecimal(numerator()).divide(new BigDecimal(denominator()), 0, mode);
        return of(quotient.toBigIntegerExact(), BigInteger.ONE);
    }

    /**
     * Returns this rounded to so many decimals, ties away from zero.
     *
     * @param digits digits behind the point, ≥ 0
     */
    public Rational toDecimals(int digits) {
        BigInteger scale = BigInteger.TEN.pow(digits);
        Rational scaled = times(of(scale, BigInteger.ONE));
        return scaled.whole(RoundingMode.HALF_UP).dividedBy(of(scale, BigInteger.ONE));
    }

    @Override
    public double asDouble() {
        // Two longs below 2^53 are exact doubles, and one division of exact doubles is correctly rounded.
        if (wide == null && Math.abs(numerator) < 1L << 53 && denominator < 1L << 53) {
            return (double) numerator / denominator;
        }
        return widened().doubleValue();
    }

    @Override
    public int compareTo(Rational other) {
        if (wide == null && other.wide == null) {
            if (denominator == other.denominator) {
                return Long.compare(numerator, other.numerator);
            }
            long high = Math.multiplyHigh(numerator, other.denominator);
            long otherHigh = Math.multiplyHigh(other.numerator, denominator);
            return high != otherHigh ? Long.compare(high, otherHigh)
                    : Long.compareUnsigned(numerator * other.denominator, other.numerator * denominator);
        }
        return widened().compareTo(other.widened());
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof Rational r && numerator == r.numerator && denominator == r.denominator
                && (wide == null ? r.wide == null : wide.equals(r.wide));
    }

    @Override
    public int hashCode() {
        return wide == null ? Long.hashCode(numerator) * 31 + Long.hashCode(denominator) : wide.hashCode();
    }

    /** Returns the fraction as it reads in a table of exact values: {@code 3} or {@code −3485/23} with a plain minus. */
    @Override
    public String toString() {
        return isWhole() ? numerator().toString() : numerator() + "/" + denominator();
    }
}

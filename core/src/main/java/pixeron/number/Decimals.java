package pixeron.number;

import java.math.BigDecimal;
import java.math.BigInteger;
import java.math.MathContext;
import java.util.Arrays;
import java.util.regex.Pattern;
import pixeron.PixeronException;

/** Numbers as text: the number grammar of step lines and tables, and the ways in which a value is written out. */
public final class Decimals {

    /** The sign of typeset numbers; a step line may have it too. */
    public static final char MINUS = '\u2212';

    private static final String DIGITS = "(?:[0-9]+(?:\\.[0-9]*)?|\\.[0-9]+)";
    private static final Pattern NUMBER = Pattern.compile("[+-]?" + DIGITS + "(?:/" + DIGITS + ")?");
    /** The largest and the smallest doubles have more than three hundred digits. */
    public static final int MAXIMUM_LENGTH = 400;
    /** Decimals shown in a working before a value is written as a fraction with an approximation. */
    private static final int SHOWN_DECIMALS = 6;
    private static final int SIGNIFICANT_DIGITS = 7;
    private static final int APPROXIMATE_DECIMALS = 4;

    private Decimals() {
    }

    /**
     * Reads {@code [+ or −]digits[.digits][/digits[.digits]]}, also {@code .5} and {@code 5.}; no exponents.
     *
     * @param text the number alone, without blanks around it
     * @return its exact value
     * @throws PixeronException if text is not of that form or is longer than 400 characters, or divides by 0
     */
    public static Rational parse(String text) {
        String plain = text.replace(MINUS, '-');
        if (plain.length() > MAXIMUM_LENGTH || !NUMBER.matcher(plain).matches()) {
            throw PixeronException.of("“%s” is not a valid number. Use the form 12, -3.5 or 2/3.", shortened(text));
        }
        int slash = plain.indexOf('/');
        return slash < 0 ? decimal(plain)
                : decimal(plain.substring(0, slash)).dividedBy(decimal(plain.substring(slash + 1)));
    }

    /** Returns true when {@link #parse} would take the text. */
    public static boolean isNumber(String text) {
        return text.length() <= MAXIMUM_LENGTH && NUMBER.matcher(text.replace(MINUS, '-')).matches();
    }

    private static Rational decimal(String text) {
        return Rational.of(new BigDecimal(text));
    }

    /** Returns at most 40 characters of text, for an error message. */
    public static String shortened(String text) {
        String line = text.replaceAll("[\\p{Cntrl}]+", " ");
        return line.length() <= 40 ? line : line.substring(0, 37) + "...";
    }

    /** Returns the number for a step line: a decimal where it is finite, else a fraction in lowest terms. */
    public static String print(Rational number) {
        BigDecimal decimal = finite(number);
        return decimal != null ? decimal.toPlainString() : number.toString();
    }

    /** Returns the value for a result table: whole values without a point, others as {@link #shortest}. */
    public static String table(Value value) {
        return value.isWhole() && value instanceof Rational r ? r.toString() : shortest(value.asDouble());
    }

    /** Returns the value for an exact result table: a fraction where it is rational, else a decimal. */
    public static String exact(Value value) {
        return value instanceof Rational r ? r.toString() : shortest(value.asDouble());
    }

    /**
     * Returns the shortest plain decimal that reads back as the same double.
     *
     * @param number a finite double
     */
    public static String shortest(double number) {
        if (number == 0) {
            return "0";
        }
        BigDecimal best = new BigDecimal(Double.toString(number)).stripTrailingZeros();
        // Before version 19 the JDK's own text is now and then one digit too long.
        while (best.precision() > 1) {
            BigDecimal shorter = new BigDecimal(number).round(new MathContext(best.precision() - 1))
                    .stripTrailingZeros();
            if (shorter.doubleValue() != number) {
                break;
            }
            best = shorter;
        }
        return best.toPlainString();
    }

    /**
     * The value as it is in a working, with the typographic minus: up to six decimals exactly ({@code 153.75}),
     * longer or
     * endless ones as a fraction ({@code 487/9}), doubles as a decimal.
     */
    public static String working(Value value) {
        if (value instanceof Rational r) {
            BigDecimal decimal = finite(r);
            String text = decimal != null && decimal.scale() <= SHOWN_DECIMALS ? decimal.toPlainString() : r.toString();
            return text.replace('-', MINUS);
        }
        return shortest(value.asDouble()).replace('-', MINUS);
    }

    /** Returns the whole number as it is in a working. */
    public static String working(long number) {
        return String.valueOf(number).replace('-', MINUS);
    }

    /** Returns ≈ and the number as a decimal where it is written as a fraction; else nothing. */
    public static String nearly(Value value) {
        return isShownAsFraction(value) ? " ≈ " + approximate(value) : "";
    }

    /** Returns true when {@link #working} writes the value as a fraction. */
    public static boolean isShownAsFraction(Value value) {
        return value instanceof Rational && working(value).indexOf('/') >= 0;
    }

    /** Returns the value rounded to seven digits that count, for people, with the typographic minus: {@code 0.00001388143}. */
    public static String significant(Value value) {
        BigDecimal rounded = new BigDecimal(value.asDouble()).round(new MathContext(SIGNIFICANT_DIGITS, java.math.RoundingMode.HALF_UP));
        return (rounded.signum() == 0 ? BigDecimal.ZERO : rounded.stripTrailingZeros()).toPlainString().replace('-', MINUS);
    }

    /** Returns an exact value as {@link #working}, a double as {@link #significant}: for lines with many numbers. */
    public static String legible(Value value) {
        return value.isExact() ? working(value) : significant(value);
    }

    /**
     * Returns the value as {@link #legible} writes it, with = before it where that is all of it and of those, else with ≈.
     *
     * @param value what a line arrives at
     * @param from the numbers that are in the line
     */
    public static String arriving(Value value, Value... from) {
        return equality(value, from) + legible(value);
    }

    /** Returns = where {@link #legible} writes all of these numbers whole, else ≈, with blanks around it. */
    public static String equality(Value value, Value... from) {
        return isWritten(value) && Arrays.stream(from).allMatch(Decimals::isWritten) ? " = " : " ≈ ";
    }

    private static boolean isWritten(Value value) {
        return legible(value).equals(working(value));
    }

    /** Returns the value rounded to four decimals, for people, with the typographic minus: {@code 54.1111}. */
    public static String approximate(Value value) {
        BigDecimal decimal = value instanceof Rational r
                ? new BigDecimal(r.numerator()).divide(new BigDecimal(r.denominator()), APPROXIMATE_DECIMALS,
                        java.math.RoundingMode.HALF_UP)
                : new BigDecimal(value.asDouble()).setScale(APPROXIMATE_DECIMALS, java.math.RoundingMode.HALF_UP);
        BigDecimal plain = decimal.signum() == 0 ? BigDecimal.ZERO : decimal.stripTrailingZeros();
        return plain.toPlainString().replace('-', MINUS);
    }

    /** Returns a short form for a cell of a number grid: whole as it is, else at most two decimals, {@code 153.75}. */
    public static String cell(Value value) {
        if (value.isWhole() && value instanceof Rational r) {
            return r.toString().replace('-', MINUS);
        }
        BigDecimal decimal = new BigDecimal(value.asDouble()).setScale(2, java.math.RoundingMode.HALF_UP);
        return decimal.toPlainString().replace('-', MINUS);
    }

    /** Returns the signed difference for a mark: {@code +1}, {@code −0.25}. */
    public static String signed(Value difference) {
        return (difference.signum() > 0 ? "+" : "") + approximate(difference);
    }

    /** Returns the number as a finite decimal without needless zeros, or null when it has endless decimals. */
    private static BigDecimal finite(Rational number) {
        BigInteger rest = number.denominator();
        for (BigInteger factor : new BigInteger[] {BigInteger.TWO, BigInteger.valueOf(5)}) {
            while (rest.mod(factor).signum() == 0) {
                rest = rest.divide(factor);
            }
        }
        if (!rest.equals(BigInteger.ONE)) {
            return null;
        }
        BigDecimal decimal = new BigDecimal(number.numerator()).divide(new BigDecimal(number.denominator()));
        return decimal.signum() == 0 ? BigDecimal.ZERO
                : decimal.scale() > 0 ? decimal.stripTrailingZeros() : decimal.setScale(0);
    }
}

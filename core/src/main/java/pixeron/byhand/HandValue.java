package pixeron.byhand;

import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import pixeron.PixeronException;
import pixeron.formula.Evaluator;
import pixeron.formula.Expression;
import pixeron.formula.Parser;
import pixeron.formula.Scope;
import pixeron.number.Decimals;
import pixeron.number.Rational;
import pixeron.number.Value;

/**
 * What a user wrote into one cell: a number with d decimals, or a fraction or an arithmetic expression, or something
 * that is neither.
 *
 * @param text as it was written, without blanks around it
 * @param value what it is worth; empty when it is not understood
 * @param decimals digits behind the point of a plain number; −1 for an expression
 * @param problem why it is not understood; empty when it is
 * @param nearness relative difference up to which it agrees; 0: by its decimals, or exactly
 */
public record HandValue(String text, Optional<Value> value, int decimals, String problem, double nearness) {

    private static final double NEAR = 1e-9;
    /** A number with so many digits is what a program prints of a double. */
    private static final int DIGITS_OF_PRINTED_DOUBLES = 15;
    /** A number with its own tolerance, as values of a binary file have one: 0.3333 ±0.1%. */
    private static final Pattern TOLERANT = Pattern.compile("(.+?)\\s*±\\s*(\\d{1,9}(?:\\.\\d{1,18})?)\\s*%");
    /** Nobody writes so many decimals by hand; a program that prints doubles does. */
    private static final int DIGITS_OF_DOUBLES = 12;
    private static final int EXPRESSION = -1;
    /** So many digits fit an int. */
    private static final int MOST_PLAIN = 9;

    /** Returns the text understood as far as it can be; never throws. */
    public static HandValue parse(String text) {
        String written = text.strip();
        if (isPlain(written)) {
            return new HandValue(written, Optional.of(Rational.of(Integer.parseInt(written))), 0, "", 0);
        } else if (written.length() <= Decimals.MAXIMUM_LENGTH && Grouping.isNumber(written)) {
            // A spreadsheet in many countries writes a comma where step lines have a point.
            String number = Grouping.plain(written);
            int point = number.indexOf('.');
            return new HandValue(written, Optional.of(Decimals.parse(number)),
                    point < 0 ? 0 : number.length() - point - 1, "", significantDigits(number) >= DIGITS_OF_PRINTED_DOUBLES ? NEAR : 0);
        }
        Matcher tolerant = TOLERANT.matcher(written);
        if (tolerant.matches() && Decimals.isNumber(tolerant.group(1))) {
            return new HandValue(written, Optional.of(Decimals.parse(tolerant.group(1))), EXPRESSION, "", Double.parseDouble(tolerant.group(2)) / 100);
        }
        try {
            return new HandValue(written, Optional.of(Evaluator.evaluate(expression(written), Scope.EMPTY)), EXPRESSION, "", 0);
        } catch (PixeronException notUnderstood) {
            return new HandValue(written, Optional.empty(), EXPRESSION, notUnderstood.getMessage(), 0);
        }
    }

    /** Returns the text without a tolerance of its own. */
    public String number() {
        Matcher tolerant = TOLERANT.matcher(text);
        return nearness > 0 && tolerant.matches() ? tolerant.group(1) : text;
    }

    private static int significantDigits(String number) {
        int digits = 0;
        for (int n = 0; n < number.length() && number.charAt(n) != '/'; n++) {
            char sign = number.charAt(n);
            digits += Character.isDigit(sign) && (digits > 0 || sign != '0') ? 1 : 0;
        }
        return digits;
    }

    /** Digits alone, as most cells are: these need no grammar. */
    private static boolean isPlain(String written) {
        return !written.isEmpty() && written.length() <= MOST_PLAIN && written.chars().allMatch(digit -> digit >= '0' && digit <= '9');
    }

    /** As people write: a colon divides, and without functions, whose numbers a comma would part, a comma between digits is a decimal one. */
    private static Expression expression(String written) {
        String divided = written.replace(':', '÷');
        return Parser.parse(divided.chars().anyMatch(Character::isLetter) ? divided : divided.replaceAll("(?<=\\d),(?=\\d)", "."), Set.of());
    }

    /**
     * Returns what was written, taken apart.
     *
     * @throws PixeronException if it is no expression
     */
    public Expression expression() {
        return expression(text);
    }

    /** Returns true when it was written with decimals or as an expression. */
    public boolean isDetailed() {
        return decimals != 0;
    }

    /**
     * A number with d decimals agrees with a result that rounds to it (nearest, ties away from zero) at d decimals; an
     * expression agrees when it equals an exact result, or a double to 10⁻⁹ relative. A number with 15 digits or more agrees to 10⁻⁹
     * relative, and one with a tolerance of its own to that.
     *
     * @param result a value
     * @return whether this agrees with it; false when it is not understood
     */
    public boolean agreesWith(Value result) {
        if (value.isEmpty()) {
            return false;
        }
        Value written = value.get();
        if (nearness > 0 && Math.abs(written.asDouble() - result.asDouble()) <= nearness * Math.max(Math.abs(written.asDouble()), Math.abs(result.asDouble()))) {
            return true;
        } else if (nearness > NEAR) {
            return false;
        } else if (decimals >= 0 && result instanceof Rational whole && whole.isWhole()) {
            // The usual case, and asked for very often while slips are looked for: nothing is to be rounded.
            return written.compareValue(whole) == 0;
        } else if (decimals >= 0) {
            if (Math.abs(written.asDouble() - result.asDouble()) > 1 + Math.ulp(result.asDouble())) {
                // Nothing rounds so far; slips ask this very often.
                return false;
            }
            // What a program prints has no more digits than a double: what reads back as the same double agrees as well.
            return written.compareValue(rounded(result, decimals)) == 0
                    || (!result.isExact() || decimals >= DIGITS_OF_DOUBLES) && written.asDouble() == result.asDouble();
        }
        return written instanceof Rational && result instanceof Rational ? written.equals(result)
                : Math.abs(written.asDouble() - result.asDouble())
                        <= NEAR * Math.max(Math.abs(written.asDouble()), Math.abs(result.asDouble()));
    }

    private static Rational rounded(Value value, int decimals) {
        Rational exact = value instanceof Rational r ? r : Rational.of(new java.math.BigDecimal(value.asDouble()));
        return exact.toDecimals(decimals);
    }
}

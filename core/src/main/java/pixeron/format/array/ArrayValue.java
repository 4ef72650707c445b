package pixeron.format.array;

import java.math.BigDecimal;
import java.math.BigInteger;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import pixeron.PixeronException;
import pixeron.number.Decimals;
import pixeron.number.Rational;

/** The values of an array as programs write them: exponents, other bases, truth values, suffixes. */
public final class ArrayValue {

    private static final int LARGEST_EXPONENT = 400;
    private static final int MOST_DIGITS = 400;
    private static final String DIGITS = "(?:\\d+\\.?\\d*|\\.\\d+)";
    private static final Pattern DECIMAL = Pattern.compile("([+-]?" + DIGITS + ")(?:[eE]([+-]?\\d{1,9}))?[fFdDlLuU]{0,3}");
    private static final Pattern FRACTION = Pattern.compile("[+-]?" + DIGITS + "/" + DIGITS);
    private static final Pattern OTHER_BASE = Pattern.compile("([+-]?)0(?:[xX]([0-9a-fA-F]{1,16})|[bB]([01]{1,64}))[lLuU]{0,3}");
    private static final Pattern COLOR = Pattern.compile("#([0-9a-fA-F]{6}(?:[0-9a-fA-F]{2})?)");
    private static final Pattern TRUTH = Pattern.compile("(?:\\w+\\.)*(true|false)_?", Pattern.CASE_INSENSITIVE);
    private static final Set<String> MISSING = Set.of("nan", "inf", "infinity", "none", "null", "na");
    private static final Set<String> LEFT_OUT = Set.of("..", "...", "…", "⋮");

    private ArrayValue() {
    }

    /** Returns whether the text is a value: a number, a truth value, a color, or a word for a missing one. */
    public static boolean isValue(String text) {
        String plain = plain(text);
        return DECIMAL.matcher(plain).matches() || FRACTION.matcher(plain).matches() || OTHER_BASE.matcher(plain).matches() || isColor(plain) || isTruth(plain) || isMissing(plain);
    }

    /** Returns whether it is a word for a value that is not there, such as nan. */
    public static boolean isMissing(String text) {
        return MISSING.contains(plain(text).replaceFirst("^[+-]?(?:[A-Za-z_]\\w*\\.)*", "").toLowerCase(Locale.ROOT));
    }

    /** Returns whether the program left values out here. */
    static boolean isLeftOut(String text) {
        return LEFT_OUT.contains(text);
    }

    /** Returns whether it is a color such as #FF8000. */
    public static boolean isColor(String text) {
        return COLOR.matcher(plain(text)).matches();
    }

    /** Returns whether it is true or false. */
    public static boolean isTruth(String text) {
        return TRUTH.matcher(plain(text)).matches();
    }

    /**
     * Returns a color as a packed number, 0xAARRGGBB: alpha is written last, and is 255 where it is left away.
     *
     * @param text any
     * @return empty if it is no color
     */
    public static Optional<Rational> packed(String text) {
        if (!isColor(text)) {
            return Optional.empty();
        }
        long digits = Long.parseLong(plain(text).substring(1), 16);
        return Optional.of(Rational.of(hasAlpha(text) ? digits >>> 8 | (digits & 0xFF) << 24 : 0xFF00_0000L | digits));
    }

    /** Returns whether it is a color with alpha, such as #FF8000C0. */
    public static boolean hasAlpha(String text) {
        return isColor(text) && plain(text).length() > "#RRGGBB".length();
    }

    /**
     * Returns the number.
     *
     * @param text a value that is not missing
     * @return empty where it is none, or has an exponent beyond ± 400
     * @throws PixeronException if it divides by 0
     */
    public static Optional<Rational> number(String text) {
        String plain = plain(text);
        Matcher decimal = DECIMAL.matcher(plain);
        Matcher other = OTHER_BASE.matcher(plain);
        if (plain.length() > MOST_DIGITS) {
            return Optional.empty();
        } else if (decimal.matches()) {
            return decimal(decimal.group(1), decimal.group(2));
        } else if (FRACTION.matcher(plain).matches()) {
            return Optional.of(Decimals.parse(plain));
        } else if (other.matches()) {
            BigInteger digits = other.group(2) != null ? new BigInteger(other.group(2), 16) : new BigInteger(other.group(3), 2);
            return Optional.of(Decimals.parse((other.group(1).equals("-") ? digits.negate() : digits).toString()));
        } else if (isTruth(plain)) {
            return Optional.of(plain.toLowerCase(Locale.ROOT).contains("true") ? Rational.ONE : Rational.ZERO);
        }
        return Optional.empty();
    }

    /**
     * Returns a value as a person would write it, with as many decimals as it has: they tell how exact it is.
     *
     * @param text a value, or anything else, which is returned as it is
     * @param factor a common factor of all values, as a number in text
     */
    public static String byHand(String text, Optional<String> factor) {
        String plain = plain(text);
        Matcher decimal = DECIMAL.matcher(plain);
        if (plain.length() <= MOST_DIGITS && decimal.matches() && (decimal.group(2) == null || Math.abs(Integer.parseInt(decimal.group(2))) <= LARGEST_EXPONENT)) {
            BigDecimal digits = new BigDecimal(decimal.group(1)).scaleByPowerOfTen(decimal.group(2) == null ? 0 : Integer.parseInt(decimal.group(2)));
            return factor.map(times -> digits.multiply(new BigDecimal(times).stripTrailingZeros())).orElse(digits).toPlainString();
        }
        return plain.startsWith("0x") || isColor(plain) ? plain : number(plain).map(found -> factor.flatMap(ArrayValue::number).map(found::times).orElse(found).toString()).orElse(text);
    }

    private static Optional<Rational> decimal(String digits, String exponent) {
        int power = exponent == null ? 0 : Integer.parseInt(exponent);
        if (Math.abs(power) > LARGEST_EXPONENT) {
            return Optional.empty();
        }
        return Optional.of(power == 0 ? Decimals.parse(digits) : Decimals.parse(new BigDecimal(digits).scaleByPowerOfTen(power).toPlainString()));
    }

    /** Without quotes, and with the plain minus sign. */
    private static String plain(String text) {
        boolean isQuoted = text.length() > 1 && (text.charAt(0) == '"' || text.charAt(0) == '\'') && text.charAt(text.length() - 1) == text.charAt(0);
        return (isQuoted ? text.substring(1, text.length() - 1).strip() : text).replace(Decimals.MINUS, '-');
    }
}

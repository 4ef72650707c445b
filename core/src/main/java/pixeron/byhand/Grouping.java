package pixeron.byhand;

import java.util.regex.Pattern;

/**
 * Commas and points in numbers as people write them: a decimal mark, or between groups of three digits.
 *
 * <p>Where both are in a number, the last is the decimal mark; one that is there several times parts groups. A single comma is
 * taken for a decimal mark; with exactly three digits behind it, it could part groups as well, and only the user knows.
 */
public final class Grouping {

    private static final Pattern SIMPLE = Pattern.compile("[+\\-\u2212]?(?:\\d+(?:[.,]\\d*)?|[.,]\\d+)");
    private static final Pattern POINT_LAST = Pattern.compile("[+\\-\u2212]?\\d{1,3}(?:,\\d{3})+\\.\\d*");
    private static final Pattern COMMA_LAST = Pattern.compile("[+\\-\u2212]?\\d{1,3}(?:\\.\\d{3})+,\\d*");
    private static final Pattern ONLY_GROUPS = Pattern.compile("[+\\-\u2212]?\\d{1,3}(?:(?:,\\d{3}){2,}|(?:\\.\\d{3}){2,})");
    private static final Pattern EITHER = Pattern.compile("[+\\-\u2212]?[1-9]\\d{0,2},\\d{3}");

    private Grouping() {
    }

    /** Returns whether the text is one number, with or without groups; an expression is none. */
    static boolean isNumber(String text) {
        return SIMPLE.matcher(text).matches() || POINT_LAST.matcher(text).matches() || COMMA_LAST.matcher(text).matches()
                || ONLY_GROUPS.matcher(text).matches();
    }

    /** Returns a {@linkplain #isNumber number} without groups and with a point as decimal mark. */
    static String plain(String number) {
        if (POINT_LAST.matcher(number).matches()) {
            return number.replace(",", "");
        } else if (COMMA_LAST.matcher(number).matches()) {
            return number.replace(".", "").replace(',', '.');
        }
        return ONLY_GROUPS.matcher(number).matches() ? number.replaceAll("[.,]", "") : number.replace(',', '.');
    }

    /** Returns whether a text is a number such as 1,234: one and 234 thousandths, or one thousand two hundred thirty-four. */
    public static boolean isEither(String text) {
        return EITHER.matcher(text.strip()).matches();
    }

    /** Returns an {@linkplain #isEither ambiguous} text as a number with groups is written without them. */
    public static String withoutGroups(String text) {
        return text.strip().replace(",", "");
    }
}

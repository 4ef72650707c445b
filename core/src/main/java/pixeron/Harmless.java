package pixeron;

import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** Text from outside, such as the name of a file or what is in a cell, so that it does nothing where it is shown or written. */
public final class Harmless {

    /** Longer messages are read by nobody. */
    public static final int LONGEST_LINE = 300;

    private static final int TAIL = 100;
    private static final String GAP = " … ";
    /** What a spreadsheet takes for the beginning of a formula, in either width. */
    private static final String FORMULA = "=+-@\uFF1D\uFF0B\uFF0D\uFF20";
    private static final Pattern NUMBER = Pattern.compile("[+-]?[0-9]+([.,/][0-9]+)?( ?%)?");

    private Harmless() {
    }

    /** Returns whether a sign moves the cursor, ends a line or turns the direction of writing around. */
    public static boolean isActing(char sign) {
        return Character.isISOControl(sign) || sign >= '\u2028' && sign <= '\u202E' && sign != '\u202F' || sign >= '\u2066' && sign <= '\u2069';
    }

    /** Returns one line without signs that do something on a screen. */
    public static String shown(String text) {
        if (text.chars().noneMatch(sign -> isActing((char) sign))) {
            return text;
        }
        StringBuilder shown = new StringBuilder(text.length());
        for (int n = 0; n < text.length(); n++) {
            boolean isActing = isActing(text.charAt(n));
            // Of several in a row there is one blank.
            if (!isActing || n == 0 || !isActing(text.charAt(n - 1))) {
                shown.append(isActing ? ' ' : text.charAt(n));
            }
        }
        return shown.toString();
    }

    /** Returns the same, at most {@value #LONGEST_LINE} characters: of a longer text its beginning and its end. */
    public static String line(String text) {
        String shown = shown(text);
        if (shown.length() <= LONGEST_LINE) {
            return shown;
        }
        // A sign of two chars is not taken apart.
        int head = LONGEST_LINE - TAIL - GAP.length();
        int tail = shown.length() - TAIL;
        return shown.substring(0, Character.isLowSurrogate(shown.charAt(head)) ? head - 1 : head) + GAP
                + shown.substring(Character.isLowSurrogate(shown.charAt(tail)) ? tail + 1 : tail);
    }

    /** Returns the text of a cell that a spreadsheet neither calculates nor follows; numbers stay numbers, and lines lines. */
    public static String cell(String text) {
        String shown = text.indexOf('\n') < 0 ? shown(text) : text.lines().map(Harmless::shown).collect(Collectors.joining("\n"));
        String first = shown.stripLeading();
        boolean isActing = !first.isEmpty() && FORMULA.indexOf(first.charAt(0)) >= 0 && !NUMBER.matcher(shown).matches();
        return isActing ? "'" + shown : shown;
    }
}

package pixeron.format.array;

import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import pixeron.PixeronException;

/**
 * Finds how an array is written as text, and reads it. The content decides, never the ending of a file.
 *
 * <p>Source: the notations are those of nested lists, array literals and printed arrays in common languages; docs/definitions/numbers-in.md.
 */
public final class ArrayText {

    private static final Pattern LATEX = Pattern.compile("(?m)\\\\begin\\{|\\\\frac\\b|\\\\\\\\\\s*$");
    private static final Pattern LABELS = Pattern.compile("(?m)^\\s*\\[\\d+,?]\\s+\\S");
    private static final Pattern AMPERSANDS = Pattern.compile("(?m)^[^\"]*\\d[^\"]*&[^\"]*$");

    /** A text without any of these is a plain table at most. */
    private static final String SIGNS = "[({|&\\\\";

    private ArrayText() {
    }

    private static boolean hasSigns(String text) {
        return text.chars().anyMatch(sign -> SIGNS.indexOf(sign) >= 0);
    }

    /**
     * Reads an array.
     *
     * @param text any text
     * @param arePlanes whether three levels of brackets that can be read as pixels and as planes are planes
     * @return empty for a plain table, or a text without any array
     * @throws PixeronException if it has a notation but no shape of an array; names the line, and says what would be right
     */
    public static Optional<ArrayCells> read(String text, boolean arePlanes) {
        return read(text, arePlanes, false, false);
    }

    /**
     * Reads values by hand: they can be expressions, to which round brackets belong, and can be left out.
     *
     * @param keepsLabels whether numbered edges between bars stay, for who knows which size fits
     * @return cells with an empty text where a value is left out; empty for a plain table, or a text without any array
     * @throws PixeronException as {@link #read}
     */
    public static Optional<ArrayCells> readByHand(String text, boolean keepsLabels) {
        return read(text, false, true, keepsLabels);
    }

    private static Optional<ArrayCells> read(String text, boolean arePlanes, boolean isByHand, boolean keepsLabels) {
        if (!hasSigns(text)) {
            return Optional.empty();
        }
        List<String> lines = SourceText.lines(text);
        String plain = String.join("\n", lines);
        Optional<ArrayCells> found;
        if (text.indexOf('\\') >= 0 && LATEX.matcher(withoutComments(text)).find()) {
            found = Rows.latex(withoutComments(text));
        } else if (LABELS.matcher(plain).find()) {
            found = Rows.columns(lines);
        } else {
            found = Stream.of("[", "(", "{").anyMatch(plain::contains) ? Brackets.read(lines, arePlanes, isByHand) : Optional.empty();
            if (found.isEmpty() && plain.contains("&") && AMPERSANDS.matcher(plain).find()) {
                found = Rows.latex(plain);
            } else if (found.isEmpty() && plain.contains("|")) {
                found = Rows.bars(lines, keepsLabels);
            }
        }
        found.ifPresent(ArrayText::requireComplete);
        return found;
    }

    /**
     * Reads printed columns, which a plain table is too.
     *
     * @return empty where no line has a value
     * @throws PixeronException if rows or blocks differ in length, or values were left out
     */
    public static Optional<ArrayCells> columns(String text) {
        Optional<ArrayCells> cells = Rows.columns(SourceText.lines(text));
        cells.ifPresent(ArrayText::requireComplete);
        return cells;
    }

    /** In LaTeX only % begins a comment. */
    private static String withoutComments(String text) {
        return text.replaceAll("(?m)(?<!\\\\)%.*$", "");
    }

    private static void requireComplete(ArrayCells cells) {
        int row = 0;
        int column = -1;
        for (int i = 0; i < cells.rows().size(); i++) {
            for (int j = 0; j < cells.rows().get(i).size(); j++) {
                for (String value : cells.rows().get(i).get(j)) {
                    if (ArrayValue.isLeftOut(value)) {
                        throw PixeronException.of("The program left values out after row %d, column %d. Print the whole array.", row, Math.max(0, column));
                    }
                }
                row = i;
                column = j;
            }
        }
    }
}

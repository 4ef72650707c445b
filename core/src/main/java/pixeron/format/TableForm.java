package pixeron.format;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Predicate;
import pixeron.PixeronException;
import pixeron.image.Image;
import pixeron.image.UsualMaxima;
import pixeron.number.Decimals;

/**
 * How a text is read as a table of numbers.
 *
 * @param separator between cells: comma, semicolon, tab, or a blank for any number of blanks
 * @param hasDecimalComma whether 1,5 is a number; not with the comma as separator
 * @param headLines lines at the top that are no numbers
 * @param isTurned whether the lines of the text are the columns of the image
 */
public record TableForm(char separator, boolean hasDecimalComma, int headLines, boolean isTurned) {

    /** The separators that there are. */
    public static final List<Character> SEPARATORS = List.of(',', ';', '\t', ' ');

    private static final Predicate<String> DECIMAL_COMMA = cell -> cell.matches("[+\u2212-]?\\d*,\\d+");

    /**
     * Checks the separators.
     *
     * @throws PixeronException if the comma is to be both or there would be a negative number of head lines
     */
    public TableForm {
        if (hasDecimalComma && separator == ',' || headLines < 0) {
            throw PixeronException.of("The comma cannot separate cells and decimals at the same time.");
        }
    }

    /** Returns the form in which a text is read when nobody says more: no head lines, not turned. */
    static TableForm plain(String text) {
        char separator = CellTable.separator(text);
        return new TableForm(separator, separator != ',', 0, false);
    }

    /**
     * Returns the form that fits it: lines at the top without any number are head lines.
     *
     * @param text lines of cells
     */
    public static TableForm guess(String text) {
        TableForm plain = plain(text);
        List<List<String>> rows = plain.cells(text).rows();
        int head = 0;
        while (head < rows.size() - 1 && rows.get(head).stream().noneMatch(Decimals::isNumber)) {
            head++;
        }
        return plain.withHeadLines(head);
    }

    public TableForm withSeparator(char other) {
        return new TableForm(other, hasDecimalComma && other != ',', headLines, isTurned);
    }

    public TableForm withDecimalComma(boolean isComma) {
        return new TableForm(separator, isComma, headLines, isTurned);
    }

    public TableForm withHeadLines(int lines) {
        return new TableForm(separator, hasDecimalComma, lines, isTurned);
    }

    public TableForm withTurned(boolean turned) {
        return new TableForm(separator, hasDecimalComma, headLines, turned);
    }

    /**
     * Returns the cells of a text, without its head lines and the blank rows at its end.
     *
     * @throws PixeronException if a quoted cell does not end, or rows that are to be turned differ in length
     */
    public CellTable cells(String text) {
        CellTable table = CellTable.parse(text, separator).trimmed();
        if (headLines == 0 && !isTurned && !(hasDecimalComma && text.indexOf(',') >= 0)) {
            return table;
        }
        List<List<String>> rows = table.rows();
        CellTable.Builder kept = new CellTable.Builder();
        for (List<String> row : rows.subList(Math.min(headLines, rows.size()), rows.size())) {
            kept.add(hasDecimalComma ? row.stream().map(TableForm::withPoint).toList() : row);
        }
        return isTurned ? turned(kept.build().rows()) : kept.build();
    }

    private static String withPoint(String cell) {
        // Large tables have millions of cells, and the pattern is slow.
        return cell.indexOf(',') >= 0 && DECIMAL_COMMA.test(cell) ? cell.replace(',', '.') : cell;
    }

    private static CellTable turned(List<List<String>> rows) {
        CellTable.Builder turned = new CellTable.Builder();
        for (int j = 0; j < (rows.isEmpty() ? 0 : rows.get(0).size()); j++) {
            List<String> line = new ArrayList<>();
            for (int i = 0; i < rows.size(); i++) {
                if (rows.get(i).size() <= j) {
                    throw PixeronException.of("Line %d has %d cells, but the first line has %d.", i, rows.get(i).size(),
                            rows.get(0).size());
                }
                line.add(rows.get(i).get(j));
            }
            turned.add(line);
        }
        return turned.build();
    }

    /**
     * Returns the image that the text holds.
     *
     * @param maximumLevel M; values that do not fit make a real-valued image
     * @throws PixeronException if a cell is no number or the rows differ in length; names the place
     */
    public Image read(String text, int maximumLevel) {
        return NumberTables.read(cells(text), ReadOptions.DEFAULT.withMaximum(maximumLevel).asOpen()).image();
    }

    /**
     * Returns the usual maximum levels that hold the numbers of a text.
     *
     * @return smallest first; 255 alone where a value is below 0, no whole number or above 65535; empty when the text is no table of numbers
     *     in this form
     */
    public List<Integer> usualMaxima(String text) {
        try {
            List<Integer> holding = UsualMaxima.holding(read(text, Image.LARGEST_MAXIMUM));
            return holding.isEmpty() ? List.of(Image.BYTE_MAXIMUM) : holding;
        } catch (PixeronException noNumbers) {
            return List.of();
        }
    }
}

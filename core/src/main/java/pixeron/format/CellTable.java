package pixeron.format;

import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import pixeron.PixeronException;

/**
 * A block of cells as text: a CSV, TSV, semicolon- or blank-separated file, or what a spreadsheet puts on the
 * clipboard. Cells are without the blanks around them. Rows may differ in length; who reads it says what that means.
 *
 * @param rows the cells, row by row
 */
public record CellTable(List<List<String>> rows) {

    public CellTable {
        rows = List.copyOf(rows);
    }

    /**
     * @param file a text file in UTF-8
     * @return its cells
     * @throws PixeronException if it cannot be read or is not text
     */
    public static CellTable read(Path file) {
        return parse(decode(ImageFiles.bytes(file)));
    }

    /**
     * The separator is the first of tab, semicolon and comma that occurs in the first line with text, else blanks.
     *
     * @param text lines of cells
     * @return the cells; a blank line is a row of one blank cell
     * @throws PixeronException if a quoted cell does not end
     */
    public static CellTable parse(String text) {
        return parse(text, separator(text));
    }

    /**
     * @param separator between cells; a blank stands for any number of blanks
     * @throws PixeronException if a quoted cell does not end
     */
    static CellTable parse(String text, char separator) {
        return new CellTable(separator == ' ' ? blankSeparated(text) : separated(text, separator));
    }

    /** @return the first of tab, semicolon and comma that occurs in the first line with text, else a blank */
    static char separator(String text) {
        String first = text.lines().filter(line -> !line.isEmpty()).findFirst().orElse("");
        return first.indexOf('\t') >= 0 ? '\t' : first.indexOf(';') >= 0 ? ';' : first.indexOf(',') >= 0 ? ',' : ' ';
    }

    /** @return this without the blank rows at its end */
    public CellTable trimmed() {
        int end = rows.size();
        while (end > 0 && rows.get(end - 1).stream().allMatch(String::isEmpty)) {
            end--;
        }
        return new CellTable(rows.subList(0, end));
    }

    private static List<List<String>> blankSeparated(String text) {
        Shared shared = new Shared();
        return text.lines().map(line -> Arrays.stream(line.strip().split("\\s+")).map(shared::one).toList()).toList();
    }

    private static List<List<String>> separated(String text, char separator) {
        CSVFormat format = CSVFormat.DEFAULT.builder().setDelimiter(separator).setIgnoreEmptyLines(false).get();
        List<List<String>> rows = new ArrayList<>();
        Shared shared = new Shared();
        try (CSVParser parser = CSVParser.builder().setReader(new StringReader(text)).setFormat(format).get()) {
            for (CSVRecord row : parser) {
                rows.add(row.stream().map(String::strip).map(shared::one).toList());
            }
        } catch (IOException | UncheckedIOException | IllegalStateException broken) {
            throw PixeronException.because(broken, "Line %d of the table has a quote that does not end.",
                    rows.size() + 1);
        }
        return rows;
    }

    /**
     * Short cells that are alike are one text in memory: a table of levels has millions of cells and few different ones, and
     * each text of its own takes fifty bytes.
     */
    private static final class Shared {

        private static final int LONGEST = 8;
        private static final int MOST = 1 << 16;

        private final Map<String, String> known = new HashMap<>();

        String one(String cell) {
            if (cell.length() > LONGEST) {
                return cell;
            }
            String same = known.get(cell);
            if (same == null && known.size() < MOST) {
                known.put(cell, cell);
            }
            return same == null ? cell : same;
        }
    }

    /**
     * @return bytes as text
     * @throws PixeronException if they are not text in UTF-8
     */
    static String decode(byte[] bytes) {
        try {
            String text = StandardCharsets.UTF_8.newDecoder().decode(ByteBuffer.wrap(bytes)).toString();
            if (text.indexOf('\0') < 0) {
                return text.startsWith("\uFEFF") ? text.substring(1) : text;
            }
        } catch (CharacterCodingException notText) {
            // The same answer as for a zero byte below.
        }
        throw PixeronException.of("This is neither a picture that is read (PNG, JPEG, BMP, GIF, TIFF, Netpbm) nor a "
                + "table of numbers in UTF-8.");
    }
}

package pixeron.format;

import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.AbstractList;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import pixeron.PixeronException;
import pixeron.format.array.ArrayText;
import pixeron.format.array.ArrayValue;
import pixeron.image.Image;
import pixeron.number.Decimals;

/**
 * A block of cells as text: a CSV, TSV, semicolon- or blank-separated file, or what a spreadsheet puts on the
 * clipboard. Cells are without the blanks around them. Rows may differ in length; who reads it says what that means.
 */
public final class CellTable {

    /** More than the results that are calculated by hand have, and those of programs that answer an exercise. */
    private static final int MOST_CELLS = 1 << 22;
    private static final int LONGEST_LINE = 1 << 20;
    private static final Pattern BLANKS = Pattern.compile("\\s+");

    /** All cells, one after the other: a list for each row would take more memory than the cells of narrow tables. */
    private final String[] cells;
    /** For each row the number of cells up to its end. */
    private final int[] ends;
    private final int rowCount;

    private CellTable(String[] cells, int[] ends, int rowCount) {
        this.cells = cells;
        this.ends = ends;
        this.rowCount = rowCount;
    }

    /** Returns the cells, row by row; unchangeable. */
    public List<List<String>> rows() {
        return new Rows();
    }

    /**
     * Returns its cells.
     *
     * @param file a text file in UTF-8, or a spreadsheet, of which the first sheet that is not empty is taken
     * @throws PixeronException if it cannot be read or is neither
     */
    public static CellTable read(Path file) {
        return firstFilled(readAll(file));
    }

    /**
     * Returns the cells of a table of words and numbers, such as a class list, in which brackets and bars are text.
     *
     * @throws PixeronException if it cannot be read or is neither text nor a spreadsheet
     */
    public static CellTable readPlain(Path file) {
        byte[] bytes = ImageFiles.bytes(file);
        return Spreadsheets.matches(bytes) ? firstFilled(Spreadsheets.read(bytes)) : parsePlain(decode(bytes), MOST_CELLS);
    }

    /** Returns the cells of the first sheet that is not empty. */
    static CellTable firstFilled(List<NamedCells> sheets) {
        return sheets.stream().map(NamedCells::cells).filter(cells -> !cells.trimmed().rows().isEmpty()).findFirst()
                .orElseGet(() -> new Builder().build());
    }

    /**
     * Returns its sheets; one without a name for a text. Numbered edges between bars stay: whether they are labels tells the size of the result.
     *
     * @param file a text file in UTF-8, or a spreadsheet (XLSX, ODS)
     * @throws PixeronException if it cannot be read or is neither
     */
    public static List<NamedCells> readAll(Path file) {
        byte[] bytes = ImageFiles.bytes(file);
        if (NpyFiles.matches(bytes)) {
            return List.of(new NamedCells("", NpyFiles.byHand(bytes)));
        }
        return Spreadsheets.matches(bytes) ? Spreadsheets.read(bytes) : List.of(new NamedCells("", parse(decode(bytes), MOST_CELLS, true)));
    }

    /** An array in a notation of programs as cells; each has the values of a pixel with spaces between them, and is blank where a value is missing. */
    private static Optional<CellTable> array(String text, boolean keepsLabels) {
        // Round brackets belong to expressions here.
        return text.indexOf('[') < 0 && text.indexOf('{') < 0 && text.indexOf('|') < 0 && text.indexOf('\\') < 0 && text.indexOf('&') < 0 ? Optional.empty()
                : ArrayText.readByHand(text, keepsLabels).map(array -> {
                    Builder cells = new Builder(MOST_CELLS);
                    array.rows().forEach(row -> cells.add(row.stream().map(pixel -> pixel.stream().allMatch(value -> value.isEmpty() || ArrayValue.isMissing(value)) ? ""
                            : pixel.stream().map(value -> ArrayValue.byHand(value, array.factor())).collect(Collectors.joining(" "))).toList()));
                    return cells.build();
                });
    }

    private static CellTable parse(String text, int most) {
        return parse(text, most, false);
    }

    private static CellTable parse(String text, int most, boolean keepsLabels) {
        Optional<CellTable> array = array(text, keepsLabels);
        return array.isPresent() ? array.get() : parsePlain(text, most);
    }

    private static CellTable parsePlain(String text, int most) {
        if (most < Integer.MAX_VALUE && text.lines().anyMatch(line -> line.length() > LONGEST_LINE)) {
            throw PixeronException.of("A line of this table has more than %d characters, the limit for values by hand.", LONGEST_LINE);
        }
        return parse(text, separator(text), new Builder(most));
    }

    /** Returns the values of an image, each written exactly. */
    public static CellTable of(Image image) {
        Builder cells = new Builder();
        for (int i = 0; i < image.rows(); i++) {
            int start = i * image.columns();
            cells.add(() -> IntStream.range(start, start + image.columns()).mapToObj(n -> Decimals.exact(image.value(n))).iterator());
        }
        return cells.build();
    }

    /**
     * Returns the cells of a rectangle; blank where a row ends before it.
     *
     * @param top first row, from 0
     * @param left first column, from 0
     */
    public CellTable part(int top, int left, int height, int width) {
        Builder part = new Builder();
        List<List<String>> rows = rows();
        for (int i = top; i < top + height; i++) {
            List<String> row = i < rowCount ? rows.get(i) : List.of();
            List<String> cut = new ArrayList<>();
            for (int j = left; j < left + width; j++) {
                cut.add(j < row.size() ? row.get(j) : "");
            }
            part.add(cut);
        }
        return part.build();
    }

    /** Returns the number of cells in the longest row. */
    public int width() {
        return rows().stream().mapToInt(List::size).max().orElse(0);
    }

    /** Returns this with rows for columns. */
    public CellTable swapped() {
        Builder swapped = new Builder();
        List<List<String>> rows = rows();
        for (int j = 0; j < width(); j++) {
            List<String> row = new ArrayList<>();
            for (List<String> cells : rows) {
                row.add(j < cells.size() ? cells.get(j) : "");
            }
            swapped.add(row);
        }
        return swapped.build();
    }

    /**
     * The separator is the first of tab, semicolon and comma that occurs in the first line with text, else blanks.
     *
     * @param text lines of cells
     * @return the cells; a blank line is a row of one blank cell
     * @throws PixeronException if a quoted cell does not end
     */
    public static CellTable parse(String text) {
        return parse(text, Integer.MAX_VALUE);
    }

    /**
     * @param separator between cells; a blank represents any number of blanks
     * @throws PixeronException if a quoted cell does not end
     */
    static CellTable parse(String text, char separator) {
        return parse(text, separator, new Builder());
    }

    private static CellTable parse(String text, char separator, Builder into) {
        return separator == ' ' ? blankSeparated(text, into) : separated(text, separator, into);
    }

    /** Returns the first of tab, semicolon and comma that occurs in the first line with text, else a blank. */
    static char separator(String text) {
        String first = text.lines().filter(line -> !line.isEmpty()).findFirst().orElse("");
        return first.indexOf('\t') >= 0 ? '\t' : first.indexOf(';') >= 0 ? ';' : first.indexOf(',') >= 0 ? ',' : ' ';
    }

    /** Returns this without the blank rows at its end. */
    public CellTable trimmed() {
        List<List<String>> rows = rows();
        int end = rowCount;
        while (end > 0 && rows.get(end - 1).stream().allMatch(String::isEmpty)) {
            end--;
        }
        return new CellTable(cells, ends, end);
    }

    private static CellTable blankSeparated(String text, Builder builder) {
        // Cell by cell: a line may have more of them than a list of them all would leave room for.
        text.lines().forEach(line -> builder.add(() -> BLANKS.splitAsStream(line.strip()).iterator()));
        return builder.build();
    }

    private static CellTable separated(String text, char separator, Builder builder) {
        CSVFormat format = CSVFormat.DEFAULT.builder().setDelimiter(separator).setIgnoreEmptyLines(false).get();
        try (CSVParser parser = CSVParser.builder().setReader(new StringReader(text)).setFormat(format).get()) {
            for (CSVRecord row : parser) {
                builder.add(row);
            }
        } catch (IOException | UncheckedIOException | IllegalStateException broken) {
            throw PixeronException.because(broken, "Line %d of the table has a quotation mark without an end.",
                    builder.rowCount + 1);
        }
        return builder.build();
    }

    /** Rows as they are asked for. */
    private final class Rows extends AbstractList<List<String>> {

        @Override
        public List<String> get(int row) {
            Objects.checkIndex(row, rowCount);
            return Collections.unmodifiableList(
                    Arrays.asList(cells).subList(row == 0 ? 0 : ends[row - 1], ends[row]));
        }

        @Override
        public int size() {
            return rowCount;
        }
    }

    /**
     * Collects rows. Short cells that are alike are one text in memory: a table of levels has millions of cells and few
     * different ones, and each text of its own takes fifty bytes.
     */
    static final class Builder {

        private static final int LONGEST = 8;
        private static final int MOST = 1 << 16;

        private final Map<String, String> known = new HashMap<>();
        private String[] cells = new String[64];
        private int[] ends = new int[16];
        private int cellCount;
        private int rowCount;
        private final int most;

        Builder() {
            this(Integer.MAX_VALUE);
        }

        /** @param most cells; more are refused */
        Builder(int most) {
            this.most = most;
        }

        /** Adds a row; blanks around cells are removed. */
        void add(Iterable<String> row) {
            for (String cell : row) {
                if (cellCount == cells.length) {
                    cells = Arrays.copyOf(cells, cellCount + cellCount / 2);
                }
                if (cellCount == most) {
                    throw PixeronException.of("This table has more than %d cells, the limit for values by hand.", most);
                }
                cells[cellCount++] = shared(cell.strip());
            }
            if (rowCount == ends.length) {
                ends = Arrays.copyOf(ends, rowCount + rowCount / 2);
            }
            ends[rowCount++] = cellCount;
        }

        CellTable build() {
            return new CellTable(cells, ends, rowCount);
        }

        private String shared(String cell) {
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
     * Returns bytes as text.
     *
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
        throw PixeronException.of("This file is neither a picture (PNG, JPEG, BMP, GIF, TIFF, Netpbm) nor a "
                + "table of numbers in UTF-8.");
    }
}

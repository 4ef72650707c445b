package pixeron.format;

import com.github.miachm.sods.Range;
import com.github.miachm.sods.Sheet;
import com.github.miachm.sods.SpreadSheet;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.dhatim.fastexcel.reader.Cell;
import org.dhatim.fastexcel.reader.CellType;
import org.dhatim.fastexcel.reader.ReadableWorkbook;
import org.dhatim.fastexcel.reader.Row;
import pixeron.PixeronException;
import pixeron.number.Decimals;

/** Reads the sheets of an XLSX or ODS file: of a formula its result, of everything else what is written. */
final class Spreadsheets {

    private static final byte[] ZIP = {'P', 'K', 3, 4};
    /** Every XLSX file has a part of this name, and the names of parts are not packed; an ODS file has none. */
    private static final String XLSX_PART = "[Content_Types].xml";
    /** Larger sheets than this hold no values by hand. */
    static final int MOST_CELLS = 1 << 20;

    private Spreadsheets() {
    }

    /** Returns whether the bytes are those of a packed file, as spreadsheets are. */
    static boolean matches(byte[] bytes) {
        return bytes.length > ZIP.length && Arrays.equals(Arrays.copyOf(bytes, ZIP.length), ZIP);
    }

    /**
     * Returns the sheets in their order.
     *
     * @throws PixeronException if the file is broken or no spreadsheet
     */
    static List<NamedCells> read(byte[] bytes) {
        try {
            boolean isXlsx = new String(bytes, StandardCharsets.ISO_8859_1).contains(XLSX_PART);
            SpreadsheetGuard.check(bytes, isXlsx);
            return isXlsx ? xlsx(bytes) : ods(bytes);
        } catch (PixeronException tooLarge) {
            throw tooLarge;
        } catch (IOException | RuntimeException broken) {
            // The libraries throw what they stumble over: a broken archive, a missing part, a number that is none.
            throw PixeronException.because(broken, "This is not a readable spreadsheet. Use XLSX or ODS.");
        }
    }

    private static List<NamedCells> xlsx(byte[] bytes) throws IOException {
        List<NamedCells> sheets = new ArrayList<>();
        try (ReadableWorkbook book = new ReadableWorkbook(new ByteArrayInputStream(bytes))) {
            for (org.dhatim.fastexcel.reader.Sheet sheet : book.getSheets().toList()) {
                CellTable.Builder cells = new CellTable.Builder();
                try (Stream<Row> rows = sheet.openStream()) {
                    int[] next = {1};
                    rows.forEach(row -> {
                        for (; next[0] < requireSmall(row.getRowNum(), row.getCellCount()); next[0]++) {
                            cells.add(List.of(""));
                        }
                        cells.add(row.stream().map(Spreadsheets::text).toList());
                        next[0]++;
                    });
                }
                sheets.add(new NamedCells(sheet.getName(), cells.build()));
            }
        }
        return sheets;
    }

    private static int requireSmall(int rows, int columns) {
        if ((long) rows * Math.max(1, columns) > MOST_CELLS) {
            throw PixeronException.of("A sheet of %d rows and %d columns is too large for values by hand.", rows, columns);
        }
        return rows;
    }

    private static String text(Cell cell) {
        if (cell == null || cell.getType() == CellType.EMPTY || cell.getType() == CellType.ERROR) {
            return "";
        }
        // A number is in the file as its digits; read back as a double it could gain some.
        return (cell.getType() == CellType.NUMBER || cell.getType() == CellType.FORMULA) && isNumber(cell.getRawValue())
                ? plain(cell.getRawValue()) : Optional.ofNullable(cell.getText()).orElse("");
    }

    private static boolean isNumber(String raw) {
        return raw != null && raw.length() <= Decimals.MAXIMUM_LENGTH && raw.matches("[+-]?(\\d+\\.?\\d*|\\.\\d+)([eE][+-]?\\d+)?");
    }

    private static String plain(String raw) {
        BigDecimal number = new BigDecimal(raw);
        // Written out, a number such as 1e999999999 would fill all of the memory; as it is it is no value by hand.
        return Math.abs((long) number.scale()) + number.precision() > Decimals.MAXIMUM_LENGTH ? raw : number.toPlainString();
    }

    private static List<NamedCells> ods(byte[] bytes) throws IOException {
        List<NamedCells> sheets = new ArrayList<>();
        for (Sheet sheet : new SpreadSheet(new ByteArrayInputStream(bytes)).getSheets()) {
            CellTable.Builder cells = new CellTable.Builder();
            requireSmall(sheet.getMaxRows(), sheet.getMaxColumns());
            if (sheet.getMaxRows() > 0 && sheet.getMaxColumns() > 0) {
                Range all = sheet.getDataRange();
                for (Object[] row : all.getValues()) {
                    cells.add(Arrays.stream(row).map(Spreadsheets::text).toList());
                }
            }
            sheets.add(new NamedCells(sheet.getName(), cells.build()));
        }
        return sheets;
    }

    private static String text(Object value) {
        return value == null ? "" : value instanceof Double number ? plain(number.toString()).replaceAll("\\.0$", "")
                : String.valueOf(value);
    }
}

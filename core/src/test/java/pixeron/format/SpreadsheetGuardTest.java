package pixeron.format;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.dhatim.fastexcel.Workbook;
import org.dhatim.fastexcel.Worksheet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Spreadsheets that would fill all memory are refused before anything is made of them. */
class SpreadsheetGuardTest {

    private static final String ODS = "<office:document-content xmlns:office=\"urn:oasis:names:tc:opendocument:xmlns:office:1.0\" "
            + "xmlns:table=\"urn:oasis:names:tc:opendocument:xmlns:table:1.0\" xmlns:text=\"urn:oasis:names:tc:opendocument:xmlns:text:1.0\"><office:body>"
            + "<office:spreadsheet><table:table table:name=\"one\">%s</table:table></office:spreadsheet></office:body></office:document-content>";
    private static final String FILLED = "<table:table-cell office:value-type=\"string\" %s><text:p>7</text:p></table:table-cell>";

    @TempDir
    private Path folder;

    private interface Content {
        void writeTo(ZipOutputStream zip) throws IOException;
    }

    private Path zip(String name, String part, Content content) throws IOException {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(bytes)) {
            if (name.endsWith(".ods")) {
                zip.putNextEntry(new ZipEntry("mimetype"));
                zip.write("application/vnd.oasis.opendocument.spreadsheet".getBytes(StandardCharsets.UTF_8));
            } else {
                zip.putNextEntry(new ZipEntry("[Content_Types].xml"));
                zip.write("<Types/>".getBytes(StandardCharsets.UTF_8));
            }
            zip.putNextEntry(new ZipEntry(part));
            content.writeTo(zip);
        }
        return Files.write(folder.resolve(name), bytes.toByteArray());
    }

    private Path ods(String rows) throws IOException {
        return zip("a.ods", "content.xml", zip -> zip.write(String.format(ODS, rows).getBytes(StandardCharsets.UTF_8)));
    }

    /** Zeros take a thousandth of their room when they are packed. */
    @ParameterizedTest
    @CsvSource({"a.xlsx,xl/worksheets/sheet1.xml", "a.ods,content.xml", "b.xlsx,xl/media/picture.png"})
    void moreThanMemoryHoldsIsNotUnpacked(String name, String part) throws IOException {
        byte[] zeros = new byte[1 << 20];
        Path file = zip(name, part, zip -> {
            zip.write("<a>".getBytes(StandardCharsets.UTF_8));
            for (int n = 0; n < 40; n++) {
                zip.write(zeros);
            }
        });
        assertThatThrownBy(() -> CellTable.readAll(file)).isInstanceOf(pixeron.PixeronException.class);
    }

    /** The readers of XML print what is wrong, beside throwing it, where text is no UTF-8. */
    @ParameterizedTest
    @ValueSource(strings = {"a.ods,content.xml", "a.ods,META-INF/manifest.xml", "a.xlsx,xl/workbook.xml"})
    void brokenTextIsRefusedWithoutAnotherWord(String place) throws IOException {
        Path file = zip(place.split(",")[0], place.split(",")[1], zip -> zip.write(new byte[] {'<', 'a', '>', (byte) 0xFF, '<', '/', 'a', '>'}));
        ByteArrayOutputStream printed = new ByteArrayOutputStream();
        PrintStream former = System.err;
        System.setErr(new PrintStream(printed, true, StandardCharsets.UTF_8));
        try {
            assertThatThrownBy(() -> CellTable.readAll(file)).hasMessageContaining("not a readable spreadsheet");
        } finally {
            System.setErr(former);
        }
        assertThat(printed.toString(StandardCharsets.UTF_8)).isEmpty();
    }

    @Test
    void aCellIsNoBook() throws IOException {
        Path file = zip("a.xlsx", "xl/worksheets/sheet1.xml", zip -> zip.write(("<worksheet><sheetData><row><c><v>" + "0".repeat(40_000) + "</v></c></row></sheetData></worksheet>")
                .getBytes(StandardCharsets.UTF_8)));
        assertThatThrownBy(() -> CellTable.readAll(file)).hasMessageContaining("32767 characters in a cell");
    }

    /** Remarks beside the cells may be long together: they are in no cell. */
    @Test
    void remarksAreNoCell() throws IOException {
        String remark = "<comment><text><t>" + "ink ".repeat(5_000) + "</t></text></comment>";
        byte[] file = Files.readAllBytes(zip("a.xlsx", "xl/comments1.xml", zip -> zip.write(("<comments>" + remark.repeat(3) + "</comments>").getBytes(StandardCharsets.UTF_8))));
        assertThatCode(() -> SpreadsheetGuard.check(file, true)).doesNotThrowAnyException();
    }

    @Test
    void aCellStandsNotAThousandMillionTimes() throws IOException {
        String row = "<table:table-row %s>%s</table:table-row>";
        String wide = String.format(row, "", String.format(FILLED, "table:number-columns-repeated=\"999999999\""));
        String tall = String.format(row, "table:number-rows-repeated=\"99999999999999999999\"", String.format(FILLED, ""));
        String far = String.format(row, "table:number-rows-repeated=\"1048575\"", "<table:table-cell/>") + String.format(row, "", "<table:table-cell table:number-columns-repeated=\"16383\"/>" + String.format(FILLED, ""));
        for (String rows : List.of(wide, tall, far)) {
            assertThatThrownBy(() -> CellTable.readAll(ods(rows))).hasMessageContaining("more than 1048576 cells");
        }
        // Blank cells to the edges, as programs write them, are no cells.
        String edges = String.format(row, "", String.format(FILLED, "") + "<table:table-cell table:number-columns-repeated=\"16383\"/>")
                + String.format(row, "table:number-rows-repeated=\"1048575\"", "<table:table-cell table:number-columns-repeated=\"16384\"/>");
        byte[] file = Files.readAllBytes(ods(edges));
        assertThatCode(() -> SpreadsheetGuard.check(file, false)).doesNotThrowAnyException();
    }

    /** As digits these would fill gigabytes; they stay what was typed, and are no numbers. */
    @Test
    void aNumberOfAThousandMillionDigitsStaysText() throws IOException {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (Workbook book = new Workbook(bytes, "Pixeron", "1.0")) {
            Worksheet sheet = book.newWorksheet("one");
            sheet.value(0, 0, new java.math.BigDecimal("1e999999999"));
            sheet.value(0, 1, new java.math.BigDecimal("1.5e-7"));
        }
        Path file = Files.write(folder.resolve("a.xlsx"), bytes.toByteArray());
        assertThat(CellTable.readAll(file).get(0).cells().rows().get(0)).containsExactly("1E+999999999", "0.00000015");
    }

    @Test
    void lineEndsAreCells() throws IOException {
        byte[] ends = new byte[5 << 20];
        java.util.Arrays.fill(ends, (byte) '\n');
        Path file = Files.write(folder.resolve("a.csv"), ends);
        assertThatThrownBy(() -> CellTable.readAll(file)).hasMessageContaining("more than 4194304 cells");
    }
}

package pixeron.exercise.answer;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.List;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.dhatim.fastexcel.Workbook;
import org.dhatim.fastexcel.Worksheet;
import pixeron.format.SafeFile;
import pixeron.number.Decimals;

/** Rows of cells as files: text with commas, or a spreadsheet with a sheet for each. */
public final class AnswerBook {

    /**
     * A sheet.
     *
     * @param name what it is called, at most 31 letters
     * @param rows its cells; numbers are there as numbers
     */
    public record Sheet(String name, List<List<String>> rows) {
    }

    private AnswerBook() {
    }

    /**
     * Writes a table as text.
     *
     * @throws pixeron.PixeronException if the file cannot be written
     */
    public static void writeText(Path file, List<List<String>> rows) {
        StringWriter text = new StringWriter();
        try (CSVPrinter csv = new CSVPrinter(text, CSVFormat.DEFAULT)) {
            csv.printRecords(rows);
        } catch (IOException impossible) {
            throw new UncheckedIOException(impossible);
        }
        SafeFile.write(file, out -> out.write(text.toString().getBytes(StandardCharsets.UTF_8)));
    }

    /**
     * Writes tables as a workbook.
     *
     * @throws pixeron.PixeronException if the file cannot be written
     */
    public static void writeWorkbook(Path file, List<Sheet> sheets) {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (Workbook book = new Workbook(bytes, "Pixeron", "1.0")) {
            for (Sheet sheet : sheets) {
                fill(book.newWorksheet(sheet.name()), sheet.rows());
            }
        } catch (IOException impossible) {
            throw new UncheckedIOException(impossible);
        }
        SafeFile.write(file, out -> out.write(bytes.toByteArray()));
    }

    private static void fill(Worksheet sheet, List<List<String>> rows) {
        for (int i = 0; i < rows.size(); i++) {
            for (int j = 0; j < rows.get(i).size(); j++) {
                String cell = rows.get(i).get(j);
                if (cell.matches("-?\\d{1,15}(\\.\\d{1,15})?") && Decimals.isNumber(cell)) {
                    sheet.value(i, j, new BigDecimal(cell));
                } else if (!cell.isEmpty()) {
                    sheet.value(i, j, cell);
                } else if (j > 0) {
                    // A blank to be filled in is seen by its frame.
                    sheet.style(i, j).borderStyle("thin").set();
                }
            }
        }
        sheet.width(0, 12);
    }
}

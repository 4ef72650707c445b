package pixeron.format;

import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.List;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import pixeron.Harmless;

/** Tables of results as text with commas. What others wrote into them stays words: a spreadsheet calculates none of it. */
public final class ResultTable {

    private ResultTable() {
    }

    /** Returns the rows as lines. */
    public static String text(List<List<String>> rows) {
        StringWriter text = new StringWriter();
        try (CSVPrinter csv = new CSVPrinter(text, CSVFormat.DEFAULT)) {
            for (List<String> row : rows) {
                csv.printRecord(row.stream().map(Harmless::cell));
            }
        } catch (IOException impossible) {
            throw new UncheckedIOException(impossible);
        }
        return text.toString();
    }

    /**
     * Writes a table.
     *
     * @throws pixeron.PixeronException if the file cannot be written
     */
    public static void write(Path file, List<List<String>> rows) {
        String text = text(rows);
        SafeFile.write(file, out -> out.write(text.getBytes(StandardCharsets.UTF_8)));
    }
}

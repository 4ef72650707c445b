package pixeron.format;

import java.io.IOException;
import java.io.OutputStream;
import java.math.BigDecimal;
import java.util.List;
import org.dhatim.fastexcel.Workbook;
import org.dhatim.fastexcel.Worksheet;
import pixeron.PixeronException;
import pixeron.image.Image;
import pixeron.image.Result;
import pixeron.number.Decimals;

/** Images as XLSX: a sheet for each channel, a cell for each pixel, numbers as in a table of text. */
final class WorkbookFiles {

    /** So much has room on a sheet, by the standard. */
    private static final int MOST_ROWS = 1 << 20;
    private static final int MOST_COLUMNS = 1 << 14;

    private WorkbookFiles() {
    }

    /** @throws PixeronException if it has more rows or columns than a sheet */
    static void write(Result result, OutputStream out) throws IOException {
        if (result.frame().rows() > MOST_ROWS || result.frame().columns() > MOST_COLUMNS || result.frame().count() > Spreadsheets.MOST_CELLS) {
            throw PixeronException.of("An image of %d × %d is too large for a spreadsheet. Use .csv.", result.frame().rows(), result.frame().columns());
        }
        List<Result.Face> faces = result.faces();
        try (Workbook book = new Workbook(out, "Pixeron", "1.0")) {
            for (Result.Face face : faces) {
                fill(book.newWorksheet(faces.size() == 1 ? "values" : face.name()), face.image());
            }
        }
    }

    private static void fill(Worksheet sheet, Image image) {
        for (int n = 0; n < image.count(); n++) {
            sheet.value(n / image.columns(), n % image.columns(), new BigDecimal(Decimals.table(image.value(n))));
        }
    }
}

package pixeron.project;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import pixeron.PixeronException;
import pixeron.format.ReadOptions;
import pixeron.image.Image;
import pixeron.number.Approximate;
import pixeron.number.Decimals;
import pixeron.number.Value;

/**
 * The samples of an image as lines of text in a project file: one line a row, numbers with a blank between them. Exact
 * samples are whole numbers or fractions; doubles are decimals that read back as the same double.
 */
final class SampleText {

    private SampleText() {
    }

    static void write(Image image, ObjectNode node) {
        node.put("rows", image.rows()).put("columns", image.columns()).put("maximumLevel", image.maximumLevel());
        node.put("exact", image.isExact());
        ArrayNode lines = node.putArray("samples");
        for (int i = 0; i < image.rows(); i++) {
            StringBuilder line = new StringBuilder();
            for (int j = 0; j < image.columns(); j++) {
                int n = i * image.columns() + j;
                line.append(j == 0 ? "" : " ");
                line.append(image.isLevelImage() ? String.valueOf(image.level(n)) : Decimals.exact(image.value(n)));
            }
            lines.add(line.toString());
        }
    }

    static Image read(Fields fields) {
        int rows = fields.number("rows");
        int columns = fields.number("columns");
        boolean isExact = fields.flag("exact");
        List<String> lines = fields.texts("samples");
        if (rows < 1 || columns < 1 || (long) rows * columns > ReadOptions.DEFAULT_PIXEL_LIMIT) {
            throw fields.problem("rows", "× columns is " + rows + " × " + columns
                    + ", which is not a size of an image");
        } else if (lines.size() != rows) {
            throw fields.problem("samples", "has " + lines.size() + " lines for " + rows + " rows");
        }
        // The text must be there before memory for it is taken: a digit and a blank for every sample.
        if (lines.stream().anyMatch(line -> line.length() < 2L * columns - 1)) {
            throw fields.problem("samples", "has a line that is too short for " + columns + " columns");
        }
        Value[] values = new Value[rows * columns];
        for (int i = 0; i < rows; i++) {
            readLine(fields, lines.get(i), i, columns, isExact, values);
        }
        return Image.from(rows, columns, fields.number("maximumLevel"), values);
    }

    private static void readLine(Fields fields, String line, int row, int columns, boolean isExact, Value[] values) {
        String[] cells = line.strip().split(" +");
        if (cells.length != columns) {
            throw fields.problem("samples[" + row + "]", "has " + cells.length + " numbers for " + columns
                    + " columns");
        }
        for (int j = 0; j < columns; j++) {
            try {
                Value value = Decimals.parse(cells[j]);
                values[row * columns + j] = isExact ? value : Approximate.from(value.asDouble());
            } catch (PixeronException notANumber) {
                throw fields.problem("samples[" + row + "]", "has \"" + Decimals.shortened(cells[j])
                        + "\" for a number");
            }
        }
    }
}

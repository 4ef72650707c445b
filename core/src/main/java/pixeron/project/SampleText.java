package pixeron.project;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import pixeron.PixeronException;
import pixeron.format.ReadOptions;
import pixeron.image.ColorImage;
import pixeron.image.Frame;
import pixeron.image.Image;
import pixeron.image.Result;
import pixeron.number.Approximate;
import pixeron.number.Decimals;
import pixeron.number.Value;

/**
 * The samples of an image as lines of text in a project file: one line a row, numbers with a blank between them. Exact
 * samples are whole numbers or fractions; doubles are decimals that read back as the same double.
 */
public final class SampleText {

    private static final String FACES = "faces";

    private SampleText() {
    }

    public static void write(Result input, ObjectNode node) {
        Frame frame = input.frame();
        boolean isExact = input.faces().stream().allMatch(face -> face.image().isExact());
        node.put("rows", frame.rows()).put("columns", frame.columns()).put("maximumLevel", frame.maximumLevel());
        node.put("exact", isExact);
        if (input instanceof Image image) {
            writeLines(image, node.putArray("samples"));
        } else {
            ObjectNode faces = node.putObject(FACES);
            input.faces().forEach(face -> writeLines(face.image(), faces.putArray(face.name())));
        }
    }

    private static void writeLines(Image image, ArrayNode lines) {
        boolean hasLevels = image.isLevelImage();
        StringBuilder line = new StringBuilder();
        for (int i = 0; i < image.rows(); i++) {
            line.setLength(0);
            for (int n = i * image.columns(); n < (i + 1) * image.columns(); n++) {
                if (hasLevels) {
                    // Written while the user works, so without a text of its own for every level.
                    line.append(image.level(n)).append(' ');
                } else {
                    line.append(Decimals.exact(image.value(n))).append(' ');
                }
            }
            line.setLength(line.length() - 1);
            lines.add(line.toString());
        }
    }

    public static Result read(Fields fields) {
        return fields.has(FACES) ? readFaces(fields, fields.object(FACES)) : read(fields, fields, "samples");
    }

    /**
     * @param fields of the image, with its size
     * @param faces has its channels
     */
    static ColorImage readFaces(Fields fields, Fields faces) {
        return new ColorImage(read(fields, faces, "red"), read(fields, faces, "green"), read(fields, faces, "blue"),
                faces.has("alpha") ? Optional.of(read(fields, faces, "alpha")) : Optional.empty());
    }

    private static Image read(Fields fields, Fields samples, String name) {
        return read(samples, name, fields.number("rows"), fields.number("columns"), fields.number("maximumLevel"), fields.flag("exact"));
    }

    private static Image read(Fields fields, String name, int rows, int columns, int maximum, boolean isExact) {
        List<String> lines = fields.texts(name);
        if (rows < 1 || columns < 1 || (long) rows * columns > ReadOptions.DEFAULT_PIXEL_LIMIT) {
            throw fields.problem("rows", "× columns is " + rows + " × " + columns
                    + ", which is not a size of an image");
        } else if (lines.size() != rows) {
            throw fields.problem(name, "has " + lines.size() + " lines for " + rows + " rows");
        }
        // The text must be there before memory for it is taken: a digit and a blank for every sample.
        if (lines.stream().anyMatch(line -> line.length() < 2L * columns - 1)) {
            throw fields.problem(name, "has a line that is too short for " + columns + " columns");
        }
        Value[] values = new Value[rows * columns];
        for (int i = 0; i < rows; i++) {
            readLine(fields, name + "[" + i + "]", lines.get(i), Arrays.asList(values).subList(i * columns,
                    (i + 1) * columns), isExact);
        }
        return Image.from(rows, columns, maximum, values);
    }

    private static void readLine(Fields fields, String name, String line, List<Value> row, boolean isExact) {
        String[] cells = line.strip().split(" +");
        if (cells.length != row.size()) {
            throw fields.problem(name, "has " + cells.length + " numbers for " + row.size() + " columns");
        }
        for (int j = 0; j < cells.length; j++) {
            try {
                Value value = Decimals.parse(cells[j]);
                row.set(j, isExact ? value : Approximate.from(value.asDouble()));
            } catch (PixeronException notANumber) {
                throw fields.problem(name, "has \"" + Decimals.shortened(cells[j]) + "\" for a number");
            }
        }
    }
}

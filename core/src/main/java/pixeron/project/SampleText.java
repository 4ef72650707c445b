package pixeron.project;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import pixeron.PixeronException;
import pixeron.format.ReadOptions;
import pixeron.image.ColourImage;
import pixeron.image.Image;
import pixeron.number.Approximate;
import pixeron.number.Decimals;
import pixeron.number.Value;
import pixeron.step.gray.GrayRule;
import pixeron.step.gray.GraySource;
import pixeron.step.gray.Transparency;

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
        writeLines(image, node.putArray("samples"));
    }

    private static void writeLines(Image image, ArrayNode lines) {
        boolean hasLevels = image.isLevelImage();
        StringBuilder line = new StringBuilder();
        for (int i = 0; i < image.rows(); i++) {
            line.setLength(0);
            for (int n = i * image.columns(); n < (i + 1) * image.columns(); n++) {
                if (hasLevels) {
                    // Written while the person works, so without a text of its own for every level.
                    line.append(image.level(n)).append(' ');
                } else {
                    line.append(Decimals.exact(image.value(n))).append(' ');
                }
            }
            line.setLength(line.length() - 1);
            lines.add(line.toString());
        }
    }

    static void write(GraySource gray, ObjectNode node) {
        node.put("rule", gray.rule().word()).put("transparency", gray.transparency().word());
        ColourImage picture = gray.picture();
        writeLines(picture.red(), node.putArray("red"));
        writeLines(picture.green(), node.putArray("green"));
        writeLines(picture.blue(), node.putArray("blue"));
        picture.alpha().ifPresent(alpha -> writeLines(alpha, node.putArray("alpha")));
    }

    /**
     * @param fields of the colour picture
     * @param gray the image that was made of it; it has the same size and levels
     */
    static GraySource readGray(Fields fields, Image gray) {
        ColourImage picture = new ColourImage(channel(fields, "red", gray), channel(fields, "green", gray),
                channel(fields, "blue", gray),
                fields.has("alpha") ? Optional.of(channel(fields, "alpha", gray)) : Optional.empty());
        return new GraySource(picture, fields.read("rule", GrayRule::parse),
                fields.read("transparency", Transparency::of));
    }

    private static Image channel(Fields fields, String name, Image gray) {
        Image channel = read(fields, name, gray.rows(), gray.columns(), gray.maximumLevel(), true);
        if (!channel.isLevelImage()) {
            throw fields.problem(name, "has a value that is no level from 0 to " + gray.maximumLevel());
        }
        return channel;
    }

    static Image read(Fields fields) {
        int rows = fields.number("rows");
        int columns = fields.number("columns");
        return read(fields, "samples", rows, columns, fields.number("maximumLevel"), fields.flag("exact"));
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

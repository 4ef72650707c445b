package pixeron.format.array;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import pixeron.PixeronException;
import pixeron.image.ColorImage;
import pixeron.image.Image;
import pixeron.image.Result;
import pixeron.number.Decimals;
import pixeron.number.Value;

/** How a result is written as the text of an array. What is written reads back to the same image. */
public enum ArrayNotation {
    PYTHON("Python list", true, false), NUMPY("NumPy array", true, false), JAVA("Java array", true, false), C("C array", true, false), SEMICOLONS("rows with semicolons", false, true),
    JSON("JSON", true, false), LATEX("LaTeX matrix", false, true), MARKDOWN("Markdown table", false, true), COLUMNS("aligned columns", false, true);

    private static final String INDENT = "    ";
    private static final Map<String, ArrayNotation> BY_ENDING = Map.of("py", PYTHON, "json", JSON, "tex", LATEX, "md", MARKDOWN);

    private final String title;
    private final boolean hasColor;
    private final boolean hasFractions;

    ArrayNotation(String title, boolean hasColor, boolean hasFractions) {
        this.title = title;
        this.hasColor = hasColor;
        this.hasFractions = hasFractions;
    }

    /** Returns its name for people. */
    public String title() {
        return title;
    }

    /** Returns its name on the command line. */
    public String word() {
        return name().toLowerCase(Locale.ROOT);
    }

    /**
     * Returns the notation of this name.
     *
     * @throws PixeronException if there is none; names all
     */
    public static ArrayNotation named(String word) {
        return Arrays.stream(values()).filter(notation -> notation.word().equals(word)).findFirst().orElseThrow(() -> PixeronException.of("“%s” is not a notation. Use one of: %s.",
                Decimals.shortened(word), words(notation -> true)));
    }

    /** Returns the notation that files of this ending have; empty where the ending says nothing. */
    public static Optional<ArrayNotation> ofEnding(String ending) {
        return Optional.ofNullable(BY_ENDING.get(ending.toLowerCase(Locale.ROOT)));
    }

    private static String words(java.util.function.Predicate<ArrayNotation> isMeant) {
        return Arrays.stream(values()).filter(isMeant).map(ArrayNotation::word).collect(Collectors.joining(", "));
    }

    /**
     * Returns the text of a result, with a line end after its last line.
     *
     * @param result an image or a color image
     * @param isExact whether fractions are written as such
     * @throws PixeronException if the notation has no colors or no fractions; names those that have
     */
    public String write(Result result, boolean isExact) {
        if (result instanceof ColorImage && !hasColor) {
            throw PixeronException.of("%s holds one channel. For a color image use one of %s, or choose a channel (--component).", word(), words(notation -> notation.hasColor));
        } else if (isExact && !hasFractions) {
            throw PixeronException.of("%s has no fractions. Exact fractions can be written as %s.", word(), words(notation -> notation.hasFractions));
        } else if (!(result instanceof ColorImage) && !(result instanceof Image)) {
            throw PixeronException.of("The result is %s, which is not an array of numbers. Choose a component (--component).", result.kind());
        }
        List<Image> channels = result.faces().stream().map(Result.Face::image).toList();
        Cells cells = new Cells(channels, isExact ? Decimals::exact : Decimals::table);
        return switch (this) {
            case PYTHON -> "image = [\n" + lines(cells, "[", "],", ", ") + "]\n";
            case NUMPY -> "image = np.array([\n" + lines(cells, "[", "],", ", ") + "], dtype=" + type(channels) + ")\n";
            case JAVA -> number(channels) + (channels.size() > 1 ? "[][][]" : "[][]") + " image = {\n" + lines(cells, "{", "},", ", ") + "};\n";
            case C -> number(channels) + " image[" + cells.rows() + "][" + cells.columns() + "]" + (channels.size() > 1 ? "[" + channels.size() + "]" : "") + " = {\n"
                    + lines(cells, "{", "},", ", ") + "};\n";
            case JSON -> "[" + cells.joined("[", "]", ",", ",") + "]\n";
            case SEMICOLONS -> "[" + cells.joined("", "", ";\n ", " ") + "]\n";
            case LATEX -> "\\begin{bmatrix}\n" + cells.with(text -> inLatex(text)).joined("", "", " \\\\\n", " & ") + "\n\\end{bmatrix}\n";
            case MARKDOWN -> markdown(cells);
            case COLUMNS -> aligned(cells);
        };
    }

    private static String lines(Cells cells, String open, String close, String separator) {
        return IntStream.range(0, cells.rows()).mapToObj(i -> INDENT + open + cells.row(i, open.equals("{") ? "{" : "[", open.equals("{") ? "}" : "]", separator) + close + "\n")
                .collect(Collectors.joining());
    }

    private static boolean areLevels(List<Image> channels) {
        return channels.stream().allMatch(Image::isLevelImage);
    }

    private static String type(List<Image> channels) {
        return !areLevels(channels) ? "np.float64" : channels.get(0).maximumLevel() > Image.BYTE_MAXIMUM ? "np.uint16" : "np.uint8";
    }

    private static String number(List<Image> channels) {
        boolean areWhole = channels.stream().allMatch(image -> IntStream.range(0, image.count()).allMatch(n -> image.value(n).isWhole()));
        return areWhole ? "int" : "double";
    }

    private static String inLatex(String text) {
        int slash = text.indexOf('/');
        boolean isNegative = text.startsWith("-");
        return slash < 0 ? text : (isNegative ? "-" : "") + "\\frac{" + text.substring(isNegative ? 1 : 0, slash) + "}{" + text.substring(slash + 1) + "}";
    }

    private static String markdown(Cells cells) {
        String head = IntStream.range(0, cells.columns()).mapToObj(j -> " " + j + " |").collect(Collectors.joining());
        StringBuilder text = new StringBuilder("| |" + head + "\n|---:|" + "---:|".repeat(cells.columns()) + "\n");
        for (int i = 0; i < cells.rows(); i++) {
            text.append("| ").append(i).append(" | ").append(cells.row(i, "", "", " | ")).append(" |\n");
        }
        return text.toString();
    }

    private static String aligned(Cells cells) {
        int[] widths = new int[cells.columns()];
        for (int j = 0; j < widths.length; j++) {
            int column = j;
            widths[j] = IntStream.range(0, cells.rows()).map(i -> cells.text(i, column).length()).max().orElse(0);
        }
        StringBuilder text = new StringBuilder();
        for (int i = 0; i < cells.rows(); i++) {
            for (int j = 0; j < widths.length; j++) {
                text.append(j == 0 ? "" : "  ").append(" ".repeat(widths[j] - cells.text(i, j).length())).append(cells.text(i, j));
            }
            text.append('\n');
        }
        return text.toString();
    }

    /** The texts of all cells; a pixel with channels has all of them in brackets. */
    private record Cells(List<Image> channels, Function<Value, String> written) {

        int rows() {
            return channels.get(0).rows();
        }

        int columns() {
            return channels.get(0).columns();
        }

        Cells with(Function<String, String> change) {
            return new Cells(channels, written.andThen(change));
        }

        String text(int row, int column) {
            return written.apply(channels.get(0).value(row * columns() + column));
        }

        String row(int row, String open, String close, String separator) {
            return IntStream.range(0, columns()).mapToObj(j -> channels.size() == 1 ? text(row, j)
                    : open + channels.stream().map(channel -> written.apply(channel.value(row * columns() + j))).collect(Collectors.joining(separator)) + close).collect(Collectors.joining(separator));
        }

        String joined(String open, String close, String betweenRows, String separator) {
            return IntStream.range(0, rows()).mapToObj(i -> open + row(i, "[", "]", separator) + close).collect(Collectors.joining(betweenRows));
        }
    }
}

package pixeron.format.array;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.IntFunction;
import java.util.function.UnaryOperator;
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
    PYTHON("Python list", true, false, "None"), NUMPY("NumPy array", true, false, "np.nan"), JAVA("Java array", true, false, null), C("C array", true, false, null),
    SEMICOLONS("rows with semicolons", false, true, "NaN"), JSON("JSON", true, false, "null"), LATEX("LaTeX matrix", false, true, ""), MARKDOWN("Markdown table", false, true, ""),
    COLUMNS("aligned columns", false, true, "NA");

    private static final String INDENT = "    ";
    private static final Map<String, ArrayNotation> BY_ENDING = Map.of("py", PYTHON, "json", JSON, "tex", LATEX, "md", MARKDOWN);

    private final String title;
    private final boolean hasColor;
    private final boolean hasFractions;
    /** What is written for an empty cell; null where arrays have none. */
    private final String nothing;

    ArrayNotation(String title, boolean hasColor, boolean hasFractions, String nothing) {
        this.title = title;
        this.hasColor = hasColor;
        this.hasFractions = hasFractions;
        this.nothing = nothing;
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
        Function<Value, String> written = isExact ? Decimals::exact : Decimals::table;
        Image first = channels.get(0);
        Cells cells = new Cells(first.rows(), first.columns(), n -> channels.stream().map(channel -> written.apply(channel.value(n))).toList());
        return text(cells, ", dtype=" + type(channels), number(channels), channels.size());
    }

    /**
     * Returns the text of values by hand, as they were written.
     *
     * @param rows at least 1
     * @param columns at least 1
     * @param text what is in the cell at a row-major offset; empty for nothing
     * @throws PixeronException if a cell is empty and arrays of this notation have no empty cells
     */
    public String writeByHand(int rows, int columns, IntFunction<String> text) {
        boolean hasBlanks = IntStream.range(0, rows * columns).anyMatch(n -> text.apply(n).isBlank());
        if (hasBlanks && nothing == null) {
            throw PixeronException.of("A %s has no empty cells. Fill all cells, or choose another notation.", title);
        }
        boolean areWhole = IntStream.range(0, rows * columns).allMatch(n -> text.apply(n).matches("-?\\d+"));
        return text(new Cells(rows, columns, n -> List.of(text.apply(n).isBlank() ? nothing : text.apply(n))), "", areWhole ? "int" : "double", 1);
    }

    /**
     * @param type what follows the values of a NumPy array
     * @param number the type of a value in Java and C
     */
    private String text(Cells cells, String type, String number, int channels) {
        return switch (this) {
            case PYTHON -> "image = [\n" + lines(cells, "[", "],", ", ") + "]\n";
            case NUMPY -> "image = np.array([\n" + lines(cells, "[", "],", ", ") + "]" + type + ")\n";
            case JAVA -> number + (channels > 1 ? "[][][]" : "[][]") + " image = {\n" + lines(cells, "{", "},", ", ") + "};\n";
            case C -> number + " image[" + cells.rows() + "][" + cells.columns() + "]" + (channels > 1 ? "[" + channels + "]" : "") + " = {\n" + lines(cells, "{", "},", ", ") + "};\n";
            case JSON -> "[" + cells.joined("[", "]", ",", ",") + "]\n";
            case SEMICOLONS -> "[" + cells.joined("", "", ";\n ", " ") + "]\n";
            case LATEX -> "\\begin{bmatrix}\n" + cells.with(ArrayNotation::inLatex).joined("", "", " \\\\\n", " & ") + "\n\\end{bmatrix}\n";
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
        return slash < 0 || !text.matches("-?[\\d.]+/[\\d.]+") ? text : (isNegative ? "-" : "") + "\\frac{" + text.substring(isNegative ? 1 : 0, slash) + "}{" + text.substring(slash + 1) + "}";
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

    /**
     * The texts of all cells; a pixel with channels has all of them in brackets.
     *
     * @param at the texts at a row-major offset, one for each channel
     */
    private record Cells(int rows, int columns, IntFunction<List<String>> at) {

        Cells with(UnaryOperator<String> change) {
            return new Cells(rows, columns, n -> at.apply(n).stream().map(change).toList());
        }

        String text(int row, int column) {
            return at.apply(row * columns + column).get(0);
        }

        String row(int row, String open, String close, String separator) {
            return IntStream.range(row * columns, (row + 1) * columns).mapToObj(at).map(texts -> texts.size() == 1 ? texts.get(0)
                    : open + String.join(separator, texts) + close).collect(Collectors.joining(separator));
        }

        String joined(String open, String close, String betweenRows, String separator) {
            return IntStream.range(0, rows).mapToObj(i -> open + row(i, "[", "]", separator) + close).collect(Collectors.joining(betweenRows));
        }
    }
}

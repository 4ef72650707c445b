package pixeron.loop;

import java.util.List;
import java.util.stream.IntStream;
import pixeron.image.Image;

/**
 * A whole program: it reads an image from a CSV, does a loop over all pixels of the result, and writes a CSV. Each turn of the loop gives the variable
 * {@code s}.
 *
 * @param name of the step, such as {@code equalize}
 * @param line the step's line
 * @param inputs the grids that are read, one from each file; H and W are rows and columns of the first
 * @param start what is done before the loop
 * @param rows of the result
 * @param columns of the result
 * @param body what is done for the pixel (i, j)
 */
public record LoopProgram(String name, String line, List<Input> inputs, List<Statement> start, Code rows, Code columns, List<Statement> body) {

    /** The image before, and nothing else. */
    public static final List<Input> BEFORE = List.of(new Input("before", false));
    /** The image before, and another one. */
    public static final List<Input> BEFORE_AND_OTHER = List.of(new Input("before", false), new Input("other", false));

    /**
     * A grid that is read from a file.
     *
     * @param grid its name
     * @param isReal whether its numbers need not be whole
     */
    public record Input(String grid, boolean isReal) {

        String file() {
            return (grid.equals("before") ? "in" : grid) + ".csv";
        }
    }

    public LoopProgram {
        inputs = List.copyOf(inputs);
        start = List.copyOf(start);
        body = List.copyOf(body);
    }

    /** A program that reads one image. */
    public LoopProgram(String name, String line, List<Statement> start, Code rows, Code columns, List<Statement> body) {
        this(name, line, BEFORE, start, rows, columns, body);
    }

    /**
     * Returns the same, where those with fractions are read as numbers that need not be whole.
     *
     * @param images that the inputs are made for, in their order
     */
    public LoopProgram reading(Image... images) {
        List<Input> read = IntStream.range(0, inputs.size()).mapToObj(n -> n < images.length && !isWhole(images[n]) ? new Input(inputs.get(n).grid(), true) : inputs.get(n)).toList();
        return new LoopProgram(name, line, read, start, rows, columns, body);
    }

    /** Returns whether a program reads the samples of an image as whole numbers. */
    public static boolean isWhole(Image image) {
        return image.isLevelImage() || image.isExact() && IntStream.range(0, image.count()).allMatch(n -> image.value(n).isWhole());
    }

    /** Where a program is to be written by another person. */
    static final List<Statement> OPEN = List.of(new Statement.Words("s is calculated here from before, i and j"), Statement.set("s", Code.of(0)));

    /** Returns the same with the body of the loop left open. */
    public LoopProgram open() {
        // How large the result is, and its levels are, stays in the program.
        List<Statement> sizes = start.stream().filter(statement -> statement instanceof Statement.Set set
                && List.of(rows, columns, Code.name("M")).contains(Code.name(set.name()))).toList();
        return new LoopProgram(name, line, inputs, sizes, rows, columns, OPEN);
    }

    /** Returns it in Python, with the standard library only. */
    public String python() {
        return new PythonText(this).text();
    }

    /** Returns it in Java, for {@code java File.java}. */
    public String java() {
        return new JavaText(this).text();
    }

    /** Returns a name for the class in Java: Equalize, ThresholdOtsu. */
    public String className() {
        StringBuilder title = new StringBuilder();
        for (String part : name.split("[^a-z0-9]+")) {
            title.append(Character.toUpperCase(part.charAt(0))).append(part.substring(1));
        }
        return title.toString();
    }
}

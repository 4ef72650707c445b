package pixeron.exercise;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.IntStream;
import pixeron.PixeronException;
import pixeron.chain.Chain;
import pixeron.chain.Stage;
import pixeron.image.Frame;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.image.Result;
import pixeron.project.Origin;
import pixeron.project.Project;
import pixeron.step.Bound;
import pixeron.step.Operation;
import pixeron.step.Progress;
import pixeron.step.Step;
import pixeron.step.pointwise.PointStep;
import pixeron.step.table.PixelTable;
import pixeron.working.Table;

/**
 * One drawing of an exercise. Immutable.
 *
 * @param exercise it is drawn from
 * @param number from 1
 * @param draw how often it was drawn again until the wishes held, from 0
 * @param values what was drawn for each choice
 * @param chain the image and its steps
 */
public record Variant(Exercise exercise, int number, int draw, Map<String, String> values, Chain chain) {

    /** Returns its code. */
    public Code code() {
        return new Code(Code.of(exercise), number);
    }

    /** Returns the task in words, with the values that were drawn. */
    public String task() {
        return Exercise.filled(exercise.task(), number, values);
    }

    /** Returns a step of it as it is told to whoever solves it: its title, and its formula where it has one. */
    public static String words(Step step) {
        String formula = step.type().formula(step.arguments());
        return step.type().title().toLowerCase(Locale.ROOT) + (formula.isEmpty() ? "" : ",  " + formula);
    }

    /** Returns what is above the numbers of a face of the image. */
    public String title(Result.Face face) {
        Result input = chain.input();
        return (input.faces().size() == 1 ? "Image" : "Image, " + face.name()) + ", levels 0–" + input.frame().maximumLevel();
    }

    /** Returns it as work without a value by hand. */
    public Project project() {
        return Project.of(code() + " · " + exercise.title(), Origin.exercise(), chain);
    }

    /** Returns a part of what is asked, with its right values. */
    public Part part(Asked asked) {
        Stage stage = chain.stage(asked.position());
        stage.after(Progress.NONE).required();
        Bound bound = stage.bound(Progress.NONE).orElseThrow();
        // Tables of a result with several faces are of all of them together; they are with the first.
        String face = asked.face().equals(Image.VALUE) && !asked.isOfResult() ? bound.faces().get(0) : asked.face();
        Operation operation = bound.face(face).orElseThrow(() -> PixeronException.of("The result of step %d has the components %s. Choose one of them with \"component\".",
                asked.step(), String.join(", ", bound.faces())));
        Asked.What what = asked.what();
        if (asked.isOfResult()) {
            List<Pixel> pixels = pixels(what, operation.frame());
            return new Part.OfCells(asked, operation, face, pixels);
        }
        String name = what instanceof Asked.Column column ? column.table() : what instanceof Asked.OnTheWay way ? PixelTable.name(way.pixel())
                : PointStep.CONSTANTS.name();
        Table table = PixelTable.named(operation, name).orElseThrow(() -> PixeronException.of(
                "Step %d (%s) has no %s. It has %s.", asked.step(), operation.step().type().name(), what instanceof Asked.OnTheWay way
                        ? "pixel at " + way.pixel() : "table \"" + name + "\"", operation.tables().isEmpty() ? "no tables"
                                : "the tables " + String.join(", ", operation.tables().stream().map(Table::name).toList())));
        List<String> columns = what instanceof Asked.Column column ? List.of(column.column()) : table.columns();
        for (String column : columns) {
            if (!table.columns().contains(column) || !table.isFillable(column)) {
                throw PixeronException.of("The table \"%s\" of step %d has no column \"%s\" to fill in. It has %s.", name, asked.step(), column,
                        String.join(", ", table.columns().stream().filter(table::isFillable).toList()));
            }
        }
        return new Part.OfTable(asked, operation, face, table, columns);
    }

    private static List<Pixel> pixels(Asked.What what, Frame frame) {
        List<Pixel> pixels = what instanceof Asked.Some some ? some.pixels() : what instanceof Asked.Part part
                ? IntStream.range(0, part.area().count()).mapToObj(n -> new Pixel(part.area().row() + n / part.area().width(),
                        part.area().column() + n % part.area().width())).toList()
                : IntStream.range(0, frame.count()).mapToObj(frame::pixel).toList();
        pixels.stream().filter(pixel -> !frame.contains(pixel)).findFirst().ifPresent(pixel -> {
            throw PixeronException.of("The exercise asks for the cell at %s, but the result has %d × %d cells.", pixel, frame.rows(), frame.columns());
        });
        return pixels;
    }

    /** Returns all parts of what is asked, in their order. */
    public List<Part> parts() {
        List<Part> parts = new ArrayList<>();
        exercise.asked().forEach(asked -> parts.add(part(asked)));
        return parts;
    }
}

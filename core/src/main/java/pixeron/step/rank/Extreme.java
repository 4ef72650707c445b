package pixeron.step.rank;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import pixeron.formula.Function;
import pixeron.formula.Operator;
import pixeron.loop.Code;
import pixeron.loop.Statement;
import pixeron.number.Decimals;
import pixeron.number.Rational;
import pixeron.number.Value;
import pixeron.step.neighborhood.Neighborhood;
import pixeron.step.neighborhood.Reduced;
import pixeron.step.neighborhood.Reduction;
import pixeron.step.neighborhood.Window;
import pixeron.step.neighborhood.WindowText;
import pixeron.working.Line;
import pixeron.working.LoopWriter;
import pixeron.working.Role;
import pixeron.working.Run;

/** The smallest or the largest value of the cells that a shape has; the pixel's own where none of them is there. */
final class Extreme implements Reduction<Optional<Value>> {

    private final boolean[][] shape;
    private final boolean isLeast;
    private final String word;
    private final String source;

    /**
     * @param shape which cells of the window count, as they lie on the image
     * @param source what the image that is read is called in a loop
     */
    Extreme(boolean[][] shape, boolean isLeast, String source) {
        this.shape = shape;
        this.isLeast = isLeast;
        this.word = isLeast ? "smallest" : "largest";
        this.source = source;
    }

    @Override
    public Optional<Reduced> program() {
        String grid = source.equals("before") ? "shape" : "shape_on_" + source;
        List<List<Value>> rows = Arrays.stream(shape).map(row -> IntStream.range(0, row.length).<Value>mapToObj(j -> Rational.of(row[j] ? 1 : 0)).toList()).toList();
        Code found = Code.name("found");
        Code better = new Code.Call(isLeast ? Function.MIN : Function.MAX, List.of(Code.name(word), Code.name("v")));
        Statement take = new Statement.When(new Code.Binary(Operator.EQUAL, new Code.Cell(grid, Code.name("a"), Code.name("b")), Code.of(1)), List.of(
                Statement.set(word, new Code.Choice(new Code.Binary(Operator.EQUAL, found, Code.of(0)), Code.name("v"), better)), Statement.set("found", Code.of(1))),
                List.of());
        Code own = new Code.Cell(source, Code.name("i"), Code.name("j"));
        return Optional.of(new Reduced(List.of(new Statement.Grid(grid, rows)), List.of(Statement.set(word, Code.of(0)), Statement.set("found", Code.of(0))),
                List.of(take), List.of(Statement.set("s", new Code.Choice(new Code.Binary(Operator.EQUAL, found, Code.of(1)), Code.name(word), own)))));
    }

    @Override
    public String name() {
        return "s";
    }

    @Override
    public boolean counts(Window.Cell cell) {
        return shape[cell.row()][cell.column()] && cell.value().isPresent();
    }

    @Override
    public Optional<Value> none() {
        return Optional.empty();
    }

    @Override
    public Optional<Value> with(Optional<Value> taken, Window.Cell cell) {
        return taken.isEmpty() || cell.value().orElseThrow().compareValue(taken.get()) <= 0 == isLeast ? cell.value() : taken;
    }

    @Override
    public Value value(Optional<Value> taken, Neighborhood around) {
        return taken.orElse(around.sample());
    }

    @Override
    public List<Line> lines(Neighborhood around) {
        List<Line> lines = new ArrayList<>();
        Window window = around.window();
        if (WindowText.isShown(window.height(), window.width())) {
            lines.addAll(WindowText.grid("shape", isLeast ? "" : "   rotated by 180°", window.width(), around.cells(),
                    cell -> Run.plain(shape[cell.row()][cell.column()] ? "1" : "0")));
            lines.addAll(WindowText.grid("count", "", window.width(), around.cells(), cell -> counts(cell)
                    ? new Run(Decimals.working(cell.value().orElseThrow()), Role.BEFORE) : Run.plain("·")));
        }
        long count = around.cells().stream().filter(this::counts).count();
        lines.add(Line.of("this pixel", Run.plain("s = " + (count == 0 ? "" : word + " = ") + Decimals.working(of(around))),
                Run.note(count == 0 ? "   no cell of the structuring element is inside: the pixel stays" : "   of " + count + " cells")));
        return lines;
    }

    @Override
    public String start() {
        return word + " ← none yet";
    }

    @Override
    public String head(Window window) {
        return "for each cell (a, b) where the " + (isLeast ? "" : "rotated ") + "structuring element has 1";
    }

    @Override
    public String each() {
        return word + " ← the " + (isLeast ? "smaller" : "larger") + " of " + word + " and " + source + "[i+a][j+b]";
    }

    @Override
    public Optional<String> end() {
        return Optional.of("s ← " + word + "; " + source + "[i][j] if there is none");
    }

    @Override
    public void show(Optional<Value> taken, LoopWriter out) {
        out.set(word, taken.map(Decimals::working).orElse("none"));
    }
}

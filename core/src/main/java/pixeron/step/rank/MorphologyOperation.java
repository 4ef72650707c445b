package pixeron.step.rank;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.number.Decimals;
import pixeron.number.Value;
import pixeron.step.Step;
import pixeron.step.neighborhood.Codes;
import pixeron.step.neighborhood.Plane;
import pixeron.step.neighborhood.Window;
import pixeron.step.neighborhood.WindowOperation;
import pixeron.step.neighborhood.WindowText;
import pixeron.working.Line;
import pixeron.working.LoopWriter;
import pixeron.working.Role;
import pixeron.working.Run;

/** One pass of morphology over an image: the least or the largest value of the cells that the shape has. */
final class MorphologyOperation extends WindowOperation {

    private final boolean[][] shape;
    private final boolean isEroding;
    private final String source;

    /**
     * @param shape which cells of the window count, as they lie on the image
     * @param source what the image that is read is called in a loop
     */
    MorphologyOperation(Step step, Image before, Window window, boolean[][] shape, boolean isEroding, String source) {
        super(step, before, window);
        this.shape = shape;
        this.isEroding = isEroding;
        this.source = source;
    }

    private boolean counts(Window.Cell cell) {
        return shape[cell.row()][cell.column()] && cell.value().isPresent();
    }

    private Value better(Value a, Value b) {
        return a.compareValue(b) <= 0 == isEroding ? a : b;
    }

    @Override
    protected Value valueOf(Pixel pixel, List<Window.Cell> cells) {
        return cells.stream().filter(this::counts).map(cell -> cell.value().get()).reduce(this::better)
                .orElseGet(() -> before().value(pixel));
    }

    @Override
    protected Optional<Codes> codes() {
        return Plane.isPossible(before(), window())
                ? Optional.of(new ExtremeCodes(before(), window(), isEroding, Optional.of(shape))) : Optional.empty();
    }

    private String word() {
        return isEroding ? "least" : "largest";
    }

    @Override
    protected List<Line> work(Pixel pixel, List<Window.Cell> cells) {
        List<Line> lines = new ArrayList<>(WindowText.lines(window(), pixel, cells));
        if (WindowText.isShown(window().height(), window().width())) {
            lines.addAll(WindowText.grid("shape", isEroding ? "" : "   turned by 180°", window().width(), cells, cell ->
                    Run.plain(shape[cell.row()][cell.column()] ? "1" : "0")));
            lines.addAll(WindowText.grid("count", "", window().width(), cells, cell -> counts(cell)
                    ? new Run(Decimals.working(cell.value().get()), Role.BEFORE) : Run.plain("·")));
        }
        long count = cells.stream().filter(this::counts).count();
        lines.add(Line.of("this pixel", Run.plain("s = " + (count == 0 ? "" : word() + " = ")
                + Decimals.working(valueOf(pixel, cells))), Run.note(count == 0
                ? "   no cell of the shape is inside, the pixel stays" : "   of " + count + " cells")));
        return lines;
    }

    @Override
    protected void follow(LoopWriter out, Pixel pixel, List<Window.Cell> cells) {
        Optional<Value> best = Optional.empty();
        String each = "for each cell (a, b) where the " + (isEroding ? "" : "turned ") + "shape has 1";
        String better = word() + " ← the " + (isEroding ? "smaller" : "larger") + " of " + word() + " and " + source
                + "[i+a][j+b]";
        out.set(word(), "none").line(0, word() + " ← none yet").mention(0, each).mention(1, better);
        for (Window.Cell cell : cells) {
            out.takeCell();
            if (counts(cell)) {
                WindowText.place(out, window(), cell);
                out.line(0, each);
                Value value = cell.value().get();
                best = Optional.of(best.map(known -> better(known, value)).orElse(value));
                out.set(word(), best.get()).line(1, better);
            }
        }
        out.set("s", valueOf(pixel, cells)).line(0, "s ← " + word() + "; " + source + "[i][j] if there is none");
    }
}

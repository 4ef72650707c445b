package pixeron.step.neighborhood;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import pixeron.PixeronException;
import pixeron.image.Area;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.number.Decimals;
import pixeron.number.Value;
import pixeron.step.Explained;
import pixeron.step.Finish;
import pixeron.step.Operation;
import pixeron.step.Place;
import pixeron.step.Progress;
import pixeron.step.Step;
import pixeron.step.StepType;
import pixeron.working.Line;
import pixeron.working.LoopWriter;
import pixeron.working.Run;
import pixeron.working.Working;

/**
 * A step bound to an image whose result at a pixel comes from a window around it: what the area, the border and a smaller
 * result mean is the same for all of them. A subclass says what becomes of the cells of one window.
 */
public abstract class WindowOperation implements Operation {

    private static final int ALL_CELLS = -1;

    private final Step step;
    private final Image before;
    private final Sight asIs;
    private final Window window;
    private final Optional<Area> area;
    private final Finish finish;

    protected WindowOperation(Step step, Image before, Window window) {
        this.asIs = new Sight(before::value, ALL_CELLS);
        window.requireFit(before);
        this.step = step;
        this.before = before;
        this.window = window;
        this.area = step.arguments().find(StepType.AREA).map(a -> a.requireInside(before));
        this.finish = Finish.of(step, before.maximumLevel());
    }

    /** @return the value of a pixel of the image before with these cells around it, before rounding */
    protected abstract Value valueOf(Pixel pixel, List<Window.Cell> cells);

    /** @return the lines that lead to {@link #valueOf} */
    protected abstract List<Line> work(Pixel pixel, List<Window.Cell> cells);

    /**
     * Goes through the loop that leads to the value before rounding, which is called s.
     *
     * @param out gets the lines as they are done
     */
    protected abstract void follow(LoopWriter out, Pixel pixel, List<Window.Cell> cells);

    /** @return the fast way to all pixels, where there is one */
    protected Optional<Codes> codes() {
        return Optional.empty();
    }

    /** @return the result where there is a faster way than window by window */
    protected Optional<Image> fastResult(Progress progress) {
        return codes().map(codes -> new BulkResult(this, codes).result(progress));
    }

    @Override
    public final Image before() {
        return before;
    }

    public final Window window() {
        return window;
    }

    protected final Finish finish() {
        return finish;
    }

    /** @return whether a pixel of the image before keeps its value, neither rounded nor clipped */
    protected final boolean isKept(Pixel pixel) {
        return !isInArea(pixel) || window.border() == Border.KEEP && !window.fits(before, pixel);
    }

    final boolean keepsSome() {
        return area.isPresent() || window.border() == Border.KEEP;
    }

    private boolean isInArea(Pixel pixel) {
        return area.isEmpty() || area.get().contains(pixel.row(), pixel.column());
    }

    @Override
    public final boolean contains(Pixel pixel) {
        return pixel.row() >= 0 && pixel.column() >= 0 && pixel.row() < window.rowsOf(before)
                && pixel.column() < window.columnsOf(before);
    }

    @Override
    public final Image result(Progress progress) {
        return fastResult(progress).orElseGet(() -> each(progress, pixel -> written(pixel, asIs)));
    }

    /** @return an image of the result's size, whose values come from the pixels of the image before */
    protected final Image each(Progress progress, Function<Pixel, Value> value) {
        int rows = window.rowsOf(before);
        int columns = window.columnsOf(before);
        Value[] values = new Value[rows * columns];
        for (int i = 0; i < rows; i++) {
            for (int j = 0; j < columns; j++) {
                values[i * columns + j] = value.apply(window.source(new Pixel(i, j)));
            }
            progress.report((double) i / rows);
        }
        return Image.from(rows, columns, before.maximumLevel(), values);
    }

    private Value written(Pixel pixel, Sight sight) {
        return isKept(pixel) ? sight.read.apply(pixel) : finish.apply(exactOf(pixel, sight));
    }

    private Value exactOf(Pixel pixel, Sight sight) {
        return isKept(pixel) ? sight.read.apply(pixel) : valueOf(pixel, cells(pixel, sight));
    }

    private List<Window.Cell> cells(Pixel pixel, Sight sight) {
        List<Window.Cell> all = window.cells(before, pixel, sight.read);
        if (sight.dropped == ALL_CELLS) {
            return all;
        }
        List<Window.Cell> fewer = new ArrayList<>(all);
        fewer.set(sight.dropped, all.get(sight.dropped).blank());
        if (fewer.stream().noneMatch(cell -> cell.value().isPresent())) {
            throw PixeronException.of("%s: at %s no cell of the window is left.", step.line(), pixel);
        }
        return fewer;
    }

    @Override
    public final Value exact(Pixel result) {
        return exactOf(window.source(result), asIs);
    }

    @Override
    public final Value value(Pixel result) {
        return written(window.source(result), asIs);
    }

    @Override
    public final Working explain(Pixel result) {
        return explain(result, asIs);
    }

    private Working explain(Pixel result, Sight sight) {
        Pixel pixel = window.source(result);
        String title = step.line() + ", " + result + (pixel.equals(result) ? "" : " (before: " + pixel + ")");
        if (isKept(pixel)) {
            Value sample = sight.read.apply(pixel);
            String why = isInArea(pixel) ? "the window leaves the image, the pixel keeps its value"
                    : "outside the area, the pixel keeps its value";
            return new Working(title, List.of(Line.of(isInArea(pixel) ? "border" : "area",
                    Run.after(Decimals.working(sample)), Run.note("   " + why))), sample, sample);
        }
        List<Window.Cell> cells = cells(pixel, sight);
        List<Line> lines = new ArrayList<>(work(pixel, cells));
        Value exact = valueOf(pixel, cells);
        lines.addAll(finish.explain(exact));
        return new Working(title, lines, exact, finish.apply(exact));
    }

    @Override
    public final void follow(Pixel result, LoopWriter out) {
        follow(result, out, asIs);
    }

    private void follow(Pixel result, LoopWriter out, Sight sight) {
        Pixel pixel = window.source(result);
        if (window.border() == Border.CROP) {
            out.set("before at", pixel.row() + ", " + pixel.column());
        }
        String stays = (area.isPresent() ? "unless (i, j) is in the area" : "unless the whole window is inside")
                + ": after[i][j] ← before[i][j]";
        if (isKept(pixel)) {
            out.set("after[i][j]", sight.read.apply(pixel)).line(0, stays).onlyWriteFromNowOn();
        } else if (keepsSome()) {
            out.mention(0, stays);
        }
        List<Window.Cell> cells = cells(pixel, sight);
        follow(out, pixel, cells);
        finish.follow(out, valueOf(pixel, cells));
    }

    @Override
    public final Optional<Explained> reading(Function<Pixel, Value> read) {
        return window.border() == Border.CROP ? Optional.empty() : Optional.of(new Seen(new Sight(read, ALL_CELLS)));
    }

    @Override
    public final List<Place> cells(Pixel result) {
        Pixel pixel = window.source(result);
        return !contains(result) || isKept(pixel) ? List.of() : window.cells(before, pixel).stream().map(cell ->
                new Place(pixel.row() + cell.row() - window.anchorRow(), pixel.column() + cell.column()
                        - window.anchorColumn(), cell.source(), cell.value(), cell.isInside())).toList();
    }

    @Override
    public final Optional<Explained> missing(int cell) {
        return window.border() == Border.CROP ? Optional.empty() : Optional.of(new Seen(new Sight(before::value, cell)));
    }

    /**
     * What is seen around a pixel.
     *
     * @param read gives what is read at a pixel
     * @param dropped the cell of each window that is left out; {@link #ALL_CELLS} for none
     */
    private record Sight(Function<Pixel, Value> read, int dropped) {
    }

    /** The same step with other values around each pixel, or one fewer. */
    private final class Seen implements Explained {

        private final Sight sight;

        Seen(Sight sight) {
            this.sight = sight;
        }

        @Override
        public boolean contains(Pixel pixel) {
            return WindowOperation.this.contains(pixel);
        }

        @Override
        public Value exact(Pixel pixel) {
            return exactOf(pixel, sight);
        }

        @Override
        public Value value(Pixel pixel) {
            return written(pixel, sight);
        }

        @Override
        public Working explain(Pixel pixel) {
            return WindowOperation.this.explain(pixel, sight);
        }

        @Override
        public void follow(Pixel pixel, LoopWriter out) {
            WindowOperation.this.follow(pixel, out, sight);
        }
    }

    /** @return the number, with brackets where it is negative */
    public static String text(Value value) {
        return value.signum() < 0 ? "(" + Decimals.working(value) + ")" : Decimals.working(value);
    }

    /** @return ≈ and the number as a decimal where it is written as a fraction; else nothing */
    public static String nearly(Value value) {
        return Decimals.isShownAsFraction(value) ? " ≈ " + Decimals.approximate(value) : "";
    }
}

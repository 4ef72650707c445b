package pixeron.step.neighborhood;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import pixeron.image.Area;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.number.Decimals;
import pixeron.number.Value;
import pixeron.step.Finish;
import pixeron.step.Operation;
import pixeron.step.Progress;
import pixeron.step.Step;
import pixeron.step.StepType;
import pixeron.working.Line;
import pixeron.working.Run;
import pixeron.working.Working;

/**
 * A step bound to an image whose result at a pixel comes from a window around it: what the area, the border and a smaller
 * result mean is the same for all of them. A subclass says what becomes of one window.
 */
abstract class WindowOperation implements Operation {

    private final Step step;
    private final Image before;
    private final Window window;
    private final Optional<Area> area;
    private final Finish finish;

    WindowOperation(Step step, Image before, Window window) {
        window.requireFit(before);
        this.step = step;
        this.before = before;
        this.window = window;
        this.area = step.arguments().find(StepType.AREA).map(a -> a.requireInside(before));
        this.finish = Finish.of(step, before.maximumLevel());
    }

    /** @return the value of a pixel of the image before, before rounding */
    abstract Value valueOf(Pixel pixel);

    /** @return the lines that lead to {@link #valueOf} */
    abstract List<Line> work(Pixel pixel);

    @Override
    public final Image before() {
        return before;
    }

    final Window window() {
        return window;
    }

    final Finish finish() {
        return finish;
    }

    /** @return whether a pixel of the image before keeps its value, neither rounded nor clipped */
    final boolean isKept(Pixel pixel) {
        return !isInArea(pixel) || window.border() == Border.KEEP && !window.fits(before, pixel);
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
    public Image result(Progress progress) {
        return each(progress, this::written);
    }

    private Value written(Pixel pixel) {
        return isKept(pixel) ? before.value(pixel) : finish.apply(valueOf(pixel));
    }

    /** @return an image of the result's size, whose values come from the pixels of the image before */
    final Image each(Progress progress, Function<Pixel, Value> value) {
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

    @Override
    public final Value exact(Pixel result) {
        Pixel pixel = window.source(result);
        return isKept(pixel) ? before.value(pixel) : valueOf(pixel);
    }

    @Override
    public final Value value(Pixel result) {
        return written(window.source(result));
    }

    @Override
    public final Working explain(Pixel result) {
        Pixel pixel = window.source(result);
        Value sample = before.value(pixel);
        String title = step.line() + ", " + result + (pixel.equals(result) ? "" : " (before: " + pixel + ")");
        if (isKept(pixel)) {
            String why = isInArea(pixel) ? "the window leaves the image, the pixel keeps its value"
                    : "outside the area, the pixel keeps its value";
            return new Working(title, List.of(Line.of(isInArea(pixel) ? "border" : "area",
                    Run.after(Decimals.working(sample)), Run.note("   " + why))), sample, sample);
        }
        List<Line> lines = new ArrayList<>(work(pixel));
        Value exact = valueOf(pixel);
        lines.addAll(finish.explain(exact));
        return new Working(title, lines, exact, finish.apply(exact));
    }

    /** @return the number, with brackets where it is negative, and nearly as a decimal where it is a fraction */
    static String text(Value value) {
        return value.signum() < 0 ? "(" + Decimals.working(value) + ")" : Decimals.working(value);
    }

    static String nearly(Value value) {
        return Decimals.isShownAsFraction(value) ? " ≈ " + Decimals.approximate(value) : "";
    }
}

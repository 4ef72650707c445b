package pixeron.step.neighborhood;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import pixeron.image.Area;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.number.Decimals;
import pixeron.number.Rational;
import pixeron.number.Value;
import pixeron.step.Finish;
import pixeron.step.Operation;
import pixeron.step.Progress;
import pixeron.step.Step;
import pixeron.step.StepType;
import pixeron.working.Line;
import pixeron.working.Run;
import pixeron.working.Working;

/** A local threshold bound to an image. */
final class LocalThresholdOperation implements Operation {

    private final Step step;
    private final Image before;
    private final Window window;
    private final Optional<Area> area;
    private final Value offset;
    private final Value low;
    private final Value high;
    private final Finish finish;

    LocalThresholdOperation(Step step, Image before, Window window) {
        int maximum = before.maximumLevel();
        this.step = step;
        this.before = before;
        this.window = window;
        this.area = step.arguments().find(StepType.AREA).map(a -> a.requireInside(before));
        this.offset = step.arguments().get(LocalThreshold.OFFSET).resolve(maximum);
        this.low = step.arguments().get(LocalThreshold.LOW).resolve(maximum);
        this.high = step.arguments().get(LocalThreshold.HIGH).resolve(maximum);
        this.finish = Finish.of(step, maximum);
    }

    @Override
    public Image before() {
        return before;
    }

    private boolean isInArea(Pixel pixel) {
        return area.isEmpty() || area.get().contains(pixel.row(), pixel.column());
    }

    /** @return whether the pixel keeps its value, neither rounded nor clipped */
    private boolean isKept(Pixel pixel) {
        return !isInArea(pixel) || window.border() == Border.KEEP && !window.fits(before, pixel);
    }

    @Override
    public boolean contains(Pixel pixel) {
        return pixel.row() >= 0 && pixel.column() >= 0 && pixel.row() < window.rowsOf(before)
                && pixel.column() < window.columnsOf(before);
    }

    @Override
    public Image result(Progress progress) {
        Value written = finish.apply(high);
        Value other = finish.apply(low);
        return each(progress, (pixel, mean) -> {
            Value sample = before.value(pixel);
            return isKept(pixel) ? sample : isHigh(sample, mean) ? written : other;
        });
    }

    @Override
    public List<String> sheetNames() {
        return List.of("Window mean");
    }

    @Override
    public Image sheet(String name, Progress progress) {
        return each(progress, (pixel, mean) -> mean);
    }

    /** @param value gets a pixel of the image before with the mean of its window */
    private Image each(Progress progress, BiFunction<Pixel, Value, Value> value) {
        WindowSums sums = new WindowSums(before, window);
        int rows = window.rowsOf(before);
        int columns = window.columnsOf(before);
        Value[] values = new Value[rows * columns];
        for (int i = 0; i < rows; i++) {
            Value[] means = sums.means(window.source(new Pixel(i, 0)).row());
            for (int j = 0; j < columns; j++) {
                Pixel pixel = window.source(new Pixel(i, j));
                values[i * columns + j] = value.apply(pixel, means[pixel.column()]);
            }
            progress.report((double) i / rows);
        }
        return Image.from(rows, columns, before.maximumLevel(), values);
    }

    private boolean isHigh(Value sample, Value mean) {
        return sample.compareValue(mean.minus(offset)) > 0;
    }

    /** A window that leaves the image with border=keep has no mean of its own; what is inside is taken. */
    private Value mean(Pixel pixel) {
        List<Value> cells = window.cells(before, pixel).stream().flatMap(cell -> cell.value().stream()).toList();
        return sum(cells).dividedBy(Rational.of(cells.size()));
    }

    private static Value sum(List<Value> values) {
        return values.stream().reduce(Rational.ZERO, Value::plus);
    }

    @Override
    public Value exact(Pixel result) {
        Pixel pixel = window.source(result);
        Value sample = before.value(pixel);
        return isKept(pixel) ? sample : isHigh(sample, mean(pixel)) ? high : low;
    }

    @Override
    public Value value(Pixel result) {
        Pixel pixel = window.source(result);
        return isKept(pixel) ? before.value(pixel) : finish.apply(exact(result));
    }

    @Override
    public Working explain(Pixel result) {
        Pixel pixel = window.source(result);
        Value sample = before.value(pixel);
        String title = step.line() + ", " + result + (pixel.equals(result) ? "" : " (before: " + pixel + ")");
        if (isKept(pixel)) {
            String why = isInArea(pixel) ? "the window leaves the image, the pixel keeps its value"
                    : "outside the area, the pixel keeps its value";
            return new Working(title, List.of(Line.of(isInArea(pixel) ? "border" : "area",
                    Run.after(Decimals.working(sample)), Run.note("   " + why))), sample, sample);
        }
        List<Line> lines = new ArrayList<>(WindowText.lines(window, before, pixel));
        List<Value> cells = window.cells(before, pixel).stream().flatMap(cell -> cell.value().stream()).toList();
        Value sum = sum(cells);
        Value mean = mean(pixel);
        lines.add(Line.of("sum", Run.plain(Decimals.working(sum)), Run.note("   of " + cells.size() + " cells")));
        lines.add(Line.of("mean", Run.plain(Decimals.working(sum) + " ÷ " + cells.size() + " = "
                + Decimals.working(mean) + approximate(mean))));
        Value limit = mean.minus(offset);
        lines.add(Line.of("limit", Run.plain("mean − offset = " + Decimals.working(mean) + " − "
                + signed(offset) + " = " + Decimals.working(limit) + approximate(limit))));
        lines.add(Line.of("this pixel", Run.plain("s = if "), Run.before(Decimals.working(sample)),
                Run.plain(" > " + Decimals.working(limit) + ": " + Decimals.working(high) + ", else "
                        + Decimals.working(low) + " = " + Decimals.working(exact(result)))));
        lines.addAll(finish.explain(exact(result)));
        return new Working(title, lines, exact(result), finish.apply(exact(result)));
    }

    private static String signed(Value value) {
        return value.signum() < 0 ? "(" + Decimals.working(value) + ")" : Decimals.working(value);
    }

    private static String approximate(Value value) {
        return Decimals.isShownAsFraction(value) ? " ≈ " + Decimals.approximate(value) : "";
    }
}

package pixeron.step.neighborhood;

import java.util.ArrayList;
import java.util.List;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.number.Decimals;
import pixeron.number.Rational;
import pixeron.number.Value;
import pixeron.step.Progress;
import pixeron.step.Step;
import pixeron.working.Line;
import pixeron.working.Run;

/** A local threshold bound to an image. */
final class LocalThresholdOperation extends WindowOperation {

    private final Value offset;
    private final Value low;
    private final Value high;

    LocalThresholdOperation(Step step, Image before, Window window) {
        super(step, before, window);
        int maximum = before.maximumLevel();
        this.offset = step.arguments().get(LocalThreshold.OFFSET).resolve(maximum);
        this.low = step.arguments().get(LocalThreshold.LOW).resolve(maximum);
        this.high = step.arguments().get(LocalThreshold.HIGH).resolve(maximum);
    }

    @Override
    public Image result(Progress progress) {
        Value written = finish().apply(high);
        Value other = finish().apply(low);
        WindowMeans means = new WindowMeans(before(), window());
        return each(progress, pixel -> {
            Value sample = before().value(pixel);
            return isKept(pixel) ? sample : isHigh(sample, means.at(pixel)) ? written : other;
        });
    }

    @Override
    public List<String> sheetNames() {
        return List.of("Window mean");
    }

    @Override
    public Image sheet(String name, Progress progress) {
        return each(progress, new WindowMeans(before(), window())::at);
    }

    private boolean isHigh(Value sample, Value mean) {
        return sample.compareValue(mean.minus(offset)) > 0;
    }

    private static Value sum(List<Value> values) {
        return values.stream().reduce(Rational.ZERO, Value::plus);
    }

    private List<Value> cells(Pixel pixel) {
        return window().cells(before(), pixel).stream().flatMap(cell -> cell.value().stream()).toList();
    }

    @Override
    Value valueOf(Pixel pixel) {
        List<Value> cells = cells(pixel);
        return isHigh(before().value(pixel), sum(cells).dividedBy(Rational.of(cells.size()))) ? high : low;
    }

    @Override
    List<Line> work(Pixel pixel) {
        List<Line> lines = new ArrayList<>(WindowText.lines(window(), before(), pixel));
        List<Value> cells = cells(pixel);
        Value sum = sum(cells);
        Value mean = sum.dividedBy(Rational.of(cells.size()));
        lines.add(Line.of("sum", Run.plain(Decimals.working(sum)), Run.note("   of " + cells.size() + " cells")));
        lines.add(Line.of("mean", Run.plain(Decimals.working(sum) + " ÷ " + cells.size() + " = "
                + Decimals.working(mean) + nearly(mean))));
        Value limit = mean.minus(offset);
        lines.add(Line.of("limit", Run.plain("mean − offset = " + Decimals.working(mean) + " − "
                + text(offset) + " = " + Decimals.working(limit) + nearly(limit))));
        lines.add(Line.of("this pixel", Run.plain("s = if "), Run.before(Decimals.working(before().value(pixel))),
                Run.plain(" > " + Decimals.working(limit) + ": " + Decimals.working(high) + ", else "
                        + Decimals.working(low) + " = " + Decimals.working(valueOf(pixel)))));
        return lines;
    }
}

package pixeron.step.neighborhood;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.number.Decimals;
import pixeron.number.Value;
import pixeron.step.Progress;
import pixeron.step.Step;
import pixeron.working.Line;
import pixeron.working.LoopWriter;
import pixeron.working.Run;

/** A local threshold bound to an image. */
final class LocalThresholdOperation extends WindowOperation {

    private final boolean isAtLeast;
    private final Value offset;
    private final Value low;
    private final Value high;

    LocalThresholdOperation(Step step, Image before, Window window, boolean isAtLeast) {
        super(step, before, window);
        this.isAtLeast = isAtLeast;
        int maximum = before.maximumLevel();
        this.offset = step.arguments().get(LocalThreshold.OFFSET).resolve(maximum);
        this.low = step.arguments().get(LocalThreshold.LOW).resolve(maximum);
        this.high = step.arguments().get(LocalThreshold.HIGH).resolve(maximum);
    }

    @Override
    protected Optional<Image> fastResult(Progress progress) {
        Value written = finish().apply(high);
        Value other = finish().apply(low);
        WindowMeans means = new WindowMeans(before(), window());
        return Optional.of(each(progress, pixel -> {
            Value sample = before().value(pixel);
            return isKept(pixel) ? sample : isHigh(sample, means.at(pixel)) ? written : other;
        }));
    }

    @Override
    public List<String> sheetNames() {
        return List.of("Window mean");
    }

    @Override
    public Image sheet(String name, Progress progress) {
        return each(progress, new WindowMeans(before(), window())::at);
    }

    private String sign() {
        return isAtLeast ? " ≥ " : " > ";
    }

    private boolean isHigh(Value sample, Value mean) {
        return sample.compareValue(mean.minus(offset)) > (isAtLeast ? -1 : 0);
    }

    @Override
    protected Value valueOf(Pixel pixel, List<Window.Cell> cells) {
        return isHigh(before().value(pixel), WindowText.mean(cells)) ? high : low;
    }

    @Override
    protected List<Line> work(Pixel pixel, List<Window.Cell> cells) {
        List<Line> lines = new ArrayList<>(WindowText.lines(window(), pixel, cells));
        lines.addAll(WindowText.meanLines(cells));
        Value mean = WindowText.mean(cells);
        Value limit = mean.minus(offset);
        lines.add(Line.of("limit", Run.plain("mean − offset = " + Decimals.working(mean) + " − "
                + text(offset) + " = " + Decimals.working(limit) + nearly(limit))).arriving("limit", limit));
        lines.add(Line.of("this pixel", Run.plain("s = if "), Run.before(Decimals.working(before().value(pixel))),
                Run.plain(sign() + Decimals.working(limit) + ": " + Decimals.working(high) + ", else "
                        + Decimals.working(low) + " = " + Decimals.working(valueOf(pixel, cells)))));
        return lines;
    }

    @Override
    protected void follow(LoopWriter out, Pixel pixel, List<Window.Cell> cells) {
        WindowText.followMean(out, window(), cells);
        out.set("r", before().value(pixel)).set("s", valueOf(pixel, cells)).line(0, "s ← " + Decimals.working(high)
                + " if before[i][j]" + sign() + "mean − " + text(offset) + ", else " + Decimals.working(low));
    }
}

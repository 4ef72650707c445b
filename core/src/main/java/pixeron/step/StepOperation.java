package pixeron.step;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.IntFunction;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;
import java.util.stream.IntStream;
import pixeron.image.Area;
import pixeron.image.Frame;
import pixeron.image.Image;
import pixeron.image.LevelRaster;
import pixeron.image.Pixel;
import pixeron.number.Decimals;
import pixeron.number.Value;
import pixeron.working.Line;
import pixeron.working.LoopWriter;
import pixeron.working.Run;
import pixeron.working.Working;

/**
 * What all steps share that calculate values: an area outside of which pixels stay as they are and nothing is calculated,
 * and the same end for all others. A subclass says what is calculated for a pixel of the result.
 */
public abstract class StepOperation implements Operation {

    private final Step step;
    private final Inputs inputs;
    private final Supplier<Image> before;
    private final Frame frame;
    private final Optional<Area> area;
    private final Finish finish;
    private final Sight asIs;

    /**
     * Creates an operation on one image.
     *
     * @param frame of the result
     * @throws pixeron.PixeronException if the step's area reaches beyond the image
     */
    protected StepOperation(Step step, Image before, Frame frame) {
        this(step, before, frame, new Inputs(before));
    }

    /**
     * Creates an operation on an image and those that it refers to.
     *
     * @param frame of the result
     * @param inputs the image before, and others that the step may refer to
     * @throws pixeron.PixeronException if the step's area reaches beyond the image
     */
    protected StepOperation(Step step, Image before, Frame frame, Inputs inputs) {
        this(step, () -> before, frame, inputs);
    }

    /** Where the image before is only what is seen of something else, and made when it is asked for. */
    protected StepOperation(Step step, Supplier<Image> before, Frame frame, Inputs inputs) {
        this(step, before, frame, inputs, UnaryOperator.identity());
    }

    /** Where a result of this kind ends in its own way, such as a hue that goes around its circle. */
    protected StepOperation(Step step, Supplier<Image> before, Frame frame, Inputs inputs, UnaryOperator<Finish> ending) {
        this.step = step;
        this.inputs = inputs;
        this.before = before;
        this.frame = frame;
        this.asIs = Sight.of(pixel -> before.get().value(pixel));
        this.area = step.arguments().find(StepType.AREA).map(a -> a.requireInside(before.get()));
        this.finish = ending.apply(Finish.of(step, frame));
    }

    /** All cells of a window count. */
    private static final int ALL_CELLS = -1;

    /**
     * What is seen of the image before.
     *
     * @param read gives what is read at a pixel
     * @param dropped the cell of each window that is omitted
     */
    public record Sight(Function<Pixel, Value> read, int dropped) {

        /** Returns what is read is another thing than the image before. */
        public static Sight of(Function<Pixel, Value> read) {
            return new Sight(read, ALL_CELLS);
        }

        public boolean hasAllCells() {
            return dropped == ALL_CELLS;
        }
    }

    /** A pixel that keeps its value, with the label and the reason in its working. */
    public record Kept(String label, String why) {
    }

    /** Returns why a result pixel keeps its value, neither rounded nor clipped; empty where it is calculated. */
    protected Optional<Kept> kept(Pixel result) {
        return isInArea(origin(result)) ? Optional.empty()
                : Optional.of(new Kept("area", "outside the area: the pixel keeps its value"));
    }

    /** Returns what a pixel keeps. */
    protected Value keptValue(Pixel result, Sight sight) {
        return sight.read().apply(origin(result));
    }

    /** Returns which pixels are calculated, as a condition in a loop; empty where all are. */
    protected Optional<String> calculated() {
        return area.map(some -> "(i, j) is in the area");
    }

    /** Returns the pixel of the image before that a result pixel represents. */
    protected Pixel origin(Pixel result) {
        return result;
    }

    /** Returns the value before rounding of a pixel that is calculated. */
    protected abstract Value calculate(Pixel result, Sight sight);

    /** Returns the lines that lead to {@link #calculate}. */
    protected abstract List<Line> work(Pixel result, Sight sight);

    /** Returns the lines behind {@link #work}, from the exact value to the one that is written. */
    protected List<Line> ending(Pixel result, Value exact, Finish end) {
        return end.explain(exact);
    }

    /** Goes through the loop that leads to {@link #calculate}, which is called s. */
    protected abstract void loop(Pixel result, Sight sight, LoopWriter out);

    @Override
    public final Optional<Pixel> counterpart(Pixel result) {
        return isSpread() ? Optional.empty() : Optional.of(origin(result)).filter(place -> before().contains(place));
    }

    @Override
    public final Step step() {
        return step;
    }

    @Override
    public final Inputs inputs() {
        return inputs;
    }

    @Override
    public final Image before() {
        return before.get();
    }

    @Override
    public final Frame frame() {
        return frame;
    }

    @Override
    public final Finish finish() {
        return finish;
    }

    /** Returns the area of the line; empty for the whole image. */
    protected final Optional<Area> ownArea() {
        return area;
    }

    /** Returns the part that is calculated. */
    protected final Area area() {
        return area.orElseGet(() -> Area.all(before()));
    }

    protected final boolean isInArea(Pixel pixel) {
        return area.isEmpty() || area.get().contains(pixel.row(), pixel.column());
    }

    /** Returns the result, calculated pixel by pixel; for what cannot be had faster. */
    protected final Image oneByOne(Progress progress) {
        Value[] values = new Value[frame.count()];
        for (int n = 0; n < values.length; n++) {
            if (n % frame.columns() == 0) {
                progress.report((double) n / values.length);
            }
            values[n] = value(frame.pixel(n));
        }
        return Image.from(frame.rows(), frame.columns(), frame.maximumLevel(), values);
    }

    /**
     * Returns the result, where every value becomes a level; rows on all cores.
     *
     * @param row the values of a row before rounding, by its number
     * @param scale the size of the numbers around them
     */
    protected final Image rowByRow(IntFunction<double[]> row, double scale, Progress progress) {
        LevelRaster raster = new LevelRaster(frame.rows(), frame.columns(), frame.maximumLevel());
        IntStream.range(0, frame.rows()).parallel().forEach(i -> {
            progress.report((double) i / frame.rows());
            raster.write(i, Arrays.stream(row.apply(i)).mapToInt(value -> finish.level(value, scale)).toArray());
        });
        return raster.image();
    }

    @Override
    public final Value exact(Pixel result) {
        return exact(result, asIs);
    }

    @Override
    public final Value value(Pixel result) {
        return value(result, asIs, finish);
    }

    @Override
    public final Working explain(Pixel result) {
        return explain(result, asIs, finish);
    }

    @Override
    public final void follow(Pixel result, LoopWriter out) {
        follow(result, asIs, finish, out);
    }

    private Value exact(Pixel result, Sight sight) {
        return kept(result).isPresent() ? keptValue(result, sight) : calculate(result, sight);
    }

    private Value value(Pixel result, Sight sight, Finish end) {
        return kept(result).isPresent() ? keptValue(result, sight) : end.apply(calculate(result, sight));
    }

    private Working explain(Pixel result, Sight sight, Finish end) {
        Pixel origin = origin(result);
        String title = step.line() + ", " + result + (origin.equals(result) ? "" : " (before: " + origin + ")");
        Optional<Kept> kept = kept(result);
        if (kept.isPresent()) {
            Value sample = keptValue(result, sight);
            return new Working(title, List.of(Line.of(kept.get().label(), Run.after(Decimals.working(sample)),
                    Run.note("   " + kept.get().why()))), sample, sample);
        }
        Value exact = calculate(result, sight);
        List<Line> lines = new ArrayList<>(work(result, sight));
        lines.addAll(ending(result, exact, end));
        return new Working(title, lines, exact, end.apply(exact));
    }

    private void follow(Pixel result, Sight sight, Finish end, LoopWriter out) {
        String stays = calculated().map(where -> "unless " + where + ": ").orElse("") + "after[i][j] ← before[i][j]";
        if (kept(result).isPresent() && calculated().isEmpty()) {
            out.set("after[i][j]", keptValue(result, sight)).line(0, stays);
            return;
        } else if (kept(result).isPresent()) {
            out.set("after[i][j]", keptValue(result, sight)).line(0, stays).onlyWriteFromNowOn();
        } else if (calculated().isPresent()) {
            out.mention(0, stays);
        }
        loop(isInArea(origin(result)) ? result : calculated(result), sight, out);
        end.follow(out, exact(result, sight));
    }

    /** Outside the area nothing may be had, such as the fifth value of a corner; the lines of the loop are written all the same. */
    private Pixel calculated(Pixel result) {
        Pixel start = origin(new Pixel(0, 0));
        Pixel inArea = new Pixel(Math.max(0, area().row() - start.row()), Math.max(0, area().column() - start.column()));
        return frame.contains(inArea) && isInArea(origin(inArea)) ? inArea : result;
    }

    @Override
    public Optional<Explained> finished(Finish other) {
        return Optional.of(new Seeing(asIs, other));
    }

    /** Returns the same step with other values read, for a user who read them or left some of them out. */
    protected final Explained seeing(Sight sight) {
        return new Seeing(sight, finish);
    }

    private final class Seeing implements Explained {

        private final Sight sight;
        private final Finish end;

        Seeing(Sight sight, Finish end) {
            this.sight = sight;
            this.end = end;
        }

        @Override
        public Frame frame() {
            return frame;
        }

        @Override
        public Value exact(Pixel pixel) {
            return StepOperation.this.exact(pixel, sight);
        }

        @Override
        public Value value(Pixel pixel) {
            return StepOperation.this.value(pixel, sight, end);
        }

        @Override
        public Working explain(Pixel pixel) {
            return StepOperation.this.explain(pixel, sight, end);
        }

        @Override
        public void follow(Pixel pixel, LoopWriter out) {
            StepOperation.this.follow(pixel, sight, end, out);
        }
    }
}

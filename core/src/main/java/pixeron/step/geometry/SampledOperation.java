package pixeron.step.geometry;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import pixeron.image.Frame;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.loop.LoopProgram;
import pixeron.number.Decimals;
import pixeron.number.Rational;
import pixeron.number.Value;
import pixeron.step.Footprint;
import pixeron.step.Forward;
import pixeron.step.Progress;
import pixeron.step.Source;
import pixeron.step.Step;
import pixeron.step.StepOperation;
import pixeron.working.Line;
import pixeron.working.LoopWriter;
import pixeron.working.Run;

/**
 * A step that reads the image before at places between its pixels, one after the other for each pixel of the result: going
 * through the result and reading backwards leaves no holes.
 *
 * <p>Cost: as many products a pixel as cells count.
 */
final class SampledOperation extends StepOperation {

    private static final int NEIGHBORS = 1;

    private final Cells cells;
    private final Outside outside;
    private final Supplier<List<String>> notes;
    private final Bulk bulk;
    private final Optional<Forward> forward;
    private final Optional<SampledProgram> program;

    /** All pixels at once, in a faster way that gives the same. */
    interface Bulk {

        /** Returns the result; empty where it cannot be had faster. */
        Optional<Image> result(Progress progress);
    }

    /** @param outside what is outside the image before */
    SampledOperation(Step step, Image before, Frame frame, Cells cells, Outside outside) {
        this(step, before, frame, cells, outside, progress -> Optional.empty(), List::of, Optional.empty(), Optional.empty());
    }

    private SampledOperation(Step step, Image before, Frame frame, Cells cells, Outside outside, Bulk bulk, Supplier<List<String>> notes,
            Optional<Forward> forward, Optional<SampledProgram> program) {
        super(step, before, frame);
        this.cells = cells;
        this.outside = outside;
        this.bulk = bulk;
        this.notes = notes;
        this.forward = forward;
        this.program = program;
    }

    /** Returns this with other cells, pixel by pixel. */
    SampledOperation with(Cells others) {
        return new SampledOperation(step(), before(), frame(), others, outside);
    }

    /** Returns this with a faster way to all pixels. */
    SampledOperation with(Bulk faster) {
        return new SampledOperation(step(), before(), frame(), cells, outside, faster, notes, forward, program);
    }

    /** Returns this with what a user should know of the result. */
    SampledOperation noting(Supplier<List<String>> known) {
        return new SampledOperation(step(), before(), frame(), cells, outside, bulk, known, forward, program);
    }

    /** Returns this with the places where its values would be put the wrong way round. */
    SampledOperation with(Forward wrong) {
        return new SampledOperation(step(), before(), frame(), cells, outside, bulk, notes, Optional.of(wrong), program);
    }

    /** Returns this with what its loop as a program needs. */
    SampledOperation with(SampledProgram told) {
        return new SampledOperation(step(), before(), frame(), cells, outside, bulk, notes, forward, Optional.of(told));
    }

    @Override
    public Optional<LoopProgram> program() {
        return program.map(told -> told.of(step(), before(), cells, outside));
    }

    @Override
    public Optional<Forward> forward() {
        return forward;
    }

    Cells cells() {
        return cells;
    }

    /** Returns whether a value is the sum of several cells, each with its weight. */
    boolean isWeighted() {
        return !(cells instanceof PointCells points) || points.reading() == Reading.LINEAR;
    }

    @Override
    public List<String> notes() {
        return notes.get();
    }

    @Override
    public boolean isMoving() {
        return true;
    }

    @Override
    public Optional<Footprint> footprint(Pixel result) {
        return Optional.of(cells.footprint(result));
    }

    /** The pixel of the image before whose number counts most. */
    @Override
    protected Pixel origin(Pixel result) {
        Reading.Cell most = null;
        for (Reading.Cell cell : cells.at(result)) {
            boolean isMore = most == null || cell.weight().orElse(Rational.ONE).compareValue(most.weight().orElse(Rational.ONE)) > 0;
            most = isMore ? cell : most;
        }
        return new Pixel(most.row(), most.column());
    }

    /** Returns the pixel that is at a cell; empty where none does. */
    private Optional<Pixel> pixel(Reading.Cell cell) {
        int row = outside.border().source(cell.row(), before().rows());
        int column = outside.border().source(cell.column(), before().columns());
        return row < 0 || column < 0 ? Optional.empty() : Optional.of(new Pixel(row, column));
    }

    private List<Value> read(Pixel result, Sight sight) {
        return cells.at(result).stream().map(cell -> pixel(cell).map(sight.read()).orElse(outside.value())).toList();
    }

    @Override
    protected Value calculate(Pixel result, Sight sight) {
        List<Reading.Cell> at = cells.at(result);
        List<Value> read = read(result, sight);
        Value sum = null;
        for (int n = 0; n < read.size(); n++) {
            Value value = read.get(n);
            Value part = at.get(n).weight().map(weight -> weight.times(value)).orElse(value);
            sum = sum == null ? part : sum.plus(part);
        }
        return sum;
    }

    @Override
    protected List<Line> work(Pixel result, Sight sight) {
        List<Line> lines = new ArrayList<>();
        lines.add(Line.of("formula", Run.plain(step().type().formula(step().arguments()))));
        lines.addAll(cells.work(result));
        for (Reading.Cell cell : cells.at(result)) {
            if (!before().contains(new Pixel(cell.row(), cell.column()))) {
                lines.add(Line.of("outside", Run.plain(name(cell.row(), cell.column()) + ": " + pixel(cell).map(from ->
                        "outside, this position has the value of " + name(from.row(), from.column())).orElse(
                                Decimals.working(outside.value()) + " is there"))));
            }
        }
        lines.addAll(cells.sum(result, read(result, sight)));
        return lines;
    }

    private static String name(int row, int column) {
        return ("r(" + row + ", " + column + ")").replace('-', Decimals.MINUS);
    }

    @Override
    protected void loop(Pixel result, Sight sight, LoopWriter out) {
        cells.follow(result, read(result, sight), out);
    }

    @Override
    public Image result(Progress progress) {
        return bulk.result(progress).orElseGet(() -> oneByOne(progress));
    }

    @Override
    public List<Source> sources(Pixel result) {
        return cells.at(result).stream().map(cell -> {
            Optional<Pixel> from = pixel(cell);
            return new Source(cell.row(), cell.column(), from, Optional.of(from.map(before()::value).orElse(outside.value())), cell.weight(),
                    before().contains(new Pixel(cell.row(), cell.column())));
        }).toList();
    }

    /** Of the pixels around the place that lies nearest the one in which it counts most; empty where it counts in none. */
    @Override
    public Optional<Pixel> home(Pixel pixel) {
        double[] near = cells.back(pixel);
        Optional<Pixel> best = Optional.empty();
        Value most = Rational.ZERO;
        for (int down = -NEIGHBORS; down <= NEIGHBORS; down++) {
            for (int right = -NEIGHBORS; right <= NEIGHBORS; right++) {
                Pixel candidate = new Pixel((int) Math.rint(near[0]) + down, (int) Math.rint(near[1]) + right);
                Value weight = contains(candidate) ? weight(candidate, pixel) : Rational.ZERO;
                // What represents it itself comes before what it only counts in.
                Value more = weight.signum() > 0 && origin(candidate).equals(pixel) ? weight.plus(Rational.of(2)) : weight;
                if (more.compareValue(most) > 0) {
                    most = more;
                    best = Optional.of(candidate);
                }
            }
        }
        return best;
    }

    private Value weight(Pixel result, Pixel pixel) {
        for (Reading.Cell cell : cells.at(result)) {
            if (cell.row() == pixel.row() && cell.column() == pixel.column()) {
                return cell.weight().orElse(Rational.ONE);
            }
        }
        return Rational.ZERO;
    }
}

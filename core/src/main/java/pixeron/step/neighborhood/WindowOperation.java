package pixeron.step.neighborhood;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Supplier;
import pixeron.PixeronException;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.loop.Code;
import pixeron.loop.Ending;
import pixeron.loop.LoopProgram;
import pixeron.loop.Statement;
import pixeron.number.Value;
import pixeron.step.Explained;
import pixeron.step.Progress;
import pixeron.step.Source;
import pixeron.step.Step;
import pixeron.step.StepOperation;
import pixeron.working.Line;
import pixeron.working.LoopWriter;

/**
 * A step bound to an image whose result at a pixel comes from a window around it: what the area, the border and a smaller
 * result mean is the same for all of them. What becomes of the cells of one
 * window is given by a {@link WindowRule}.
 */
public final class WindowOperation extends StepOperation {

    private static final Kept LEAVES = new Kept("border", "the window crosses the edge: the pixel keeps its value");

    private final Window window;
    private final WindowRule rule;

    /**
     * Creates an operation whose results depend on a window around each pixel.
     *
     * @throws PixeronException if with border=crop no pixel is left
     */
    public WindowOperation(Step step, Image before, Window window, WindowRule rule) {
        super(step, before, window.frameOf(before));
        this.window = window;
        this.rule = rule;
    }

    public Window window() {
        return window;
    }

    @Override
    public Optional<LoopProgram> program() {
        return program("before");
    }

    /**
     * Returns the loops as a program; empty where they are not told as one.
     *
     * @param grid what the image that is read is called in it
     */
    public Optional<LoopProgram> program(String grid) {
        WindowProgram program = new WindowProgram(window, grid);
        List<Statement> start = new ArrayList<>(List.of(Statement.set("M", Code.of(frame().maximumLevel()))));
        boolean isPossible = ownArea().isEmpty() || window.border() != Border.CROP;
        return !isPossible ? Optional.empty() : rule.statements(program, start).map(body -> {
            List<Statement> all = new ArrayList<>(body);
            all.addAll(Ending.of(step().rounding(), step().overflow(), Code.name("M")));
            return new LoopProgram(step().type().name(), step().line(), start, program.rows(), program.columns(), Ending.within(ownArea(), program.kept(all))).reading(before());
        });
    }

    /** Returns whether a pixel of the image before keeps its value, neither rounded nor clipped. */
    boolean isKept(Pixel pixel) {
        return !isInArea(pixel) || leaves(pixel);
    }

    private boolean leaves(Pixel pixel) {
        return window.border() == Border.KEEP && !window.fits(before(), pixel);
    }

    boolean hasArea() {
        return ownArea().isPresent();
    }

    boolean keepsSome() {
        return hasArea() || window.border() == Border.KEEP;
    }

    @Override
    public Optional<Kept> kept(Pixel result) {
        return super.kept(result).or(() -> leaves(origin(result)) ? Optional.of(LEAVES) : Optional.empty());
    }

    @Override
    public Optional<String> calculated() {
        return super.calculated().or(() -> window.border() == Border.KEEP ? Optional.of("the whole window is inside")
                : Optional.empty());
    }

    @Override
    public Pixel origin(Pixel result) {
        return window.source(result);
    }

    @Override
    public boolean isMoving() {
        return window.border() == Border.CROP;
    }

    @Override
    public Optional<Pixel> home(Pixel pixel) {
        return Optional.of(window.home(pixel)).filter(this::contains);
    }

    @Override
    public Image result(Progress progress) {
        if (Plane.isPossible(before(), window)) {
            Optional<Codes> codes = rule.codes();
            if (codes.isPresent()) {
                return new BulkResult(this, codes.get()).result(progress);
            }
        }
        List<Optional<Supplier<Function<Pixel, Value>>>> moving = rule.reductions().stream()
                .map(reduction -> reduction.moving(before(), window)).toList();
        if (moving.stream().anyMatch(Optional::isEmpty)) {
            // On one core, so that a refusal names the first pixel that has no value.
            return each(progress, false, () -> pixel -> value(window.home(pixel)));
        }
        return each(progress, isLarge(), () -> moved(moving.stream().map(one -> one.orElseThrow().get()).toList()));
    }

    private Function<Pixel, Value> moved(List<Function<Pixel, Value>> reductions) {
        return pixel -> {
            Value sample = before().value(pixel);
            if (isKept(pixel)) {
                return sample;
            }
            Value[] found = new Value[reductions.size()];
            for (int n = 0; n < found.length; n++) {
                found[n] = reductions.get(n).apply(pixel);
            }
            return finish().apply(rule.value(sample, found));
        };
    }

    /** Returns an image of the result's size, whose values come from the pixels of the image before. */
    private Image each(Progress progress, boolean isOnAllCores, Supplier<Function<Pixel, Value>> maker) {
        int columns = frame().columns();
        Value[] values = new Value[frame().count()];
        Stripes.each(frame().rows(), isOnAllCores, progress, (first, count, rowDone) -> {
            Function<Pixel, Value> value = maker.get();
            for (int row = first; row < first + count; row++) {
                for (int column = 0; column < columns; column++) {
                    values[row * columns + column] = value.apply(window.source(new Pixel(row, column)));
                }
                rowDone.run();
            }
        });
        return Image.from(frame().rows(), columns, frame().maximumLevel(), values);
    }

    private boolean isLarge() {
        return frame().count() >= BulkResult.WORTH_ALL_CORES;
    }

    private Optional<Reduction<?>> sheetReduction() {
        return rule.reductions().stream().filter(reduction -> reduction.sheet().isPresent()).findFirst();
    }

    @Override
    public List<String> sheetNames() {
        return sheetReduction().flatMap(Reduction::sheet).stream().toList();
    }

    @Override
    public Image sheet(String name, Progress progress) {
        Reduction<?> reduction = sheetReduction().orElseThrow();
        return each(progress, isLarge(), reduction.moving(before(), window).orElse(() -> pixel -> reduction.of(around(pixel,
                Sight.of(before()::value)))));
    }

    private Neighborhood around(Pixel pixel, Sight sight) {
        return new Neighborhood(window, pixel, before().value(pixel), cells(pixel, sight));
    }

    @Override
    protected Value calculate(Pixel result, Sight sight) {
        return rule.value(around(origin(result), sight));
    }

    @Override
    public List<Line> work(Pixel result, Sight sight) {
        return rule.lines(around(origin(result), sight));
    }

    @Override
    public void loop(Pixel result, Sight sight, LoopWriter out) {
        Pixel pixel = origin(result);
        if (window.border() == Border.CROP) {
            out.set("before at", pixel.row() + ", " + pixel.column());
        }
        rule.follow(around(pixel, sight), out);
    }

    private List<Window.Cell> cells(Pixel pixel, Sight sight) {
        List<Window.Cell> all = window.cells(before(), pixel, sight.read());
        if (sight.hasAllCells()) {
            return all;
        }
        List<Window.Cell> fewer = new ArrayList<>(all);
        fewer.set(sight.dropped(), all.get(sight.dropped()).blank());
        if (fewer.stream().noneMatch(cell -> cell.value().isPresent())) {
            throw PixeronException.of("%s: at %s the window has no cell inside the image.", step().line(), pixel);
        }
        return fewer;
    }

    @Override
    public Optional<Explained> reading(Function<Pixel, Value> read) {
        return window.border() == Border.CROP ? Optional.empty() : Optional.of(seeing(Sight.of(read)));
    }

    @Override
    public List<Source> sources(Pixel result) {
        Pixel pixel = origin(result);
        return kept(result).isPresent() ? List.of(Source.of(pixel, before().value(pixel)))
                : window.cells(before(), pixel).stream().map(cell -> new Source(pixel.row() + cell.row() - window.anchorRow(),
                        pixel.column() + cell.column() - window.anchorColumn(), cell.source(), cell.value(), rule.weight(cell),
                        cell.isInside())).toList();
    }

    @Override
    public Optional<Explained> missing(int cell) {
        return window.border() == Border.CROP ? Optional.empty() : Optional.of(seeing(new Sight(before()::value, cell)));
    }
}

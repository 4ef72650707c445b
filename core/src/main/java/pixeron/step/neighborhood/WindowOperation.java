package pixeron.step.neighborhood;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import pixeron.PixeronException;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.number.Decimals;
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
 * result mean is the same for all of them. A subclass says what becomes of the cells of one window.
 */
public abstract class WindowOperation extends StepOperation {

    private static final Kept LEAVES = new Kept("border", "the window leaves the image, the pixel keeps its value");

    private final Window window;

    /** @throws PixeronException if with border=crop no pixel is left */
    protected WindowOperation(Step step, Image before, Window window) {
        super(step, before, window.frameOf(before));
        this.window = window;
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

    public final Window window() {
        return window;
    }

    /** @return whether a pixel of the image before keeps its value, neither rounded nor clipped */
    protected final boolean isKept(Pixel pixel) {
        return !isInArea(pixel) || leaves(pixel);
    }

    private boolean leaves(Pixel pixel) {
        return window.border() == Border.KEEP && !window.fits(before(), pixel);
    }

    final boolean keepsSome() {
        return ownArea().isPresent() || window.border() == Border.KEEP;
    }

    @Override
    public final Optional<Kept> kept(Pixel result) {
        return super.kept(result).or(() -> leaves(origin(result)) ? Optional.of(LEAVES) : Optional.empty());
    }

    @Override
    public final Optional<String> calculated() {
        return super.calculated().or(() -> window.border() == Border.KEEP ? Optional.of("the whole window is inside")
                : Optional.empty());
    }

    @Override
    public final Pixel origin(Pixel result) {
        return window.source(result);
    }

    @Override
    public final boolean isMoving() {
        return window.border() == Border.CROP;
    }

    @Override
    public final Optional<Pixel> home(Pixel pixel) {
        return Optional.of(window.home(pixel)).filter(this::contains);
    }

    @Override
    public final Image result(Progress progress) {
        return fastResult(progress).orElseGet(() -> each(progress, pixel -> value(window.home(pixel))));
    }

    /** @return an image of the result's size, whose values come from the pixels of the image before */
    protected final Image each(Progress progress, Function<Pixel, Value> value) {
        int rows = frame().rows();
        int columns = frame().columns();
        Value[] values = new Value[rows * columns];
        for (int i = 0; i < rows; i++) {
            for (int j = 0; j < columns; j++) {
                values[i * columns + j] = value.apply(window.source(new Pixel(i, j)));
            }
            progress.report((double) i / rows);
        }
        return Image.from(rows, columns, frame().maximumLevel(), values);
    }

    @Override
    protected final Value calculate(Pixel result, Sight sight) {
        Pixel pixel = origin(result);
        return valueOf(pixel, cells(pixel, sight));
    }

    @Override
    public final List<Line> work(Pixel result, Sight sight) {
        Pixel pixel = origin(result);
        return work(pixel, cells(pixel, sight));
    }

    @Override
    public final void loop(Pixel result, Sight sight, LoopWriter out) {
        Pixel pixel = origin(result);
        if (window.border() == Border.CROP) {
            out.set("before at", pixel.row() + ", " + pixel.column());
        }
        follow(out, pixel, cells(pixel, sight));
    }

    private List<Window.Cell> cells(Pixel pixel, Sight sight) {
        List<Window.Cell> all = window.cells(before(), pixel, sight.read());
        if (sight.hasAllCells()) {
            return all;
        }
        List<Window.Cell> fewer = new ArrayList<>(all);
        fewer.set(sight.dropped(), all.get(sight.dropped()).blank());
        if (fewer.stream().noneMatch(cell -> cell.value().isPresent())) {
            throw PixeronException.of("%s: at %s no cell of the window is left.", step().line(), pixel);
        }
        return fewer;
    }

    @Override
    public final Optional<Explained> reading(Function<Pixel, Value> read) {
        return window.border() == Border.CROP ? Optional.empty() : Optional.of(seeing(Sight.of(read)));
    }

    /** @return the weight of a cell in the sum; empty where it is no weighted sum */
    protected Optional<Value> weight(Window.Cell cell) {
        return Optional.empty();
    }

    @Override
    public final List<Source> sources(Pixel result) {
        Pixel pixel = origin(result);
        return kept(result).isPresent() ? List.of(Source.of(pixel, before().value(pixel)))
                : window.cells(before(), pixel).stream().map(cell -> new Source(pixel.row() + cell.row() - window.anchorRow(),
                        pixel.column() + cell.column() - window.anchorColumn(), cell.source(), cell.value(), weight(cell),
                        cell.isInside())).toList();
    }

    @Override
    public final Optional<Explained> missing(int cell) {
        return window.border() == Border.CROP ? Optional.empty() : Optional.of(seeing(new Sight(before()::value, cell)));
    }

    /** @return the number as it stands in a product or behind a sign: with brackets where it is negative or a fraction */
    public static String text(Value value) {
        return value.signum() < 0 || Decimals.isShownAsFraction(value) ? "(" + Decimals.working(value) + ")" : Decimals.working(value);
    }

    /** @return ≈ and the number as a decimal where it is written as a fraction; else nothing */
    public static String nearly(Value value) {
        return Decimals.isShownAsFraction(value) ? " ≈ " + Decimals.approximate(value) : "";
    }
}

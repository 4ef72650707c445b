package pixeron.step.rank;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import pixeron.image.Area;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.number.Decimals;
import pixeron.number.Value;
import pixeron.step.Operation;
import pixeron.step.Place;
import pixeron.step.Progress;
import pixeron.step.Step;
import pixeron.step.StepType;
import pixeron.step.neighborhood.Window;
import pixeron.working.Line;
import pixeron.working.LoopWriter;
import pixeron.working.Run;
import pixeron.working.Working;

/**
 * Opening and closing, bound to an image: two passes of morphology, both over the whole image; the area counts for what is
 * written. The image between them is worked out when it is first needed.
 */
final class TwoPasses implements Operation {

    /** Binds one pass to an image. */
    @FunctionalInterface
    interface Pass {
        MorphologyOperation bind(Step step, Image image, boolean isEroding, String name);
    }

    private final Step step;
    private final Image before;
    private final Optional<Area> area;
    private final boolean erodesFirst;
    private final Pass pass;
    private final MorphologyOperation first;
    private MorphologyOperation second;

    TwoPasses(Step step, Image before, boolean erodesFirst, Pass pass) {
        this.step = step;
        this.before = before;
        this.area = step.arguments().find(StepType.AREA).map(a -> a.requireInside(before));
        this.erodesFirst = erodesFirst;
        this.pass = pass;
        this.first = pass.bind(step.without(StepType.AREA), before, erodesFirst, "before");
        // What would not fit is refused now, not when the image between is worked out.
        Image between = Image.ofLevels(first.window().rowsOf(before), first.window().columnsOf(before),
                before.maximumLevel(), n -> 0);
        pass.bind(step.without(StepType.AREA), between, !erodesFirst, between());
    }

    private String between() {
        return erodesFirst ? "eroded" : "dilated";
    }

    private synchronized MorphologyOperation second(Progress progress) {
        if (second == null) {
            second = pass.bind(step.without(StepType.AREA), first.result(done -> progress.isWanted(done / 2)),
                    !erodesFirst, between());
        }
        return second;
    }

    private boolean isKept(Pixel pixel) {
        return area.isPresent() && !area.get().contains(pixel.row(), pixel.column());
    }

    @Override
    public Image before() {
        return before;
    }

    @Override
    public boolean contains(Pixel pixel) {
        Window window = first.window();
        int rows = before.rows() - 2 * (before.rows() - window.rowsOf(before));
        int columns = before.columns() - 2 * (before.columns() - window.columnsOf(before));
        return pixel.row() >= 0 && pixel.column() >= 0 && pixel.row() < rows && pixel.column() < columns;
    }

    @Override
    public Image result(Progress progress) {
        Image whole = second(progress).result(done -> progress.isWanted((1 + done) / 2));
        if (area.isEmpty()) {
            return whole;
        }
        Value[] values = new Value[whole.count()];
        for (int n = 0; n < values.length; n++) {
            values[n] = isKept(whole.pixel(n)) ? before.value(n) : whole.value(n);
        }
        return Image.from(whole.rows(), whole.columns(), whole.maximumLevel(), values);
    }

    @Override
    public List<String> sheetNames() {
        return List.of(erodesFirst ? "Eroded" : "Dilated");
    }

    @Override
    public Image sheet(String name, Progress progress) {
        return second(progress).before();
    }

    @Override
    public Value exact(Pixel pixel) {
        return isKept(pixel) ? before.value(pixel) : second(Progress.NONE).exact(pixel);
    }

    @Override
    public Value value(Pixel pixel) {
        return isKept(pixel) ? before.value(pixel) : second(Progress.NONE).value(pixel);
    }

    @Override
    public Working explain(Pixel pixel) {
        if (isKept(pixel)) {
            Value sample = before.value(pixel);
            return new Working(step.line() + ", " + pixel, List.of(Line.of("area", Run.after(Decimals.working(sample)),
                    Run.note("   outside the area, the pixel keeps its value"))), sample, sample);
        }
        Working working = second(Progress.NONE).explain(pixel);
        List<Line> lines = new ArrayList<>();
        lines.add(Line.of("first", Run.plain(between()), Run.note("   the window is of the image " + between()
                + " in a first pass over all pixels")));
        lines.addAll(working.lines());
        return new Working(working.title(), lines, working.exact(), working.result());
    }

    @Override
    public void follow(Pixel pixel, LoopWriter out) {
        String stays = "unless (i, j) is in the area: after[i][j] ← before[i][j]";
        out.line(0, between() + " ← first pass over all pixels");
        if (isKept(pixel)) {
            out.set("after[i][j]", before.value(pixel)).line(0, stays).onlyWriteFromNowOn();
        } else if (area.isPresent()) {
            out.mention(0, stays);
        }
        second(Progress.NONE).follow(pixel, out);
    }

    /** Where they lie in the image before; what stands there is of the image between. */
    @Override
    public List<Place> cells(Pixel pixel) {
        if (!contains(pixel) || isKept(pixel)) {
            return List.of();
        }
        Pixel corner = first.window().source(new Pixel(0, 0));
        return second(Progress.NONE).cells(pixel).stream().map(cell -> new Place(cell.row() + corner.row(),
                cell.column() + corner.column(), cell.source().map(source -> new Pixel(source.row() + corner.row(),
                        source.column() + corner.column())), cell.value(), cell.isInside())).toList();
    }
}

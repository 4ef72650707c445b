package pixeron.step.rank;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import pixeron.image.Frame;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.loop.Code;
import pixeron.loop.Ending;
import pixeron.loop.LoopProgram;
import pixeron.loop.Statement;
import pixeron.number.Value;
import pixeron.step.Progress;
import pixeron.step.Source;
import pixeron.step.Step;
import pixeron.step.StepOperation;
import pixeron.step.StepType;
import pixeron.step.neighborhood.WindowOperation;
import pixeron.working.Line;
import pixeron.working.LoopWriter;
import pixeron.working.Run;

/**
 * Opening and closing, bound to an image: two passes of morphology, both over the whole image; the area counts for what is
 * written. The image between them is calculated when it is first needed.
 */
final class TwoPasses extends StepOperation {

    /** Binds one pass to an image. */
    @FunctionalInterface
    interface Pass {
        WindowOperation bind(Step step, Image image, boolean isEroding, String name);
    }

    private final boolean erodesFirst;
    private final Pass pass;
    private final WindowOperation first;
    private WindowOperation second;

    TwoPasses(Step step, Image before, boolean erodesFirst, Pass pass) {
        this(step, before, erodesFirst, pass, pass.bind(step.without(StepType.AREA), before, erodesFirst, "before"));
    }

    private TwoPasses(Step step, Image before, boolean erodesFirst, Pass pass, WindowOperation first) {
        // What would not fit is refused now, not when the image between is calculated.
        super(step, before, first.window().frameOf(blank(first.frame())));
        this.erodesFirst = erodesFirst;
        this.pass = pass;
        this.first = first;
    }

    private static Image blank(Frame frame) {
        return Image.ofLevels(frame.rows(), frame.columns(), frame.maximumLevel(), n -> 0);
    }

    private String between() {
        return erodesFirst ? "eroded" : "dilated";
    }

    private synchronized WindowOperation second(Progress progress) {
        if (second == null) {
            second = pass.bind(step().without(StepType.AREA), first.result(done -> progress.isWanted(done / 2)),
                    !erodesFirst, between());
        }
        return second;
    }

    /** The first pass fills a grid before the loop of the second. */
    @Override
    public Optional<LoopProgram> program() {
        Optional<LoopProgram> one = first.program();
        Optional<LoopProgram> two = second(Progress.NONE).program(between());
        if (one.isEmpty() || two.isEmpty() || ownArea().isPresent() && isMoving()) {
            return Optional.empty();
        }
        List<Statement> filling = new ArrayList<>(one.get().body());
        filling.add(new Statement.SetCell(between(), Code.name("i"), Code.name("j"), Code.name("s")));
        List<Statement> start = new ArrayList<>(one.get().start());
        start.add(new Statement.NewGrid(between(), one.get().rows(), one.get().columns()));
        start.add(new Statement.Loop("i", Code.of(0), one.get().rows(), List.of(new Statement.Loop("j", Code.of(0), one.get().columns(), filling))));
        two.get().start().stream().filter(statement -> !start.contains(statement)).forEach(start::add);
        return Optional.of(new LoopProgram(step().type().name(), step().line(), start, less(first.frame().rows() - frame().rows(), one.get().rows()),
                less(first.frame().columns() - frame().columns(), one.get().columns()), Ending.within(ownArea(), two.get().body())).reading(before()));
    }

    private static Code less(long cut, Code size) {
        return size.minus(Code.of(cut));
    }

    @Override
    protected Optional<Kept> kept(Pixel result) {
        return super.kept(result).or(() -> second(Progress.NONE).kept(result));
    }

    @Override
    protected Value keptValue(Pixel result, Sight sight) {
        return isInArea(result) ? second(Progress.NONE).value(result) : super.keptValue(result, sight);
    }

    @Override
    protected Optional<String> calculated() {
        return super.calculated().or(first::calculated);
    }

    @Override
    protected Pixel origin(Pixel result) {
        return first.origin(second(Progress.NONE).origin(result));
    }

    @Override
    public boolean isMoving() {
        return first.isMoving();
    }

    @Override
    public Optional<Pixel> home(Pixel pixel) {
        return first.home(pixel).flatMap(second(Progress.NONE)::home);
    }

    @Override
    public Image result(Progress progress) {
        Image whole = second(progress).result(done -> progress.isWanted((1 + done) / 2));
        if (ownArea().isEmpty()) {
            return whole;
        }
        Value[] values = new Value[whole.count()];
        for (int n = 0; n < values.length; n++) {
            values[n] = isInArea(whole.pixel(n)) ? whole.value(n) : before().value(n);
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
    protected Value calculate(Pixel pixel, Sight sight) {
        return second(Progress.NONE).exact(pixel);
    }

    @Override
    protected List<Line> work(Pixel pixel, Sight sight) {
        List<Line> lines = new ArrayList<>();
        lines.add(Line.of("first", Run.plain(between()), Run.note("   the window below is from the result of the first pass, " + between())));
        WindowOperation last = second(Progress.NONE);
        lines.addAll(last.work(pixel, Sight.of(last.before()::value)));
        return lines;
    }

    @Override
    protected void loop(Pixel pixel, Sight sight, LoopWriter out) {
        WindowOperation last = second(Progress.NONE);
        out.line(0, between() + " ← first pass over all pixels");
        last.loop(pixel, Sight.of(last.before()::value), out);
    }

    /** Where they lie in the image before; what is there is of the image between. */
    @Override
    public List<Source> sources(Pixel pixel) {
        if (kept(pixel).isPresent()) {
            return List.of(Source.of(pixel, before().value(pixel)));
        }
        Pixel corner = first.window().source(new Pixel(0, 0));
        return second(Progress.NONE).sources(pixel).stream().map(cell -> new Source(cell.row() + corner.row(),
                cell.column() + corner.column(), cell.pixel().map(source -> new Pixel(source.row() + corner.row(),
                        source.column() + corner.column())), cell.value(), Optional.empty(), cell.isInside())).toList();
    }
}

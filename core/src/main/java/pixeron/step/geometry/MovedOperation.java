package pixeron.step.geometry;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import pixeron.image.Area;
import pixeron.image.Frame;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.loop.Code;
import pixeron.loop.Ending;
import pixeron.loop.LoopProgram;
import pixeron.loop.Statement;
import pixeron.number.Decimals;
import pixeron.number.Value;
import pixeron.step.Operation;
import pixeron.step.Progress;
import pixeron.step.Source;
import pixeron.step.Step;
import pixeron.step.StepType;
import pixeron.step.neighborhood.ProgramBorder;
import pixeron.working.Line;
import pixeron.working.LoopWriter;
import pixeron.working.Run;
import pixeron.working.Working;

/**
 * A step that moves values, bound to an image. Values stay exactly as they are: nothing is rounded or clipped.
 *
 * <p>Cost: one look-up a pixel.
 */
final class MovedOperation implements Operation {

    private final Step step;
    private final Image before;
    private final Places places;
    private final Outside outside;
    private final Optional<Area> area;

    /**
     * @param outside what is outside the image before
     */
    MovedOperation(Step step, Image before, Places places, Outside outside) {
        this.step = step;
        this.before = before;
        this.places = places;
        this.outside = outside;
        this.area = step.arguments().find(StepType.AREA).map(a -> a.requireInside(before));
    }

    /** A side of the result that equals one of the image's is written as that, so that the program goes for images of other sizes. */
    private static Code side(int length, String name, int own, String otherName, int other) {
        return length == own ? Code.name(name) : length == other ? Code.name(otherName) : Code.of(length);
    }

    @Override
    public Optional<LoopProgram> program() {
        List<Statement> start = new ArrayList<>(List.of(Statement.set("M", Code.of(before.maximumLevel()))));
        places.numbers().forEach((name, value) -> {
            if (!name.equals("H") && !name.equals("W")) {
                start.add(Statement.set(name, Code.of(value)));
            }
        });
        List<Statement> body = new ArrayList<>(List.of(Statement.set("y", Code.of(places.points().y(), Code::name)), Statement.set("x", Code.of(places.points().x(), Code::name))));
        body.addAll(ProgramBorder.reading(outside.border(), "y", "x", new Statement.Set("s", Code.before(Code.name("y"), Code.name("x"))), outside.value()));
        return Optional.of(new LoopProgram(step.type().name(), step.line(), start, side(frame().rows(), "H", before.rows(), "W", before.columns()),
                side(frame().columns(), "W", before.columns(), "H", before.rows()), Ending.within(area, body)).reading(before));
    }

    @Override
    public Step step() {
        return step;
    }

    @Override
    public Image before() {
        return before;
    }

    @Override
    public Frame frame() {
        return places.frame();
    }

    private boolean isMoved(Pixel result) {
        return area.isEmpty() || area.get().contains(result.row(), result.column());
    }

    private Source source(Pixel result) {
        if (!isMoved(result)) {
            return Source.of(result, before.value(result));
        }
        Pixel place = places.source(result);
        int row = outside.border().source(place.row(), before.rows());
        int column = outside.border().source(place.column(), before.columns());
        boolean isThere = row >= 0 && column >= 0;
        Optional<Pixel> from = isThere ? Optional.of(new Pixel(row, column)) : Optional.empty();
        return new Source(place.row(), place.column(), from, Optional.of(from.map(before::value).orElse(outside.value())),
                Optional.empty(), from.filter(place::equals).isPresent());
    }

    @Override
    public List<Source> sources(Pixel result) {
        return List.of(source(result));
    }

    @Override
    public boolean isMoving() {
        return true;
    }

    @Override
    public Optional<Pixel> counterpart(Pixel result) {
        return source(result).pixel();
    }

    @Override
    public Optional<Pixel> home(Pixel pixel) {
        return Optional.of(places.home(pixel)).filter(this::contains).filter(this::isMoved);
    }

    @Override
    public Value exact(Pixel result) {
        return source(result).value().orElseThrow();
    }

    @Override
    public Value value(Pixel result) {
        return exact(result);
    }

    @Override
    public Image result(Progress progress) {
        Image moved = places.all(before.frame(), outside).of(before, outside.value());
        if (area.isEmpty()) {
            return moved;
        }
        Value[] values = new Value[before.count()];
        Arrays.setAll(values, n -> isMoved(before.pixel(n)) ? moved.value(n) : before.value(n));
        return Image.from(before.rows(), before.columns(), before.maximumLevel(), values);
    }

    @Override
    public Working explain(Pixel result) {
        Source source = source(result);
        Value value = source.value().orElseThrow();
        String number = Decimals.working(value);
        String title = step.line() + ", " + result;
        if (!isMoved(result)) {
            return new Working(title, List.of(Line.of("area", Run.after(number),
                    Run.note("   outside the area: the pixel keeps its value"))), value, value);
        }
        List<Line> lines = new ArrayList<>();
        lines.add(Line.of("formula", Run.plain(step.type().formula(step.arguments()))));
        lines.addAll(places.work(result));
        if (!source.isInside()) {
            lines.add(Line.of("outside", Run.plain(source.pixel().map(from -> "outside, this position has the value of r(" + from.row() + ", "
                    + from.column() + ")").orElse(Decimals.working(outside.value()) + " is there"))));
        }
        lines.add(Line.of("this pixel", Run.plain("s = r(" + Decimals.working(source.row()) + ", " + Decimals.working(source.column()) + ") = "),
                Run.before(number)));
        return new Working(title, lines, value, value);
    }

    @Override
    public void follow(Pixel result, LoopWriter out) {
        Source source = source(result);
        Value value = source.value().orElseThrow();
        String stays = "unless (i, j) is in the area: after[i][j] ← before[i][j]";
        if (!isMoved(result)) {
            out.set("after[i][j]", value).line(0, stays).onlyWriteFromNowOn();
        } else if (area.isPresent()) {
            out.mention(0, stays);
        }
        places.numbers().forEach((name, number) -> out.set(name, number));
        List<String> formulas = places.formulas();
        out.set("y", Decimals.working(source.row())).line(0, formulas.get(0).replace("y = ", "y ← "));
        out.set("x", Decimals.working(source.column())).line(0, formulas.get(1).replace("x = ", "x ← "));
        out.set("after[i][j]", value).line(0, "after[i][j] ← before[y][x]" + (outside == Outside.NEVER ? ""
                : ", or the value outside"));
    }
}

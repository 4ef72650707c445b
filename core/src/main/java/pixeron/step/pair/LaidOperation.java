package pixeron.step.pair;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import pixeron.image.Area;
import pixeron.image.Frame;
import pixeron.image.Image;
import pixeron.image.Patches;
import pixeron.image.Pixel;
import pixeron.loop.LoopProgram;
import pixeron.number.Decimals;
import pixeron.number.Value;
import pixeron.step.Beside;
import pixeron.step.Inputs;
import pixeron.step.Operation;
import pixeron.step.Progress;
import pixeron.step.Reference;
import pixeron.step.Source;
import pixeron.step.Step;
import pixeron.step.StepType;
import pixeron.working.Line;
import pixeron.working.LoopWriter;
import pixeron.working.Run;
import pixeron.working.Working;

/**
 * A step that lays another image over or beside the one before it. Values stay exactly as they are: nothing is rounded or clipped.
 *
 * <p>Cost: one look-up a pixel.
 */
final class LaidOperation implements Operation {

    private static final String IMAGE_BEFORE = "the image before";

    private final Step step;
    private final Inputs inputs;
    private final Image before;
    private final Image other;
    private final String name;
    private final Laid laid;
    private final LaidProgram told;
    private final Optional<Area> area;

    /**
     * @param other the image that is laid
     * @param name how the step names it
     * @param told the same for images of any size
     */
    LaidOperation(Step step, Inputs inputs, Image before, Image other, String name, Laid laid, LaidProgram told) {
        this.step = step;
        this.inputs = inputs;
        this.before = before;
        this.other = other;
        this.name = name;
        this.laid = laid;
        this.told = told;
        this.area = step.arguments().find(StepType.AREA).map(a -> a.requireInside(before));
    }

    @Override
    public Optional<LoopProgram> program() {
        return Optional.of(told.of(step, isOwn(), area).reading(before, other));
    }

    @Override
    public Step step() {
        return step;
    }

    @Override
    public Inputs inputs() {
        return inputs;
    }

    @Override
    public Image before() {
        return before;
    }

    @Override
    public Frame frame() {
        return laid.frame();
    }

    private boolean isOther(int i, int j) {
        return laid.isOther(i, j) && (area.isEmpty() || area.get().contains(i, j));
    }

    private boolean isOther(Pixel result) {
        return isOther(result.row(), result.column());
    }

    private Pixel source(Pixel result) {
        boolean isOther = isOther(result);
        return new Pixel(laid.sourceRow(result.row(), isOther), laid.sourceColumn(result.column(), isOther));
    }

    private boolean isFromBefore(Pixel result) {
        return !isOther(result) || isOwn();
    }

    /** A value of another image than the one before is at the place where it is laid, and comes from no pixel of that one. */
    @Override
    public List<Source> sources(Pixel result) {
        int row = laid.sourceRow(result.row(), false);
        int column = laid.sourceColumn(result.column(), false);
        return List.of(isFromBefore(result) ? Source.of(source(result), value(result)) : new Source(row, column, Optional.empty(),
                Optional.of(value(result)), Optional.empty(), before.contains(new Pixel(row, column))));
    }

    @Override
    public Optional<Beside> beside() {
        return isOwn() ? Optional.empty() : Optional.of(new Beside(name, other, result -> Optional.of(result).filter(this::isOther).map(this::source),
                pixel -> Optional.of(laid.home(pixel)).filter(this::contains).filter(this::isOther)));
    }

    @Override
    public boolean isMoving() {
        return true;
    }

    @Override
    public Optional<Pixel> counterpart(Pixel result) {
        return Optional.of(result).filter(this::isFromBefore).map(this::source);
    }

    @Override
    public Optional<Pixel> home(Pixel pixel) {
        Pixel there = new Pixel(pixel.row() + laid.first().row(), pixel.column() + laid.first().column());
        if (!isOther(there) || !isOwn()) {
            return Optional.of(there).filter(place -> !isOther(place));
        }
        // Covered by the piece, it can still be seen where it was laid.
        return Optional.of(laid.home(pixel)).filter(this::contains).filter(this::isOther);
    }

    @Override
    public Value exact(Pixel result) {
        return (isOther(result) ? other : before).value(source(result));
    }

    @Override
    public Value value(Pixel result) {
        return exact(result);
    }

    @Override
    public Image result(Progress progress) {
        int columns = frame().columns();
        if (before.isLevelImage() && other.isLevelImage() && other.maximumLevel() <= frame().maximumLevel()) {
            List<Patches.Patch> patches = new ArrayList<>(List.of(Patches.Patch.all(before, laid.first().row(), laid.first().column())));
            laid.within(area).ifPresent(piece -> patches.add(new Patches.Patch(other, piece.part(), piece.row(), piece.column())));
            return Patches.of(frame(), patches);
        }
        Value[] values = new Value[frame().count()];
        Arrays.setAll(values, n -> exact(new Pixel(n / columns, n % columns)));
        return Image.from(frame().rows(), columns, frame().maximumLevel(), values);
    }

    /** Returns i − 3 + 2, without what is 0. */
    private static String place(String name, int start, int offset) {
        return name + signed(-start) + signed(offset);
    }

    private static String signed(int number) {
        return number == 0 ? "" : (number < 0 ? " " + Decimals.MINUS + " " : " + ") + Math.abs(number);
    }

    private String row(boolean isOther, String i) {
        return isOther ? place(i, laid.row(), laid.part().row()) : place(i, laid.first().row(), 0);
    }

    private String column(boolean isOther, String j) {
        return isOther ? place(j, laid.column(), laid.part().column()) : place(j, laid.first().column(), 0);
    }

    private boolean isOwn() {
        return name.equals(Reference.SELF);
    }

    private String told() {
        return isOwn() ? IMAGE_BEFORE : name;
    }

    private String piece() {
        return "rows " + Decimals.working(laid.row()) + " to " + Decimals.working(laid.row() + laid.part().height() - 1) + ", columns " + Decimals.working(laid.column())
                + " to " + Decimals.working(laid.column() + laid.part().width() - 1);
    }

    @Override
    public Working explain(Pixel result) {
        Value value = value(result);
        String title = step.line() + ", " + result;
        boolean isOther = isOther(result);
        Pixel source = source(result);
        String place = "(" + source.row() + ", " + source.column() + ")";
        String calculation = "(" + row(isOther, Decimals.working(result.row())) + ", " + column(isOther, Decimals.working(result.column())) + ")";
        boolean isOutsideArea = area.isPresent() && !area.get().contains(result.row(), result.column());
        return new Working(title, List.of(
                Line.of("formula", Run.plain(step.type().formula(step.arguments()))),
                isOutsideArea ? Line.of("area", Run.plain("outside the area: the pixel keeps its value"))
                        : Line.of("piece", Run.plain((isOther ? "in " : "not in ") + piece() + (isOwn() ? "" : " of " + name))),
                Line.of("place", Run.plain((calculation.equals(place) ? "" : calculation + " = ") + place + " of "
                        + (isOther ? told() : IMAGE_BEFORE))),
                Line.of("this pixel", Run.plain("s = " + (isOther ? "t" : "r") + place + " = "), Run.before(Decimals.working(value)))), value, value);
    }

    @Override
    public void follow(Pixel result, LoopWriter out) {
        boolean isOther = isOther(result);
        String condition = "if (i, j) is in " + piece() + area.map(part -> " and in the area").orElse("") + ":";
        String taken = "after[i][j] ← " + (isOwn() ? "before" : name) + "[" + row(true, "i") + "][" + column(true, "j") + "]";
        String stays = "else: after[i][j] ← before[" + row(false, "i") + "][" + column(false, "j") + "]";
        out.line(0, condition);
        if (isOther) {
            out.set("after[i][j]", value(result)).line(1, taken).mention(0, stays);
        } else {
            out.mention(1, taken).set("after[i][j]", value(result)).line(0, stays);
        }
    }
}

package pixeron.step.pair;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import pixeron.PixeronException;
import pixeron.image.Area;
import pixeron.image.Frame;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.loop.Code;
import pixeron.number.Rational;
import pixeron.step.Common;
import pixeron.step.Grip;
import pixeron.step.Inputs;
import pixeron.step.NamedStep;
import pixeron.step.Operation;
import pixeron.step.Piece;
import pixeron.step.Reference;
import pixeron.step.Slip;
import pixeron.step.Step;
import pixeron.step.Way;
import pixeron.step.key.Amount;
import pixeron.step.key.AreaParameter;
import pixeron.step.key.Arguments;
import pixeron.step.key.NumberParameter;
import pixeron.step.key.Parameter;
import pixeron.step.key.ReferenceParameter;

/**
 * {@code paste row=i column=j from="row column height width" with=self}: a rectangle of the image before, or of another image, laid
 * over the image before with its first pixel at (i, j).
 *
 * <p>Domain: whole numbers of any sign; {@code from} lies inside its image, and at least one of its pixels falls inside. {@code
 * from} may be left out for another image, and is then all of it. Cost: one copy. Source: docs/definitions/two-images.md.
 */
public final class Paste extends NamedStep {

    private static final NumberParameter ROW = NumberParameter.pixels("row", "Row");
    private static final NumberParameter COLUMN = NumberParameter.pixels("column", "Column");
    private static final AreaParameter FROM = new AreaParameter("from", "Source");
    private static final ReferenceParameter WITH = new ReferenceParameter("with", "Other image", "self, " + Reference.WITH.range(), false,
            true);

    public Paste() {
        super("paste", "Paste", "Pastes a rectangle of this or of another image onto the image.");
    }

    @Override
    public String formula(Arguments arguments) {
        return "s(i, j) = t(i − row + first row, j − column + first column) in the piece, else r(i, j)";
    }

    @Override
    public List<Parameter<?>> ownParameters() {
        return List.of(ROW, COLUMN, FROM, WITH);
    }

    @Override
    public Set<Common> common() {
        return Set.of(Common.AREA, Common.CHANNELS);
    }

    @Override
    public List<ReferenceParameter> references() {
        return List.of(WITH);
    }

    private static boolean isOwn(Arguments arguments) {
        return arguments.find(WITH).filter(reference -> !reference.equals(Reference.SELF)).isEmpty();
    }

    @Override
    public void validate(Arguments arguments) {
        if (isOwn(arguments) && !arguments.isGiven(FROM)) {
            throw PixeronException.of("paste needs from=\"row column height width\", the rectangle to paste. Only for another "
                    + "image, with=…, it can be left out.");
        }
    }

    @Override
    public Step starter(int maximumLevel) {
        return new Step(this, Arguments.NONE.with(ROW, Amount.of(0)).with(COLUMN, Amount.of(1)).with(FROM, new Area(0, 0, 1, 1)));
    }

    /** The piece that is marked, laid beside itself. */
    @Override
    public Step starter(int maximumLevel, Area marked) {
        return new Step(this, Arguments.NONE.with(ROW, Amount.of(marked.row())).with(COLUMN, Amount.of(marked.column() + 1L)).with(FROM, marked));
    }

    @Override
    public List<Grip> grips(Step step, Inputs inputs) {
        Arguments arguments = step.arguments();
        Frame other = isOwn(arguments) ? inputs.before().frame() : inputs.others().apply(arguments.get(WITH)).frame();
        Area part = arguments.find(FROM).orElseGet(() -> new Area(0, 0, other.rows(), other.columns()));
        Piece laid = new Piece(arguments.get(ROW).number().toInt(), arguments.get(COLUMN).number().toInt(), part.height(), part.width());
        List<Grip> grips = new ArrayList<>(super.grips(step, inputs));
        grips.add(new Grip.Rectangle(isOwn(arguments) ? Grip.On.BEFORE : Grip.On.OTHER, "Source", Piece.of(part), true, piece ->
                step.with(FROM, piece.within(other))));
        grips.add(new Grip.Rectangle(Grip.On.AFTER, "Target", laid, false, piece -> step.with(ROW, Amount.of(onImage(piece.row(), laid.height(),
                inputs.before().frame().rows()))).with(COLUMN, Amount.of(onImage(piece.column(), laid.width(), inputs.before().frame().columns())))));
        return grips;
    }

    /** Returns the start nearest to this one from which at least one cell falls on the image. */
    private static int onImage(int start, int length, int size) {
        return Math.max(1 - length, Math.min(size - 1, start));
    }

    @Override
    public List<Slip> slips() {
        return List.of(Slip.of("corner-for-size", Paste::mixedUp), Slip.of("counted-from-one", Paste::fromOne),
                Slip.of("place-swapped", Paste::swapped));
    }

    private static List<Way> mixedUp(Operation right) {
        List<Way> ways = new ArrayList<>();
        right.step().arguments().find(FROM).ifPresent(from -> from.misread().forEach(other -> ways.addAll(Way.tried("the source \"" + from
                + "\" is read as \"" + other + "\": the last pixel is used as the size, or vice versa", () -> right.step().with(FROM, other), right))));
        return ways;
    }

    private static List<Way> swapped(Operation right) {
        Step step = right.step();
        List<Way> ways = new ArrayList<>(Way.tried("row and column of the target are swapped", () -> step.with(ROW, step.arguments().get(COLUMN))
                .with(COLUMN, step.arguments().get(ROW)), right));
        step.arguments().find(FROM).ifPresent(from -> from.swapped().forEach(other -> ways.addAll(Way.tried("the source \"" + from
                + "\" is read as \"" + other + "\": row and column are swapped", () -> step.with(FROM, other), right))));
        return ways;
    }

    private static List<Way> fromOne(Operation right) {
        List<Way> ways = new ArrayList<>();
        Step step = right.step();
        for (int one : new int[] {1, -1}) {
            String counted = one > 0 ? "counted from 0 instead of 1" : "counted from 1";
            ways.addAll(Way.tried("row and column of the target are " + counted, () -> step.with(ROW, moved(step, ROW, one))
                    .with(COLUMN, moved(step, COLUMN, one)), right));
            step.arguments().find(FROM).ifPresent(from -> ways.addAll(Way.tried("row and column of the source are " + counted, () ->
                    step.with(FROM, new Area(from.row() + one, from.column() + one, from.height(), from.width())), right)));
        }
        return ways;
    }

    private static Amount moved(Step step, NumberParameter key, int by) {
        return new Amount(step.arguments().get(key).number().plus(Rational.of(by)));
    }

    @Override
    public Operation bind(Step step, Inputs inputs) {
        Image before = inputs.image(this);
        Arguments arguments = step.arguments();
        String reference = isOwn(arguments) ? Reference.SELF : arguments.get(WITH);
        Image other = isOwn(arguments) ? before : inputs.other(this, reference);
        Optional<Area> from = arguments.find(FROM);
        if (from.isPresent() && !from.get().isInside(other.frame())) {
            Pixel last = from.get().lastPixel();
            throw PixeronException.of("paste copies the rectangle \"%s\" (row column height width) up to row %d, column %d, but %s ends at row "
                    + "%d, column %d.", from.get(), last.row(), last.column(), isOwn(arguments) ? "the image" : reference, other.rows() - 1,
                    other.columns() - 1);
        }
        Area part = from.orElseGet(() -> Area.all(other));
        int row = arguments.get(ROW).number().toInt();
        int column = arguments.get(COLUMN).number().toInt();
        if (!overlaps(row, part.height(), before.rows()) || !overlaps(column, part.width(), before.columns())) {
            throw PixeronException.of("paste at row %d, column %d covers no pixel: the rectangle has %d × %d pixels, the image %d × %d.", row,
                    column, part.height(), part.width(), before.rows(), before.columns());
        }
        return new LaidOperation(step, inputs, before, other, reference, new Laid(before.frame(), new Pixel(0, 0), part, row, column),
                new LaidProgram(Code.name("H"), Code.name("W"), LaidProgram.Place.START, place(part.row(), part.column()),
                        from.map(piece -> place(piece.height(), piece.width())).orElseGet(LaidProgram::other), place(row, column)));
    }

    private static LaidProgram.Place place(int row, int column) {
        return new LaidProgram.Place(Code.of(row), Code.of(column));
    }

    private static boolean overlaps(int start, int length, int size) {
        return start < size && (long) start + length > 0;
    }
}

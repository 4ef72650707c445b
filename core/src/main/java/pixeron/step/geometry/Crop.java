package pixeron.step.geometry;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import pixeron.PixeronException;
import pixeron.image.Area;
import pixeron.image.Frame;
import pixeron.image.Image;
import pixeron.number.Rational;
import pixeron.step.Common;
import pixeron.step.Grip;
import pixeron.step.Inputs;
import pixeron.step.NamedStep;
import pixeron.step.Operation;
import pixeron.step.Piece;
import pixeron.step.Slip;
import pixeron.step.Step;
import pixeron.step.Way;
import pixeron.step.key.Amount;
import pixeron.step.key.Arguments;
import pixeron.step.key.NumberParameter;
import pixeron.step.key.Parameter;

/**
 * {@code crop row=i column=j height=h width=w}: s(a, b) = r(a + i, b + j) for 0 ≤ a &lt; h, 0 ≤ b &lt; w; the rectangle lies
 * inside the image.
 *
 * <p>Domain: whole numbers; h, w ≥ 1. Cost: one copy of the part. Source: docs/definitions/moving.md.
 */
public final class Crop extends NamedStep {

    private static final NumberParameter ROW = from("row", "Row", 0);
    private static final NumberParameter COLUMN = from("column", "Column", 0);
    private static final NumberParameter HEIGHT = from("height", "Height", 1);
    private static final NumberParameter WIDTH = from("width", "Width", 1);
    private static final List<NumberParameter> KEYS = List.of(ROW, COLUMN, HEIGHT, WIDTH);

    public Crop() {
        super("crop", "Crop", "Keeps a rectangle, given by its first pixel and its size.");
    }

    private static NumberParameter from(String key, String title, int least) {
        return NumberParameter.required(key, title).only(n -> n.isInt() && n.toInt() >= least,
                "a whole number of at least " + least);
    }

    @Override
    public String formula(Arguments arguments) {
        return "s(i, j) = r(i + row, j + column)";
    }

    @Override
    public List<Parameter<?>> ownParameters() {
        return List.copyOf(KEYS);
    }

    @Override
    public Set<Common> common() {
        return Common.NONE;
    }

    @Override
    public Step starter(int maximumLevel) {
        return of(new Area(0, 0, 1, 1));
    }

    @Override
    public Step starter(int maximumLevel, Area marked) {
        return of(marked);
    }

    /** Returns the step that cuts out this rectangle. */
    public Step of(Area area) {
        return new Step(this, Arguments.NONE.with(ROW, Amount.of(area.row())).with(COLUMN, Amount.of(area.column()))
                .with(HEIGHT, Amount.of(area.height())).with(WIDTH, Amount.of(area.width())));
    }

    /** Returns the rectangle that a step of this kind cuts out. */
    public static Area area(Step step) {
        int[] numbers = KEYS.stream().mapToInt(key -> step.arguments().get(key).number().toInt()).toArray();
        return new Area(numbers[0], numbers[1], numbers[2], numbers[3]);
    }

    @Override
    public List<Grip> grips(Step step, Inputs inputs) {
        return List.of(new Grip.Rectangle(Grip.On.BEFORE, "Rectangle", Piece.of(area(step)), true, piece -> of(piece.within(inputs.before().frame()))));
    }

    @Override
    public List<Slip> slips() {
        return List.of(Slip.of("counted-from-one", right -> {
            List<Way> ways = new ArrayList<>();
            for (int one : new int[] {1, -1}) {
                Area area = area(right.step());
                ways.addAll(Way.tried("row and column are counted from " + (one > 0 ? "0 instead of 1" : "1")
                        + ", so the rectangle begins at (" + (area.row() + one) + ", " + (area.column() + one) + ")",
                        () -> of(new Area(area.row() + one, area.column() + one, area.height(), area.width())), right));
            }
            return ways;
        }), Slip.of("place-swapped", right -> area(right.step()).swapped().filter(area -> area.height() == right.frame().rows()
                && area.width() == right.frame().columns()).flatMap(area -> Way.tried("row and column are swapped, so the rectangle begins at ("
                        + area.row() + ", " + area.column() + ")", () -> of(area), right).stream()).toList()));
    }

    @Override
    public Stream<Frame> misread(Operation right) {
        return area(right.step()).misread().filter(area -> area.isInside(right.before().frame())).map(area ->
                new Frame(area.height(), area.width(), right.frame().maximumLevel()));
    }

    @Override
    public Operation bind(Step step, Inputs inputs) {
        Image before = inputs.image(this);
        Area area = area(step);
        if ((long) area.row() + area.height() > before.rows() || (long) area.column() + area.width() > before.columns()) {
            throw PixeronException.of("crop from row %d, column %d with %d × %d pixels would end at row %d, column %d; the image "
                    + "ends at row %d, column %d.", area.row(), area.column(), area.height(), area.width(),
                    (long) area.row() + area.height() - 1, (long) area.column() + area.width() - 1, before.rows() - 1,
                    before.columns() - 1);
        }
        Frame frame = before.frame().sized(area.height(), area.width());
        Places places = Places.of(frame, List.of("i + row", "j + column"), List.of("y - row", "x - column"),
                Map.of("row", Rational.of(area.row()), "column", Rational.of(area.column())));
        return new MovedOperation(step, before, places, Outside.NEVER);
    }
}

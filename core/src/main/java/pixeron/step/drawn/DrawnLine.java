package pixeron.step.drawn;

import java.util.List;
import pixeron.PixeronException;
import pixeron.image.Area;
import pixeron.image.Frame;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.look.Segment;
import pixeron.loop.Code;
import pixeron.loop.Statement;
import pixeron.number.Rational;
import pixeron.number.Rounding;
import pixeron.step.Step;
import pixeron.step.key.Arguments;
import pixeron.step.key.ListParameter;
import pixeron.step.key.Parameter;
import pixeron.step.key.TextParameter;

/**
 * {@code line from="i j" to="i j" value=v}: with n = max(|Δi|, |Δj|), the pixels (i₀ + k·Δi ÷ n, j₀ + k·Δj ÷ n) for k = 0 to n, rounded to
 * nearest, ties away from zero; where n = 0 one pixel.
 *
 * <p>Source: docs/definitions/drawing.md.
 */
public final class DrawnLine extends DrawnStep {

    private static final ListParameter FROM = new ListParameter("from", "First pixel", "row and column of the first pixel");
    private static final ListParameter TO = new ListParameter("to", "Last pixel", "row and column of the last pixel");
    private static final TextParameter VALUE = new TextParameter("value", "Value", Ink.RANGE);

    public DrawnLine() {
        super("line", "Line", "Sets the pixels of a straight line to a value.");
    }

    @Override
    public String formula(Arguments arguments) {
        return "s = value on the line, else r";
    }

    @Override
    public List<Parameter<?>> ownParameters() {
        return List.of(FROM, TO, VALUE);
    }

    private static Step of(DrawnLine type, Pixel from, Pixel to, String value) {
        return new Step(type, Arguments.NONE.with(FROM, place(from)).with(TO, place(to)).with(VALUE, value));
    }

    @Override
    public Step starter(int maximumLevel) {
        return of(this, new Pixel(0, 0), new Pixel(0, 0), Integer.toString(maximumLevel));
    }

    /** The diagonal. */
    @Override
    public Step starter(Frame frame) {
        return starter(frame.maximumLevel(), new Area(0, 0, frame.rows(), frame.columns()));
    }

    @Override
    public Step starter(int maximumLevel, Area marked) {
        return of(this, new Pixel(marked.row(), marked.column()), marked.lastPixel(), Integer.toString(maximumLevel));
    }

    private static List<Rational> place(Pixel pixel) {
        return List.of(Rational.of(pixel.row()), Rational.of(pixel.column()));
    }

    private static Pixel pixel(Arguments arguments, ListParameter key) {
        List<Rational> place = arguments.get(key);
        if (place.size() != 2 || !place.stream().allMatch(number -> number.isInt() && number.signum() >= 0)) {
            throw PixeronException.of("%s=\"%s\" is not a row and a column. Use two whole numbers of at least 0, such as 2 3.", key.key(), key.print(place));
        }
        return new Pixel(place.get(0).toInt(), place.get(1).toInt());
    }

    private static Segment segment(Arguments arguments) {
        return new Segment(pixel(arguments, FROM), pixel(arguments, TO));
    }

    @Override
    List<Dot> dots(Arguments arguments) {
        Ink ink = Ink.parse(VALUE.key(), arguments.get(VALUE));
        return segment(arguments).pixels().stream().map(pixel -> new Dot(pixel, ink)).toList();
    }

    @Override
    Step inked(Step step, int place) {
        return step.with(VALUE, Ink.parse(VALUE.key(), step.arguments().get(VALUE)).onChannel(place).orElseThrow().text());
    }

    @Override
    Step moved(Step step, PlaceChange change) {
        Segment line = segment(step.arguments());
        return step.with(FROM, place(change.of(line.from()))).with(TO, place(change.of(line.to())));
    }

    /** One loop over k, as the line is written down. */
    @Override
    List<Statement> loop(Arguments arguments, Image before) {
        Segment line = segment(arguments);
        Code value = Code.of(Ink.parse(VALUE.key(), arguments.get(VALUE)).on(name(), before));
        int steps = line.chessboardDistance();
        return List.of(new Statement.Loop("k", Code.of(0), Code.of(steps + 1L), List.of(Statement.set("row", at(line.from().row(), line.rowDifference(), steps)),
                Statement.set("column", at(line.from().column(), line.columnDifference(), steps)), setWhere(Code.name("row"), Code.name("column"), value))));
    }

    private static Code at(int start, int difference, int steps) {
        Code first = Code.of(start);
        return steps == 0 || difference == 0 ? first : new Code.Rounded(Rounding.NEAREST, first.plus(Code.name("k").times(Code.of(difference)).over(Code.of(steps))));
    }
}

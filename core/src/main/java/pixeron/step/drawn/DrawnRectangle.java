package pixeron.step.drawn;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import pixeron.PixeronException;
import pixeron.image.Area;
import pixeron.image.Frame;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.loop.Code;
import pixeron.loop.Ending;
import pixeron.loop.Statement;
import pixeron.step.Grip;
import pixeron.step.Inputs;
import pixeron.step.Piece;
import pixeron.step.Step;
import pixeron.step.StepType;
import pixeron.step.key.Arguments;
import pixeron.step.key.ChoiceParameter;
import pixeron.step.key.Parameter;
import pixeron.step.key.TextParameter;

/**
 * {@code rectangle area="row column height width" value=v filled=no}: the edge of a rectangle, one pixel wide, or all of it gets a value.
 *
 * <p>Source: docs/definitions/drawing.md.
 */
public final class DrawnRectangle extends DrawnStep {

    private static final TextParameter VALUE = new TextParameter("value", "Value", Ink.RANGE);
    private static final ChoiceParameter.Choice YES = new ChoiceParameter.Choice("yes", "all pixels of the rectangle");
    private static final ChoiceParameter FILLED = ChoiceParameter.of("filled", "Filled", new ChoiceParameter.Choice("no", "its outline, one pixel wide"), YES);

    public DrawnRectangle() {
        super("rectangle", "Rectangle", "Sets the outline of a rectangle, or all of it, to a value.");
    }

    @Override
    public String formula(Arguments arguments) {
        return "s = value " + (isFilled(arguments) ? "in the rectangle" : "on the edge of the rectangle") + ", else r";
    }

    @Override
    public List<Parameter<?>> ownParameters() {
        return List.of(StepType.AREA, VALUE, FILLED);
    }

    private static boolean isFilled(Arguments arguments) {
        return arguments.get(FILLED).equals(YES);
    }

    @Override
    public void validate(Arguments arguments) {
        if (!arguments.isGiven(StepType.AREA)) {
            throw PixeronException.of("rectangle needs area=\"row column height width\".");
        }
        super.validate(arguments);
    }

    @Override
    public Step starter(int maximumLevel) {
        return starter(maximumLevel, new Area(0, 0, 1, 1));
    }

    /** The edge of the whole image. */
    @Override
    public Step starter(Frame frame) {
        return starter(frame.maximumLevel(), new Area(0, 0, frame.rows(), frame.columns()));
    }

    @Override
    public Step starter(int maximumLevel, Area marked) {
        return new Step(this, Arguments.NONE.with(StepType.AREA, marked).with(VALUE, Integer.toString(maximumLevel)));
    }

    @Override
    public List<Grip> grips(Step step, Inputs inputs) {
        return List.of(new Grip.Rectangle(Grip.On.AFTER, "Rectangle", Piece.of(step.arguments().get(StepType.AREA)), true, piece ->
                step.with(StepType.AREA, piece.within(inputs.before().frame()))));
    }

    @Override
    List<Dot> dots(Arguments arguments) {
        Area area = arguments.get(StepType.AREA);
        Ink ink = Ink.parse(VALUE.key(), arguments.get(VALUE));
        boolean isFilled = isFilled(arguments);
        return IntStream.range(0, area.count()).mapToObj(n -> new Pixel(area.row() + n / area.width(), area.column() + n % area.width()))
                .filter(pixel -> isFilled || isOnEdge(area, pixel)).map(pixel -> new Dot(pixel, ink)).toList();
    }

    private static boolean isOnEdge(Area area, Pixel pixel) {
        Pixel last = area.lastPixel();
        return pixel.row() == area.row() || pixel.row() == last.row() || pixel.column() == area.column() || pixel.column() == last.column();
    }

    @Override
    Step inked(Step step, int place) {
        return step.with(VALUE, Ink.parse(VALUE.key(), step.arguments().get(VALUE)).onChannel(place).orElseThrow().text());
    }

    /** Its rectangle is an area, of which every step has these slips. */
    @Override
    Step moved(Step step, PlaceChange change) {
        Area area = step.arguments().get(StepType.AREA);
        Pixel first = change.of(new Pixel(area.row(), area.column()));
        return step.with(StepType.AREA, new Area(first.row(), first.column(), area.height(), area.width()));
    }

    @Override
    List<Statement> loop(Arguments arguments, Image before) {
        Area area = arguments.get(StepType.AREA);
        Code value = Code.of(Ink.parse(VALUE.key(), arguments.get(VALUE)).on(name(), before));
        List<Statement> set = List.of(Statement.set("s", value));
        boolean hasInside = !isFilled(arguments) && area.height() > 2 && area.width() > 2;
        List<Statement> within = new ArrayList<>(set);
        if (hasInside) {
            Area inner = new Area(area.row() + 1, area.column() + 1, area.height() - 2, area.width() - 2);
            within = List.of(new Statement.When(new Code.All(Ending.inside(inner)), List.of(), set));
        }
        return List.of(new Statement.When(new Code.All(Ending.inside(area)), within, List.of()));
    }
}

package pixeron.step.drawn;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import pixeron.PixeronException;
import pixeron.image.Area;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.loop.Code;
import pixeron.loop.Statement;
import pixeron.number.Decimals;
import pixeron.number.Rational;
import pixeron.step.Step;
import pixeron.step.key.Arguments;
import pixeron.step.key.Parameter;
import pixeron.step.key.TextParameter;

/**
 * {@code set-pixels at="i j v | i j v | …"}: single pixels get values; of several for one pixel the last wins.
 *
 * <p>Source: docs/definitions/drawing.md.
 */
public final class SetPixels extends DrawnStep {

    private static final TextParameter AT = new TextParameter("at", "Pixels", "row, column and value of each pixel, with | between them: 0 0 255 | 2 3 0");
    private static final String PLACE = "\\d{1,9}";

    public SetPixels() {
        super("set-pixels", "Set pixels", "Sets single pixels to given values; all others stay unchanged.");
    }

    @Override
    public String formula(Arguments arguments) {
        return "s = the value of the pixel where it is set, else r";
    }

    @Override
    public List<Parameter<?>> ownParameters() {
        return List.of(AT);
    }

    @Override
    public Step starter(int maximumLevel) {
        return new Step(this, Arguments.NONE.with(AT, "0 0 " + maximumLevel));
    }

    @Override
    public Step starter(int maximumLevel, Area marked) {
        return new Step(this, Arguments.NONE.with(AT, marked.row() + " " + marked.column() + " " + maximumLevel));
    }

    @Override
    List<Dot> dots(Arguments arguments) {
        List<Dot> dots = new ArrayList<>();
        for (String part : arguments.get(AT).split("\\|", -1)) {
            String[] words = part.strip().split("\\s+");
            if (words.length != 3 || !words[0].matches(PLACE) || !words[1].matches(PLACE)) {
                throw PixeronException.of("at has “%s”, which is not a row, a column and a value. Use the form 2 3 255, with | between pixels.",
                        Decimals.shortened(part.strip()));
            }
            dots.add(new Dot(new Pixel(Integer.parseInt(words[0]), Integer.parseInt(words[1])), Ink.parse("at", words[2])));
        }
        return dots;
    }

    private static Step with(Step step, List<Dot> dots) {
        return step.with(AT, dots.stream().map(dot -> dot.pixel().row() + " " + dot.pixel().column() + " " + dot.ink().text()).collect(Collectors.joining(" | ")));
    }

    @Override
    Step inked(Step step, int place) {
        return with(step, dots(step.arguments()).stream().flatMap(dot -> dot.ink().onChannel(place).map(ink -> new Dot(dot.pixel(), ink)).stream()).toList());
    }

    @Override
    Step moved(Step step, PlaceChange change) {
        return with(step, dots(step.arguments()).stream().map(dot -> new Dot(change.of(dot.pixel()), dot.ink())).toList());
    }

    @Override
    List<Statement> start(Arguments arguments, Image before) {
        List<Dot> dots = dots(arguments);
        return List.of(values("rowsSet", dots.stream().map(dot -> Rational.of(dot.pixel().row())).toList()),
                values("columnsSet", dots.stream().map(dot -> Rational.of(dot.pixel().column())).toList()),
                values("valuesSet", dots.stream().map(dot -> dot.ink().on(name(), before)).toList()));
    }

    @Override
    List<Statement> loop(Arguments arguments, Image before) {
        Code k = Code.name("k");
        return List.of(new Statement.Loop("k", Code.of(0), Code.of(dots(arguments).size()), List.of(setWhere(new Code.At("rowsSet", k),
                new Code.At("columnsSet", k), new Code.At("valuesSet", k)))));
    }

    private static Statement values(String name, List<Rational> numbers) {
        return new Statement.Values(name, List.copyOf(numbers));
    }
}

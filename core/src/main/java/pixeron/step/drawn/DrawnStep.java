package pixeron.step.drawn;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import pixeron.PixeronException;
import pixeron.image.ColorImage;
import pixeron.image.Components;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.loop.Code;
import pixeron.loop.LoopProgram;
import pixeron.loop.Statement;
import pixeron.number.Rational;
import pixeron.step.Common;
import pixeron.step.Inputs;
import pixeron.step.NamedStep;
import pixeron.step.Operation;
import pixeron.step.Slip;
import pixeron.step.Step;
import pixeron.step.StepType;
import pixeron.step.Way;
import pixeron.step.key.Arguments;

/**
 * A step that gives some pixels a value and leaves all others as they are.
 *
 * <p>Domain: places inside the image; values are levels of a level image, any numbers of another one. On a color image a packed color gives every
 * channel its level and leaves alpha, unless it has eight digits; a number goes to the channels that are worked on. No rounding, no overflow.
 * Cost: one copy of the image.
 */
abstract class DrawnStep extends NamedStep {

    DrawnStep(String name, String title, String sentence) {
        super(name, title, sentence);
    }

    /** One pixel and what it is set to; of several for the same pixel the last wins. */
    record Dot(Pixel pixel, Ink ink) {
    }

    /** Returns all pixels that are set, in the order in which they are. */
    abstract List<Dot> dots(Arguments arguments);

    /** Returns the same step where every ink is that of one channel; empty inks are left out. */
    abstract Step inked(Step step, int place);

    /** Returns the statements that make s of the pixel (i, j), which is before[i][j] so far. */
    abstract List<Statement> loop(Arguments arguments, Image before);

    /** Returns what is there before the loops over the pixels begin. */
    List<Statement> start(Arguments arguments, Image before) {
        return List.of();
    }

    /** Returns the same step with rows and columns exchanged, or counted from another number. */
    abstract Step moved(Step step, PlaceChange change);

    /** What becomes of a place that was misunderstood. */
    interface PlaceChange {
        Pixel of(Pixel pixel);
    }

    @Override
    public Set<Common> common() {
        return Set.of(Common.CHANNELS);
    }

    @Override
    public void validate(Arguments arguments) {
        boolean hasColor = dots(arguments).stream().anyMatch(dot -> dot.ink().color().isPresent());
        if (hasColor && arguments.isGiven(StepType.CHANNELS)) {
            throw PixeronException.of("%s has a color, which sets all channels. Leave out channels, or give a number.", name());
        }
    }

    @Override
    public List<String> channels(Step step, Components before) {
        List<Dot> dots = dots(step.arguments());
        if (!(before instanceof ColorImage color)) {
            return super.channels(step, before);
        }
        if (dots.stream().anyMatch(dot -> dot.ink().color().isPresent()) && color.maximumLevel() != Image.BYTE_MAXIMUM) {
            throw PixeronException.of("%s has a color with eight bits per channel, but the channels have levels 0–%d. Give a number.", name(), color.maximumLevel());
        } else if (dots.stream().noneMatch(dot -> dot.ink().hasAlpha())) {
            return super.channels(step, before);
        } else if (color.alpha().isEmpty()) {
            throw PixeronException.of("%s sets alpha, but this color image has no alpha channel. Use six digits: 0xRRGGBB.", name());
        }
        return Stream.concat(super.channels(step, before).stream(), Stream.of("alpha")).toList();
    }

    @Override
    public Step onChannel(Step step, int place) {
        return inked(step, place);
    }

    @Override
    public List<Slip> slips() {
        return List.of(Slip.of("place-swapped", right -> Way.tried("row and column are swapped", () -> moved(right.step(), pixel -> new Pixel(pixel.column(),
                pixel.row())), right)), Slip.of("counted-from-one", right -> Stream.of(1, -1).flatMap(by -> Way.tried(by > 0
                        ? "positions are counted from 0 instead of 1" : "positions are counted from 1", () -> moved(right.step(), pixel -> new Pixel(
                                pixel.row() + by, pixel.column() + by)), right).stream()).toList()));
    }

    @Override
    public Operation bind(Step step, Inputs inputs) {
        Image before = inputs.image(this);
        Map<Pixel, Rational> values = new LinkedHashMap<>();
        for (Dot dot : dots(step.arguments())) {
            if (!before.contains(dot.pixel())) {
                throw PixeronException.of("%s sets %s, but the image ends at row %d, column %d.", name(), dot.pixel(), before.rows() - 1, before.columns() - 1);
            }
            values.put(dot.pixel(), dot.ink().on(name(), before));
        }
        List<Statement> body = new ArrayList<>(List.of(Statement.set("s", Code.before(Code.name("i"), Code.name("j")))));
        body.addAll(loop(step.arguments(), before));
        LoopProgram program = new LoopProgram(name(), step.line(), start(step.arguments(), before), Code.name("H"), Code.name("W"), body).reading(before);
        return new DrawnOperation(step, inputs, before, values, formula(step.arguments()), Optional.of(program));
    }

    static Statement setWhere(Code row, Code column, Code value) {
        return new Statement.When(new Code.All(List.of(Code.name("i").atMost(row), Code.name("i").atLeast(row), Code.name("j").atMost(column),
                Code.name("j").atLeast(column))), List.of(Statement.set("s", value)), List.of());
    }
}

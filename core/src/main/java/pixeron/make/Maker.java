package pixeron.make;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import pixeron.image.Image;
import pixeron.image.Result;
import pixeron.number.Overflow;
import pixeron.number.Rounding;
import pixeron.step.Finish;
import pixeron.step.Progress;
import pixeron.step.StepType;
import pixeron.step.key.Arguments;
import pixeron.step.key.ChoiceParameter;
import pixeron.step.key.Keyed;
import pixeron.step.key.NumberParameter;
import pixeron.step.key.Parameter;

/** A way to make a new image. It describes itself with keys like a step; every one takes size and maximum level. */
public abstract class Maker implements Keyed {

    private static final int LARGEST_SIDE = 8192;

    static final NumberParameter ROWS = size("rows", "Rows");
    static final NumberParameter COLUMNS = size("columns", "Columns");
    static final NumberParameter MAXIMUM = NumberParameter.optional("maximum", "Maximum level", 255).only(
            n -> n.isInt() && n.toInt() >= 1 && n.toInt() <= Image.LARGEST_MAXIMUM, "a whole number from 1 to 65535");

    /** Values beyond the levels stay unless the user says otherwise: nothing is clipped silently. */
    static final ChoiceParameter OVERFLOW = new ChoiceParameter(StepType.OVERFLOW.key(), StepType.OVERFLOW.title(),
            Optional.of(StepType.OVERFLOW.parse(Overflow.KEEP.word())), StepType.OVERFLOW.choices());

    private final String name;
    private final String title;
    private final String sentence;
    private final List<Parameter<?>> parameters;

    /** A way in which every value is rounded and limited at the end. */
    Maker(String name, String title, String sentence, Parameter<?>... ownParameters) {
        this(List.of(StepType.ROUNDING, OVERFLOW), name, title, sentence, ownParameters);
    }

    Maker(List<Parameter<?>> end, String name, String title, String sentence, Parameter<?>... ownParameters) {
        this.name = name;
        this.title = title;
        this.sentence = sentence;
        this.parameters = Stream.of(List.of(ROWS, COLUMNS, MAXIMUM), List.of(ownParameters), end).<Parameter<?>>flatMap(List::stream).toList();
    }

    private static NumberParameter size(String key, String title) {
        return NumberParameter.optional(key, title, 8).only(
                n -> n.isInt() && n.toInt() >= 1 && n.toInt() <= LARGEST_SIDE, "a whole number from 1 to "
                        + LARGEST_SIDE);
    }

    @Override
    public final String name() {
        return name;
    }

    /** Returns its name for people. */
    public final String title() {
        return title;
    }

    /** Returns what it makes, in one sentence. */
    public final String sentence() {
        return sentence;
    }

    @Override
    public final List<Parameter<?>> parameters() {
        return parameters;
    }

    /**
     * Returns the new image, gray or in color; the same for the same arguments on every machine.
     *
     * @param arguments every required key has a value
     * @param progress receives the progress
     * @throws pixeron.PixeronException if a value cannot be calculated; names the pixel
     * @throws java.util.concurrent.CancellationException when progress says it is no longer wanted
     */
    public abstract Result make(Arguments arguments, Progress progress);

    /** Returns the end of every value: rounding and overflow as the user chose. */
    static Finish finish(Arguments arguments, int maximum) {
        return new Finish(Rounding.named(arguments.get(StepType.ROUNDING).word()),
                Overflow.named(arguments.get(OVERFLOW).word()), maximum);
    }

    static int whole(Arguments arguments, NumberParameter parameter) {
        return arguments.get(parameter).resolve(Image.LARGEST_MAXIMUM).toInt();
    }
}

package pixeron.step;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import pixeron.image.Area;
import pixeron.image.Components;
import pixeron.image.Frame;
import pixeron.image.Result;
import pixeron.image.Spectrum;
import pixeron.number.Overflow;
import pixeron.number.Rounding;
import pixeron.step.key.AreaParameter;
import pixeron.step.key.Arguments;
import pixeron.step.key.ChannelsParameter;
import pixeron.step.key.ChoiceParameter;
import pixeron.step.key.Keyed;
import pixeron.step.key.Parameter;
import pixeron.step.key.ReferenceParameter;
import pixeron.working.TableKind;

/** A kind of step. It describes itself; everything that shows, reads or writes steps is made from this. */
public interface StepType extends Keyed {

    /** The key {@code rounding}. */
    ChoiceParameter ROUNDING = ChoiceParameter.of("rounding", "Rounding", Arrays.stream(Rounding.values())
            .map(r -> new ChoiceParameter.Choice(r.word(), r.sentence())).toArray(ChoiceParameter.Choice[]::new));

    /** The key {@code overflow}. */
    ChoiceParameter OVERFLOW = ChoiceParameter.of("overflow", "Overflow", Arrays.stream(Overflow.values())
            .map(o -> new ChoiceParameter.Choice(o.word(), o.sentence())).toArray(ChoiceParameter.Choice[]::new));

    /** The key {@code area}. */
    AreaParameter AREA = new AreaParameter();

    /** The key {@code channels}, which belongs to color images; left out, red, green and blue are worked on. */
    ChannelsParameter CHANNELS = new ChannelsParameter("channels", "Channels", false);

    /** Returns its name for people. */
    String title();

    /** Returns what it does, in one sentence. */
    String sentence();

    /** Returns its formula for people with these values of its keys, all that are required among them: {@code s = r + amount}. */
    String formula(Arguments arguments);

    /** Returns the same in a few words, for a narrow place. */
    default String shortFormula(Arguments arguments) {
        return formula(arguments);
    }

    /** Returns which keys it has beside its own. */
    default Set<Common> common() {
        return Common.ALL;
    }

    /** Returns the key {@code rounding} of this kind. */
    default ChoiceParameter roundingParameter() {
        return ROUNDING;
    }

    /** Returns the key {@code overflow} of this kind. */
    default ChoiceParameter overflowParameter() {
        return OVERFLOW;
    }

    /** Returns how a step with these arguments rounds. */
    default Rounding rounding(Arguments arguments) {
        return common().contains(Common.ROUNDING) ? Rounding.named(arguments.get(roundingParameter()).word()) : Rounding.NONE;
    }

    /** Returns what a step with these arguments does with values outside 0–M. */
    default Overflow overflow(Arguments arguments) {
        return common().contains(Common.OVERFLOW) ? Overflow.named(arguments.get(overflowParameter()).word()) : Overflow.KEEP;
    }

    /** Returns its own keys, in the order of its line. */
    List<Parameter<?>> ownParameters();

    /** Returns all keys, those that it has in common with others last. */
    @Override
    default List<Parameter<?>> parameters() {
        List<Parameter<?>> all = new ArrayList<>(ownParameters());
        if (common().contains(Common.ROUNDING)) {
            all.add(roundingParameter());
        }
        if (common().contains(Common.OVERFLOW)) {
            all.add(overflowParameter());
        }
        if (common().contains(Common.AREA)) {
            all.add(AREA);
        }
        if (common().contains(Common.CHANNELS)) {
            all.add(CHANNELS);
        }
        return all;
    }

    /** Returns a step to begin with when a user adds this kind: required keys with values that change little. */
    default Step starter(int maximumLevel) {
        return new Step(this, Arguments.NONE);
    }

    /** Returns a step to begin with on an image of this size, where nothing is marked. */
    default Step starter(Frame frame) {
        return starter(frame.maximumLevel());
    }

    /** Returns the same where a rectangle is marked on what the step is applied to, for a kind that takes a rectangle. */
    default Step starter(int maximumLevel, Area marked) {
        return starter(maximumLevel);
    }

    /**
     * Returns a step to begin with, as it fits what it is applied to: on a model image it names a component.
     *
     * @param starter of this type
     * @param looked the component that a user looks at
     */
    default Step fitted(Step starter, Result before, String looked) {
        boolean needsName = before instanceof Components components && components.unnamed().isEmpty() && common().contains(Common.CHANNELS);
        return needsName ? starter.with(CHANNELS, List.of(looked)) : starter;
    }

    /**
     * Checks what depends on several keys together.
     *
     * @param arguments every required key has a value
     * @throws pixeron.PixeronException if they contradict each other
     */
    default void validate(Arguments arguments) {
    }

    /** Returns those of its keys that are limits for levels: a level is compared with them. */
    default List<? extends Parameter<?>> limits() {
        return List.of();
    }

    /** Returns a step of a more general kind that does the same; empty where there is none. */
    default Optional<Step> spelledOut(Step step) {
        return Optional.empty();
    }

    /** Returns what a user should know who waits for it on something so large; empty where nobody waits long. */
    default Optional<String> patience(Frame before) {
        return Optional.empty();
    }

    /** Returns whether it can be applied to results of this kind: an image or a color image, unless it says something else. */
    default boolean takes(Result before) {
        return !(before instanceof Spectrum);
    }

    /** Returns the slips that belong to steps of this kind, beside those that every step can have. */
    default List<Slip> slips() {
        return List.of();
    }

    /** Returns frames that the result would have for a user who mixes up the size and the last pixel of a rectangle in its keys. */
    default Stream<Frame> misread(Operation right) {
        return Stream.empty();
    }

    /** Returns whether what becomes of a level depends on the image as a whole: its counts, its smallest and largest value. */
    default boolean dependsOnCounts() {
        return false;
    }

    /**
     * Returns the channels that a step works on where its line does not say it; none of a model image, where it must.
     *
     * @throws pixeron.PixeronException if the step cannot be applied to this result
     */
    default List<String> channels(Step step, Components before) {
        return before.unnamed();
    }

    /**
     * Returns what the step is on that channel of a color image; the same for all, but where numbers are drawn.
     *
     * @param step of this type
     * @param place of a channel in the order of the image: red 0, green 1, blue 2, alpha 3
     */
    default Step onChannel(Step step, int place) {
        return step;
    }

    /** Returns those of its keys that name another result; see {@link Reference}. */
    default List<ReferenceParameter> references() {
        return List.of();
    }

    /**
     * Returns what would bring both images to a size with which the step can be applied; none where sizes are no hindrance.
     *
     * @param step of this type
     * @param inputs what it is applied to
     * @throws pixeron.PixeronException if there is no other image by the name that the step gives
     */
    default List<Mend> mends(Step step, Inputs inputs) {
        return List.of();
    }

    /**
     * Returns what of it is taken hold of on the sheets.
     *
     * @param step of this type
     * @param inputs what it is applied to
     * @throws pixeron.PixeronException if there is no other image by the name that the step gives
     */
    default List<Grip> grips(Step step, Inputs inputs) {
        Frame before = inputs.before().frame();
        return step.arguments().find(AREA).filter(area -> common().contains(Common.AREA)).<List<Grip>>map(area -> List.of(new Grip.Rectangle(Grip.On.BEFORE, "Area",
                Piece.of(area), true, piece -> step.with(AREA, piece.within(before))))).orElse(List.of());
    }

    /** Returns the kinds of tables by which it is calculated. */
    default List<TableKind> tables() {
        return List.of();
    }

    /** Returns what is done where a user takes this operation for its opposite; empty where it has none. */
    default Optional<Opposite> opposite(Step step) {
        return Optional.empty();
    }

    /**
     * Returns the step bound to that.
     *
     * @param step of this type
     * @param inputs what it is applied to
     * @throws pixeron.PixeronException if the step cannot be applied to this
     */
    Operation bind(Step step, Inputs inputs);
}

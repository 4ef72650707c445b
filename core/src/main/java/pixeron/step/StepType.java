package pixeron.step;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import pixeron.image.Image;
import pixeron.number.Overflow;
import pixeron.number.Rounding;

/** A kind of step. It describes itself; everything that shows, reads or writes steps is made from this. */
public interface StepType extends Keyed {

    /** The key {@code rounding}, which every step has. */
    ChoiceParameter ROUNDING = ChoiceParameter.of("rounding", "Rounding", Arrays.stream(Rounding.values())
            .map(r -> new ChoiceParameter.Choice(r.word(), r.sentence())).toArray(ChoiceParameter.Choice[]::new));

    /** The key {@code overflow}, which every step has. */
    ChoiceParameter OVERFLOW = ChoiceParameter.of("overflow", "Overflow", Arrays.stream(Overflow.values())
            .map(o -> new ChoiceParameter.Choice(o.word(), o.sentence())).toArray(ChoiceParameter.Choice[]::new));

    /** The key {@code area}, which every step has. */
    AreaParameter AREA = new AreaParameter();

    /** @return its name for people */
    String title();

    /** @return what it does, in one sentence */
    String sentence();

    /** @return its formula for people: {@code s = r + amount} */
    String formula();

    /** @return the key {@code rounding} of this kind */
    default ChoiceParameter roundingParameter() {
        return ROUNDING;
    }

    /** @return the key {@code overflow} of this kind */
    default ChoiceParameter overflowParameter() {
        return OVERFLOW;
    }

    /** @return how a step with these arguments rounds */
    default Rounding rounding(Arguments arguments) {
        return Rounding.named(arguments.get(roundingParameter()).word());
    }

    /** @return what a step with these arguments does with values outside 0 … M */
    default Overflow overflow(Arguments arguments) {
        return Overflow.named(arguments.get(overflowParameter()).word());
    }

    /** @return its own keys, in the order of its line */
    List<Parameter<?>> ownParameters();

    /** @return all keys, those that every step has last */
    @Override
    default List<Parameter<?>> parameters() {
        return Stream.concat(ownParameters().stream(), Stream.of(roundingParameter(), overflowParameter(), AREA)).toList();
    }

    /** @return a step to begin with when a person adds this kind: required keys with values that change little */
    default Step starter(int maximumLevel) {
        return new Step(this, Arguments.NONE);
    }

    /**
     * Checks what depends on several keys together.
     *
     * @param arguments every required key has a value
     * @throws pixeron.PixeronException if they contradict each other
     */
    default void validate(Arguments arguments) {
    }

    /** @return a step of a more general kind that does the same; empty where there is none */
    default Optional<Step> spelledOut(Step step) {
        return Optional.empty();
    }

    /**
     * @param step of this type
     * @param before the image that it is applied to
     * @return the step bound to that image
     * @throws pixeron.PixeronException if the step cannot be applied to this image
     */
    Operation bind(Step step, Image before);
}

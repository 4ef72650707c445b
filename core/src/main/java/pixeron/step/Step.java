package pixeron.step;

import java.util.stream.Collectors;
import pixeron.PixeronException;
import pixeron.image.Image;
import pixeron.number.Overflow;
import pixeron.number.Rounding;

/**
 * One operation with its parameters.
 *
 * @param type the kind
 * @param arguments the values of its keys
 */
public record Step(StepType type, Arguments arguments) {

    /** @throws PixeronException if a required key has no value or the keys contradict each other */
    public Step {
        KeyedLine.requireAll(type, arguments);
        type.validate(arguments);
    }

    /** @return this with another value for one key */
    public <T> Step with(Parameter<T> parameter, T value) {
        return new Step(type, arguments.with(parameter, value));
    }

    /** @return this with one key left out */
    public Step without(Parameter<?> parameter) {
        return new Step(type, arguments.without(parameter));
    }

    /** @return this with another rounding */
    public Step with(Rounding rounding) {
        return with(type.roundingParameter(), type.roundingParameter().parse(rounding.word()));
    }

    /** @return this with another overflow rule */
    public Step with(Overflow overflow) {
        return with(type.overflowParameter(), type.overflowParameter().parse(overflow.word()));
    }

    public Rounding rounding() {
        return type.rounding(arguments);
    }

    public Overflow overflow() {
        return type.overflow(arguments);
    }

    /**
     * @param before the image that the step is applied to
     * @return the step bound to it
     * @throws PixeronException if the step cannot be applied to this image
     */
    public Operation bind(Image before) {
        return type.bind(this, before);
    }

    /** @return the step as one line of text, which the catalog reads back; keys at their default are left out */
    public String line() {
        return type.parameters().stream().filter(arguments::isGiven)
                .map(parameter -> " " + parameter.key() + "=" + quoted(printed(parameter)))
                .collect(Collectors.joining("", type.name(), ""));
    }

    private <T> String printed(Parameter<T> parameter) {
        return parameter.print(arguments.get(parameter));
    }

    private static String quoted(String value) {
        return value.isEmpty() || value.chars().anyMatch(Character::isWhitespace) ? "\"" + value + "\"" : value;
    }
}

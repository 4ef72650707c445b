package pixeron.step;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import pixeron.PixeronException;
import pixeron.image.Image;
import pixeron.number.Overflow;
import pixeron.number.Rounding;
import pixeron.step.key.Arguments;
import pixeron.step.key.KeyedLine;
import pixeron.step.key.Parameter;
import pixeron.step.key.ReferenceParameter;

/**
 * One operation with its parameters.
 *
 * @param type the kind
 * @param arguments the values of its keys
 */
public record Step(StepType type, Arguments arguments) {

    /**
     * Checks the arguments.
     *
     * @throws PixeronException if a required key has no value or the keys contradict each other
     */
    public Step {
        KeyedLine.requireAll(type, arguments);
        for (int n = 0; n < arguments.channels(); n++) {
            type.validate(arguments.at(n));
        }
    }

    /** Returns this with another value for one key. */
    public <T> Step with(Parameter<T> parameter, T value) {
        return new Step(type, arguments.with(parameter, value));
    }

    /** Returns this with one key left out. */
    public Step without(Parameter<?> parameter) {
        return new Step(type, arguments.without(parameter));
    }

    /** Returns this with another rounding; itself where it has none. */
    public Step with(Rounding rounding) {
        return !has(Common.ROUNDING) ? this : with(type.roundingParameter(), type.roundingParameter().parse(rounding.word()));
    }

    /** Returns this with another overflow rule; itself where it has none. */
    public Step with(Overflow overflow) {
        return !has(Common.OVERFLOW) ? this : with(type.overflowParameter(), type.overflowParameter().parse(overflow.word()));
    }

    public Rounding rounding() {
        return type.rounding(arguments);
    }

    public Overflow overflow() {
        return type.overflow(arguments);
    }

    /**
     * Returns the step bound to it.
     *
     * @param before the image that the step is applied to
     * @throws PixeronException if the step cannot be applied to this image
     */
    public Operation bind(Image before) {
        return bind(new Inputs(before));
    }

    /**
     * Returns the step bound to that.
     *
     * @param inputs what the step is applied to
     * @throws PixeronException if the step cannot be applied to this
     */
    public Operation bind(Inputs inputs) {
        if (arguments.isGiven(StepType.CHANNELS) && inputs.before() instanceof Image) {
            throw PixeronException.of("Channels (channels) applies to color images only. Leave it out for a gray image.");
        }
        if (arguments.areOfChannels()) {
            throw PixeronException.of("%s has one number for each of %d channels, but the image is gray. Give one number.", type.name(), arguments.channels());
        }
        return type.bind(this, inputs);
    }

    /**
     * Returns the step on one channel of a color image.
     *
     * @param names of the channels that it works on
     * @param channel one of them
     * @throws PixeronException if a key has another number of values than there are channels
     */
    public Step onChannel(List<String> names, String channel) {
        return new Step(type, arguments.ofChannel(names, names.indexOf(channel)));
    }

    /** Returns whether its line has a key that steps have in common. */
    public boolean has(Common key) {
        return type.common().contains(key);
    }

    /** Returns a step of another kind with its own keys; those that steps have in common are as in this one. */
    public Step as(StepType other, Arguments own) {
        Arguments all = own;
        for (Parameter<?> key : other.parameters()) {
            if (!other.ownParameters().contains(key)) {
                all = taken(all, key, key.key());
            }
        }
        return new Step(other, all);
    }

    /**
     * Returns a step of another kind with the values of this one.
     *
     * @param names the names of keys here, where they are called differently there
     * @throws PixeronException if a value is not allowed there
     */
    public Step as(StepType other, Map<String, String> names) {
        Arguments all = Arguments.NONE;
        for (Parameter<?> key : other.parameters()) {
            all = taken(all, key, names.getOrDefault(key.key(), key.key()));
        }
        return new Step(other, all);
    }

    /** Returns a step of another kind with the values of this one's keys. */
    public Step as(StepType other) {
        return as(other, Map.of());
    }

    private <T> Arguments taken(Arguments into, Parameter<T> key, String name) {
        return type.parameters().stream().filter(mine -> mine.key().equals(name) && arguments.isGiven(mine)).findFirst()
                .map(mine -> into.withText(key, printed(mine), type.takesEach())).orElse(into);
    }

    /** Returns the other results that it names. */
    public List<String> references() {
        return type.references().stream().flatMap(key -> arguments.find(key).stream()).toList();
    }

    /** Returns this where other results have other names. */
    public Step referring(UnaryOperator<String> other) {
        Step step = this;
        for (ReferenceParameter key : type.references()) {
            Optional<String> named = arguments.find(key);
            step = named.isPresent() ? step.with(key, other.apply(named.get())) : step;
        }
        return step;
    }

    /** Returns the step as one line of text, which the catalog reads back; keys at their default are left out. */
    public String line() {
        return type.parameters().stream().filter(arguments::isGiven)
                .map(parameter -> " " + parameter.key() + "=" + quoted(printed(parameter)))
                .collect(Collectors.joining("", type.name(), ""));
    }

    private <T> String printed(Parameter<T> parameter) {
        return arguments.print(parameter);
    }

    private static String quoted(String value) {
        return value.isEmpty() || value.chars().anyMatch(Character::isWhitespace) ? "\"" + value + "\"" : value;
    }
}

package pixeron.step.key;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;

/** The values of a step's keys. A value that equals the key's default is the same as one left out. */
public final class Arguments {

    public static final Arguments NONE = new Arguments(Map.of());

    private final Map<String, Object> given;

    private Arguments(Map<String, Object> given) {
        this.given = given;
    }

    /** @return these with value for the key; a value equal to the default is dropped */
    public <T> Arguments with(Parameter<T> parameter, T value) {
        Map<String, Object> changed = new LinkedHashMap<>(given);
        if (parameter.defaultValue().filter(value::equals).isPresent()) {
            changed.remove(parameter.key());
        } else {
            changed.put(parameter.key(), value);
        }
        return new Arguments(Map.copyOf(changed));
    }

    /** @return these with the key left out */
    public Arguments without(Parameter<?> parameter) {
        Map<String, Object> changed = new LinkedHashMap<>(given);
        changed.remove(parameter.key());
        return new Arguments(Map.copyOf(changed));
    }

    /** @return the value of the key: given, or its default, or empty */
    @SuppressWarnings("unchecked") // with(...) stores only a T under the key of a Parameter<T>
    public <T> Optional<T> find(Parameter<T> parameter) {
        Object value = given.get(parameter.key());
        return value == null ? parameter.defaultValue() : Optional.of((T) value);
    }

    /** @return the value of a key that always has one */
    public <T> T get(Parameter<T> parameter) {
        return find(parameter).orElseThrow();
    }

    /** @return true when the key has a value of its own */
    public boolean isGiven(Parameter<?> parameter) {
        return given.containsKey(parameter.key());
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof Arguments arguments && given.equals(arguments.given);
    }

    @Override
    public int hashCode() {
        return given.hashCode();
    }
}

package pixeron.step.key;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import pixeron.PixeronException;

/**
 * The values of a step's keys. A value that equals the key's default is the same as one left out. A key may have one value for each channel
 * of a color image; then its value is the first of them until a channel is chosen by {@link #ofChannel}.
 */
public final class Arguments {

    public static final Arguments NONE = new Arguments(Map.of(), Map.of());

    private final Map<String, Object> given;
    /** Keys with a value for each channel, two or more. */
    private final Map<String, List<?>> each;

    private Arguments(Map<String, Object> given, Map<String, List<?>> each) {
        this.given = given;
        this.each = each;
    }

    /** Returns these with value for the key; a value equal to the default is dropped. */
    public <T> Arguments with(Parameter<T> parameter, T value) {
        Arguments others = without(parameter);
        if (parameter.defaultValue().filter(value::equals).isPresent()) {
            return others;
        }
        Map<String, Object> changed = new LinkedHashMap<>(others.given);
        changed.put(parameter.key(), value);
        return new Arguments(Map.copyOf(changed), others.each);
    }

    /**
     * Returns these with a value for each channel.
     *
     * @param values in the order of the channels; a single one is the same for all
     */
    public <T> Arguments withEach(Parameter<T> parameter, List<T> values) {
        if (values.size() == 1) {
            return with(parameter, values.get(0));
        }
        Arguments others = without(parameter);
        Map<String, Object> changed = new LinkedHashMap<>(others.given);
        changed.put(parameter.key(), values.get(0));
        Map<String, List<?>> changedEach = new LinkedHashMap<>(others.each);
        changedEach.put(parameter.key(), List.copyOf(values));
        return new Arguments(Map.copyOf(changed), Map.copyOf(changedEach));
    }

    /**
     * Returns these with the value that a text gives.
     *
     * @param takesEach whether a number for each channel may be written, with spaces between them
     * @throws PixeronException if the text is not in the range of the key
     */
    public <T> Arguments withText(Parameter<T> parameter, String text, boolean takesEach) {
        String[] words = text.strip().split("\\s+");
        boolean isEach = takesEach && isNumber(parameter) && words.length > 1;
        return isEach ? withEach(parameter, List.of(words).stream().map(parameter::parse).toList()) : with(parameter, parameter.parse(text));
    }

    /** Returns whether the key is a number, of which there can be one for each channel. */
    public static boolean isNumber(Parameter<?> parameter) {
        return parameter instanceof NumberParameter || parameter instanceof MaskParameter;
    }

    /**
     * Returns these for a step that works on other channels: a number for each channel stays with its channel, and a channel that had none gets the last one.
     *
     * @param before the channels that the numbers are of, in their order
     * @param now the channels that are worked on, at least one
     */
    public Arguments forChannels(List<String> before, List<String> now) {
        Map<String, Object> changed = new LinkedHashMap<>(given);
        Map<String, List<?>> changedEach = new LinkedHashMap<>(each);
        each.forEach((key, values) -> {
            if (values.size() == before.size()) {
                List<Object> kept = now.stream().<Object>map(name -> values.get(before.contains(name) ? before.indexOf(name) : values.size() - 1)).toList();
                changed.put(key, kept.get(0));
                changedEach.remove(key);
                if (kept.size() > 1) {
                    changedEach.put(key, kept);
                }
            }
        });
        return new Arguments(Map.copyOf(changed), Map.copyOf(changedEach));
    }

    /** Returns these with the key left out. */
    public Arguments without(Parameter<?> parameter) {
        Map<String, Object> changed = new LinkedHashMap<>(given);
        changed.remove(parameter.key());
        Map<String, List<?>> changedEach = new LinkedHashMap<>(each);
        changedEach.remove(parameter.key());
        return new Arguments(Map.copyOf(changed), Map.copyOf(changedEach));
    }

    /** Returns the value of the key: given, or its default, or empty. */
    @SuppressWarnings("unchecked") // with(...) stores only a T under the key of a Parameter<T>
    public <T> Optional<T> find(Parameter<T> parameter) {
        Object value = given.get(parameter.key());
        return value == null ? parameter.defaultValue() : Optional.of((T) value);
    }

    /** Returns the value of a key that always has one. */
    public <T> T get(Parameter<T> parameter) {
        return find(parameter).orElseThrow();
    }

    /** Returns the values of a key for each channel, or the one that it has for all; empty where it has none. */
    @SuppressWarnings("unchecked") // withEach(...) stores only values of T under the key of a Parameter<T>
    public <T> List<T> all(Parameter<T> parameter) {
        List<?> several = each.get(parameter.key());
        return several == null ? find(parameter).stream().toList() : (List<T>) several;
    }

    /** Returns how the values of a key are written in a line, without quotes. */
    public <T> String print(Parameter<T> parameter) {
        return all(parameter).stream().map(parameter::print).collect(Collectors.joining(" "));
    }

    /** Returns true when the key has a value of its own. */
    public boolean isGiven(Parameter<?> parameter) {
        return given.containsKey(parameter.key());
    }

    /** Returns whether some key has a value for each channel. */
    public boolean areOfChannels() {
        return !each.isEmpty();
    }

    /** Returns the number of values that keys have for each channel: the largest of them, 1 where none has several. */
    public int channels() {
        return each.values().stream().mapToInt(List::size).max().orElse(1);
    }

    /**
     * Returns the values for one of several channels.
     *
     * @param names of the channels that are worked on
     * @param place of the channel among them, from 0
     * @throws PixeronException if a key has another number of values than there are channels; names both
     */
    public Arguments ofChannel(List<String> names, int place) {
        Map<String, Object> changed = new LinkedHashMap<>(given);
        each.forEach((key, values) -> {
            if (values.size() != names.size()) {
                throw PixeronException.of("%s has %d numbers, but the step works on %d channels: %s.", key, values.size(), names.size(), String.join(", ", names));
            }
            changed.put(key, values.get(place));
        });
        return new Arguments(Map.copyOf(changed), Map.of());
    }

    /** Returns these with one value for each key: that for the channel at a place, the last where a key has fewer. */
    public Arguments at(int place) {
        Map<String, Object> changed = new LinkedHashMap<>(given);
        each.forEach((key, values) -> changed.put(key, values.get(Math.min(place, values.size() - 1))));
        return new Arguments(Map.copyOf(changed), Map.of());
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof Arguments arguments && given.equals(arguments.given) && each.equals(arguments.each);
    }

    @Override
    public int hashCode() {
        return given.hashCode() + 31 * each.hashCode();
    }
}

package pixeron.step.key;

import java.util.Arrays;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import pixeron.PixeronException;
import pixeron.number.Decimals;

/**
 * A key with names of channels: red, green, blue, alpha, each at most once.
 *
 * @param key the key
 * @param title the name beside its field
 * @param isRequired whether a line must give it
 */
public record ChannelsParameter(String key, String title, boolean isRequired) implements Parameter<List<String>> {

    /** The channels, as they follow each other in an image. */
    public static final List<String> ALL = List.of("red", "green", "blue", "alpha");

    @Override
    public Optional<List<String>> defaultValue() {
        return Optional.empty();
    }

    @Override
    public String range() {
        return "one or more of red, green, blue, alpha";
    }

    @Override
    public List<String> parse(String text) {
        List<String> names = Arrays.asList(text.strip().split("[ ,]+"));
        Set<String> seen = new LinkedHashSet<>();
        for (String name : names) {
            if (!ALL.contains(name)) {
                throw PixeronException.of("%s=\"%s\": \"%s\" is not a channel. Use %s.", key, Decimals.shortened(text),
                        Decimals.shortened(name), range());
            } else if (!seen.add(name)) {
                throw PixeronException.of("%s contains %s twice. Use each of %s at most once.", key, name, range());
            }
        }
        return List.copyOf(names);
    }

    @Override
    public String print(List<String> value) {
        return String.join(" ", value);
    }
}

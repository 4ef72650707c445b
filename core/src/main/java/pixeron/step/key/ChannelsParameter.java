package pixeron.step.key;

import java.util.Arrays;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import pixeron.PixeronException;
import pixeron.image.ColorModel;
import pixeron.number.Decimals;

/**
 * A key with names of channels: red, green, blue, alpha, or components of a color model, each at most once.
 *
 * @param key the key
 * @param title the name beside its field
 * @param isRequired whether a line must give it
 */
public record ChannelsParameter(String key, String title, boolean isRequired) implements Parameter<List<String>> {

    /** The channels of a color image, as they follow each other. */
    public static final List<String> ALL = List.of("red", "green", "blue", "alpha");
    private static final List<String> COMPONENTS = Stream.of(ColorModel.values()).flatMap(model -> model.components().stream()).distinct().toList();

    @Override
    public Optional<List<String>> defaultValue() {
        return Optional.empty();
    }

    @Override
    public String range() {
        return "one or more of red, green, blue, alpha";
    }

    /** The key that chooses channels is also for the components of a color model; one that orders them is not. */
    private boolean isOfModels() {
        return !isRequired;
    }

    @Override
    public List<String> parse(String text) {
        List<String> names = Arrays.asList(text.strip().split("[ ,]+"));
        Set<String> seen = new LinkedHashSet<>();
        for (String name : names) {
            if (!ALL.contains(name) && !(isOfModels() && COMPONENTS.contains(name))) {
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

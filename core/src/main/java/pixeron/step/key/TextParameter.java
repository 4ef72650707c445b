package pixeron.step.key;

import java.util.Optional;
import pixeron.PixeronException;

/**
 * A key with a text that its owner understands, such as a formula.
 *
 * @param key the key
 * @param title the name beside its field
 * @param range what the text is, in words
 */
public record TextParameter(String key, String title, String range) implements Parameter<String> {

    @Override
    public boolean isRequired() {
        return true;
    }

    @Override
    public Optional<String> defaultValue() {
        return Optional.empty();
    }

    @Override
    public String parse(String text) {
        if (text.isBlank()) {
            throw PixeronException.of("%s is empty; give %s.", key, range);
        }
        return text.strip();
    }

    @Override
    public String print(String value) {
        return value;
    }
}

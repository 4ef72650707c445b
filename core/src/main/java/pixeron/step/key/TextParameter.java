package pixeron.step.key;

import java.util.Optional;
import pixeron.PixeronException;

/**
 * A key with a text that its owner understands, such as a formula.
 *
 * @param key the key
 * @param title the name beside its field
 * @param range what the text is, in words
 * @param isRequired whether a line must give it
 */
public record TextParameter(String key, String title, String range, boolean isRequired) implements Parameter<String> {

    /** A key that must be given. */
    public TextParameter(String key, String title, String range) {
        this(key, title, range, true);
    }

    /** @return this as a key that may be left out and then has no value */
    public TextParameter leftOutAtWill() {
        return new TextParameter(key, title, range, false);
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

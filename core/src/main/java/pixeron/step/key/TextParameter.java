package pixeron.step.key;

import java.util.Optional;

/**
 * A key with a text that its owner understands, such as a formula.
 *
 * @param key the key
 * @param title the name beside its field
 * @param range what the text is, in words
 * @param defaultValue the text when the line does not give it; empty where it must
 */
public record TextParameter(String key, String title, String range, Optional<String> defaultValue) implements WrittenParameter {

    /** A key that the line must give. */
    public TextParameter(String key, String title, String range) {
        this(key, title, range, Optional.empty());
    }

    @Override
    public boolean isRequired() {
        return defaultValue.isEmpty();
    }
}

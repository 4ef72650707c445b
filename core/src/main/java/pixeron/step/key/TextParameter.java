package pixeron.step.key;

/**
 * A key with a text that its owner understands, such as a formula.
 *
 * @param key the key
 * @param title the name beside its field
 * @param range what the text is, in words
 */
public record TextParameter(String key, String title, String range) implements WrittenParameter {

    @Override
    public boolean isRequired() {
        return true;
    }
}

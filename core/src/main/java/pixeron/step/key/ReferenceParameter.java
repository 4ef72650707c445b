package pixeron.step.key;

/**
 * A key that names another result; see {@link pixeron.step.Reference}.
 *
 * @param key the key
 * @param title the name beside its field
 * @param range what may be named, in words
 * @param isRequired whether a line must give it
 * @param takesSelf whether the image before may be named as self
 */
public record ReferenceParameter(String key, String title, String range, boolean isRequired, boolean takesSelf) implements WrittenParameter {

    /** Returns this as a key that may be left out and then has no value. */
    public ReferenceParameter leftOutAtWill() {
        return new ReferenceParameter(key, title, range, false, takesSelf);
    }
}

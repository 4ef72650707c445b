package pixeron.step.key;

import java.util.Optional;

/**
 * One key of a step line: what it is called, what it may be, and how its value is read and printed.
 *
 * @param <T> the type of its value
 */
public sealed interface Parameter<T> permits NumberParameter, ChoiceParameter, AreaParameter, WrittenParameter,
        ListParameter, PairsParameter, MatrixParameter, MaskParameter, ChannelsParameter {

    /** Returns the key in a step line. */
    String key();

    /** Returns the name beside its field: one or two words. */
    String title();

    /** Returns true when the line must give it. */
    boolean isRequired();

    /** Returns the value when the line does not give it; empty: nothing is there. */
    Optional<T> defaultValue();

    /** Returns what may be there, in words: {@code a number other than 0}. */
    String range();

    /**
     * Returns the value.
     *
     * @param text the value as it is in a line
     * @throws PixeronException if text is not in {@link #range}; the message says what would be right
     */
    T parse(String text);

    /** Returns the value as {@link #parse} reads it, without quotes. */
    String print(T value);
}

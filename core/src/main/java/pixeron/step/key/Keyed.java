package pixeron.step.key;

import java.util.List;

/** Something that is written as a line of text: a name and keys with values. */
public interface Keyed {

    /** @return the first word of its line */
    String name();

    /** @return whether its number keys take one number for each channel of a color image */
    default boolean takesEach() {
        return false;
    }

    /** @return all keys, in the order of its line */
    List<Parameter<?>> parameters();
}

package pixeron.step.key;

import java.util.List;

/** Something that is written as a line of text: a name and keys with values. */
public interface Keyed {

    /** Returns the first word of its line. */
    String name();

    /** Returns whether its number keys take one number for each channel of a color image. */
    default boolean takesEach() {
        return false;
    }

    /** Returns all keys, in the order of its line. */
    List<Parameter<?>> parameters();
}

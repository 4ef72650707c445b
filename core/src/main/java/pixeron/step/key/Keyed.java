package pixeron.step.key;

import java.util.List;

/** Something that is written as a line of text: a name and keys with values. */
public interface Keyed {

    /** @return the first word of its line */
    String name();

    /** @return all keys, in the order of its line */
    List<Parameter<?>> parameters();
}

package pixeron;

import java.util.Arrays;
import java.util.Optional;
import java.util.stream.Collectors;

/** A constant with a word of its own, for lines of steps, files and the command line. */
public interface Worded {

    /** Returns the word, in small letters with hyphens. */
    String word();

    /** Returns the constant with this word; empty where there is none. */
    static <E extends Worded> Optional<E> find(E[] all, String word) {
        return Arrays.stream(all).filter(one -> one.word().equals(word)).findFirst();
    }

    /** Returns all words, for a message that says what would be right. */
    static String list(Worded... all) {
        return Arrays.stream(all).map(Worded::word).collect(Collectors.joining(", "));
    }
}

package pixeron.exercise.answer;

import java.nio.file.Path;
import pixeron.Harmless;

/**
 * A file that was handed in.
 *
 * @param file where it is
 * @param source what it is called, so that it is told from all others: its name, with the folders in which it lies where answers were taken from a folder
 * @param person whose it is as far as names of files and folders say; empty where they say nothing
 * @param problem why it cannot be read, where that is known before; empty where it is not
 */
public record Handed(Path file, String source, String person, String problem) {

    /** Returns a file that was named by itself. */
    public static Handed of(Path file) {
        String name = Harmless.shown(String.valueOf(file.getFileName()));
        return new Handed(file, name, AnswerReader.person(name), "");
    }

    /** Returns this, called so. */
    Handed called(String other) {
        return new Handed(file, other, person, problem);
    }

    /** Returns this as a user's. */
    Handed of(String other) {
        return new Handed(file, source, other, problem);
    }
}

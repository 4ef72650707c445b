package pixeron.app.window;

import java.nio.file.Path;
import java.util.List;
import java.util.Optional;

/** The few questions that need a dialog of the platform. Tests answer them without one. */
public interface Dialogs {

    /** What to do with unsaved work. */
    enum Answer { SAVE, DISCARD, CANCEL }

    /**
     * A kind of file.
     *
     * @param name for people
     * @param endings such as {@code *.pgm}
     */
    record Kind(String name, List<String> endings) {
    }

    /** Returns the file to be opened, or empty when the user changed their mind. */
    Optional<Path> chooseToOpen(String title, List<Kind> kinds);

    /** Returns the files to be opened, none when the user changed their mind. */
    List<Path> chooseManyToOpen(String title, List<Kind> kinds);

    /** Returns the file to be written; the platform has asked before an existing one is replaced. */
    Optional<Path> chooseToSave(String title, String suggestedName, List<Kind> kinds);

    /** Returns whether a file that is there may be replaced. */
    boolean askAboutReplacing(String name);

    /** Returns a folder, or empty when the user changed their mind. */
    Optional<Path> chooseFolder(String title);

    /** What to do with levels for which a picture format has no room. */
    enum Room { KEEP_NUMBERS, SPREAD, CANCEL }

    /**
     * Returns what to do.
     *
     * @param format the format, such as PNG
     * @param maximumLevel of the result
     */
    Room askAboutRoom(String format, int maximumLevel);

    /** Returns what to do with the unsaved work of that name. */
    Answer askAboutUnsaved(String name);
}

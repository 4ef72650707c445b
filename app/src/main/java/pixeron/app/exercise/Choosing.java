package pixeron.app.exercise;

import java.nio.file.Path;
import java.util.List;
import java.util.Optional;

/** How files and folders are chosen. */
public interface Choosing {

    /**
     * Returns the file to be opened; empty when the user changed their mind.
     *
     * @param kind of file, for people
     * @param endings such as {@code *.csv}
     */
    Optional<Path> toOpen(String title, String kind, List<String> endings);

    /** Returns the file to be written; the platform has asked before an existing one is replaced. */
    Optional<Path> toSave(String title, String name, String kind, List<String> endings);

    /** Returns a folder. */
    Optional<Path> folder(String title);
}

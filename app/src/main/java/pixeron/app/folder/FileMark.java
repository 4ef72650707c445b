package pixeron.app.folder;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.BasicFileAttributes;
import java.nio.file.attribute.FileTime;
import java.util.Optional;

/**
 * By what one sees whether another person has written a file.
 *
 * @param file which one; empty: none
 * @param time when it was written last
 * @param bytes its size
 */
public record FileMark(Optional<Path> file, FileTime time, long bytes) {

    /** Of no file, or of one that is not there. */
    public static final FileMark NONE = new FileMark(Optional.empty(), FileTime.fromMillis(0), 0);

    /** Returns the mark of a file as it is now; {@link #NONE} where it cannot be looked at. */
    public static FileMark of(Path file) {
        try {
            BasicFileAttributes now = Files.readAttributes(file, BasicFileAttributes.class);
            return new FileMark(Optional.of(file), now.lastModifiedTime(), now.size());
        } catch (IOException notThere) {
            return NONE;
        }
    }

    /** Returns whether this is the mark of that file. */
    public boolean isOf(Path other) {
        return file.filter(other::equals).isPresent();
    }

    /** Returns whether the file is there and is not as it was; one that is gone can be written again without a loss. */
    public boolean isChanged() {
        FileMark now = file.map(FileMark::of).orElse(NONE);
        return now.file().isPresent() && !now.equals(this);
    }
}

package pixeron.format;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermission;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.Set;

/** Who may read and write a file, on systems that know it: saving changes nothing of that. */
public final class FileRights {

    private static final Set<PosixFilePermission> OWN_FILE = PosixFilePermissions.fromString("rw-------");
    private static final Set<PosixFilePermission> OWN_FOLDER = PosixFilePermissions.fromString("rwx------");

    private FileRights() {
    }

    /** A file that takes the place of another is for the same people; a new one in a folder of one's own is one's own. */
    static void carry(Path target, Path made) {
        try {
            if (Files.exists(target)) {
                Files.setPosixFilePermissions(made, Files.getPosixFilePermissions(target));
            } else if (OWN_FOLDER.containsAll(Files.getPosixFilePermissions(target.getParent()))) {
                Files.setPosixFilePermissions(made, OWN_FILE);
            }
        } catch (UnsupportedOperationException | IOException notHere) {
            // The system knows no such rights, or does not let them be set: those of new files stay.
        }
    }

    /** Makes a folder its owner's alone. */
    public static void own(Path folder) {
        try {
            Files.setPosixFilePermissions(folder, OWN_FOLDER);
        } catch (UnsupportedOperationException | IOException notHere) {
            // As above.
        }
    }
}

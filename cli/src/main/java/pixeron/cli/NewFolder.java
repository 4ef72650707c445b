package pixeron.cli;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import pixeron.PixeronException;

/** A folder that a command writes into. */
final class NewFolder {

    private NewFolder() {
    }

    /** Makes a folder where there is none. */
    static void make(Path folder) {
        try {
            Files.createDirectories(folder);
        } catch (IOException trouble) {
            throw PixeronException.because(trouble, "Cannot create the folder %s. Check its name and permissions.", folder);
        }
    }
}

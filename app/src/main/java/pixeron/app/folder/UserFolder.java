package pixeron.app.folder;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import java.util.Map;
import pixeron.PixeronException;
import pixeron.format.FileRights;

/**
 * Where Pixeron keeps what belongs to the user and to no project: autosaved work, recent files, settings, the log.
 */
public final class UserFolder {

    private final Path folder;

    /**
     * Refers to a folder with the user's settings.
     *
     * @param folder is made when something is first written
     */
    public UserFolder(Path folder) {
        this.folder = folder;
    }

    /**
     * Returns the folder of this person.
     *
     * @param environment the process's environment; PIXERON_DATA names the folder, else it is where the platform
     *     keeps such data
     */
    public static UserFolder of(Map<String, String> environment) {
        String home = System.getProperty("user.home");
        String named = environment.get("PIXERON_DATA");
        if (named != null && !named.isBlank()) {
            return new UserFolder(Path.of(named));
        }
        String system = System.getProperty("os.name").toLowerCase(Locale.ROOT);
        if (system.contains("win") && environment.containsKey("APPDATA")) {
            return new UserFolder(Path.of(environment.get("APPDATA"), "Pixeron"));
        } else if (system.contains("mac")) {
            return new UserFolder(Path.of(home, "Library", "Application Support", "Pixeron"));
        }
        String data = environment.getOrDefault("XDG_DATA_HOME", "");
        return new UserFolder((data.isBlank() ? Path.of(home, ".local", "share") : Path.of(data)).resolve("pixeron"));
    }

    /** What is made here is for its owner alone; a folder that was there is left as it is. */
    private static void own(Path folder) throws IOException {
        if (!Files.isDirectory(folder)) {
            Files.createDirectories(folder);
            FileRights.own(folder);
        }
    }

    /**
     * Returns its place; the folder above it exists.
     *
     * @param name of a file or folder in this folder
     * @throws PixeronException if it cannot be made
     */
    public Path path(String name) {
        Path path = folder.resolve(name);
        try {
            own(folder);
            own(path.getParent());
        } catch (IOException trouble) {
            throw PixeronException.because(trouble,
                    "The folder %s for your settings and autosaved work cannot be created.", folder);
        }
        return path;
    }
}

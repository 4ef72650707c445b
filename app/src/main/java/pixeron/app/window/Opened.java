package pixeron.app.window;

import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import pixeron.PixeronException;
import pixeron.format.ImageFiles;
import pixeron.format.LoadedImage;
import pixeron.format.ReadOptions;
import pixeron.image.Pixel;
import pixeron.project.Origin;
import pixeron.project.Project;
import pixeron.project.ProjectFile;
import pixeron.project.SavedProject;
import pixeron.project.View;

/**
 * What came of a file that was opened: work, or a reason with ways to read the file all the same.
 *
 * @param work what is shown; empty when the file could not be read as it is
 * @param project the project file that it came from; empty for an image
 * @param problem why there is no work; empty when there is
 * @param otherWays what the file can be read as instead, by the words for it
 */
record Opened(Optional<SavedProject> work, Optional<Path> project, String problem, Map<String,
        SavedProject> otherWays) {

    /** @return what came of opening a project or an image */
    static Opened of(Path file) {
        try {
            if (isProject(file)) {
                return new Opened(Optional.of(ProjectFile.read(file)), Optional.of(file), "", Map.of());
            }
            return new Opened(Optional.of(image(file, ReadOptions.DEFAULT)), Optional.empty(), "", Map.of());
        } catch (PixeronException problem) {
            return new Opened(Optional.empty(), Optional.empty(), problem.getMessage(), otherWays(file));
        }
    }

    static boolean isProject(Path file) {
        return file.getFileName() != null && file.getFileName().toString().endsWith(".json");
    }

    private static Map<String, SavedProject> otherWays(Path file) {
        Map<String, SavedProject> ways = new LinkedHashMap<>();
        if (!isProject(file)) {
            add(ways, "Read as gray: mean of R, G, B", file, ReadOptions.DEFAULT.asMeanGray());
            if (ways.isEmpty()) {
                add(ways, "Open as an open image", file, ReadOptions.DEFAULT.asOpen());
            }
        }
        return ways;
    }

    private static void add(Map<String, SavedProject> ways, String name, Path file, ReadOptions options) {
        try {
            ways.put(name, image(file, options));
        } catch (PixeronException notThisWayEither) {
            // Then it is not offered; the first reason is what the person must see.
        }
    }

    private static SavedProject image(Path file, ReadOptions options) {
        String name = file.getFileName().toString();
        return image(name, name, ImageFiles.read(file, options));
    }

    /** @return a project without steps */
    static SavedProject image(String fileName, String name, LoadedImage loaded) {
        int point = name.lastIndexOf('.');
        Project project = Project.of(point > 0 ? name.substring(0, point) : name, Origin.of(fileName, loaded),
                loaded.image());
        return new SavedProject(project, new View(-1, new Pixel(0, 0)));
    }
}

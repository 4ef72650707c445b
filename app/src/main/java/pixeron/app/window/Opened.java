package pixeron.app.window;

import java.nio.file.Path;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import pixeron.PixeronException;
import pixeron.app.folder.FileMark;
import pixeron.format.ImageFiles;
import pixeron.format.LoadedImage;
import pixeron.format.ReadOptions;
import pixeron.format.TooManyPixelsException;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.image.UsualMaxima;
import pixeron.project.Origin;
import pixeron.project.Project;
import pixeron.project.ProjectFile;
import pixeron.project.SavedProject;
import pixeron.project.View;

/**
 * What came of a file that was opened: work, or a reason with ways to read the file all the same.
 *
 * @param work what is shown; empty when the file could not be read as it is
 * @param project the project file that it came from, as it was found; none for an image
 * @param problem why there is no work; empty when there is
 * @param otherWays what the file can be read as instead, by the words for it
 */
record Opened(Optional<SavedProject> work, FileMark project, String problem,
        Map<String, Supplier<SavedProject>> otherWays) {

    /** Returns the result of opening a project or an image. */
    static Opened of(Path file) {
        try {
            if (isProject(file)) {
                // Before it is read: a change in between is one that was not seen.
                FileMark found = FileMark.of(file);
                return new Opened(Optional.of(ProjectFile.read(file)), found, "", Map.of());
            }
            LoadedImage loaded = withUsualMaximum(ImageFiles.read(file, ReadOptions.DEFAULT));
            String name = file.getFileName().toString();
            return new Opened(Optional.of(image(name, name, loaded)), FileMark.NONE, "", Map.of());
        } catch (TooManyPixelsException tooMany) {
            String name = file.getFileName().toString();
            String way = "Open anyway (" + tooMany.megabytes() + " MiB or more)";
            return new Opened(Optional.empty(), FileMark.NONE, name + ": " + tooMany.getMessage(),
                    Map.of(way, () -> image(name, name, ImageFiles.read(file,
                            ReadOptions.DEFAULT.withPixelLimit(tooMany.pixels())))));
        } catch (PixeronException problem) {
            return new Opened(Optional.empty(), FileMark.NONE, problem.getMessage(), otherWays(file));
        }
    }

    /** A table does not say its maximum level: the smallest usual one that holds its values is proposed. */
    private static LoadedImage withUsualMaximum(LoadedImage loaded) {
        return !loaded.isTable() || !(loaded.result() instanceof Image image) ? loaded
                : UsualMaxima.holding(image).stream().findFirst().map(maximum -> loaded.with(image.withMaximum(maximum))).orElse(loaded);
    }

    static boolean isProject(Path file) {
        return file.getFileName() != null && file.getFileName().toString().endsWith(".json");
    }

    private static Map<String, Supplier<SavedProject>> otherWays(Path file) {
        try {
            if (!isProject(file)) {
                String name = file.getFileName().toString();
                SavedProject open = image(name, name, ImageFiles.read(file, ReadOptions.DEFAULT.asOpen()));
                return Map.of("Open with signed or fractional values", () -> open);
            }
        } catch (PixeronException notThisWayEither) {
            // Then it is not offered; the first reason is what the user must see.
        }
        return Map.of();
    }

    /** A project without steps. Color stays unless the user asks for gray. */
    static SavedProject image(String fileName, String name, LoadedImage loaded) {
        int point = name.lastIndexOf('.');
        String title = point > 0 ? name.substring(0, point) : name;
        Project project = Project.of(title, Origin.of(fileName, loaded), loaded.result());
        return new SavedProject(project, new View(Project.SOURCE, new Pixel(0, 0)));
    }
}

package pixeron.app.window;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import pixeron.PixeronException;
import pixeron.app.folder.FileMark;
import pixeron.exercise.file.ExerciseFile;
import pixeron.format.ImageFiles;
import pixeron.format.LoadedImage;
import pixeron.format.ReadOptions;
import pixeron.format.TooManyPixelsException;
import pixeron.format.UndecidedException;
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

    /** A project names its version in its first line. */
    private static final int HEAD = 4096;

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
        } catch (UndecidedException undecided) {
            return new Opened(Optional.empty(), FileMark.NONE, undecided.question(), ways(file, undecided));
        } catch (PixeronException problem) {
            return new Opened(Optional.empty(), FileMark.NONE, problem.getMessage(), otherWays(file));
        }
    }

    /** A table does not say its maximum level: the smallest usual one that holds its values is proposed. */
    private static LoadedImage withUsualMaximum(LoadedImage loaded) {
        return !loaded.isTable() || !(loaded.result() instanceof Image image) ? loaded
                : UsualMaxima.holding(image).stream().findFirst().map(maximum -> loaded.with(image.withMaximum(maximum))).orElse(loaded);
    }

    /** Returns whether it is a project or an exercise; other files of the same ending may hold an array of numbers. */
    static boolean isProject(Path file) {
        String name = file.getFileName() == null ? "" : file.getFileName().toString();
        return name.endsWith(ProjectFile.ENDING) || name.endsWith(ExerciseFile.ENDING) || name.endsWith(".json") && !isArray(file);
    }

    private static boolean isArray(Path file) {
        try (InputStream in = Files.newInputStream(file)) {
            String head = new String(in.readNBytes(HEAD), StandardCharsets.UTF_8).strip();
            return head.startsWith("[") || head.startsWith("{") && !head.contains("\"pixeron");
        } catch (IOException notReadable) {
            // Reading it as a project tells why.
            return false;
        }
    }

    private static Map<String, Supplier<SavedProject>> ways(Path file, UndecidedException undecided) {
        String name = file.getFileName().toString();
        Map<String, Supplier<SavedProject>> ways = new LinkedHashMap<>();
        undecided.ways().forEach(way -> ways.put(way.title(), () -> image(name, name, ImageFiles.read(file, way.in(ReadOptions.DEFAULT)))));
        return ways;
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

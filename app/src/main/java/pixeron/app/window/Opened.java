package pixeron.app.window;

import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import pixeron.PixeronException;
import pixeron.format.ImageFiles;
import pixeron.format.LoadedImage;
import pixeron.format.ReadOptions;
import pixeron.image.ColourImage;
import pixeron.image.Pixel;
import pixeron.project.Origin;
import pixeron.project.Project;
import pixeron.project.ProjectFile;
import pixeron.project.SavedProject;
import pixeron.project.View;
import pixeron.step.gray.GrayNotes;
import pixeron.step.gray.GrayRule;
import pixeron.step.gray.Transparency;

/**
 * What came of a file that was opened: work, or a reason with ways to read the file all the same.
 *
 * @param work what is shown; empty when the file could not be read as it is
 * @param project the project file that it came from; empty for an image
 * @param problem why there is no work; empty when there is
 * @param isQuestion true when nothing is wrong and the person only has to choose one of the other ways
 * @param otherWays what the file can be read as instead, by the words for it
 */
record Opened(Optional<SavedProject> work, Optional<Path> project, String problem, boolean isQuestion,
        Map<String, Supplier<SavedProject>> otherWays) {

    /** The rules that a person is offered at once; the command line has all of them. */
    private static final List<String> OFFERED_RULES = List.of("mean", "luma-601", "luma-709", "lightness", "maximum",
            "red", "green", "blue");


    /** @return what came of opening a project or an image */
    static Opened of(Path file) {
        try {
            if (isProject(file)) {
                return new Opened(Optional.of(ProjectFile.read(file)), Optional.of(file), "", false, Map.of());
            }
            LoadedImage loaded = ImageFiles.read(file, ReadOptions.DEFAULT);
            return loaded.colour().isPresent() ? ofColour(file, loaded)
                    : new Opened(Optional.of(image(file, loaded)), Optional.empty(), "", false, Map.of());
        } catch (PixeronException problem) {
            return new Opened(Optional.empty(), Optional.empty(), problem.getMessage(), false,
                    otherWays(file));
        }
    }

    static boolean isProject(Path file) {
        return file.getFileName() != null && file.getFileName().toString().endsWith(".json");
    }

    /** Colour arrives openly: the person chooses how gray is made of it. */
    private static Opened ofColour(Path file, LoadedImage loaded) {
        ColourImage picture = loaded.colour().orElseThrow();
        int transparent = picture.transparentPixels();
        Map<String, Supplier<SavedProject>> ways = new LinkedHashMap<>();
        for (String word : OFFERED_RULES) {
            GrayRule rule = GrayRule.parse(word);
            ways.put(word, () -> image(file, loaded.madeGray(rule.apply(picture, Transparency.OVER_WHITE),
                    GrayNotes.of(rule, picture, Transparency.OVER_WHITE))));
        }
        return new Opened(Optional.empty(), Optional.empty(), file.getFileName() + " has "
                + (loaded.channels() == 2 ? "transparency" : "colour") + (transparent == 0 ? ""
                : " and " + transparent + " transparent pixels, which are laid over white")
                + ". How is gray made of it?", true, ways);
    }

    private static Map<String, Supplier<SavedProject>> otherWays(Path file) {
        try {
            if (!isProject(file)) {
                SavedProject open = image(file, ImageFiles.read(file, ReadOptions.DEFAULT.asOpen()));
                return Map.of("Open as an open image", () -> open);
            }
        } catch (PixeronException notThisWayEither) {
            // Then it is not offered; the first reason is what the person must see.
        }
        return Map.of();
    }

    private static SavedProject image(Path file, LoadedImage loaded) {
        String name = file.getFileName().toString();
        return image(name, name, loaded);
    }

    /** @return a project without steps */
    static SavedProject image(String fileName, String name, LoadedImage loaded) {
        int point = name.lastIndexOf('.');
        Project project = Project.of(point > 0 ? name.substring(0, point) : name, Origin.of(fileName, loaded),
                loaded.image());
        return new SavedProject(project, new View(-1, new Pixel(0, 0)));
    }
}

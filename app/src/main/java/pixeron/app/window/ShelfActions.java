package pixeron.app.window;

import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.scene.input.Clipboard;
import pixeron.PixeronException;
import pixeron.app.model.Background;
import pixeron.app.model.Bench;
import pixeron.app.model.Seen;
import pixeron.format.ImageFiles;
import pixeron.format.LoadedImage;
import pixeron.format.ReadOptions;
import pixeron.image.Result;
import pixeron.project.Origin;
import pixeron.project.OtherImage;
import pixeron.project.Project;

/** Other images for the project that is open: from a file, the clipboard, or a result that is kept. */
final class ShelfActions {

    private final Bench bench;
    private final Background opening;
    private final Voice voice;
    private final Consumer<RuntimeException> trouble;

    /** @param trouble shows what went wrong */
    ShelfActions(Bench bench, Background opening, Voice voice, Consumer<RuntimeException> trouble) {
        this.bench = bench;
        this.opening = opening;
        this.voice = voice;
        this.trouble = trouble;
    }

    /** Lets the user choose an image. */
    void open() {
        if (bench.isOpen()) {
            voice.dialogs().chooseToOpen("Open another image for this project", FileActions.TO_OPEN).ifPresent(this::open);
        }
    }

    /** Reads a file. */
    void open(Path file) {
        voice.banner().hide();
        String name = file.getFileName().toString();
        opening.start(progress -> ImageFiles.read(file, ReadOptions.DEFAULT), loaded -> keep(name, Origin.of(name, loaded), loaded.result()), trouble);
    }

    /** Takes the picture or the numbers on the clipboard; numbers are levels of the project's image where they fit. */
    void paste() {
        Clipboard clipboard = Clipboard.getSystemClipboard();
        String text = clipboard.getString();
        if (!bench.isOpen()) {
            return;
        } else if (text != null && !text.isBlank()) {
            voice.banner().hide();
            int maximum = bench.project().chain().input().frame().maximumLevel();
            opening.start(progress -> table(text, maximum), loaded -> keep("pasted", Origin.of("pasted numbers", loaded), loaded.result()), trouble);
        } else if (clipboard.hasImage()) {
            LoadedImage picture = ClipboardPicture.read(clipboard.getImage());
            keep("pasted", Origin.of("pasted picture", picture), picture.result());
        } else {
            voice.banner().show("The clipboard contains neither numbers nor a picture. First copy a block of cells or a picture.");
        }
    }

    private static LoadedImage table(String text, int maximum) {
        try {
            return ImageFiles.parse(text, ReadOptions.DEFAULT.withMaximum(maximum));
        } catch (PixeronException noSuchLevels) {
            return ImageFiles.parse(text, ReadOptions.DEFAULT);
        }
    }

    /** Makes another image the project's image, under the steps that there are. */
    void use(String name) {
        Project from = bench.project();
        opening.start(progress -> from.using(name, progress), used -> {
            bench.turnTo(project -> used);
            voice.say().accept(name + " is now the image; the earlier image is on the shelf");
        }, trouble);
    }

    /** Goes on with the project's own image. */
    void back() {
        if (bench.isOpen() && bench.project().open().isPresent()) {
            bench.turnTo(Project::atMain);
        }
    }

    /** Keeps what the selected step gives. */
    void keepResult() {
        Optional<Seen> seen = bench.shown() == null ? Optional.empty() : bench.shown().selected();
        if (seen.isEmpty()) {
            voice.banner().show("The selected step has no result.");
            return;
        }
        String name = bench.position() < 0 ? "image" : "result-" + (bench.position() + 1);
        keep(name, new Origin("saved from " + bench.project().name(), "kept", seen.get().result().faces().size(), List.of()), seen.get().result());
    }

    private void keep(String like, Origin origin, Result result) {
        bench.edit(project -> project.withImage(like, origin, result));
        List<OtherImage> images = bench.project().images();
        voice.say().accept("Saved to the shelf as " + images.get(images.size() - 1).name() + ". Steps with two images can use it.");
    }
}

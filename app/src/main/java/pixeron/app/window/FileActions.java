package pixeron.app.window;

import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.BiConsumer;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.scene.input.Clipboard;
import org.slf4j.LoggerFactory;
import pixeron.PixeronException;
import pixeron.app.folder.Autosave;
import pixeron.app.folder.Settings;
import pixeron.app.folder.UserFolder;
import pixeron.app.model.Background;
import pixeron.app.model.Bench;
import pixeron.app.model.Seen;
import pixeron.format.ImageFiles;
import pixeron.format.LoadedImage;
import pixeron.format.LossyNote;
import pixeron.image.Image;
import pixeron.image.Result;
import pixeron.image.Spectrum;
import pixeron.image.SpectrumFace;
import pixeron.project.Project;
import pixeron.project.ProjectFile;
import pixeron.project.SavedProject;
import pixeron.project.demo.DemoCase;
import pixeron.report.ReportFile;
import pixeron.report.ReportMaker;
import pixeron.step.Progress;
import pixeron.step.catalog.StepLine;

/**
 * Opening, saving and what surrounds them: unsaved work, autosave, recent files. Files are read and written in the
 * background.
 */
final class FileActions {

    static final List<Dialogs.Kind> TO_OPEN = List.of(
            new Dialogs.Kind("Images, tables and projects", List.of("*.png", "*.jpg", "*.jpeg", "*.bmp", "*.gif",
                    "*.tif", "*.tiff", "*.pbm", "*.pgm", "*.ppm", "*.pam", "*.pnm", "*.csv", "*.tsv", "*.txt",
                    "*.pixeron.json")),
            new Dialogs.Kind("All files", List.of("*")));
    private static final List<Dialogs.Kind> PROJECTS = List.of(new Dialogs.Kind("Pixeron project",
            List.of("*.pixeron.json")));
    private static final List<Dialogs.Kind> RESULTS = List.of(
            new Dialogs.Kind("PNG picture", List.of("*.png")), new Dialogs.Kind("PGM picture", List.of("*.pgm")),
            new Dialogs.Kind("Other lossless pictures", List.of("*.tif", "*.bmp", "*.gif", "*.ppm", "*.pam")),
            new Dialogs.Kind("JPEG picture (changes values)", List.of("*.jpg")),
            new Dialogs.Kind("Table of numbers", List.of("*.csv", "*.tsv", "*.txt")));
    private static final List<Dialogs.Kind> REPORTS = List.of(new Dialogs.Kind("PDF", List.of("*.pdf")),
            new Dialogs.Kind("HTML", List.of("*.html")), new Dialogs.Kind("Markdown", List.of("*.md")));

    private final Bench bench;
    private final Background opening;
    /** Apart from opening, so that no other work takes the place of a file that is being written. */
    private final Background saving = new Background();
    private final Autosave autosave;
    private final UserFolder folder;
    private final Voice voice;
    private final ReadOnlyObjectWrapper<Settings> settings;
    /** The file of the table that the person was asked about; empty for one from the clipboard. */
    private Optional<Path> asked = Optional.empty();
    private BiConsumer<String, String> askHow = (name, text) -> { };

    FileActions(Bench bench, Background opening, Autosave autosave, UserFolder folder, Voice voice) {
        this.bench = bench;
        this.opening = opening;
        this.autosave = autosave;
        this.folder = folder;
        this.voice = voice;
        this.settings = new ReadOnlyObjectWrapper<>(Settings.read(folder));
        bench.projectProperty().subscribe(project -> keepUnsaved());
    }

    ReadOnlyObjectProperty<Settings> settingsProperty() {
        return settings.getReadOnlyProperty();
    }

    void setSettings(Settings changed) {
        settings.set(changed);
        changed.write(folder);
    }

    private void keepUnsaved() {
        if (bench.isOpen() && !bench.savedProperty().get()) {
            autosave.keep(bench.savedProject());
        } else if (bench.isOpen()) {
            autosave.clear();
        }
    }

    /** Lets the person choose a file and opens it. */
    void open() {
        afterUnsaved(() -> voice.dialogs().chooseToOpen("Open an image, a table or a project", TO_OPEN).ifPresent(this::read));
    }

    /** Opens a file, after a question about unsaved work; asks how a table is to be read. */
    void open(Path file) {
        afterUnsaved(() -> read(file));
    }

    /** Opens a file as it is, without asking how; a table must be one of levels then. */
    void openAsItIs(Path file) {
        afterUnsaved(() -> readAsItIs(file));
    }

    private void read(Path file) {
        voice.banner().hide();
        opening.start(progress -> Opened.isProject(file) ? Optional.<String>empty() : ImageFiles.tableText(file),
                table -> table.ifPresentOrElse(text -> ask(Optional.of(file), file.getFileName().toString(), text),
                        () -> readAsItIs(file)), this::trouble);
    }

    /** @param ask shows how a text is read as a table: gets the name of the table and the text */
    void setAskHow(BiConsumer<String, String> ask) {
        askHow = ask;
    }

    private void ask(Optional<Path> file, String name, String text) {
        asked = file;
        askHow.accept(name, text);
    }

    /** Opens what was read of a table in the form that the person chose. */
    void openTable(String name, Image image) {
        voice.banner().hide();
        asked.ifPresent(file -> setSettings(settings.get().withRecent(file)));
        bench.open(Opened.image(name, name, LoadedImage.gray(image, "table")), Optional.empty(), asked.isPresent());
    }

    private void readAsItIs(Path file) {
        voice.banner().hide();
        opening.start(progress -> Opened.of(file), opened -> {
            opened.work().ifPresentOrElse(work -> {
                bench.open(work, opened.project(), true);
                setSettings(settings.get().withRecent(file));
            }, () -> {
                voice.banner().show(opened.problem());
                opened.otherWays().forEach((name, work) -> voice.banner().offer(name, () -> opening.start(
                        progress -> work.get(), made -> {
                            bench.open(made, Optional.empty(), true);
                            setSettings(settings.get().withRecent(file));
                        }, this::trouble)));
            });
        }, this::trouble);
    }

    void open(DemoCase demo) {
        afterUnsaved(() -> {
            voice.banner().hide();
            bench.open(demo.saved(), Optional.empty(), true);
        });
    }

    /** Opens work that an earlier run left behind; it stays unsaved until the person saves it. */
    void recover(Path leftBehind) {
        afterUnsaved(() -> opening.start(progress -> ProjectFile.read(leftBehind), work -> {
            bench.open(work, Optional.empty(), false);
            autosave.discard(leftBehind);
        }, this::trouble));
    }

    void discard(Path leftBehind) {
        autosave.discard(leftBehind);
    }

    List<Path> leftBehind() {
        return autosave.leftBehind();
    }

    /** Opens an image that was made here. */
    void openNew(String name, Image image) {
        afterUnsaved(() -> {
            voice.banner().hide();
            bench.open(Opened.image("new", name, LoadedImage.gray(image, "new")), Optional.empty(), false);
        });
    }

    /** Makes a new image of what is on the clipboard: a picture, or a table of numbers. */
    void pasteImage() {
        Clipboard clipboard = Clipboard.getSystemClipboard();
        String text = clipboard.getString();
        if (text != null && !text.isBlank()) {
            afterUnsaved(() -> ask(Optional.empty(), "pasted numbers", text));
        } else if (clipboard.hasImage()) {
            LoadedImage picture = ClipboardPicture.read(clipboard.getImage());
            afterUnsaved(() -> {
                voice.banner().hide();
                bench.open(Opened.image("pasted", "Pasted picture", picture), Optional.empty(), false);
            });
        } else {
            voice.banner().show("The clipboard holds no numbers and no picture; copy a block of cells or a picture first.");
        }
    }

    /** Saves to the project's file; one that has none yet is asked for. */
    void save() {
        save(() -> { });
    }

    private void save(Runnable then) {
        if (bench.fileProperty().get() != null) {
            write(bench.fileProperty().get(), then);
        } else {
            saveAs(then);
        }
    }

    void saveAs() {
        saveAs(() -> { });
    }

    private void saveAs(Runnable then) {
        String name = fileName(bench.project()) + ProjectFile.ENDING;
        voice.dialogs().chooseToSave("Save the project", name, PROJECTS).ifPresent(chosen -> write(withEnding(chosen), then));
    }

    private static Path withEnding(Path chosen) {
        String name = chosen.getFileName().toString();
        return name.endsWith(".json") ? chosen : chosen.resolveSibling(name + ProjectFile.ENDING);
    }

    private void write(Path file, Runnable then) {
        SavedProject work = bench.savedProject();
        saving.start(progress -> {
            ProjectFile.write(file, work);
            return file;
        }, written -> {
            if (bench.project() == work.project()) {
                bench.markSaved(file);
                autosave.clear();
            }
            voice.banner().hide();
            setSettings(settings.get().withRecent(file));
            voice.say().accept("Saved " + file.getFileName());
            then.run();
        }, this::trouble);
    }

    /** Saves what the selected step gives. */
    void saveResult() {
        if (bench.shown() == null) {
            return;
        }
        Optional<Seen> seen = bench.shown().selected();
        if (seen.isEmpty()) {
            voice.banner().show("The selected step has no result to save.");
            return;
        }
        // What is looked at is saved: the picture in colour, or one channel of it.
        boolean isChannel = seen.get().hasColour() && !bench.looking().isWhole();
        String face = seen.get().name(bench.shown().channel());
        boolean isFace = isChannel || seen.get().isSpectrum();
        Result result = isFace ? seen.get().face(face).image() : seen.get().result();
        // The logarithm of a spectrum is a picture as well: that from black to white.
        Optional<Spectrum> drawn = seen.get().spectrum().filter(spectrum -> face.equals(SpectrumFace.LOG.word()));
        String suggested = fileName(bench.project()) + (bench.position() < 0 ? "" : "-step-" + (bench.position() + 1))
                + (isFace ? "-" + face : "") + ImageFiles.suggestedEnding(result);
        voice.dialogs().chooseToSave("Save the result", suggested, RESULTS).ifPresent(file -> write(file, drawn.isPresent() && !ImageFiles.isTable(file)
                ? drawn.get().picture() : result, suggested));
    }

    /** A picture format without room for these levels is not chosen by somebody who wants an error: what they want is asked. */
    private void write(Path file, Result result, String suggested) {
        boolean isWithoutRoom = result instanceof Image image && image.isLevelImage() && !ImageFiles.hasRoom(file, image.maximumLevel());
        Dialogs.Room room = isWithoutRoom ? voice.dialogs().askAboutRoom(file.getFileName().toString().replaceFirst(".*\\.", "").toUpperCase(Locale.ROOT),
                result.frame().maximumLevel()) : null;
        if (room == Dialogs.Room.KEEP_NUMBERS) {
            String other = suggested.replaceFirst("\\.[^.]*$", ".pgm");
            voice.dialogs().chooseToSave("Save the result", other, RESULTS).ifPresent(next -> save(next, result));
        } else if (room == Dialogs.Room.SPREAD) {
            save(file, StepLine.parse("depth maximum=255").bind((Image) result).result(Progress.NONE));
        } else if (room == null) {
            save(file, result);
        }
    }

    private void save(Path file, Result kept) {
        saving.start(progress -> {
            ImageFiles.write(file, kept, false);
            return ImageFiles.isLossy(file) ? LossyNote.of(file, kept) : "";
        }, note -> {
            voice.banner().hide();
            voice.say().accept("Saved " + file.getFileName());
            if (!note.isEmpty()) {
                voice.banner().show(note);
            }
        }, this::trouble);
    }

    private static String fileName(Project project) {
        String name = project.name().strip().replaceAll("[^\\p{L}\\p{N}]+", "-").replaceAll("^-|-$", "").toLowerCase();
        return name.isEmpty() ? "project" : name;
    }

    /** Writes a report of the whole work, in the format that the file's ending names. */
    void saveReport() {
        if (!bench.isOpen()) {
            return;
        }
        Project project = bench.project();
        voice.dialogs().chooseToSave("Write a report", fileName(project) + "-report.pdf", REPORTS).ifPresent(file ->
                saving.start(progress -> {
                    ReportFile.write(file, ReportMaker.of(project, progress));
                    return file;
                }, written -> {
                    voice.banner().hide();
                    voice.say().accept("Wrote " + file.getFileName());
                }, this::trouble));
    }

    /** Runs an action when no unsaved work is in its way: saved, given up, or never there. */
    void afterUnsaved(Runnable action) {
        if (!bench.isOpen() || bench.savedProperty().get()) {
            action.run();
            return;
        }
        switch (voice.dialogs().askAboutUnsaved(bench.project().name())) {
            case SAVE -> save(action);
            case DISCARD -> {
                autosave.clear();
                action.run();
            }
            case CANCEL -> { }
        }
    }

    /** The program ends: nothing is left to be recovered. */
    void end() {
        autosave.clearNow();
    }

    /** Shows what went wrong; what must not happen goes into the log as well. */
    void trouble(RuntimeException problem) {
        if (problem instanceof PixeronException) {
            voice.banner().show(problem.getMessage());
        } else {
            LoggerFactory.getLogger(FileActions.class).error("unexpected", problem);
            voice.banner().show("Something went wrong inside Pixeron; your work is kept. The log has the details.");
        }
    }
}

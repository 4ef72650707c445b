package pixeron.app.window;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.function.BiConsumer;
import java.util.function.Consumer;
import javafx.application.Platform;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.scene.input.Clipboard;
import org.slf4j.LoggerFactory;
import pixeron.PixeronException;
import pixeron.app.folder.Autosave;
import pixeron.app.folder.FileMark;
import pixeron.app.folder.Settings;
import pixeron.app.folder.UserFolder;
import pixeron.app.model.Background;
import pixeron.app.model.Bench;
import pixeron.exercise.file.ExerciseFile;
import pixeron.format.ArrayReadings;
import pixeron.format.ImageFiles;
import pixeron.format.LoadedImage;
import pixeron.image.ColorImage;
import pixeron.image.Image;
import pixeron.image.Result;
import pixeron.project.ProjectFile;
import pixeron.project.SavedProject;
import pixeron.project.demo.DemoCase;

/**
 * Opening, saving and what surrounds them: unsaved work, autosave, recent files. Files are read and written in the
 * background.
 */
final class FileActions {

    static final List<Dialogs.Kind> TO_OPEN = List.of(
            new Dialogs.Kind("Images, tables and projects", List.of("*.png", "*.jpg", "*.jpeg", "*.bmp", "*.gif",
                    "*.tif", "*.tiff", "*.pbm", "*.pgm", "*.ppm", "*.pam", "*.pnm", "*.csv", "*.tsv", "*.txt", "*.xlsx", "*.ods", "*.npy", "*.py", "*.java", "*.c", "*.m", "*.json", "*.md", "*.tex",
                    "*.pixeron.json", "*.pixeron-exercise.json")),
            new Dialogs.Kind("All files", List.of("*")));
    private static final List<Dialogs.Kind> PROJECTS = List.of(new Dialogs.Kind("Pixeron project",
            List.of("*.pixeron.json")));

    private final Bench bench;
    private final Background opening;
    /** Apart from opening, so that no other work takes the place of a file that is being written. */
    private final Background saving = new Background();
    private final Autosave autosave;
    private final UserFolder folder;
    private final Voice voice;
    private final ReadOnlyObjectWrapper<Settings> settings;
    /** The project's file as it was read or written last. */
    private volatile FileMark asFound = FileMark.NONE;
    /** The file of the table that the user was asked about; empty for one from the clipboard. */
    private Optional<Path> asked = Optional.empty();
    private Consumer<Path> openExercise = file -> { };
    private BiConsumer<String, String> askHow = (name, text) -> { };
    private AskWhich askWhich = (name, text, readings) -> { };

    FileActions(Bench bench, Background opening, Autosave autosave, UserFolder folder, Voice voice) {
        this.bench = bench;
        this.opening = opening;
        this.autosave = autosave;
        this.folder = folder;
        this.voice = voice;
        this.settings = new ReadOnlyObjectWrapper<>(Settings.read(folder));
        autosave.setTrouble(problem -> Platform.runLater(() -> voice.banner().show("Your autosave failed against a crash: " + problem
                + " Save it in another folder.")));
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
        if (bench.isOpen() && !bench.past().savedProperty().get()) {
            autosave.keep(bench.savedProject());
        } else if (bench.isOpen()) {
            autosave.clear();
        }
    }

    /** Lets the user choose a file and opens it. */
    void open() {
        afterUnsaved(() -> voice.dialogs().chooseToOpen("Open an image, a table or a project", TO_OPEN).ifPresent(this::read));
    }

    /** Opens a file, after a question about unsaved work; asks how a table is to be read. */
    void open(Path file) {
        afterUnsaved(() -> read(file));
    }

    /** Opens a file as it is, without asking how a table is read; only an array with several readings, or with a mistake, is shown first. */
    void openAsItIs(Path file) {
        afterUnsaved(() -> opening.start(progress -> Asked.of(file), found -> found.ifPresentOrElse(array -> {
            voice.banner().hide();
            asked = Optional.of(file);
            askWhich.show(file.getFileName().toString(), array.text(), array.readings());
        }, () -> readAsItIs(file)), this::trouble));
    }

    /** The text of a file with an array that is not exactly one image. */
    private record Asked(String text, ArrayReadings readings) {

        static Optional<Asked> of(Path file) {
            try {
                return (Opened.isProject(file) ? Optional.<String>empty() : ImageFiles.tableText(file)).flatMap(text -> ArrayReadings.of(text)
                        .filter(readings -> readings.all().size() != 1).map(readings -> new Asked(text, readings)));
            } catch (PixeronException notReadable) {
                // Opening the file tells why.
                return Optional.empty();
            }
        }
    }

    private void read(Path file) {
        voice.banner().hide();
        opening.start(progress -> Opened.isProject(file) ? Optional.<String>empty() : ImageFiles.tableText(file),
                table -> table.ifPresentOrElse(text -> ask(Optional.of(file), file.getFileName().toString(), text),
                        () -> readAsItIs(file)), this::trouble);
    }

    /**
     * Sets how a text is asked about.
     *
     * @param ask shows how a text is read as a table: gets the name of the table and the text
     * @param which shows the images that the text of an array can be
     */
    void setAskHow(BiConsumer<String, String> ask, AskWhich which) {
        askHow = ask;
        askWhich = which;
    }

    /** Lets the user choose one of the images that a text can be. */
    interface AskWhich {
        void show(String name, String text, ArrayReadings readings);
    }

    private void ask(Optional<Path> file, String name, String text) {
        asked = file;
        opening.start(progress -> ArrayReadings.of(text), found -> found.ifPresentOrElse(readings -> {
            if (readings.all().size() == 1) {
                openArray(name, readings.all().get(0).loaded());
                sayWhatChanged(name, text, readings.all().get(0).loaded());
            } else {
                askWhich.show(name, text, readings);
            }
        }, () -> askHow.accept(name, text)), this::trouble);
    }

    /** What was dropped, scaled or added while reading can be undone: the text is then read as plain cells. */
    private void sayWhatChanged(String name, String text, LoadedImage loaded) {
        if (!loaded.notes().isEmpty()) {
            voice.banner().show(loaded.summary().map(line -> line + ". ").orElse("") + String.join(" ", loaded.notes()));
            voice.banner().offer("Read as plain cells", () -> askHow.accept(name, text));
        }
    }

    /** Opens an array that was read. */
    void openArray(String name, LoadedImage loaded) {
        voice.banner().hide();
        asked.ifPresent(file -> setSettings(settings.get().withRecent(file)));
        bench.open(Opened.image(name, name, loaded), Optional.empty(), asked.isPresent());
        loaded.summary().ifPresent(voice.say());
    }

    /** Opens what was read of a table in the form that the user chose. */
    void openTable(String name, Image image) {
        voice.banner().hide();
        asked.ifPresent(file -> setSettings(settings.get().withRecent(file)));
        bench.open(Opened.image(name, name, LoadedImage.gray(image, LoadedImage.TABLE)), Optional.empty(), asked.isPresent());
    }

    private void readAsItIs(Path file) {
        voice.banner().hide();
        if (file.getFileName().toString().endsWith(ExerciseFile.ENDING)) {
            openExercise.accept(file);
            return;
        }
        opening.start(progress -> Opened.of(file), opened -> {
            opened.work().ifPresentOrElse(work -> {
                asFound = opened.project();
                bench.open(work, opened.project().file(), true);
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
        open(demo.saved());
    }

    /** Opens work that is in no file of its own. */
    void open(SavedProject work) {
        afterUnsaved(() -> {
            voice.banner().hide();
            bench.open(work, Optional.empty(), true);
        });
    }

    /** @param way opens an exercise where it is set */
    void setOpenExercise(Consumer<Path> way) {
        openExercise = way;
    }

    /** Opens work that an earlier run left behind; it stays unsaved until the user saves it. */
    void recover(Path leftBehind) {
        afterUnsaved(() -> opening.start(progress -> ProjectFile.read(leftBehind), work -> {
            bench.open(work, Optional.empty(), false);
            autosave.adopt(leftBehind);
        }, this::trouble));
    }

    void discard(Path leftBehind) {
        autosave.discard(leftBehind);
    }

    List<Path> leftBehind() {
        return autosave.leftBehind();
    }

    /** Opens an image that was made here. */
    void openNew(String name, Result result) {
        afterUnsaved(() -> {
            voice.banner().hide();
            bench.open(Opened.image("new", name, result instanceof ColorImage color ? LoadedImage.color(color, "new", color.faces().size())
                    : LoadedImage.gray((Image) result, "new")), Optional.empty(), false);
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
            voice.banner().show("The clipboard contains neither numbers nor a picture. First copy a block of cells or a picture.");
        }
    }

    /** Saves to the project's file; one that has none yet is asked for. */
    void save() {
        save(() -> { });
    }

    private void save(Runnable then) {
        if (bench.past().fileProperty().get() != null) {
            write(bench.past().fileProperty().get(), then);
        } else {
            saveAs(then);
        }
    }

    void saveAs() {
        saveAs(() -> { });
    }

    private void saveAs(Runnable then) {
        String name = ResultActions.fileName(bench.project()) + ProjectFile.ENDING;
        voice.dialogs().chooseToSave("Save the project", name, PROJECTS).ifPresent(chosen -> {
            Path file = withEnding(chosen);
            boolean isAsked = file.equals(chosen) || Files.notExists(file);
            if (isAsked || voice.dialogs().askAboutReplacing(file.getFileName().toString())) {
                write(file, then);
            }
        });
    }

    private static Path withEnding(Path chosen) {
        String name = chosen.getFileName().toString();
        return name.endsWith(".json") ? chosen : chosen.resolveSibling(name + ProjectFile.ENDING);
    }

    /** Asks before replacing what another window or program wrote to the file meanwhile. */
    private void write(Path file, Runnable then) {
        saving.start(progress -> asFound.isOf(file) && asFound.isChanged(), isChanged -> {
            if (isChanged) {
                voice.banner().show(file.getFileName() + " was changed on disk since you opened it. Saving overwrites those changes.");
                voice.banner().offer("Save as another file…", () -> saveAs(then));
                voice.banner().offer("Overwrite", () -> replace(file, then));
            } else {
                replace(file, then);
            }
        }, this::trouble);
    }

    private void replace(Path file, Runnable then) {
        SavedProject work = bench.savedProject();
        saving.start(progress -> {
            ProjectFile.write(file, work);
            // At once, also where a newer saving has taken the place of this one: what was written here was not changed elsewhere.
            asFound = FileMark.of(file);
            return file;
        }, written -> {
            if (bench.project() == work.project()) {
                bench.past().markSaved(file);
                autosave.clear();
            }
            voice.banner().hide();
            setSettings(settings.get().withRecent(file));
            voice.say().accept("Saved " + file.getFileName());
            then.run();
        }, this::trouble);
    }

    /** Runs an action when no unsaved work is in its way: saved, abandoned, or never there. */
    void afterUnsaved(Runnable action) {
        if (!bench.isOpen() || bench.past().savedProperty().get()) {
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
            voice.banner().show("Internal error in Pixeron. Your work is saved. See the log for details.");
        }
    }
}

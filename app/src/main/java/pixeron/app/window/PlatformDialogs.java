package pixeron.app.window;

import java.io.File;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.application.Platform;
import javafx.scene.control.Alert;
import javafx.scene.control.ButtonBar;
import javafx.scene.control.ButtonType;
import javafx.stage.DirectoryChooser;
import javafx.stage.FileChooser;
import javafx.stage.Stage;
import javafx.stage.Window;
import pixeron.byhand.answer.Answer;

/** The dialogs of the platform. */
public final class PlatformDialogs implements Dialogs {

    private static final ButtonType SAVE = new ButtonType("Save", ButtonBar.ButtonData.YES);
    private static final ButtonType KEEP = new ButtonType("Keep the values…", ButtonBar.ButtonData.YES);
    private static final ButtonType SPREAD = new ButtonType("Stretch to 0–255", ButtonBar.ButtonData.NO);
    private static final ButtonType REPLACE = new ButtonType("Replace", ButtonBar.ButtonData.YES);
    private static final ButtonType DISCARD = new ButtonType("Don't save", ButtonBar.ButtonData.NO);

    private final Window owner;
    private File folder;
    /** Whether the window is to fill the screen again as soon as no dialog is open. */
    private boolean isFillingDue;

    /**
     * Creates dialogs that belong to a window.
     *
     * @param owner the window that waits for an answer
     */
    public PlatformDialogs(Window owner) {
        this.owner = owner;
    }

    @Override
    public Optional<Path> chooseToOpen(String title, List<Kind> kinds) {
        return remembered(staying(() -> chooser(title, kinds).showOpenDialog(owner)));
    }

    @Override
    public List<Path> chooseManyToOpen(String title, List<Kind> kinds) {
        List<File> chosen = staying(() -> chooser(title, kinds).showOpenMultipleDialog(owner));
        if (chosen == null || chosen.isEmpty()) {
            return List.of();
        }
        remembered(chosen.get(0));
        return chosen.stream().map(File::toPath).toList();
    }

    @Override
    public Optional<Path> chooseToSave(String title, String suggestedName, List<Kind> kinds) {
        FileChooser chooser = chooser(title, kinds);
        chooser.setInitialFileName(suggestedName);
        File file = staying(() -> chooser.showSaveDialog(owner));
        File whole = file == null ? null : withEnding(file, chooser.getSelectedExtensionFilter());
        // The platform asked about the name that was typed, not about the one with its ending.
        boolean isRefused = whole != null && !whole.equals(file) && whole.exists() && !askAboutReplacing(whole.getName());
        return remembered(isRefused ? null : whole);
    }

    @Override
    public Optional<Path> chooseFolder(String title) {
        DirectoryChooser chooser = new DirectoryChooser();
        chooser.setTitle(title);
        if (folder != null && folder.isDirectory()) {
            chooser.setInitialDirectory(folder);
        }
        File chosen = staying(() -> chooser.showDialog(owner));
        if (chosen != null) {
            folder = chosen;
        }
        return Optional.ofNullable(chosen).map(File::toPath);
    }

    /** Some window managers take a window that waits for a dialog out of filling the screen; afterwards it fills it again. */
    private <T> T staying(Supplier<T> dialog) {
        boolean wasFilling = isFillingDue || owner instanceof Stage stage && stage.isMaximized();
        isFillingDue = false;
        T answer = dialog.get();
        if (wasFilling) {
            isFillingDue = true;
            // When what the window manager did has come here; where another dialog follows at once, after that one.
            Platform.runLater(() -> {
                if (isFillingDue) {
                    isFillingDue = false;
                    ((Stage) owner).setMaximized(false);
                    ((Stage) owner).setMaximized(true);
                }
            });
        }
        return answer;
    }

    /** Not every platform's dialog adds the ending of the kind that was chosen. */
    private static File withEnding(File file, FileChooser.ExtensionFilter kind) {
        boolean isComplete = file.getName().contains(".") || kind == null || kind.getExtensions().isEmpty();
        return isComplete ? file : new File(file.getPath() + kind.getExtensions().get(0).replace("*", ""));
    }

    private FileChooser chooser(String title, List<Kind> kinds) {
        FileChooser chooser = new FileChooser();
        chooser.setTitle(title);
        kinds.forEach(kind -> chooser.getExtensionFilters().add(
                new FileChooser.ExtensionFilter(kind.name(), kind.endings())));
        if (folder != null && folder.isDirectory()) {
            chooser.setInitialDirectory(folder);
        }
        return chooser;
    }

    private Optional<Path> remembered(File file) {
        if (file != null) {
            folder = file.getParentFile();
        }
        return Optional.ofNullable(file).map(File::toPath);
    }

    private ButtonType asked(String title, String question, String words, ButtonType... answers) {
        Alert alert = new Alert(Alert.AlertType.NONE, words, answers);
        alert.initOwner(owner);
        alert.setTitle(title);
        alert.setHeaderText(question);
        alert.getDialogPane().getStyleClass().setAll(owner.getScene().getRoot().getStyleClass());
        alert.getDialogPane().getStyleClass().add("dialog-pane");
        alert.getDialogPane().getStylesheets().setAll(owner.getScene().getRoot().getStylesheets());
        return staying(() -> alert.showAndWait().orElse(ButtonType.CANCEL));
    }

    @Override
    public Room askAboutRoom(String format, int maximumLevel) {
        ButtonType answer = asked("Save the result", format + " cannot store levels 0–" + maximumLevel + ".",
                "Keep the values in another format, or stretch them to 0–255 for viewing.", KEEP, SPREAD, ButtonType.CANCEL);
        return answer == KEEP ? Room.KEEP_NUMBERS : answer == SPREAD ? Room.SPREAD : Room.CANCEL;
    }

    @Override
    public boolean askAboutReplacing(String name) {
        return asked("Replace the file?", "\"" + name + "\" already exists.", "Replacing it overwrites its contents.", REPLACE, ButtonType.CANCEL) == REPLACE;
    }

    @Override
    public Answer askAboutUnsaved(String name) {
        ButtonType answer = asked("Unsaved work", "Save before closing?", "\"" + name + "\" has unsaved changes.", SAVE, DISCARD, ButtonType.CANCEL);
        return answer == SAVE ? Answer.SAVE : answer == DISCARD ? Answer.DISCARD : Answer.CANCEL;
    }
}

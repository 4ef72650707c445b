package pixeron.app.model;

import java.nio.file.Path;
import java.util.Optional;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;
import javafx.beans.property.SimpleObjectProperty;
import pixeron.project.Project;

/** What was done to a project, what of it can be undone and redone, and whether it is in its file. */
public final class Past {

    private final ObjectProperty<Path> file = new SimpleObjectProperty<>();
    private final ReadOnlyBooleanWrapper saved = new ReadOnlyBooleanWrapper(true);
    private final ReadOnlyBooleanWrapper undoable = new ReadOnlyBooleanWrapper();
    private final ReadOnlyBooleanWrapper redoable = new ReadOnlyBooleanWrapper();
    private History<State> history;

    /**
     * A state of the work.
     *
     * @param project the work
     * @param position the step that was selected when it was made; it does not count for what is equal, because selecting
     *     a step changes nothing that could be saved or undone
     */
    private record State(Project project, int position) {
        @Override
        public boolean equals(Object other) {
            return other instanceof State state && project.equals(state.project);
        }

        @Override
        public int hashCode() {
            return project.hashCode();
        }
    }

    /** Begins anew with another project. */
    void begin(Project project, int position, Optional<Path> from, boolean isSaved) {
        history = new History<>(new State(project, position));
        if (!isSaved) {
            history.markUnsaved();
        }
        file.set(from.orElse(null));
    }

    boolean hasBegun() {
        return history != null;
    }

    Project project() {
        return history.present().project();
    }

    /** Returns whether that is another project than before. */
    boolean add(Project project, int position, String mergeKey) {
        return history.add(new State(project, position), mergeKey);
    }

    /** The next change is undone on its own. */
    public void endMerge() {
        if (history != null) {
            history.endMerge();
        }
    }

    boolean canUndo() {
        return history.canUndo();
    }

    /** Returns the step that was selected when what is taken back was done. */
    int undo() {
        int position = history.present().position();
        history.undo();
        return position;
    }

    /** Returns the step that was selected when what is done again was done. */
    int redo() {
        history.redo();
        return history.present().position();
    }

    /** Tells who listens how it stands now. */
    void tell() {
        saved.set(history.isSaved());
        undoable.set(history.canUndo());
        redoable.set(history.canRedo());
    }

    /** The project as it is now is in its file. */
    public void markSaved(Path in) {
        file.set(in);
        giveUpUnsaved();
    }

    /** The user has abandoned what is not saved: nobody is asked about it again. */
    public void giveUpUnsaved() {
        history.markSaved();
        saved.set(true);
    }

    public ObjectProperty<Path> fileProperty() {
        return file;
    }

    public ReadOnlyBooleanProperty savedProperty() {
        return saved.getReadOnlyProperty();
    }

    public ReadOnlyBooleanProperty undoableProperty() {
        return undoable.getReadOnlyProperty();
    }

    public ReadOnlyBooleanProperty redoableProperty() {
        return redoable.getReadOnlyProperty();
    }
}

package pixeron.app.model;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.Objects;

/**
 * States that can be undone and redone without limit, with a mark at the one that was saved.
 *
 * <p>States are kept, not changes: they are immutable and share nearly everything.
 *
 * @param <T> the type of a state
 */
public final class History<T> {

    private final Deque<T> past = new ArrayDeque<>();
    private final Deque<T> future = new ArrayDeque<>();
    private T present;
    private T saved;
    private String mergeKey;

    /**
     * Creates a history that holds one state.
     *
     * @param first the state to begin with; it counts as saved
     */
    public History(T first) {
        present = first;
        saved = first;
    }

    public T present() {
        return present;
    }

    /**
     * Returns false when next equals the present state, which then stays.
     *
     * @param next the new state
     * @param key what is being changed; states that follow each other with the same key are undone as one. Null: never
     */
    public boolean add(T next, String key) {
        if (next.equals(present)) {
            return false;
        }
        boolean isMerged = key != null && key.equals(mergeKey) && !past.isEmpty();
        if (!isMerged) {
            past.push(present);
        }
        mergeKey = key;
        future.clear();
        present = next;
        return true;
    }

    /** The next state is undone on its own, even with the key of the one before. */
    public void endMerge() {
        mergeKey = null;
    }

    public boolean canUndo() {
        return !past.isEmpty();
    }

    public boolean canRedo() {
        return !future.isEmpty();
    }

    /** Goes back one state, if there is one. */
    public void undo() {
        if (canUndo()) {
            future.push(present);
            present = past.pop();
            mergeKey = null;
        }
    }

    /** Goes forward one state, if there is one. */
    public void redo() {
        if (canRedo()) {
            past.push(present);
            present = future.pop();
            mergeKey = null;
        }
    }

    /** The present state counts as saved from now on. */
    public void markSaved() {
        saved = present;
        mergeKey = null;
    }

    /** No state counts as saved: for work that was recovered. */
    public void markUnsaved() {
        saved = null;
    }

    /** Returns true when the present state is the saved one. */
    public boolean isSaved() {
        return present == saved || Objects.equals(present, saved);
    }
}

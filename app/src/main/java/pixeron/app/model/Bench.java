package pixeron.app.model;

import java.nio.file.Path;
import java.util.Arrays;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleObjectProperty;
import pixeron.chain.Chain;
import pixeron.image.Frame;
import pixeron.image.Pixel;
import pixeron.image.Result;
import pixeron.image.SpectrumFace;
import pixeron.project.Project;
import pixeron.project.SavedProject;
import pixeron.project.View;
import pixeron.step.Operation;
import pixeron.step.Step;

/**
 * The one state that the window shows: a project with its history, the selected step, the picked pixel, and what was
 * calculated of them. Every change of the project goes through {@link #edit} and can be undone.
 */
public final class Bench {

    private final Background background;
    private final Consumer<RuntimeException> trouble;
    private final ReadOnlyObjectWrapper<Project> project = new ReadOnlyObjectWrapper<>();
    private final ReadOnlyObjectWrapper<Shown> shown = new ReadOnlyObjectWrapper<>();
    private final ReadOnlyObjectWrapper<Integer> position = new ReadOnlyObjectWrapper<>(-1);
    private final ObjectProperty<Pixel> picked = new SimpleObjectProperty<>(new Pixel(0, 0));
    private final ReadOnlyObjectWrapper<Pixel> pickedBefore = new ReadOnlyObjectWrapper<>();
    private final ReadOnlyBooleanWrapper gone = new ReadOnlyBooleanWrapper();
    private final Looking looking = new Looking();
    private final Walking walking;
    private final Hand hand = new Hand(this);
    private final Past past = new Past();
    private Optional<Preparing> preparing = Optional.empty();
    private Optional<Search> search = Optional.empty();
    /** What runs in the background is only a search for pixels to be lit. */
    private boolean isSearching;
    /** What runs in the background is a change that has not been made yet. */
    private boolean isWorkingOut;
    /**
     * Creates a bench with a background of its own for slow results.
     *
     * @param background where results are calculated
     * @param trouble notified about what must not happen while calculating
     */
    public Bench(Background background, Consumer<RuntimeException> trouble) {
        this(background, new Background(), trouble);
    }

    /** @param aside where else is calculated, so that neither waits for the other */
    Bench(Background background, Background aside, Consumer<RuntimeException> trouble) {
        this.background = background;
        this.trouble = trouble;
        this.walking = new Walking(this, aside);
        looking.channelProperty().subscribe(channel -> {
            if (isOpen() && shown() != null && (shown().hasColor() || shown().hasSpectrum() || shown().model().isPresent())) {
                show();
            }
        });
    }

    /** From now on what will be asked next is calculated while nobody does anything. */
    public void prepareAhead() {
        preparing = Optional.of(new Preparing());
    }

    /**
     * Shows another project.
     *
     * @param opened the project, and where to look first
     * @param from its file; empty when it has none yet
     * @param isSaved false for work that must not be lost although nobody changed it here
     */
    public void open(SavedProject opened, Optional<Path> from, boolean isSaved) {
        // First nothing is shown, so that no view looks for the new place in the old image.
        shown.set(null);
        past.begin(opened.project(), opened.view().position(), from, isSaved);
        picked.set(opened.view().picked());
        search = Optional.empty();
        looking.begin(opened.view().watched(), opened.view().hints());
        hand.commas().begin();
        lookAtWritten(opened);
        walking.await(opened.view().walk());
        position.set(Math.min(opened.view().position(), opened.project().chain().size() - 1));
        show();
    }

    public boolean isOpen() {
        return past.hasBegun();
    }

    public ReadOnlyObjectProperty<Project> projectProperty() {
        return project.getReadOnlyProperty();
    }

    public Project project() {
        return project.get();
    }

    /** What was calculated last; it may be one change behind the project while a calculation runs. */
    public ReadOnlyObjectProperty<Shown> shownProperty() {
        return shown.getReadOnlyProperty();
    }

    public Shown shown() {
        return shown.get();
    }

    /** The selected step from 0, or −1 for the image itself. */
    public ReadOnlyObjectProperty<Integer> positionProperty() {
        return position.getReadOnlyProperty();
    }

    public int position() {
        return position.get();
    }

    /** The picked pixel, as a place of the result. */
    public ObjectProperty<Pixel> pickedProperty() {
        return picked;
    }

    /** The pixel of Before that belongs to the picked one; null where none does. */
    public ReadOnlyObjectProperty<Pixel> pickedBeforeProperty() {
        return pickedBefore.getReadOnlyProperty();
    }

    /** Whether the pixel of Before was picked that went nowhere: then no pixel of the result is picked. */
    public ReadOnlyBooleanProperty goneProperty() {
        return gone.getReadOnlyProperty();
    }

    /** How a user looks at what is shown. */
    public Looking looking() {
        return looking;
    }

    /** Returns whether the result at a pixel is covered, because the user looks for their mistake alone. */
    public boolean isCovered(Pixel pixel) {
        return isWithheld() || looking.isAlone() && shown() != null && shown().sheet().cells().containsKey(pixel);
    }

    /**
     * Returns whether all results are covered, also where nothing is written yet: an exercise that was given out stays so
     * until the user has taken all hints or asks for everything.
     */
    public boolean isWithheld() {
        return looking.isAlone() && shown() != null && shown().project().origin().isExercise();
    }

    /** The user's values by hand. */
    public Hand hand() {
        return hand;
    }

    /** What was done to the project, and what of it is in a file. */
    public Past past() {
        return past;
    }

    /** The walk over the result. */
    public Walking walking() {
        return walking;
    }

    /**
     * Marks a rectangle or a line.
     *
     * @param marked what is marked now, or null; what reaches beyond the image is omitted
     */
    public void mark(Selection marked) {
        looking.mark(marked, grid());
    }

    /**
     * Highlights pixels.
     *
     * @param wanted which pixels are lit from now on; empty for none
     */
    public void light(Optional<Search> wanted) {
        search = wanted;
        if (isCurrent()) {
            Shown now = shown();
            background.start(progress -> now.lighting(wanted, progress), shown::set, trouble);
        } else {
            show();
        }
        isSearching = true;
    }

    /** Picks the next lit pixel in reading order, if there is one. */
    public Optional<Pixel> pickNextLit() {
        Optional<Pixel> next = shown() == null ? Optional.empty()
                : shown().litPixels().flatMap(pixels -> pixels.nextAfter(picked.get()));
        next.ifPresent(this::pick);
        return next;
    }

    /** Returns whether Before is the image itself, gray or in color, which can be drawn on. */
    public boolean isDrawable() {
        return project() != null && position() <= 0;
    }

    /**
     * Changes the image in front of the first step.
     *
     * @param mergeKey what is drawn; null: the change is undone on its own
     */
    public void draw(String mergeKey, UnaryOperator<Result> change) {
        edit(mergeKey, project -> project.withChain(chain -> chain.onSource(change.apply(chain.input()))));
    }

    /** Changes the image in front of the first step where that may take long; undone on its own. */
    public void drawSlowly(UnaryOperator<Result> change) {
        editSlowly(null, project -> project.withChain(chain -> chain.onSource(change.apply(chain.input()))));
    }

    /** Of a spectrum the face that the user wrote about is seen first. */
    private void lookAtWritten(SavedProject opened) {
        int at = Math.min(opened.view().position(), opened.project().chain().size() - 1);
        Arrays.stream(SpectrumFace.values()).map(SpectrumFace::word).filter(face -> at >= 0 && !opened.project().byHand(at, face).sheet().isEmpty())
                .reduce((first, last) -> last).ifPresent(looking.channelProperty()::set);
    }

    /** Returns what a file of this work holds. */
    public SavedProject savedProject() {
        return new SavedProject(project(), new View(position(), picked.get(), looking.watchedProperty().get(),
                walking.saved(), looking.hintsProperty().get()));
    }

    /** Changes the project; the change can be undone on its own. */
    public void edit(UnaryOperator<Project> change) {
        edit(null, change);
    }

    /**
     * Changes the project.
     *
     * @param mergeKey what is changed; changes in a row with the same key are undone as one
     * @param change makes the new project
     */
    public void edit(String mergeKey, UnaryOperator<Project> change) {
        if (past.add(change.apply(past.project()), position(), mergeKey)) {
            show();
        }
    }

    /** Takes back the last change and selects the step where it was made. */
    public void undo() {
        position.set(past.undo());
        show();
    }

    /** Makes the change again that was taken back, and selects the step where it was made. */
    public void redo() {
        position.set(past.redo());
        show();
    }

    /** Selects a step from 0, or the image with −1. */
    public void select(int newPosition) {
        past.endMerge();
        if (newPosition != position()) {
            position.set(newPosition);
            show();
        }
    }

    /** Puts a new step behind the selected one and selects it. */
    public void addStep(Step step) {
        int at = position() + 1;
        position.set(at);
        edit(project -> project.withChain(chain -> chain.withStep(at, step)));
    }

    /**
     * Changes the chain and selects a step of the new one.
     *
     * @throws pixeron.PixeronException if the chain cannot be changed in this way; it stays as it was
     */
    public void editChain(int newPosition, UnaryOperator<Chain> change) {
        Project changed = project().withChain(change);
        position.set(newPosition);
        edit(project -> changed);
    }

    /** Opens another image of the project with its steps, or goes back to its own; the last step is selected. */
    public void turnTo(UnaryOperator<Project> change) {
        Project changed = change.apply(project());
        position.set(changed.chain().size() - 1);
        edit(project -> changed);
    }

    /** Picks a pixel of the result; places outside are drawn to its edge. */
    public void pick(Pixel pixel) {
        Pixel inside = grid().nearest(pixel);
        gone.set(false);
        // First, because who listens to the picked pixel asks for this one as well.
        pickedBefore.set(isCurrent() ? shown().counterpart(inside).orElse(null) : inside);
        picked.set(inside);
    }

    /** Picks a pixel of Before, and where it went to; a place outside is drawn to the edge. */
    public void pickBefore(Pixel pixel) {
        if (!isCurrent()) {
            pick(pixel);
            return;
        }
        Pixel inside = shown().gridBefore().nearest(pixel);
        Optional<Pixel> home = shown().home(inside);
        gone.set(home.isEmpty());
        pickedBefore.set(inside);
        home.ifPresent(picked::set);
    }

    /** Picks the pixel of the result that has something of a pixel of the other image, if one has. */
    public void pickOther(Pixel pixel) {
        if (isCurrent()) {
            shown().homeOfOther(pixel).ifPresent(this::pick);
        }
    }

    /** Returns whether what is shown is what the project now is. */
    private boolean isCurrent() {
        return shown() != null && shown().project() == project() && shown().at().equals(new Shown.At(position(), looking.channelProperty().get()));
    }

    private Frame grid() {
        return shown() == null ? project().chain().input().frame() : shown().grid();
    }

    private void show(Shown made) {
        Pixel at = carried(made);
        Pixel inside = made.grid().nearest(at);
        // Before, so that no view looks for the old place in a smaller result.
        if (shown() != null && shown().grid().contains(inside)) {
            picked.set(inside);
        }
        shown.set(made);
        pick(inside);
        mark(looking.selectionProperty().get());
        preparing.ifPresent(next -> next.shown(made));
    }

    /** From a step to the one before it or behind it the picked pixel is followed; elsewhere its row and column stay. */
    private Pixel carried(Shown made) {
        Shown old = shown();
        Pixel at = picked.get();
        if (old == null) {
            return at;
        } else if (made.position() == old.position() + 1) {
            return made.home(at).orElse(at);
        } else if (pickedBefore.get() == null || made.position() > old.position()) {
            return at;
        } else if (made.position() == old.position() - 1) {
            return pickedBefore.get();
        }
        // A key of a step that moves values was changed: its result is another, what is read is the same.
        boolean isMoved = made.position() == old.position() && made.operation().filter(Operation::isMoving).isPresent()
                && !made.operation().equals(old.operation());
        return isMoved ? made.home(pickedBefore.get()).orElse(at) : at;
    }

    /** Gives up a calculation: the change that caused it is undone, or the search is abandoned. */
    public void cancelCalculation() {
        background.cancel();
        if (isSearching) {
            light(Optional.empty());
        } else if (past.canUndo() && !isWorkingOut) {
            undo();
        }
        isWorkingOut = false;
    }

    /**
     * Changes the project where calculating the change takes long; as {@link #edit}, but away from the window's thread.
     * A newer change takes its place.
     */
    public void editSlowly(String mergeKey, UnaryOperator<Project> change) {
        Project from = project();
        isSearching = false;
        isWorkingOut = true;
        background.start(progress -> change.apply(from), made -> {
            if (project() == from) {
                edit(mergeKey, project -> made);
            }
        }, trouble);
    }

    private void show() {
        isSearching = false;
        isWorkingOut = false;
        preparing.ifPresent(Preparing::stop);
        Project now = past.project();
        position.set(Math.max(-1, Math.min(position(), now.chain().size() - 1)));
        // Before the project, because who listens to that asks whether it is saved.
        past.tell();
        project.set(now);
        Shown.At at = new Shown.At(position(), looking.channelProperty().get());
        Shown known = shown();
        Optional<Search> wanted = search;
        background.start(progress -> Shown.of(now, at, known, wanted, progress), this::show, trouble);
    }
}

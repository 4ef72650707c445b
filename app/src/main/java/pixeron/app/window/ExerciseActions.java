package pixeron.app.window;

import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.function.BiConsumer;
import java.util.function.Consumer;
import javafx.scene.layout.Region;
import pixeron.app.exercise.Choosing;
import pixeron.app.exercise.ClassView;
import pixeron.app.exercise.PracticeView;
import pixeron.app.exercise.SetView;
import pixeron.app.folder.UserFolder;
import pixeron.app.model.Bench;
import pixeron.project.Project;

/** Practicing, setting an exercise, marking a class: each in the place of the bench, made when it is first wanted. */
final class ExerciseActions {

    private final UserFolder folder;
    private final Bench bench;
    private final Voice voice;
    private final Consumer<RuntimeException> trouble;
    private final Ways ways;
    private final Choosing choosing;
    private PracticeView practice;
    private SetView set;
    private ClassView marking;

    /**
     * What the window does for it.
     *
     * @param show puts a view in the place of the bench, and then does what gives it the keyboard
     * @param toBench opens work on the bench, under a name
     * @param leave goes back to where the user was
     */
    record Ways(BiConsumer<Region, Runnable> show, BiConsumer<String, Project> toBench, Runnable leave) {
    }

    /** @param trouble says what went wrong */
    ExerciseActions(UserFolder folder, Bench bench, Voice voice, Consumer<RuntimeException> trouble, Ways ways) {
        this.folder = folder;
        this.bench = bench;
        this.voice = voice;
        this.trouble = trouble;
        this.ways = ways;
        this.choosing = new ByDialogs(voice.dialogs());
    }

    /** Files and folders are chosen with the dialogs of the platform. */
    private record ByDialogs(Dialogs dialogs) implements Choosing {

        @Override
        public Optional<Path> toOpen(String title, String kind, List<String> endings) {
            return dialogs.chooseToOpen(title, List.of(new Dialogs.Kind(kind, endings), new Dialogs.Kind("All files", List.of("*"))));
        }

        @Override
        public Optional<Path> toSave(String title, String name, String kind, List<String> endings) {
            return dialogs.chooseToSave(title, name, List.of(new Dialogs.Kind(kind, endings)));
        }

        @Override
        public Optional<Path> folder(String title) {
            return dialogs.chooseFolder(title);
        }
    }

    void practice() {
        voice.banner().hide();
        if (practice == null) {
            practice = new PracticeView(folder, trouble, ways.toBench(), ways.leave());
        }
        ways.show().accept(practice, practice::focusFirst);
        practice.begin();
    }

    private SetView setView() {
        voice.banner().hide();
        if (set == null) {
            set = new SetView(choosing, trouble, ways.toBench(), ways.leave());
        }
        ways.show().accept(set, set::focusFirst);
        return set;
    }

    /** Makes an exercise of what is on the bench. */
    void make() {
        if (bench.isOpen() && bench.project().chain().size() > 0) {
            setView().set(bench.project());
        } else {
            voice.banner().show("An exercise needs an image and steps. Open an image or a case, and add a step first.");
        }
    }

    /** Opens an exercise to be changed, tried and given out. */
    void open(Path file) {
        setView().open(file);
    }

    void mark() {
        voice.banner().hide();
        if (marking == null) {
            marking = new ClassView(choosing, trouble, ways.toBench(), ways.leave());
        }
        ways.show().accept(marking, marking::focusFirst);
    }
}

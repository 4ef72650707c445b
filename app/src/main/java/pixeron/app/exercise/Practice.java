package pixeron.app.exercise;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import pixeron.PixeronException;
import pixeron.app.folder.UserFolder;
import pixeron.app.model.Background;
import pixeron.exercise.Variant;
import pixeron.exercise.Variants;
import pixeron.exercise.library.Library;
import pixeron.exercise.library.Size;
import pixeron.exercise.library.Topic;
import pixeron.exercise.practice.Attempt;
import pixeron.exercise.practice.Practiced;
import pixeron.exercise.practice.PracticedFile;
import pixeron.exercise.practice.Trial;

/** Practicing: the exercise that is being done, the findings about it, and what was practiced before. */
final class Practice {

    private static final String FILE = "practised.json";
    private static final double NANOS = 1e9;

    /** How much is told of what differs. */
    enum Told {
        /** How many differ. */
        COUNT,
        /** Which ones. */
        PLACES,
        /** What explains them. */
        REASONS
    }

    /**
     * The exercise that is being done.
     *
     * @param topic it is of
     * @param trial what is written
     * @param said the feedback of the last check; empty before that, and after a later change
     * @param told how much of that is told
     * @param isChecked whether it was checked before
     * @param isRightAtFirst whether everything was right then
     * @param slips ids of what was told to explain differences
     * @param since when it was shown, in nanoseconds of the system
     */
    record Task(Topic topic, Trial trial, Optional<Trial.Said> said, Told told, boolean isChecked, boolean isRightAtFirst, List<String> slips, long since) {

        Variant variant() {
            return trial.variant();
        }

        boolean isDone() {
            return said.filter(Trial.Said::isDone).isPresent();
        }
    }

    private final UserFolder folder;
    private final Consumer<RuntimeException> trouble;
    private final Background background = new Background();
    private final ReadOnlyObjectWrapper<Task> task = new ReadOnlyObjectWrapper<>();
    private final ReadOnlyObjectWrapper<Practiced> practiced = new ReadOnlyObjectWrapper<>(Practiced.NONE);
    private final ReadOnlyBooleanWrapper making = new ReadOnlyBooleanWrapper();
    private Optional<Topic> only = Optional.empty();
    private Size size = Size.SMALL;

    /** @param trouble says what went wrong */
    Practice(UserFolder folder, Consumer<RuntimeException> trouble) {
        this.folder = folder;
        this.trouble = trouble;
    }

    ReadOnlyObjectProperty<Task> taskProperty() {
        return task.getReadOnlyProperty();
    }

    /** Whether an exercise is being made: what is shown meanwhile, if anything, is the one before. */
    ReadOnlyBooleanProperty makingProperty() {
        return making.getReadOnlyProperty();
    }

    ReadOnlyObjectProperty<Practiced> practisedProperty() {
        return practiced.getReadOnlyProperty();
    }

    Optional<Topic> only() {
        return only;
    }

    /** Begins, or goes on where the user left. */
    void begin() {
        if (task.get() == null) {
            making.set(true);
            background.start(progress -> PracticedFile.read(folder.path(FILE)), read -> {
                practiced.set(read);
                show();
            }, problem -> {
                trouble.accept(problem);
                show();
            });
        }
    }

    /** @param topic the only one that is practiced, or empty for all in turn */
    void choose(Optional<Topic> topic, Size wanted) {
        if (!topic.equals(only) || wanted != size) {
            only = topic;
            size = wanted;
            next();
        }
    }

    /** Keeps what was done and shows the next exercise. */
    void next() {
        Task done = task.get();
        if (done != null && done.isChecked()) {
            int seconds = (int) Math.min(Integer.MAX_VALUE, Math.round((System.nanoTime() - done.since()) / NANOS));
            keep(practiced.get().with(new Attempt(done.topic().id(), done.variant().number(), done.isRightAtFirst(), done.slips(), seconds)));
        }
        show();
    }

    private void keep(Practiced changed) {
        practiced.set(changed);
        try {
            PracticedFile.write(folder.path(FILE), changed);
        } catch (PixeronException notKept) {
            trouble.accept(notKept);
        }
    }

    /** Everything that was practiced is forgotten. */
    void forget() {
        keep(Practiced.NONE);
    }

    private void show() {
        Practiced known = practiced.get();
        Topic topic = only.orElseGet(() -> Library.topic(known.next(Library.topics().stream().map(Topic::id).toList())).orElseThrow());
        int number = known.nextVariant(topic.id());
        Size wanted = size;
        making.set(true);
        background.start(progress -> variant(topic, wanted, number), variant -> {
            making.set(false);
            task.set(new Task(topic, Trial.of(variant), Optional.empty(), Told.COUNT, false, false, List.of(), System.nanoTime()));
        }, problem -> {
            making.set(false);
            trouble.accept(problem);
        });
    }

    /** When all different variants of a topic were done, they come again from the first. */
    private static Variant variant(Topic topic, Size size, int number) {
        Variants variants = new Variants(topic.exercise(size));
        try {
            return variants.variant(number);
        } catch (PixeronException noMore) {
            return variants.variant(1);
        }
    }

    /** Writes into a blank. */
    void write(Trial.Blank blank, String text) {
        Task before = task.get();
        Trial changed = before.trial().with(blank, text);
        if (!changed.equals(before.trial())) {
            task.set(new Task(before.topic(), changed, Optional.empty(), Told.COUNT, before.isChecked(), before.isRightAtFirst(), before.slips(), before.since()));
        }
    }

    /** Checks what is written; when it was checked already, tells more of it, and when everything is right goes on. */
    void check() {
        Task before = task.get();
        if (before == null || making.get()) {
            return;
        } else if (before.isDone()) {
            next();
        } else if (before.said().isPresent()) {
            tellMore();
        } else {
            background.start(before.trial()::check, said -> task.set(new Task(before.topic(), before.trial(), Optional.of(said), Told.COUNT, true,
                    before.isChecked() ? before.isRightAtFirst() : said.isDone(), before.slips(), before.since())), trouble);
        }
    }

    private void tellMore() {
        Task before = task.get();
        Told more = Told.values()[Math.min(Told.values().length - 1, before.told().ordinal() + 1)];
        List<String> slips = new ArrayList<>(before.slips());
        if (more == Told.REASONS) {
            before.said().orElseThrow().slips().forEach(slip -> slips.addAll(slip.ids()));
        }
        task.set(new Task(before.topic(), before.trial(), before.said(), more, true, before.isRightAtFirst(), slips, before.since()));
    }
}

package pixeron.app.model;

import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.beans.property.SimpleObjectProperty;
import pixeron.PixeronException;
import pixeron.image.Comparison;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.project.SavedWalk;
import pixeron.step.Explained;
import pixeron.step.Operation;
import pixeron.walk.Mistake;
import pixeron.walk.PseudoCode;
import pixeron.walk.ScanOrder;
import pixeron.walk.Score;
import pixeron.walk.Visits;
import pixeron.walk.Walk;

/** The walk over the result of the selected step, if there is one; it is kept in the project's file but not undone. */
public final class Walking {

    private final Bench bench;
    private final Background background;
    private final ReadOnlyObjectWrapper<Walk> walk = new ReadOnlyObjectWrapper<>();
    private final ReadOnlyObjectWrapper<Score> score = new ReadOnlyObjectWrapper<>(Score.NONE);
    private final ReadOnlyObjectWrapper<Described> mistake = new ReadOnlyObjectWrapper<>();
    private final BooleanProperty guessing = new SimpleBooleanProperty();
    private final BooleanProperty mistaken = new SimpleBooleanProperty();
    private final BooleanProperty playing = new SimpleBooleanProperty();
    private final BooleanProperty drawingPath = new SimpleBooleanProperty();
    private final ObjectProperty<Speed> speed = new SimpleObjectProperty<>(Speed.NORMAL);
    private Optional<? extends Mistake> made = Optional.empty();
    private int differing;
    private SavedWalk awaited;
    private PseudoCode code;
    private Shown wholeOf;
    private boolean isWholePacked;
    private Optional<Explained> whole = Optional.empty();
    private Explained codeOf;

    /** @param background where the mistake is calculated, apart from what the bench shows */
    Walking(Bench bench, Background background) {
        this.bench = bench;
        this.background = background;
        bench.shownProperty().subscribe(this::follow);
        mistaken.subscribe(isOn -> findMistake());
        bench.looking().colorViewProperty().subscribe(view -> findMistake());
        guessing.subscribe(isOn -> {
            if (walk.get() != null) {
                playing.set(false);
                score.set(Score.NONE);
                set(isOn ? beforeNext(walk.get()) : walk.get());
            }
        });
    }

    /** The walk; null while there is none. */
    public ReadOnlyObjectProperty<Walk> walkProperty() {
        return walk.getReadOnlyProperty();
    }

    public Walk walk() {
        return walk.get();
    }

    public boolean isOn() {
        return walk.get() != null;
    }

    /** Whether values are covered until the user has written one. */
    public BooleanProperty guessingProperty() {
        return guessing;
    }

    /** Whether the mistake that can be made in the loops of the step is shown. */
    public BooleanProperty mistakenProperty() {
        return mistaken;
    }

    public BooleanProperty playingProperty() {
        return playing;
    }

    /** Whether the next drag on a sheet is the path of the walk. */
    public BooleanProperty drawingPathProperty() {
        return drawingPath;
    }

    public ObjectProperty<Speed> speedProperty() {
        return speed;
    }

    public ReadOnlyObjectProperty<Score> scoreProperty() {
        return score.getReadOnlyProperty();
    }

    /** Returns whether pixels go by faster than anybody could read their workings. */
    public boolean isRushing() {
        return playing.get() && speed.get() == Speed.FAST;
    }

    /** What is in the image when the mistake is made; null while that is not shown. */
    public ReadOnlyObjectProperty<Described> mistakeProperty() {
        return mistake.getReadOnlyProperty();
    }

    /** Returns how many values differ from the right result in the end, while the mistake is shown. */
    public Optional<Integer> differing() {
        return mistake.get() == null ? Optional.empty() : Optional.of(differing);
    }

    /** Returns the size of what is walked over; empty where nothing is calculated. */
    private Optional<Image> result() {
        Shown shown = bench.shown();
        return shown == null || shown.operation().isEmpty() ? Optional.empty()
                : shown.after().map(Described::image);
    }

    /** Returns whether there is something to walk over. */
    public boolean isPossible() {
        return result().isPresent();
    }

    /** Returns the mistake that can be made in the loops of the step; empty where none is known. */
    public Optional<Mistake.Kind> mistakeKind() {
        Shown shown = bench.shown();
        return shown == null || isWhole() ? Optional.empty() : shown.operation().flatMap(Mistake.Kind::of);
    }

    /** Returns the mistake that is shown, with its working. */
    public Optional<? extends Mistake> made() {
        return made;
    }

    /** Begins a walk, or leaves it. */
    public void toggle() {
        if (isOn()) {
            leave();
        } else {
            result().ifPresent(image -> begin(Visits.of(ScanOrder.ROWS, image.rows(), image.columns())));
        }
    }

    /** Everything is shown again. */
    public void leave() {
        playing.set(false);
        mistaken.set(false);
        guessing.set(false);
        drawingPath.set(false);
        walk.set(null);
    }

    /** Begins again in another order. */
    public void begin(Visits visits) {
        playing.set(false);
        score.set(Score.NONE);
        set(Walk.start(visits));
        findMistake();
    }

    /** Begins again row by row or column by column. */
    public void begin(ScanOrder order) {
        begin(Visits.of(order, walk().visits().rows(), walk().visits().columns()));
    }

    /** Begins again along a path of the user's own. */
    public void begin(List<Pixel> path) {
        drawingPath.set(false);
        begin(Visits.along(path, walk().visits().rows(), walk().visits().columns()));
    }

    private void set(Walk next) {
        walk.set(next);
        bench.pick(next.current());
    }

    private void change(UnaryOperator<Walk> change) {
        if (isOn()) {
            Walk next = change.apply(walk());
            set(guessing.get() ? beforeNext(next) : next);
        }
    }

    /** While guessing, the walk is before the next value, not behind the last. */
    private static Walk beforeNext(Walk walk) {
        return walk.isWritten() ? walk.next() : new Walk(walk.visits(), walk.place(), 0);
    }

    /** Writes one value more. */
    public void forward() {
        change(Walk::forward);
    }

    /** Takes the last value away. */
    public void back() {
        change(Walk::back);
    }

    /** Goes on to the next row or column. */
    public void nextLine() {
        change(Walk::toNextLine);
    }

    public void toStart() {
        playing.set(false);
        change(old -> Walk.start(old.visits()));
    }

    public void toEnd() {
        playing.set(false);
        change(old -> old.at(old.visits().count()));
    }

    /** Writes so many pixels. */
    public void to(int written) {
        change(old -> old.at(written));
    }

    /** Writes everything up to a pixel. */
    public void to(Pixel pixel) {
        if (isOn() && pixel.row() < walk().visits().rows() && pixel.column() < walk().visits().columns()) {
            change(old -> old.to(pixel));
        }
    }

    /** Does one line of the loop; in the terms of a window one sees the sum grow. */
    public void oneMoment() {
        if (isOn()) {
            set(walk().oneMoment(code().map(found -> found.moments().size()).orElse(1)));
        }
    }

    /** Returns whether a value typed at a pixel is the guess that the walk waits for. */
    public boolean waitsFor(Pixel pixel) {
        return isOn() && guessing.get() && !walk().isWritten() && walk().current().equals(pixel);
    }

    /** The user has written a value for the current pixel: it is counted, and the walk goes on. */
    public void guessed(String text) {
        score.set(score.get().with(bench.hand().agrees(walk().current(), text)));
        Walk revealed = walk().at(walk().place() + 1);
        set(revealed.isAtEnd() ? revealed : revealed.next());
    }

    /** Returns whether the value of a pixel is seen. */
    public boolean isSeen(Pixel pixel) {
        return !isOn() || pixel.row() >= walk().visits().rows() || pixel.column() >= walk().visits().columns()
                || walk().isWritten(pixel);
    }

    /** Returns how the values are calculated now: as they should be, or with the mistake. */
    public Optional<Explained> explained() {
        Shown shown = bench.shown();
        return isOn() && mistaken.get() && made.isPresent() ? made.map(found -> found)
                : shown == null ? Optional.empty() : isWhole() ? whole(shown) : shown.operation().map(found -> found);
    }

    /** Whether pixels with color are walked over as all their channels together. */
    private boolean isWhole() {
        return bench.shown() != null && bench.shown().isInColor() && bench.looking().isWhole();
    }

    /** The same one as long as the same is shown, because its loops are kept for it. */
    private Optional<Explained> whole(Shown shown) {
        boolean isPacked = bench.looking().packedLoopsProperty().get();
        if (wholeOf != shown || isPacked != isWholePacked) {
            wholeOf = shown;
            isWholePacked = isPacked;
            whole = shown.wholePixel(isPacked).map(found -> found);
        }
        return whole;
    }

    /** Returns the loops with what is done for the picked pixel; empty where it has no value. */
    public Optional<PseudoCode> code() {
        Pixel pixel = bench.pickedProperty().get();
        Optional<Explained> explained = explained().filter(found -> found.contains(pixel));
        if (explained.isEmpty() || result().isEmpty()) {
            return Optional.empty();
        }
        Visits visits = isOn() ? walk().visits()
                : Visits.of(ScanOrder.ROWS, result().get().rows(), result().get().columns());
        if (code == null || codeOf != explained.get() || !code.pixel().equals(pixel)
                || !code.lines().get(0).text().equals(visits.heads().get(0))) {
            try {
                code = PseudoCode.of(explained.get(), visits, pixel);
                codeOf = explained.get();
            } catch (PixeronException noValue) {
                return Optional.empty();
            }
        }
        return Optional.of(code);
    }

    /** Returns how many lines of the loop are done for the picked pixel. */
    public int moment() {
        Pixel pixel = bench.pickedProperty().get();
        return isSeen(pixel) ? Walk.ALL : walk().current().equals(pixel) ? walk().moment() : 0;
    }

    /** A walk that was saved goes on when its result is there. */
    void await(Optional<SavedWalk> saved) {
        leave();
        awaited = saved.orElse(null);
    }

    private void follow(Shown shown) {
        code = null;
        Optional<Image> result = result();
        if (shown != null && awaited != null && result.isPresent()) {
            SavedWalk saved = awaited;
            awaited = null;
            resume(saved, result.get());
        } else if (isOn() && shown != null) {
            if (result.isEmpty()) {
                leave();
            } else {
                Visits visits = walk().visits().sized(result.get().rows(), result.get().columns());
                if (visits != walk().visits()) {
                    begin(visits);
                } else {
                    findMistake();
                }
            }
        }
    }

    private void resume(SavedWalk saved, Image image) {
        Visits visits = saved.order().map(order -> Visits.of(order, image.rows(), image.columns()))
                .orElseGet(() -> Visits.along(saved.path(), image.rows(), image.columns()));
        begin(visits);
        guessing.set(saved.isGuessing());
        to(saved.written());
        score.set(saved.score());
        mistaken.set(saved.isMistaken());
    }

    /** Returns what is kept of the walk in the project's file. */
    Optional<SavedWalk> saved() {
        return awaited != null ? Optional.of(awaited) : !isOn() ? Optional.empty() : Optional.of(new SavedWalk(
                walk().visits().order(), walk().visits().path(), walk().written(), guessing.get(), mistaken.get(),
                score.get()));
    }

    private void findMistake() {
        Shown shown = bench.shown();
        Optional<Mistake.Kind> kind = mistakeKind();
        if (!isOn() || !mistaken.get() || kind.isEmpty()) {
            background.cancel();
            made = Optional.empty();
            mistake.set(null);
            code = null;
            return;
        }
        Operation operation = shown.operation().orElseThrow();
        Visits visits = walk().visits();
        background.start(progress -> kind.get().made(operation, visits, progress).orElseThrow(), found -> {
            made = Optional.of(found);
            code = null;
            // Counted once: while one walks it is asked for at every pixel.
            differing = result().map(right -> Comparison.of(right, found.image()).differ()).orElse(0);
            mistake.set(Described.of(found.image()));
        }, problem -> mistaken.set(false));
    }
}

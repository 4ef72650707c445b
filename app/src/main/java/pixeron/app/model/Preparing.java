package pixeron.app.model;

import javafx.animation.PauseTransition;
import javafx.util.Duration;
import pixeron.byhand.slip.search.SlipFinder;

/** Works out in advance, while nobody does anything, what is asked as soon as somebody writes: which slips there are of the step that is shown. */
final class Preparing {

    /** A person who types or clicks is not kept waiting by this. */
    private static final Duration QUIET = Duration.millis(300);
    /** In larger images nobody writes all values, and what slips give would fill the memory. */
    private static final int MOST_CELLS = 1 << 12;

    private final Background aside = new Background();
    private final PauseTransition quiet = new PauseTransition(QUIET);

    /** Begins when nothing else was shown for a while. */
    void shown(Shown made) {
        quiet.setOnFinished(passed -> made.finder().filter(finder -> made.grid().count() <= MOST_CELLS).ifPresent(this::prepare));
        quiet.playFromStart();
    }

    private void prepare(SlipFinder finder) {
        aside.start(progress -> {
            finder.prepare(progress);
            return finder;
        }, prepared -> { }, problem -> { });
    }

    /** Something else is going to be worked out. */
    void stop() {
        quiet.stop();
        aside.cancel();
    }
}

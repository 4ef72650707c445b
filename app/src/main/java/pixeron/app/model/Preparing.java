package pixeron.app.model;

import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;
import pixeron.byhand.slip.search.SlipFinder;
import pixeron.step.Progress;

/** Calculates in advance, while nobody does anything, what is asked as soon as a user writes: which slips there are of the step that is shown. */
final class Preparing {

    /** A user who types or clicks is not kept waiting by this. */
    private static final long QUIET = TimeUnit.MILLISECONDS.toNanos(300);
    private static final long LOOK = TimeUnit.MILLISECONDS.toNanos(20);

    private final Background aside = new Background();

    /** Begins when nothing else was shown for a while. */
    void shown(Shown made) {
        made.finder().ifPresent(this::prepare);
    }

    private void prepare(SlipFinder finder) {
        aside.start(progress -> {
            waitUntilQuiet(progress);
            finder.prepare(progress);
            return finder;
        }, prepared -> { }, problem -> { });
    }

    private static void waitUntilQuiet(Progress progress) {
        long end = System.nanoTime() + QUIET;
        while (System.nanoTime() < end) {
            // Asked every now and then, for this ends it when something else is shown.
            progress.report(0);
            LockSupport.parkNanos(LOOK);
        }
    }

    /** Something else is going to be calculated. */
    void stop() {
        aside.cancel();
    }
}

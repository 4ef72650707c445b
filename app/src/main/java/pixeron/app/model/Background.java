package pixeron.app.model;

import java.util.concurrent.CancellationException;
import java.util.concurrent.Executor;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicLong;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.Consumer;
import java.util.function.Function;
import javafx.application.Platform;
import javafx.beans.property.ReadOnlyDoubleProperty;
import javafx.beans.property.ReadOnlyDoubleWrapper;
import pixeron.PixeronException;
import pixeron.step.Progress;

/**
 * Long work away from the window's thread, one piece at a time: a newer piece takes the place of an older one that is
 * not done yet.
 */
public final class Background {

    /** Nothing is under way. */
    public static final double IDLE = -1;

    /** How far a piece of work is. */
    private record Report(long number, double part) {
    }

    private final Executor worker;
    private final Executor window;
    private final AtomicLong newest = new AtomicLong();
    /** What was reported and the window has not shown yet; null when there is nothing. */
    private final AtomicReference<Report> reported = new AtomicReference<>();
    private final ReadOnlyDoubleWrapper progress = new ReadOnlyDoubleWrapper(IDLE);

    /** Work on a thread of its own, results on the window's. */
    public Background() {
        this(Executors.newSingleThreadExecutor(work -> {
            Thread thread = new Thread(work, "pixeron-background");
            thread.setDaemon(true);
            return thread;
        }), Platform::runLater);
    }

    /**
     * @param worker runs the work, one piece after the other
     * @param window runs what shows results
     */
    Background(Executor worker, Executor window) {
        this.worker = worker;
        this.window = window;
    }

    /** Returns the part of the present work that is done, 0–1, or {@link #IDLE}. */
    public ReadOnlyDoubleProperty progressProperty() {
        return progress.getReadOnlyProperty();
    }

    /**
     * Starts work in the background.
     *
     * @param work runs in the background
     * @param done gets the result on the window's thread, unless something newer was started or it was canceled
     * @param failed gets what the work threw, on the window's thread
     */
    public <T> void start(Function<Progress, T> work, Consumer<T> done, Consumer<RuntimeException> failed) {
        long number = newest.incrementAndGet();
        progress.set(0);
        worker.execute(() -> {
            try {
                T result = work.apply(part -> isWanted(number, part));
                finish(number, () -> done.accept(result));
            } catch (CancellationException noLongerWanted) {
                // Something newer runs, or the user canceled; both have set the progress.
            } catch (RuntimeException problem) {
                finish(number, () -> failed.accept(problem));
            } catch (OutOfMemoryError full) {
                finish(number, () -> failed.accept(PixeronException.because(full,
                        "There is not enough memory. Use a smaller image.")));
            } catch (Error broken) {
                // Such as a recursion too deep: the window goes on, and who shows trouble logs what is no message for people.
                finish(number, () -> failed.accept(new IllegalStateException(broken)));
            }
        });
    }

    /** What is under way is no longer wanted. */
    public void cancel() {
        newest.incrementAndGet();
        progress.set(IDLE);
    }

    private boolean isWanted(long number, double part) {
        boolean isNewest = number == newest.get();
        // While the window has not come to the last report, the newer one takes its place: many reports must not keep it busy.
        if (isNewest && reported.getAndSet(new Report(number, part)) == null) {
            window.execute(() -> {
                Report last = reported.getAndSet(null);
                if (last.number == newest.get() && progress.get() != IDLE) {
                    progress.set(last.part);
                }
            });
        }
        return isNewest;
    }

    private void finish(long number, Runnable ending) {
        window.execute(() -> {
            if (number == newest.get()) {
                progress.set(IDLE);
                ending.run();
            }
        });
    }
}

package pixeron.app.model;

import java.util.concurrent.CancellationException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.Consumer;
import java.util.function.Function;
import javafx.application.Platform;
import javafx.beans.property.ReadOnlyDoubleProperty;
import javafx.beans.property.ReadOnlyDoubleWrapper;
import pixeron.step.Progress;

/**
 * Long work away from the window's thread, one piece at a time: a newer piece takes the place of an older one that is
 * not done yet.
 */
public final class Background {

    /** Nothing is under way. */
    public static final double IDLE = -1;

    private final ExecutorService worker = Executors.newSingleThreadExecutor(work -> {
        Thread thread = new Thread(work, "pixeron-background");
        thread.setDaemon(true);
        return thread;
    });
    private final AtomicLong newest = new AtomicLong();
    private final ReadOnlyDoubleWrapper progress = new ReadOnlyDoubleWrapper(IDLE);

    /** @return the part of the present work that is done, 0 … 1, or {@link #IDLE} */
    public ReadOnlyDoubleProperty progressProperty() {
        return progress.getReadOnlyProperty();
    }

    /**
     * @param work runs in the background
     * @param done gets the result on the window's thread, unless something newer was started or it was cancelled
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
                // Something newer runs, or the person cancelled; both have set the progress.
            } catch (RuntimeException problem) {
                finish(number, () -> failed.accept(problem));
            } catch (OutOfMemoryError full) {
                finish(number, () -> failed.accept(pixeron.PixeronException.because(full,
                        "There is not enough memory for this; a smaller image would fit.")));
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
        if (isNewest) {
            Platform.runLater(() -> {
                if (number == newest.get() && progress.get() != IDLE) {
                    progress.set(part);
                }
            });
        }
        return isNewest;
    }

    private void finish(long number, Runnable ending) {
        Platform.runLater(() -> {
            if (number == newest.get()) {
                progress.set(IDLE);
                ending.run();
            }
        });
    }
}

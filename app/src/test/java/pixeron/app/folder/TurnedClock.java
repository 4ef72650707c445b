package pixeron.app.folder;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.concurrent.AbstractExecutorService;
import java.util.concurrent.Callable;
import java.util.concurrent.Delayed;
import java.util.concurrent.FutureTask;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.ScheduledFuture;
import java.util.concurrent.TimeUnit;

/** Does later what it is told, when the test turns its clock: nothing happens by itself. */
final class TurnedClock extends AbstractExecutorService implements ScheduledExecutorService {

    private long now;
    private final List<Task<?>> tasks = new ArrayList<>();

    private final class Task<T> extends FutureTask<T> implements ScheduledFuture<T> {

        private final long at;

        Task(Callable<T> work, long at) {
            super(work);
            this.at = at;
        }

        @Override
        public long getDelay(TimeUnit unit) {
            return unit.convert(at - now, TimeUnit.MILLISECONDS);
        }

        @Override
        public int compareTo(Delayed other) {
            return Long.compare(at, ((Task<?>) other).at);
        }
    }

    /** Turns the clock on; what is due by then is done, in order. */
    void turn(long milliseconds) {
        now += milliseconds;
        List<Task<?>> due = tasks.stream().filter(task -> task.at <= now).sorted(Comparator.naturalOrder()).toList();
        tasks.removeAll(due);
        due.forEach(Task::run);
    }

    @Override
    public <T> ScheduledFuture<T> schedule(Callable<T> work, long delay, TimeUnit unit) {
        Task<T> task = new Task<>(work, now + unit.toMillis(delay));
        tasks.add(task);
        return task;
    }

    @Override
    public ScheduledFuture<?> schedule(Runnable work, long delay, TimeUnit unit) {
        return schedule(() -> {
            work.run();
            return null;
        }, delay, unit);
    }

    @Override
    public void execute(Runnable work) {
        work.run();
    }

    @Override
    public ScheduledFuture<?> scheduleAtFixedRate(Runnable work, long first, long period, TimeUnit unit) {
        throw new IllegalStateException("nobody asks for this");
    }

    @Override
    public ScheduledFuture<?> scheduleWithFixedDelay(Runnable work, long first, long delay, TimeUnit unit) {
        throw new IllegalStateException("nobody asks for this");
    }

    @Override
    public void shutdown() {
        tasks.clear();
    }

    @Override
    public List<Runnable> shutdownNow() {
        return List.of();
    }

    @Override
    public boolean isShutdown() {
        return false;
    }

    @Override
    public boolean isTerminated() {
        return false;
    }

    @Override
    public boolean awaitTermination(long timeout, TimeUnit unit) {
        return true;
    }
}

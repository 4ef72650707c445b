package pixeron.app;

import java.util.Arrays;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.Executors;
import java.util.concurrent.FutureTask;
import javafx.animation.AnimationTimer;
import javafx.application.Platform;
import javafx.stage.Window;
import pixeron.app.model.Bench;
import pixeron.app.model.Speed;
import pixeron.app.window.MainWindow;
import pixeron.step.catalog.StepLine;

/**
 * Frames of a walk in the program as it is started, with its archive of classes and its settings; {@code bench/walk} starts it so. Measurements
 * do the same in the virtual machine of the tests.
 */
public final class StartedWalk {

    private static final int FRAMES = 120;
    /** The first frames of a walk, before it goes by itself. */
    private static final int BEFORE = 5;
    private static final int PAUSE = 1500;
    private static final int ASK_EVERY = 50;

    private static final long START = System.nanoTime();

    private StartedWalk() {
    }

    /** @param words those of the program: an image that is opened */
    public static void main(String... words) {
        Thread measuring = new Thread(() -> {
            try {
                measure();
                System.exit(0);
            } catch (Exception problem) {
                problem.printStackTrace();
                System.exit(1);
            }
        });
        measuring.setDaemon(true);
        measuring.start();
        Main.main(words);
    }

    private static void measure() throws Exception {
        Optional<Bench> opened = Optional.empty();
        while (opened.isEmpty()) {
            Thread.sleep(ASK_EVERY);
            opened = opened();
        }
        Bench bench = opened.get();
        Thread.sleep(PAUSE);
        inWindow(() -> bench.addStep(StepLine.parse("kernel weights=\"1 2 1 | 2 4 2 | 1 2 1\"")));
        Thread.sleep(PAUSE);
        inWindow(bench.walking()::toggle);
        Thread.sleep(PAUSE);
        for (int round = 0; round < 2; round++) {
            for (Speed speed : Speed.values()) {
                double since = (System.nanoTime() - START) / 1e9;
                long[] frames = frames(bench, speed);
                System.out.printf("from %4.1f s on, %-7s median %.1f ms   95th percentile %.1f ms   longest %.1f ms%n", since, speed.title(), frames[FRAMES / 2] / 1e6,
                        frames[FRAMES * 95 / 100] / 1e6, frames[FRAMES - 1] / 1e6);
            }
        }
        inWindow(bench.past()::giveUpUnsaved);
    }

    /** From the beginning of one frame to that of the next, the shortest first. */
    private static long[] frames(Bench bench, Speed speed) throws Exception {
        long[] times = new long[FRAMES];
        CountDownLatch done = new CountDownLatch(1);
        inWindow(() -> {
            bench.walking().speedProperty().set(speed);
            play(bench);
            new AnimationTimer() {
                private int n = -BEFORE;
                private long last;

                @Override
                public void handle(long now) {
                    if (n >= 0) {
                        times[n] = now - last;
                    }
                    last = now;
                    if (++n == FRAMES) {
                        stop();
                        done.countDown();
                    } else if (!bench.walking().playingProperty().get()) {
                        play(bench);
                    }
                }
            }.start();
        });
        done.await();
        Arrays.sort(times);
        return times;
    }

    private static void play(Bench bench) {
        bench.walking().toStart();
        bench.walking().playingProperty().set(true);
    }

    private static Optional<Bench> opened() throws Exception {
        try {
            return asked(() -> Window.getWindows().stream().filter(window -> window.getScene() != null).map(window -> window.getScene().getRoot())
                    .filter(MainWindow.class::isInstance).map(root -> ((MainWindow) root).bench()).filter(Bench::isOpen).findFirst());
        } catch (IllegalStateException notStartedYet) {
            return Optional.empty();
        }
    }

    private static void inWindow(Runnable work) throws Exception {
        asked(Executors.callable(work));
    }

    private static <T> T asked(Callable<T> work) throws Exception {
        FutureTask<T> task = new FutureTask<>(work);
        Platform.runLater(task);
        return task.get();
    }
}

package pixeron.step.neighborhood;

import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.IntStream;
import pixeron.step.Progress;

/** The rows of a result in stripes on all cores. */
final class Stripes {

    private static final int STRIPES_PER_CORE = 4;
    /** Fewer rows than this cost more to prepare, with the window's rows around them, than a second core saves. */
    private static final int FEWEST_ROWS = 16;

    /** So often it is asked whether the result is still wanted. */
    private static final int REPORTS = 200;

    private Stripes() {
    }

    /** What is done with a stripe. */
    @FunctionalInterface
    interface Work {
        /** @param rowDone to be run after every row */
        void take(int firstRow, int rows, Runnable rowDone);
    }

    /** @param isLarge whether a second core is worth it */
    static void each(int rows, boolean isLarge, Progress progress, Work work) {
        int height = Math.max(FEWEST_ROWS, rows / (STRIPES_PER_CORE * Runtime.getRuntime().availableProcessors()));
        int every = Math.max(1, rows / REPORTS);
        AtomicInteger done = new AtomicInteger();
        IntStream stripes = IntStream.range(0, (rows + height - 1) / height);
        (isLarge ? stripes.parallel() : stripes).forEach(stripe -> {
            int first = stripe * height;
            int count = Math.min(height, rows - first);
            work.take(first, count, () -> {
                int all = done.incrementAndGet();
                if (all % every == 0 || all == rows) {
                    synchronized (progress) {
                        progress.report((double) all / rows);
                    }
                }
            });
        });
    }
}

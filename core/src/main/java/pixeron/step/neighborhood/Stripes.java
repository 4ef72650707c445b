package pixeron.step.neighborhood;

import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.IntStream;
import pixeron.step.Progress;

/** The rows of a result in stripes on all cores. */
final class Stripes {

    private static final int STRIPES_PER_CORE = 4;
    /** Fewer rows than this cost more to prepare, with the window's rows around them, than a second core saves. */
    private static final int FEWEST_ROWS = 16;

    private Stripes() {
    }

    /** What is done with a stripe. */
    @FunctionalInterface
    interface Work {
        void take(int firstRow, int rows);
    }

    /** @param isLarge whether a second core is worth it */
    static void each(int rows, boolean isLarge, Progress progress, Work work) {
        int height = Math.max(FEWEST_ROWS, rows / (STRIPES_PER_CORE * Runtime.getRuntime().availableProcessors()));
        AtomicInteger done = new AtomicInteger();
        IntStream stripes = IntStream.range(0, (rows + height - 1) / height);
        (isLarge ? stripes.parallel() : stripes).forEach(stripe -> {
            int first = stripe * height;
            int count = Math.min(height, rows - first);
            work.take(first, count);
            synchronized (progress) {
                progress.report((double) done.addAndGet(count) / rows);
            }
        });
    }
}

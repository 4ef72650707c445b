package pixeron.step;

import java.util.concurrent.CancellationException;
import java.util.concurrent.TimeUnit;

/** How far a long calculation is, and whether it is still wanted. */
@FunctionalInterface
public interface Progress {

    /** Nobody watches and nobody cancels. */
    Progress NONE = done -> true;

    /** Returns nobody watches, and after so many seconds from now nobody wants it any more. */
    static Progress within(int seconds) {
        long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(seconds);
        return done -> System.nanoTime() - end < 0;
    }

    /**
     * Returns false when the result is no longer wanted.
     *
     * @param done the part that is done, 0–1
     */
    boolean isWanted(double done);

    /**
     * Reports progress.
     *
     * @param done the part that is done, 0–1
     * @throws CancellationException when the result is no longer wanted
     */
    default void report(double done) {
        if (!isWanted(done)) {
            throw new CancellationException();
        }
    }
}

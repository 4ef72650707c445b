package pixeron.program;

import java.util.function.LongSupplier;

/**
 * How much one run of a program may take before it is stopped.
 *
 * @param seconds from its start to its end, at least 1
 * @param printed bytes on its standard output and standard error together
 * @param written bytes of all files in its folder
 * @param clock in nanoseconds; {@link System#nanoTime} except where a test sets the time
 */
public record ProgramLimits(int seconds, long printed, long written, LongSupplier clock) {

    private static final long MOST_PRINTED = 1L << 24;
    private static final long MOST_WRITTEN = 1L << 26;

    /**
     * Returns the usual limits: 16 MiB printed and 64 MiB written.
     *
     * @param seconds that one run may take, at least 1
     */
    public static ProgramLimits ofSeconds(int seconds) {
        return new ProgramLimits(seconds, MOST_PRINTED, MOST_WRITTEN, System::nanoTime);
    }
}

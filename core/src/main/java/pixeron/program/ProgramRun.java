package pixeron.program;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import java.util.concurrent.TimeUnit;
import java.util.stream.Collectors;
import pixeron.Harmless;
import pixeron.PixeronException;
import pixeron.step.Progress;

/**
 * One run of a program: in a folder of its own, for a bounded time, with bounded output.
 *
 * @param problem why there is no result, in one sentence; empty where the program ended well
 * @param said the text it printed, at most {@link #MOST_SAID} bytes
 */
record ProgramRun(Optional<String> problem, String said) {

    static final int MOST_SAID = 1 << 16;
    private static final String TAB = "    ";

    private static final long MILLIS = 1000;
    private static final int LOOK_EVERY = 20;

    /**
     * @param words the program and what it is given
     * @param folder that it runs in
     * @param printed the file that gets its standard output, for a program that prints its result; empty where it writes a file itself
     * @param limits of time and output
     * @throws PixeronException if there is no such program
     * @throws java.util.concurrent.CancellationException when progress says it is no longer wanted
     */
    static ProgramRun of(List<String> words, Path folder, Optional<Path> printed, ProgramLimits limits, Progress progress) {
        long start = limits.clock().getAsLong();
        Process process;
        Descent descent = new Descent();
        try {
            ProcessBuilder builder = new ProcessBuilder(words).directory(folder.toFile()).redirectErrorStream(printed.isEmpty());
            printed.ifPresent(file -> builder.redirectOutput(file.toFile()));
            descent.prepare(builder.environment());
            process = builder.start();
            descent.started(process);
            process.getOutputStream().close();
        } catch (IOException notStarted) {
            throw PixeronException.because(notStarted, "Cannot start \"%s\". Check the name and the installation.", words.get(0));
        }
        Said said = new Said(printed.isPresent() ? process.getErrorStream() : process.getInputStream(), limits.printed());
        Thread listener = new Thread(said, "output of a program");
        listener.setDaemon(true);
        listener.start();
        try {
            Optional<String> stopped = watch(descent, folder, start, limits, said, progress);
            listener.join(MILLIS);
            Optional<String> failed = stopped.isPresent() || process.exitValue() == 0 ? stopped
                    : Optional.of("The program failed with exit code " + process.exitValue() + said.lastLine());
            return new ProgramRun(failed, printed.map(file -> beginning(file) + said.text()).orElseGet(said::text));
        } catch (InterruptedException wantedElsewhere) {
            Thread.currentThread().interrupt();
            throw new CancellationException();
        } finally {
            descent.kill();
        }
    }

    /** As much of the printed text as is kept, with a line end after it. */
    private static String beginning(Path file) {
        try (InputStream in = Files.newInputStream(file)) {
            String text = harmless(in.readNBytes(MOST_SAID));
            return text.isEmpty() ? "" : text + "\n";
        } catch (IOException gone) {
            return "";
        }
    }

    private static String harmless(byte[] bytes) {
        return new String(bytes, StandardCharsets.UTF_8).lines().map(line -> Harmless.line(line.replace("\t", TAB))).collect(Collectors.joining("\n"));
    }

    private static Optional<String> watch(Descent descent, Path folder, long start, ProgramLimits limits, Said said, Progress progress)
            throws InterruptedException {
        Process process = descent.process();
        while (!process.waitFor(LOOK_EVERY, TimeUnit.MILLISECONDS)) {
            progress.report(0);
            boolean isFlooding = said.isTooMuch() || ProgramFolder.written(folder) > limits.written();
            if (isFlooding || limits.clock().getAsLong() - start > TimeUnit.SECONDS.toNanos(limits.seconds())) {
                descent.kill();
                process.waitFor();
                return Optional.of(isFlooding ? "The program wrote too much and was stopped" + said.lastLine() : "The program did not end within "
                        + limits.seconds() + (limits.seconds() == 1 ? " second" : " seconds") + " and was stopped" + said.lastLine());
            }
        }
        return said.isTooMuch() ? Optional.of("The program prints too much.") : Optional.empty();
    }

    /** What a program prints. */
    private static final class Said implements Runnable {

        private final InputStream in;
        /** So much is subtracted from a program that prints, so that it goes on; more is without end. */
        private final long mostTaken;
        private final byte[] kept = new byte[MOST_SAID];
        private volatile int length;
        private volatile long taken;

        Said(InputStream in, long mostTaken) {
            this.in = in;
            this.mostTaken = mostTaken;
        }

        @Override
        public void run() {
            byte[] some = new byte[1 << 13];
            try {
                for (int count = in.read(some); count >= 0 && !isTooMuch(); count = in.read(some)) {
                    int fits = Math.min(count, kept.length - length);
                    System.arraycopy(some, 0, kept, length, fits);
                    length += fits;
                    taken += count;
                }
            } catch (IOException ended) {
                // The program is gone; the text it printed until then is kept.
            }
        }

        boolean isTooMuch() {
            return taken > mostTaken;
        }

        /** Returns what was printed; a line too long to be read is cut in its middle. */
        String text() {
            return harmless(Arrays.copyOf(kept, length));
        }

        /** Returns ": " and the last line that is not blank, where error messages usually stand; else a full stop. */
        String lastLine() {
            List<String> lines = text().lines().filter(line -> !line.isBlank()).toList();
            return lines.isEmpty() ? "." : ": " + lines.get(lines.size() - 1).strip();
        }
    }
}

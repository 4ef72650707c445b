package pixeron.program;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.LongSupplier;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledOnOs;
import org.junit.jupiter.api.condition.OS;
import org.junit.jupiter.api.io.TempDir;
import pixeron.Harmless;
import pixeron.step.Progress;

/** Limits of one run, with limits and a clock that the test sets: nothing depends on how fast the machine is. */
class ProgramRunTest {

    private static final LongSupplier STANDING = () -> 0;
    private static final long ANY = 1L << 40;

    @TempDir
    private Path folder;

    private ProgramRun run(String body, ProgramLimits limits) throws IOException {
        Path file = Files.writeString(folder.resolve("Mine.java"), "class Mine { public static void main(String[] a) throws Exception { "
                + body + " } }");
        return ProgramRun.of(List.of(Path.of(System.getProperty("java.home"), "bin", "java").toString(), "-XX:TieredStopAtLevel=1",
                file.toString()), folder, Optional.empty(), limits, Progress.NONE);
    }

    @Test
    void aProgramThatPrintsMoreThanItsLimitIsStopped() throws IOException {
        ProgramRun run = run("while (true) { System.out.println(\"ink ink ink ink\"); }", new ProgramLimits(1, 4096, ANY, STANDING));
        assertThat(run.problem()).hasValueSatisfying(problem -> assertThat(problem).startsWith("The program wrote too much and was stopped: ink"));
        assertThat(run.said()).startsWith("ink ink ink ink\n").hasSizeLessThanOrEqualTo(ProgramRun.MOST_SAID);
    }

    /** A program that ends at once but has printed too much is told so as well, whichever is noticed first. */
    @Test
    void endingDoesNotExcuseAFlood() throws IOException {
        ProgramRun run = run("System.out.print(\"x\".repeat(40_000));", new ProgramLimits(1, 4096, ANY, STANDING));
        assertThat(run.problem()).hasValueSatisfying(problem -> assertThat(problem).containsAnyOf("prints too much", "wrote too much")
                .hasSizeLessThan(400));
        assertThat(run.said().lines()).allMatch(line -> line.length() <= Harmless.LONGEST_LINE);
    }

    @Test
    void aProgramThatFillsItsFolderIsStopped() throws IOException {
        ProgramRun run = run("while (true) { java.nio.file.Files.writeString(java.nio.file.Path.of(\"out.csv\"), \"1,2,3,4\\n\", "
                + "java.nio.file.StandardOpenOption.CREATE, java.nio.file.StandardOpenOption.APPEND); }", new ProgramLimits(1, ANY, 4096, STANDING));
        assertThat(run.problem()).contains("The program wrote too much and was stopped.");
    }

    /** Each look at the clock finds it a second later. */
    @Test
    void aProgramThatDoesNotEndIsStoppedWhenItsTimeIsUp() throws IOException {
        AtomicLong seconds = new AtomicLong();
        ProgramRun run = run("while (true) { Thread.onSpinWait(); }", new ProgramLimits(3, ANY, ANY, () -> TimeUnit.SECONDS.toNanos(seconds.getAndIncrement())));
        assertThat(run.problem()).contains("The program did not end within 3 seconds and was stopped.");
        // At its start, then at 1, 2, 3 and 4 seconds: only the last is too late.
        assertThat(seconds).hasValue(5);
    }

    /** A result that is printed goes into a file; errors stay text. */
    @Test
    void printedResultsAndErrorsAreApart() throws IOException {
        Path out = folder.resolve("out.csv");
        ProgramRun run = ProgramRun.of(List.of(Path.of(System.getProperty("java.home"), "bin", "java").toString(), "-XX:TieredStopAtLevel=1",
                Files.writeString(folder.resolve("Mine.java"), "class Mine { public static void main(String[] a) { System.out.println(\"[[1, 2]]\"); System.err.println(\"done\"); } }").toString()),
                folder, Optional.of(out), new ProgramLimits(60, ANY, ANY, STANDING), Progress.NONE);
        assertThat(run.problem()).isEmpty();
        assertThat(Files.readString(out).strip()).isEqualTo("[[1, 2]]");
        assertThat(run.said()).isEqualTo("[[1, 2]]\ndone");
    }

    /** A child in a session of its own is nobody's descendant any more when its parent has ended. */
    @Test
    @EnabledOnOs(OS.LINUX)
    void whatAProgramLeavesInTheBackgroundEndsWithIt() throws IOException {
        String script = "setsid sleep 86397 >/dev/null 2>&1 & (sleep 86398 >/dev/null 2>&1 &) ; echo started";
        ProgramRun run = ProgramRun.of(List.of("sh", "-c", script), folder, Optional.empty(), new ProgramLimits(60, ANY, ANY, STANDING), Progress.NONE);
        assertThat(run.problem()).isEmpty();
        assertThat(run.said()).isEqualTo("started");
        assertThat(ProcessHandle.allProcesses().filter(ProcessHandle::isAlive).map(handle -> handle.info().commandLine().orElse(""))
                .filter(line -> line.matches("sleep 8639[78]"))).isEmpty();
    }

    /** What else a user has in their environment, keys and passwords among it, is not a program's. */
    @Test
    @EnabledOnOs({OS.LINUX, OS.MAC})
    void itsEnvironmentHoldsOnlyWhatItNeeds() throws IOException {
        ProgramRun run = ProgramRun.of(List.of("env"), folder, Optional.empty(), new ProgramLimits(60, ANY, ANY, STANDING), Progress.NONE);
        assertThat(run.said().lines().map(line -> line.replaceFirst("=.*", ""))).contains("PATH").allMatch(name -> name.matches(
                "PATH|HOME|USER|LOGNAME|LANG|LANGUAGE|LC_.*|TZ|TMPDIR|TMP|TEMP|JAVA_HOME|PYTHON(PATH|HOME)|PYENV_.*|VIRTUAL_ENV|CONDA_PREFIX|(DY)?LD_LIBRARY_PATH|PIXERON_RUN|__CF.*"));
    }

    /** A folder without rights costs a program nothing, and nothing of it stays. */
    @Test
    @EnabledOnOs({OS.LINUX, OS.MAC})
    void aFolderThatItClosedIsRemoved() throws IOException {
        Path own = Files.createDirectory(folder.resolve("own"));
        ProgramRun run = ProgramRun.of(List.of("sh", "-c", "mkdir -p closed/deep; echo 1 > closed/deep/file; chmod 000 closed; echo 1 > out.csv"), own, Optional.empty(),
                new ProgramLimits(60, ANY, ANY, STANDING), Progress.NONE);
        assertThat(run.problem()).isEmpty();
        assertThat(ProgramFolder.written(own)).isPositive();
        ProgramFolder.delete(own);
        assertThat(own).doesNotExist();
    }

    @Test
    void timeThatStandsStillStopsNothing() throws IOException {
        ProgramRun run = run("System.out.println(\"inked\");", new ProgramLimits(1, ANY, ANY, STANDING));
        assertThat(run.problem()).isEmpty();
        assertThat(run.said()).isEqualToIgnoringNewLines("inked");
    }
}

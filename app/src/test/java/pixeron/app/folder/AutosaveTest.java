package pixeron.app.folder;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Assumptions;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import pixeron.image.Pixel;
import pixeron.project.ProjectFile;
import pixeron.project.SavedProject;
import pixeron.project.demo.DemoCases;

/** A user types a value every 300 ms and never pauses; the clock is the test's own. */
class AutosaveTest {

    private static final Duration DELAY = Duration.ofSeconds(2);

    @TempDir
    private Path folder;
    private final TurnedClock clock = new TurnedClock();
    private Autosave autosave;

    @BeforeEach
    void begin() {
        autosave = new Autosave(new UserFolder(folder), DELAY, clock);
    }

    private static SavedProject work(int values) {
        SavedProject demo = DemoCases.all().get(0).saved();
        return new SavedProject(demo.project().withSheet(0, sheet -> {
            var filled = pixeron.byhand.HandSheet.EMPTY;
            for (int n = 0; n < values; n++) {
                filled = filled.with(new Pixel(n / 8, n % 8), "1");
            }
            return filled;
        }), demo.view());
    }

    /** Returns how many values would be found again after a crash now. */
    private int kept() {
        try (Stream<Path> files = Files.walk(folder)) {
            Optional<Path> file = files.filter(path -> path.toString().endsWith(ProjectFile.ENDING)).findFirst();
            return file.map(path -> ProjectFile.read(path).project().sheet(0).cells().size()).orElse(0);
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }

    @Test
    void whoeverNeverPausesLosesNoMoreThanTwoSeconds() {
        for (int value = 1; value <= 60; value++) {
            autosave.keep(work(value));
            clock.turn(300);
            // Seven values take 2.1 s; all that are older than that are kept.
            assertThat(kept()).as("after %d values", value).isGreaterThanOrEqualTo(value - 7);
        }
    }

    @Test
    void oneChangeIsWrittenTwoSecondsLaterAndNotBefore() {
        autosave.keep(work(3));
        clock.turn(1900);
        assertThat(kept()).isZero();
        clock.turn(100);
        assertThat(kept()).isEqualTo(3);
    }

    @Test
    void whatIsSavedMeanwhileIsNotWrittenAnyMore() {
        autosave.keep(work(3));
        autosave.clear();
        clock.turn(5000);
        assertThat(kept()).isZero();
        autosave.keep(work(4));
        clock.turn(2000);
        assertThat(kept()).isEqualTo(4);
        autosave.clear();
        assertThat(kept()).isZero();
    }

    /** Where the folder should be is a file: nothing can be kept. The user is told once, and again when it went well between. */
    @Test
    void whatCannotBeKeptIsSaidOnce() throws IOException {
        Path place = Files.writeString(folder.resolve("autosave"), "in the way");
        List<String> told = new ArrayList<>();
        autosave.setTrouble(told::add);
        keepFor(3);
        assertThat(told).singleElement().asString().contains("for your settings and autosaved work cannot be created").doesNotContain("Exception");
        Files.delete(place);
        keepFor(1);
        assertThat(kept()).isEqualTo(1);
        Files.walk(place).sorted(Comparator.reverseOrder()).forEach(file -> file.toFile().delete());
        Files.writeString(place, "in the way again");
        keepFor(2);
        assertThat(told).hasSize(2);
    }

    private void keepFor(int times) {
        for (int n = 1; n <= times; n++) {
            autosave.keep(work(n));
            clock.turn(DELAY.toMillis());
        }
    }

    /** Recovered work is in a file at every moment: in the one that was left behind, then in this run's own. */
    @Test
    void recoveredWorkIsNeverWithoutAFile() {
        Path left = folder.resolve("autosave").resolve("999999999-1" + ProjectFile.ENDING);
        left.getParent().toFile().mkdirs();
        ProjectFile.write(left, work(5));
        autosave.keep(work(5));
        autosave.adopt(left);
        assertThat(kept()).isEqualTo(5);
        assertThat(left).doesNotExist();
        assertThat(autosave.leftBehind()).isEmpty();
        clock.turn(DELAY.toMillis());
        assertThat(kept()).isEqualTo(5);
        autosave.clear();
        assertThat(kept()).isZero();
    }

    /** Nobody else on the machine reads what a user works on. */
    @Test
    void whatIsMadeHereIsForItsOwnerAlone() throws IOException {
        Assumptions.assumeTrue(folder.getFileSystem().supportedFileAttributeViews().contains("posix"));
        UserFolder own = new UserFolder(folder.resolve("data"));
        Path file = own.path("autosave/work" + ProjectFile.ENDING);
        ProjectFile.write(file, work(1));
        assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(folder.resolve("data")))).isEqualTo("rwx------");
        assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(file))).isEqualTo("rw-------");
        // Somewhere else what is saved again is for the same people as before.
        Path shared = folder.resolve("shared" + ProjectFile.ENDING);
        ProjectFile.write(shared, work(1));
        Files.setPosixFilePermissions(shared, PosixFilePermissions.fromString("rw-r-----"));
        ProjectFile.write(shared, work(2));
        assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(shared))).isEqualTo("rw-r-----");
    }

    @Test
    void whatStoppedRunsLeftUnfinishedIsRemoved() throws IOException {
        Path all = Files.createDirectories(folder.resolve("autosave"));
        String stopped = "999999999-1" + ProjectFile.ENDING;
        String name = ".%s.123e4567-e89b-12d3-a456-426614174000.part";
        Path half = Files.writeString(all.resolve(String.format(name, stopped)), "{");
        String mine = ProcessHandle.current().pid() + "-" + ProcessHandle.current().info().startInstant().orElseThrow().getEpochSecond()
                + ProjectFile.ENDING;
        Path writing = Files.writeString(all.resolve(String.format(name, mine)), "{");
        Path whole = Files.writeString(all.resolve(stopped), "{}");
        assertThat(autosave.leftBehind()).containsExactly(whole);
        assertThat(half).doesNotExist();
        assertThat(writing).exists();
    }
}

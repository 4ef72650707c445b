package pixeron.project;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import pixeron.PixeronException;
import pixeron.byhand.Check;
import pixeron.chain.Outcome;
import pixeron.chain.Stage;
import pixeron.exercise.Exercise;
import pixeron.exercise.Variants;
import pixeron.exercise.file.ExerciseFile;
import pixeron.exercise.library.Library;
import pixeron.exercise.library.Size;
import pixeron.format.ImageFiles;
import pixeron.format.ReadOptions;
import pixeron.image.Image;
import pixeron.step.Operation;
import pixeron.step.Progress;

/** Files that earlier versions wrote, with the results that they gave then: whatever is changed, these stay readable and stay right. */
class StoredProjectsTest {

    private static final Path STORED = Path.of("src/test/resources/project");

    @ParameterizedTest
    @CsvSource({"three-bit-sort-1, 1, 40, 8", "speckled-proof-1, 1, 60, 49", "two-pulls-2, 1, 64, 19"})
    void givesTheResultsOfThen(String name, int step, int filled, int differing) {
        SavedProject saved = ProjectFile.read(STORED.resolve(name + ProjectFile.ENDING));
        int compared = 0;
        for (Stage stage : saved.project().chain().stages()) {
            Path then = STORED.resolve(name + "-step-" + (stage.position() + 1) + ".csv");
            if (Files.exists(then)) {
                Image now = ((Outcome.Done) stage.after(Progress.NONE)).image();
                ReadOptions options = ReadOptions.DEFAULT.withMaximum(now.maximumLevel());
                assertThat(now).as(then.toString()).isEqualTo(ImageFiles.read(then, options).image());
                compared++;
            }
        }
        assertThat(compared).isGreaterThan(1);
        Operation operation = saved.project().chain().stage(step - 1).operation(Progress.NONE).orElseThrow();
        Check check = Check.of(saved.project().sheet(step - 1), operation);
        assertThat(List.of(check.filled(), check.differing().size())).containsExactly(filled, differing);
    }

    @ParameterizedTest
    @ValueSource(strings = {"three-bit-sort-1", "speckled-proof-1", "colour-proof-1", "two-pulls-2", "colour-proof-2"})
    void writtenAgainItIsTheSameWork(String name, @TempDir Path folder) {
        SavedProject saved = ProjectFile.read(STORED.resolve(name + ProjectFile.ENDING));
        Path again = folder.resolve("again" + ProjectFile.ENDING);
        ProjectFile.write(again, saved);
        SavedProject read = ProjectFile.read(again);
        assertThat(read.view()).isEqualTo(saved.view());
        assertThat(read.project().chain().links()).isEqualTo(saved.project().chain().links());
        assertThat(read.project().chain().input()).isEqualTo(saved.project().chain().input());
        assertThat(read.project().images()).isEqualTo(saved.project().images());
        assertThat(read.project().present().byHand()).isEqualTo(saved.project().present().byHand());
    }

    /** Steps had other names then: they give the same results, and are written with their names of today. */
    @ParameterizedTest
    @CsvSource({"banded-proof-1, 2, sine-noise, periodic-noise", "dusty-strip-1, 3, rank-keep, low-rank", "two-pulls-2, 3, move, translate"})
    void earlierNamesGiveTheResultsOfThen(String name, int tables, String then, String today, @TempDir Path folder) throws IOException {
        assertThat(STORED.resolve(name + ProjectFile.ENDING)).content().contains("\"" + then + " ").doesNotContain(today);
        SavedProject saved = ProjectFile.read(STORED.resolve(name + ProjectFile.ENDING));
        int compared = 0;
        for (Stage stage : saved.project().chain().stages()) {
            Path table = STORED.resolve(name + "-step-" + (stage.position() + 1) + ".csv");
            if (Files.exists(table)) {
                Image now = ((Outcome.Done) stage.after(Progress.NONE)).image();
                assertThat(now).as(table.toString()).isEqualTo(ImageFiles.read(table, ReadOptions.DEFAULT.withMaximum(now.maximumLevel())).image());
                compared++;
            }
        }
        assertThat(compared).isEqualTo(tables);
        Path again = folder.resolve("again" + ProjectFile.ENDING);
        ProjectFile.write(again, saved);
        assertThat(again).content().contains(today).doesNotContain("\"" + then + " ").doesNotContain("border=repeat");
    }

    /** An exercise keeps its text, since its code depends on it; its steps are those of today. */
    @ParameterizedTest
    @ValueSource(strings = {"wave", "two-pulls", "strongest-pattern"})
    void anExerciseOfThenIsThatOfToday(String id) {
        Exercise then = ExerciseFile.read(Path.of("src/test/resources/exercise", id + "-1" + ExerciseFile.ENDING));
        Exercise today = Library.topic(id).orElseThrow().exercise(Size.SMALL);
        assertThat(lines(then)).isEqualTo(lines(today)).isNotEmpty();
        assertThat(then.asked()).isEqualTo(today.asked());
    }

    private static List<String> lines(Exercise exercise) {
        return new Variants(exercise).variant(1).chain().stages().stream().map(stage -> stage.link().step().line()).toList();
    }

    @Test
    void aNewerOneIsRefusedInOneLine(@TempDir Path folder) throws IOException {
        String text = Files.readString(STORED.resolve("two-pulls-2" + ProjectFile.ENDING));
        Path newer = folder.resolve("newer" + ProjectFile.ENDING);
        Files.writeString(newer, text.replace("\"pixeron\" : 2", "\"pixeron\" : 4"));
        assertThatThrownBy(() -> ProjectFile.read(newer)).isInstanceOf(PixeronException.class)
                .hasMessage("newer.pixeron.json: The project was written by a newer Pixeron (file version 4). This Pixeron reads version 3.");
    }
}

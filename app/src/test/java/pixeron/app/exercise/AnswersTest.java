package pixeron.app.exercise;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.CancellationException;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import pixeron.exercise.Exercise;
import pixeron.exercise.Variant;
import pixeron.exercise.Variants;
import pixeron.exercise.answer.AnswerBook;
import pixeron.exercise.answer.AnswerTable;
import pixeron.exercise.answer.Simulated;
import pixeron.exercise.library.Library;
import pixeron.exercise.library.Size;
import pixeron.exercise.mark.Marked;
import pixeron.exercise.mark.Marker;
import pixeron.step.Progress;

/** The answers of a class, as they come in. */
class AnswersTest {

    private final Exercise exercise = Library.topic("negative").orElseThrow().exercise(Size.SMALL);
    private final Variants variants = new Variants(exercise);

    @TempDir
    private Path folder;

    private Path write(String name, int number, boolean hasCode) {
        Variant variant = variants.variant(number);
        List<List<String>> rows = AnswerTable.filled(variant, Simulated.right(variant), name);
        Path file = folder.resolve(name + ".csv");
        AnswerBook.writeText(file, hasCode ? rows : rows.subList(1, rows.size()));
        return file;
    }

    private static List<Marked> marks(Answers answers) {
        return answers.entries().stream().map(Marker.Answer::marked).toList();
    }

    /** Reading takes its time; what is typed meanwhile is there afterwards. */
    @Test
    void whatIsTypedWhileMoreIsReadStays() {
        Answers first = Answers.of(exercise);
        first = first.with(first.read(List.of(write("Ada", 1, true), write("Ben", 2, false)), Progress.NONE).entries());
        List<Marker.Answer> more = first.read(List.of(write("Cleo", 3, true)), Progress.NONE).entries();
        Answers typed = first.withComment(0, "neat").withCode(1, variants.variant(2).code().toString()).counting(false);
        Answers all = typed.with(more);
        assertThat(marks(all)).extracting(Marked::name).containsExactly("Ada", "Ben", "Cleo");
        assertThat(marks(all)).allMatch(Marked::isMarked).extracting(Marked::comment).containsExactly("neat", "", "");
        assertThat(all.followCounts()).isFalse();
    }

    /** Two sheets with one code are told of as soon as there are two, and no longer when one was put right. */
    @Test
    void sameCodesAreNotedAnew() {
        Answers none = Answers.of(exercise);
        Answers two = none.with(none.read(List.of(write("Ada", 1, true), write("Ben", 1, true)), Progress.NONE).entries());
        assertThat(marks(two)).extracting(Marked::problem).containsExactly("The same code is in Ben.csv.", "The same code is in Ada.csv.");
        Answers again = two.withCode(1, variants.variant(2).code().toString());
        assertThat(marks(again).get(0).problem()).isEmpty();
    }

    @Test
    void aFolderWithoutAnswersIsSaid() throws IOException {
        Path empty = Files.createDirectory(folder.resolve("empty"));
        assertThatThrownBy(() -> Answers.of(exercise).read(List.of(empty), Progress.NONE)).hasMessageContaining("No answers found in empty");
    }

    /** Files of one person each, under their names; a file that is there is not replaced, and what is omitted is named. */
    @Test
    void feedbackGoesIntoAFolderOfItsOwn() throws IOException {
        Answers none = Answers.of(exercise);
        Files.writeString(folder.resolve("notes.docx"), "none");
        write("Ada", 1, true);
        write("Ben", 2, true);
        write("Nobody", 3, false);
        Answers.Added added = none.read(List.of(folder), Progress.NONE);
        assertThat(added.leftOut()).containsExactly("notes.docx");
        Answers three = none.with(added.entries());
        Path into = Files.createDirectory(folder.resolve("feedback"));
        assertThat(three.writeFeedback(into, Progress.NONE)).isEqualTo(2);
        assertThat(into.toFile().list()).containsExactlyInAnyOrder("Ada.pdf", "Ben.pdf");
        assertThatThrownBy(() -> three.writeReports(into, Progress.NONE)).hasMessageContaining("already exists. Choose another folder.");
        assertThatThrownBy(() -> three.writeReports(Files.createDirectory(folder.resolve("reports")), done -> false)).isInstanceOf(CancellationException.class);
    }
}

package pixeron.exercise;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import pixeron.exercise.answer.Simulated;
import pixeron.exercise.mark.GradeTable;
import pixeron.exercise.mark.Marked;
import pixeron.exercise.mark.People;

/** A line for each person of a class, whatever they handed in. The exercise has three parts and 22 points. */
class GradeTableTest {

    @TempDir
    private Path folder;
    private ClassOfAnswers answers;
    private Variants variants;

    @BeforeEach
    void makeExercise() {
        answers = new ClassOfAnswers(folder, Exercises.threeParts(1));
        variants = answers.variants();
    }

    private People people(String... lines) throws IOException {
        return People.read(Files.write(folder.resolve("people.csv"), List.of(lines)));
    }

    private List<List<String>> rows(List<Marked> marks, Optional<People> people, String columns) {
        return GradeTable.of(marks, people, variants.exercise().points(), true).rows(GradeTable.columns(Optional.ofNullable(columns)));
    }

    @Test
    void everybodyOnTheListHasALine() throws IOException {
        Part.OfCells threshold = (Part.OfCells) variants.variant(2).parts().get(2);
        Marked slipped = answers.answer("Lee", 2, Simulated.slipped(variants.variant(2), threshold).get("black-white-swapped"));
        Marked blank = answers.answer("Max", 3, variants.variant(3).project());
        Marked lost = answers.marker().marks(Files.writeString(folder.resolve("nobody.csv"), "1,2\n")).get(0);
        List<Marked> marks = List.of(answers.right("kim  brand", 1), blank, answers.right("Max", 4), slipped, answers.right("Pat", 5), lost);
        String code = variants.variant(2).code().toString();
        List<List<String>> rows = rows(marks, Optional.of(people("Name,ID,Code", "Kim Brand,17,", "Lia,18," + code, "Max,19,", "Noa,20,")),
                "id=Student,points,maximum,percent,feedback=Comment");
        assertThat(rows.get(0)).containsExactly("Student", "points", "maximum", "percent", "Comment");
        assertThat(rows.get(1)).containsExactly("17", "22", "22", "100", "22 of 22 points. All values are correct.");
        // Found by the code of the sheet, whatever name is in it.
        assertThat(rows.get(2).subList(0, 3)).containsExactly("18", "18", "22");
        assertThat(rows.get(2).get(4)).startsWith("18 of 22 points. First mistake: step ").contains("high and low are swapped");
        assertThat(rows.get(3)).containsExactly("19", "22", "22", "100", "22 of 22 points. All values are correct. 2 answers were submitted; the one with the most points counts.");
        assertThat(rows.get(4)).containsExactly("20", "", "22", "", "No answer was submitted.");
        assertThat(rows.get(5)).startsWith("", "22").last().asString().endsWith("All values are correct. Not on the list.");
        assertThat(rows.get(6)).startsWith("", "").last().asString().startsWith("Not on the list. No code found");
        assertThat(rows).hasSize(7);
    }

    @Test
    void withoutAListWhoeverHandedInHasALine() {
        List<List<String>> rows = rows(List.of(answers.right("Kim", 1), answers.answer("Max", 3, variants.variant(3).project())), Optional.empty(), null);
        assertThat(rows).containsExactly(List.of("id", "name", "points", "maximum", "feedback"), List.of("Kim", "Kim", "22", "22", "22 of 22 points. All values are correct."),
                List.of("Max", "Max", "0", "22", "0 of 22 points. 0 of " + variants.variant(3).parts().stream().mapToInt(Part::count).sum() + " cells are filled in."));
    }

    /** A list of people is no array, whatever signs a name has. */
    @Test
    void signsOfArraysAreLettersOfNames() throws IOException {
        assertThat(people("id,name", "17,Kim & 2 others", "18,\"Lia [1, 2]\"", "19,A|3").all()).extracting(People.Person::name).containsExactly("Kim & 2 others", "Lia [1, 2]", "A|3");
    }

    @Test
    void whatIsNotUnderstoodIsSaid() {
        assertThatThrownBy(() -> GradeTable.columns(Optional.of("id,mark"))).hasMessage("There is no column \"mark\". Use id, name, code, points, maximum, percent and feedback.");
        assertThatThrownBy(() -> people("who,what", "a,b")).hasMessageContaining("Use id, name or code");
        assertThatThrownBy(() -> people("name,code", "Kim,seven")).hasMessageContaining("“seven” is not a valid code");
    }
}

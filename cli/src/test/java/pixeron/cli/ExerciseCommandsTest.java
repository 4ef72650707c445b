package pixeron.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import pixeron.exercise.Variant;
import pixeron.exercise.Variants;
import pixeron.exercise.answer.AnswerBook;
import pixeron.exercise.answer.AnswerTable;
import pixeron.exercise.answer.Simulated;
import pixeron.exercise.file.ExerciseFile;
import pixeron.exercise.library.Library;
import pixeron.exercise.library.Size;
import pixeron.format.CellTable;

/** An exercise given out and marked, as it is done in a terminal. */
class ExerciseCommandsTest extends CommandTest {

    private Path exercise;
    private Variants variants;

    @BeforeEach
    void writeExercise() {
        exercise = folder.resolve("equalize" + ExerciseFile.ENDING);
        ExerciseFile.write(exercise, Library.topic("equalize-proof").orElseThrow().exercise(Size.SMALL));
        variants = new Variants(ExerciseFile.read(exercise));
    }

    private Path answer(String name, Variant variant) {
        Path file = folder.resolve(name + ".csv");
        AnswerBook.writeText(file, AnswerTable.filled(variant, Simulated.right(variant), name));
        return file;
    }

    private List<List<String>> rows(String name) {
        return CellTable.read(folder.resolve(name)).rows();
    }

    @Test
    void sheetsAreGivenOutFilledInAndMarked() throws IOException {
        Path sheets = folder.resolve("sheets");
        assertThat(pixeron("worksheet", exercise, "--variants=2", "--out", sheets, "--paper=letter")).isZero();
        assertThat(output).contains("Wrote 11 files for 2 variants");
        assertBad("already exists and may contain answers. Add --replace, or choose another folder.", "worksheet", exercise, "--variants=3", "--out", sheets);
        assertThat(pixeron("worksheet", exercise, "--variants=2", "--out", sheets, "--paper=letter", "--replace")).isZero();
        Path blank = sheets.resolve(variants.variant(2).code() + ".csv");
        String filled = Files.readString(blank).replaceFirst("name,", "name,Kim").replaceFirst("\n0,\r?\n", "\n0,0\n");
        Files.writeString(blank, filled);
        assertThat(pixeron("mark", exercise, sheets, "--out", folder.resolve("results.csv"))).isZero();
        // The blank table, the spreadsheet and the project of both variants; the key and the quiz are no answers.
        assertThat(output).contains("6 of 6 answers marked");
        List<String> kim = rows("results.csv").stream().filter(row -> row.get(0).equals("Kim")).findFirst().orElseThrow();
        assertThat(kim.subList(1, 6)).containsExactly(variants.variant(2).code().toString(), "1", "1", "0", "0");
    }

    @Test
    void aQuizIsWrittenInTheFormatThatIsAskedFor() {
        Path sheets = folder.resolve("sheets");
        assertThat(pixeron("worksheet", exercise, "--variants=1", "--out", sheets, "--quiz=moodle-xml")).isZero();
        assertThat(sheets.resolve("quiz-moodle.xml")).isNotEmptyFile();
        assertThat(sheets.resolve("quiz.zip")).doesNotExist();
        Path all = folder.resolve("all");
        assertThat(pixeron("worksheet", exercise, "--variants=1", "--out", all, "--quiz=all")).isZero();
        assertThat(List.of("quiz.zip", "quiz-qti-2.1.zip", "quiz-moodle.xml")).allSatisfy(name -> assertThat(all.resolve(name)).isNotEmptyFile());
        assertBad("pixeron: \"qti\" is not a valid quiz format. Use qti-3.0, qti-2.1, moodle-xml or all.\n", "worksheet", exercise, "--variants=1", "--out", folder.resolve("none"), "--quiz=qti");
        assertThat(folder.resolve("none")).doesNotExist();
    }

    @Test
    void aGradeBookGetsALineForEachPerson() throws IOException {
        Path answers = Files.createDirectory(folder.resolve("answers"));
        Files.move(answer("Kim", variants.variant(1)), answers.resolve("Kim.csv"));
        Path people = write("people.csv", "id,name\n17,Kim\n18,=Noa\n");
        Path results = folder.resolve("results.csv");
        assertThat(pixeron("mark", exercise, answers, "--out", results, "--grades", folder.resolve("grades.csv"), "--people", people, "--columns", "id=Student,name,points")).isZero();
        assertThat(output).contains("no answer: 1 (=Noa)");
        assertThat(rows("grades.csv")).containsExactly(List.of("Student", "name", "points"), List.of("17", "Kim", "16"), List.of("18", "'=Noa", ""));
        assertBad("is an input of this command. Give the output another name.", "mark", exercise, answers, "--out", results, "--grades", people, "--people", people);
        assertBad("pixeron: --people needs --grades FILE.\n", "mark", exercise, answers, "--out", results, "--people", people);
        assertBad("The grades and the results cannot have the same name", "mark", exercise, answers, "--out", results, "--grades", results);
        assertBad("Give the grades another name", "mark", exercise, answers, "--out", results, "--grades", answers.resolve("Kim.csv"));
    }

    @Test
    void everyPersonGetsFeedback() throws IOException {
        Path answers = Files.createDirectory(folder.resolve("answers"));
        Files.move(answer("Kim", variants.variant(1)), answers.resolve("Kim.csv"));
        Files.writeString(answers.resolve("lost.csv"), "1,2\n");
        Path results = folder.resolve("results.csv");
        Path feedback = folder.resolve("feedback");
        assertThat(pixeron("mark", exercise, answers, "--out", results, "--feedback", feedback)).isEqualTo(1);
        assertThat(feedback.toFile().list()).containsExactly("Kim.pdf");
        assertBad("Kim.pdf already exists. Add --replace, or choose another folder.", "mark", exercise, answers, "--out", results, "--feedback", feedback);
        assertThat(pixeron("mark", exercise, answers, "--out", results, "--feedback", feedback, "--feedback-format=html")).isEqualTo(1);
        assertThat(Files.readString(feedback.resolve("Kim.html"))).contains("16 of 16 points");
        assertBad("pixeron: \"doc\" is not a valid feedback format. Use pdf or html.\n", "mark", exercise, answers, "--out", results, "--feedback", feedback, "--feedback-format=doc");
        assertBad("--feedback-format needs --feedback FOLDER", "mark", exercise, answers, "--out", results, "--feedback-format=html");
        assertBad("The reports and the feedback cannot have the same folder", "mark", exercise, answers, "--out", results, "--feedback", feedback, "--reports", feedback);
    }

    @Test
    void aClassGetsRowsSlipsAndParts() throws IOException {
        Path first = answer("Kim", variants.variant(1));
        answer("Lee", variants.variant(2));
        Files.writeString(folder.resolve("Max.csv"), Files.readString(first).replace("name,Kim", "name,Max").replaceFirst("\n3,(\\d)", "\n3,0"));
        write("lost.csv", "1,2\n3,4\n");
        Path results = folder.resolve("results.csv");
        assertThat(pixeron("mark", exercise, folder.resolve("Kim.csv"), folder.resolve("Lee.csv"), "--out", results)).isZero();
        assertThat(pixeron("mark", exercise, folder, "--out", results)).isEqualTo(2);
        assertThat(error).contains("already exists among the answers. Add --replace");
        assertThat(pixeron("mark", exercise, folder, "--out", results, "--reports", folder.resolve("reports"), "--replace")).isEqualTo(1);
        assertThat(rows("results.csv").get(0)).startsWith("name", "code", "filled", "agree", "follow", "differ", "first slip", "first slip title", "where it starts", "points", "points part 1", "points part 2",
                "comment", "file", "problem");
        List<List<String>> people = rows("results.csv");
        assertThat(people.stream().map(row -> row.get(0))).containsExactly("name", "Kim", "Lee", "Max", "lost", "proof");
        assertThat(people.get(1).get(9)).isEqualTo("16");
        assertThat(people.get(3).subList(3, 6)).containsExactly("23", "0", "1");
        assertThat(people.get(3).get(9)).isEqualTo("15");
        assertThat(people.get(3).get(14)).contains("The same code is in Kim.csv");
        assertThat(people.get(4).get(14)).contains("No code found");
        assertThat(rows("results-parts.csv").get(1)).startsWith("1", "Levels table of step 1 (histogram equalization), column level s");
        assertThat(folder.resolve("reports/Max.pdf")).isNotEmptyFile();
        assertThat(folder.resolve("reports/lost.pdf")).doesNotExist();
        assertThat(pixeron("mark", exercise, folder, "--out", folder.resolve("results.xlsx"))).isEqualTo(1);
        assertThat(CellTable.readAll(folder.resolve("results.xlsx")).stream().map(sheet -> sheet.name())).containsExactly("people", "slips", "parts");
    }

    /** Row by row, from a list of files, so that a job runner can share a folder out. */
    @Test
    void aListOfFilesIsMarkedAsItComes() {
        Path kim = answer("Kim", variants.variant(1));
        InputStream before = System.in;
        try {
            System.setIn(new ByteArrayInputStream((kim + "\n\n" + folder.resolve("none.csv") + "\nno\0name.csv\n").getBytes(StandardCharsets.UTF_8)));
            assertThat(pixeron("mark", exercise)).isEqualTo(1);
        } finally {
            System.setIn(before);
        }
        List<String> lines = output.lines().toList();
        assertThat(lines).hasSize(4);
        assertThat(lines.get(1)).startsWith("Kim," + variants.variant(1).code() + ",24,24,0,0,,,,16,8,8,,Kim.csv,");
        assertThat(lines.get(2)).contains("none.csv");
        assertThat(lines.get(3)).endsWith("no name.csv,This is not a valid file name.");
    }

    @Test
    void whatCannotBeIsSaidInOneLine() throws IOException {
        assertBad("pixeron: 0 variants are not possible. Use 1 to 10000.\n", "worksheet", exercise, "--variants=0", "--out", folder.resolve("s"));
        assertBad("100000 variants", "worksheet", exercise, "--variants=100000", "--out", folder.resolve("s"));
        assertBad("is not a valid paper size", "worksheet", exercise, "--variants=1", "--out", folder.resolve("s"), "--paper=a5");
        assertThat(folder.resolve("s")).doesNotExist();
        assertBad("not a Pixeron exercise", "worksheet", write("e" + ExerciseFile.ENDING, "{}"), "--variants=1", "--out", folder.resolve("s"));
        assertBad("--out RESULTS.csv", "mark", exercise, image);
        assertBad("has no valid ending", "mark", exercise, image, "--out", folder.resolve("r.txt"));
        assertBad("There is no file or folder", "mark", exercise, folder.resolve("none"), "--out", folder.resolve("r.csv"));
        assertBad("No answers found", "mark", exercise, Files.createDirectory(folder.resolve("empty")), "--out", folder.resolve("r.csv"));
        try (Stream<Path> all = Files.list(folder)) {
            assertThat(all.map(file -> file.getFileName().toString())).noneMatch(name -> name.startsWith("r."));
        }
    }
}

package pixeron.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import javafx.css.PseudoClass;
import javafx.scene.Parent;
import javafx.scene.control.Label;
import javafx.scene.control.TableView;
import javafx.scene.control.TextField;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import org.junit.jupiter.api.Test;
import org.mockito.ArgumentMatchers;
import org.mockito.Mockito;
import org.testfx.util.WaitForAsyncUtils;
import pixeron.app.exercise.PracticeView;
import pixeron.app.folder.UserFolder;
import pixeron.exercise.Variant;
import pixeron.exercise.Variants;
import pixeron.exercise.answer.AnswerBook;
import pixeron.exercise.answer.AnswerTable;
import pixeron.exercise.answer.Simulated;
import pixeron.exercise.file.ExerciseFile;
import pixeron.exercise.library.Library;
import pixeron.exercise.library.Size;
import pixeron.format.CellTable;

/** Practicing, setting an exercise and marking a class, as people do it in the window. */
class ExerciseWindowTest extends WindowTest {

    private static final PseudoClass WRONG = PseudoClass.getPseudoClass("wrong");

    private TextField focused() {
        return (TextField) window.getScene().getFocusOwner();
    }

    private void practice() {
        push(KeyCode.SHORTCUT, KeyCode.SHIFT, KeyCode.P);
        until(() -> window.getScene().getFocusOwner() instanceof TextField);
    }

    /** Before the first exercise is there, a word says so, and nothing can be checked; the keys for it do no harm. */
    @Test
    void aWordIsThereWhileAnExerciseIsMade() {
        interact(() -> {
            PracticeView view = new PracticeView(new UserFolder(folder.resolve("other")), problem -> {
                throw problem;
            }, (name, project) -> { }, () -> { });
            window.getChildren().add(view);
            view.begin();
            view.applyCss();
            view.layout();
            assertThat(shownText(view)).contains("Creating the next exercise…");
            view.fireEvent(new KeyEvent(KeyEvent.KEY_PRESSED, "", "", KeyCode.ENTER, false, true, false, true));
        });
        until(() -> !shownText().contains("Creating the next exercise…"));
        assertThat(shownText()).contains("Check");
    }

    private static String shownText(Parent parent) {
        return parent.lookupAll(".label").stream().map(Label.class::cast).map(Label::getText).collect(Collectors.joining("\n"));
    }

    /** The counts of the first exercise, read off its numbers: by keyboard alone, wrong first, then right, then the next one. */
    @Test
    void practisesByKeyboardAlone() {
        practice();
        List<Integer> levels = lookup(".given-cell").queryAllAs(Label.class).stream().map(cell -> Integer.valueOf(cell.getText())).toList();
        assertThat(levels).hasSize(16);
        for (int level = 0; level < 8; level++) {
            int wanted = level;
            long count = levels.stream().filter(value -> value == wanted).count();
            write(String.valueOf(level == 3 ? count + 1 : count));
            push(KeyCode.ENTER);
        }
        push(KeyCode.SHORTCUT, KeyCode.ENTER);
        until(() -> shownText().contains("7 of 8 agree, 1 differs."));
        assertThat(lookup(".blank").queryAllAs(TextField.class)).noneMatch(blank -> blank.getPseudoClassStates().stream().anyMatch(state -> state.equals(WRONG)));
        push(KeyCode.SHORTCUT, KeyCode.ENTER);
        assertThat(lookup(".blank-mark.wrong").queryAll()).hasSize(1);
        push(KeyCode.SHORTCUT, KeyCode.ENTER);
        assertThat(shownText()).contains("(Miscounted)").contains("At k = 3 you counted");
        push(KeyCode.DOWN);
        push(KeyCode.DOWN);
        push(KeyCode.DOWN);
        long right = levels.stream().filter(value -> value == 3).count();
        write(String.valueOf(right));
        push(KeyCode.SHORTCUT, KeyCode.ENTER);
        until(() -> shownText().contains("All correct now."));
        push(KeyCode.SHORTCUT, KeyCode.ENTER);
        until(() -> shownText().contains("Cumulative counts"));
        assertThat(shownText()).contains("0 of 1 correct at first try").contains("Miscounted");
        assertThat(folder.resolve("data/practised.json")).content().contains("count-levels", "miscounted");
    }

    /** What was practiced is forgotten with one button and a second one that means it. */
    @Test
    void forgetsEverythingWhenAsked() throws IOException {
        Files.createDirectories(folder.resolve("data"));
        Files.writeString(folder.resolve("data/practised.json"), "{\"pixeronPractised\":1,\"attempts\":[{\"topic\":\"negative\",\"variant\":3,\"rightAtFirst\":true,"
                + "\"seconds\":200,\"slips\":[]}]}");
        practice();
        until(() -> shownText().contains("1 of 1 correct at first try · 3 min each"));
        clickOn("Delete history…");
        clickOn("Delete");
        until(() -> !shownText().contains("correct at first try ·"));
        assertThat(folder.resolve("data/practised.json")).content().doesNotContain("negative");
    }

    @Test
    void anExerciseGoesToTheBenchAndBack() {
        practice();
        write("9");
        clickOn("Open on the bench");
        until(() -> bench().shown() != null && bench().project().name().contains("Count the levels"));
        settle();
        assertThat(bench().project().byHand(0, "value").tables().get("levels").cells()).hasSize(1);
        push(KeyCode.SHORTCUT, KeyCode.SHIFT, KeyCode.P);
        until(() -> shownText().contains("How often does each level occur"));
        clickOn("Back");
        settle();
        assertThat(shownText()).contains("Count the levels").contains("Working");
    }

    private TextInputControl field(String words) {
        return lookup((TextInputControl one) -> words.equals(one.getAccessibleText())).query();
    }

    private void type(String words, String text) {
        TextInputControl field = field(words);
        interact(() -> {
            field.requestFocus();
            field.selectAll();
            field.replaceSelection(text);
        });
    }

    /** From a bench to thirty sheets: what has values by hand is asked, a number in braces is drawn, the page is there at once. */
    @Test
    void setsAnExerciseAndGivesItOut() throws IOException {
        clickOn("Three-bit sort");
        settle();
        push(KeyCode.SHORTCUT, KeyCode.SHIFT, KeyCode.E);
        until(() -> shownText().contains("64 cells · 10 points"));
        assertThat(field("Title").getText()).isEqualTo("Three-bit sort");
        type("Step 1", "multiply factor={f}");
        until(() -> shownText().contains("{f} has no values"));
        type("Values, such as 3, 4, 5 or 1 to 9 or 0 to 2 by 0.25", "1.25, 1.5, 1.75, 2");
        until(() -> shownText().contains("64 cells"));
        clickOn("Random images");
        until(() -> shownText().contains("64 cells"));
        type("Variant to show", "0");
        until(() -> shownText().contains("There is no variant 0"));
        type("Variant to show", "2");
        until(() -> shownText().contains("-002 · 64 cells"));
        Path out = Files.createDirectory(folder.resolve("out"));
        Mockito.when(dialogs.chooseFolder(ArgumentMatchers.any())).thenReturn(Optional.of(out));
        type("Number of variants", "3");
        clickOn("Create worksheets…");
        until(() -> shownText().contains("Wrote 16 files"));
        Path exercise = out.resolve("exercise" + ExerciseFile.ENDING);
        assertThat(ExerciseFile.read(exercise).steps().get(0)).isEqualTo("multiply factor={f}");
        assertThat(new Variants(ExerciseFile.read(exercise)).first(30)).extracting(variant -> variant.values().get("f")).contains("1.25", "2");
    }

    /** A double click on an exercise opens it where it is set; damaged, one line says why. */
    @Test
    void opensAnExerciseFile() throws IOException {
        Path exercise = folder.resolve("otsu" + ExerciseFile.ENDING);
        ExerciseFile.write(exercise, Library.topic("otsu").orElseThrow().exercise(Size.MEDIUM));
        interact(() -> window.started(List.of(exercise.toString())));
        until(() -> shownText().contains("cells ·"));
        assertThat(field("Title").getText()).isEqualTo("The best threshold for two classes");
        Path broken = Files.writeString(folder.resolve("broken" + ExerciseFile.ENDING), "{\"pixeronExercise\":7}");
        interact(() -> window.started(List.of(broken.toString())));
        until(() -> shownText().contains("written by a newer Pixeron"));
    }

    /** Answers by folder: rows, slips, a code that is typed where it is missing, a comment, the work on the bench, results. */
    @Test
    void marksAClass() throws IOException {
        Path exercise = folder.resolve("equalize" + ExerciseFile.ENDING);
        ExerciseFile.write(exercise, Library.topic("equalize-threshold").orElseThrow().exercise(Size.SMALL));
        Variants variants = new Variants(ExerciseFile.read(exercise));
        Path answers = Files.createDirectory(folder.resolve("answers"));
        for (int n = 1; n <= 2; n++) {
            Variant variant = variants.variant(n);
            AnswerBook.writeText(answers.resolve("person " + n + ".csv"), AnswerTable.filled(variant, Simulated.right(variant), "Person " + n));
        }
        List<List<String>> lost = AnswerTable.filled(variants.variant(3), Simulated.right(variants.variant(3)), "Person 3");
        AnswerBook.writeText(answers.resolve("person 3.csv"), lost.subList(1, lost.size()));
        Mockito.when(dialogs.chooseToOpen(ArgumentMatchers.any(), ArgumentMatchers.any())).thenReturn(Optional.of(exercise));
        Mockito.when(dialogs.chooseFolder(ArgumentMatchers.any())).thenReturn(Optional.of(answers));
        Mockito.when(dialogs.chooseToSave(ArgumentMatchers.any(), ArgumentMatchers.any(), ArgumentMatchers.any())).thenReturn(Optional.of(folder.resolve("results.csv")));
        push(KeyCode.SHORTCUT, KeyCode.SHIFT, KeyCode.M);
        until(() -> shownText().contains("Choose the exercise. Then drop the answers"));
        clickOn("Exercise…");
        until(() -> shownText().contains("Equalize, then threshold"));
        clickOn("Add a folder…");
        until(() -> shownText().contains("2 of 3 marked"));
        assertThat(shownText()).contains("No code found").contains("100%");
        @SuppressWarnings("unchecked")
        TableView<Integer> table = (TableView<Integer>) lookup((TableView<?> one) -> true).query();
        edit(table, 2, 1, variants.variant(3).code().toString());
        until(() -> shownText().contains("3 of 3 marked"));
        edit(table, 0, 8, "very good");
        clickOn("Save results…");
        until(() -> shownText().contains("Wrote results.csv"));
        List<List<String>> rows = CellTable.read(folder.resolve("results.csv")).rows();
        assertThat(rows.stream().map(row -> row.get(0))).containsExactly("name", "Person 1", "Person 2", "Person 3");
        assertThat(rows.get(3).get(9)).isEqualTo("14");
        assertThat(rows.get(1)).contains("very good");
        interact(() -> {
            table.getSelectionModel().select(0);
            table.requestFocus();
        });
        push(KeyCode.ENTER);
        until(() -> bench().shown() != null);
        settle();
        assertThat(bench().project().name()).contains(variants.variant(1).code().toString());
        assertThat(Set.of(0, 1)).allMatch(position -> bench().project().sheet(position).cells().size() == 16);
    }

    private void edit(TableView<Integer> table, int row, int column, String text) {
        interact(() -> table.edit(row, table.getColumns().get(column)));
        WaitForAsyncUtils.waitForFxEvents();
        interact(() -> focused().setText(text));
        push(KeyCode.ENTER);
    }
}

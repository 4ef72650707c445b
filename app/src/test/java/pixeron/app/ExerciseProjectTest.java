package pixeron.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import javafx.scene.input.Clipboard;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import pixeron.app.sheet.Sheet;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.project.Origin;
import pixeron.project.Project;
import pixeron.project.ProjectFile;
import pixeron.project.SavedProject;
import pixeron.project.View;
import pixeron.step.catalog.StepLine;

/** A project that was given out as an exercise: no result of it is seen before all hints are taken. */
class ExerciseProjectTest extends WindowTest {

    /** What 3, 7 and 12 become beside 20, each a quarter of the pixels: nowhere else on the bench does such a number stand. */
    private static final List<String> RESULTS = List.of("64", "128", "191", "127.5");

    @BeforeEach
    void openExercise() throws Exception {
        Image image = Image.of(255, new int[][] {{3, 7}, {12, 20}});
        Project project = Project.of("V1 · rests", Origin.exercise(), image).withChain(chain -> chain.withStep(0, StepLine.parse("equalize")));
        Path file = folder.resolve("V1" + ProjectFile.ENDING);
        ProjectFile.write(file, new SavedProject(project, new View(0, new Pixel(0, 0), List.of(), Optional.empty(), 0)));
        open(file);
        pick(0, 1);
        settle();
    }

    private void assertNothingTold(String where) {
        settle();
        assertThat(shownText().lines().map(String::strip)).as(where).noneMatch(line -> RESULTS.stream().anyMatch(number -> line.matches("(.*\\D)?" + number + "(\\D.*)?")));
        assertThat(lookup((Sheet sheet) -> sheet.getAccessibleText().startsWith("After")).queryAllAs(Sheet.class)).as(where)
                .allMatch(sheet -> sheet.getAccessibleText().contains("not written yet") && !sheet.getAccessibleText().contains("128"));
    }

    @Test
    void noPartOfTheBenchTellsAResult() {
        for (String tab : List.of("Slips", "Pixel", "Tracked", "Selection", "Display", "Facts", "Working", "Loops")) {
            clickOn(tab);
            assertNothingTold(tab);
        }
        for (KeyCode view : List.of(KeyCode.F4, KeyCode.F5, KeyCode.F6, KeyCode.F3)) {
            push(view);
            assertNothingTold(view.getName());
        }
        push(KeyCode.SHIFT, KeyCode.F4);
        assertNothingTold("histogram");
        push(KeyCode.F3);
        // Neither a walk nor the clipboard is a way around.
        push(KeyCode.F9);
        push(KeyCode.RIGHT);
        assertNothingTold("walk");
    }

    @Test
    void aRightValueIsNoHintEither() {
        interact(() -> bench().hand().edit(sheet -> sheet.with(new Pixel(0, 1), "90")));
        settle();
        clickOn("Slips");
        assertThat(shownText()).contains("all results are covered").doesNotContain("differs", "of 1 agree");
        assertNothingTold("written");
        clickOn("Next hint");
        assertThat(shownText()).contains("1. 1 of your 1 values differs.");
        assertNothingTold("first hint");
    }

    @Test
    void everythingIsSeenWhenItIsAskedFor() {
        clickOn("Facts");
        clickOn("Slips");
        clickOn("Show everything");
        settle();
        assertThat(sheet("After").getAccessibleText()).contains("128");
        clickOn("Working");
        assertThat(shownText()).contains("128");
        clickOn("Facts");
        assertThat(shownText()).contains("0–255").doesNotContain("Covered");
    }

    /** Neither values nor the picture of After come out by the clipboard; those of Before do. */
    @Test
    void theClipboardGetsNoResult() {
        clipboard("kept");
        interact(() -> sheet("After").requestFocus());
        push(KeyCode.SHORTCUT, KeyCode.C);
        push(KeyCode.SHORTCUT, KeyCode.ALT, KeyCode.C);
        settle();
        assertThat(copied()).isEqualTo("kept");
        assertThat(shownText()).contains("Covered: this is an exercise.");
        interact(() -> sheet("Before").requestFocus());
        push(KeyCode.SHORTCUT, KeyCode.C);
        assertThat(copied()).isEqualTo("3\t7\n12\t20\n");
    }

    private String copied() {
        String[] found = new String[1];
        interact(() -> found[0] = Clipboard.getSystemClipboard().getString());
        return found[0];
    }
}

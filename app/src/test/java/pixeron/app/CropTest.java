package pixeron.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.when;

import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import javafx.scene.control.Button;
import javafx.scene.control.Labeled;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import pixeron.byhand.CellCheck;
import pixeron.byhand.Verdict;
import pixeron.format.ImageFiles;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.project.ProjectFile;

/** A result of another size, through the window: what a user sees, types, saves and finds again. */
class CropTest extends WindowTest {

    @BeforeEach
    void crop() {
        // The level says row and column: 10·row + column.
        Path file = folder.resolve("grid.pgm");
        ImageFiles.write(file, Image.ofLevels(6, 6, 255, n -> n / 6 * 10 + n % 6), false);
        open(file);
        push(KeyCode.SHORTCUT, KeyCode.SHIFT, KeyCode.A);
        write("crop");
        push(KeyCode.ENTER);
        settle();
        interact(() -> bench().editChain(0, chain -> chain.replaced(0, pixeron.step.catalog.StepLine.parse(
                "crop row=2 column=1 height=3 width=4"))));
        settle();
    }

    private List<Verdict> states() {
        return bench().shown().check().cells().stream().map(CellCheck::state).toList();
    }

    @Test
    void eachSheetHasItsOwnEndsAndBothPlacesAreSaid() {
        interact(() -> sheet("After").requestFocus());
        push(KeyCode.SHORTCUT, KeyCode.END);
        assertThat(sheet("After").getAccessibleText()).isEqualTo("After, row 2, column 3: 44");
        assertThat(sheet("Before").getAccessibleText()).isEqualTo("Before, row 4, column 4: 44");
        assertThat(shownText()).contains("after row 2, column 3 · from row 4, column 4").contains("y = i + row = 2 + 2 = 4");
        interact(() -> sheet("Before").requestFocus());
        push(KeyCode.RIGHT);
        assertThat(sheet("Before").getAccessibleText()).isEqualTo("Before, row 4, column 5: 45");
        assertThat(sheet("After").getAccessibleText()).isEqualTo("After: the picked pixel is not used");
        assertThat(shownText()).contains("before row 4, column 5 · not used").contains("No pixel of the result uses this pixel of Before")
                .doesNotContain("y = i + row");
        push(KeyCode.LEFT);
        push(KeyCode.UP);
        assertThat(sheet("After").getAccessibleText()).isEqualTo("After, row 1, column 3: 34");
    }

    @Test
    void valuesByHandAreTypedPastedMarkedSavedAndFoundAgain() {
        interact(() -> {
            bench().pick(new Pixel(0, 0));
            sheet("By hand").requestFocus();
        });
        write("21");
        push(KeyCode.ENTER);
        write("22");
        push(KeyCode.ENTER);
        settle();
        clipboard("23\t99\n33\t34\n");
        pick(0, 2);
        push(KeyCode.SHORTCUT, KeyCode.V);
        settle();
        until(() -> bench().shown().check().filled() == 6);
        assertThat(states()).containsExactly(Verdict.AGREES, Verdict.AGREES, Verdict.AGREES,
                Verdict.DIFFERS, Verdict.AGREES, Verdict.AGREES);
        assertThat(shownText()).contains("6 of 12 filled · 5 agree · 1 differ");
        clipboard("1\t2\t3\n");
        push(KeyCode.SHORTCUT, KeyCode.V);
        assertThat(shownText()).contains("does not fit").contains("3 × 4");
        Path saved = folder.resolve("work" + ProjectFile.ENDING);
        when(dialogs.chooseToSave(any(), any(), any())).thenReturn(Optional.of(saved));
        push(KeyCode.SHORTCUT, KeyCode.S);
        until(() -> bench().past().savedProperty().get());
        open(saved);
        assertThat(states()).hasSize(6).contains(Verdict.DIFFERS);
        assertThat(bench().shown().grid().size()).isEqualTo("3 × 4");
    }

    @Test
    void aTableOfAnotherShapeIsComparedWhereBothHaveCells() {
        // The last pixel is row 4, column 4: who takes that for height and width has 4 × 4 cells.
        when(dialogs.chooseToOpen(any(), any())).thenReturn(Optional.of(write("larger.csv",
                "21,22,23,24\n31,32,33,34\n41,42,43,44\n51,52,53,54\n")));
        push(KeyCode.SHORTCUT, KeyCode.SHIFT, KeyCode.O);
        until(() -> shownText().contains("larger.csv has 4 × 4 cells, but the result has 3 × 4."));
        clickOn((Button) lookup((Labeled label) -> "Compare cells in both".equals(label.getText())).query());
        until(() -> bench().shown().check().filled() == 12);
        assertThat(bench().shown().check().agree()).isEqualTo(12);
        assertThat(shownText()).contains("this is the rectangle that you get when the last pixel is used as the size");
    }

    /** Where the step before was wrong, the cropped cell follows, at its own place. */
    @Test
    void whatFollowsFromTheStepBeforeIsTold() {
        interact(() -> {
            bench().select(-1);
            bench().addStep(pixeron.step.catalog.StepLine.parse("add amount=1"));
            bench().hand().edit(sheet -> sheet.with(new Pixel(2, 1), "25").with(new Pixel(2, 2), "23"));
            bench().select(1);
            bench().hand().edit(sheet -> sheet.with(new Pixel(0, 0), "25").with(new Pixel(0, 1), "23"));
        });
        settle();
        assertThat(bench().shown().following().pixels()).containsExactly(new Pixel(0, 0));
        clickOn("Slips");
        assertThat(shownText()).contains("correct, given your step 1");
    }

    /** Results of different sizes are beside each other, each with its own ends, and a line says why there is no difference. */
    @Test
    void resultsOfDifferentSizesAreCompared() {
        push(KeyCode.F6);
        until(() -> shownText().contains("The images have different sizes, 6 × 6 and 3 × 4. Both must have the same size."));
        assertThat(shownText()).contains("picked: ");
        push(KeyCode.F3);
        until(() -> canBeSeen(sheet("After")));
    }

    /** The loop over the result reads backwards; what it has not come to is covered. */
    @Test
    void aWalkGoesOverTheResult() {
        push(KeyCode.F9);
        push(KeyCode.ALT, KeyCode.RIGHT);
        assertThat(shownText()).contains("walk: 1 of 12 pixels written");
        clickOn("Loops");
        until(() -> shownText().contains("for each row i from 0 to 2"));
        assertThat(shownText()).contains("y ← i + row").contains("after[i][j] ← before[y][x]");
        assertThat(sheet("After").getAccessibleText()).isEqualTo("After, row 0, column 0: 21");
        pick(2, 3);
        assertThat(sheet("After").getAccessibleText()).endsWith("not written yet");
        push(KeyCode.F9);
    }

    /** A message must not move what is under the pointer. */
    @Test
    void aMessageLiesOverTheBench() {
        double[] top = new double[2];
        interact(() -> top[0] = sheet("After").localToScene(0, 0).getY());
        clipboard("");
        interact(() -> sheet("By hand").requestFocus());
        push(KeyCode.SHORTCUT, KeyCode.V);
        assertThat(shownText()).contains("The clipboard contains no cells");
        interact(() -> top[1] = sheet("After").localToScene(0, 0).getY());
        assertThat(top[1]).isEqualTo(top[0]);
        push(KeyCode.ESCAPE);
        assertThat(shownText()).doesNotContain("The clipboard contains no cells");
    }
}

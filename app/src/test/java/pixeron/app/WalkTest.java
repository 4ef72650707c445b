package pixeron.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import pixeron.app.model.Speed;
import pixeron.app.model.Walking;
import pixeron.image.Pixel;
import pixeron.project.ProjectFile;
import pixeron.step.catalog.StepLine;
import pixeron.walk.ScanOrder;
import pixeron.walk.Score;

/** Walking over a result, and the grid of weights. */
class WalkTest extends WindowTest {

    private void smooth() {
        open(write("dots.csv", "0,0,9\n9,0,0\n0,9,0\n"));
        interact(() -> bench().addStep(StepLine.parse("kernel weights=\"1 2 1\" border=replicate")));
        settle();
    }

    private Walking walking() {
        return bench().walking();
    }

    private String loopLine() {
        return lookup((Node node) -> node.getStyleClass().contains("loop-line")
                && node.getPseudoClassStates().stream().anyMatch(state -> state.getPseudoClassName().equals("current")))
                .lookup((Label label) -> true).queryAs(Label.class).getText();
    }

    @Test
    void everythingIsCoveredAndComesPixelByPixel() {
        smooth();
        push(KeyCode.F9);
        assertThat(sheet("After").getAccessibleText()).isEqualTo("After, row 0, column 0: not written yet");
        assertThat(loopLine()).isEqualTo("for each column j from 0 to 2");
        push(KeyCode.ALT, KeyCode.RIGHT);
        assertThat(sheet("After").getAccessibleText()).isEqualTo("After, row 0, column 0: 0");
        assertThat(loopLine()).isEqualTo("after[i][j] ← s");
        push(KeyCode.ALT, KeyCode.DOWN);
        assertThat(walking().walk().written()).isEqualTo(3);
        assertThat(bench().pickedProperty().get()).isEqualTo(new Pixel(0, 2));
        push(KeyCode.ALT, KeyCode.LEFT);
        assertThat(walking().walk().written()).isEqualTo(2);
        // One line at a time: the terms come one by one.
        pick(0, 2);
        push(KeyCode.ALT, KeyCode.SHIFT, KeyCode.RIGHT);
        push(KeyCode.ALT, KeyCode.SHIFT, KeyCode.RIGHT);
        push(KeyCode.ALT, KeyCode.SHIFT, KeyCode.RIGHT);
        assertThat(loopLine()).isEqualTo("for each weight w at (a, b)");
        assertThat(shownText()).contains("until the walk writes the value");
        pick(2, 2);
        assertThat(shownText()).contains("The walk has not reached this yet.");
        clickOn("Walk to here");
        assertThat(walking().walk().isAtEnd()).isTrue();
        push(KeyCode.F9);
        assertThat(walking().isOn()).isFalse();
        assertThat(sheet("After").getAccessibleText()).doesNotContain("not written");
    }

    /** Whatever of the walk has the keyboard. */
    @Test
    void arrowsDriveTheWalkFromAButtonAndEscLeavesIt() {
        smooth();
        clickOn("Walk");
        assertThat(walking().isOn()).isTrue();
        push(KeyCode.RIGHT);
        assertThat(walking().walk().written()).isEqualTo(1);
        push(KeyCode.DOWN);
        assertThat(walking().walk().written()).isEqualTo(3);
        push(KeyCode.LEFT);
        assertThat(walking().walk().written()).isEqualTo(2);
        push(KeyCode.ESCAPE);
        assertThat(walking().isOn()).isFalse();
    }

    @Test
    void whoGuessesFirstIsCountedAndGoesOn() {
        smooth();
        push(KeyCode.F9);
        clickOn("Guess first");
        interact(() -> sheet("By hand").requestFocus());
        // (0 + 2·0 + 0) ÷ 4 = 0, then (0 + 2·0 + 9) ÷ 4 = 2.25
        push(KeyCode.DIGIT0);
        push(KeyCode.ENTER);
        settle();
        assertThat(bench().pickedProperty().get()).isEqualTo(new Pixel(0, 1));
        assertThat(sheet("After").getAccessibleText()).contains("not written yet");
        push(KeyCode.DIGIT3);
        push(KeyCode.ENTER);
        settle();
        assertThat(walking().scoreProperty().get()).isEqualTo(new Score(1, 1));
        assertThat(shownText()).contains("Correct at first try: 1 of 2.");
        assertThat(walking().walk().current()).isEqualTo(new Pixel(0, 2));
        assertThat(bench().project().sheet(0).cells()).hasSize(2);
        // It goes on where it was after the work was saved and opened again.
        var file = folder.resolve("guess.pixeron.json");
        ProjectFile.write(file, bench().savedProject());
        interact(() -> {
            walking().leave();
            bench().past().giveUpUnsaved();
        });
        open(file);
        until(() -> walking().isOn());
        assertThat(walking().walk().written()).isEqualTo(2);
        assertThat(walking().scoreProperty().get()).isEqualTo(new Score(1, 1));
        assertThat(walking().guessingProperty().get()).isTrue();
    }

    @Test
    void writingInPlaceIsShownAsAMistake() {
        smooth();
        push(KeyCode.F9);
        clickOn("In place");
        until(() -> walking().mistakeProperty().get() != null);
        // Row 1 is 9 0 0: (9 + 18 + 0) ÷ 4 = 7 (6.75), then with the 7 just written (7 + 0 + 0) ÷ 4 = 2, (2 + 0 + 0) ÷ 4 = 1.
        interact(() -> walking().to(new Pixel(1, 2)));
        assertThat(sheet("After").getAccessibleText()).isEqualTo("After, row 1, column 2: 1");
        assertThat(shownText()).contains("Demonstration of a mistake");
        pick(1, 1);
        assertThat(sheet("Before").getAccessibleText()).contains("2, overwritten");
        clickOn("In place");
        until(() -> walking().mistakeProperty().get() == null);
        pick(1, 2);
        assertThat(sheet("After").getAccessibleText()).isEqualTo("After, row 1, column 2: 0");
    }

    /** The walk is stopped at the pixel that is read, however fast the machine is, and goes on from there. */
    @Test
    void theWorkingFollowsWhileTheWalkPlays() {
        smooth();
        push(KeyCode.F9);
        interact(() -> walking().walkProperty().subscribe(walk -> {
            if (walk != null && walk.written() == 3) {
                walking().playingProperty().set(false);
            }
        }));
        push(KeyCode.SHIFT, KeyCode.F9);
        until(() -> shownText().contains("27 ÷ 4 = 6.75"));
        assertThat(walking().walk().written()).isEqualTo(3);
        push(KeyCode.SHIFT, KeyCode.F9);
        until(() -> walking().walk().isAtEnd());
        settle();
        assertThat(shownText()).contains("9 ÷ 4 = 2.25").doesNotContain("27 ÷ 4");
    }

    @Test
    void fastSlowAndAPathOfOnesOwnEndExactly() {
        smooth();
        push(KeyCode.F9);
        interact(() -> {
            walking().begin(ScanOrder.COLUMNS);
            walking().speedProperty().set(Speed.FAST);
        });
        push(KeyCode.SHIFT, KeyCode.F9);
        until(() -> walking().walk().isAtEnd() && !walking().playingProperty().get());
        interact(() -> walking().begin(List.of(new Pixel(2, 2), new Pixel(1, 1))));
        push(KeyCode.ALT, KeyCode.RIGHT);
        push(KeyCode.ALT, KeyCode.RIGHT);
        assertThat(bench().pickedProperty().get()).isEqualTo(new Pixel(1, 1));
        assertThat(shownText()).contains("for each pixel (i, j) of the path, then of the rest");
        interact(() -> walking().speedProperty().set(Speed.SLOW));
        push(KeyCode.SHIFT, KeyCode.F9);
        until(() -> walking().walk().place() == 2 && walking().walk().moment() > 0);
        push(KeyCode.SHIFT, KeyCode.F9);
        assertThat(walking().playingProperty().get()).isFalse();
        // The step goes, and the walk with it.
        interact(() -> bench().select(-1));
        settle();
        assertThat(walking().isOn()).isFalse();
    }

    @Test
    void inALectureTheArrowsDriveTheWalk() {
        smooth();
        push(KeyCode.F11);
        assertThat(lookup("STEPS").tryQuery()).isEqualTo(Optional.empty());
        push(KeyCode.RIGHT);
        push(KeyCode.RIGHT);
        push(KeyCode.LEFT);
        assertThat(walking().walk().written()).isEqualTo(1);
        push(KeyCode.DOWN);
        assertThat(walking().walk().written()).isEqualTo(3);
        push(KeyCode.ESCAPE);
        assertThat(lookup("STEPS").tryQuery()).isNotEmpty();
    }

    private List<TextField> weights() {
        return lookup(".weight-field").queryAllAs(TextField.class).stream().toList();
    }

    @Test
    void weightsAreTypedTurnedFilledAndKept() {
        smooth();
        assertThat(weights()).hasSize(3);
        assertThat(shownText()).contains("The weights add up to 4, the divisor is 4.", "Separable: (1) down × (1 2 1) across.");
        interact(() -> weights().get(0).setText("1/2"));
        settle();
        assertThat(bench().project().chain().stage(0).link().step().line())
                .isEqualTo("kernel weights=\"0.5 2 1\" border=replicate");
        interact(() -> weights().get(0).setText(""));
        assertThat(shownText()).contains("weights contains \"empty\", which is not a number");
        interact(() -> weights().get(0).setText("0"));
        settle();
        clickOn("Rotate");
        settle();
        assertThat(weights().stream().map(TextField::getText)).containsExactly("1", "2", "0");
        clickOn("Transpose");
        settle();
        clickOn("Negate");
        settle();
        assertThat(bench().project().chain().stage(0).link().step().line())
                .isEqualTo("kernel weights=\"-1 | -2 | 0\" border=replicate");
        clickOn("+ col");
        settle();
        assertThat(weights()).hasSize(6);
        TextField name = lookup((TextField field) -> "kernel name".equals(field.getPromptText())).query();
        interact(() -> {
            name.setText("my edge");
            name.fireEvent(new javafx.event.ActionEvent());
        });
        settle();
        assertThat(bench().project().kernels()).hasSize(1);
        assertThat(new pixeron.app.folder.OwnKernels(new pixeron.app.folder.UserFolder(folder.resolve("data"))).all())
                .isEqualTo(bench().project().kernels());
        // A ready kernel is written out and can then be changed; an open result becomes levels by a further step.
        interact(() -> bench().addStep(StepLine.parse("sobel part=x")));
        settle();
        clickOn("Convert to kernel");
        settle();
        assertThat(bench().project().chain().stage(1).link().step().line())
                .isEqualTo("kernel weights=\"-1 0 1 | -2 0 2 | -1 0 1\" overflow=keep");
        assertThat(shownText()).contains("◐ 0 is shown as mid-gray");
        clickOn("To levels");
        clickOn("Absolute value");
        settle();
        assertThat(bench().project().chain().size()).isEqualTo(3);
        assertThat(after().isLevelImage()).isTrue();
    }

    /** The slip's working is beside the right one, and the first line where they part is marked. */
    @Test
    void theSlippedWorkingStandsBesideTheRightOne() {
        smooth();
        // Zeros outside where the edge is repeated: (0 + 2·9 + 0) ÷ 4 = 5, right is (9 + 18 + 0) ÷ 4 = 7, and so on.
        interact(() -> bench().hand().edit(sheet -> sheet.with(new Pixel(0, 2), "5").with(new Pixel(1, 0), "5")
                .with(new Pixel(1, 1), "2").with(new Pixel(2, 1), "5")));
        settle();
        clickOn("Slips");
        assertThat(shownText()).contains("Zeros outside", "Correct, row 0, column 2", "With the slip",
                "▸ window       0   9 (9)", "▸ window       0   9 (0)");
    }

    /** Who goes on from a wrong value of their own and does it right is told so, and where it began. */
    @Test
    void whatIsRightGivenTheStepBeforeFollows() {
        open(write("halves.pgm", "P2 4 1 255 3 5 8 11"));
        interact(() -> {
            bench().addStep(StepLine.parse("divide divisor=2"));
            bench().hand().edit(sheet -> sheet.with(new Pixel(0, 0), "1").with(new Pixel(0, 1), "2").with(new Pixel(0, 3), "5"));
            bench().addStep(StepLine.parse("invert"));
            // M is 255: from 1 2 5, and a slip of its own in the third.
            bench().hand().edit(sheet -> sheet.with(new Pixel(0, 0), "254").with(new Pixel(0, 1), "253")
                    .with(new Pixel(0, 2), "215").with(new Pixel(0, 3), "250"));
            bench().pick(new Pixel(0, 1));
        });
        settle();
        assertThat(shownText()).contains("Correct, given your step 1.");
        assertThat(sheet("By hand").getAccessibleText()).contains("253, correct for your own earlier values");
        clickOn("Slips");
        assertThat(shownText()).contains("3 of the 4 differing cells are correct, given your step 1", "Digits swapped");
        clickOn("Go to step 1");
        settle();
        assertThat(bench().position()).isZero();
        assertThat(shownText()).contains("Rounded down");
    }
}

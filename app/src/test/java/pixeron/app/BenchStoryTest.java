package pixeron.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.when;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.Clipboard;
import javafx.scene.input.DragEvent;
import javafx.scene.input.Dragboard;
import javafx.scene.input.KeyCode;
import javafx.scene.input.ScrollEvent;
import javafx.scene.input.TransferMode;
import org.junit.jupiter.api.Test;
import org.mockito.Mockito;
import pixeron.app.bench.BenchView;
import pixeron.app.sheet.Sheet;
import pixeron.app.sheet.paint.Viewport;
import pixeron.byhand.Verdict;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.number.Rational;
import pixeron.step.catalog.StepLine;

/** A user's way through the program, with real clicks and keys. */
class BenchStoryTest extends WindowTest {

    private static final String PROOF = "P2 4 3 255\n137 97 96 164\n98 101 150 170\n0 255 120 99\n";

    private void openProof() {
        open(write("proof.pgm", PROOF));
    }

    private void addLinear() {
        push(KeyCode.SHORTCUT, KeyCode.SHIFT, KeyCode.A);
        write("lin");
        push(KeyCode.ENTER);
        settle();
        // The cursor is in the first field of the new step.
        push(KeyCode.SHORTCUT, KeyCode.A);
        write("3.75");
        push(KeyCode.TAB);
        push(KeyCode.SHORTCUT, KeyCode.A);
        write("-360");
        settle();
    }

    private Verdict state(int row, int column) {
        return bench().shown().check().cells().stream().filter(cell -> cell.pixel().equals(new Pixel(row, column)))
                .findFirst().orElseThrow().state();
    }

    @Test
    void fromAnImageToASavedProjectAndBack() throws IOException {
        openProof();
        assertThat(shownText()).contains("3 × 4 · levels 0–255").contains("value 137");
        addLinear();
        // 3.75·137 − 360 = 153.75, 3.75, 0, 255 | 7.5, 18.75, 202.5, 277.5 | −360, 596.25, 90, 11.25
        assertThat(after()).isEqualTo(Image.of(255, new int[][] {{154, 4, 0, 255}, {8, 19, 203, 255},
                {0, 255, 90, 11}}));
        assertThat(shownText()).contains("s = 3.75 × 137 + (−360) = 513.75 + (−360) = 153.75").contains("153.75 → 154");

        clickOn(sheet("By hand"));
        pick(0, 0);
        write("153");
        push(KeyCode.ENTER);
        write("3.75");
        push(KeyCode.ENTER);
        write("0");
        push(KeyCode.ENTER);
        write("what");
        push(KeyCode.DOWN);
        write("255");
        push(KeyCode.ENTER);
        write("(15+15)/4");
        push(KeyCode.ENTER);
        settle();
        assertThat(bench().pickedProperty().get()).as("the row was full, so it went on below").isEqualTo(new Pixel(2,
                1));
        assertThat(state(0, 0)).isEqualTo(Verdict.DIFFERS);
        assertThat(state(0, 1)).isEqualTo(Verdict.NOT_ROUNDED);
        assertThat(state(0, 2)).isEqualTo(Verdict.AGREES);
        assertThat(state(1, 3)).isEqualTo(Verdict.AGREES);
        assertThat(state(2, 0)).isEqualTo(Verdict.DIFFERS);
        assertThat(bench().shown().check().filled()).as("letters do not begin a value").isEqualTo(5);
        assertThat(shownText()).contains("5 of 12 filled · 2 agree · 3 differ");

        push(KeyCode.F8);
        assertThat(bench().pickedProperty().get()).isEqualTo(new Pixel(0, 0));
        assertThat(shownText()).contains("You wrote 153. ");
        push(KeyCode.SHORTCUT, KeyCode.SHIFT, KeyCode.C);
        interact(() -> assertThat(Clipboard.getSystemClipboard().getString())
                .contains("formula     s = gain × r + bias"));

        Path file = folder.resolve("mine.pixeron.json");
        when(dialogs.chooseToSave(any(), any(), any())).thenReturn(Optional.of(folder.resolve("mine")));
        assertThat(bench().past().savedProperty().get()).isFalse();
        push(KeyCode.SHORTCUT, KeyCode.S);
        until(() -> bench().past().savedProperty().get());
        assertThat(file).exists();
        var project = bench().project();

        when(dialogs.chooseToSave(any(), any(), any())).thenReturn(Optional.of(folder.resolve("after.csv")));
        push(KeyCode.SHORTCUT, KeyCode.E);
        until(() -> Files.exists(folder.resolve("after.csv")));
        assertThat(folder.resolve("after.csv")).hasContent("154,4,0,255\n8,19,203,255\n0,255,90,11");
        assertThat(folder.resolve("proof.pgm")).as("what was opened is never changed").hasContent(PROOF);

        openProof();
        open(file);
        until(() -> bench().project().equals(project));
        assertThat(bench().pickedProperty().get()).isEqualTo(new Pixel(0, 0));
        assertThat(bench().past().savedProperty().get()).isTrue();
    }

    @Test
    void undoAndRedoGoThroughEverything() {
        openProof();
        var first = bench().project();
        addLinear();
        clickOn(sheet("By hand"));
        write("7");
        push(KeyCode.ENTER);
        settle();
        var last = bench().project();
        int steps = 0;
        while (bench().past().undoableProperty().get()) {
            push(KeyCode.SHORTCUT, KeyCode.Z);
            steps++;
        }
        assertThat(bench().project()).isEqualTo(first);
        assertThat(steps).as("add, gain, bias, value").isEqualTo(4);
        while (bench().past().redoableProperty().get()) {
            push(KeyCode.SHORTCUT, KeyCode.SHIFT, KeyCode.Z);
        }
        assertThat(bench().project()).isEqualTo(last);
        settle();
        assertThat(after().level(0)).isEqualTo(154);
    }

    @Test
    void aWrongParameterIsExplainedAtItsFieldAndChangesNothing() {
        openProof();
        push(KeyCode.SHORTCUT, KeyCode.SHIFT, KeyCode.A);
        write("divide");
        push(KeyCode.ENTER);
        settle();
        Image before = after();
        push(KeyCode.SHORTCUT, KeyCode.A);
        write("0");
        settle();
        assertThat(shownText()).contains("divisor=0 is not allowed. Give a number other than 0.");
        assertThat(after()).isEqualTo(before);
        push(KeyCode.SHORTCUT, KeyCode.A);
        push(KeyCode.DELETE);
        assertThat(shownText()).contains("divisor is empty. Give a number other than 0.");
        write("4");
        settle();
        assertThat(shownText()).doesNotContain("▲");
        assertThat(after().level(0)).isEqualTo(34);
        clickOn(lookup((TextInputControl field) -> "whole image".equals(field.getPromptText())).<Node>query());
        write("0 0 9 9");
        settle();
        assertThat(shownText()).contains("extends beyond the image of 3 × 4").contains("cannot be applied");
        push(KeyCode.BACK_SPACE);
        push(KeyCode.BACK_SPACE);
        push(KeyCode.BACK_SPACE);
        write("1 1");
        settle();
        assertThat(after().level(0)).isEqualTo(34);
        assertThat(after().level(1)).as("outside the area").isEqualTo(97);
    }

    @Test
    void stepsAreReorderedSwitchedDuplicatedAndDeletedByKeys() {
        openProof();
        for (String name : new String[] {"invert", "add"}) {
            push(KeyCode.SHORTCUT, KeyCode.SHIFT, KeyCode.A);
            write(name);
            push(KeyCode.ENTER);
            settle();
        }
        assertThat(after().level(0)).as("255 − 137 + 31").isEqualTo(149);
        clickOn("Add");
        push(KeyCode.ALT, KeyCode.UP);
        settle();
        interact(() -> bench().select(1));
        settle();
        assertThat(after().level(0)).as("255 − (137 + 31)").isEqualTo(87);
        clickOn("Negative");
        push(KeyCode.SPACE);
        settle();
        assertThat(after().level(0)).isEqualTo(168);
        push(KeyCode.SPACE);
        push(KeyCode.SHORTCUT, KeyCode.D);
        settle();
        assertThat(bench().project().chain().size()).isEqualTo(3);
        assertThat(after().level(0)).isEqualTo(168);
        // The keyboard is in the first field of the copy; on its row Delete takes it away.
        interact(() -> lookup(".step-row").queryAll().stream().skip(bench().position() + 1L).findFirst().orElseThrow().requestFocus());
        push(KeyCode.DELETE);
        settle();
        assertThat(bench().project().chain().size()).isEqualTo(2);
    }

    @Test
    void cellsArePastedOpenedClearedAndLeftByEsc() {
        openProof();
        addLinear();
        clickOn(sheet("By hand"));
        pick(1, 1);
        clipboard("19\t203\n\t90\n");
        push(KeyCode.SHORTCUT, KeyCode.V);
        settle();
        assertThat(bench().shown().check().agree()).isEqualTo(3);
        push(KeyCode.DELETE);
        settle();
        assertThat(bench().shown().check().filled()).isEqualTo(2);
        write("5");
        push(KeyCode.ESCAPE);
        settle();
        assertThat(bench().shown().check().filled()).isEqualTo(2);
        push(KeyCode.SHORTCUT, KeyCode.C);
        interact(() -> assertThat(Clipboard.getSystemClipboard().getString())
                .isEqualTo("\t\t\t\n\t\t203\t\n\t\t90\t\n"));
        pick(2, 3);
        push(KeyCode.SHORTCUT, KeyCode.V);
        assertThat(shownText()).contains("does not fit");

        when(dialogs.chooseToOpen(any(), any())).thenReturn(Optional.of(write("hand.csv",
                "154,4,0,255\n8,19,203,255\n0,255,90,11\n")));
        clickOn((Button) lookup((Button button) -> button.getText().equals("Open…")
                && button.getStyleClass().contains("quiet")).query());
        until(() -> bench().shown().check().filled() == 12);
        assertThat(shownText()).contains("12 of 12 filled · 12 agree · 0 differ");
        when(dialogs.chooseToOpen(any(), any())).thenReturn(Optional.of(write("short.csv", "1,2\n")));
        push(KeyCode.SHORTCUT, KeyCode.SHIFT, KeyCode.O);
        until(() -> shownText().contains("short.csv has 1 × 2 cells, but the result has 3 × 4"));
        assertThat(bench().shown().check().agree()).isEqualTo(12);
    }

    @Test
    void allSheetsHaveOneZoomOneScrollAndOnePickedPixel() {
        openProof();
        addLinear();
        // The middle of the second row: below the column numbers, one and a half cells.
        clickOn(offset(sheet("After"), -60, 20 + 72 - sheet("After").getHeight() / 2));
        assertThat(bench().pickedProperty().get()).as("48 points a cell").isEqualTo(new Pixel(1, 1));
        push(KeyCode.SHORTCUT, KeyCode.HOME);
        push(KeyCode.DOWN);
        push(KeyCode.RIGHT);
        assertThat(sheet("Before").getAccessibleText()).isEqualTo("Before, row 1, column 1: 101");
        assertThat(sheet("After").getAccessibleText()).isEqualTo("After, row 1, column 1: 19");
        assertThat(sheet("By hand").getAccessibleText()).isEqualTo("By hand, row 1, column 1: not filled");
        push(KeyCode.END);
        push(KeyCode.PAGE_DOWN);
        assertThat(bench().pickedProperty().get()).isEqualTo(new Pixel(2, 3));
        push(KeyCode.SHORTCUT, KeyCode.DIGIT3);
        assertThat(sheet("By hand").getParent().getParent().isVisible()).isFalse();
        push(KeyCode.SHORTCUT, KeyCode.DIGIT2);
        push(KeyCode.SHORTCUT, KeyCode.DIGIT1);
        assertThat(sheet("Before").getParent().getParent().isVisible()).as("the last sheet stays").isTrue();
    }

    @Test
    void aTableCanGetAnotherMaximumLevel() {
        open(write("sort.txt", "0 3 7\n1 2 5\n"));
        TextInputControl field = lookup((TextInputControl f) -> String.valueOf(f.getAccessibleText()).startsWith("Maximum level M")).query();
        assertThat(field.getText()).as("the smallest usual one that holds 7").isEqualTo("7");
        clickOn("15");
        settle();
        assertThat(bench().project().chain().source().maximumLevel()).isEqualTo(15);
        doubleClickOn(field);
        write("6");
        push(KeyCode.ENTER);
        assertThat(shownText()).contains("▲ The value 7 at row 0, column 2 is outside 0–6");
        doubleClickOn(field);
        write("7");
        push(KeyCode.ENTER);
        settle();
        assertThat(bench().project().chain().source().maximumLevel()).isEqualTo(7);
        assertThat(bench().shown().before().orElseThrow().facts().largest()).isEqualTo(Rational.of(7));
    }

    private static DragEvent drop(Dragboard board) {
        return new DragEvent(DragEvent.DRAG_DROPPED, board, 0, 0, 0, 0, TransferMode.COPY, null, null, null);
    }

    @Test
    void filesAndStepsAreDropped() {
        Dragboard files = Mockito.mock(Dragboard.class);
        when(files.hasFiles()).thenReturn(true);
        when(files.getFiles()).thenReturn(java.util.List.of(write("proof.pgm", PROOF).toFile()));
        interact(() -> window.fireEvent(drop(files)));
        until(() -> bench().shown() != null);
        assertThat(bench().project().name()).isEqualTo("proof");
        for (String line : new String[] {"invert", "add amount=1", "multiply factor=2"}) {
            interact(() -> bench().addStep(StepLine.parse(line)));
        }
        settle();
        Dragboard step = Mockito.mock(Dragboard.class);
        when(step.getString()).thenReturn("pixeron-step:2");
        Node first = lookup((Node node) -> "Step 1: invert".equals(node.getAccessibleText())).query();
        interact(() -> first.fireEvent(drop(step)));
        settle();
        assertThat(bench().project().chain().links()).extracting(link -> link.step().line())
                .containsExactly("multiply factor=2", "invert", "add amount=1");
        assertThat(bench().position()).isZero();
    }

    @Test
    void theWheelZoomsAtThePointerAndMoves() {
        open(write("wide.txt", ("0 ".repeat(200) + "\n").repeat(200)));
        Sheet sheet = sheet("Before");
        double before = viewport().cell();
        interact(() -> sheet.fireEvent(wheel(150, 150, 40, true)));
        assertThat(viewport().cell()).isGreaterThan(before);
        for (int n = 0; n < 20; n++) {
            interact(() -> sheet.fireEvent(wheel(150, 150, 40, true)));
        }
        double top = viewport().top();
        interact(() -> sheet.fireEvent(wheel(150, 150, -80, false)));
        // As far as the wheel turns, to the next whole cell.
        assertThat(viewport().top()).isEqualTo(Math.rint(top + 80 / viewport().cell()));
        push(KeyCode.SHORTCUT, KeyCode.DIGIT0);
        assertThat(viewport().cell()).isEqualTo(before);
    }

    private Viewport viewport() {
        return ((BenchView) lookup(".bench").query()).sheets().viewport();
    }

    private static ScrollEvent wheel(double x, double y, double delta, boolean isControl) {
        return new ScrollEvent(ScrollEvent.SCROLL, x, y, x, y, false, isControl, false, false, false, false, 0, delta,
                0, delta, 40, 40,
                ScrollEvent.HorizontalTextScrollUnits.NONE, 0, ScrollEvent.VerticalTextScrollUnits.NONE, 0, 0, null);
    }

    @Test
    void aToleranceLetsNearValuesAgree() {
        openProof();
        addLinear();
        clickOn(sheet("By hand"));
        pick(0, 0);
        write("153");
        push(KeyCode.ENTER);
        settle();
        assertThat(state(0, 0)).isEqualTo(Verdict.DIFFERS);
        clickOn(lookup((TextInputControl field) -> "± 0".equals(field.getPromptText())).<Node>query());
        write("1");
        push(KeyCode.ENTER);
        settle();
        assertThat(state(0, 0)).isEqualTo(Verdict.AGREES);
    }
}

package pixeron.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.when;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.TextField;
import javafx.scene.input.Clipboard;
import javafx.scene.input.ClipboardContent;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.GridPane;
import org.junit.jupiter.api.Test;
import pixeron.byhand.table.HandTable.Place;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.step.catalog.StepLine;

/** Values by hand beyond the sheet: numbers on the way, expressions, files of many kinds, where it starts, the report. */
class ByHandTest extends WindowTest {

    private void openHalf() {
        open(write("proof.pgm", "P2 3 2 255\n137 97 96\n164 98 101\n"));
        interact(() -> bench().addStep(StepLine.parse("divide divisor=2")));
        settle();
    }

    private TextField field(String name) {
        return lookup((TextField field) -> field.isVisible() && String.valueOf(field.getAccessibleText()).startsWith(name)).query();
    }

    /** A message belongs to the block that it is about: the next block, undo and what is no table of numbers leave none behind. */
    @Test
    void aMessageOfARefusedPasteGoesWithTheNextOne() {
        openHalf();
        interact(() -> lookup(".sheet-cells").queryAll().stream().filter(node -> node == sheet("By hand")).findFirst().orElseThrow().requestFocus());
        clipboard("1\t2\t3\t4\n");
        push(KeyCode.SHORTCUT, KeyCode.V);
        assertThat(shownText()).contains("A block of 1 × 4 cells that begins at").contains("Compare cells in both");
        clipboard("68\t48\t48\n");
        push(KeyCode.SHORTCUT, KeyCode.V);
        assertThat(shownText()).doesNotContain("does not fit");
        clipboard("how\tmuch\tis\tit\n");
        push(KeyCode.SHORTCUT, KeyCode.V);
        assertThat(shownText()).contains("does not fit").doesNotContain("Compare cells in both");
        push(KeyCode.SHORTCUT, KeyCode.Z);
        assertThat(shownText()).doesNotContain("does not fit");
    }

    /** 1,234 could be either: the user is asked once, what is there becomes what was meant, and so does what comes after. */
    @Test
    void aCommaThatCouldPartThousandsIsAskedAboutOnce() {
        open(write("deep.pgm", "P2 3 1 65535\n1234 2345 30000\n"));
        interact(() -> bench().addStep(StepLine.parse("add amount=0")));
        settle();
        interact(() -> {
            bench().pick(new Pixel(0, 0));
            sheet("By hand").requestFocus();
        });
        write("1,234");
        push(KeyCode.ENTER);
        settle();
        assertThat(shownText()).contains("1,234 is read as 1.234. Is the comma a decimal mark");
        assertThat(bench().hand().check().agree()).isZero();
        clickOn("It is 1234");
        settle();
        assertThat(bench().hand().text(new Pixel(0, 0))).isEqualTo("1234");
        interact(() -> sheet("By hand").requestFocus());
        write("2,345");
        push(KeyCode.ENTER);
        settle();
        assertThat(shownText()).doesNotContain("is read as");
        interact(() -> bench().hand().editTable(bench().hand().target(), "pixel 0,2", table -> table.with(Map.of(new Place("1", "sum"), "30,000"))));
        settle();
        assertThat(bench().hand().check().agree()).isEqualTo(2);
        assertThat(bench().project().byHand(0, Image.VALUE).tables().get("pixel 0,2").cells().values()).extracting(value -> value.text()).containsExactly("30000");
    }

    private List<Node> workingLines() {
        return List.copyOf(lookup(".working-lines").<GridPane>query().getChildren());
    }

    /** What is under the sheets is not made anew at every key; another pixel, another parameter or another look make it anew. */
    @Test
    void theWorkingStandsStillWhileValuesAreWritten() {
        openHalf();
        pick(0, 0);
        settle();
        List<Node> before = workingLines();
        assertThat(shownText()).contains("137 ÷ 2");
        interact(() -> bench().hand().edit(sheet -> sheet.with(new Pixel(0, 0), "68")));
        settle();
        assertThat(workingLines()).isNotEmpty().isEqualTo(before);
        assertThat(shownText()).contains("You wrote 68");
        pick(1, 0);
        settle();
        assertThat(workingLines()).isNotEqualTo(before);
        assertThat(shownText()).contains("164 ÷ 2").doesNotContain("137 ÷ 2");
        List<Node> light = workingLines();
        push(KeyCode.SHORTCUT, KeyCode.SHIFT, KeyCode.D);
        settle();
        assertThat(workingLines()).isNotEqualTo(light);
        interact(() -> bench().edit(project -> project.withChain(chain -> chain.replaced(0, StepLine.parse("divide divisor=4")))));
        settle();
        assertThat(shownText()).contains("164 ÷ 4").doesNotContain("164 ÷ 2");
    }

    /** A tab that nobody looks at waits until it is opened; then it says what is true by then. */
    @Test
    void slipsAreShownWhenTheirTabIsOpened() {
        openHalf();
        Map<Pixel, String> down = Map.of(new Pixel(0, 0), "68", new Pixel(0, 1), "48", new Pixel(1, 2), "50");
        interact(() -> bench().hand().edit(sheet -> sheet.with(down)));
        settle();
        assertThat(shownText()).doesNotContain("With the slip");
        clickOn("Slips");
        settle();
        assertThat(shownText()).contains("With the slip");
        interact(() -> bench().hand().edit(sheet -> sheet.with(new Pixel(0, 0), "69").with(new Pixel(0, 1), "49").with(new Pixel(1, 2), "51")));
        settle();
        assertThat(shownText()).contains("All filled cells agree.");
    }

    @Test
    void numbersOnTheWayAreWrittenUnderTheWorking() {
        open(write("proof.pgm", "P2 3 2 255\n137 97 96\n164 98 101\n"));
        interact(() -> bench().addStep(StepLine.parse("box size=3")));
        pick(0, 1);
        settle();
        // 137 + 97 + 96 + 164 + 98 + 101 = 693; 693 ÷ 9 = 77. One too many, and the quotient of that: 77.1.
        clickOn(field("sum by hand")).write("694").push(KeyCode.ENTER);
        write("77.1");
        push(KeyCode.ENTER);
        settle();
        assertThat(bench().project().byHand(0, Image.VALUE).tables().get("pixel 0,1").cells()).hasSize(2);
        assertThat(field("sum").getAccessibleText()).isEqualTo("sum by hand, differs");
        assertThat(field("quotient").getAccessibleText()).contains("correct, given your earlier number");
        // What is being typed stays when something else is calculated meanwhile, and belongs to its pixel when another is picked.
        clickOn(field("rounded")).write("7");
        interact(() -> bench().hand().edit(sheet -> sheet.with(new Pixel(1, 2), "5")));
        settle();
        assertThat(field("rounded").getText()).isEqualTo("7");
        pick(1, 1);
        settle();
        assertThat(field("rounded").getText()).isEmpty();
        assertThat(bench().project().byHand(0, Image.VALUE).tables().get("pixel 0,1").cells()).hasSize(3);
        assertThat(bench().project().byHand(0, Image.VALUE).tables()).doesNotContainKey("pixel 1,1");
        interact(() -> {
            bench().undo();
            bench().undo();
        });
        settle();
        // Another pixel has its own numbers, and undo takes back what was written.
        pick(1, 1);
        settle();
        assertThat(field("sum").getText()).isEmpty();
        pick(0, 1);
        interact(() -> bench().undo());
        settle();
        assertThat(field("quotient").getText()).isEmpty();
        assertThat(field("sum").getText()).isEqualTo("694");
    }

    @Test
    void aBlockIsPastedIntoTheNumbersOnTheWay() {
        openHalf();
        pick(0, 0);
        interact(() -> {
            ClipboardContent content = new ClipboardContent();
            content.putString("68.5\t68");
            Clipboard.getSystemClipboard().setContent(content);
        });
        clickOn(field("exact by hand"));
        push(KeyCode.SHORTCUT, KeyCode.V);
        settle();
        assertThat(field("rounded").getText()).isEqualTo("68");
        assertThat(field("rounded").getAccessibleText()).contains("68.5 was rounded down");
    }

    @Test
    void theWrongPartOfAnExpressionStandsAtThePixel() {
        openHalf();
        interact(() -> bench().hand().edit(sheet -> sheet.with(new Pixel(0, 0), "137/3")));
        pick(0, 0);
        settle();
        assertThat(shownText()).contains("You wrote 137/3", "3 is written instead of the divisor 2.");
    }

    @Test
    void aTurnedTableIsOfferedToBeExchanged() {
        openHalf();
        when(dialogs.chooseToOpen(any(), any())).thenReturn(Optional.of(write("turned.csv", "69,82\n49,49\n48,51\n")));
        push(KeyCode.SHORTCUT, KeyCode.SHIFT, KeyCode.O);
        until(() -> shownText().contains("fits only when transposed"));
        clickOn("Transpose");
        settle();
        assertThat(bench().shown().check().agree()).isEqualTo(6);
    }

    @Test
    void aTurnedBlockOnTheClipboardIsOfferedToBeExchanged() {
        openHalf();
        interact(() -> {
            ClipboardContent content = new ClipboardContent();
            content.putString("69\t82\n49\t49\n48\t51\n");
            Clipboard.getSystemClipboard().setContent(content);
        });
        clickOn(sheet("By hand"));
        pick(0, 0);
        push(KeyCode.SHORTCUT, KeyCode.V);
        until(() -> shownText().contains("does not fit"));
        clickOn("Transpose");
        settle();
        assertThat(bench().shown().check().agree()).isEqualTo(6);
    }

    @Test
    void inASquareManyMoreAgreeingValuesTellThatItIsTurned() {
        open(write("square.pgm", "P2 2 2 255\n10 20\n30 40\n"));
        interact(() -> bench().addStep(StepLine.parse("add amount=1")));
        settle();
        when(dialogs.chooseToOpen(any(), any())).thenReturn(Optional.of(write("loop.pgm", "P2 2 2 255\n11 31\n21 41\n")));
        push(KeyCode.SHORTCUT, KeyCode.SHIFT, KeyCode.O);
        until(() -> shownText().contains("2 of 4 values agree; transposed, 4 do."));
        clickOn("Transpose");
        settle();
        assertThat(bench().shown().check().agree()).isEqualTo(4);
    }

    @Test
    void ofSeveralBlocksOneIsChosen() {
        openHalf();
        when(dialogs.chooseToOpen(any(), any())).thenReturn(Optional.of(write("blocks.csv", "69,49,48,,1,1,1\n82,49,51,,2,2,2\n")));
        push(KeyCode.SHORTCUT, KeyCode.SHIFT, KeyCode.O);
        until(() -> shownText().contains("has 2 blocks of 2 × 3. Which one do you want to use?"));
        clickOn("A1:C2");
        settle();
        assertThat(bench().shown().check().agree()).isEqualTo(6);
    }

    @Test
    void whereItStartsLeadsToTheTable() {
        openHalf();
        interact(() -> {
            bench().addStep(StepLine.parse("threshold at=50"));
            bench().edit(project -> project.withTable(0, "levels", none -> none.with(Map.of(
                    new Place("137", "n"), "2")))
                    .withSheet(1, none -> none.with(new Pixel(0, 0), "255")));
            bench().select(1);
        });
        settle();
        clickOn("Slips");
        assertThat(shownText()).contains("First mistake: step 1, Levels table, k = 137, count n. You wrote 2; the correct value is 1.");
        clickOn("Show cell");
        settle();
        assertThat(bench().position()).isZero();
        assertThat(lookup(".hand-table").tryQuery()).isPresent();
    }

    @Test
    void theReportIsWrittenAndTheWorkingCopiedAsLatex() {
        openHalf();
        Path page = folder.resolve("page.html");
        when(dialogs.chooseToSave(any(), any(), any())).thenReturn(Optional.of(page));
        push(KeyCode.SHORTCUT, KeyCode.P);
        until(() -> Files.exists(page));
        settle();
        assertThat(page).content().contains("Step 1: Divide", "divide divisor=2");
        push(KeyCode.SHORTCUT, KeyCode.SHIFT, KeyCode.X);
        String[] copied = new String[1];
        interact(() -> copied[0] = Clipboard.getSystemClipboard().getString());
        assertThat(copied[0]).startsWith("\\[\n\\begin{array}{ll}").contains("137 \\div 2");
    }
}

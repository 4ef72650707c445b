package pixeron.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.Mockito.when;

import java.nio.file.Path;
import java.util.Optional;
import java.util.stream.IntStream;
import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.input.Clipboard;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import org.junit.jupiter.api.Test;
import pixeron.app.model.Display;
import pixeron.app.model.Search;
import pixeron.app.model.Selection;
import pixeron.app.sheet.Sheet;
import pixeron.app.window.Dialogs;
import pixeron.format.ImageFiles;
import pixeron.image.Area;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.look.MemoryRow;
import pixeron.number.Decimals;
import pixeron.number.Rational;
import pixeron.step.catalog.StepLine;

/** Looking at values and drawing them, with real clicks, drags and keys. */
class LookingTest extends WindowTest {

    private static final String SORT = "P2 4 3 7\n1 2 2 5\n7 0 3 3\n4 6 6 1\n";

    private void openSort() {
        open(write("sort.pgm", SORT));
    }

    /** The middle of a cell of Before on the screen; the cells of a small image are 48 points or what fits. */
    private Point2D cell(int row, int column) {
        Sheet sheet = sheet("Before");
        double side = viewport().cell();
        double gutter = sheet.getWidth() - 1 - viewport().across() * side;
        double header = sheet.getHeight() - 1 - viewport().down() * side;
        return sheet.localToScreen(gutter + (column + 0.5) * side, header + (row + 0.5) * side);
    }

    private pixeron.app.sheet.paint.Viewport viewport() {
        return ((pixeron.app.bench.BenchView) lookup(".bench").query()).sheets().viewport();
    }

    private void dragOver(Pixel... cells) {
        moveTo(cell(cells[0].row(), cells[0].column())).press(MouseButton.PRIMARY);
        for (Pixel cell : cells) {
            moveTo(cell(cell.row(), cell.column()));
        }
        release(MouseButton.PRIMARY);
        settle();
    }

    private Node named(String accessibleText) {
        return lookup((Node node) -> node.getAccessibleText() != null
                && node.getAccessibleText().startsWith(accessibleText)).query();
    }

    private Image source() {
        return bench().project().chain().source();
    }

    @Test
    void aRectangleIsMarkedSummedUpAndUsed() {
        openSort();
        push(KeyCode.SHORTCUT, KeyCode.SHIFT, KeyCode.A);
        write("invert");
        push(KeyCode.ENTER);
        settle();
        clickOn("Selection");
        press(KeyCode.SHIFT);
        dragOver(new Pixel(0, 1), new Pixel(1, 2));
        release(KeyCode.SHIFT);
        assertThat(bench().looking().selectionProperty().get()).isEqualTo(new Selection.Rectangle(new Area(0, 1, 2,
                2)));
        // 2 2 | 0 3: sum 7, mean 1.75; inverted 5 5 | 7 4: sum 21, mean 5.25
        until(() -> shownText().contains("5.25"));
        assertThat(shownText()).contains("to row").contains("1.75").contains("21");
        // The opposite corner is typed, and the size follows; then the size, and the corner follows.
        TextField toColumn = (TextField) named("to column of the rectangle");
        assertThat(toColumn.getText()).isEqualTo("2");
        clickOn(toColumn);
        push(KeyCode.SHORTCUT, KeyCode.A);
        write("3").push(KeyCode.ENTER);
        assertThat(bench().looking().selectionProperty().get()).isEqualTo(new Selection.Rectangle(new Area(0, 1, 2, 3)));
        clickOn(named("width of the rectangle"));
        push(KeyCode.SHORTCUT, KeyCode.A);
        write("2").push(KeyCode.ENTER);
        assertThat(bench().looking().selectionProperty().get()).isEqualTo(new Selection.Rectangle(new Area(0, 1, 2, 2)));
        assertThat(toColumn.getText()).isEqualTo("2");
        clickOn("Use as area of the step");
        settle();
        assertThat(bench().project().chain().stage(0).link().step().line()).isEqualTo("invert area=\"0 1 2 2\"");
        clickOn("Copy values");
        String[] copied = new String[1];
        interact(() -> copied[0] = Clipboard.getSystemClipboard().getString());
        assertThat(copied[0]).isEqualTo("5\t5\n7\t4\n");
        when(dialogs.askAboutUnsaved("sort")).thenReturn(Dialogs.Answer.DISCARD);
        clickOn("New image from selection");
        settle();
        assertThat(source()).isEqualTo(Image.of(7, new int[][] {{5, 5}, {7, 4}}));
    }

    @Test
    void keysMarkARectangleAndEscapeLeavesIt() {
        openSort();
        clickOn(sheet("Before"));
        pick(1, 1);
        press(KeyCode.SHIFT).push(KeyCode.RIGHT).push(KeyCode.DOWN).push(KeyCode.LEFT).push(KeyCode.LEFT);
        release(KeyCode.SHIFT);
        assertThat(bench().looking().selectionProperty().get()).isEqualTo(new Selection.Rectangle(new Area(1, 0, 2,
                2)));
        // The tab is made only now, with something marked already; values 7 0 | 4 6 sum up to 17.
        clickOn("Selection");
        until(() -> shownText().contains("17"));
        clickOn(sheet("Before"));
        push(KeyCode.ESCAPE);
        assertThat(bench().looking().selectionProperty().get()).isNull();
    }

    @Test
    void aLineIsMarkedAndMeasured() {
        openSort();
        clickOn(named("Line: dragging"));
        dragOver(new Pixel(0, 0), new Pixel(2, 3));
        clickOn("Selection");
        // Δ 2, 3: √13, city-block 5, chessboard 3; values 1, 0, 3, 1 over (0,0) (1,1) (1,2) (2,3)
        assertThat(shownText()).contains("√13 ≈ 3.6056").contains("1  0  3  1");
        clickOn("Copy as table");
        String[] copied = new String[1];
        interact(() -> copied[0] = Clipboard.getSystemClipboard().getString());
        assertThat(copied[0]).startsWith("pixel\trow\tcolumn\tbefore\tafter\n0\t0\t0\t1\t\n1\t1\t1\t0\t\n");
    }

    @Test
    void pixelsAreFoundByLevelByConditionAndByPlace() {
        openSort();
        Node plot = lookup(".plot").query();
        // eight bars of equal width: the fourth one is level 3
        clickOn(plot.localToScreen(plot.getLayoutBounds().getWidth() * 3.25 / 8, 40));
        settle();
        assertThat(bench().shown().litPixels().orElseThrow().count()).isEqualTo(2);
        assertThat(shownText()).contains("level 3 · count 2");
        push(KeyCode.F7);
        assertThat(bench().pickedProperty().get()).isEqualTo(new Pixel(1, 2));
        clickOn("Display");
        clickOn(named("Condition on a pixel")).write("r >= 5\n");
        settle();
        assertThat(shownText()).contains("Highlighted: r >= 5 before, 4 pixels");
        clickOn("Clear highlight");
        settle();
        assertThat(bench().shown().lit()).isEmpty();
        push(KeyCode.SHORTCUT, KeyCode.G);
        write("2, 3\n");
        assertThat(bench().pickedProperty().get()).isEqualTo(new Pixel(2, 3));
        push(KeyCode.SHORTCUT, KeyCode.A);
        write("x 3 y 9\n");
        assertThat(shownText()).contains("rows are 0–2");
    }

    @Test
    void displayChoicesSaySoAndChangeNoValue() {
        openSort();
        interact(() -> bench().looking().displayProperty().set(Display.PLAIN.withFirst(1).with(
                pixeron.look.NumberBase.BINARY)));
        assertThat(shownText()).contains("shown in binary");
        assertThat(sheet("Before").getAccessibleText()).startsWith("Before, row 1, column 1");
        clickOn("Pixel");
        pick(0, 3);
        assertThat(shownText()).contains("row 1, column 4").contains("0b101").contains("offset 0·4 + 3 = 3");
        clickOn("Display");
        ComboBox<Integer> from = lookup((ComboBox<Integer> box) -> "Count rows and columns from"
                .equals(box.getAccessibleText())).query();
        interact(() -> from.setValue(0));
        clickOn("Back to plain gray");
        assertThat(bench().looking().display()).isEqualTo(Display.PLAIN);
        assertThat(bench().past().savedProperty().get()).as("nothing changed").isTrue();
    }

    @Test
    void followedPixelsAreShownAfterEveryStepAndSaved() {
        openSort();
        push(KeyCode.SHORTCUT, KeyCode.SHIFT, KeyCode.A);
        write("invert");
        push(KeyCode.ENTER);
        settle();
        clickOn(sheet("Before"));
        pick(1, 0);
        push(KeyCode.SHORTCUT, KeyCode.B);
        clickOn("Tracked");
        assertThat(shownText()).contains("1, 0\n").contains("1 invert");
        assertThat(bench().savedProject().view().watched()).containsExactly(new Pixel(1, 0));
        clickOn("Stop tracking");
        assertThat(bench().looking().watchedProperty().get()).isEmpty();
    }

    /** 2 × 2 pixels: the second row interleaved begins at offset 6, its red plane at 2. */
    @Test
    @SuppressWarnings("unchecked") // the only box with this name holds layouts
    void aRowLiesInMemoryInterleavedOrPlaneByPlane() {
        open(write("ink.ppm", "P3 2 2 255  10 20 30  11 21 31  12 22 32  13 23 33"));
        pick(1, 0);
        clickOn("Facts");
        settle();
        assertThat(shownText()).contains("offset = (i · 2 + j) · 3 + c");
        ListView<MemoryRow.Cell> row = lookup(".memory-row").query();
        assertThat(row.getItems()).extracting(cell -> cell.offset() + " " + cell.channel() + " " + Decimals.table(cell.value()))
                .containsExactly("6 red 12", "7 green 22", "8 blue 32", "9 red 13", "10 green 23", "11 blue 33");
        interact(() -> ((ComboBox<MemoryRow.Layout>) named("Memory layout")).setValue(MemoryRow.Layout.PLANES));
        assertThat(row.getItems()).extracting(MemoryRow.Cell::offset).containsExactly(2L, 3L, 6L, 7L, 10L, 11L);
        interact(() -> row.getSelectionModel().select(3));
        assertThat(bench().pickedProperty().get()).as("a sample picks its pixel").isEqualTo(new Pixel(1, 1));
    }

    @Test
    void levelsAreCountedPixelByPixel() {
        openSort();
        push(KeyCode.SHIFT, KeyCode.F4);
        assertThat(shownText()).contains("\nC\n").contains("tally").doesNotContain("counted by hand");
        Node next = named("Count the next pixel");
        clickOn(next).clickOn(next).clickOn(next);
        assertThat(shownText()).contains("3 of 12 counted, last row 0, column 2: level 2");
        clickOn(named("Undo the last count"));
        assertThat(shownText()).contains("2 of 12 counted, last row 0, column 1: level 2");
        // The same keys as in every walk.
        push(KeyCode.ALT, KeyCode.RIGHT);
        assertThat(shownText()).contains("3 of 12 counted").contains("counted by hand");
        push(KeyCode.ALT, KeyCode.DOWN);
        assertThat(shownText()).contains("4 of 12 counted");
        push(KeyCode.ALT, KeyCode.DOWN);
        assertThat(shownText()).contains("8 of 12 counted");
        clickOn(named("Count to the end"));
        assertThat(shownText()).contains("12 of 12 counted");
        clickOn("Show all counts");
        assertThat(shownText()).contains("each step counts one pixel").doesNotContain("counted by hand");
    }

    @Test
    void theImageIsDrawnOnAndEachStrokeIsUndoneAsOne() {
        openSort();
        clickOn(named("Pencil: dragging"));
        TextField level = (TextField) named("Level or color to draw with");
        interact(() -> level.setText("6"));
        dragOver(new Pixel(0, 0), new Pixel(0, 1), new Pixel(0, 2));
        assertThat(source()).isEqualTo(Image.of(7, new int[][] {{6, 6, 6, 5}, {7, 0, 3, 3}, {4, 6, 6, 1}}));
        clickOn(named("Fill: dragging"));
        interact(() -> level.setText("M"));
        dragOver(new Pixel(2, 1));
        assertThat(source().level(9)).isEqualTo(7);
        assertThat(source().level(10)).isEqualTo(7);
        assertThat(source().level(8)).isEqualTo(4);
        clickOn(named("Draw rectangle: dragging"));
        dragOver(new Pixel(1, 2), new Pixel(2, 3));
        assertThat(source().level(11)).isEqualTo(7);
        push(KeyCode.SHORTCUT, KeyCode.Z);
        push(KeyCode.SHORTCUT, KeyCode.Z);
        push(KeyCode.SHORTCUT, KeyCode.Z);
        settle();
        assertThat(source()).isEqualTo(Image.of(7, new int[][] {{1, 2, 2, 5}, {7, 0, 3, 3}, {4, 6, 6, 1}}));
    }

    @Test
    void cellsOfBeforeAreTypedAndPasted() {
        openSort();
        clickOn(sheet("Before"));
        pick(0, 3);
        write("0");
        push(KeyCode.ENTER);
        write("2.5");
        push(KeyCode.ENTER);
        settle();
        assertThat(source().isLevelImage()).as("2.5 is no level").isFalse();
        assertThat(source().value(new Pixel(0, 3))).isEqualTo(Rational.ZERO);
        assertThat(source().value(new Pixel(1, 0))).isEqualTo(Rational.of(5, 2));
        push(KeyCode.SHORTCUT, KeyCode.Z);
        clipboard("4\t4\n4\t4\n");
        pick(1, 1);
        push(KeyCode.SHORTCUT, KeyCode.V);
        settle();
        assertThat(source()).isEqualTo(Image.of(7, new int[][] {{1, 2, 2, 0}, {7, 4, 4, 3}, {4, 4, 4, 1}}));
    }

    private javafx.scene.image.Image drawn(String sheet) {
        settle();
        javafx.scene.image.Image[] picture = new javafx.scene.image.Image[1];
        interact(() -> picture[0] = sheet(sheet).snapshot(null, null));
        return picture[0];
    }

    private static boolean isSame(javafx.scene.image.Image one, javafx.scene.image.Image other) {
        return one.getWidth() == other.getWidth() && one.getHeight() == other.getHeight() && IntStream.range(0, (int) (one.getWidth() * one.getHeight())).allMatch(n ->
                one.getPixelReader().getArgb(n % (int) one.getWidth(), n / (int) one.getWidth()) == other.getPixelReader().getArgb(n % (int) one.getWidth(), n / (int) one.getWidth()));
    }

    /** Hidden sheets are not drawn; one that comes back shows what has changed meanwhile. */
    @Test
    void aSheetThatComesBackShowsWhatIsPickedNow() {
        openSort();
        interact(() -> bench().addStep(StepLine.parse("invert")));
        pick(2, 1);
        javafx.scene.image.Image wanted = drawn("After");
        pick(0, 3);
        assertThat(isSame(drawn("After"), wanted)).isFalse();
        push(KeyCode.CONTROL, KeyCode.DIGIT2);
        assertThat(canBeSeen(sheet("After"))).isFalse();
        pick(2, 1);
        settle();
        push(KeyCode.CONTROL, KeyCode.DIGIT2);
        assertThat(isSame(drawn("After"), wanted)).isTrue();
    }

    /** A cropped result is smaller than what comes in: everything that reads it must see where it ends. */
    @Test
    void aSmallerResultIsShownPickedMarkedAndAnsweredWithinItsEnds() {
        Path file = folder.resolve("grid.pgm");
        ImageFiles.write(file, Image.ofLevels(6, 6, 255, n -> n * 7), false);
        open(file);
        interact(() -> bench().addStep(pixeron.step.catalog.StepLine.parse("threshold-local size=3 border=crop")));
        settle();
        assertThat(after().rows()).isEqualTo(4);
        interact(() -> bench().pickBefore(new Pixel(5, 5)));
        settle();
        assertThat(sheet("After").getAccessibleText()).contains("is not used");
        interact(() -> sheet("By hand").requestFocus());
        write("9");
        push(KeyCode.ENTER);
        settle();
        assertThat(bench().shown().sheet().isEmpty()).isTrue();
        interact(() -> {
            bench().mark(Selection.rectangle(new Pixel(0, 0), new Pixel(5, 5)));
            bench().light(Optional.of(new Search.Levels(false, 0, 100)));
        });
        clickOn("Selection");
        settle();
        interact(() -> bench().mark(Selection.line(new Pixel(0, 0), new Pixel(5, 5))));
        settle();
        pick(0, 0);
        clickOn("Working");
        until(() -> shownText().contains("window"));
        interact(() -> sheet("By hand").requestFocus());
        write("0");
        push(KeyCode.ENTER);
        settle();
        assertThat(shownText()).contains("1 of 16 filled");
        interact(() -> bench().addStep(pixeron.step.catalog.StepLine.parse("invert")));
        settle();
        assertThat(after().columns()).isEqualTo(4);
    }
}

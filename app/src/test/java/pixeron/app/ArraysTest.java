package pixeron.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.when;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicReference;
import javafx.event.Event;
import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.input.Clipboard;
import javafx.scene.input.ContextMenuEvent;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import pixeron.image.ColorImage;
import pixeron.image.Image;

/** Arrays as programs write them, on the clipboard and in files. */
class ArraysTest extends WindowTest {

    private Image opened() {
        return bench().project().chain().source();
    }

    private void pasteAsImage(String text) {
        clipboard(text);
        push(KeyCode.SHORTCUT, KeyCode.SHIFT, KeyCode.V);
    }

    private String copied() {
        AtomicReference<String> text = new AtomicReference<>();
        interact(() -> text.set(Clipboard.getSystemClipboard().getString()));
        return text.get();
    }

    @Test
    void aPastedArrayOpensAtOnceAndSaysWhatItIs() {
        pasteAsImage("image = np.array([\n    [52, 55],\n    [61, 59],\n], dtype=np.uint8)\n");
        until(() -> bench().shown() != null);
        assertThat(opened()).isEqualTo(Image.ofLevels(2, 2, 255, n -> new int[] {52, 55, 61, 59}[n]));
        until(() -> shownText().contains("Array, 2 × 2, uint8, levels 0–255"));
    }

    /** Where bytes may have been printed with a sign, the banner asks; 256 − 1 = 255. */
    @Test
    void negativeBytesAreAskedAbout() {
        pasteAsImage("byte[][] a = {{52, -1}, {-128, 0}};");
        until(() -> shownText().contains("Add 256 to negative values"));
        assertThat(shownText()).contains("Keep the values as they are").doesNotContain("--");
        push(KeyCode.ENTER);
        until(() -> bench().shown() != null);
        assertThat(opened()).isEqualTo(Image.ofLevels(2, 2, 255, n -> new int[] {52, 255, 128, 0}[n]));
    }

    /** A list of six: one row, 2 × 3, 3 × 2 or one column; the most square one is the second choice. */
    @Test
    void aFlatListShowsItsShapes() {
        pasteAsImage("[1, 2, 3, 4, 5, 6]");
        until(() -> shownText().contains("2 rows of 3"));
        assertThat(shownText()).contains("One row of 6", "3 rows of 2", "6 rows of 1");
        clickOn("2 rows of 3");
        clickOn("Open");
        until(() -> bench().shown() != null);
        assertThat(opened()).isEqualTo(Image.ofLevels(2, 3, 255, n -> n + 1));
    }

    /** The wrong line is selected; once it is mended, the array opens. */
    @Test
    void aMistakeIsMendedInTheText() {
        pasteAsImage("[[52, 55],\n [61, x9]]");
        until(() -> shownText().contains("Line 2: “x9” is not a number."));
        write(" [61, 59]]");
        until(() -> !shownText().contains("is not a number"));
        clickOn("Open");
        until(() -> bench().shown() != null);
        assertThat(opened()).isEqualTo(Image.ofLevels(2, 2, 255, n -> new int[] {52, 55, 61, 59}[n]));
    }

    /** 1.0e+03 × 0.052 = 52; without the factor these are fractions. */
    @Test
    void whatWasChangedIsSaidAndUndone() {
        pasteAsImage("a =\n\n   1.0e+03 *\n\n   0.0520   0.0550\n   0.0610   0.0590\n");
        until(() -> shownText().contains("common factor 1.0e+03"));
        clickOn("Read as plain cells");
        until(() -> shownText().contains("Separator"));
    }

    @Test
    void aFileOfAnyEndingIsReadByItsContent() {
        open(write("proof.java", "int[][][] a = {{{52, 107, 172}, {255, 128, 0}}, {{1, 2, 3}, {4, 5, 6}}};\n"));
        assertThat(bench().project().chain().input()).isInstanceOf(ColorImage.class);
        openAgain("two.txt", "[[1, 2], [3]]", "Row 1 (counted from 0) has 1 cell, but row 0 has 2.");
    }

    private void openAgain(String name, String text, String message) {
        interact(() -> window.started(java.util.List.of(write(name, text).toString())));
        until(() -> shownText().contains(message));
    }

    @Test
    void theEndingChoosesTheNotationOfASavedResult() throws IOException {
        open(write("proof.pgm", "P2 2 2 255 52 55 61 59"));
        Path saved = folder.resolve("saved.py");
        when(dialogs.chooseToSave(any(), any(), any())).thenReturn(Optional.of(saved));
        clickOn("Save result…");
        until(() -> shownText().contains("Saved saved.py"));
        assertThat(Files.readString(saved)).isEqualTo("image = [\n    [52, 55],\n    [61, 59],\n]\n");
    }

    @Test
    void theSheetIsCopiedAsAnArray() {
        open(write("proof.pgm", "P2 2 2 255 52 55 61 59"));
        push(KeyCode.SHORTCUT, KeyCode.F);
        write("copy as python");
        push(KeyCode.ENTER);
        settle();
        assertThat(copied()).isEqualTo("image = [\n    [52, 55],\n    [61, 59],\n]\n");
        push(KeyCode.SHORTCUT, KeyCode.F);
        write("bmatrix");
        push(KeyCode.ENTER);
        settle();
        assertThat(copied()).startsWith("\\begin{bmatrix}\n52 & 55");
    }

    /** Each sheet has a menu of its own; the notation that was used last comes first. */
    @Test
    void aSheetHasAMenuThatCopiesIt() {
        open(write("proof.pgm", "P2 2 2 255 52 55 61 59"));
        openMenuOf("Before");
        clickOn("Copy as Java array");
        assertThat(copied()).startsWith("int[][] image = {");
        openMenuOf("Before");
        assertThat(lookup("Copy as Java array").query().localToScreen(0, 0).getY()).isLessThan(lookup("Copy as Python list").query().localToScreen(0, 0).getY());
        push(KeyCode.ESCAPE);
    }

    /** The same menu behind a button that can be seen, also from the keyboard. */
    @Test
    void aSheetHasAButtonThatCopiesIt() {
        open(write("proof.pgm", "P2 2 2 255 52 55 61 59"));
        Node button = lookup(node -> "Copy Before as an array".equals(node.getAccessibleText())).query();
        interact(button::requestFocus);
        push(KeyCode.SPACE);
        clickOn("Copy as JSON");
        assertThat(copied()).isEqualTo("[[52,55],[61,59]]\n");
    }

    /** A .npy file with type i1: −1 is 255 as a byte, or stays. */
    @Test
    void negativeBytesOfABinaryFileAreAskedAbout() throws IOException {
        String header = "{'descr': '|i1', 'fortran_order': False, 'shape': (1, 2), }";
        byte[] head = (header + " ".repeat(117 - header.length()) + "\n").getBytes(StandardCharsets.ISO_8859_1);
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        bytes.write(new byte[] {(byte) 0x93, 'N', 'U', 'M', 'P', 'Y', 1, 0, (byte) head.length, 0});
        bytes.write(head);
        bytes.write(new byte[] {52, -1});
        Path file = Files.write(folder.resolve("proof.npy"), bytes.toByteArray());
        interact(() -> window.started(List.of(file.toString())));
        until(() -> shownText().contains("Add 256 to negative values"));
        assertThat(shownText()).contains("-1 is negative").doesNotContain("--");
        clickOn("Add 256 to negative values");
        until(() -> bench().shown() != null);
        assertThat(opened()).isEqualTo(Image.ofLevels(1, 2, 255, n -> new int[] {52, 255}[n]));
    }

    /** A file in JSON that is no project is an array. */
    @ParameterizedTest
    @ValueSource(strings = {"[[52, 55], [61, 59]]", "{\"name\": \"proof\", \"image\": [[52, 55], [61, 59]]}"})
    void aFileInJsonCanHoldAnArray(String text) {
        open(write("proof.json", text));
        // 63 is the smallest usual maximum level that holds 61.
        assertThat(opened()).isEqualTo(Image.ofLevels(2, 2, 63, n -> new int[] {52, 55, 61, 59}[n]));
    }

    /** As the right button or the menu key does. */
    private void openMenuOf(String sheet) {
        Point2D place = at(sheet, 0.5, 0.5);
        interact(() -> Event.fireEvent(sheet(sheet), new ContextMenuEvent(ContextMenuEvent.CONTEXT_MENU_REQUESTED, 0, 0, place.getX(), place.getY(), false, null)));
    }

    @Test
    void aTableIsCopiedAsMarkdown() {
        open(write("proof.pgm", "P2 2 2 3 0 1 1 3"));
        push(KeyCode.SHORTCUT, KeyCode.SHIFT, KeyCode.A);
        write("equalize");
        push(KeyCode.ENTER);
        settle();
        push(KeyCode.F4);
        settle();
        clickOn("Copy as");
        clickOn("Markdown table");
        assertThat(copied()).contains("|---:|").startsWith("| k | n |");
    }

    /** 255 − 52 = 203; what is missing stays empty. */
    @Test
    void valuesByHandArePastedAsAnArray() {
        open(write("proof.pgm", "P2 2 2 255 52 55 61 59"));
        push(KeyCode.SHORTCUT, KeyCode.SHIFT, KeyCode.A);
        write("invert");
        push(KeyCode.ENTER);
        settle();
        clickOn(at("By hand", 0.5, 0.5));
        settle();
        clipboard("[[203, 200],\n [None, 190]]");
        push(KeyCode.SHORTCUT, KeyCode.V);
        until(() -> bench().hand().check().cells().size() == 3);
        assertThat(bench().hand().check().differing()).hasSize(1);
    }
}

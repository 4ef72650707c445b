package pixeron.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.concurrent.atomic.AtomicReference;
import javafx.scene.input.Clipboard;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
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
        until(() -> shownText().contains("These may be bytes printed with a sign."));
        assertThat(shownText()).contains("Keep the values as they are").doesNotContain("--signed-bytes");
        clickOn("Add 256 to negative values");
        until(() -> bench().shown() != null);
        assertThat(opened()).isEqualTo(Image.ofLevels(2, 2, 255, n -> new int[] {52, 255, 128, 0}[n]));
    }

    @Test
    void aFileOfAnyEndingIsReadByItsContent() {
        open(write("proof.java", "int[][][] a = {{{52, 107, 172}, {255, 128, 0}}};\n"));
        assertThat(bench().project().chain().input()).isInstanceOf(ColorImage.class);
        openAgain("two.txt", "[[1, 2], [3]]", "Row 1 (counted from 0) has 1 cell, but row 0 has 2.");
    }

    private void openAgain(String name, String text, String message) {
        interact(() -> window.started(java.util.List.of(write(name, text).toString())));
        until(() -> shownText().contains(message));
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

package pixeron.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.when;

import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.TextField;
import javafx.scene.image.WritableImage;
import javafx.scene.input.Clipboard;
import javafx.scene.input.ClipboardContent;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import pixeron.image.ColorImage;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.look.PackedPixel;
import pixeron.make.TooLarge;
import pixeron.number.Rational;

/** How an image comes into the program when the file does not say everything: tables, the clipboard, limits. */
class GettingImagesTest extends WindowTest {

    private Node named(String accessibleText) {
        return lookup((Node node) -> accessibleText.equals(node.getAccessibleText())).query();
    }

    private void openTable(String name, String text) {
        when(dialogs.chooseToOpen(any(), any())).thenReturn(Optional.of(write(name, text)));
        push(KeyCode.SHORTCUT, KeyCode.O);
        until(() -> lookup((Node node) -> "Maximum level".equals(node.getAccessibleText()) && node.isVisible()
                && node.getScene() != null).tryQuery().isPresent() && shownText().contains("Read " + name));
    }

    private Image source() {
        until(() -> bench().shown() != null);
        settle();
        return bench().project().chain().source();
    }

    @Test
    void aTableIsReadWithWhatFitsItByOneKey() {
        openTable("sort.csv", "left;right\n1;2\n7;0\n");
        push(KeyCode.ENTER);
        assertThat(source()).isEqualTo(Image.of(7, new int[][] {{1, 2}, {7, 0}}));
        assertThat(bench().past().savedProperty().get()).as("the file is still there").isTrue();
        assertThat(shownText()).contains("sort");
    }

    @Test
    void everyPartOfTheFormCanBeSet() {
        openTable("numbers.txt", "1,5 2\n3 4\n");
        // the comma is taken as the separator first, and then the rows differ in length
        assertThat(shownText()).contains("▲");
        ComboBox<Character> separator = lookup((ComboBox<Character> box) -> "Cell separator"
                .equals(box.getAccessibleText())).query();
        interact(() -> separator.setValue(' '));
        clickOn("decimal comma: 1,5");
        clickOn("lines are columns");
        assertThat(shownText()).contains("1 value is not a whole level from 0 to 255");
        ComboBox<TooLarge> way = lookup((ComboBox<TooLarge> box) -> "Handling of values that do not fit"
                .equals(box.getAccessibleText())).query();
        interact(() -> way.setValue(TooLarge.KEEP));
        clickOn(shownButton("Open"));
        assertThat(source().value(0)).isEqualTo(Rational.of(3, 2));
        assertThat(source().value(1)).isEqualTo(Rational.of(3));
        assertThat(source().isLevelImage()).isFalse();
    }

    private Node shownButton(String text) {
        return lookup((javafx.scene.control.Button button) -> text.equals(button.getText())
                && button.getStyleClass().contains("accent") && button.isVisible()).queryAll().stream()
                .reduce((first, second) -> second).orElseThrow();
    }

    @Test
    void valuesThatAreTooLargeAreAskedAbout() {
        openTable("products.csv", "100,400\n20,1\n");
        assertThat(((TextField) named("Maximum level")).getText()).as("the smallest usual one that holds 400").isEqualTo("1023");
        interact(() -> ((TextField) named("Maximum level")).setText("255"));
        assertThat(shownText()).contains("1 value is not a whole level from 0 to 255 (smallest 1, largest 400)");
        push(KeyCode.ENTER);
        assertThat(source()).isEqualTo(Image.of(400, new int[][] {{100, 400}, {20, 1}}));
    }

    @Test
    void whatIsNoTableCannotBeTakenAndEscapeLeaves() {
        openTable("words.txt", "one two\nthree four\n");
        assertThat(shownText()).contains("is not a number");
        push(KeyCode.ENTER);
        assertThat(bench().isOpen()).isFalse();
        push(KeyCode.ESCAPE);
        assertThat(named("Maximum level").getParent().getParent().getParent().getParent().isVisible()).isFalse();
    }

    @Test
    void numbersAreTypedOnPaperAndPasted() {
        clipboard("0\t1\n1\t0\n");
        push(KeyCode.SHORTCUT, KeyCode.V);
        TextField maximum = (TextField) named("Maximum level");
        assertThat(maximum.getText()).isEqualTo("1");
        interact(() -> maximum.setText("10"));
        clickOn(maximum);
        push(KeyCode.ENTER);
        assertThat(source()).isEqualTo(Image.of(10, new int[][] {{0, 1}, {1, 0}}));
        assertThat(bench().past().savedProperty().get()).as("nothing else keeps it").isFalse();
    }

    @Test
    void aPictureGoesOutToTheClipboardAndComesBack() {
        open(write("proof.pgm", "P2 2 1 255 10 200"));
        push(KeyCode.SHORTCUT, KeyCode.ALT, KeyCode.C);
        boolean[] hasPicture = new boolean[1];
        interact(() -> hasPicture[0] = Clipboard.getSystemClipboard().hasImage());
        assertThat(hasPicture[0]).isTrue();
        push(KeyCode.SHORTCUT, KeyCode.SHIFT, KeyCode.V);
        until(() -> bench().project().name().equals("Pasted picture"));
        assertThat(source()).isEqualTo(Image.of(255, new int[][] {{10, 200}}));
        interact(() -> {
            WritableImage red = new WritableImage(1, 1);
            red.getPixelWriter().setArgb(0, 0, 0xFFFF0000);
            ClipboardContent content = new ClipboardContent();
            content.putImage(red);
            Clipboard.getSystemClipboard().setContent(content);
        });
        when(dialogs.askAboutUnsaved(any())).thenReturn(pixeron.app.window.Dialogs.Answer.DISCARD);
        push(KeyCode.SHORTCUT, KeyCode.SHIFT, KeyCode.V);
        until(() -> bench().project().chain().input() instanceof ColorImage);
        assertThat(bench().project().chain().size()).as("nothing becomes gray unasked").isZero();
        assertThat(PackedPixel.find(bench().project().chain().input(), new Pixel(0, 0)).orElseThrow().hexadecimal()).isEqualTo("0xFFFF0000");
    }

    @Test
    void aHugeImageIsReadAfterAQuestion() {
        java.nio.file.Path file = folder.resolve("huge.pbm");
        try (var out = java.nio.file.Files.newOutputStream(file)) {
            out.write("P4 9000 9000\n".getBytes(java.nio.charset.StandardCharsets.US_ASCII));
            out.write(new byte[9000 * 1125]);
        } catch (java.io.IOException impossible) {
            throw new java.io.UncheckedIOException(impossible);
        }
        interact(() -> window.started(java.util.List.of(file.toString())));
        until(() -> shownText().contains("9000 × 9000 pixels"));
        assertThat(bench().isOpen()).isFalse();
        clickOn("Open anyway (193 MiB or more)");
        until(() -> bench().shown() != null);
        assertThat(bench().project().chain().source().count()).isEqualTo(81_000_000);
    }
}

package pixeron.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.when;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.Clipboard;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import pixeron.app.model.Selection;
import pixeron.format.ImageFiles;
import pixeron.format.ReadOptions;
import pixeron.image.Area;
import pixeron.image.ColorImage;
import pixeron.image.Image;
import pixeron.image.ImageFacts;
import pixeron.image.Pixel;
import pixeron.image.Result;
import pixeron.make.Makers;
import pixeron.number.Rational;
import pixeron.step.Progress;

/**
 * Whole jobs from start to end, as docs/ease.md counts them: a click, a drag, a key that is no digit, a number or name that is typed, each is one action. A job
 * takes at most twice the actions that its need has.
 */
class JobsTest extends WindowTest {

    private int actions;
    private int need;

    @AfterEach
    void takesNoMoreThanTwiceTheNeed() {
        assertThat(actions).as("actions, of which the need has %d", need).isBetween(1, 2 * need);
    }

    private void key(KeyCode... keys) {
        actions++;
        push(keys);
        settleIfOpen();
    }

    private void type(String text) {
        actions++;
        write(text);
        settleIfOpen();
    }

    private void click(String words) {
        actions++;
        clickOn(words);
        settleIfOpen();
    }

    private void click(Node node) {
        actions++;
        clickOn(node);
        settleIfOpen();
    }

    private void settleIfOpen() {
        if (bench().shown() != null) {
            settle();
        }
    }

    private Node named(String words) {
        return lookup((Node node) -> node.getAccessibleText() != null && node.getAccessibleText().startsWith(words) && canBeSeen(node)).query();
    }

    /** A step by its name, as the search takes it: three actions. */
    private void add(String name) {
        key(KeyCode.SHORTCUT, KeyCode.SHIFT, KeyCode.A);
        type(name);
        key(KeyCode.ENTER);
    }

    /** Ctrl+O and a file: two actions. */
    private void openByKeys(Path file) {
        when(dialogs.chooseToOpen(any(), any())).thenReturn(Optional.of(file));
        actions += 2;
        push(KeyCode.SHORTCUT, KeyCode.O);
        until(() -> bench().shown() != null);
        settle();
    }

    /** Ctrl+E and a name: two actions. */
    private Result savedAs(String name) {
        Path file = folder.resolve(name);
        when(dialogs.chooseToSave(any(), any(), any())).thenReturn(Optional.of(file));
        actions += 2;
        push(KeyCode.SHORTCUT, KeyCode.E);
        until(() -> Files.exists(file));
        return ImageFiles.read(file, ReadOptions.DEFAULT).result();
    }

    private Path made(String name, String line) {
        Path file = folder.resolve(name);
        ImageFiles.write(file, Makers.make(line), false);
        return file;
    }

    private Image last() {
        return bench().project().chain().last(Progress.NONE).image();
    }

    /** Job 2: a flat picture, its counts and ends, stretched, compared, saved. */
    @Test
    void aFlatPictureIsStretchedBetweenItsEnds() {
        need = 6;
        openByKeys(made("flat.pgm", "gradient rows=6 columns=51 from=100 to=150"));
        assertThat(shownText()).contains("min 100 · max 150");
        add("stretch");
        assertThat(shownText()).contains("min 0 · max 255");
        key(KeyCode.SHIFT, KeyCode.F4);
        assertThat(shownText()).contains("\nC\n").contains("tally");
        key(KeyCode.F6);
        ImageFacts facts = ImageFacts.of((Image) savedAs("stretched.png"));
        assertThat(facts.smallest()).isEqualTo(Rational.ZERO);
        assertThat(facts.largest()).isEqualTo(Rational.of(255));
    }

    /** Job 11: two pictures of different size, one brighter, the other darker and as small as the first, each with its counts, both added. */
    @Test
    void twoPicturesAreMadeGrayAndAdded() {
        need = 18;
        openByKeys(made("ochre.ppm", "color rows=4 columns=4 color=0xC88C28"));
        when(dialogs.chooseToOpen(any(), any())).thenReturn(Optional.of(made("blue.ppm", "color rows=8 columns=8 color=0x2854C8")));
        actions++;
        key(KeyCode.SHORTCUT, KeyCode.ALT, KeyCode.O);
        until(() -> !bench().project().images().isEmpty());
        settle();
        assertThat(shownText()).contains("4 × 4").contains("blue\n8 × 8");
        add("gray");
        add("add");
        type("30");
        click("Open");
        add("gray");
        add("subtract");
        type("50");
        add("resize");
        type("0.5");
        key(KeyCode.SHORTCUT, KeyCode.ALT, KeyCode.B);
        add("combine");
        // By: the second field, whose choice is found by its letters.
        key(KeyCode.TAB);
        type("sum");
        // (200 + 140 + 40) ÷ 3 = 126.7, so 127 + 30; (40 + 84 + 200) ÷ 3 = 108 − 50.
        assertThat(last()).isEqualTo(Image.flat(last().frame(), Rational.of(157 + 58)));
        key(KeyCode.SHIFT, KeyCode.F4);
        assertThat(shownText()).contains("\nC\n");
    }

    /** Job 16: a new black image, something drawn, saved as text; one and sixteen bits. */
    @Test
    void aNewImageIsDrawnOnAndSavedAsText() throws IOException {
        need = 8;
        key(KeyCode.SHORTCUT, KeyCode.N);
        key(KeyCode.TAB);
        // Columns follow, until a user says otherwise.
        type("100");
        key(KeyCode.ENTER);
        until(() -> bench().shown() != null);
        settle();
        click(named("Pencil: dragging"));
        actions++;
        dragOn("Before", 50.5, 20.5, 50.5, 40.5);
        assertThat(((Image) bench().project().chain().input()).level(50 * 100 + 30)).isEqualTo(255);
        savedAs("drawn.csv");
        assertThat(Files.readAllLines(folder.resolve("drawn.csv"))).hasSize(100).element(50).asString().contains("0,255,255");
        add("depth");
        type("65535");
        assertThat(last().maximumLevel()).isEqualTo(65535);
        assertThat(last().level(50 * 100 + 30)).isEqualTo(65535);
    }

    /** Job 20: the diagonal becomes black and opaque, by a loop over one variable. */
    @Test
    void aDiagonalIsSetByOneLoop() {
        need = 4;
        open(made("sheet.png", "color rows=200 columns=200 color=0x80E8DCC4"));
        // From corner to corner is what a line begins with; its value is the third field.
        add("line");
        key(KeyCode.TAB);
        key(KeyCode.TAB);
        type("0xFF000000");
        ColorImage drawn = (ColorImage) bench().project().chain().last(Progress.NONE).required();
        Pixel onIt = new Pixel(77, 77);
        assertThat(drawn.alpha().orElseThrow().value(onIt)).isEqualTo(Rational.of(255));
        assertThat(drawn.red().value(onIt)).isEqualTo(Rational.ZERO);
        assertThat(drawn.alpha().orElseThrow().value(new Pixel(77, 78))).isEqualTo(Rational.of(128));
        click("Loops");
        click("Python");
        TextInputControl program = (TextInputControl) named("The step as a program");
        assertThat(program.getText()).contains("for k in range(200):");
    }

    /** Job 21: the value under the pointer, one pixel red, a region by its rows and columns, its numbers, and a copy of it elsewhere. */
    @Test
    void aPixelIsSetAndARegionCopied() {
        need = 11;
        open(made("stock.ppm", "color rows=6 columns=8 color=0xE8DCC4"));
        actions++;
        moveTo(at("Before", 2.5, 5.5));
        assertThat(shownText()).contains("232").contains("220").contains("196");
        add("set-pixels");
        type("2 5 0xFF0000");
        ColorImage red = (ColorImage) bench().project().chain().last(Progress.NONE).required();
        assertThat(red.green().value(new Pixel(2, 5))).isEqualTo(Rational.ZERO);
        actions++;
        press(KeyCode.SHIFT);
        dragOn("Before", 1.5, 4.5, 3.5, 6.5);
        release(KeyCode.SHIFT);
        assertThat(bench().looking().selectionProperty().get()).isEqualTo(new Selection.Rectangle(new Area(1, 4, 3, 3)));
        click("Selection");
        key(KeyCode.ALT, KeyCode.DIGIT1);
        until(() -> shownText().contains("before, red") || shownText().contains("232"));
        key(KeyCode.ALT, KeyCode.DIGIT2);
        click("Copy values");
        String[] copied = new String[1];
        interact(() -> copied[0] = Clipboard.getSystemClipboard().getString());
        assertThat(copied[0]).isEqualTo("220\t220\t220\n220\t0\t220\n220\t220\t220\n");
        key(KeyCode.ALT, KeyCode.DIGIT0);
        add("paste");
        type("0");
        key(KeyCode.TAB);
        type("0");
        ColorImage pasted = (ColorImage) bench().project().chain().last(Progress.NONE).required();
        assertThat(pasted.green().value(new Pixel(1, 1))).as("the red pixel of the copy").isEqualTo(Rational.ZERO);
    }
}

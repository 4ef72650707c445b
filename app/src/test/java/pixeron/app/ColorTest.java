package pixeron.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.when;

import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import javafx.scene.control.Labeled;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.Clipboard;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import pixeron.app.model.Display;
import pixeron.format.ImageFiles;
import pixeron.format.ReadOptions;
import pixeron.image.ColorImage;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.image.Result;
import pixeron.look.PackedPixel;
import pixeron.step.catalog.StepLine;

/** An image with color on the bench, channel by channel, with real clicks and keys. */
class ColorTest extends WindowTest {

    private static final ColorImage INKS = new ColorImage(Image.of(255, new int[][] {{71, 250}, {100, 0}}),
            Image.of(255, new int[][] {{171, 10}, {150, 0}}), Image.of(255, new int[][] {{172, 20}, {200, 255}}), Optional.empty());

    private Path file;

    @BeforeEach
    void openInks() {
        file = folder.resolve("inks.png");
        ImageFiles.write(file, INKS, false);
        open(file);
    }

    private void add(String line) {
        interact(() -> bench().addStep(StepLine.parse(line)));
        settle();
    }

    private ToggleButton toggle(String words) {
        return lookup((ToggleButton button) -> words.equals(button.getAccessibleText()) && canBeSeen(button)).query();
    }

    private String copied() {
        String[] text = new String[1];
        interact(() -> text[0] = Clipboard.getSystemClipboard().getString());
        return text[0];
    }

    private String byHand(String channel, int row, int column) {
        var value = bench().project().byHand(bench().position(), channel).sheet().cells().get(new Pixel(row, column));
        return value == null ? "" : value.text();
    }

    private List<String> slips() {
        return bench().hand().found().slips().stream().map(slip -> slip.ids().get(0)).toList();
    }

    /** Take all green out, raise red by 40, save, and tell by one pixel that it is right. */
    @Test
    void greenIsTakenOutRedRaisedAndThePictureSaved() {
        assertThat(seen(Labeled.class)).extracting(Labeled::getText).as("nothing becomes gray unasked").contains("Red", "Green", "Blue")
                .doesNotContain("By hand");
        push(KeyCode.SHORTCUT, KeyCode.SHIFT, KeyCode.A);
        write("multiply");
        push(KeyCode.ENTER);
        settle();
        push(KeyCode.SHORTCUT, KeyCode.A);
        write("0");
        clickOn(toggle("Work on red"));
        clickOn(toggle("Work on blue"));
        settle();
        assertThat(bench().project().chain().stage(0).link().step().line()).isEqualTo("multiply factor=0 channels=green");
        clickOn(toggle("Work on green"));
        assertThat(toggle("Work on green").isSelected()).as("one is always on").isTrue();
        push(KeyCode.SHORTCUT, KeyCode.SHIFT, KeyCode.A);
        write("add");
        push(KeyCode.ENTER);
        settle();
        push(KeyCode.SHORTCUT, KeyCode.A);
        write("40");
        clickOn(toggle("Work on green"));
        clickOn(toggle("Work on blue"));
        settle();
        pick(0, 1);
        // 250 + 40 is capped; 10 is gone; 20 stays.
        assertThat(shownText()).contains("255 0 20", "0xFFFF0014", "s = 250 + 40", "11111111 11111010 00000000 00010100");
        Path saved = folder.resolve("saved.png");
        when(dialogs.chooseToSave(any(), any(), any())).thenReturn(Optional.of(saved));
        push(KeyCode.SHORTCUT, KeyCode.E);
        until(() -> shownText().contains("Saved saved.png"));
        Result back = ImageFiles.read(saved, ReadOptions.DEFAULT).result();
        assertThat(PackedPixel.find(back, new Pixel(0, 0)).orElseThrow().hexadecimal()).isEqualTo("0xFF6F00AC");
        assertThat(PackedPixel.find(back, new Pixel(0, 1)).orElseThrow().hexadecimal()).isEqualTo("0xFFFF0014");
        push(KeyCode.ALT, KeyCode.DIGIT1);
        push(KeyCode.SHORTCUT, KeyCode.E);
        until(() -> ImageFiles.read(saved, ReadOptions.DEFAULT).result() instanceof Image);
        assertThat(ImageFiles.read(saved, ReadOptions.DEFAULT).image()).as("one channel where one is looked at")
                .isEqualTo(Image.of(255, new int[][] {{111, 255}, {140, 40}}));
    }

    @Test
    void valuesByHandArePackedOrANumberForEachChannelOrOfOne() {
        add("add amount=20 channels=red");
        pick(0, 0);
        clickOn(sheet("By hand"));
        pick(0, 0);
        write("0x5BABAC");
        push(KeyCode.ENTER);
        settle();
        assertThat(List.of(byHand("red", 0, 0), byHand("green", 0, 0), byHand("blue", 0, 0))).containsExactly("91", "171", "172");
        assertThat(bench().pickedProperty().get()).isEqualTo(new Pixel(0, 1));
        write("14 10 20");
        push(KeyCode.ENTER);
        settle();
        assertThat(sheet("By hand").getAccessibleText()).contains("row 1, column 0");
        pick(0, 1);
        assertThat(sheet("By hand").getAccessibleText()).contains("red 14 differs by 241 less", "green 10 agrees", "blue 20 agrees");
        assertThat(shownText()).contains("You wrote red 14.", "5 agree · 1 differ");
        // One number is of the channel that is looked at; all that a packed value wrote is undone at once.
        pick(1, 0);
        write("120");
        push(KeyCode.ENTER);
        settle();
        assertThat(byHand("red", 1, 0)).isEqualTo("120");
        assertThat(byHand("green", 1, 0)).isEmpty();
        push(KeyCode.SHORTCUT, KeyCode.Z);
        push(KeyCode.SHORTCUT, KeyCode.Z);
        settle();
        assertThat(byHand("green", 0, 1)).isEmpty();
        assertThat(byHand("green", 0, 0)).isEqualTo("171");
        // In a channel it is an image like any other, and Delete takes all of a pixel where it is looked at as a whole.
        push(KeyCode.ALT, KeyCode.DIGIT2);
        settle();
        assertThat(bench().shown().check().filled()).isEqualTo(1);
        assertThat(sheet("By hand").getAccessibleText()).startsWith("By hand");
        push(KeyCode.ALT, KeyCode.DIGIT0);
        settle();
        interact(() -> {
            bench().pick(new Pixel(0, 0));
            sheet("By hand").requestFocus();
        });
        push(KeyCode.DELETE);
        settle();
        assertThat(bench().hand().check().filled()).isZero();
    }

    @Test
    void packedBlocksAreCopiedAndPasted() {
        add("invert");
        interact(() -> {
            bench().looking().displayProperty().set(Display.PLAIN.with(Display.Cells.PACKED));
            sheet("After").requestFocus();
        });
        push(KeyCode.SHORTCUT, KeyCode.C);
        // 255 − 71 = 184, 255 − 171 = 84, 255 − 172 = 83.
        assertThat(copied()).isEqualTo("0xFFB85453\t0xFF05F5EB\n0xFF9B6937\t0xFFFFFF00\n");
        interact(() -> {
            bench().pick(new Pixel(0, 0));
            sheet("By hand").requestFocus();
        });
        push(KeyCode.SHORTCUT, KeyCode.V);
        settle();
        assertThat(bench().hand().check().agree()).isEqualTo(12);
        push(KeyCode.SHORTCUT, KeyCode.C);
        assertThat(copied()).startsWith("0xFFB85453\t");
        interact(() -> bench().looking().displayProperty().set(Display.PLAIN));
        push(KeyCode.SHORTCUT, KeyCode.C);
        assertThat(copied()).isEqualTo("184 84 83\t5 245 235\n155 105 55\t255 255 0\n");
        pick(1, 1);
        push(KeyCode.SHORTCUT, KeyCode.V);
        until(() -> shownText().contains("does not fit"));
        // A picture is an answer as well.
        Path answer = folder.resolve("answer.png");
        ImageFiles.write(answer, INKS, false);
        when(dialogs.chooseToOpen(any(), any())).thenReturn(Optional.of(answer));
        push(KeyCode.SHORTCUT, KeyCode.SHIFT, KeyCode.O);
        until(() -> shownText().contains("Read 12 values"));
        settle();
        assertThat(bench().hand().check().agree()).isZero();
        assertThat(byHand("blue", 0, 1)).isEqualTo("20");
    }

    @Test
    void loopsTakePackedPixelsApartOrNameTheChannels() {
        add("add amount=20 channels=\"red blue\"");
        pick(0, 1);
        clickOn("Loops");
        assertThat(shownText()).contains("p ← before[i][j], packed", "r ← ((p shifted right by shift) and 0xFF)", "q ← q or (s shifted left by shift)",
                "0xFFFF0A28");
        clickOn("Masks and shifts");
        assertThat(shownText()).contains("for c in red, blue:", "r ← before[i][j].c", "after[i][j].green ← before[i][j].green");
        push(KeyCode.F9);
        push(KeyCode.ALT, KeyCode.RIGHT);
        push(KeyCode.ALT, KeyCode.RIGHT);
        assertThat(bench().walking().walk().written()).isEqualTo(2);
        assertThat(sheet("After").getAccessibleText()).contains("red 255, green 10, blue 40");
        interact(() -> bench().walking().guessingProperty().set(true));
        interact(() -> sheet("By hand").requestFocus());
        write("120 150 220");
        push(KeyCode.ENTER);
        settle();
        assertThat(bench().walking().scoreProperty().get().right()).isEqualTo(1);
        write("0x14001");
        push(KeyCode.ENTER);
        settle();
        assertThat(bench().walking().scoreProperty().get().wrong()).isEqualTo(1);
        push(KeyCode.F9);
        // One channel has its own loop, as any image.
        push(KeyCode.ALT, KeyCode.DIGIT3);
        settle();
        clickOn("Loops");
        assertThat(shownText()).contains("r ← before[i][j]").doesNotContain("shifted", "for c in");
    }

    @Test
    void channelsAreCountedLitAndToldApart() {
        add("add amount=20");
        assertThat(shownText()).contains("— red", "– – green", "· · · blue");
        push(KeyCode.ALT, KeyCode.DIGIT3);
        settle();
        assertThat(shownText()).contains("■ before", "1 · Add, blue").doesNotContain("— red");
        assertThat(after()).isEqualTo(Image.of(255, new int[][] {{192, 40}, {220, 255}}));
        push(KeyCode.ALT, KeyCode.DIGIT4);
        settle();
        assertThat(after()).as("there is no alpha: the first channel is shown").isEqualTo(Image.of(255, new int[][] {{91, 255}, {120, 20}}));
        push(KeyCode.ALT, KeyCode.DIGIT5);
        settle();
        assertThat(seen(Labeled.class)).extracting(Labeled::getText).contains("Red", "Green", "Blue", "After").doesNotContain("By hand", "Before");
        assertThat(sheet("Green").getAccessibleText()).startsWith("Green, row 0, column 0: 191");
        clickOn(sheet("Green"));
        settle();
        assertThat(bench().looking().channelProperty().get()).isEqualTo("green");
        push(KeyCode.F4);
        clickOn("Facts");
        assertThat(shownText()).contains("after, green");
        interact(() -> bench().looking().toggleWatched(new Pixel(0, 1)));
        clickOn("Tracked");
        assertThat(shownText()).contains("250 10 20", "255 30 40");
    }

    @Test
    void grayAndOtherStepsThatTakeColorAreOfferedWhereThereIsSome() {
        push(KeyCode.SHORTCUT, KeyCode.SHIFT, KeyCode.A);
        write("gray");
        push(KeyCode.ENTER);
        settle();
        // (71 + 171 + 172) ÷ 3 = 138
        assertThat(after().level(0)).isEqualTo(138);
        assertThat(shownText()).contains("gray = (71 + 171 + 172) ÷ 3", "0xFF47ABAC");
        assertThat(lookup((ToggleButton button) -> "Work on red".equals(button.getAccessibleText()) && canBeSeen(button)).queryAll()).isEmpty();
        push(KeyCode.SHORTCUT, KeyCode.SHIFT, KeyCode.A);
        write("reorder");
        push(KeyCode.ENTER);
        settle();
        assertThat(bench().project().chain().size()).as("a gray image has no channels to swap").isEqualTo(1);
        push(KeyCode.ESCAPE);
        push(KeyCode.F6);
        settle();
        until(() -> shownText().contains("the other results are compared with this one"));
        interact(() -> bench().select(-1));
        settle();
        add("reorder order=\"blue green red\"");
        until(() -> shownText().contains("of 12 pixels changed") || shownText().contains("of 12 values changed"));
    }

    @Test
    void theColorProofShowsOneSlipAfterTheOther() {
        push(KeyCode.SHORTCUT, KeyCode.W);
        clickOn("Color proof");
        until(() -> bench().shown() != null && bench().project().name().equals("Color proof"));
        settle();
        assertThat(slips()).containsExactly("carried-over");
        clickOn("Slips");
        assertThat(shownText()).contains("the change is added to the packed value without clipping");
        push(KeyCode.F8);
        clickOn("Working");
        assertThat(shownText()).contains("You wrote red 25, green 25, blue 24.", "carries into the next channel");
        interact(() -> bench().select(1));
        settle();
        assertThat(slips()).containsExactly("mask-slip");
        interact(() -> bench().select(3));
        settle();
        assertThat(slips()).containsExactly("channels-swapped");
        interact(() -> bench().select(4));
        settle();
        assertThat(slips()).containsExactly("other-gray-rule");
        interact(() -> bench().select(0));
        settle();
        clickOn("Slips");
        clickOn("Find it yourself");
        clickOn("Next hint");
        clickOn("Next hint");
        assertThat(shownText()).contains("45 of your 72 values differ", "The first is at red, row 4, column 4");
    }
}

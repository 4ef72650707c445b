package pixeron.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.atLeastOnce;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Stream;
import javafx.scene.control.Labeled;
import javafx.scene.control.Menu;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.input.Clipboard;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.testfx.util.WaitForAsyncUtils;
import pixeron.app.bench.steps.StepList;
import pixeron.app.window.Dialogs;
import pixeron.format.ImageFiles;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.step.catalog.StepLine;

/** Every shortcut of the help page pressed once, and what it does. */
class ShortcutsTest extends WindowTest {

    /** What cannot be pressed here: the mouse, keys without a place of their own, and the end of the program. */
    private static final Set<String> NOT_PRESSED = Set.of("wheel", "drag", "Shift+drag", "a digit", "Tab", "Ctrl+Q", "↑ ↓");
    /** Pressed in the test of this name. */
    private static final Set<String> PRESSED = new TreeSet<>(List.of("Ctrl+Shift+A", "Space", "Ctrl+D", "Delete", "B", "arrows",
            "Ctrl +", "Ctrl −", "Ctrl 0", "F3", "F4", "F5", "F6", "Ctrl 1", "2", "3", "Shift+arrows", "Esc", "Ctrl+G", "Ctrl+B",
            "F7", "Enter", "Ctrl+V", "Ctrl+Shift+O", "F8", "F9", "Shift+F9", "F11", "Alt+→", "Alt+←", "Alt+↓", "Alt+Shift+→",
            "Alt+Enter", "Ctrl+Z", "Ctrl+Shift+Z", "Ctrl+Shift+C", "Ctrl+Shift+X", "Ctrl+C", "Ctrl+Alt+C", "Ctrl+Shift+V",
            "F12", "Ctrl+Shift+F", "Ctrl+O", "Ctrl+N", "Ctrl+S", "Ctrl+P", "Ctrl+W", "Alt+0", "Alt+1 … Alt+4", "Alt+5"));

    @BeforeEach
    void begin() {
        // 0 to 7 in turn; two cells by hand, one of them wrong.
        var file = folder.resolve("sort.pgm");
        ImageFiles.write(file, Image.ofLevels(12, 12, 7, n -> n % 8), false);
        open(file);
        interact(() -> {
            bench().addStep(StepLine.parse("add amount=1"));
            bench().hand().edit(sheet -> sheet.with(new Pixel(0, 0), "1").with(new Pixel(0, 1), "9"));
            bench().pick(new Pixel(5, 5));
        });
        settle();
        interact(() -> sheet("By hand").requestFocus());
    }

    private static Clipboard clipboard() {
        return Clipboard.getSystemClipboard();
    }

    private String copied() {
        String[] text = new String[1];
        interact(() -> text[0] = clipboard().getString());
        return text[0];
    }

    private Pixel picked() {
        return bench().pickedProperty().get();
    }

    private void tap(KeyCode... keys) {
        push(keys);
        WaitForAsyncUtils.waitForFxEvents();
    }

    /** A shortcut that is new on the page is not forgotten here. */
    @Test
    void allOfTheHelpPageArePressed() {
        tap(KeyCode.F1);
        List<String> keys = new ArrayList<>();
        lookup((Labeled label) -> label.getStyleClass().contains("help-key") && canBeSeen(label)).queryAll().forEach(label ->
                keys.addAll(Stream.of(((Labeled) label).getText().split(" · ")).map(String::strip).toList()));
        assertThat(keys).hasSizeGreaterThan(30);
        keys.removeAll(PRESSED);
        keys.removeAll(NOT_PRESSED);
        assertThat(keys).isEmpty();
        tap(KeyCode.ESCAPE);
        assertThat(lookup((Labeled label) -> label.getStyleClass().contains("help-key") && canBeSeen(label)).queryAll()).isEmpty();
    }

    @Test
    void noTwoCommandsHaveTheSameKeys() {
        List<String> keys = new ArrayList<>();
        for (MenuButton menu : lookup((MenuButton button) -> true).queryAllAs(MenuButton.class)) {
            gather(menu.getItems(), keys);
        }
        assertThat(keys).hasSizeGreaterThan(30).doesNotHaveDuplicates();
    }

    private static void gather(List<MenuItem> items, List<String> keys) {
        for (MenuItem item : items) {
            if (item.getAccelerator() != null) {
                keys.add(item.getAccelerator().getDisplayText());
            }
            if (item instanceof Menu menu) {
                gather(menu.getItems(), keys);
            }
        }
    }

    @Test
    void onSteps() {
        interact(() -> lookup((StepList list) -> true).<StepList>query().getChildrenUnmodifiable().get(1).requestFocus());
        tap(KeyCode.CONTROL, KeyCode.D);
        assertThat(bench().project().chain().size()).isEqualTo(2);
        // The keyboard is in the first field of the copy.
        interact(() -> lookup((StepList list) -> true).<StepList>query().getChildrenUnmodifiable().get(2).requestFocus());
        tap(KeyCode.SPACE);
        assertThat(bench().project().chain().links().stream().filter(link -> !link.isOn()).count()).isEqualTo(1);
        tap(KeyCode.UP);
        int at = bench().position();
        tap(KeyCode.DOWN);
        assertThat(bench().position()).isEqualTo(at + 1);
        tap(KeyCode.DELETE);
        assertThat(bench().project().chain().size()).isEqualTo(1);
        tap(KeyCode.SHORTCUT, KeyCode.SHIFT, KeyCode.A);
        write("invert");
        tap(KeyCode.ENTER);
        settle();
        assertThat(bench().project().chain().size()).isEqualTo(2);
        tap(KeyCode.SHORTCUT, KeyCode.Z);
        assertThat(bench().project().chain().size()).isEqualTo(1);
        tap(KeyCode.SHORTCUT, KeyCode.SHIFT, KeyCode.Z);
        assertThat(bench().project().chain().size()).isEqualTo(2);
        interact(() -> lookup((StepList list) -> true).<StepList>query().getChildrenUnmodifiable().get(1).requestFocus());
        int branches = bench().project().branches().size();
        tap(KeyCode.B);
        assertThat(bench().project().branches().size()).isEqualTo(branches + 1);
    }

    /** What they do where there is color has tests of its own; here they say that there is none. */
    @Test
    void onChannels() {
        tap(KeyCode.ALT, KeyCode.DIGIT5);
        assertThat(shownText()).contains("This step has no color:");
        tap(KeyCode.ALT, KeyCode.DIGIT2);
        tap(KeyCode.ALT, KeyCode.DIGIT0);
        assertThat(bench().looking().colorViewProperty().get()).isEqualTo(pixeron.app.model.ColorView.TOGETHER);
    }

    @Test
    void onSheets() {
        tap(KeyCode.RIGHT);
        tap(KeyCode.PAGE_UP);
        assertThat(picked()).isEqualTo(new Pixel(0, 6));
        tap(KeyCode.END);
        assertThat(picked()).isEqualTo(new Pixel(0, 11));
        double[] cell = new double[1];
        double fitted = viewportCell();
        tap(KeyCode.SHORTCUT, KeyCode.PLUS);
        cell[0] = viewportCell();
        assertThat(cell[0]).isGreaterThan(fitted);
        tap(KeyCode.SHORTCUT, KeyCode.MINUS);
        assertThat(viewportCell()).isLessThan(cell[0]);
        tap(KeyCode.SHORTCUT, KeyCode.DIGIT0);
        assertThat(viewportCell()).isEqualTo(fitted);
        tap(KeyCode.SHIFT, KeyCode.LEFT);
        assertThat(bench().looking().selectionProperty().get()).isNotNull();
        tap(KeyCode.ESCAPE);
        assertThat(bench().looking().selectionProperty().get()).isNull();
        tap(KeyCode.SHORTCUT, KeyCode.B);
        assertThat(bench().looking().watchedProperty().get()).containsExactly(picked());
        interact(() -> bench().light(Optional.of(new pixeron.app.model.Search.Levels(false, 7, 7))));
        until(() -> bench().shown().litPixels().isPresent());
        tap(KeyCode.F7);
        assertThat(bench().project().chain().source().value(picked())).hasToString("7");
        tap(KeyCode.F8);
        assertThat(picked()).isEqualTo(new Pixel(0, 1));
        tap(KeyCode.SHORTCUT, KeyCode.G);
        write("3,4");
        tap(KeyCode.ENTER);
        assertThat(picked()).isEqualTo(new Pixel(3, 4));
    }

    private double viewportCell() {
        return lookup((pixeron.app.bench.sheets.SheetsPane pane) -> true).<pixeron.app.bench.sheets.SheetsPane>query().viewport().cell();
    }

    @Test
    void whatIsShown() {
        for (String name : List.of("1", "2")) {
            boolean was = canBeSeen(sheet(name.equals("1") ? "Before" : "After"));
            tap(KeyCode.SHORTCUT, name.equals("1") ? KeyCode.DIGIT1 : KeyCode.DIGIT2);
            assertThat(canBeSeen(sheet(name.equals("1") ? "Before" : "After"))).isEqualTo(!was);
            tap(KeyCode.SHORTCUT, name.equals("1") ? KeyCode.DIGIT1 : KeyCode.DIGIT2);
        }
        tap(KeyCode.SHORTCUT, KeyCode.SHIFT, KeyCode.F);
        assertThat(shownText()).contains("Apply to files", "No files chosen");
        tap(KeyCode.ESCAPE);
        assertThat(shownText()).doesNotContain("No files chosen");
        interact(() -> sheet("After").requestFocus());
        double shared = viewportCell();
        tap(KeyCode.F12);
        assertThat(canBeSeen(sheet("After"))).isTrue();
        assertThat(canBeSeen(sheet("Before"))).isFalse();
        until(() -> viewportCell() > shared);
        tap(KeyCode.F12);
        assertThat(canBeSeen(sheet("Before"))).isTrue();
        until(() -> viewportCell() == shared);
        tap(KeyCode.SHORTCUT, KeyCode.DIGIT3);
        assertThat(canBeSeen(sheet("By hand"))).isFalse();
        tap(KeyCode.SHORTCUT, KeyCode.DIGIT3);
        tap(KeyCode.F4);
        until(() -> shownText().contains("cumulative C"));
        tap(KeyCode.F5);
        until(() -> shownText().contains("s = r + amount"));
        tap(KeyCode.F6);
        until(() -> lookup((pixeron.app.sheet.Sheet sheet) -> sheet.getAccessibleText().startsWith("By hand")).queryAll().isEmpty());
        tap(KeyCode.F3);
        until(() -> canBeSeen(sheet("By hand")));
    }

    @Test
    void theWalk() {
        tap(KeyCode.F9);
        assertThat(bench().walking().isOn()).isTrue();
        tap(KeyCode.ALT, KeyCode.RIGHT);
        tap(KeyCode.ALT, KeyCode.RIGHT);
        assertThat(bench().walking().walk().written()).isEqualTo(2);
        tap(KeyCode.ALT, KeyCode.LEFT);
        assertThat(bench().walking().walk().written()).isEqualTo(1);
        tap(KeyCode.ALT, KeyCode.DOWN);
        assertThat(bench().walking().walk().written()).isEqualTo(12);
        tap(KeyCode.ALT, KeyCode.SHIFT, KeyCode.RIGHT);
        tap(KeyCode.ALT, KeyCode.SHIFT, KeyCode.RIGHT);
        assertThat(bench().walking().walk().isWritten()).isFalse();
        pick(2, 0);
        tap(KeyCode.ALT, KeyCode.ENTER);
        assertThat(bench().walking().walk().written()).isEqualTo(25);
        tap(KeyCode.SHIFT, KeyCode.F9);
        assertThat(bench().walking().playingProperty().get()).isTrue();
        tap(KeyCode.SHIFT, KeyCode.F9);
        tap(KeyCode.F11);
        assertThat(shownText()).doesNotContain("STEPS");
        tap(KeyCode.F11);
        assertThat(shownText()).contains("STEPS");
        tap(KeyCode.F9);
        assertThat(bench().walking().isOn()).isFalse();
    }

    @Test
    void copiedAndPasted() {
        tap(KeyCode.SHORTCUT, KeyCode.SHIFT, KeyCode.C);
        assertThat(copied()).contains("s = r + amount");
        tap(KeyCode.SHORTCUT, KeyCode.SHIFT, KeyCode.X);
        assertThat(copied()).startsWith("\\[");
        interact(() -> sheet("After").requestFocus());
        tap(KeyCode.SHORTCUT, KeyCode.C);
        assertThat(copied()).startsWith("1\t2\t3");
        tap(KeyCode.SHORTCUT, KeyCode.ALT, KeyCode.C);
        boolean[] isPicture = new boolean[1];
        interact(() -> isPicture[0] = clipboard().hasImage());
        assertThat(isPicture[0]).isTrue();
        clipboard("4\t4\n");
        interact(() -> sheet("By hand").requestFocus());
        tap(KeyCode.SHORTCUT, KeyCode.V);
        until(() -> bench().project().sheet(0).cells().size() == 4);
        tap(KeyCode.DELETE);
        until(() -> bench().project().sheet(0).cells().size() == 3);
    }

    @Test
    void files() {
        when(dialogs.chooseToOpen(any(), any())).thenReturn(Optional.empty());
        when(dialogs.chooseToSave(any(), any(), any())).thenReturn(Optional.empty());
        when(dialogs.askAboutUnsaved(any())).thenReturn(Dialogs.Answer.DISCARD);
        tap(KeyCode.SHORTCUT, KeyCode.SHIFT, KeyCode.O);
        tap(KeyCode.SHORTCUT, KeyCode.O);
        verify(dialogs, atLeastOnce()).chooseToOpen(any(), any());
        tap(KeyCode.SHORTCUT, KeyCode.S);
        tap(KeyCode.SHORTCUT, KeyCode.P);
        verify(dialogs, atLeastOnce()).chooseToSave(any(), any(), any());
        clipboard("1\t2\n");
        tap(KeyCode.SHORTCUT, KeyCode.SHIFT, KeyCode.V);
        until(() -> shownText().contains("Maximum level"));
        tap(KeyCode.ESCAPE);
        tap(KeyCode.SHORTCUT, KeyCode.N);
        until(() -> shownText().contains("Rows"));
        tap(KeyCode.ESCAPE);
        tap(KeyCode.SHORTCUT, KeyCode.W);
        until(() -> shownText().contains("DEMO CASES"));
    }
}

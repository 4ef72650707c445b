package pixeron.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyInt;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import java.awt.image.BufferedImage;
import java.io.File;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicBoolean;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Labeled;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import pixeron.app.sheet.Sheet;
import pixeron.app.window.Dialogs;
import pixeron.format.ImageFiles;
import pixeron.format.ReadOptions;
import pixeron.image.ColorImage;
import pixeron.image.Image;
import pixeron.make.Maker;
import pixeron.make.TooLarge;
import pixeron.project.ProjectFile;
import pixeron.project.demo.DemoCases;

class FilesAndStartTest extends WindowTest {

    private boolean isShown(String text) {
        return lookup((Labeled label) -> label.getText() != null && label.getText().contains(text)
                && isSeen(label)).tryQuery().isPresent();
    }

    private static boolean isSeen(Node node) {
        return node == null || node.isVisible() && isSeen(node.getParent());
    }

    private void openBad(Path file, String message) {
        interact(() -> window.started(List.of(file.toString())));
        until(() -> isShown(message));
    }

    private void change() {
        push(KeyCode.SHORTCUT, KeyCode.SHIFT, KeyCode.A);
        write("invert");
        push(KeyCode.ENTER);
        settle();
    }

    @Test
    void everyDemoCaseOpensWithItsSlip() {
        for (var demo : DemoCases.all()) {
            Node card = lookup((Labeled label) -> demo.title().equals(label.getText())).query();
            clickOn(card);
            until(() -> bench().shown() != null && bench().project().name().equals(demo.title()));
            settle();
            assertThat(bench().hand().check().differing()).as(demo.id()).isNotEmpty();
            assertThat(bench().hand().found().slips()).as(demo.id()).isNotEmpty();
            until(() -> window.getScene().getFocusOwner() instanceof Sheet);
            push(KeyCode.SHORTCUT, KeyCode.W);
            until(() -> isShown("DEMO CASES"));
        }
    }

    @Test
    void badFilesSaySoInOnePlaceAndLoseNothing() throws IOException {
        open(write("proof.pgm", "P2 2 1 7 1 2"));
        change();
        when(dialogs.askAboutUnsaved(any())).thenReturn(Dialogs.Answer.DISCARD);
        var project = bench().project();
        openBad(folder.resolve("missing.pgm"), "There is no file");
        openBad(folder, "is a folder");
        openBad(write("empty.csv", ""), "The file is empty");
        openBad(write("high.pgm", "P2 2 1 7 1 9"), "above the maximum in the header, 7");
        openBad(write("newer.pixeron.json", "{\"pixeron\": 9}"), "newer Pixeron");
        openBad(write("noise.png", "not a picture"), "is not a number");
        assertThat(bench().project()).isEqualTo(project);
        clickOn("Close");
        assertThat(isShown("not a number")).isFalse();
    }

    @Test
    void aColorPictureArrivesOpenly() throws IOException {
        BufferedImage picture = new BufferedImage(1, 1, BufferedImage.TYPE_INT_RGB);
        picture.setRGB(0, 0, 0x0A141E);
        File file = folder.resolve("color.png").toFile();
        ImageIO.write(picture, "png", file);
        open(file.toPath());
        assertThat(bench().project().chain().input()).isInstanceOf(ColorImage.class);
        assertThat(List.of("Red", "Green", "Blue")).allMatch(this::isShown);
        assertThat(isShown("By hand")).as("the channels take its place").isFalse();
        assertThat(shownText()).contains("10 20 30", "0xFF0A141E");
    }

    @Test
    void aTableOfAnyNumbersIsOfferedAsAnOpenImage() {
        openBad(write("open.csv", "1.5,-2\n300,1/3\n"), "is not a whole number from 0 to");
        clickOn("Open with signed or fractional values");
        until(() -> bench().shown() != null);
        assertThat(bench().project().chain().source().isLevelImage()).isFalse();
    }

    @Test
    void aNewImageIsMadeWithItsPictureAtOnce() {
        push(KeyCode.SHORTCUT, KeyCode.N);
        until(() -> isShown("8 × 8 · levels 0–255"));
        ComboBox<Maker> kind =
                lookup((ComboBox<Maker> box) -> "Kind of image".equals(box.getAccessibleText())).query();
        interact(() -> kind.setValue(kind.getItems().stream().filter(m -> m.name().equals("formula")).findFirst()
                .orElseThrow()));
        until(() -> isShown("formula needs expression="));
        clickOn(lookup((TextField field) -> field.getAccessibleText() != null
                && field.getAccessibleText().startsWith("Formula")).<Node>query());
        write("40*i*j");
        until(() -> isShown("Some values are not whole levels from 0 to 255"));
        ComboBox<TooLarge> way = lookup((ComboBox<TooLarge> box) -> box.isVisible()
                && box.getItems().contains(TooLarge.RAISE)).query();
        interact(() -> way.setValue(TooLarge.RAISE));
        // 40 · 7 · 7
        until(() -> isShown("levels 0–1960"));
        push(KeyCode.SHORTCUT, KeyCode.A);
        write("i*j");
        until(() -> isShown("8 × 8 · levels 0–255"));
        push(KeyCode.ENTER);
        until(() -> bench().shown() != null);
        assertThat(bench().project().name()).isEqualTo("Formula");
        assertThat(bench().project().chain().source().level(63)).isEqualTo(49);
        assertThat(bench().past().savedProperty().get()).isFalse();
    }

    @Test
    void unsavedWorkIsAskedAbout() throws IOException {
        open(write("proof.pgm", "P2 2 1 7 1 2"));
        AtomicBoolean isClosed = new AtomicBoolean();
        change();
        when(dialogs.askAboutUnsaved(any())).thenReturn(Dialogs.Answer.CANCEL);
        interact(() -> window.askToClose(() -> isClosed.set(true)));
        assertThat(isClosed).isFalse();
        when(dialogs.askAboutUnsaved(any())).thenReturn(Dialogs.Answer.SAVE);
        when(dialogs.chooseToSave(any(), any(), any())).thenReturn(Optional.of(folder.resolve("work.pixeron.json")));
        interact(() -> window.askToClose(() -> isClosed.set(true)));
        until(isClosed::get);
        assertThat(ProjectFile.read(folder.resolve("work.pixeron.json")).project().chain().size()).isEqualTo(1);
    }

    @Test
    void workThatWasGivenUpIsNotAskedAboutAgain() {
        open(write("proof.pgm", "P2 2 1 7 1 2"));
        change();
        when(dialogs.askAboutUnsaved(any())).thenReturn(Dialogs.Answer.DISCARD);
        push(KeyCode.SHORTCUT, KeyCode.W);
        until(() -> isShown("DEMO CASES"));
        AtomicBoolean isClosed = new AtomicBoolean();
        interact(() -> window.askToClose(() -> isClosed.set(true)));
        until(isClosed::get);
        verify(dialogs).askAboutUnsaved(any());
    }

    @Test
    void savedWorkClosesWithoutAQuestion() {
        open(write("proof.pgm", "P2 2 1 7 1 2"));
        AtomicBoolean isClosed = new AtomicBoolean();
        interact(() -> window.askToClose(() -> isClosed.set(true)));
        until(isClosed::get);
        verify(dialogs, never()).askAboutUnsaved(any());
    }

    @Test
    void savingWhereItCannotBeKeepsTheWork() {
        open(write("proof.pgm", "P2 2 1 7 1 2"));
        change();
        when(dialogs.chooseToSave(any(), any(),
                any())).thenReturn(Optional.of(folder.resolve("no/such/folder.pixeron.json")));
        push(KeyCode.SHORTCUT, KeyCode.S);
        until(() -> isShown("There is no folder"));
        assertThat(bench().past().savedProperty().get()).isFalse();
        when(dialogs.chooseToSave(any(), any(), any())).thenReturn(Optional.of(folder.resolve("seven.png")));
        when(dialogs.askAboutRoom(any(), anyInt())).thenReturn(Dialogs.Room.CANCEL);
        push(KeyCode.SHORTCUT, KeyCode.E);
        settle();
        verify(dialogs).askAboutRoom("PNG", 7);
        assertThat(folder.resolve("seven.png")).doesNotExist();
    }

    /** The same project is open in a second window, or a program writes it: what is there is not replaced unasked. */
    @Test
    void whatSomebodyElseWroteIsNotReplacedUnasked() throws IOException {
        Path file = folder.resolve("shared.pixeron.json");
        ProjectFile.write(file, DemoCases.all().get(0).saved());
        open(file);
        change();
        ProjectFile.write(file, DemoCases.all().get(1).saved());
        push(KeyCode.SHORTCUT, KeyCode.S);
        until(() -> isShown("was changed on disk"));
        assertThat(ProjectFile.read(file).project().name()).isEqualTo(DemoCases.all().get(1).title());
        Path other = folder.resolve("mine.pixeron.json");
        when(dialogs.chooseToSave(any(), any(), any())).thenReturn(Optional.of(other));
        clickOn("Save as another file…");
        until(() -> bench().past().savedProperty().get());
        assertThat(ProjectFile.read(other).project().name()).isEqualTo(DemoCases.all().get(0).title());
        // From now on it is this file that is looked at; nobody else wrote it.
        change();
        push(KeyCode.SHORTCUT, KeyCode.S);
        until(() -> bench().past().savedProperty().get());
        ProjectFile.write(other, DemoCases.all().get(2).saved());
        change();
        push(KeyCode.SHORTCUT, KeyCode.S);
        until(() -> isShown("was changed on disk"));
        clickOn("Overwrite");
        until(() -> bench().past().savedProperty().get());
        assertThat(ProjectFile.read(other).project().name()).isEqualTo(DemoCases.all().get(0).title());
    }

    /** Whoever saves out of habit, several times at once, is not told that another person did. */
    @Test
    void savingInARowIsOneSaving() {
        Path file = folder.resolve("habit.pixeron.json");
        ProjectFile.write(file, DemoCases.all().get(0).saved());
        open(file);
        for (int round = 0; round < 5; round++) {
            change();
            for (int n = 0; n < 3; n++) {
                push(KeyCode.SHORTCUT, KeyCode.S);
            }
            until(() -> bench().past().savedProperty().get() || isShown("was changed on disk"));
            assertThat(isShown("was changed on disk")).as("round %d", round).isFalse();
        }
    }

    /** The dialog asked about the name that was typed; the ending that is added to it is another file. */
    @Test
    void theNameWithItsEndingIsAskedAbout() {
        Path there = folder.resolve("plate.pixeron.json");
        ProjectFile.write(there, DemoCases.all().get(1).saved());
        open(write("proof.pgm", "P2 2 1 7 1 2"));
        change();
        when(dialogs.chooseToSave(any(), any(), any())).thenReturn(Optional.of(folder.resolve("plate")));
        push(KeyCode.SHORTCUT, KeyCode.S);
        settle();
        verify(dialogs).askAboutReplacing("plate.pixeron.json");
        assertThat(ProjectFile.read(there).project().name()).isEqualTo(DemoCases.all().get(1).title());
        when(dialogs.askAboutReplacing("plate.pixeron.json")).thenReturn(true);
        push(KeyCode.SHORTCUT, KeyCode.S);
        until(() -> bench().past().savedProperty().get());
        assertThat(ProjectFile.read(there).project().name()).isEqualTo("proof");
    }

    /** Levels 0–7 have no room in a PNG: the numbers are kept in another format, or spread for looking, as the user says. */
    @Test
    void threeBitsInAPictureAreKeptOrSpread() {
        open(write("proof.pgm", "P2 3 1 7 1 2 7"));
        when(dialogs.chooseToSave(any(), any(), any())).thenReturn(Optional.of(folder.resolve("spread.png")));
        when(dialogs.askAboutRoom("PNG", 7)).thenReturn(Dialogs.Room.SPREAD);
        push(KeyCode.SHORTCUT, KeyCode.E);
        until(() -> Files.exists(folder.resolve("spread.png")));
        // 255 ÷ 7 = 36.43, 510 ÷ 7 = 72.86.
        until(() -> ImageFiles.read(folder.resolve("spread.png"), ReadOptions.DEFAULT).image().equals(Image.of(255, new int[][] {{36, 73, 255}})));
        when(dialogs.askAboutRoom("PNG", 7)).thenReturn(Dialogs.Room.KEEP_NUMBERS);
        when(dialogs.chooseToSave(any(), any(), any())).thenReturn(Optional.of(folder.resolve("first.png"))).thenReturn(Optional.of(folder.resolve("kept.pgm")));
        push(KeyCode.SHORTCUT, KeyCode.E);
        until(() -> Files.exists(folder.resolve("kept.pgm")));
        until(() -> ImageFiles.read(folder.resolve("kept.pgm"), ReadOptions.DEFAULT).image().equals(Image.of(7, new int[][] {{1, 2, 7}})));
        assertThat(folder.resolve("first.png")).doesNotExist();
    }

    @Test
    void workLeftBehindIsTakenUpAgain() throws IOException {
        Path left = folder.resolve("data/autosave/999999999-1.pixeron.json");
        Files.createDirectories(left.getParent());
        ProjectFile.write(left, DemoCases.all().get(3).saved());
        interact(() -> window.started(List.of()));
        until(() -> isShown("Pixeron closed before this work was saved."));
        clickOn("Recover");
        until(() -> bench().shown() != null);
        assertThat(bench().project().name()).isEqualTo("Faint proof, large");
        assertThat(bench().past().savedProperty().get()).isFalse();
        assertThat(left).doesNotExist();
        // It is kept again at once: a second crash loses nothing either.
        until(() -> {
            try (var files = Files.list(left.getParent())) {
                return files.count() == 1;
            } catch (IOException unreadable) {
                return false;
            }
        });
    }

    @Test
    void damagedWorkThatWasLeftBehindIsSaidAndStays() throws IOException {
        Path left = folder.resolve("data/autosave/999999999-1.pixeron.json");
        Files.createDirectories(left.getParent());
        Files.writeString(left, "{\"pixeron\": 1, \"name\": ");
        interact(() -> window.started(List.of()));
        until(() -> isShown("Pixeron closed before this work was saved."));
        clickOn("Recover");
        until(() -> isShown("The file is damaged: line 1, column"));
        assertThat(left).exists();
        clickOn("Discard");
        until(() -> !Files.exists(left));
        assertThat(isShown("RECOVERED")).isFalse();
    }

    @Test
    void themesAndHelpAreReachedByKeys() {
        open(write("proof.pgm", "P2 2 1 7 1 2"));
        push(KeyCode.SHORTCUT, KeyCode.SHIFT, KeyCode.D);
        assertThat(window.getStyleClass()).contains("dark");
        push(KeyCode.SHORTCUT, KeyCode.SHIFT, KeyCode.L);
        assertThat(window.getStyleClass()).contains("dark", "large");
        push(KeyCode.SHORTCUT, KeyCode.SHIFT, KeyCode.D);
        assertThat(window.getStyleClass()).contains("large").doesNotContain("dark");
        push(KeyCode.F1);
        assertThat(isShown("undo · redo, without limit")).isTrue();
        push(KeyCode.ESCAPE);
        assertThat(isShown("undo · redo, without limit")).isFalse();
    }

    /** Tab goes through everything that can be used, and each says what it is. */
    @Test
    void everyControlIsReachedByTabAndHasAName() {
        open(write("proof.pgm", "P2 2 1 7 1 2"));
        change();
        java.util.Set<Node> reached = new java.util.LinkedHashSet<>();
        Node focused = window.getScene().getFocusOwner();
        while (focused != null && reached.add(focused)) {
            push(KeyCode.TAB);
            focused = window.getScene().getFocusOwner();
        }
        assertThat(reached).filteredOn(Sheet.class::isInstance).hasSize(3);
        assertThat(reached).filteredOn(TextField.class::isInstance).isNotEmpty();
        assertThat(reached).filteredOn(ComboBox.class::isInstance).hasSize(2);
        assertThat(reached).filteredOn(node -> node.getStyleClass().contains("step-row")).hasSize(2);
        assertThat(reached).filteredOn(ToggleButton.class::isInstance).as("views are one stop, tools another, each sheet can be made large").hasSize(9);
        assertThat(reached).filteredOn(Button.class::isInstance).extracting(node -> ((Button) node).getText())
                .contains("Open…", "Save", "Save result…", "Fit", "+  Add a step", "Copy step line");
        assertThat(reached).extracting(Node::getAccessibleText).contains("Copy working");
        assertThat(reached).allSatisfy(node -> {
            boolean hasText = node instanceof Labeled labeled && labeled.getText() != null
                    && !labeled.getText().isEmpty();
            assertThat(hasText || node.getAccessibleText() != null || node.getStyleClass().contains("tab-pane"))
                    .as("%s has a name", node).isTrue();
        });
    }
}

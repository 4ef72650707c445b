package pixeron.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.Map;
import javafx.scene.control.TableColumn;
import javafx.scene.control.TableView;
import javafx.scene.input.Clipboard;
import javafx.scene.input.ClipboardContent;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import pixeron.byhand.table.HandTable;
import pixeron.byhand.table.TableCheck;
import pixeron.format.ImageFiles;
import pixeron.image.Image;
import pixeron.step.catalog.StepLine;
import pixeron.working.Table;

/** Filling the levels table by hand in the real window. Running counts are 4, 8, 10, 16. */
class TablesTest extends WindowTest {

    private TableView<Integer> view;

    @BeforeEach
    void openTable() {
        Path file = folder.resolve("sort.pgm");
        ImageFiles.write(file, Image.of(3, new int[][] {{0, 0, 0, 0, 1, 1, 1, 1}, {2, 2, 3, 3, 3, 3, 3, 3}}), false);
        open(file);
        interact(() -> bench().addStep(StepLine.parse("equalize")));
        settle();
        push(KeyCode.F4);
        until(() -> !lookup(".hand-table").queryAll().isEmpty()
                && !((TableView<?>) lookup(".hand-table").query()).getItems().isEmpty());
        view = lookup(".hand-table").query();
    }

    private void choose(int row, String column) {
        interact(() -> {
            TableColumn<Integer, ?> found = view.getColumns().stream().filter(c -> column.equals(c.getId())).findFirst()
                    .orElseThrow();
            view.requestFocus();
            view.getSelectionModel().clearAndSelect(row, found);
            view.getFocusModel().focus(row, found);
        });
    }

    private String byHand(String row) {
        return bench().project().byHand(0, Image.VALUE).tables().getOrDefault("levels", HandTable.EMPTY).cell(row, "running")
                .map(value -> value.text()).orElse("");
    }

    private String states() {
        Map<String, HandTable> hands = bench().project().byHand(0, Image.VALUE).tables();
        Table levels = StepLine.parse("equalize").bind(bench().project().chain().source()).tables().get(1);
        StringBuilder states = new StringBuilder();
        TableCheck.of(hands.get("levels"), levels).cells().forEach(cell -> states.append(cell.state().word()).append(' '));
        return states.toString().strip();
    }

    @Test
    void typingGoesDownAColumnAndMarksWhatFollows() {
        choose(0, "running*");
        for (String value : new String[] {"4", "9", "11", "17"}) {
            write(value);
            push(KeyCode.ENTER);
            settle();
        }
        assertThat(byHand("0")).isEqualTo("4");
        assertThat(states()).isEqualTo("agrees differs follows follows");
        until(() -> lookup(".hand-cell.follows").queryAll().size() == 2);
        assertThat(lookup(".hand-cell.differs").queryAll()).hasSize(1);
        push(KeyCode.SHORTCUT, KeyCode.Z);
        settle();
        assertThat(byHand("3")).isEmpty();
        // Delete clears the chosen cell, Esc leaves one as it was.
        choose(1, "running*");
        push(KeyCode.DELETE);
        settle();
        assertThat(byHand("1")).isEmpty();
        choose(2, "running*");
        push(KeyCode.ENTER);
        write("99");
        push(KeyCode.ESCAPE);
        settle();
        assertThat(byHand("2")).isEqualTo("11");
    }

    @Test
    void aBlockIsPastedAndARowLightsItsPixels() {
        interact(() -> {
            ClipboardContent content = new ClipboardContent();
            content.putString("8\n10\n16\n");
            Clipboard.getSystemClipboard().setContent(content);
        });
        choose(1, "running*");
        push(KeyCode.SHORTCUT, KeyCode.V);
        settle();
        assertThat(states()).isEqualTo("agrees agrees agrees");
        choose(3, "s");
        until(() -> bench().shown().litPixels().isPresent()
                && bench().shown().litPixels().get().count() == 6);
        // The sheets come back as they were.
        push(KeyCode.F3);
        assertThat(lookup(".hand-table").queryAll()).isEmpty();
    }

    @Test
    void rowsAreCoveredUntilTheWalkComesToThem() {
        interact(() -> bench().past().giveUpUnsaved());
        open(write("sort.csv", "0,1\n1,3\n"));
        interact(() -> bench().addStep(pixeron.step.catalog.StepLine.parse("threshold-otsu")));
        settle();
        push(KeyCode.F4);
        until(() -> lookup(".hand-table").tryQuery().isPresent());
        clickOn("Row by row");
        javafx.scene.control.TableView<Integer> table = lookup(".hand-table").query();
        javafx.scene.control.TableColumn<Integer, ?> between = table.getColumns().stream()
                .filter(column -> "between".equals(column.getId())).findFirst().orElseThrow();
        assertThat(between.getCellData(0)).isEqualTo("…");
        push(KeyCode.ALT, KeyCode.RIGHT);
        // One pixel of 0 against three of mean 5/3: 1/4 · 3/4 · (5/3)² = 0.5208, the largest so far.
        assertThat(between.getCellData(0).toString()).startsWith("0.5208").contains("◂");
        assertThat(between.getCellData(1)).isEqualTo("…");
        push(KeyCode.ALT, KeyCode.RIGHT);
        // Three of mean 2/3 against a 3: 3/4 · 1/4 · (7/3)² = 1.0208 is larger.
        assertThat(between.getCellData(0).toString()).doesNotContain("◂");
        push(KeyCode.ALT, KeyCode.LEFT);
        assertThat(between.getCellData(1)).isEqualTo("…");
        clickOn("Row by row");
        assertThat(between.getCellData(2).toString()).isNotEqualTo("…");
    }
}

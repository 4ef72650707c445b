package pixeron.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.scene.AccessibleAttribute;
import javafx.scene.AccessibleRole;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.ComboBoxBase;
import javafx.scene.control.Labeled;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import pixeron.app.sheet.Sheet;
import pixeron.image.Pixel;
import pixeron.project.demo.DemoCases;
import pixeron.step.catalog.StepLine;

/** What a screen reader gets to say: the window is asked as one asks it. */
class ReadAloudTest extends WindowTest {

    private Object ask(Node node, AccessibleAttribute attribute, Object... parameters) {
        List<Object> answer = new ArrayList<>();
        interact(() -> answer.add(node.queryAccessibleAttribute(attribute, parameters)));
        return answer.get(0);
    }

    private String cell(Sheet sheet, int row, int column) {
        Node cell = (Node) ask(sheet, AccessibleAttribute.CELL_AT_ROW_COLUMN, row, column);
        assertThat(cell.getAccessibleRole()).isEqualTo(AccessibleRole.TABLE_CELL);
        assertThat(ask(cell, AccessibleAttribute.ROW_INDEX)).isEqualTo(row);
        assertThat(ask(cell, AccessibleAttribute.COLUMN_INDEX)).isEqualTo(column);
        return (String) ask(cell, AccessibleAttribute.TEXT);
    }

    @Test
    void aCellSaysAllThatIsKnownOfIt() {
        open(write("proof.pgm", "P2 4 3 255\n10 20 30 40\n50 60 70 80\n90 100 110 156\n"));
        interact(() -> bench().addStep(StepLine.parse("subtract amount=6")));
        settle();
        interact(() -> bench().hand().edit(sheet -> sheet.with(new Pixel(2, 3), "112").with(new Pixel(0, 0), "4")));
        settle();
        for (String name : List.of("Before", "After", "By hand")) {
            Sheet sheet = sheet(name);
            assertThat(sheet.getAccessibleRole()).isEqualTo(AccessibleRole.TABLE_VIEW);
            assertThat(ask(sheet, AccessibleAttribute.ROW_COUNT)).isEqualTo(3);
            assertThat(ask(sheet, AccessibleAttribute.COLUMN_COUNT)).isEqualTo(4);
            assertThat(cell(sheet, 2, 3)).isEqualTo("row 2, column 3, before 156, after 150, by hand 112, differs by 38 less");
            assertThat(cell(sheet, 0, 0)).isEqualTo("row 0, column 0, before 10, after 4, by hand 4, agrees");
            assertThat(cell(sheet, 1, 1)).isEqualTo("row 1, column 1, before 60, after 54, by hand not filled");
        }
        // The arrows move what is read.
        interact(() -> sheet("After").requestFocus());
        push(KeyCode.RIGHT);
        Node focused = (Node) ask(sheet("After"), AccessibleAttribute.FOCUS_ITEM);
        assertThat((String) ask(focused, AccessibleAttribute.TEXT)).startsWith("row 0, column 1, before 20");
        assertThat(ask(focused, AccessibleAttribute.SELECTED)).isEqualTo(true);
    }

    /** Where a result pixel was somewhere else, the same place of Before is another pixel and is not mixed in; what is covered is not told. */
    @Test
    void nothingWrongAndNothingCoveredIsTold() {
        open(write("proof.pgm", "P2 3 1 255\n10 20 30\n"));
        interact(() -> bench().addStep(StepLine.parse("flip direction=left-right")));
        settle();
        assertThat(cell(sheet("After"), 0, 0)).isEqualTo("row 0, column 0, after 30, by hand not filled");
        assertThat(cell(sheet("Before"), 0, 0)).isEqualTo("row 0, column 0, before 10");
        push(KeyCode.F9);
        settle();
        assertThat(cell(sheet("After"), 0, 2)).contains("not written yet").doesNotContain("10");
    }

    private void assertNamed(String where, int least) {
        interact(() -> {
            List<Node> used = parts(window).stream().filter(node -> node instanceof ButtonBase || node instanceof ComboBoxBase || node instanceof TextInputControl
                    || node instanceof Sheet).filter(WindowTest::canBeSeen).toList();
            assertThat(used).hasSizeGreaterThan(least).allSatisfy(node -> {
                Object text = node.queryAccessibleAttribute(AccessibleAttribute.TEXT);
                String said = node.getAccessibleText() != null ? node.getAccessibleText() : text instanceof String words ? words
                        : node instanceof Labeled label && label.getText() != null ? label.getText() : "";
                assertThat(said.isBlank() && !(node.getParent() instanceof ComboBoxBase)).as("%s in %s: %s", node, where, said).isFalse();
            });
        });
    }

    @Test
    void everythingInExercisesHasAName() {
        push(KeyCode.SHORTCUT, KeyCode.SHIFT, KeyCode.P);
        until(() -> !lookup(".blank").queryAll().isEmpty());
        assertNamed("practice", 10);
        push(KeyCode.SHORTCUT, KeyCode.SHIFT, KeyCode.M);
        assertNamed("class", 6);
        interact(() -> bench().open(DemoCases.all().get(0).saved(), Optional.empty(), true));
        settle();
        push(KeyCode.SHORTCUT, KeyCode.SHIFT, KeyCode.E);
        until(() -> shownText().contains("points"));
        assertNamed("setting", 15);
    }

    private static List<Node> parts(Node node) {
        List<Node> all = new ArrayList<>(List.of(node));
        if (node instanceof Parent parent) {
            parent.getChildrenUnmodifiable().stream().filter(Node::isVisible).forEach(child -> all.addAll(parts(child)));
        }
        return all;
    }

    /** In every view of every case: what can be pressed, chosen or typed into says what it is. */
    @Test
    void everythingThatCanBeUsedHasAName() {
        for (int demo : new int[] {0, 5, 9}) {
            interact(() -> bench().open(DemoCases.all().get(demo).saved(), Optional.empty(), true));
            settle();
            for (KeyCode view : List.of(KeyCode.F3, KeyCode.F4, KeyCode.F5, KeyCode.F6)) {
                push(view);
                assertNamed(view + " of case " + demo, 20);
            }
        }
    }
}

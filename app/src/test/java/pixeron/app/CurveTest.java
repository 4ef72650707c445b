package pixeron.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.control.TableView;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import pixeron.format.ImageFiles;
import pixeron.image.Image;
import pixeron.step.Mapping;
import pixeron.step.catalog.StepLine;

/** Dragging what a step's curve has, by mouse and by keyboard. */
class CurveTest extends WindowTest {

    @BeforeEach
    void openImage() {
        Path file = folder.resolve("ramp.pgm");
        ImageFiles.write(file, Image.ofLevels(4, 4, 15, n -> n), false);
        open(file);
    }

    private void show(String line) {
        interact(() -> bench().addStep(StepLine.parse(line)));
        settle();
        push(KeyCode.F5);
        until(() -> !lookup(".curve-plot").queryAll().isEmpty());
        showCurve();
    }

    /** Waits until the curve, which is calculated apart, is that of the step, and has its place. */
    private void showCurve() {
        settle();
        TableView<Mapping.Entry> table = lookup(".mapping-table").query();
        until(() -> table.getItems().equals(bench().shown().operation().orElseThrow().mapping().orElseThrow().entries()));
        interact(() -> {
            window.applyCss();
            window.layout();
        });
    }

    private String line() {
        return bench().project().chain().stage(bench().position()).link().step().line();
    }

    @Test
    void aThresholdIsDraggedAcrossTheCounts() {
        show("threshold at=4");
        Node plot = lookup(".curve-plot").query();
        Bounds bounds = plot.localToScreen(plot.getBoundsInLocal());
        double room = bounds.getWidth() - 92 - 18;
        double y = bounds.getMinY() + bounds.getHeight() / 2;
        moveTo(bounds.getMinX() + 92 + room * 4 / 15, y);
        press(MouseButton.PRIMARY);
        moveTo(bounds.getMinX() + 92 + room * 7 / 15, y);
        moveTo(bounds.getMinX() + 92 + room * 10 / 15, y);
        release(MouseButton.PRIMARY);
        settle();
        assertThat(line()).isEqualTo("threshold at=10");
        // One drag is one change.
        push(KeyCode.SHORTCUT, KeyCode.Z);
        settle();
        assertThat(line()).isEqualTo("threshold at=4");
    }

    @Test
    void arrowsMoveTheChosenPoint() {
        show("piecewise points=\"0 0 | 5 2 | 15 15\"");
        interact(() -> lookup(".curve-plot").query().requestFocus());
        push(KeyCode.PAGE_DOWN);
        push(KeyCode.UP);
        showCurve();
        push(KeyCode.RIGHT);
        settle();
        assertThat(line()).isEqualTo("piecewise points=\"0 0 | 6 3 | 15 15\"");
        showCurve();
        push(KeyCode.DELETE);
        settle();
        assertThat(line()).isEqualTo("piecewise points=\"0 0 | 15 15\"");
    }
}

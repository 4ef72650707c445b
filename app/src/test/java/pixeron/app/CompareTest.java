package pixeron.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import javafx.scene.AccessibleAttribute;
import javafx.scene.Node;
import javafx.geometry.Bounds;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Control;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.image.WritableImage;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import org.mockito.Mockito;
import pixeron.app.bench.counts.HistogramPlot;
import pixeron.app.theme.Palette;
import pixeron.format.ImageFiles;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.step.catalog.StepLine;

/** Branches of the work, and results side by side. */
class CompareTest extends WindowTest {

    private List<String> measures() {
        return lookup(".measures").queryAllAs(Label.class).stream().map(Label::getText).toList();
    }

    @Test
    void branchesAreMadeSwitchedAndCompared() {
        Path file = folder.resolve("ramp.pgm");
        ImageFiles.write(file, Image.ofLevels(2, 8, 15, n -> n), false);
        open(file);
        interact(() -> bench().addStep(StepLine.parse("add amount=1")));
        settle();
        // B on a step begins a branch behind it.
        interact(() -> lookup(".step-row").queryAll().stream().skip(1).findFirst().orElseThrow().requestFocus());
        push(KeyCode.B);
        settle();
        assertThat(bench().project().branches()).containsExactly("A", "B");
        interact(() -> bench().addStep(StepLine.parse("invert")));
        settle();
        clickOn("A");
        settle();
        assertThat(bench().project().chain().size()).isEqualTo(1);

        push(KeyCode.F6);
        until(() -> measures().size() == 2);
        // 0–15 plus 1, clipped: fifteen pixels are one higher, and 1 of them is the first of the largest.
        assertThat(measures().get(1)).contains("15 of 16 pixels changed", "largest 1 at row 0, column 0", "MSE 0.9375");
        clickOn("+ Result");
        until(() -> measures().size() == 3);
        Mockito.when(dialogs.chooseToOpen(Mockito.any(), Mockito.any())).thenReturn(Optional.of(file));
        clickOn("Open an answer…");
        until(() -> measures().size() == 4);
        assertThat(measures().get(3)).isEqualTo("the same as the first");
        clickOn("− Result");
        until(() -> measures().size() == 3);
        clickOn("Stretch and equalize");
        until(() -> measures().size() == 4);
        // The ramp has every level once, so a stretch changes nothing.
        assertThat(measures().get(1)).isEqualTo("the same as the first");
        clickOn("Delete");
        settle();
        assertThat(bench().project().branches()).containsExactly("B");
        push(KeyCode.SHORTCUT, KeyCode.Z);
        settle();
        assertThat(bench().project().branches()).containsExactly("A", "B");
    }

    /** With many branches the left pane stays as wide as its place: nothing of its fields and buttons lies beyond it. */
    @Test
    void manyBranchesFitTheirPlace() {
        Path file = folder.resolve("ramp.pgm");
        ImageFiles.write(file, Image.ofLevels(2, 8, 15, n -> n), false);
        open(file);
        interact(() -> bench().addStep(StepLine.parse("add amount=1")));
        for (int n = 0; n < 6; n++) {
            interact(() -> bench().edit(project -> project.branched(0)));
        }
        settle();
        Bounds side = lookup(".side-scroll").query().localToScene(lookup(".side-scroll").query().getLayoutBounds());
        List<Control> controls = seen(Control.class).stream().filter(control -> control.getStyleClass().contains("toggle-button")
                || control instanceof TextField || control instanceof ComboBox).filter(control -> control.localToScene(0, 0).getX() < side.getMaxX()).toList();
        assertThat(controls).hasSizeGreaterThan(8);
        assertThat(controls).allSatisfy(control -> assertThat(control.localToScene(control.getLayoutBounds()).getMaxX()).isLessThanOrEqualTo(side.getMaxX()));
        assertThat(shownText()).contains("Delete");
    }

    /** What is picked in a result is calculated below as that result, and the keys zoom the results that are seen. */
    @Test
    void theWorkingBelongsToTheResultInWhichSomebodyPicks() {
        Path file = folder.resolve("ramp.pgm");
        ImageFiles.write(file, Image.ofLevels(4, 4, 15, n -> n), false);
        open(file);
        interact(() -> bench().addStep(StepLine.parse("add amount=1")));
        interact(() -> bench().addStep(StepLine.parse("invert")));
        settle();
        push(KeyCode.F6);
        until(() -> measures().size() == 2);
        // Image and Add are there; Invert is selected.
        assertThat(shownText()).contains("s = M − r");
        interact(() -> sheet("Result 2").requestFocus());
        push(KeyCode.RIGHT);
        settle();
        assertThat(bench().position()).isZero();
        assertThat(bench().pickedProperty().get()).isEqualTo(new Pixel(0, 1));
        assertThat(shownText()).contains("s = r + amount", "picked: 2 ↓");
        double cell = cellOf("Result 2");
        push(KeyCode.SHORTCUT, KeyCode.PLUS);
        assertThat(cellOf("Result 2")).isGreaterThan(1.1 * cell);
        push(KeyCode.SHORTCUT, KeyCode.DIGIT0);
        assertThat(cellOf("Result 2")).isEqualTo(cell);
    }

    /** The side of a cell, as a screen reader is told. */
    private double cellOf(String sheet) {
        double[] side = new double[1];
        interact(() -> side[0] = ((Node) sheet(sheet).queryAccessibleAttribute(AccessibleAttribute.CELL_AT_ROW_COLUMN, 0, 0)).getLayoutBounds().getWidth());
        return side[0];
    }

    /** Eleven of twelve pixels are 0: all bars but the first are low, and what is drawn high at the right is the cumulative count. */
    @Test
    void runningCountsRiseAboveTheBars() {
        Path file = folder.resolve("mostly-dark.pgm");
        ImageFiles.write(file, Image.ofLevels(3, 4, 15, n -> n == 11 ? 15 : 0), false);
        open(file);
        push(KeyCode.F6);
        until(() -> !measures().isEmpty());
        settle();
        HistogramPlot plot = seen(HistogramPlot.class).get(0);
        interact(() -> {
            WritableImage picture = plot.snapshot(null, null);
            int drawn = 0;
            for (int x = (int) picture.getWidth() / 2; x < picture.getWidth(); x++) {
                for (int y = 0; y < picture.getHeight() / 3; y++) {
                    drawn += picture.getPixelReader().getColor(x, y).equals(Palette.LIGHT.after()) ? 1 : 0;
                }
            }
            assertThat(drawn).isGreaterThan(20);
        });
    }
}

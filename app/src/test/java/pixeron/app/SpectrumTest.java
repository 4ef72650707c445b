package pixeron.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.when;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import javafx.scene.Node;
import javafx.scene.control.TableView;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import pixeron.app.bench.BenchView;
import pixeron.format.ImageFiles;
import pixeron.format.ReadOptions;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.number.Decimals;
import pixeron.step.catalog.StepLine;

/** Spectra in the window: faces, frequencies, waves, values by hand with both parts, waves removed, radii dragged. */
class SpectrumTest extends WindowTest {

    /** Ribs of period 4, every other row one brighter: F(0, 0) = 56, F(0, ±1) = ∓16i, F(−2, 0) = 8. */
    @BeforeEach
    void openRibs() {
        open(write("ribs.pgm", "P2 4 4 7  4 6 4 2  3 5 3 1  4 6 4 2  3 5 3 1"));
        interact(() -> bench().addStep(StepLine.parse("fourier")));
        settle();
    }

    private static String rows(Image image) {
        return IntStream.range(0, image.rows()).mapToObj(row -> IntStream.range(0, image.columns()).mapToObj(column -> Decimals.table(image.value(new Pixel(row, column))))
                .collect(Collectors.joining(" "))).collect(Collectors.joining(" | "));
    }

    private String line(int step) {
        return bench().project().chain().stage(step).link().step().line();
    }

    @Test
    void facesAreChosenByMouseAndByKeyboard() {
        assertThat(shownText()).contains("gray is ln(1 + |F|), up to 4.0431", "1 · Fourier transform, log");
        assertThat(after().value(new Pixel(2, 2)).asDouble()).isEqualTo(Math.log(57));
        clickOn((Node) seen(ToggleButton.class).stream().filter(button -> button.getText().equals("Imaginary")).findFirst().orElseThrow());
        settle();
        assertThat(rows(after())).isEqualTo("0 0 0 0 | 0 0 0 0 | 0 16 0 -16 | 0 0 0 0");
        push(KeyCode.ALT, KeyCode.DIGIT2);
        settle();
        assertThat(rows(after())).isEqualTo("0 0 8 0 | 0 0 0 0 | 0 16 56 16 | 0 0 0 0");
        assertThat(shownText()).contains("1 · Fourier transform, magnitude");
    }

    /** Rows and columns are called by their frequencies, the coefficient is told with its wave and its conjugate. */
    @Test
    void aPickedCoefficientShowsItsWave() {
        clickOn(at("After", 2.5, 3.5));
        settle();
        assertThat(sheet("After").getAccessibleText()).startsWith("After, row 0, column 1:");
        assertThat(shownText()).contains("(0, 1) and its conjugate (0, \u22121)", "period 4 columns", "angle 0°", "phase \u221290°", "0 \u2212 16i");
        assertThat(shownText()).contains("r cos a", "r sin a");
        pick(0, 2);
        assertThat(shownText()).contains("(\u22122, 0), its own conjugate", "period 2 rows", "Remove this wave");
        pick(2, 2);
        assertThat(shownText()).contains("The mean, not a wave");
    }

    @Test
    void aPairIsTakenAwayAndComesBackWithUndo() {
        pick(2, 3);
        clickOn("Remove this wave");
        settle();
        assertThat(line(1)).isEqualTo("notch u=0 v=1");
        interact(() -> bench().addStep(StepLine.parse("fourier-inverse")));
        settle();
        assertThat(rows(after())).isEqualTo("4 4 4 4 | 3 3 3 3 | 4 4 4 4 | 3 3 3 3");
        clickOn(at("After", 0.5, 0.5));
        assertThat(shownText()).contains("56 ÷ 16 = 3.5", "8 ÷ 16 × cos(0° + 0°) = 0.5");
        push(KeyCode.SHORTCUT, KeyCode.Z);
        push(KeyCode.SHORTCUT, KeyCode.Z);
        settle();
        assertThat(bench().project().chain().size()).isEqualTo(1);
    }

    /** One cell with both parts is a value on two sheets; each is checked. */
    @Test
    void bothPartsAreWrittenIntoOneCell() {
        pick(2, 1);
        clickOn(at("By hand", 2.5, 1.5));
        write("0+16i").push(KeyCode.ENTER);
        settle();
        assertThat(bench().project().byHand(0, "real").sheet().cells().get(new Pixel(2, 1)).text()).isEqualTo("0");
        assertThat(bench().project().byHand(0, "imaginary").sheet().cells().get(new Pixel(2, 1)).text()).isEqualTo("16");
        clickOn(at("By hand", 2.5, 3.5));
        write("16i").push(KeyCode.ENTER);
        settle();
        push(KeyCode.ALT, KeyCode.DIGIT5);
        settle();
        assertThat(shownText()).contains("2 of 16 filled · 1 agree · 1 differ");
        push(KeyCode.SHORTCUT, KeyCode.Z);
        settle();
        assertThat(bench().project().byHand(0, "imaginary").sheet().cells()).hasSize(1);
    }

    /** A file and the clipboard may have both parts in a cell as well. */
    @Test
    void bothPartsAreReadFromAFileAndFromTheClipboard() {
        when(dialogs.chooseToOpen(any(), any())).thenReturn(Optional.of(write("mine.csv", ",,8,\n,,,\n,0+16i,56,\n,,,\n")));
        clickOn(((BenchView) lookup(".bench").query()).sheets().openTableButton());
        until(() -> !bench().project().byHand(0, "imaginary").sheet().isEmpty());
        assertThat(bench().project().byHand(0, "log").sheet().cells()).hasSize(2);
        assertThat(bench().project().byHand(0, "real").sheet().cells().get(new Pixel(2, 1)).text()).isEqualTo("0");
        pick(2, 3);
        clipboard("16i");
        interact(() -> sheet("By hand").requestFocus());
        push(KeyCode.SHORTCUT, KeyCode.V);
        until(() -> bench().project().byHand(0, "imaginary").sheet().cells().size() == 2);
        assertThat(bench().project().byHand(0, "log").sheet().cells()).hasSize(2);
    }

    @Test
    void aRowOfThePeaksPicksItsCoefficient() {
        clickOn("Table");
        TableView<?> view = lookup(".hand-table").query();
        interact(() -> {
            view.requestFocus();
            view.getFocusModel().focus(1);
            view.getSelectionModel().select(1);
        });
        until(() -> bench().pickedProperty().get().equals(new Pixel(0, 2)));
        assertThat(shownText()).contains("period, columns", "magnitude");
    }

    /** The radius is a circle on After and a line on its curve. */
    @Test
    void aRadiusIsDraggedOnTheSheetAndMovedOnTheCurve() {
        interact(() -> bench().addStep(StepLine.parse("frequency-filter keep=low radius=1")));
        settle();
        // The middle of frequency zero is 2.5; at the right of it the circle passes at 3.5.
        dragOn("After", 2.5, 3.5, 2.5, 4.0);
        assertThat(line(1)).isEqualTo("frequency-filter keep=low radius=1.5");
        clickOn("Curve");
        assertThat(shownText()).contains("Factor by the distance D from frequency zero");
        Node plot = lookup((Node node) -> node.getAccessibleText() != null && node.getAccessibleText().startsWith("Factor by distance; radius is 1.50")).query();
        interact(plot::requestFocus);
        push(KeyCode.LEFT);
        push(KeyCode.LEFT);
        push(KeyCode.LEFT);
        settle();
        assertThat(line(1)).isEqualTo("frequency-filter keep=low radius=0");
        push(KeyCode.ALT, KeyCode.DIGIT2);
        settle();
        assertThat(rows(after())).isEqualTo("0 0 0 0 | 0 0 0 0 | 0 0 56 0 | 0 0 0 0");
    }

    @Test
    void stepsOfferedAreThoseThatTakeASpectrum() {
        push(KeyCode.SHORTCUT, KeyCode.SHIFT, KeyCode.A);
        assertThat(shownText()).contains("Notch filter", "Frequency filter", "Inverse Fourier transform").doesNotContain("Threshold by Otsu", "Equalize");
        push(KeyCode.ESCAPE);
    }

    /** The picture of the logarithm, or the numbers of the face that is looked at. */
    @Test
    void aSpectrumIsSaved() throws Exception {
        Path picture = folder.resolve("spectrum.pgm");
        when(dialogs.chooseToSave(any(), any(), any())).thenReturn(Optional.of(picture));
        push(KeyCode.SHORTCUT, KeyCode.E);
        until(() -> Files.exists(picture));
        // 7 · ln 9 ÷ ln 57 = 3.8 and 7 · ln 17 ÷ ln 57 = 4.9.
        until(() -> ImageFiles.read(picture, ReadOptions.DEFAULT).image().equals(Image.of(7, new int[][] {{0, 0, 4, 0}, {0, 0, 0, 0}, {0, 5, 7, 5}, {0, 0, 0, 0}})));
        push(KeyCode.ALT, KeyCode.DIGIT3);
        settle();
        Path table = folder.resolve("phase.csv");
        when(dialogs.chooseToSave(any(), any(), any())).thenReturn(Optional.of(table));
        push(KeyCode.SHORTCUT, KeyCode.E);
        until(() -> Files.exists(table));
        assertThat(Files.readAllLines(table)).containsExactly("0,0,0,0", "0,0,0,0", "0,90,0,-90", "0,0,0,0");
    }
}

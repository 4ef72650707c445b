package pixeron.step.drawn;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import pixeron.PixeronException;
import pixeron.byhand.Check;
import pixeron.byhand.HandSheet;
import pixeron.byhand.slip.search.SlipFinder;
import pixeron.image.ColorImage;
import pixeron.image.Frame;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.image.Rows;
import pixeron.look.PackedPixel;
import pixeron.step.Operation;
import pixeron.step.Progress;
import pixeron.step.catalog.StepLine;
import pixeron.step.color.Binding;

/** Pixels that are set, calculated by hand. */
class DrawnStepsTest {

    private static final Image GROUND = Image.of(9, new int[][] {{1, 1, 1, 1}, {1, 1, 1, 1}, {1, 1, 1, 1}, {1, 1, 1, 1}});
    private static final Image CHANNEL = Image.of(255, new int[][] {{10, 20}, {30, 40}});
    private static final ColorImage COLOR = new ColorImage(CHANNEL, CHANNEL, CHANNEL, Optional.empty());
    private static final ColorImage CLEAR = new ColorImage(CHANNEL, CHANNEL, CHANNEL, Optional.of(CHANNEL));

    private static Operation bound(String line) {
        return StepLine.parse(line).bind(GROUND);
    }

    /** Row 3 to row 0 over three columns: 3, 1.5, 0 rounded away from zero to 2; the later of two values for one pixel wins. */
    @ParameterizedTest
    @CsvSource(delimiter = ';', quoteCharacter = '`', value = {
        "set-pixels at=\"0 1 5 | 3 3 M | 0 1 7\"; 1 7 1 1 | 1 1 1 1 | 1 1 1 1 | 1 1 1 9",
        "line from=\"0 0\" to=\"3 3\" value=0; 0 1 1 1 | 1 0 1 1 | 1 1 0 1 | 1 1 1 0",
        "line from=\"0 0\" to=\"1 2\" value=5; 5 1 1 1 | 1 5 5 1 | 1 1 1 1 | 1 1 1 1",
        "line from=\"1 2\" to=\"0 0\" value=5; 5 1 1 1 | 1 5 5 1 | 1 1 1 1 | 1 1 1 1",
        "line from=\"2 2\" to=\"2 2\" value=5; 1 1 1 1 | 1 1 1 1 | 1 1 5 1 | 1 1 1 1",
        "rectangle area=\"0 1 3 3\" value=4; 1 4 4 4 | 1 4 1 4 | 1 4 4 4 | 1 1 1 1",
        "rectangle area=\"0 1 3 3\" value=4 filled=yes; 1 4 4 4 | 1 4 4 4 | 1 4 4 4 | 1 1 1 1"})
    void onAGrayImage(String line, String expected) {
        Operation operation = bound(line);
        assertThat(Rows.of(operation.result(Progress.NONE))).isEqualTo(expected);
        for (int n = 0; n < GROUND.count(); n++) {
            Pixel pixel = GROUND.pixel(n);
            assertThat(operation.value(pixel)).isEqualTo(operation.result(Progress.NONE).value(n));
            // What is set has no source; all else is its own.
            boolean isSet = operation.explain(pixel).lines().get(0).label().equals("formula");
            assertThat(operation.sources(pixel)).hasSize(isSet ? 0 : 1);
        }
    }

    @ParameterizedTest
    @CsvSource(delimiter = ';', quoteCharacter = '`', value = {"set-pixels at=\"0 4 5\"; set-pixels sets row 0, column 4, but the image ends at row 3, column 3",
        "set-pixels at=\"0 0 10\"; value 10, which is not a level from 0 to 9", "set-pixels at=\"0 0 1/2\"; is not a level",
        "set-pixels at=\"0 0 0xFF0000\"; set-pixels has the color 0xFF0000, but this image is gray", "line from=\"0 0\" to=\"4 0\" value=1; sets row 4, column 0",
        "rectangle area=\"2 2 3 1\" value=1; sets row 4, column 2"})
    void whatDoesNotFitTheImage(String line, String message) {
        assertThatThrownBy(() -> bound(line)).isInstanceOf(PixeronException.class).hasMessageContaining(message);
    }

    @ParameterizedTest
    @CsvSource(delimiter = ';', quoteCharacter = '`', value = {"set-pixels at=\"0 0\"; not a row, a column and a value", "set-pixels at=\"0 0 red\"; “red”, which is not a valid value",
        "line from=\"0\" to=\"1 1\" value=3; is not a row and a column", "line from=\"0 -1\" to=\"1 1\" value=3; Use two whole numbers of at least 0, such as 2 3",
        "rectangle value=3; needs area", "set-pixels at=\"0 0 0x123456\" channels=red; set-pixels has a color, which sets all channels"})
    void whatIsNoSuchStep(String line, String message) {
        assertThatThrownBy(() -> StepLine.parse(line)).isInstanceOf(PixeronException.class).hasMessageContaining(message);
    }

    /** Of an image that has other values any number may be set. */
    @Test
    void onValuesThatAreNoLevels() {
        Image open = Image.ofFractions(new Frame(1, 2, 9), 2, 1, -3);
        assertThat(Rows.of(StepLine.parse("set-pixels at=\"0 0 -5/4\"").bind(open).result(Progress.NONE))).isEqualTo("-5/4 -3/2");
    }

    private static List<String> packed(String line, ColorImage before) {
        ColorImage made = (ColorImage) Binding.of(StepLine.parse(line), before).result(Progress.NONE);
        return List.of(PackedPixel.of(made, new Pixel(0, 0)).hexadecimal(), PackedPixel.of(made, new Pixel(1, 1)).hexadecimal());
    }

    @Test
    void onAColorImage() {
        assertThat(packed("set-pixels at=\"0 0 0xFF0000\"", COLOR)).containsExactly("0xFFFF0000", "0xFF282828");
        assertThat(packed("set-pixels at=\"0 0 0xFF0000\"", CLEAR)).as("alpha stays").containsExactly("0x0AFF0000", "0x28282828");
        assertThat(packed("line from=\"0 0\" to=\"1 1\" value=0xFF000000", CLEAR)).containsExactly("0xFF000000", "0xFF000000");
        assertThat(packed("set-pixels at=\"0 0 0x80FF0000 | 1 1 0x00FF00\"", CLEAR)).containsExactly("0x80FF0000", "0x2800FF00");
        assertThat(packed("set-pixels at=\"0 0 7\"", COLOR)).containsExactly("0xFF070707", "0xFF282828");
        assertThat(packed("set-pixels at=\"0 0 7\" channels=green", COLOR)).containsExactly("0xFF0A070A", "0xFF282828");
        assertThatThrownBy(() -> packed("set-pixels at=\"0 0 0x80FF0000\"", COLOR)).hasMessageContaining("set-pixels sets alpha, but this color image has no alpha channel");
        Image deep = CHANNEL.withMaximum(65535);
        assertThatThrownBy(() -> packed("set-pixels at=\"0 0 0xFF0000\"", new ColorImage(deep, deep, deep, Optional.empty()))).hasMessageContaining("set-pixels has a color with eight bits per channel, but the channels have levels 0–65535");
    }

    /** Row 1, column 3 belongs; row 3, column 1 was set. Counted from 1: row 0, column 2. */
    @Test
    void placesAreMixedUp() {
        Operation right = bound("line from=\"1 2\" to=\"1 3\" value=5");
        assertThat(slip(right, bound("line from=\"2 1\" to=\"3 1\" value=5"))).isEqualTo("place-swapped");
        assertThat(slip(right, bound("line from=\"0 1\" to=\"0 2\" value=5"))).isEqualTo("counted-from-one");
        Operation rectangle = bound("rectangle area=\"0 2 3 1\" value=5 filled=yes");
        assertThat(slip(rectangle, bound("rectangle area=\"2 0 1 3\" value=5 filled=yes"))).isEqualTo("place-swapped");
    }

    private static String slip(Operation right, Operation written) {
        HandSheet sheet = HandSheet.EMPTY;
        for (int n = 0; n < GROUND.count(); n++) {
            sheet = sheet.with(GROUND.pixel(n), written.value(GROUND.pixel(n)).toString());
        }
        return SlipFinder.find(Check.of(sheet, right), right).slips().get(0).id();
    }
}

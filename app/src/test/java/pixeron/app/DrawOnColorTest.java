package pixeron.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.Optional;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import pixeron.app.model.Tool;
import pixeron.format.ImageFiles;
import pixeron.image.ColorImage;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.look.PackedPixel;

/** Color pixels are written like gray ones: typed, and drawn with a color. */
class DrawOnColorTest extends WindowTest {

    @BeforeEach
    void openColor() {
        Image gray = Image.of(255, new int[][] {{10, 10, 30}, {10, 50, 60}, {70, 80, 90}});
        Path file = folder.resolve("color.ppm");
        ImageFiles.write(file, new ColorImage(gray, gray, gray, Optional.empty()), false);
        open(file);
    }

    private String packed(int row, int column) {
        return PackedPixel.of((ColorImage) bench().project().chain().input(), new Pixel(row, column)).hexadecimal().substring(4);
    }

    private void drawWith(Tool tool, String ink) {
        interact(() -> bench().looking().toolProperty().set(tool));
        TextField level = lookup((TextField field) -> "Level or color to draw with".equals(field.getAccessibleText())).query();
        interact(() -> level.setText(ink));
    }

    @Test
    void pixelsAreTyped() {
        clickOn(sheet("Before"));
        interact(() -> bench().pickBefore(new Pixel(1, 1)));
        write("255 0 0");
        push(KeyCode.ENTER);
        settle();
        assertThat(packed(1, 1)).isEqualTo("FF0000");
        write("0x00FF80");
        push(KeyCode.ENTER);
        settle();
        assertThat(packed(1, 2)).isEqualTo("00FF80");
        write("7");
        push(KeyCode.ENTER);
        settle();
        assertThat(packed(2, 0)).as("one number is for red, green and blue").isEqualTo("070707");
        push(KeyCode.SHORTCUT, KeyCode.Z);
        settle();
        assertThat(packed(2, 0)).isEqualTo("464646");
    }

    /** The region of equal color around the first pixel has three pixels. */
    @Test
    void linesRectanglesAndRegionsAreDrawn() {
        drawWith(Tool.DRAW_LINE, "#FF8000");
        dragOn("Before", 0.5, 0.5, 2.5, 2.5);
        assertThat(packed(0, 0) + " " + packed(1, 1) + " " + packed(2, 2) + " " + packed(0, 1)).isEqualTo("FF8000 FF8000 FF8000 0A0A0A");
        push(KeyCode.SHORTCUT, KeyCode.Z);
        settle();
        assertThat(packed(1, 1)).as("one line is one change").isEqualTo("323232");
        drawWith(Tool.FILL, "0 0 255");
        clickOn(at("Before", 0.5, 0.5));
        until(() -> packed(0, 1).equals("0000FF"));
        assertThat(packed(1, 0) + " " + packed(0, 0) + " " + packed(1, 1)).isEqualTo("0000FF 0000FF 323232");
        drawWith(Tool.DRAW_RECTANGLE, "M");
        dragOn("Before", 1.5, 1.5, 2.5, 2.5);
        assertThat(packed(1, 1) + " " + packed(2, 2)).isEqualTo("FFFFFF FFFFFF");
    }
}

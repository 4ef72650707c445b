package pixeron.make;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import pixeron.PixeronException;
import pixeron.image.ColorImage;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.look.PackedPixel;
import pixeron.look.WrittenColor;

/** Colors as they are written, and drawing with them. */
class BrushTest {

    private static final List<String> THREE = List.of("red", "green", "blue");
    private static final List<String> FOUR = List.of("red", "green", "blue", "alpha");
    private static final Image CHANNEL = Image.of(255, new int[][] {{9, 9, 1}, {9, 2, 9}});
    private static final ColorImage COLOR = new ColorImage(CHANNEL, Image.of(255, new int[][] {{9, 9, 1}, {5, 2, 9}}), CHANNEL, Optional.of(CHANNEL));

    /** −16711681 is 0xFF00FFFF; 4278255615 is the same without its sign. */
    @ParameterizedTest
    @CsvSource(delimiter = ';', value = {"0xCB8201; 203 130 1", "#cb8201; 203 130 1", "203 130 1; 203 130 1", "(203, 130, 1); 203 130 1", "[203 130 1]; 203 130 1",
        "{203,130,1}; 203 130 1", "0x40CB8201; 203 130 1 64", "#CB820140; 203 130 1 64", "203, 130, 1, 64; 203 130 1 64", "-16711681; 0 255 255 255",
        "4278255615; 0 255 255 255", "−16711681; 0 255 255 255"})
    void aColorIsWrittenInManyWays(String text, String levels) {
        assertThat(String.join(" ", WrittenColor.find(text, FOUR, 255).orElseThrow().values())).isEqualTo(levels);
        assertThat(String.join(" ", WrittenColor.find(text, THREE, 255).map(found -> found.values()).orElse(List.of())))
                .isEqualTo(levels.split(" ").length > 3 && text.matches("\\d.*[, ].*") ? "" : levels.replaceFirst("^(\\d+ \\d+ \\d+) .*", "$1"));
    }

    @ParameterizedTest
    @ValueSource(strings = {"52", "65535", "-32768", "12 + 3", "#12345", "1 2", "(1 2 3) 4", "99999999999", "0x123456789"})
    void whatIsNoColor(String text) {
        assertThat(WrittenColor.find(text, THREE, 255)).isEmpty();
    }

    @Test
    void packedColorsNeedEightBits() {
        assertThatThrownBy(() -> WrittenColor.find("#010203", THREE, 65535)).isInstanceOf(PixeronException.class).hasMessageContaining("eight bits");
        assertThat(WrittenColor.find("1 2 3", THREE, 65535)).isPresent();
    }

    private static String packed(Object image, int row, int column) {
        return PackedPixel.of((ColorImage) image, new Pixel(row, column)).hexadecimal();
    }

    @Test
    void channelsThatTheInkSaysNothingOfStay() {
        Object made = Brush.of("0xFF8000", COLOR).draw(COLOR, (image, value) -> Drawing.dot(image, new Pixel(0, 1), value));
        assertThat(packed(made, 0, 1)).as("alpha stays 9").isEqualTo("0x09FF8000");
        assertThat(packed(made, 0, 0)).isEqualTo("0x09090909");
        assertThat(packed(Brush.of("7", COLOR).draw(COLOR, (image, value) -> Drawing.dot(image, new Pixel(0, 0), value)), 0, 0)).isEqualTo("0x09070707");
        assertThat(packed(Brush.of("1 2 3 4", COLOR).draw(COLOR, (image, value) -> Drawing.dot(image, new Pixel(0, 0), value)), 0, 0)).isEqualTo("0x04010203");
        assertThat(Brush.of("M", CHANNEL).draw(CHANNEL, (image, value) -> Drawing.dot(image, new Pixel(0, 0), value)))
                .isEqualTo(Image.of(255, new int[][] {{255, 9, 1}, {9, 2, 9}}));
        assertThatThrownBy(() -> Brush.of("red", COLOR)).hasMessageContaining("“red” is not a valid level");
    }

    /** The pixel below has another green, so it does not belong to the region, although red and blue are the same. */
    @Test
    void aRegionHasTheSameColor() {
        assertThat(Drawing.connected(COLOR, new Pixel(0, 0))).containsExactly(0, 1);
        assertThat(Drawing.connected(CHANNEL, new Pixel(0, 0))).containsExactly(0, 1, 3);
    }
}

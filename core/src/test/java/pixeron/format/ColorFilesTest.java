package pixeron.format;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import pixeron.PixeronException;
import pixeron.image.ColorImage;
import pixeron.image.Image;
import pixeron.number.Rational;

/** Color images in files: what is written comes back as it was, and what a format cannot hold is refused. */
class ColorFilesTest {

    @TempDir
    private Path folder;

    private static ColorImage image(int maximum, boolean hasAlpha, int seed) {
        Random random = new Random(seed);
        Image[] faces = new Image[4];
        for (int n = 0; n < faces.length; n++) {
            faces[n] = Image.ofLevels(5, 7, maximum, at -> random.nextInt(maximum + 1));
        }
        return new ColorImage(faces[0], faces[1], faces[2], hasAlpha ? Optional.of(faces[3]) : Optional.empty());
    }

    @ParameterizedTest
    @CsvSource({"png,255,false", "png,255,true", "png,65535,false", "png,65535,true", "tif,255,false", "tif,255,true",
        "tif,65535,false", "tif,65535,true", "bmp,255,false", "gif,255,false", "ppm,255,false", "ppm,7,false", "ppm,65535,false",
        "ppm,1000,false", "pam,255,true", "pam,1000,true", "pam,3,false"})
    void everySampleComesBack(String ending, int maximum, boolean hasAlpha) {
        for (int seed = 0; seed < 3; seed++) {
            ColorImage image = image(maximum, hasAlpha, seed);
            Path file = folder.resolve("proof" + seed + "." + ending);
            ImageFiles.write(file, image, false);
            assertThat(ImageFiles.read(file, ReadOptions.DEFAULT).result()).as(file.toString()).isEqualTo(image);
        }
    }

    @ParameterizedTest
    @CsvSource(delimiter = ';', value = {"bmp;255;true;.bmp cannot store transparency; Use .png, .tif or .pam", "ppm;255;true;Use .png, .tif or .pam",
        "jpg;255;true;.jpg cannot store transparency", "png;7;false;.png stores a maximum level of 255 or 65535, but this image has 7; Use .ppm or .pam",
        "bmp;65535;false;.bmp stores a maximum level of 255, but this image has 65535", "pgm;255;false;.pgm cannot store color images",
        "csv;255;false;.csv cannot store color images"})
    void whatAFormatCannotHoldIsRefusedAndNothingIsWritten(String ending, int maximum, boolean hasAlpha, String message) {
        Path file = folder.resolve("proof." + ending);
        assertThatThrownBy(() -> ImageFiles.write(file, image(maximum, hasAlpha, 1), false)).isInstanceOf(PixeronException.class)
                .hasMessageContaining(message.contains(";") ? message.substring(0, message.indexOf(';')) : message);
        assertThat(file).doesNotExist();
    }

    @Test
    void aGifHoldsAFewColorsAndNoMore() {
        Image many = Image.ofLevels(20, 20, 255, n -> n % 256);
        Image other = Image.ofLevels(20, 20, 255, n -> n / 2 % 256);
        assertThatThrownBy(() -> ImageFiles.write(folder.resolve("a.gif"), new ColorImage(many, other, many, Optional.empty()), false))
                .hasMessageContaining("at most 256 colors");
    }

    @Test
    void fractionsAreNoPicture() {
        Image open = Image.from(1, 1, 255, Rational.of(1, 2));
        assertThatThrownBy(() -> ImageFiles.write(folder.resolve("a.png"), new ColorImage(open, open, open, Optional.empty()), false))
                .hasMessageContaining("Round them first, or save one channel as .csv");
    }

    @Test
    void jpegSaysWhatItChanged() throws Exception {
        ColorImage image = image(255, false, 9);
        Path file = folder.resolve("a.jpg");
        ImageFiles.write(file, image, false);
        assertThat(Files.size(file)).isPositive();
        assertThat(LossyNote.of(file, image)).contains("of 105 values changed");
    }
}

package pixeron.format;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import pixeron.PixeronException;
import pixeron.image.ColorImage;
import pixeron.image.Image;
import pixeron.number.Rational;
import pixeron.number.Value;

class WorkbookFilesTest {

    @TempDir
    private Path folder;

    @Test
    void levelsComeBackAsTheyWere() {
        Random random = new Random(3);
        for (int n = 0; n < 20; n++) {
            int maximum = n % 2 == 0 ? 255 : 65535;
            Image image = Image.ofLevels(1 + random.nextInt(9), 1 + random.nextInt(9), maximum, at -> at == 0 ? maximum : random.nextInt(maximum + 1));
            Path file = folder.resolve("levels" + n + ".xlsx");
            ImageFiles.write(file, image, false);
            assertThat(ImageFiles.read(file, ReadOptions.DEFAULT).result()).isEqualTo(image);
        }
    }

    /** What is written into a table of text and what is written into a spreadsheet is the same number. */
    @Test
    void otherValuesAreThoseOfATableOfText() {
        Image image = Image.from(2, 3, 255, new Value[] {Rational.of(1, 3), Rational.of(-5, 2), Rational.of(1234567), Rational.of(1, 1_000_000),
            Rational.of(0), Rational.of(615, 4)});
        for (String ending : List.of(".csv", ".xlsx")) {
            ImageFiles.write(folder.resolve("open" + ending), image, false);
        }
        ReadOptions open = ReadOptions.DEFAULT.asOpen();
        assertThat(ImageFiles.read(folder.resolve("open.xlsx"), open).result()).isEqualTo(ImageFiles.read(folder.resolve("open.csv"), open).result());
        assertThatThrownBy(() -> ImageFiles.write(folder.resolve("exact.xlsx"), image, true)).isInstanceOf(PixeronException.class)
                .hasMessageContaining("Exact fractions can be written to .csv, .tsv or .txt, not to \"exact.xlsx\".");
    }

    @Test
    void aColorImageHasASheetForEachChannel() {
        Image red = Image.of(255, new int[][] {{1, 2}, {3, 4}});
        ColorImage color = new ColorImage(red, Image.of(255, new int[][] {{5, 6}, {7, 8}}), red, Optional.empty());
        Path file = folder.resolve("color.xlsx");
        ImageFiles.write(file, color, false);
        List<NamedCells> sheets = CellTable.readAll(file);
        assertThat(sheets).extracting(NamedCells::name).containsExactly("red", "green", "blue");
        assertThat(sheets.get(1).cells().rows()).containsExactly(List.of("5", "6"), List.of("7", "8"));
    }

    @Test
    void whatHasNoRoomOnASheetIsRefused() {
        Image wide = Image.ofLevels(1, (1 << 14) + 1, 1, n -> 0);
        assertThatThrownBy(() -> ImageFiles.write(folder.resolve("wide.xlsx"), wide, false)).hasMessageContaining("An image of 1 × 16385 is too large for a spreadsheet").hasMessageContaining(".csv");
        assertThat(folder.resolve("wide.xlsx")).doesNotExist();
    }
}

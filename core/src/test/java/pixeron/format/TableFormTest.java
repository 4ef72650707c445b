package pixeron.format;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HexFormat;
import java.util.OptionalInt;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import pixeron.PixeronException;
import pixeron.image.Image;
import pixeron.number.Rational;

/** Texts that are tables in one form or another, and photos that lie on their side. */
class TableFormTest {

    private static final Image SORT = Image.of(7, new int[][] {{1, 2}, {3, 4}, {5, 6}});

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {"1,2_3,4_5,6 | 0", "1;2_3;4_5;6_ | 0", "1 2_3  4_ 5 6 | 0",
        "left,right_1,2_3,4_5,6 | 1", "proof;_a;b_1;2_3;4_5;6 | 2"})
    void theFormIsGuessed(String text, int headLines) {
        String table = text.strip().replace('_', '\n');
        TableForm form = TableForm.guess(table);
        assertThat(form.headLines()).isEqualTo(headLines);
        assertThat(form.read(table, 7)).isEqualTo(SORT);
        assertThat(form.usualMaxima(table)).startsWith(7, 10, 15);
    }

    @Test
    void linesCanBeColumns() {
        assertThat(TableForm.guess("1,3,5\n2,4,6").withTurned(true).read("1,3,5\n2,4,6", 7)).isEqualTo(SORT);
        TableForm turned = TableForm.guess("1,2\n3").withTurned(true);
        assertThatThrownBy(() -> turned.read("1,2\n3", 7)).hasMessageContaining("Line 1 has 1 cells");
    }

    /** A decimal comma is understood wherever the comma does not be between cells. */
    @Test
    void theCommaOfDecimals() {
        Image open = TableForm.guess("1,5;2\n3;4").read("1,5;2\n3;4", 7);
        assertThat(open.value(0)).isEqualTo(Rational.of(3, 2));
        assertThat(ImageFiles.parse("0,25\t-1\n", ReadOptions.DEFAULT.asOpen()).image().value(0))
                .isEqualTo(Rational.of(1, 4));
        assertThat(TableForm.guess("1,5;2\n3;4").withDecimalComma(false).usualMaxima("1,5;2\n3;4")).isEmpty();
        assertThat(TableForm.guess("1,5;2").withSeparator(',').hasDecimalComma()).isFalse();
        assertThatThrownBy(() -> new TableForm(',', true, 0, false)).isInstanceOf(PixeronException.class);
    }

    @ParameterizedTest
    @CsvSource({"0 1, 1", "2 3, 3", "0 7, 7", "1 9, 10", "8 15, 15", "16 3, 31", "64 3, 100", "101 3, 127", "128 3, 255", "300 2, 1023", "5000 1, 65535", "-1 2, 255",
        "0.5 2, 255", "70000 1, 255"})
    void theMaximumIsSuggested(String text, int maximum) {
        assertThat(TableForm.guess(text).usualMaxima(text)).startsWith(maximum);
    }

    @Test
    void picturesAreNoTables(@TempDir Path folder) throws IOException {
        Path table = Files.writeString(folder.resolve("a.png"), "1 2\n");
        Path picture = Files.writeString(folder.resolve("b.csv"), "P2 1 1 7 3");
        assertThat(ImageFiles.tableText(table)).contains("1 2\n");
        assertThat(ImageFiles.tableText(picture)).isEmpty();
        assertThatThrownBy(() -> ImageFiles.tableText(Files.createFile(folder.resolve("empty.csv"))))
                .hasMessageContaining("empty");
    }

    @Test
    void morePixelsThanTheLimitAreAskedAbout(@TempDir Path folder) throws IOException {
        Path file = Files.writeString(folder.resolve("a.pgm"), "P2 3 2 7 1 2 3 4 5 6");
        ReadOptions few = new ReadOptions(OptionalInt.empty(), false, 5);
        assertThatThrownBy(() -> ImageFiles.read(file, few)).isInstanceOf(TooManyPixelsException.class)
                .hasMessageContaining("2 × 3").hasMessageContaining("The image has 2 × 3 pixels, more than the limit of 5 pixels (--most-pixels)");
        assertThat(ImageFiles.read(file, few.withPixelLimit(6)).image().count()).isEqualTo(6);
    }

    /** 6000 × 6000 white pixels are a few kilobytes as a file, and 72 MB when they are decoded and taken over. */
    @Test
    void aSmallFileThatUnfoldsToMuchIsAskedAbout(@TempDir Path folder) throws IOException {
        Path file = folder.resolve("white.png");
        ImageIO.write(new BufferedImage(6000, 6000, BufferedImage.TYPE_BYTE_GRAY), "png", file.toFile());
        assertThatThrownBy(() -> ImageFiles.read(file, ReadOptions.DEFAULT)).isInstanceOf(TooManyPixelsException.class)
                .hasMessageContaining("The file of 34 KiB contains 6000 × 6000 pixels and needs 68 MiB when decoded");
        assertThat(ImageFiles.read(file, ReadOptions.DEFAULT.withPixelLimit(36_000_000)).image().count())
                .isEqualTo(36_000_000);
    }

    /** Upright is 1 2 3 | 4 5 6; the file holds it as the telephone was held. */
    @ParameterizedTest
    @CsvSource({"1, 1 2 3 4 5 6, 3", "2, 3 2 1 6 5 4, 3", "3, 6 5 4 3 2 1, 3", "4, 4 5 6 1 2 3, 3",
        "5, 1 4 2 5 3 6, 2", "6, 3 6 2 5 1 4, 2", "7, 6 3 5 2 4 1, 2", "8, 4 1 5 2 6 3, 2"})
    void photosAreTurnedUpright(int number, String samples, int columns) {
        String[] held = samples.split(" ");
        Image file = Image.ofLevels(held.length / columns, columns, 7, n -> Integer.parseInt(held[n]));
        assertThat(new Orientation(number).apply(file)).isEqualTo(Image.of(7, new int[][] {{1, 2, 3}, {4, 5, 6}}));
    }

    @Test
    void theNoteOfAPhotoIsReadAndSaid() throws IOException {
        BufferedImage photo = new BufferedImage(16, 8, BufferedImage.TYPE_BYTE_GRAY);
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(photo, "jpeg", out);
        byte[] plain = out.toByteArray();
        byte[] note = HexFormat.of().parseHex("ffe10022457869660000" + "4d4d002a00000008" + "0001"
                + "011200030000000100060000" + "00000000");
        byte[] noted = new byte[plain.length + note.length];
        System.arraycopy(plain, 0, noted, 0, 2);
        System.arraycopy(note, 0, noted, 2, note.length);
        System.arraycopy(plain, 2, noted, 2 + note.length, plain.length - 2);
        LoadedImage loaded = ImageFiles.read(noted, ReadOptions.DEFAULT);
        assertThat(loaded.image().rows()).isEqualTo(16);
        assertThat(loaded.notes()).anyMatch(text -> text.contains("was rotated"));
        assertThat(ImageFiles.read(plain, ReadOptions.DEFAULT).image().rows()).isEqualTo(8);
    }
}

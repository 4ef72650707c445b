package pixeron.format;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import pixeron.PixeronException;
import pixeron.image.Frame;
import pixeron.image.Image;
import pixeron.number.Rational;

class ImageFilesTest {

    private interface Writing {
        void write(Image image, ByteArrayOutputStream out) throws IOException;
    }

    private static Image random(int rows, int columns, int maximum, long seed) {
        Random random = new Random(seed);
        return Image.ofLevels(rows, columns, maximum, n -> random.nextInt(maximum + 1));
    }

    private static Image throughBytes(Image image, Writing writing, ReadOptions options) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        writing.write(image, out);
        return ImageFiles.read(out.toByteArray(), options).image();
    }

    private static LoadedImage read(String text) {
        return ImageFiles.read(text.getBytes(StandardCharsets.UTF_8), ReadOptions.DEFAULT);
    }

    @Property(tries = 100)
    void pgmReadsBackTheSame(@ForAll @IntRange(min = 1, max = 20) int rows,
            @ForAll @IntRange(min = 1, max = 20) int columns,
            @ForAll @IntRange(min = 1, max = 65535) int maximum, @ForAll long seed) throws IOException {
        Image image = random(rows, columns, maximum, seed);
        assertThat(throughBytes(image, NetpbmFiles::writeGray, ReadOptions.DEFAULT)).isEqualTo(image);
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 3, 15, 255, 65535})
    void pngReadsBackTheSameAtEveryBitDepth(int maximum) throws IOException {
        for (int columns = 1; columns < 18; columns++) {
            Image image = random(5, columns, maximum, columns);
            assertThat(throughBytes(image, PictureFiles::writePng, ReadOptions.DEFAULT)).isEqualTo(image);
        }
    }

    @Property(tries = 60)
    void tablesReadBackTheSameWithTheirMaximum(@ForAll @IntRange(min = 1, max = 9) int rows,
            @ForAll @IntRange(min = 1, max = 9) int columns, @ForAll @IntRange(min = 1, max = 65535) int maximum,
            @ForAll long seed) throws IOException {
        Image image = random(rows, columns, maximum, seed);
        for (String separator : new String[] {",", "\t", " "}) {
            assertThat(throughBytes(image, (i, out) -> NumberTables.write(i, separator, false, out),
                    ReadOptions.DEFAULT.withMaximum(maximum))).isEqualTo(image);
        }
    }

    @Test
    void exactTablesReadBackTheSameFractions() throws IOException {
        Image open = Image.from(2, 2, 255, Rational.of(1, 3), Rational.of(-487, 9), Rational.of(300),
                Rational.of(1, 4));
        assertThat(throughBytes(open, (i, out) -> NumberTables.write(i, ",", true, out), ReadOptions.DEFAULT.asOpen()))
                .isEqualTo(open);
    }

    @Test
    void readsPlainPgmWithCommentsAndTables() {
        Image expected = Image.of(10, new int[][] {{0, 5, 10}, {1, 2, 3}});
        assertThat(read("P2 # a proof\n3 2\n#levels\n10\n0 5 10 1\n2 # ink\n3\n").image()).isEqualTo(expected);
        assertThat(read("\uFEFF0;5;10\r\n1;2;3\r\n\r\n").image().maximumLevel()).isEqualTo(255);
        assertThat(read("0\t5\t256").image().maximumLevel()).isEqualTo(65535);
        assertThat(read("  0 5   10\n 1 2 3 \n").image().level(2)).isEqualTo(10);
        assertThat(read("\"1\", 2\n3 ,4").image().level(3)).isEqualTo(4);
    }

    private static final String[][] BAD_TEXTS = {
        {"", "empty"},
        {"P5 3 3 255\nab", "ends too early"},
        {"P5 1000000000 1000000000 255\n", "The image has 1000000000 × 1000000000 pixels, more than the limit of 67108864 pixels (--most-pixels)"},
        {"P5 99999999999 1 255\n", "width is missing or is not"},
        {"P2 2 1 7\n3 8", "the value 8 is above the maximum in the header, 7"},
        {"P2 2 1 7\n3", "ends too early"},
        {"P2 2 1 7\n3    ", "ends before row 0, column 1"},
        {"P2 2 1 0\n0 0", "from 1 to 65535"},
        {"P2 2 1 70000\n0 0", "from 1 to 65535"},
        {"P5 0 3 255\n", "at least 1"},
        {"P2 x 3 255\n1", "width is missing"},
        {"P2 2 1 9\n1 -1", "row 0, column 1"},
        {"P3 1 1 255\n1 2", "ends too early"},
        {"P1 2 1\n12", "row 0, column 1 (counted from 0) is neither 0 nor 1"},
        {"P7 WIDTH 1 DEEP 2", "found \"DEEP\", expected WIDTH, HEIGHT, DEPTH, MAXVAL, TUPLTYPE or ENDHDR"},
        {"P7 WIDTH 1 HEIGHT 1 DEPTH 9 MAXVAL 3 ENDHDR\n123456789", "9 channels"},
        {"1,2\n3", "Row 1 (counted from 0) has 1 cell, but row 0 has 2"},
        {"1,2\n3,x", "Row 1, column 1 (counted from 0): \"x\""},
        {"1,2\n3,", "an empty cell"},
        {"1,2.5", "2.5 is not a whole number from 0 to 255"},
        {"1,-2", "row 0, column 1"},
        {"1,70000", "--packed argb"},
        {"\n\n", "no numbers"},
        {"\"1,2", "quotation mark without an end"},
        {"hello world", "is not a number"}};

    @Test
    void badTextIsOneLineThatSaysWhere() {
        for (String[] bad : BAD_TEXTS) {
            assertThatThrownBy(() -> read(bad[0])).as(bad[0]).isInstanceOf(PixeronException.class)
                    .satisfies(problem -> assertThat(problem.getMessage()).containsIgnoringCase(bad[1])
                            .doesNotContain("\n"));
        }
    }

    @Test
    void aTruncatedOrHostilePngIsRefusedInOneLine() throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        PictureFiles.writePng(random(40, 40, 255, 1), out);
        byte[] whole = out.toByteArray();
        for (int length = 8; length < whole.length - 12; length += 7) {
            byte[] cut = java.util.Arrays.copyOf(whole, length);
            assertThatThrownBy(() -> ImageFiles.read(cut, ReadOptions.DEFAULT)).as("%d bytes", length)
                    .isInstanceOf(PixeronException.class);
        }
        byte[] absurd = whole.clone();
        java.util.Arrays.fill(absurd, 16, 24, (byte) 0x3F);
        assertThatThrownBy(() -> ImageFiles.read(absurd, ReadOptions.DEFAULT)).isInstanceOf(PixeronException.class);
    }

    @Test
    void colorAndTransparencyArriveAsChannels() throws IOException {
        var picture = new java.awt.image.BufferedImage(2, 1, java.awt.image.BufferedImage.TYPE_INT_ARGB);
        picture.setRGB(0, 0, 0xFF0A141F);
        picture.setRGB(1, 0, 0x80FFFFFE);
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        javax.imageio.ImageIO.write(picture, "png", out);
        LoadedImage loaded = ImageFiles.read(out.toByteArray(), ReadOptions.DEFAULT);
        var color = loaded.color().orElseThrow();
        assertThat(loaded.gray()).isEmpty();
        assertThat(loaded.channels()).isEqualTo(4);
        assertThat(color.red()).isEqualTo(Image.of(255, new int[][] {{10, 255}}));
        assertThat(color.green()).isEqualTo(Image.of(255, new int[][] {{20, 255}}));
        assertThat(color.blue()).isEqualTo(Image.of(255, new int[][] {{31, 254}}));
        assertThat(color.alpha()).contains(Image.of(255, new int[][] {{255, 128}}));
        assertThat(color.transparentPixels()).isEqualTo(1);
    }

    @Test
    void theWholeNetpbmFamilyIsRead() {
        assertThat(read("P1 # ink is 1\n3 2\n101\n0 1 0\n").image())
                .isEqualTo(Image.of(1, new int[][] {{0, 1, 0}, {1, 0, 1}}));
        byte[] bitmap = "P4\n10 1\nXX".getBytes(StandardCharsets.ISO_8859_1);
        bitmap[bitmap.length - 2] = (byte) 0b10100000;
        bitmap[bitmap.length - 1] = (byte) 0b01000000;
        assertThat(ImageFiles.read(bitmap, ReadOptions.DEFAULT).image())
                .isEqualTo(Image.of(1, new int[][] {{0, 1, 0, 1, 1, 1, 1, 1, 1, 0}}));
        var plain = read("P3 2 1 9\n1 2 3  4 5 6\n");
        assertThat(plain.format()).isEqualTo("ppm");
        assertThat(plain.color().orElseThrow().green()).isEqualTo(Image.of(9, new int[][] {{2, 5}}));
        var map = read("P7\nWIDTH 2\n# two channels\nHEIGHT 1\nDEPTH 2\nMAXVAL 100\nTUPLTYPE GRAYSCALE_ALPHA\nENDHDR\n0d(2");
        assertThat(map.channels()).isEqualTo(2);
        assertThat(map.color().orElseThrow().red()).isEqualTo(Image.of(100, new int[][] {{48, 40}}));
        assertThat(map.color().orElseThrow().alpha()).contains(Image.of(100, new int[][] {{100, 50}}));
    }

    /** Every lossless format gives the same numbers back, at the maxima that it can hold. */
    @ParameterizedTest
    @ValueSource(strings = {"png 255", "png 65535", "tif 255", "tiff 65535", "bmp 255", "gif 255", "pgm 10",
            "pam 1000", "csv 255"})
    void losslessFilesReadBackTheSame(String format, @TempDir Path folder) {
        String[] words = format.split(" ");
        int maximum = Integer.parseInt(words[1]);
        for (int size = 1; size < 12; size++) {
            Image image = random(size, 13 - size, maximum, size);
            Path file = folder.resolve("proof." + words[0]);
            ImageFiles.write(file, image, false);
            assertThat(ImageFiles.read(file, ReadOptions.DEFAULT).image()).as(format).isEqualTo(image);
        }
        Image rgb = random(3, 4, 77, 5);
        ImageFiles.write(folder.resolve("proof.ppm"), rgb, false);
        assertThat(ImageFiles.read(folder.resolve("proof.ppm"), ReadOptions.DEFAULT).color().orElseThrow().blue())
                .isEqualTo(rgb);
    }

    @Test
    void aLossyFileSaysWhatItChanged(@TempDir Path folder) {
        Path file = folder.resolve("proof.jpg");
        Image noise = random(40, 40, 255, 3);
        ImageFiles.write(file, noise, false);
        assertThat(ImageFiles.isLossy(file)).isTrue();
        assertThat(LossyNote.of(file, noise))
                .matches("proof.jpg is a lossy format: [1-9]\\d* of 1600 values.*by at most [1-9].*");
        assertThat(ImageFiles.read(file, ReadOptions.DEFAULT).format()).isEqualTo("jpeg");
    }

    /** Small valid files of every format with bytes changed, cut and added: an answer or one clear line, never more. */
    @Test
    void hostileFilesOfEveryFormatAreAnsweredOrRefused(@TempDir Path folder) throws IOException {
        Random random = new Random(20261123);
        Image image = random(9, 7, 255, 2);
        for (String ending : new String[] {"png", "tif", "bmp", "gif", "jpg", "pgm", "ppm", "pam", "csv"}) {
            Path file = folder.resolve("proof." + ending);
            ImageFiles.write(file, image, false);
            byte[] whole = Files.readAllBytes(file);
            for (int n = 0; n < 250; n++) {
                byte[] bytes = java.util.Arrays.copyOf(whole, n % 5 == 0 ? random.nextInt(whole.length) : whole.length);
                for (int change = random.nextInt(5); change >= 0 && bytes.length > 0; change--) {
                    bytes[random.nextInt(n % 2 == 0 ? bytes.length : Math.min(bytes.length, 40))] =
                            (byte) random.nextInt(256);
                }
                try {
                    assertThat(ImageFiles.read(bytes, ReadOptions.DEFAULT)).isNotNull();
                } catch (PixeronException refused) {
                    assertThat(refused.getMessage()).hasLineCount(1);
                }
            }
        }
    }

    @Test
    void aFormatThatCannotHoldTheImageSaysWhichCan() {
        Image tens = Image.of(10, new int[][] {{1}});
        Image open = Image.from(1, 1, 255, Rational.HALF);
        assertThatThrownBy(() -> PictureFiles.writePng(tens, new ByteArrayOutputStream()))
                .hasMessageContaining("Use .pgm, .pam or .csv");
        assertThatThrownBy(() -> PictureFiles.writePng(open, new ByteArrayOutputStream()))
                .hasMessageContaining("Use .tif or .csv, or round the values first");
        assertThatThrownBy(() -> NetpbmFiles.writeGray(open, new ByteArrayOutputStream()))
                .hasMessageContaining("Use .csv, or round the values first");
    }

    @Test
    void theSuggestedFormatCanHoldTheImage(@TempDir Path folder) {
        for (Image image : new Image[] {random(2, 2, 255, 1), random(2, 2, 7, 1), random(2, 2, 65535, 1),
                random(2, 2, 10, 1),
            Image.from(1, 1, 255, Rational.HALF)}) {
            Path file = folder.resolve("result" + ImageFiles.suggestedEnding(image));
            ImageFiles.write(file, image, false);
            assertThat(ImageFiles.read(file, ReadOptions.DEFAULT.asOpen()).image()).isEqualTo(image);
        }
    }

    /** Encoders wrap what happened in words of their own; the user is told what happened. */
    @Test
    void aFullDiskIsSaid(@TempDir Path folder) {
        Path file = folder.resolve("proof.png");
        assertThatThrownBy(() -> SafeFile.write(file, out -> {
            throw new javax.imageio.IIOException("I/O error writing PNG file!", new IOException("No space left on device"));
        })).isInstanceOf(PixeronException.class).hasMessage("Cannot write " + file + ": No space left on device.");
        assertThatThrownBy(() -> SafeFile.write(file, out -> {
            throw new java.nio.file.FileSystemException("/some/where", null, "Read-only file system");
        })).hasMessage("Cannot write " + file + ": Read-only file system.");
    }

    @Test
    void aFailedWriteLeavesTheOldFileAndNothingBesideIt(@TempDir Path folder) throws IOException {
        Path file = folder.resolve("proof.pgm");
        Image image = random(3, 3, 255, 1);
        ImageFiles.write(file, image, false);
        assertThatThrownBy(() -> SafeFile.write(file, out -> {
            out.write(1);
            throw new IOException("No space left on device");
        })).isInstanceOf(PixeronException.class).hasMessageContaining("No space left");
        assertThat(ImageFiles.read(file, ReadOptions.DEFAULT).image()).isEqualTo(image);
        try (var files = Files.list(folder)) {
            assertThat(files).containsExactly(file);
        }
        assertThatThrownBy(() -> ImageFiles.write(folder, image, false)).hasMessageContaining("ending");
        assertThatThrownBy(() -> ImageFiles.write(folder.resolve("a/b.pgm"), image,
                false)).hasMessageContaining("no folder");
        assertThatThrownBy(() -> ImageFiles.write(folder.resolve("b.doc"), image, false)).hasMessageContaining(".png");
        assertThatThrownBy(() -> ImageFiles.read(folder, ReadOptions.DEFAULT)).hasMessageContaining("is a folder");
        assertThatThrownBy(() -> ImageFiles.read(folder.resolve("x"),
                ReadOptions.DEFAULT)).hasMessageContaining("no file");
        Files.write(folder.resolve("noise.bin"), new byte[] {1, 2, 0, (byte) 0xFF});
        assertThatThrownBy(() -> ImageFiles.read(folder.resolve("noise.bin"), ReadOptions.DEFAULT))
                .hasMessageContaining("noise.bin").hasMessageContaining("neither a picture");
    }

    /** 153.75, −2.5 and 40 fit 32 bits; a third does not, and the note says by how much it changed. */
    @Test
    void fractionsAreKeptInTiff(@TempDir Path folder) {
        Path file = folder.resolve("fractions.tif");
        Image exact = Image.ofFractions(new Frame(1, 3, 255), 4, 615, -10, 160);
        ImageFiles.write(file, exact, false);
        assertThat(ImageFiles.read(file, ReadOptions.DEFAULT).image()).isEqualTo(exact);
        assertThat(ImageFiles.mayChange(file, exact)).isFalse();
        Image thirds = Image.ofFractions(new Frame(2, 1, 255), 3, 1, 900);
        ImageFiles.write(file, thirds, false);
        Image read = ImageFiles.read(file, ReadOptions.DEFAULT).image();
        assertThat(read.asDouble(0)).isEqualTo((float) (1 / 3.0));
        assertThat(read.maximumLevel()).as("300 is above 255").isEqualTo(65535);
        assertThat(ImageFiles.mayChange(file, thirds)).isTrue();
        assertThat(LossyNote.of(file, read)).contains("fractions.tif stores 32-bit numbers: 0 of 2 values were rounded");
        // Levels stay levels of 8 or 16 bits, also where other numbers were there before.
        Image levels = Image.of(255, new int[][] {{7, 255}});
        ImageFiles.write(file, levels, false);
        assertThat(ImageFiles.read(file, ReadOptions.DEFAULT).image()).isEqualTo(levels);
        assertThatThrownBy(() -> ImageFiles.write(folder.resolve("x.png"), exact, false)).hasMessageContaining("Use .tif or .csv, or round the values first");
        assertThatThrownBy(() -> ImageFiles.write(file, Image.ofDoubles(new Frame(1, 1, 255), 1e300), false)).hasMessageContaining("is larger");
    }
}

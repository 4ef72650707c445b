package pixeron.format;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import pixeron.PixeronException;
import pixeron.byhand.HandValue;
import pixeron.image.ColorImage;
import pixeron.image.Image;
import pixeron.image.Result;
import pixeron.number.Approximate;
import pixeron.number.Rational;
import pixeron.number.Value;

class NpyFilesTest {

    private static final Image PROOF = Image.ofLevels(2, 3, 255, n -> new int[] {52, 55, 61, 59, 0, 255}[n]);

    @TempDir
    private Path folder;

    private static byte[] written(Result result) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        NpyFiles.write(result, out);
        return out.toByteArray();
    }

    private static byte[] file(String header, int... values) {
        byte[] text = (header + "\n").getBytes(StandardCharsets.US_ASCII);
        byte[] bytes = new byte[10 + text.length + values.length];
        System.arraycopy(new byte[] {(byte) 0x93, 'N', 'U', 'M', 'P', 'Y', 1, 0, (byte) text.length, 0}, 0, bytes, 0, 10);
        System.arraycopy(text, 0, bytes, 10, text.length);
        for (int n = 0; n < values.length; n++) {
            bytes[10 + text.length + n] = (byte) values[n];
        }
        return bytes;
    }

    private static Image read(byte[] bytes) {
        return ImageFiles.read(bytes, ReadOptions.DEFAULT).image();
    }

    /** 1/3 in each type of float, and the smallest difference that each tells. */
    @ParameterizedTest
    @CsvSource({"f2, 0.3333, 0.3345", "f4, 0.3333332, 0.333334", "f8, 0.33333333323, 0.3333333344"})
    void floatsByHandAgreeAsNearAsTheirTypeIs(String type, double near, double far) throws IOException {
        ByteBuffer value = ByteBuffer.allocate(8).order(ByteOrder.LITTLE_ENDIAN);
        // Half: 0.333251953125 is 0x3555.
        byte[] bytes = type.equals("f2") ? value.putShort((short) 0x3555).array() : type.equals("f4") ? value.putFloat(1 / 3F).array() : value.putDouble(1 / 3.0).array();
        int[] values = new int[type.charAt(1) - '0'];
        Arrays.setAll(values, n -> bytes[n]);
        Path file = Files.write(folder.resolve("third.npy"), file("{'descr': '<" + type + "', 'fortran_order': False, 'shape': (1, 1), }", values));
        HandValue hand = HandValue.parse(CellTable.read(file).rows().get(0).get(0));
        assertThat(hand.agreesWith(Rational.of(1, 3))).isTrue();
        assertThat(hand.agreesWith(Approximate.from(near))).isTrue();
        assertThat(hand.agreesWith(Approximate.from(far))).isFalse();
        assertThat(Double.parseDouble(hand.number())).isCloseTo(1 / 3.0, within(1e-3));
    }

    @Test
    void whatIsWrittenReadsBack() throws IOException {
        assertThat(read(written(PROOF))).isEqualTo(PROOF);
        Image deep = Image.ofLevels(1, 2, 65535, n -> 300 + n);
        assertThat(read(written(deep))).isEqualTo(deep);
        Image halves = Image.from(1, 3, 255, new Value[] {Rational.of(1, 2), Rational.of(-3), Rational.of(5, 4)});
        assertThat(ImageFiles.read(written(halves), ReadOptions.DEFAULT.asOpen()).image()).isEqualTo(halves);
        ColorImage color = new ColorImage(PROOF, PROOF, PROOF, Optional.of(PROOF));
        assertThat(ImageFiles.read(written(color), ReadOptions.DEFAULT).color()).contains(color);
    }

    /** The header is filled up so that values begin at a multiple of 64 bytes. */
    @Test
    void theHeaderIsTheDocumentedOne() throws IOException {
        byte[] bytes = written(PROOF);
        assertThat(new String(bytes, 10, 118, StandardCharsets.US_ASCII)).startsWith("{'descr': '|u1', 'fortran_order': False, 'shape': (2, 3), }").endsWith("\n");
        assertThat(bytes).hasSize(128 + 6).endsWith(52, 55, 61, 59, 0, 255);
    }

    /** By columns the values 1 2 3 4 are the rows 1 3 and 2 4; 0x0102 is 258 with the large byte first, 513 with the small one. */
    @Test
    void ordersOfValuesAndBytes() {
        assertThat(read(file("{'descr': '|u1', 'fortran_order': True, 'shape': (2, 2), }", 1, 2, 3, 4))).isEqualTo(Image.ofLevels(2, 2, 255, n -> new int[] {1, 3, 2, 4}[n]));
        assertThat(read(file("{'descr': '>u2', 'fortran_order': False, 'shape': (1, 1), }", 1, 2)).level(0)).isEqualTo(258);
        assertThat(read(file("{'descr': '<u2', 'fortran_order': False, 'shape': (1, 1), }", 1, 2)).level(0)).isEqualTo(513);
        assertThat(read(file("{'descr': '<f2', 'fortran_order': False, 'shape': (1, 2), }", 0, 0x3C, 0, 0x40))).isEqualTo(Image.ofLevels(1, 2, 255, n -> n + 1));
    }

    @ParameterizedTest
    @CsvSource(delimiter = ';', value = {
        "{'descr': '|u1', 'fortran_order': False, 'shape': (2, 9), };promises 18 bytes",
        "{'descr': '|u1', 'fortran_order': False, 'shape': (999999999, 999999999, 999999999), };promises 999999997000000002999999999 bytes",
        "{'descr': '|u1', 'fortran_order': False, 'shape': (99999999999,), };too large",
        "{'descr': '|O', 'fortran_order': False, 'shape': (1, 4), };plain numbers",
        "{'descr': [('a', '|u1')], 'fortran_order': False, 'shape': (4,), };plain numbers",
        "{'descr': '<f9', 'fortran_order': False, 'shape': (1, 4), };is not read",
        "{'descr': '|u1', 'fortran_order': False, 'shape': (), };not that of an image",
        "{'descr': '|u1', 'fortran_order': False, 'shape': (2, 1, 2), };1, 3 or 4 values"})
    void otherHeadersAreRefusedInOneLine(String header, String message) {
        assertThatThrownBy(() -> read(file(header, 1, 2, 3, 4))).isInstanceOf(PixeronException.class).hasMessageContaining(message).hasMessageNotContaining("\n");
    }

    @Test
    void cutFilesAreRefused() throws IOException {
        byte[] whole = written(PROOF);
        for (int length = 10; length < whole.length; length++) {
            byte[] cut = Arrays.copyOf(whole, length);
            assertThatThrownBy(() -> read(cut)).isInstanceOf(PixeronException.class);
        }
    }

    /** Every type, written by the library that the format comes from. */
    @Test
    void filesOfTheLibraryItself() throws IOException, InterruptedException {
        Path script = Files.writeString(folder.resolve("save.py"), "import numpy as np\nfor t in 'u1 u2 u4 u8 i1 i2 i4 i8 f2 f4 f8 >u2 >f4'.split():\n"
                + "    np.save(t.replace('>', 'big') + '.npy', np.array([[1, 2, 3], [4, 5, 100]]).astype(t))\n"
                + "np.save('columns.npy', np.asfortranarray(np.array([[1, 2, 3], [4, 5, 100]], dtype='u1')))\n");
        Process process;
        try {
            process = new ProcessBuilder("python3", script.toString()).directory(folder.toFile()).redirectErrorStream(true).start();
        } catch (IOException notThere) {
            assumeTrue(false, "python3 is not installed");
            throw notThere;
        }
        process.getInputStream().readAllBytes();
        assumeTrue(process.waitFor(2, TimeUnit.MINUTES) && process.exitValue() == 0, "NumPy is not installed");
        for (String name : "u1 u2 u4 u8 i1 i2 i4 i8 f2 f4 f8 bigu2 bigf4 columns".split(" ")) {
            Image image = ImageFiles.read(folder.resolve(name + ".npy"), ReadOptions.DEFAULT.withMaximum(255)).image();
            assertThat(image).as(name).isEqualTo(Image.ofLevels(2, 3, 255, n -> new int[] {1, 2, 3, 4, 5, 100}[n]));
        }
    }
}

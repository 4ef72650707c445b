package pixeron.format;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.Transparency;
import java.awt.color.ColorSpace;
import java.awt.image.BufferedImage;
import java.awt.image.ComponentColorModel;
import java.awt.image.DataBuffer;
import java.awt.image.IndexColorModel;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.Base64;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import pixeron.image.Image;

/** TIFF as other programs write it: 16 bits as differences from column to column, packed in two ways; and gray that is opaque. */
class OtherFlavorsTest {

    private static final Image SAMPLES = Image.of(65535, new int[][] {{15, 4020, 8008, 12049, 16029, 20035}, {9009, 13006, 17006, 21004, 25029, 29040}, {18018, 22049, 26005, 30017, 34037, 38039}, {27023, 31018, 35051, 39014, 43010, 47021}});
    private static final String PACKED = "SUkqAEAAAACAA8AKUHpQHskHowHqYHjERp0HqAHp4HrkHqsHmIjL8HnQHqwHrQHqIHo80psHsEHnsHpyLg+AgBAAAAEDAAEAAAAGAAAAAQEDAAEAAAAEAAAAAgEDAAEAAAAQAAAAAwEDAAEAAAAFAAAABgEDAAEAAAABAAAAEQEEAAEAAAAIAAAAEgEDAAEAAAABAAAAFQEDAAEAAAABAAAAFgEDAAEAAAAEAAAAFwEEAAEAAAA4AAAAGgEFAAEAAAAGAQAAGwEFAAEAAAAOAQAAHAEDAAEAAAABAAAAKAEDAAEAAAABAAAAPQEDAAEAAAACAAAAUwEDAAEAAAABAAAAAAAAAAEAAAABAAAAAQAAAAEAAAA=";
    private static final String DEFLATED = "SUkqAEIAAAB4nONnWMo/hf8kfw//Mn5D5bn8C/jn8e/kX82f5Lafv4R/Df8W/kX8/Zmz+Q/yV/PP4V/NDwB4WQ/2EAAAAQMAAQAAAAYAAAABAQMAAQAAAAQAAAACAQMAAQAAABAAAAADAQMAAQAAAAgAAAAGAQMAAQAAAAEAAAARAQQAAQAAAAgAAAASAQMAAQAAAAEAAAAVAQMAAQAAAAEAAAAWAQMAAQAAAAQAAAAXAQQAAQAAADoAAAAaAQUAAQAAAAgBAAAbAQUAAQAAABABAAAcAQMAAQAAAAEAAAAoAQMAAQAAAAEAAAA9AQMAAQAAAAIAAABTAQMAAQAAAAEAAAAAAAAAAQAAAAEAAAABAAAAAQAAAA==";
    /** In tiles of 16 by 16, the large byte first. */
    private static final String TILES = "TU0AKgAAAFZ4nGPg51/KP4X/JH8P/7KNexkwgLIh/1z+Bfzz+Hfyr+6bgCnvlsS/n7+Efw3/Fv5F2ZmY8pn9/LP5D/JX88/hX+0RzDAKBhkAAJM9E/EAEQEAAAMAAAABAAYAAAEBAAMAAAABAAQAAAECAAMAAAABABAAAAEDAAMAAAABAAgAAAEGAAMAAAABAAEAAAESAAMAAAABAAEAAAEVAAMAAAABAAEAAAEaAAUAAAABAAABKAEbAAUAAAABAAABMAEcAAMAAAABAAEAAAEoAAMAAAABAAEAAAE9AAMAAAABAAIAAAFCAAMAAAABABAAAAFDAAMAAAABABAAAAFEAAQAAAABAAAACAFFAAQAAAABAAAATgFTAAMAAAABAAEAAAAAAAAAAAABAAAAAQAAAAEAAAAB";

    @ParameterizedTest
    @ValueSource(strings = {PACKED, DEFLATED, TILES})
    void differencesOfSixteenBitsAreRead(String file) {
        LoadedImage loaded = ImageFiles.read(Base64.getDecoder().decode(file), ReadOptions.DEFAULT);
        assertThat(loaded.result()).isEqualTo(SAMPLES);
        assertThat(loaded.format()).isEqualTo("tiff");
    }

    static java.util.List<byte[]> files() {
        return java.util.stream.Stream.of(PACKED, DEFLATED, TILES).map(Base64.getDecoder()::decode).toList();
    }

    /** Its alpha is 255 everywhere: it is gray, and nothing is asked. */
    @Test
    void opaqueGrayIsGray() throws IOException {
        for (int alpha : new int[] {255, 254}) {
            BufferedImage picture = grayWithAlpha(alpha);
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            ImageIO.write(picture, "png", out);
            LoadedImage loaded = ImageFiles.read(out.toByteArray(), ReadOptions.DEFAULT);
            assertThat(loaded.result() instanceof Image).as("alpha %d", alpha).isEqualTo(alpha == 255);
        }
    }

    /** A scan of one bit often counts white as 0; the levels are 0 and 1 all the same, and 0 is black. */
    @Test
    void aPaletteThatFallsFromWhiteToBlackIsGray() throws IOException {
        byte[] falling = {(byte) 255, (byte) 170, 85, 0};
        for (int bits : new int[] {1, 2}) {
            byte[] entries = bits == 2 ? falling : new byte[] {(byte) 255, 0};
            BufferedImage picture = new BufferedImage(3, 1, BufferedImage.TYPE_BYTE_BINARY, new IndexColorModel(bits, entries.length, entries, entries, entries));
            for (int n = 0; n < 3; n++) {
                picture.getRaster().setSample(n, 0, 0, n % entries.length);
            }
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            ImageIO.write(picture, "png", out);
            int last = entries.length - 1;
            assertThat(ImageFiles.read(out.toByteArray(), ReadOptions.DEFAULT).result())
                    .isEqualTo(Image.of(last, new int[][] {{last, last - 1, 1}}));
        }
    }

    private static BufferedImage grayWithAlpha(int alpha) {
        var colors = new ComponentColorModel(ColorSpace.getInstance(ColorSpace.CS_GRAY), true, false,
                Transparency.TRANSLUCENT, DataBuffer.TYPE_BYTE);
        var raster = colors.createCompatibleWritableRaster(3, 2);
        for (int n = 0; n < 6; n++) {
            raster.setPixel(n % 3, n / 3, new int[] {40 * n, alpha});
        }
        return new BufferedImage(colors, raster, false, null);
    }
}

package pixeron.format;

import java.awt.color.ColorSpace;
import java.awt.image.BufferedImage;
import java.awt.image.ColorModel;
import java.awt.image.DataBuffer;
import java.awt.image.IndexColorModel;
import java.awt.image.Raster;
import java.awt.image.WritableRaster;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.ByteBuffer;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.zip.CRC32;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.ImageTypeSpecifier;
import javax.imageio.stream.ImageInputStream;
import javax.imageio.stream.MemoryCacheImageInputStream;
import pixeron.PixeronException;
import pixeron.image.Image;
import pixeron.number.Rational;
import pixeron.number.Rounding;

/** PNG with 1, 2, 4, 8 or 16 bits of gray; colour only as the mean of its channels, when asked for. */
final class PngFiles {

    private static final byte[] SIGNATURE = {(byte) 0x89, 'P', 'N', 'G', '\r', '\n', 0x1A, '\n'};
    private static final Set<Integer> MAXIMA = Set.of(1, 3, 15, 255, 65535);
    private static final String BROKEN = "The PNG is damaged.";
    /** The letters IEND as one number. */
    private static final int END_MARK = 0x49454E44;

    private PngFiles() {
    }

    static boolean matches(byte[] bytes) {
        return bytes.length >= SIGNATURE.length
                && Arrays.equals(SIGNATURE, 0, SIGNATURE.length, bytes, 0, SIGNATURE.length);
    }

    static LoadedImage read(byte[] bytes, ReadOptions options) {
        requireWholeChunks(bytes);
        BufferedImage picture = decode(bytes, options);
        ColorModel model = picture.getColorModel();
        boolean isGray = isGray(model);
        if (isGray && !model.hasAlpha()) {
            return LoadedImage.gray(grayImage(picture.getRaster(), bits(model)), "png");
        }
        if (!options.isMeanGray()) {
            throw PixeronException.of("The picture has %s, which is not read as numbers yet; "
                    + "read it as gray by the mean (R + G + B) ÷ 3 instead (--gray mean).",
                    isGray ? "transparency" : model.hasAlpha() ? "colour and transparency" : "colour");
        }
        return new LoadedImage(meanImage(picture), "png", model.getNumComponents(), List.of(
                "Gray is the mean (R + G + B) ÷ 3 of each pixel, rounded to nearest"
                + (model.hasAlpha() ? "; transparency is ignored." : ".")));
    }

    /**
     * The decoder is content with half a picture; this is not. Every chunk up to the end mark must be there, with the
     * checksum that it says.
     */
    private static void requireWholeChunks(byte[] bytes) {
        ByteBuffer file = ByteBuffer.wrap(bytes);
        int at = SIGNATURE.length;
        boolean isEnd = false;
        while (!isEnd) {
            long length = at + 12L <= bytes.length ? file.getInt(at) & 0xFFFFFFFFL : Long.MAX_VALUE / 2;
            if (at + 12 + length > bytes.length) {
                throw PixeronException.of("The PNG ends too early; its end mark is missing.");
            }
            CRC32 sum = new CRC32();
            sum.update(bytes, at + 4, (int) length + 4);
            if ((int) sum.getValue() != file.getInt(at + 8 + (int) length)) {
                throw PixeronException.of("The PNG is damaged: the checksum of a part at byte %d is wrong.", at);
            }
            isEnd = file.getInt(at + 4) == END_MARK;
            at += 12 + (int) length;
        }
    }

    private static BufferedImage decode(byte[] bytes, ReadOptions options) {
        ImageReader reader = ImageIO.getImageReadersByFormatName("png").next();
        // In memory: the bytes are there already, and a cache file would be one more thing that can fail.
        try (ImageInputStream in = new MemoryCacheImageInputStream(new ByteArrayInputStream(bytes))) {
            reader.setInput(in, true, true);
            NumberTables.requirePixelLimit(reader.getHeight(0), reader.getWidth(0), options);
            return reader.read(0);
        } catch (PixeronException tooLarge) {
            throw tooLarge;
        } catch (IOException | RuntimeException broken) {
            // The decoder answers hostile bytes with many kinds of runtime exception.
            throw PixeronException.because(broken, BROKEN);
        } finally {
            reader.dispose();
        }
    }

    private static boolean isGray(ColorModel model) {
        if (model instanceof IndexColorModel palette) {
            return isEvenGrayRamp(palette);
        }
        return model.getColorSpace().getType() == ColorSpace.TYPE_GRAY;
    }

    private static int bits(ColorModel model) {
        return model instanceof IndexColorModel ? model.getPixelSize() : model.getComponentSize(0);
    }

    /** Gray of 1, 2 and 4 bits arrives as a palette that rises evenly from black to white. */
    private static boolean isEvenGrayRamp(IndexColorModel palette) {
        int last = palette.getMapSize() - 1;
        if (palette.hasAlpha() || last != (1 << palette.getPixelSize()) - 1) {
            return false;
        }
        for (int n = 0; n <= last; n++) {
            int gray = n * 255 / last;
            if (palette.getRGB(n) != (0xFF000000 | gray << 16 | gray << 8 | gray)) {
                return false;
            }
        }
        return true;
    }

    private static Image grayImage(Raster raster, int bits) {
        int columns = raster.getWidth();
        int[] row = new int[columns];
        return Image.ofLevels(raster.getHeight(), columns, (1 << bits) - 1, n -> {
            if (n % columns == 0) {
                raster.getSamples(0, n / columns, columns, 1, 0, row);
            }
            return row[n % columns];
        });
    }

    private static Image meanImage(BufferedImage picture) {
        return picture.getColorModel() instanceof IndexColorModel ? paletteMean(picture) : channelMean(picture);
    }

    /** The channels as they are in the file: going through a colour space would change gray values. */
    private static Image channelMean(BufferedImage picture) {
        Raster raster = picture.getRaster();
        int colours = picture.getColorModel().getNumColorComponents();
        int bits = picture.getColorModel().getComponentSize(0);
        int columns = picture.getWidth();
        int[] row = new int[columns * raster.getNumBands()];
        return Image.ofLevels(picture.getHeight(), columns, (1 << bits) - 1, n -> {
            if (n % columns == 0) {
                raster.getPixels(0, n / columns, columns, 1, row);
            }
            int sum = 0;
            for (int channel = 0; channel < colours; channel++) {
                sum += row[n % columns * raster.getNumBands() + channel];
            }
            return mean(sum, colours);
        });
    }

    private static Image paletteMean(BufferedImage picture) {
        int columns = picture.getWidth();
        int[] row = new int[columns];
        return Image.ofLevels(picture.getHeight(), columns, 255, n -> {
            if (n % columns == 0) {
                picture.getRGB(0, n / columns, columns, 1, row, 0, columns);
            }
            int rgb = row[n % columns];
            return mean((rgb >> 16 & 0xFF) + (rgb >> 8 & 0xFF) + (rgb & 0xFF), 3);
        });
    }

    private static int mean(int sum, int channels) {
        return ((Rational) Rounding.NEAREST.apply(Rational.of(sum, channels))).toInt();
    }

    static void write(Image image, OutputStream out) throws IOException {
        int maximum = image.maximumLevel();
        image.firstOpenPixel().ifPresent(pixel -> {
            throw PixeronException.of("PNG holds whole levels only, and the value at %s is none; use .csv, or round first.",
                    pixel);
        });
        if (!MAXIMA.contains(maximum)) {
            throw PixeronException.of("PNG holds maximum level 1, 3, 15, 255 or 65535, and this image has %d; "
                    + "use .pgm or .csv.", maximum);
        }
        BufferedImage picture = ImageTypeSpecifier.createGrayscale(
                Integer.SIZE - Integer.numberOfLeadingZeros(maximum),
                maximum > 255 ? DataBuffer.TYPE_USHORT : DataBuffer.TYPE_BYTE,
                        false).createBufferedImage(image.columns(), image.rows());
        WritableRaster raster = picture.getRaster();
        int[] row = new int[image.columns()];
        for (int i = 0; i < image.rows(); i++) {
            int start = i * image.columns();
            Arrays.setAll(row, j -> image.level(start + j));
            raster.setSamples(0, i, row.length, 1, 0, row);
        }
        ImageIO.setUseCache(false);
        if (!ImageIO.write(picture, "png", out)) {
            throw new IOException("no PNG writer is installed");
        }
    }
}

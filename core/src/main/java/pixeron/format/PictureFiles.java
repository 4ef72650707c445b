package pixeron.format;

import java.awt.color.ColorSpace;
import java.awt.image.BufferedImage;
import java.awt.image.ColorModel;
import java.awt.image.ComponentColorModel;
import java.awt.image.ComponentSampleModel;
import java.awt.image.DataBuffer;
import java.awt.image.DataBufferByte;
import java.awt.image.IndexColorModel;
import java.awt.image.Raster;
import java.awt.image.WritableRaster;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.ImageTypeSpecifier;
import javax.imageio.ImageWriteParam;
import javax.imageio.ImageWriter;
import javax.imageio.stream.ImageInputStream;
import javax.imageio.stream.ImageOutputStream;
import javax.imageio.stream.MemoryCacheImageInputStream;
import javax.imageio.stream.MemoryCacheImageOutputStream;
import pixeron.PixeronException;
import pixeron.image.ColorImage;
import pixeron.image.Image;
import pixeron.image.LevelRaster;

/**
 * Pictures that the JDK and a library for TIFF decode: PNG with 1 to 16 bits, JPEG, BMP, GIF (the first frame) and TIFF, gray or color, with
 * or without transparency. Samples are taken as they are in the file, without going through a color space.
 */
final class PictureFiles {

    /** The first bytes of a file, one character a byte, for each format of the JDK. */
    private static final Map<String, String> SIGNATURES = Map.of(
            "\u0089PNG\r\n\u001A\n", "png", "\u00FF\u00D8\u00FF", "jpeg", "BM", "bmp",
            "GIF87a", "gif", "GIF89a", "gif", "II*\0", "tiff", "MM\0*", "tiff",
            // The large form, with places of 64 bits.
            "II+\0", "tiff", "MM\0+", "tiff");
    /** Maximum levels that a PNG can hold. */
    static final Set<Integer> PNG_MAXIMA = Set.of(1, 3, 15, 255, 65535);
    private static final Set<Integer> TIFF_MAXIMA = Set.of(255, 65535);
    private static final Set<Integer> BYTE_MAXIMA = Set.of(255);

    private static final String OF_JDK = "com.sun.";
    private static final String OF_TIFF = "com.twelvemonkeys.";
    /** What a file may unfold to without a question: this many bytes, and as many times its own size. */
    private static final long FREE_MEMORY = 64L << 20;
    private static final long FREE_FACTOR = 16;
    /** Channels that a palette may represent. */
    private static final int COLOURS = 4;

    private final BufferedImage picture;
    private final String format;

    private PictureFiles(BufferedImage picture, String format) {
        this.picture = picture;
        this.format = format;
    }

    /** Returns the one of this maker, whatever else there is; the first where it has none. */
    private static <T> T made(Iterator<T> all, String maker) {
        T first = all.next();
        T found = first;
        while (!found.getClass().getName().startsWith(maker) && all.hasNext()) {
            found = all.next();
        }
        return found.getClass().getName().startsWith(maker) ? found : first;
    }

    /** Returns the format of the file, if it is one of these. */
    static Optional<String> format(byte[] bytes) {
        String start = new String(bytes, 0, Math.min(8, bytes.length), StandardCharsets.ISO_8859_1);
        return SIGNATURES.entrySet().stream().filter(entry -> start.startsWith(entry.getKey()))
                .map(Map.Entry::getValue).findFirst();
    }

    static LoadedImage read(byte[] bytes, String format, ReadOptions options) {
        if (format.equals("png")) {
            PngChunks.requireWhole(bytes);
        }
        // Of TIFF the JDK reads no differences of 16 bits, which most programs write.
        ImageReader reader = made(ImageIO.getImageReadersByFormatName(format), format.equals("tiff") ? OF_TIFF : OF_JDK);
        // In memory: the bytes are there already, and a cache file would be one more thing that can fail.
        try (ImageInputStream in = new MemoryCacheImageInputStream(new ByteArrayInputStream(bytes))) {
            reader.setInput(in, false, true);
            NumberTables.requirePixelLimit(reader.getHeight(0), reader.getWidth(0), options);
            if (!options.isLimitChosen()) {
                requireMemory(reader, bytes.length);
            }
            LoadedImage loaded = Orientation.of(bytes, format).apply(new PictureFiles(picture(reader, bytes, format), format).loaded(options));
            return format.equals("gif") && reader.getNumImages(true) > 1
                    ? loaded.withNote("The GIF has several frames. Pixeron reads the first one.") : loaded;
        } catch (PixeronException known) {
            throw known;
        } catch (IOException | RuntimeException broken) {
            // The decoders answer hostile bytes with many kinds of runtime exception.
            throw PixeronException.because(broken, "The %s picture is damaged, incomplete, or of a kind that Pixeron does "
                    + "not read.", format.toUpperCase(java.util.Locale.ROOT));
        } finally {
            reader.dispose();
        }
    }

    /** Numbers with a binary point come as they are only from the JDK's reader; the other one cuts them down to 0 to 1. */
    private static BufferedImage picture(ImageReader reader, byte[] bytes, String format) throws IOException {
        if (!format.equals("tiff") || reader.getImageTypes(0).next().getColorModel().getTransferType() != DataBuffer.TYPE_FLOAT) {
            return reader.read(0);
        }
        ImageReader exact = made(ImageIO.getImageReadersByFormatName(format), OF_JDK);
        try (ImageInputStream in = new MemoryCacheImageInputStream(new ByteArrayInputStream(bytes))) {
            exact.setInput(in, false, true);
            return exact.read(0);
        } finally {
            exact.dispose();
        }
    }

    /** A picture is decoded into one raster and then taken apart into channels; both are counted. */
    private static void requireMemory(ImageReader reader, long fileBytes) throws IOException {
        long rows = reader.getHeight(0);
        long columns = reader.getWidth(0);
        ImageTypeSpecifier type = reader.getImageTypes(0).next();
        int decoded = (type.getColorModel().getPixelSize() + 7) / 8;
        int channels = type.getColorModel() instanceof IndexColorModel ? COLOURS : decoded;
        long needed = rows * columns * (decoded + channels);
        if (needed > FREE_MEMORY + FREE_FACTOR * fileBytes) {
            throw TooManyPixelsException.ofMemory(rows, columns, needed, fileBytes);
        }
    }

    private LoadedImage loaded(ReadOptions options) {
        ColorModel model = picture.getColorModel();
        if (model.getTransferType() == DataBuffer.TYPE_FLOAT && model.getNumComponents() == 1) {
            return FloatPictures.read(picture.getRaster(), format, options);
        }
        if (model instanceof IndexColorModel palette) {
            return isEvenRamp(palette, false) ? LoadedImage.gray(channel(0, palette.getPixelSize()), format)
                    : isEvenRamp(palette, true) ? LoadedImage.gray(turnedOver(channel(0, palette.getPixelSize())), format) : fromColors("The file uses a palette of " + palette.getMapSize() + " entries.");
        }
        boolean isPlain = model instanceof ComponentColorModel && model.getTransferType() <= DataBuffer.TYPE_USHORT
                && Arrays.stream(model.getComponentSize()).distinct().count() == 1 && !model.isAlphaPremultiplied();
        if (!isPlain) {
            return fromColors("The channels are read with 8 bits each.");
        }
        int bits = model.getComponentSize(0);
        boolean isGray = model.getColorSpace().getType() == ColorSpace.TYPE_GRAY;
        List<Image> all = channels(bits, IntStream.range(0, model.getNumComponents()).toArray());
        Image first = all.get(0);
        Optional<Image> alpha = model.hasAlpha() ? Optional.of(all.get(isGray ? 1 : 3)) : Optional.empty();
        if (isGray && alpha.isEmpty()) {
            return LoadedImage.gray(first, format);
        } else if (isGray && isOpaque(alpha.get())) {
            return LoadedImage.gray(first, format).withNote("The file has an alpha channel, but every pixel is opaque.");
        }
        // Gray with transparency is color whose channels are one and the same image.
        Image green = isGray ? first : all.get(1);
        Image blue = isGray ? first : all.get(2);
        return LoadedImage.color(new ColorImage(first, green, blue, alpha), format, model.getNumComponents());
    }

    private static boolean isOpaque(Image alpha) {
        return IntStream.range(0, alpha.count()).allMatch(n -> alpha.level(n) == alpha.maximumLevel());
    }

    /** Where 0 is white, the number in the file is not the level. */
    private static Image turnedOver(Image image) {
        return Image.ofLevels(image.rows(), image.columns(), image.maximumLevel(), n -> image.maximumLevel() - image.level(n));
    }

    /** Gray of 1, 2 and 4 bits arrives as a palette that goes evenly from black to white, or falls from white to black. */
    private static boolean isEvenRamp(IndexColorModel palette, boolean isFalling) {
        int last = palette.getMapSize() - 1;
        if (palette.hasAlpha() || last != (1 << palette.getPixelSize()) - 1) {
            return false;
        }
        for (int n = 0; n <= last; n++) {
            int gray = (isFalling ? last - n : n) * 255 / last;
            if (palette.getRGB(n) != (0xFF000000 | gray << 16 | gray << 8 | gray)) {
                return false;
            }
        }
        return true;
    }

    private Image channel(int band, int bits) {
        return channels(bits, band).get(0);
    }

    /** All of them row by row, so that what is read for one is still near for the next. */
    private List<Image> channels(int bits, int... bands) {
        Raster raster = picture.getRaster();
        int columns = raster.getWidth();
        List<LevelRaster> levels = Arrays.stream(bands).mapToObj(band -> new LevelRaster(raster.getHeight(), columns, (1 << bits) - 1)).toList();
        boolean isAtCorner = raster.getSampleModelTranslateX() == 0 && raster.getSampleModelTranslateY() == 0;
        if (isAtCorner && bits == Byte.SIZE && raster.getSampleModel() instanceof ComponentSampleModel model && raster.getDataBuffer() instanceof DataBufferByte buffer) {
            IntStream.range(0, raster.getHeight()).parallel().forEach(i -> {
                for (int n = 0; n < bands.length; n++) {
                    int bank = model.getBankIndices()[bands[n]];
                    int start = buffer.getOffsets()[bank] + model.getBandOffsets()[bands[n]] + i * model.getScanlineStride();
                    levels.get(n).write(i, buffer.getData(bank), start, model.getPixelStride());
                }
            });
        } else {
            int[] row = new int[columns];
            for (int i = 0; i < raster.getHeight(); i++) {
                for (int n = 0; n < bands.length; n++) {
                    levels.get(n).write(i, raster.getSamples(0, i, columns, 1, bands[n], row));
                }
            }
        }
        return levels.stream().map(LevelRaster::image).toList();
    }

    /** A picture whose pixels name colors, such as entries of a palette: gray where all of them are. */
    private LoadedImage fromColors(String note) {
        int columns = picture.getWidth();
        int[] row = new int[columns];
        return LoadedImage.packed(picture.getHeight(), columns, picture.getColorModel().hasAlpha(), n -> {
            if (n % columns == 0) {
                picture.getRGB(0, n / columns, columns, 1, row, 0, columns);
            }
            return row[n % columns];
        }, format).withNote(note);
    }

    /** Returns the maximum levels for which a format has room, by the ending of a file; empty where it takes any, or is another. */
    static Optional<Set<Integer>> maxima(String ending) {
        return Optional.ofNullable(switch (ending) {
            case "png" -> PNG_MAXIMA;
            case "tif", "tiff" -> TIFF_MAXIMA;
            case "bmp", "gif", "jpg", "jpeg" -> BYTE_MAXIMA;
            default -> null;
        });
    }

    static void writePng(Image image, OutputStream out) throws IOException {
        write(image, "png", PNG_MAXIMA, out);
    }

    /** Levels as 8 or 16 bits; values that are no levels as numbers of 32 bits. */
    static void writeTiff(Image image, OutputStream out) throws IOException {
        if (!image.isLevelImage()) {
            write(FloatPictures.picture(image), "tiff", out);
            return;
        }
        write(image, "tiff", TIFF_MAXIMA, out);
    }

    static void writeBmp(Image image, OutputStream out) throws IOException {
        write(image, "bmp", BYTE_MAXIMA, out);
    }

    static void writeGif(Image image, OutputStream out) throws IOException {
        write(image, "gif", BYTE_MAXIMA, out);
    }

    /** The only format that changes values; who saves it is told. */
    static void writeJpeg(Image image, OutputStream out) throws IOException {
        write(image, "jpeg", BYTE_MAXIMA, out);
    }

    private static void write(Image image, String format, Set<Integer> maxima, OutputStream out) throws IOException {
        String name = format.toUpperCase(java.util.Locale.ROOT);
        int maximum = image.maximumLevel();
        image.firstOpenPixel().ifPresent(pixel -> {
            throw PixeronException.of("%s stores whole levels only, but the value at %s is not whole. Use .tif or .csv, or round the values first.",
                    name, pixel);
        });
        if (!maxima.contains(maximum)) {
            throw PixeronException.of("%s stores a maximum level of %s, but this image has %d. Use .pgm, .pam or .csv.", name,
                    maxima.stream().sorted().map(String::valueOf).reduce((a, b) -> a + ", " + b).orElseThrow()
                            .replaceFirst(", (\\d+)$", " or $1"), maximum);
        }
        BufferedImage picture = format.equals("gif") ? withGrayPalette(image) : ImageTypeSpecifier.createGrayscale(
                Integer.SIZE - Integer.numberOfLeadingZeros(maximum),
                maximum > 255 ? DataBuffer.TYPE_USHORT : DataBuffer.TYPE_BYTE, false)
                .createBufferedImage(image.columns(), image.rows());
        fill(picture.getRaster(), 0, image);
        write(picture, format, out);
    }

    /** Writes the levels of an image into a band of a raster, row by row. */
    static void fill(WritableRaster raster, int band, Image image) {
        int[] row = new int[image.columns()];
        for (int i = 0; i < image.rows(); i++) {
            int start = i * image.columns();
            Arrays.setAll(row, j -> image.level(start + j));
            raster.setSamples(0, i, row.length, 1, band, row);
        }
    }

    /** @param picture of a kind that the format holds as it is */
    static void write(BufferedImage picture, String format, OutputStream out) throws IOException {
        ImageWriter writer = made(ImageIO.getImageWritersByFormatName(format), OF_JDK);
        try (ImageOutputStream stream = new MemoryCacheImageOutputStream(out)) {
            writer.setOutput(stream);
            ImageWriteParam settings = writer.getDefaultWriteParam();
            if (settings.canWriteProgressive()) {
                // Interlaced, as the JDK would write a GIF by itself, its own reader loses rows of small images.
                settings.setProgressiveMode(ImageWriteParam.MODE_DISABLED);
            }
            writer.write(null, new IIOImage(picture, null, null), settings);
        } finally {
            writer.dispose();
        }
    }

    /** A GIF holds a palette; made from plain gray, the JDK's writer would take the levels through a color space. */
    private static BufferedImage withGrayPalette(Image image) {
        byte[] ramp = new byte[256];
        for (int level = 0; level < ramp.length; level++) {
            ramp[level] = (byte) level;
        }
        return new BufferedImage(image.columns(), image.rows(), BufferedImage.TYPE_BYTE_INDEXED,
                new IndexColorModel(8, ramp.length, ramp, ramp, ramp));
    }
}

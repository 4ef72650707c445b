package pixeron.format;

import java.awt.color.ColorSpace;
import java.awt.image.BufferedImage;
import java.awt.image.DataBuffer;
import java.awt.image.IndexColorModel;
import java.awt.image.WritableRaster;
import java.io.IOException;
import java.io.OutputStream;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;
import javax.imageio.ImageTypeSpecifier;
import pixeron.PixeronException;
import pixeron.image.ColorImage;
import pixeron.image.Image;
import pixeron.image.Result;

/** Writes color images; every sample comes back as it was, but from JPEG. */
final class ColorFiles {

    /**
     * What a format holds.
     *
     * @param maxima its maximum levels
     * @param hasAlpha whether transparency as well
     */
    private record Format(String name, Predicate<Integer> maxima, String maximaInWords, boolean hasAlpha) {
    }

    private static final Set<Integer> BYTE_OR_WORD = Set.of(255, 65535);
    private static final Map<String, Format> FORMATS = new LinkedHashMap<>();

    static {
        FORMATS.put("png", new Format("png", BYTE_OR_WORD::contains, "255 or 65535", true));
        FORMATS.put("tif", new Format("tiff", BYTE_OR_WORD::contains, "255 or 65535", true));
        FORMATS.put("tiff", FORMATS.get("tif"));
        FORMATS.put("bmp", new Format("bmp", m -> m == 255, "255", false));
        FORMATS.put("gif", new Format("gif", m -> m == 255, "255", false));
        FORMATS.put("jpg", new Format("jpeg", m -> m == 255, "255", false));
        FORMATS.put("jpeg", FORMATS.get("jpg"));
        FORMATS.put("ppm", new Format("ppm", m -> true, "any", false));
        FORMATS.put("pam", new Format("pam", m -> true, "any", true));
    }

    private static final int PALETTE = 256;

    private final ColorImage image;
    private final Format format;

    private ColorFiles(ColorImage image, Format format) {
        this.image = image;
        this.format = format;
    }

    /**
     * @param ending of the file, in small letters
     * @throws PixeronException if the format cannot hold this image; names those that can
     */
    static void write(ColorImage image, String ending, OutputStream out) throws IOException {
        Format format = FORMATS.get(ending);
        if (format == null) {
            throw PixeronException.of(".%s cannot store color images. Use .png, .tif, .bmp, .ppm or .pam, or save a single channel.",
                    ending);
        } else if (image.alpha().isPresent() && !format.hasAlpha) {
            throw PixeronException.of(".%s cannot store transparency. Use .png, .tif or .pam.", ending);
        } else if (!image.isLevelImage()) {
            throw PixeronException.of("Pictures store whole levels only, but this image has other values. Round them first, or save one "
                    + "channel as .csv.");
        } else if (!format.maxima.test(image.maximumLevel())) {
            throw PixeronException.of(".%s stores a maximum level of %s, but this image has %d. Use .ppm or .pam.", ending,
                    format.maximaInWords, image.maximumLevel());
        }
        new ColorFiles(image, format).write(out);
    }

    private void write(OutputStream out) throws IOException {
        switch (format.name) {
            case "ppm" -> NetpbmFiles.writeColor(channels(), out);
            case "pam" -> NetpbmFiles.writeMap(channels(), image.alpha().isPresent() ? "RGB_ALPHA" : "RGB", out);
            case "gif" -> PictureFiles.write(withPalette(), "gif", out);
            default -> PictureFiles.write(interleaved(), format.name, out);
        }
    }

    private List<Image> channels() {
        return image.faces().stream().map(Result.Face::image).toList();
    }

    private BufferedImage interleaved() {
        boolean hasAlpha = image.alpha().isPresent();
        int[] bands = hasAlpha ? new int[] {0, 1, 2, 3} : new int[] {0, 1, 2};
        BufferedImage picture = format.name.equals("bmp") || format.name.equals("jpeg")
                ? new BufferedImage(image.columns(), image.rows(), BufferedImage.TYPE_3BYTE_BGR)
                : ImageTypeSpecifier.createInterleaved(ColorSpace.getInstance(ColorSpace.CS_sRGB), bands,
                        image.maximumLevel() > 255 ? DataBuffer.TYPE_USHORT : DataBuffer.TYPE_BYTE, hasAlpha, false)
                        .createBufferedImage(image.columns(), image.rows());
        for (int band = 0; band < bands.length; band++) {
            PictureFiles.fill(picture.getRaster(), band, channels().get(band));
        }
        return picture;
    }

    private int rgb(int n) {
        return image.red().level(n) << 16 | image.green().level(n) << 8 | image.blue().level(n);
    }

    /** A GIF holds at most 256 colors, each as it is. */
    private BufferedImage withPalette() {
        Map<Integer, Integer> places = new LinkedHashMap<>();
        for (int n = 0; n < image.red().count(); n++) {
            places.putIfAbsent(rgb(n), places.size());
            if (places.size() > PALETTE) {
                throw PixeronException.of("GIF stores at most 256 colors, but this image has more. Use .png, .tif, .bmp or .ppm.");
            }
        }
        byte[][] channels = new byte[3][PALETTE];
        places.forEach((color, place) -> {
            for (int c = 0; c < 3; c++) {
                channels[c][place] = (byte) (color >> 16 - 8 * c);
            }
        });
        BufferedImage picture = new BufferedImage(image.columns(), image.rows(), BufferedImage.TYPE_BYTE_INDEXED,
                new IndexColorModel(8, PALETTE, channels[0], channels[1], channels[2]));
        WritableRaster raster = picture.getRaster();
        for (int n = 0; n < image.red().count(); n++) {
            raster.setSample(n % image.columns(), n / image.columns(), 0, places.get(rgb(n)));
        }
        return picture;
    }
}

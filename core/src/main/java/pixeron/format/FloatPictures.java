package pixeron.format;

import java.awt.color.ColorSpace;
import java.awt.image.BufferedImage;
import java.awt.image.ComponentColorModel;
import java.awt.image.DataBuffer;
import java.awt.image.Raster;
import java.awt.image.WritableRaster;
import java.util.Arrays;
import java.util.stream.IntStream;
import pixeron.PixeronException;
import pixeron.image.Frame;
import pixeron.image.Image;

/** Pictures whose samples are numbers of 32 bits with a binary point, as TIFF holds them: IEEE 754 single precision. */
final class FloatPictures {

    private static final int MOST_BITS = 30;
    /** Up to here every whole number is a double. */
    private static final double MOST_WHOLE = 1L << 53;

    private FloatPictures() {
    }

    /**
     * Returns the image of a picture; its numbers are exactly those of the file.
     *
     * @param options its maximum level, which the file does not say: 255, or 65535 where a value is larger, unless it is given
     * @throws PixeronException if a sample is not a number; names it
     */
    static LoadedImage read(Raster raster, String format, ReadOptions options) {
        int columns = raster.getWidth();
        double[] values = new double[raster.getHeight() * columns];
        for (int n = 0; n < values.length; n++) {
            values[n] = raster.getSampleDouble(n % columns + raster.getMinX(), n / columns + raster.getMinY(), 0);
            if (!Double.isFinite(values[n])) {
                throw PixeronException.of("The sample at row %d, column %d is not a number.", n / columns, n % columns);
            }
        }
        boolean isLarge = IntStream.range(0, values.length).anyMatch(n -> values[n] > Image.BYTE_MAXIMUM);
        int maximum = options.maximum().orElse(isLarge ? Image.LARGEST_MAXIMUM : Image.BYTE_MAXIMUM);
        return LoadedImage.gray(exact(new Frame(raster.getHeight(), columns, maximum), values), format);
    }

    /** Numbers such as 153.75 are fractions over a power of 2, and stay exact where one is enough for all of them. */
    private static Image exact(Frame frame, double... values) {
        for (int bits = 0; bits <= MOST_BITS; bits++) {
            double denominator = Math.scalb(1.0, bits);
            if (Arrays.stream(values).allMatch(value -> value * denominator == Math.rint(value * denominator) && Math.abs(value * denominator) < MOST_WHOLE)) {
                return Image.ofFractions(frame, 1L << bits, Arrays.stream(values).mapToLong(value -> (long) (value * denominator)).toArray());
            }
        }
        return Image.ofDoubles(frame, values);
    }

    /**
     * Returns a picture of an image; every value is the nearest number of 32 bits.
     *
     * @throws PixeronException if a value is larger than any such number
     */
    static BufferedImage picture(Image image) {
        ComponentColorModel model = new ComponentColorModel(ColorSpace.getInstance(ColorSpace.CS_GRAY), false, false, ComponentColorModel.OPAQUE,
                DataBuffer.TYPE_FLOAT);
        WritableRaster raster = model.createCompatibleWritableRaster(image.columns(), image.rows());
        for (int n = 0; n < image.count(); n++) {
            float value = (float) image.asDouble(n);
            if (Float.isInfinite(value)) {
                throw PixeronException.of("TIFF stores numbers up to 3.4 × 10³⁸, but the value at %s is larger. Use .csv.", image.pixel(n));
            }
            raster.setSample(n % image.columns(), n / image.columns(), 0, value);
        }
        return new BufferedImage(model, raster, false, null);
    }
}

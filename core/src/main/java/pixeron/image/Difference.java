package pixeron.image;

import pixeron.PixeronException;
import pixeron.number.Rational;
import pixeron.number.Value;

/**
 * The difference of two images, pixel by pixel.
 *
 * @param image b − a, signed, as an open image
 * @param largest the first pixel in reading order with the largest |b − a|
 * @param changed the number of pixels that are not 0
 */
public record Difference(Image image, Pixel largest, int changed) {

    /**
     * @param a what is subtracted
     * @param b from this
     * @throws PixeronException if the sizes differ
     */
    public static Difference of(Image a, Image b) {
        a.frame().requireSized(b.frame());
        Value[] values = new Value[a.count()];
        Value most = Rational.ZERO;
        int place = 0;
        int changed = 0;
        boolean areLevels = a.isLevelImage() && b.isLevelImage();
        for (int n = 0; n < values.length; n++) {
            values[n] = areLevels ? Rational.of(b.level(n) - a.level(n)) : b.value(n).minus(a.value(n));
            Value size = values[n].absolute();
            changed += size.signum() == 0 ? 0 : 1;
            if (size.compareValue(most) > 0) {
                most = size;
                place = n;
            }
        }
        return new Difference(Image.from(a.rows(), a.columns(), a.maximumLevel(), values), a.pixel(place), changed);
    }
}

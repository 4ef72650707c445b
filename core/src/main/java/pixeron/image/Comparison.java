package pixeron.image;

import java.util.Optional;
import pixeron.PixeronException;
import pixeron.number.Rational;
import pixeron.number.Value;

/**
 * What differs between two images of the same size.
 *
 * @param agree pixels with equal samples
 * @param differ pixels with different samples
 * @param maxAbsolute largest |a − b|
 * @param meanAbsolute mean of |a − b|
 * @param mse mean of (a − b)²
 * @param psnr 10·log₁₀(M² ÷ mse) with the first image's M; empty (infinite) when the images are equal
 * @param largest the first pixel in reading order with the largest |a − b|
 */
public record Comparison(int agree, int differ, Value maxAbsolute, Value meanAbsolute, Value mse,
        Optional<Double> psnr, Pixel largest) {

    /**
     * Returns the measures; exact when both images are.
     *
     * @param a the first image, whose M counts
     * @param b the second image
     * @throws PixeronException if the sizes differ
     */
    public static Comparison of(Image a, Image b) {
        a.frame().requireSized(b.frame());
        Sums sums = a.isLevelImage() && b.isLevelImage() ? levelSums(a, b) : valueSums(a, b);
        Rational count = Rational.of(a.count());
        Value mse = sums.squares.dividedBy(count);
        return new Comparison(sums.agree, a.count() - sums.agree, sums.largest, sums.absolutes.dividedBy(count), mse,
                psnr(mse, a.maximumLevel()), a.pixel(sums.place));
    }

    /**
     * Returns the measures over all samples of all faces; agree and differ count samples.
     *
     * @param a an image, or a color image
     * @param b of the same kind and size
     * @throws PixeronException if sizes or faces differ, or one is a spectrum
     */
    public static Comparison of(Result a, Result b) {
        if (a instanceof Spectrum || b instanceof Spectrum) {
            throw PixeronException.of("A spectrum cannot be compared. Add the step fourier-inverse first.");
        } else if (a instanceof ModelImage || b instanceof ModelImage) {
            throw PixeronException.of("Images of a color model are compared for each component. Choose one.");
        } else if (a.faces().size() != b.faces().size()) {
            throw PixeronException.of("One image has %d channels, the other has %d.", a.faces().size(), b.faces().size());
        }
        Comparison all = of(a.faces().get(0).image(), b.faces().get(0).image());
        int count = a.faces().size();
        for (int n = 1; n < count; n++) {
            Comparison next = of(a.faces().get(n).image(), b.faces().get(n).image());
            boolean isLarger = next.maxAbsolute.compareValue(all.maxAbsolute) > 0;
            all = new Comparison(all.agree + next.agree, all.differ + next.differ, isLarger ? next.maxAbsolute : all.maxAbsolute,
                    all.meanAbsolute.plus(next.meanAbsolute), all.mse.plus(next.mse), Optional.empty(),
                    isLarger ? next.largest : all.largest);
        }
        Value mse = all.mse.dividedBy(Rational.of(count));
        return new Comparison(all.agree, all.differ, all.maxAbsolute, all.meanAbsolute.dividedBy(Rational.of(count)), mse,
                psnr(mse, a.frame().maximumLevel()), all.largest);
    }

    private static Optional<Double> psnr(Value mse, int maximumLevel) {
        Rational peak = Rational.of((long) maximumLevel * maximumLevel);
        return mse.signum() == 0 ? Optional.empty() : Optional.of(10 * Math.log10(peak.dividedBy(mse).asDouble()));
    }

    /**
     * Returns b − a, signed, as a real-valued image.
     *
     * @param a what is subtracted
     * @param b from this
     * @throws PixeronException if the sizes differ
     */
    public static Image difference(Image a, Image b) {
        a.frame().requireSized(b.frame());
        Value[] values = new Value[a.count()];
        boolean areLevels = a.isLevelImage() && b.isLevelImage();
        for (int n = 0; n < values.length; n++) {
            values[n] = areLevels ? Rational.of(b.level(n) - a.level(n)) : b.value(n).minus(a.value(n));
        }
        return Image.from(a.rows(), a.columns(), a.maximumLevel(), values);
    }

    private record Sums(int agree, Value largest, int place, Value absolutes, Value squares) {
    }

    /** Fits in a long: at most 2³¹ pixels with a square below 2³² each. */
    private static Sums levelSums(Image a, Image b) {
        int agree = 0;
        long largest = 0;
        int place = 0;
        long absolutes = 0;
        long squares = 0;
        for (int n = 0; n < a.count(); n++) {
            long difference = Math.abs(a.level(n) - b.level(n));
            agree += difference == 0 ? 1 : 0;
            place = difference > largest ? n : place;
            largest = Math.max(largest, difference);
            absolutes += difference;
            squares += difference * difference;
        }
        return new Sums(agree, Rational.of(largest), place, Rational.of(absolutes), Rational.of(squares));
    }

    private static Sums valueSums(Image a, Image b) {
        int agree = 0;
        Value largest = Rational.ZERO;
        int place = 0;
        Value absolutes = Rational.ZERO;
        Value squares = Rational.ZERO;
        for (int n = 0; n < a.count(); n++) {
            Value difference = a.value(n).minus(b.value(n)).absolute();
            agree += difference.signum() == 0 ? 1 : 0;
            if (difference.compareValue(largest) > 0) {
                largest = difference;
                place = n;
            }
            absolutes = absolutes.plus(difference);
            squares = squares.plus(difference.times(difference));
        }
        return new Sums(agree, largest, place, absolutes, squares);
    }
}

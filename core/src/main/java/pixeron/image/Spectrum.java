package pixeron.image;

import java.lang.ref.SoftReference;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import pixeron.number.Approximate;
import pixeron.number.Decimals;
import pixeron.number.Value;

/**
 * The coefficients of the waves that an image is made of, one for each pair of frequencies: F(u, v) in row u + ⌊H ÷ 2⌋ and column
 * v + ⌊W ÷ 2⌋, so that the frequency zero is in the middle.
 *
 * <p>Values were real before and are so afterwards: F(−u, −v) is the conjugate of F(u, v), its conjugate. So half of the coefficients are
 * kept, 8 bytes a pixel; faces are made when they are asked for, and forgotten when memory is short.
 */
public final class Spectrum implements Result {

    /** Relative to the scale, below this a number is nothing. */
    private static final double NOTHING = 1e-12;
    private static final double STRAIGHT = 180;

    /** What a coefficient is multiplied with, the same for its conjugate. */
    @FunctionalInterface
    public interface Factor {
        double at(Frequency frequency);
    }

    private final Frame frame;
    private final double[] halves;
    private final double largest;
    private final double scale;
    private final Map<SpectrumFace, SoftReference<Image>> made = new EnumMap<>(SpectrumFace.class);

    /**
     * Creates a spectrum from the half that determines the rest.
     *
     * @param frame size and maximum level of the image
     * @param halves of the rows u mod H in order: for each v from 0 to ⌊W ÷ 2⌋ the real and the imaginary part; not copied
     * @param largest the larger of M and the largest size of a sample of that image
     */
    public Spectrum(Frame frame, double[] halves, double largest) {
        this.frame = frame;
        this.halves = halves;
        this.largest = largest;
        this.scale = largest * Math.sqrt(frame.count());
    }

    /** Returns how many coefficients are kept of each row. */
    public static int kept(int columns) {
        return columns / 2 + 1;
    }

    @Override
    public Frame frame() {
        return frame;
    }

    @Override
    public String kind() {
        return "a spectrum";
    }

    @Override
    public List<Face> faces() {
        return Arrays.stream(SpectrumFace.values()).map(face -> new Face(face.word(), () -> face(face))).toList();
    }

    /** Returns a copy of what is kept, ordered as it was given. */
    public double[] halves() {
        return halves.clone();
    }

    /** Returns the larger of M and the largest size of a sample of the image of this spectrum. */
    public double largest() {
        return largest;
    }

    /** Returns the size against which a part is as good as a multiple of ½: {@link #largest} · √(H · W). */
    public double scale() {
        return scale;
    }

    /** Returns the frequencies of a place. */
    public static Frequency frequency(Frame frame, Pixel pixel) {
        return new Frequency(pixel.row() - frame.rows() / 2, pixel.column() - frame.columns() / 2);
    }

    /** Returns the place of frequencies, counted round modulo H and W. */
    public static Pixel place(Frame frame, long u, long v) {
        return new Pixel(Math.floorMod(u + frame.rows() / 2, frame.rows()), Math.floorMod(v + frame.columns() / 2, frame.columns()));
    }

    /** Returns the place of the conjugate of a coefficient, F(−u, −v); the place itself where it is its own. */
    public static Pixel mate(Frame frame, Pixel pixel) {
        Frequency at = frequency(frame, pixel);
        return place(frame, -(long) at.u(), -(long) at.v());
    }

    public Frequency frequency(Pixel pixel) {
        return frequency(frame, pixel);
    }

    /** Returns where the real part of a coefficient or of its conjugate is kept. */
    private int index(Pixel pixel, boolean isMate) {
        Frequency at = frequency(frame, pixel);
        int sign = isMate ? -1 : 1;
        return 2 * (Math.floorMod(sign * at.u(), frame.rows()) * kept(frame.columns()) + Math.floorMod(sign * at.v(), frame.columns()));
    }

    private boolean isKept(Pixel pixel) {
        return Math.floorMod(pixel.column() - frame.columns() / 2, frame.columns()) < kept(frame.columns());
    }

    /** Returns the real part as it was calculated. */
    public double real(Pixel pixel) {
        return halves[index(pixel, !isKept(pixel))];
    }

    /** Returns the imaginary part as it was calculated. */
    public double imaginary(Pixel pixel) {
        boolean isMate = !isKept(pixel);
        double part = halves[index(pixel, isMate) + 1];
        return isMate ? -part : part;
    }

    /** Returns the magnitude, of the parts as they are shown. */
    public double magnitude(Pixel pixel) {
        return number(SpectrumFace.MAGNITUDE, real(pixel), imaginary(pixel));
    }

    /** Returns whether there is no wave at all: its magnitude is nothing against the samples. */
    public boolean isNothing(double magnitude) {
        return magnitude <= NOTHING * scale();
    }

    /** Returns both parts as they are shown, such as 3 − 4i. */
    public String text(Pixel pixel) {
        return text(value(SpectrumFace.REAL, pixel), value(SpectrumFace.IMAGINARY, pixel));
    }

    /** Returns any number with these parts as it is read. */
    public static String text(Value real, Value imaginary) {
        return Decimals.legible(real) + (imaginary.signum() < 0 ? " \u2212 " : " + ") + Decimals.legible(imaginary.absolute()) + "i";
    }

    /** Returns what a face shows of a coefficient. */
    public Value value(SpectrumFace face, Pixel pixel) {
        return value(face, real(pixel), imaginary(pixel));
    }

    /** Returns what a face shows of any number with these parts. */
    public Value value(SpectrumFace face, double real, double imaginary) {
        return Approximate.snapped(number(face, real, imaginary), 1);
    }

    /** All faces are made of the parts as they are shown. */
    private double number(SpectrumFace face, double real, double imaginary) {
        double re = Approximate.snappedDouble(real, scale);
        double im = Approximate.snappedDouble(imaginary, scale);
        if (face == SpectrumFace.REAL) {
            return re;
        } else if (face == SpectrumFace.IMAGINARY) {
            return im;
        }
        double magnitude = Math.sqrt(re * re + im * im);
        double number = switch (face) {
            case PHASE -> isNothing(magnitude) ? 0 : degrees(im, re);
            case LOG -> Math.log1p(magnitude);
            default -> magnitude;
        };
        return Approximate.snappedDouble(number, frame.maximumLevel());
    }

    private static double degrees(double im, double re) {
        double degrees = Math.toDegrees(Math.atan2(im, re));
        return degrees <= -STRAIGHT ? STRAIGHT : degrees;
    }

    /** Returns one face, as an image whose samples mostly are no levels. */
    public synchronized Image face(SpectrumFace face) {
        SoftReference<Image> known = made.get(face);
        Image image = known == null ? null : known.get();
        if (image == null) {
            image = Image.ofDoubles(frame, numbers(face));
            made.put(face, new SoftReference<>(image));
        }
        return image;
    }

    private double[] numbers(SpectrumFace face) {
        double[] numbers = new double[frame.count()];
        int rows = frame.rows();
        int columns = frame.columns();
        int width = kept(columns);
        IntStream.range(0, rows).parallel().forEach(row -> {
            int own = Math.floorMod(row - rows / 2, rows);
            int mate = (rows - own) % rows;
            for (int column = 0; column < columns; column++) {
                int v = Math.floorMod(column - columns / 2, columns);
                boolean isOwn = v < width;
                int at = 2 * (isOwn ? own * width + v : mate * width + columns - v);
                numbers[row * columns + column] = number(face, halves[at], isOwn ? halves[at + 1] : -halves[at + 1]);
            }
        });
        return numbers;
    }

    /** Returns the spectrum as a picture: M · log ÷ largest log, rounded to the nearest level; 0 where the largest is 0. */
    public Image picture() {
        Image logs = face(SpectrumFace.LOG);
        double most = IntStream.range(0, logs.count()).mapToDouble(logs::asDouble).max().orElse(0);
        int maximum = frame.maximumLevel();
        return Image.ofLevels(frame.rows(), frame.columns(), maximum, n -> most == 0 ? 0
                : (int) Math.floor(Approximate.snappedDouble(maximum * logs.asDouble(n) / most, maximum) + 0.5));
    }

    /** Returns this with every coefficient multiplied. */
    public Spectrum times(Factor factor) {
        double[] changed = halves.clone();
        int width = kept(frame.columns());
        IntStream.range(0, frame.rows()).parallel().forEach(row -> {
            for (int column = 0; column < width; column++) {
                double by = factor.at(frequency(frame, place(frame, row, column)));
                int at = 2 * (row * width + column);
                changed[at] *= by;
                changed[at + 1] *= by;
            }
        });
        return new Spectrum(frame, changed, largest);
    }

    /** Equal frames and coefficients. */
    @Override
    public boolean equals(Object other) {
        return this == other || other instanceof Spectrum spectrum && frame.equals(spectrum.frame) && largest == spectrum.largest
                && Arrays.equals(halves, spectrum.halves);
    }

    @Override
    public int hashCode() {
        return frame.hashCode() * 31 + Arrays.hashCode(halves);
    }
}

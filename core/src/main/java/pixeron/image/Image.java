package pixeron.image;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.IntUnaryOperator;
import pixeron.PixeronException;
import pixeron.number.Range;
import pixeron.number.Rational;
import pixeron.number.Value;

/**
 * Rows × columns of samples, never changed once made.
 *
 * <p>Sample r(i, j) is in row i = 0 to rows − 1 downwards and column j = 0 to columns − 1 to the right; in memory at
 * offset i·columns + j. An image whose samples are all whole and in 0–M is a <em>level image</em>, whatever made it;
 * any other is a <em>real-valued image</em>, with M carried along as the nominal maximum.
 *
 * <p>Memory: one byte a sample for M ≤ 255, two for larger M, eight for a real-valued image.
 */
public final class Image implements Result {

    /** Largest maximum level of any image. */
    public static final int LARGEST_MAXIMUM = 65535;
    /** The name of its only face. */
    public static final String VALUE = "value";
    /** The maximum level of eight bits. */
    public static final int BYTE_MAXIMUM = 255;

    private final int rows;
    private final int columns;
    private final int maximumLevel;
    private final Samples samples;
    /** Empty: 0–M. */
    private final Optional<Range> range;

    Image(int rows, int columns, int maximumLevel, Samples samples) {
        this(rows, columns, maximumLevel, samples, Optional.empty());
    }

    private Image(int rows, int columns, int maximumLevel, Samples samples, Optional<Range> range) {
        this.rows = rows;
        this.columns = columns;
        this.maximumLevel = maximumLevel;
        this.samples = samples;
        this.range = range;
    }

    /**
     * Makes a level image.
     *
     * @param rows H ≥ 1
     * @param columns W ≥ 1
     * @param maximumLevel M, 1–65535
     * @param level the level for an offset 0 to rows·columns − 1; called once for each, in order
     * @return the image
     * @throws PixeronException if a size or M is out of range or a level is not in 0–M; names the first such pixel
     */
    public static Image ofLevels(int rows, int columns, int maximumLevel, IntUnaryOperator level) {
        int count = requireSize(rows, columns);
        requireMaximum(maximumLevel);
        Samples samples;
        if (maximumLevel <= BYTE_MAXIMUM) {
            byte[] bytes = new byte[count];
            for (int n = 0; n < count; n++) {
                bytes[n] = (byte) requireLevel(level.applyAsInt(n), maximumLevel, n, columns);
            }
            samples = new ByteSamples(bytes);
        } else {
            char[] words = new char[count];
            for (int n = 0; n < count; n++) {
                words[n] = (char) requireLevel(level.applyAsInt(n), maximumLevel, n, columns);
            }
            samples = new WordSamples(words);
        }
        return new Image(rows, columns, maximumLevel, samples);
    }

    /** Returns an image with one value everywhere; one that is no level makes a real-valued image. */
    public static Image flat(Frame frame, Value value) {
        if (isLevel(value, frame.maximumLevel())) {
            int level = ((Rational) value).toInt();
            return ofLevels(frame.rows(), frame.columns(), frame.maximumLevel(), n -> level);
        }
        Value[] values = new Value[frame.count()];
        Arrays.fill(values, value);
        return from(frame.rows(), frame.columns(), frame.maximumLevel(), values);
    }

    /**
     * Makes a level image from rows written out, for tests and small examples.
     *
     * @param maximumLevel M, 1–65535
     * @param levels rows of equal length
     * @return the image
     * @throws PixeronException as {@link #ofLevels}
     */
    public static Image of(int maximumLevel, int[][] levels) {
        int columns = levels[0].length;
        return ofLevels(levels.length, columns, maximumLevel, n -> levels[n / columns][n % columns]);
    }

    /**
     * Makes a level image when all values are whole and in 0–M, else a real-valued image.
     *
     * @param rows H ≥ 1
     * @param columns W ≥ 1
     * @param maximumLevel M, 1–65535
     * @param values row-major, rows·columns of them; equal values are best the same object
     * @return the image; exact while the values are rational and fit over one denominator in 64 bits
     * @throws PixeronException if a size or M is out of range, or a value is larger than any double
     */
    public static Image from(int rows, int columns, int maximumLevel, Value... values) {
        int count = requireSize(rows, columns);
        requireMaximum(maximumLevel);
        if (values.length != count) {
            throw PixeronException.of("There are %d values for %d × %d pixels.", values.length, rows, columns);
        }
        for (Value value : values) {
            if (!isLevel(value, maximumLevel) && !isWholeDouble(value, maximumLevel)) {
                return new Image(rows, columns, maximumLevel, OpenSamples.of(values));
            }
        }
        return ofLevels(rows, columns, maximumLevel, n -> (int) values[n].asDouble());
    }

    /** A sample that was kept as a double beside others that have to be is a level all the same, whatever made it. */
    private static boolean isWholeDouble(Value value, int maximumLevel) {
        return !value.isExact() && value.isWhole() && value.signum() >= 0 && value.asDouble() <= maximumLevel;
    }

    /**
     * Returns a level image when all of them are levels, else a real-valued image; exact where all are multiples of ½.
     *
     * @param values row-major, each as good as it can be had: one near to a multiple of ½ is that multiple already
     */
    public static Image ofDoubles(Frame frame, double... values) {
        int maximum = frame.maximumLevel();
        return areLevels(values, maximum) ? ofLevels(frame.rows(), frame.columns(), maximum, n -> (int) values[n])
                : new Image(frame.rows(), frame.columns(), maximum, OpenSamples.of(values));
    }

    /**
     * Returns a level image when all samples are levels, else an exact real-valued image.
     *
     * @param denominator of all samples, greater than 0
     * @param numerators row-major; they belong to the image from now on
     */
    public static Image ofFractions(Frame frame, long denominator, long... numerators) {
        OpenSamples samples = OpenSamples.of(numerators, denominator);
        int maximum = frame.maximumLevel();
        return samples.denominator() == 1 && Arrays.stream(numerators).allMatch(level -> level >= 0 && level <= maximum)
                ? ofLevels(frame.rows(), frame.columns(), maximum, n -> (int) numerators[n]) : new Image(frame.rows(), frame.columns(), maximum, samples);
    }

    private static boolean areLevels(double[] values, int maximumLevel) {
        for (double value : values) {
            if (value != Math.rint(value) || value < 0 || value > maximumLevel) {
                return false;
            }
        }
        return true;
    }

    /** Returns true when value is a whole number in 0 to maximumLevel. */
    public static boolean isLevel(Value value, int maximumLevel) {
        return value instanceof Rational r && r.isInt() && r.toInt() >= 0 && r.toInt() <= maximumLevel;
    }

    /**
     * Returns rows·columns.
     *
     * @throws PixeronException if either is less than 1 or there would be more samples than an array holds
     */
    static int requireSize(int rows, int columns) {
        if (!(rows >= 1 && columns >= 1 && (long) rows * columns <= Integer.MAX_VALUE - 8)) {
            throw PixeronException.of("An image of %d × %d pixels is not possible. Both numbers must be at least 1.",
                    rows, columns);
        }
        return rows * columns;
    }

    /**
     * Returns maximumLevel.
     *
     * @throws PixeronException if it is not in 1–65535
     */
    public static int requireMaximum(int maximumLevel) {
        if (!(maximumLevel >= 1 && maximumLevel <= LARGEST_MAXIMUM)) {
            throw PixeronException.of("The maximum level %d must be from 1 to %d.", maximumLevel, LARGEST_MAXIMUM);
        }
        return maximumLevel;
    }

    static int requireLevel(int level, int maximumLevel, int offset, int columns) {
        if (level < 0 || level > maximumLevel) {
            throw PixeronException.of("The value %d at %s is outside 0–%d.",
                    level, new Pixel(offset / columns, offset % columns), maximumLevel);
        }
        return level;
    }

    /**
     * Returns the same samples with another maximum level.
     *
     * @param newMaximum 1–65535
     * @throws PixeronException if this is a level image with a sample above the new maximum; names the first one
     */
    public Image withMaximum(int newMaximum) {
        requireMaximum(newMaximum);
        if (isLevelImage()) {
            return ofLevels(rows, columns, newMaximum, this::level);
        }
        Value[] values = new Value[count()];
        Arrays.setAll(values, this::value);
        return from(rows, columns, newMaximum, values);
    }

    /**
     * Returns this with one value at all these places; a value that is no level makes a real-valued image.
     *
     * @param offsets row-major, each 0 to count() − 1
     * @param value the new sample there
     */
    public Image with(int[] offsets, Value value) {
        if (isLevelImage() && isLevel(value, maximumLevel)) {
            return new Image(rows, columns, maximumLevel, samples.with(offsets, ((Rational) value).toInt()));
        }
        Value[] values = new Value[count()];
        Arrays.setAll(values, this::value);
        for (int offset : offsets) {
            values[offset] = value;
        }
        return from(rows, columns, maximumLevel, values);
    }

    /**
     * Returns the part as an image of its own, with the same maximum level.
     *
     * @param area inside this image
     */
    public Image part(Area area) {
        area.requireInside(this);
        IntUnaryOperator offset = n -> (area.row() + n / area.width()) * columns + area.column() + n % area.width();
        if (isLevelImage()) {
            return ofLevels(area.height(), area.width(), maximumLevel, n -> level(offset.applyAsInt(n)));
        }
        Value[] values = new Value[area.count()];
        Arrays.setAll(values, n -> value(offset.applyAsInt(n)));
        return from(area.height(), area.width(), maximumLevel, values);
    }

    @Override
    public Frame frame() {
        Frame frame = new Frame(rows, columns, maximumLevel);
        return range.map(frame::within).orElse(frame);
    }

    /** Returns the same samples where values belong into a range of their own, as those of a component of a color model. */
    public Image within(Range other) {
        return new Image(rows, columns, maximumLevel, samples, Optional.of(other));
    }

    /** Returns the same samples where values belong into 0–M. */
    public Image withinLevels() {
        return range.isEmpty() ? this : new Image(rows, columns, maximumLevel, samples);
    }

    @Override
    public String kind() {
        return "an image";
    }

    @Override
    public List<Face> faces() {
        return List.of(new Face(VALUE, this));
    }

    public int rows() {
        return rows;
    }

    public int columns() {
        return columns;
    }

    /** Returns M. */
    public int maximumLevel() {
        return maximumLevel;
    }

    /** Returns rows·columns. */
    public int count() {
        return rows * columns;
    }

    /** Returns true when all samples are whole and in 0–M. */
    public boolean isLevelImage() {
        return !(samples instanceof OpenSamples);
    }

    /** Returns the samples of a real-valued image over one denominator; empty for a level image and where samples are doubles. */
    public Optional<Fractions> fractions() {
        return samples instanceof OpenSamples open && open.isExact() ? Optional.of(new Fractions(open.numerators(), open.denominator())) : Optional.empty();
    }

    /** Returns false when samples are kept as doubles. */
    public boolean isExact() {
        return !(samples instanceof OpenSamples open) || open.isExact();
    }

    public boolean contains(Pixel pixel) {
        return pixel.row() >= 0 && pixel.row() < rows && pixel.column() >= 0 && pixel.column() < columns;
    }

    /** Returns the place of a row-major offset. */
    public Pixel pixel(int offset) {
        return new Pixel(offset / columns, offset % columns);
    }

    /** Returns row-major offset of the pixel, 0 … count() − 1. */
    public int offset(Pixel pixel) {
        return Math.multiplyExact(pixel.row(), columns) + pixel.column();
    }

    /** Returns the sample at a row-major offset. */
    public Value value(int offset) {
        return samples.value(offset);
    }

    public Value value(Pixel pixel) {
        return value(offset(pixel));
    }

    /** Returns the sample at a row-major offset as the nearest double; for drawing. */
    public double asDouble(int offset) {
        return samples.asDouble(offset);
    }

    /**
     * Returns the level there.
     *
     * @param offset row-major, 0 … count() − 1
     * @throws PixeronException if this is a real-valued image
     */
    public int level(int offset) {
        if (samples instanceof ByteSamples b) {
            return b.bytes()[offset] & 0xFF;
        } else if (samples instanceof WordSamples w) {
            return w.words()[offset];
        }
        throw PixeronException.of("A real-valued image has no levels.");
    }

    /**
     * Copies a row of levels.
     *
     * @param row 0 to rows − 1
     * @param into gets the levels
     * @param at where the first one goes
     * @throws PixeronException if this is a real-valued image
     */
    public void levels(int row, int[] into, int at) {
        int from = row * columns;
        if (samples instanceof ByteSamples b) {
            byte[] bytes = b.bytes();
            for (int j = 0; j < columns; j++) {
                into[at + j] = bytes[from + j] & 0xFF;
            }
        } else if (samples instanceof WordSamples w) {
            char[] words = w.words();
            for (int j = 0; j < columns; j++) {
                into[at + j] = words[from + j];
            }
        } else {
            throw PixeronException.of("A real-valued image has no levels.");
        }
    }

    /** Returns the larger of M and the largest size of a sample: the size of the numbers around a double that is made of samples. */
    public double reach() {
        double reach = maximumLevel;
        for (int n = 0; n < count() && !isLevelImage(); n++) {
            reach = Math.max(reach, Math.abs(asDouble(n)));
        }
        return reach;
    }

    /** Returns the first pixel in reading order whose sample is not a level, if there is one. */
    public Optional<Pixel> firstOpenPixel() {
        if (isLevelImage()) {
            return Optional.empty();
        }
        int n = 0;
        while (n < count() && isLevel(value(n), maximumLevel)) {
            n++;
        }
        return n == count() ? Optional.empty() : Optional.of(pixel(n));
    }

    Samples samples() {
        return samples;
    }

    /** Equal size, maximum level and samples. */
    @Override
    public boolean equals(Object other) {
        return this == other || other instanceof Image image && rows == image.rows && columns == image.columns
                && maximumLevel == image.maximumLevel && samples.equals(image.samples);
    }

    @Override
    public int hashCode() {
        return (rows * 31 + columns) * 31 + samples.hashCode();
    }

    @Override
    public String toString() {
        return rows + " × " + columns + ", " + (isLevelImage() ? "levels 0–" : "real-valued, M = ") + maximumLevel;
    }
}

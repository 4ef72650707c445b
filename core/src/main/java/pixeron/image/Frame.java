package pixeron.image;

import pixeron.PixeronException;
import pixeron.number.Range;

/**
 * Size and maximum level of a result. A result's frame is its own: it need not be that of what it was made from.
 *
 * @param rows H ≥ 1
 * @param columns W ≥ 1
 * @param maximumLevel M, 1–65535
 * @param range where values belong: 0–M, but for components of a color model
 */
public record Frame(int rows, int columns, int maximumLevel, Range range) {

    /** Creates a frame of levels 0–M. */
    public Frame(int rows, int columns, int maximumLevel) {
        this(rows, columns, maximumLevel, Range.ofLevels(maximumLevel));
    }

    /** Returns the number of pixels, H·W. */
    public int count() {
        return Math.multiplyExact(rows, columns);
    }

    public boolean contains(Pixel pixel) {
        return pixel.row() >= 0 && pixel.row() < rows && pixel.column() >= 0 && pixel.column() < columns;
    }

    /** Returns the place of a pixel in reading order, 0 … H·W − 1. */
    public int offset(Pixel pixel) {
        return pixel.row() * columns + pixel.column();
    }

    /** Returns the pixel at an offset 0 to H·W − 1. */
    public Pixel pixel(int offset) {
        return new Pixel(offset / columns, offset % columns);
    }

    /** Returns the pixel nearest to this place; the place itself where it lies inside. */
    public Pixel nearest(Pixel pixel) {
        return new Pixel(Math.max(0, Math.min(rows - 1, pixel.row())), Math.max(0, Math.min(columns - 1, pixel.column())));
    }

    /** Returns whether both have as many rows and columns. */
    public boolean isSized(Frame other) {
        return rows == other.rows && columns == other.columns;
    }

    /** @throws PixeronException if the other has other rows or columns, so that there is no difference pixel by pixel */
    void requireSized(Frame other) {
        if (!isSized(other)) {
            throw PixeronException.of("The images have different sizes, %s and %s. Both must have the same size.", size(), other.size());
        }
    }

    /** Returns this with another maximum level. */
    public Frame with(int otherMaximum) {
        return otherMaximum == maximumLevel ? this : new Frame(rows, columns, otherMaximum);
    }

    /** Returns this with another size. */
    public Frame sized(int otherRows, int otherColumns) {
        return new Frame(otherRows, otherColumns, maximumLevel, range);
    }

    /** Returns this where values belong into another range. */
    public Frame within(Range other) {
        return new Frame(rows, columns, maximumLevel, other);
    }

    /** Returns the size, such as 5 × 7. */
    public String size() {
        return rows + " × " + columns;
    }
}

package pixeron.image;

import java.util.Optional;
import java.util.stream.Stream;
import pixeron.PixeronException;

/**
 * A rectangle of pixels.
 *
 * @param row first row, ≥ 0
 * @param column first column, ≥ 0
 * @param height rows, ≥ 1
 * @param width columns, ≥ 1
 */
public record Area(int row, int column, int height, int width) {

    public Area {
        if (!(row >= 0 && column >= 0 && height >= 1 && width >= 1)) {
            throw PixeronException.of("The area \"%d %d %d %d\" is not valid: row and column must be at least 0, height and width at least 1.",
                    row, column, height, width);
        }
    }

    /** Returns the area of all pixels of image. */
    public static Area all(Result image) {
        return new Area(0, 0, image.frame().rows(), image.frame().columns());
    }

    /**
     * Returns the rectangle between them, both included.
     *
     * @param a a corner inside image
     * @param b the opposite corner, inside image
     */
    public static Area between(Pixel a, Pixel b) {
        return new Area(Math.min(a.row(), b.row()), Math.min(a.column(), b.column()),
                Math.abs(a.row() - b.row()) + 1, Math.abs(a.column() - b.column()) + 1);
    }

    /**
     * Returns the square around a pixel, as far as it lies inside image.
     *
     * @param middle inside image
     * @param size odd number of rows and columns
     */
    public static Area around(Pixel middle, int size, Result image) {
        Frame frame = image.frame();
        int reach = size / 2;
        return between(new Pixel(Math.max(0, middle.row() - reach), Math.max(0, middle.column() - reach)),
                new Pixel(Math.min(frame.rows() - 1, middle.row() + reach),
                        Math.min(frame.columns() - 1, middle.column() + reach)));
    }

    /** Returns height·width. */
    public int count() {
        return Math.multiplyExact(height, width);
    }

    /** Returns the pixel in the corner opposite to the first one. */
    public Pixel lastPixel() {
        return new Pixel(row + height - 1, column + width - 1);
    }

    public boolean contains(int i, int j) {
        return i >= row && i - row < height && j >= column && j - column < width;
    }

    /**
     * Returns this.
     *
     * @throws PixeronException if a pixel of the area lies outside image
     */
    public Area requireInside(Result image) {
        if (!isInside(image.frame())) {
            throw PixeronException.of("The area \"%s\" (row column height width) extends beyond the image of %d × %d.",
                    this, image.frame().rows(), image.frame().columns());
        }
        return this;
    }

    /** Returns whether all its pixels lie in the frame. */
    public boolean isInside(Frame frame) {
        return (long) row + height <= frame.rows() && (long) column + width <= frame.columns();
    }

    /** Returns the areas of a user who writes column and row where row and column belong: with height and width as they are, and swapped too. */
    public Stream<Area> swapped() {
        return Stream.of(new Area(column, row, height, width), new Area(column, row, width, height)).distinct().filter(other -> !other.equals(this));
    }

    /** Returns the other rectangles for which its four numbers are taken by a user who mixes up the size and the last pixel. */
    public Stream<Area> misread() {
        return Stream.of(
                // The last pixel is written where height and width belong.
                sized(lastPixel().row(), lastPixel().column()),
                // Height and width are read as the last pixel.
                sized(height - row + 1, width - column + 1))
                .flatMap(Optional::stream).filter(other -> !other.equals(this)).distinct();
    }

    private Optional<Area> sized(int rows, int columns) {
        return rows >= 1 && columns >= 1 ? Optional.of(new Area(row, column, rows, columns)) : Optional.empty();
    }

    /** Returns as in a step line: row column height width. */
    @Override
    public String toString() {
        return row + " " + column + " " + height + " " + width;
    }
}

package pixeron.image;

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
            throw PixeronException.of("The area \"%d %d %d %d\" must have row and column from 0, height and width from 1.",
                    row, column, height, width);
        }
    }

    /** @return the area of all pixels of image */
    public static Area all(Image image) {
        return new Area(0, 0, image.rows(), image.columns());
    }

    public boolean contains(int i, int j) {
        return i >= row && i - row < height && j >= column && j - column < width;
    }

    /**
     * @return this
     * @throws PixeronException if a pixel of the area lies outside image
     */
    public Area requireInside(Image image) {
        if ((long) row + height > image.rows() || (long) column + width > image.columns()) {
            throw PixeronException.of("The area \"%s\" (row column height width) reaches beyond the image of %d × %d.",
                    this, image.rows(), image.columns());
        }
        return this;
    }

    /** @return as in a step line: row column height width */
    @Override
    public String toString() {
        return row + " " + column + " " + height + " " + width;
    }
}

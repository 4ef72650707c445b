package pixeron.walk;

import pixeron.image.Image;
import pixeron.image.Pixel;

/** The order in which a walk visits the pixels of an image; each exactly once. */
public enum ScanOrder {
    /** Row by row, in each from left to right: the places are the row-major offsets. */
    ROWS("row by row"),
    /** Column by column, in each downwards: the places are the column-major offsets. */
    COLUMNS("column by column");

    private final String title;

    ScanOrder(String title) {
        this.title = title;
    }

    public String title() {
        return title;
    }

    /**
     * Returns the pixel that is visited there.
     *
     * @param place 0 to image.count() − 1
     */
    public Pixel pixel(Image image, int place) {
        return pixel(image.rows(), image.columns(), place);
    }

    /**
     * Returns the pixel that is visited there.
     *
     * @param place 0 to rows·columns − 1
     */
    public Pixel pixel(int rows, int columns, int place) {
        return this == ROWS ? new Pixel(place / columns, place % columns) : new Pixel(place % rows, place / rows);
    }

    /** Returns when the pixel is visited, 0 … rows·columns − 1. */
    public int place(int rows, int columns, Pixel pixel) {
        return this == ROWS ? pixel.row() * columns + pixel.column() : pixel.column() * rows + pixel.row();
    }

    /** Returns when the pixel is visited, 0 … image.count() − 1. */
    public int place(Image image, Pixel pixel) {
        return place(image.rows(), image.columns(), pixel);
    }
}

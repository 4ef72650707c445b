package pixeron.image;

/**
 * One place in an image.
 *
 * @param row i, from 0 downwards; y is the row
 * @param column j, from 0 to the right; x is the column
 */
public record Pixel(int row, int column) {

    @Override
    public String toString() {
        return "row " + row + ", column " + column;
    }
}

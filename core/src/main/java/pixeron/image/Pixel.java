package pixeron.image;

/**
 * One place in an image.
 *
 * @param row i, from 0 downwards; y is the row
 * @param column j, from 0 to the right; x is the column
 */
public record Pixel(int row, int column) implements Comparable<Pixel> {

    /** Reading order: row by row, in each from left to right. */
    @Override
    public int compareTo(Pixel other) {
        return row != other.row ? Integer.compare(row, other.row) : Integer.compare(column, other.column);
    }

    /** That of a record would be the same for many places of a large image, and sets of them slow. */
    @Override
    public int hashCode() {
        return row * 0x9E3779B1 + column;
    }

    @Override
    public String toString() {
        return "row " + row + ", column " + column;
    }
}

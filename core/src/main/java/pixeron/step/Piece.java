package pixeron.step;

import pixeron.image.Area;
import pixeron.image.Frame;
import pixeron.number.Decimals;

/**
 * A rectangle of cells that may reach beyond an image, such as a piece that is laid over its edge.
 *
 * @param row first row, of any sign
 * @param column first column, of any sign
 * @param height rows, ≥ 1
 * @param width columns, ≥ 1
 */
public record Piece(int row, int column, int height, int width) {

    public static Piece of(Area area) {
        return new Piece(area.row(), area.column(), area.height(), area.width());
    }

    /** Returns the rectangle between two cells, both included. */
    public static Piece between(int row, int column, int otherRow, int otherColumn) {
        return new Piece(Math.min(row, otherRow), Math.min(column, otherColumn), Math.abs(row - otherRow) + 1, Math.abs(column - otherColumn) + 1);
    }

    public int lastRow() {
        return row + height - 1;
    }

    public int lastColumn() {
        return column + width - 1;
    }

    /** Returns this at another place. */
    public Piece moved(int down, int right) {
        return new Piece(row + down, column + right, height, width);
    }

    /** Returns this, cut down to the size of a frame and moved into it. */
    public Area within(Frame frame) {
        int rows = Math.min(height, frame.rows());
        int columns = Math.min(width, frame.columns());
        return new Area(Math.max(0, Math.min(row, frame.rows() - rows)), Math.max(0, Math.min(column, frame.columns() - columns)), rows, columns);
    }

    /**
     * First pixel, size and last pixel together, because they are easily mixed up.
     *
     * @param first what the first row and column are called, 0 or 1
     * @return such as {@code (1, 2) to (3, 5), 3 × 4}
     */
    public String words(int first) {
        return "(" + number(row + first) + ", " + number(column + first) + ") to (" + number(lastRow() + first) + ", " + number(lastColumn() + first)
                + "), " + height + " × " + width;
    }

    private static String number(int number) {
        return Decimals.working(number);
    }
}

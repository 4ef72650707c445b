package pixeron.app.sheet.paint;

import pixeron.image.Frame;
import pixeron.image.Pixel;

/**
 * The rows and columns of one sheet as they are seen through the viewport that all sheets share: the same cells and the same
 * scroll, each with an end of its own.
 */
public final class Extent {

    private final Viewport viewport;
    private final int rows;
    private final int columns;

    /** The rows and columns of a sheet. */
    public Extent(Viewport viewport, int rows, int columns) {
        this.viewport = viewport;
        this.rows = rows;
        this.columns = columns;
    }

    /** Returns all that the viewport can show. */
    public static Extent of(Viewport viewport) {
        return new Extent(viewport, viewport.rows(), viewport.columns());
    }

    /** Returns the rows and columns of a frame. */
    public static Extent of(Viewport viewport, Frame frame) {
        return new Extent(viewport, frame.rows(), frame.columns());
    }

    public int rows() {
        return rows;
    }

    public int columns() {
        return columns;
    }

    /** Side of a cell on the screen, in points. */
    public double cell() {
        return viewport.cell();
    }

    /** Returns column at the left edge, fractions allowed. */
    public double left() {
        return viewport.left();
    }

    /** Returns row at the top edge, fractions allowed. */
    public double top() {
        return viewport.top();
    }

    /** Returns the left edge of a column on the screen. */
    public double x(int column) {
        return viewport.x(column);
    }

    /** Returns the top edge of a row on the screen. */
    public double y(int row) {
        return viewport.y(row);
    }

    public int firstRow() {
        return (int) Math.floor(viewport.top());
    }

    public int lastRow() {
        return Math.min(rows - 1, (int) Math.ceil(viewport.top() + viewport.down()) - 1);
    }

    public int firstColumn() {
        return (int) Math.floor(viewport.left());
    }

    public int lastColumn() {
        return Math.min(columns - 1, (int) Math.ceil(viewport.left() + viewport.across()) - 1);
    }

    /** Returns the pixel nearest to a place. */
    public Pixel nearest(Pixel pixel) {
        return new Frame(rows, columns, 1).nearest(pixel);
    }
}

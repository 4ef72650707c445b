package pixeron.app.sheet.paint;

import java.util.IdentityHashMap;
import java.util.Map;
import javafx.beans.property.DoubleProperty;
import javafx.beans.property.ReadOnlyLongProperty;
import javafx.beans.property.ReadOnlyLongWrapper;
import javafx.beans.property.SimpleDoubleProperty;
import javafx.geometry.Dimension2D;
import pixeron.image.Pixel;

/**
 * The part of the image that all sheets show, and how large.
 *
 * <p>Units: places in the image are in pixels of the image (column and row, fractions allowed), places on the screen
 * are in points from the top left corner of the sheet's cells. Zoom runs without a break from the whole picture to
 * cells
 * of 96 points.
 */
public final class Viewport {

    private static final double LARGEST_CELL = 96;
    /** From this size on cells have whole sides and may hold numbers; the first row and column are then seen whole. */
    private static final double RESTING_CELL = 16;
    private final DoubleProperty cell = new SimpleDoubleProperty(1);
    private final ReadOnlyLongWrapper changes = new ReadOnlyLongWrapper();
    private final Map<Object, Dimension2D> rooms = new IdentityHashMap<>();
    private int rows = 1;
    private int columns = 1;
    private double width = 1;
    private double height = 1;
    private double left;
    private double top;
    /** Where the image would be if it did not rest on whole cells: small movements of the hand add up here. */
    private double freeLeft;
    private double freeTop;
    private boolean isFitted = true;

    /** Counts changes; who draws listens to it. */
    public ReadOnlyLongProperty changesProperty() {
        return changes.getReadOnlyProperty();
    }

    /** Side of a cell on the screen, in points. */
    public double cell() {
        return cell.get();
    }

    /** Returns column of the image at the left edge. */
    public double left() {
        return left;
    }

    /** Returns row of the image at the top edge. */
    public double top() {
        return top;
    }

    public int rows() {
        return rows;
    }

    public int columns() {
        return columns;
    }

    /** Another image: the whole of it is shown, unless it has the size of the one before. */
    public void setImageSize(int newRows, int newColumns) {
        if (newRows != rows || newColumns != columns) {
            rows = newRows;
            columns = newColumns;
            fit();
        }
    }

    /**
     * The room for cells on one of several sheets changed. What is shown fits on each of them, so the narrowest and the lowest count.
     *
     * @param sheet whose room it is
     */
    public void setRoom(Object sheet, double newWidth, double newHeight) {
        rooms.put(sheet, new Dimension2D(newWidth, newHeight));
        fitRooms();
    }

    /** A sheet is no longer seen: its room does not count. */
    public void leave(Object sheet) {
        if (rooms.remove(sheet) != null && !rooms.isEmpty()) {
            fitRooms();
        }
    }

    private void fitRooms() {
        setScreenSize(rooms.values().stream().mapToDouble(Dimension2D::getWidth).min().orElseThrow(),
                rooms.values().stream().mapToDouble(Dimension2D::getHeight).min().orElseThrow());
    }

    /** The room for cells changed. */
    public void setScreenSize(double newWidth, double newHeight) {
        if (newWidth != width || newHeight != height) {
            width = Math.max(1, newWidth);
            height = Math.max(1, newHeight);
            if (isFitted) {
                fit();
            } else {
                moveTo(freeLeft, freeTop);
            }
        }
    }

    /** Shows the whole image. */
    public void fit() {
        cell.set(fittedCell());
        isFitted = true;
        moveTo(0, 0);
    }

    /** Shows cells of a size, wherever the image was. */
    public void showAt(double side) {
        cell.set(side);
        isFitted = false;
        moveTo(freeLeft, freeTop);
    }

    private double fittedCell() {
        double fitting = Math.min(width / columns, height / rows);
        return Math.min(LARGEST_CELL, fitting >= 8 ? Math.floor(fitting) : fitting);
    }

    /**
     * Makes cells larger or smaller around a place on the screen, which keeps its place in the image.
     *
     * @param factor above 1: larger
     */
    public void zoom(double factor, double x, double y) {
        double smallest = fittedCell();
        double wanted = Math.max(smallest, Math.min(LARGEST_CELL, cell() * factor));
        // Cells with numbers have whole sides, so that they are all the same on the screen.
        double next = wanted >= RESTING_CELL ? Math.rint(wanted) : wanted;
        next = next == cell() && wanted != cell() ? wanted : next;
        double column = left + x / cell();
        double row = top + y / cell();
        cell.set(next);
        isFitted = next <= smallest;
        moveTo(start(column, x / next), start(row, y / next));
    }

    /** Returns where the sheet starts so that a place is so many cells from there: just so, or with whole cells the same cell. */
    private double start(double place, double cells) {
        return isResting() ? Math.floor(place) - Math.floor(cells) : place - cells;
    }

    private boolean isResting() {
        return cell() >= RESTING_CELL;
    }

    /** Zooms around the middle of the sheet. */
    public void zoom(double factor) {
        zoom(factor, Math.min(width, columns * cell()) / 2, Math.min(height, rows * cell()) / 2);
    }

    /** Zooms around a pixel, which comes into the middle where it can. */
    public void zoomAround(double factor, Pixel pixel) {
        zoom(factor, (pixel.column() + 0.5 - left) * cell(), (pixel.row() + 0.5 - top) * cell());
        reveal(pixel);
    }

    /** Moves the image under the sheet, in points. */
    public void pan(double dx, double dy) {
        moveTo(freeLeft - dx / cell(), freeTop - dy / cell());
    }

    /** Moves just so far that the pixel is seen. */
    public void reveal(Pixel pixel) {
        moveTo(revealed(left, across(), pixel.column()), revealed(top, down(), pixel.row()));
    }

    private double revealed(double start, double span, int place) {
        double end = place + 1 - span;
        return place < start ? place : place + 1 <= start + span ? start : isResting() ? Math.min(place, Math.ceil(end)) : end;
    }

    /** Moves so that a place in the image comes into the middle of the sheet, as far as the image reaches. */
    public void center(double column, double row) {
        moveTo(column - across() / 2, row - down() / 2);
    }

    /** Returns true while the whole image is seen. */
    public boolean isWhole() {
        return columns * cell() <= width + 0.5 && rows * cell() <= height + 0.5;
    }

    /** Returns columns of the image that are seen, fractions allowed. */
    public double across() {
        return width / cell();
    }

    /** Returns rows of the image that are seen, fractions allowed. */
    public double down() {
        return height / cell();
    }

    private void moveTo(double newLeft, double newTop) {
        freeLeft = Math.max(0, Math.min(newLeft, last(columns, across())));
        freeTop = Math.max(0, Math.min(newTop, last(rows, down())));
        left = isResting() ? Math.rint(freeLeft) : freeLeft;
        top = isResting() ? Math.rint(freeTop) : freeTop;
        changes.set(changes.get() + 1);
    }

    /** Returns the last place to start from: at the end of the image the last cell is seen whole, with a part of a cell empty behind it. */
    private double last(int count, double span) {
        double end = count - span;
        return isResting() ? Math.min(count - 1, Math.ceil(end)) : end;
    }

    /** Returns the pixel under a place on the screen; it may lie outside the image. */
    public Pixel pixelAt(double x, double y) {
        return new Pixel((int) Math.floor(top + y / cell()), (int) Math.floor(left + x / cell()));
    }

    /** Returns the left edge of a column on the screen. */
    public double x(int column) {
        return (column - left) * cell();
    }

    /** Returns the top edge of a row on the screen. */
    public double y(int row) {
        return (row - top) * cell();
    }
}

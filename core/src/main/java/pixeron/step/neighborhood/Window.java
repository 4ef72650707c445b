package pixeron.step.neighborhood;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.IntConsumer;
import java.util.stream.IntStream;
import pixeron.PixeronException;
import pixeron.image.Frame;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.number.Value;

/**
 * A rectangle of cells around a pixel.
 *
 * @param height rows
 * @param width columns
 * @param anchorRow the row of the cell that is on the pixel, from 0
 * @param anchorColumn its column
 * @param border what is outside the image
 * @param outside the value outside where the border gives one: 0 or a constant
 */
public record Window(int height, int width, int anchorRow, int anchorColumn, Border border, Value outside) {

    /**
     * A cell of the window on one pixel.
     *
     * @param row in the window, from 0
     * @param column in the window
     * @param source the pixel that the value comes from; empty where it comes from no pixel
     * @param isInside whether the cell itself is inside the image
     * @param value what is there; empty where nothing does
     */
    public record Cell(int row, int column, Optional<Pixel> source, boolean isInside, Optional<Value> value) {

        /** Returns the cell with nothing in it. */
        Cell blank() {
            return new Cell(row, column, Optional.empty(), isInside, Optional.empty());
        }
    }

    /** Returns whether the whole window on the pixel is inside the image. */
    public boolean fits(Image image, Pixel pixel) {
        int top = pixel.row() - anchorRow;
        int left = pixel.column() - anchorColumn;
        return top >= 0 && left >= 0 && top + height <= image.rows() && left + width <= image.columns();
    }

    /**
     * Visits the columns of a result on which the window leaves the image at the side, or could.
     *
     * @param columns of the result
     */
    public void forSides(int columns, IntConsumer visit) {
        int left = Math.min(columns, anchorColumn);
        int right = Math.max(left, columns - width + 1 + anchorColumn);
        IntStream.range(0, left).forEach(visit);
        IntStream.range(right, columns).forEach(visit);
    }

    /**
     * Returns the frame of a result; smaller than that of the image with border=crop.
     *
     * @throws PixeronException if with border=crop no pixel is left
     */
    public Frame frameOf(Image image) {
        if (border != Border.CROP) {
            return image.frame();
        } else if (height > image.rows() || width > image.columns()) {
            throw PixeronException.of("border=crop leaves no pixel: a window of %d × %d does not fit into %d × %d.", height,
                    width, image.rows(), image.columns());
        }
        return image.frame().sized(image.rows() - height + 1, image.columns() - width + 1);
    }

    /** Returns the pixel of the image that a pixel of the result represents. */
    public Pixel source(Pixel result) {
        return border == Border.CROP ? new Pixel(result.row() + anchorRow, result.column() + anchorColumn) : result;
    }

    /** Returns the pixel of the result that represents a pixel of the image; outside the result where none does. */
    public Pixel home(Pixel pixel) {
        return border == Border.CROP ? new Pixel(pixel.row() - anchorRow, pixel.column() - anchorColumn) : pixel;
    }

    /** Returns the cells on a pixel, row by row. */
    public List<Cell> cells(Image image, Pixel pixel) {
        return cells(image, pixel, image::value);
    }

    /**
     * Returns the cells on a pixel, row by row.
     *
     * @param read gives what is at a pixel of the image
     */
    public List<Cell> cells(Image image, Pixel pixel, Function<Pixel, Value> read) {
        List<Cell> cells = new ArrayList<>(height * width);
        for (int i = 0; i < height; i++) {
            for (int j = 0; j < width; j++) {
                cells.add(cell(image, pixel, read, i, j));
            }
        }
        return cells;
    }

    private Cell cell(Image image, Pixel pixel, Function<Pixel, Value> read, int i, int j) {
        int row = pixel.row() + i - anchorRow;
        int column = pixel.column() + j - anchorColumn;
        int fromRow = border.source(row, image.rows());
        int fromColumn = border.source(column, image.columns());
        if (fromRow >= 0 && fromColumn >= 0) {
            Pixel source = new Pixel(fromRow, fromColumn);
            return new Cell(i, j, Optional.of(source), fromRow == row && fromColumn == column,
                    Optional.of(read.apply(source)));
        }
        boolean isGiven = border == Border.ZERO || border == Border.CONSTANT;
        return new Cell(i, j, Optional.empty(), false, isGiven ? Optional.of(outside) : Optional.empty());
    }
}

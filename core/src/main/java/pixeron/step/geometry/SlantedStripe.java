package pixeron.step.geometry;

import java.util.function.IntBinaryOperator;
import pixeron.image.Image;
import pixeron.image.LevelRaster;
import pixeron.image.SlantedRow;
import pixeron.image.SlantedSquare;

/**
 * Some rows of a turned image of bytes, square by square: the places of a square lie near to each other, so that they are read from
 * near to the processor. Used again for one stripe after the other.
 */
final class SlantedStripe {

    /** Where the line begins that is read from a place of the stripe on. */
    interface Lines {
        SlantedRow.Line at(int row, int column);
    }

    private final SlantedRow rows;
    private final SlantedSquare square;
    private final boolean isLinear;
    private final int columns;
    private final byte[] levels;
    private final int[] some = new int[SlantedSquare.SIDE];

    /**
     * @param down by how much the place that is read goes down from column to column
     * @param right by how much it goes right
     */
    SlantedStripe(Image before, SlantedRow rows, int columns, boolean isLinear, double down, double right) {
        this.rows = rows;
        this.square = new SlantedSquare(before, down, right);
        this.isLinear = isLinear;
        this.columns = columns;
        this.levels = new byte[SlantedSquare.SIDE * columns];
    }

    /**
     * @param count rows, at most {@link SlantedSquare#SIDE}
     * @param alone calculates a level by its row in the stripe and its column
     */
    void read(Lines lines, int count, IntBinaryOperator alone) {
        for (int left = 0; left < columns; left += SlantedSquare.SIDE) {
            // The last square reaches back into the one before, rather than beyond the result.
            int start = Math.max(0, Math.min(left, columns - SlantedSquare.SIDE));
            int width = Math.min(columns - start, SlantedSquare.SIDE);
            if (isLinear && width == SlantedSquare.SIDE && count == SlantedSquare.SIDE && isQuickly(lines.at(0, start), start)) {
                for (int n = 0; n < square.openCount(); n++) {
                    int at = square.open(n);
                    levels[at] = (byte) alone.applyAsInt(at / columns, at % columns);
                }
            } else {
                for (int i = 0; i < count; i++) {
                    row(lines.at(i, start), i, start, width, alone);
                }
            }
        }
    }

    /** Reads a square at once that lies inside or outside the image, not at its edge. */
    private boolean isQuickly(SlantedRow.Line line, int start) {
        square.moveTo(line.row(), line.column());
        if (square.isInside()) {
            square.read(levels, start, columns);
            return true;
        } else if (!square.isOutside() || rows.outside() == SlantedRow.OPEN) {
            return false;
        }
        square.fill(rows.outside(), levels, start, columns);
        return true;
    }

    private void row(SlantedRow.Line line, int i, int left, int width, IntBinaryOperator alone) {
        if (isLinear) {
            rows.linear(line, 0, width, some);
        } else {
            rows.nearest(line, 0, width, some);
        }
        for (int j = 0; j < width; j++) {
            levels[i * columns + left + j] = (byte) (some[j] == SlantedRow.OPEN ? alone.applyAsInt(i, left + j) : some[j]);
        }
    }

    void write(int i, LevelRaster raster, int row) {
        raster.write(row, levels, i * columns);
    }
}

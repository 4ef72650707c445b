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

    SlantedStripe(Image before, SlantedRow rows, int columns, boolean isLinear) {
        this.rows = rows;
        this.square = new SlantedSquare(before);
        this.isLinear = isLinear;
        this.columns = columns;
        this.levels = new byte[SlantedSquare.SIDE * columns];
    }

    /**
     * @param count rows, at most {@link SlantedSquare#SIDE}
     * @param alone works out a level by its row in the stripe and its column
     */
    void read(Lines lines, int count, IntBinaryOperator alone) {
        for (int left = 0; left < columns; left += SlantedSquare.SIDE) {
            int width = Math.min(columns - left, SlantedSquare.SIDE);
            if (isLinear && square.read(lines.at(0, left), count, width, levels, left, columns)) {
                for (int n = 0; n < square.openCount(); n++) {
                    int at = square.open(n);
                    levels[at] = (byte) alone.applyAsInt(at / columns, at % columns);
                }
            } else {
                for (int i = 0; i < count; i++) {
                    row(lines.at(i, left), i, left, width, alone);
                }
            }
        }
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

package pixeron.step.rank;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.BitSet;
import java.util.Random;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What 64 tiles give at once, against sorting each window. */
class TileLanesTest {

    private static final int LEVELS = 256;

    /** Returns the largest level that so many cells of a window reach. */
    private static int reached(byte[][] rows, int row, int column, int height, int width, int needed) {
        int[] counts = new int[LEVELS];
        for (int a = 0; a < height; a++) {
            for (int b = 0; b < width; b++) {
                counts[rows[row + a][column + b] & 0xFF]++;
            }
        }
        int value = LEVELS - 1;
        for (int reaching = counts[value]; reaching < needed; reaching += counts[value]) {
            value--;
        }
        return value;
    }

    @ParameterizedTest
    @CsvSource({"7, 7, 25, 0, 255", "9, 9, 41, 0, 255", "9, 9, 41, 250, 255", "9, 9, 1, 0, 20", "9, 9, 81, 100, 160", "15, 15, 113, 0, 255", "3, 40, 60, 0, 255", "40, 3, 61, 0, 255",
            "16, 17, 100, 0, 255", "31, 31, 481, 0, 255", "31, 9, 200, 128, 128"})
    void valuesAreThoseOfSortingOrAreAskedFor(int height, int width, int needed, int least, int most) {
        Random random = new Random(height * 100L + width);
        int side = 130;
        byte[][] rows = new byte[side + height - 1][side + width - 1 + TileLanes.SPARE];
        for (byte[] row : rows) {
            for (int j = 0; j < row.length; j++) {
                row[j] = (byte) (least + random.nextInt(most - least + 1));
            }
        }
        TileLanes.Tile[] tiles = new TileLanes.Tile[height % 2 == 0 ? 5 : TileLanes.LANES];
        Arrays.setAll(tiles, n -> new TileLanes.Tile(random.nextInt(side - TileLanes.ROWS + 1), random.nextInt(side - TileLanes.COLUMNS + 1),
                Math.max(0, Math.min(128, (least + most) / 2 - 64 + random.nextInt(21) - 10))));
        byte[][] values = new byte[side][side];
        BitSet asked = new BitSet();
        TileLanes lanes = new TileLanes(height, width, needed);
        lanes.take(rows, tiles);
        lanes.find(values, (row, column) -> {
            asked.set(row * side + column);
            values[row][column] = (byte) reached(rows, row, column, height, width, needed);
        });
        for (TileLanes.Tile tile : tiles) {
            for (int i = tile.row(); i < tile.row() + TileLanes.ROWS; i++) {
                for (int j = tile.column(); j < tile.column() + TileLanes.COLUMNS; j++) {
                    assertThat(values[i][j] & 0xFF).as("%d, %d", i, j).isEqualTo(reached(rows, i, j, height, width, needed));
                }
            }
        }
        // Values near the bases are found by thresholds; asking for many of them would be another way to be right.
        assertThat(asked.cardinality()).isLessThan(tiles.length * TileLanes.ROWS * TileLanes.COLUMNS / 20);
    }
}

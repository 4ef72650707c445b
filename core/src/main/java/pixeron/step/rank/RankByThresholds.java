package pixeron.step.rank;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.function.IntBinaryOperator;
import pixeron.image.Image;
import pixeron.step.neighborhood.Codes;
import pixeron.step.neighborhood.Plane;
import pixeron.step.neighborhood.Window;

/**
 * Places in sorted windows of levels of bytes, tile by tile as {@link TileLanes} find them: quick where the values of a tile lie near to each
 * other, which those of large windows mostly do. A band of rows is done at once and kept until its rows are asked for.
 */
final class RankByThresholds implements Codes.Rows {

    /** So many rows at a time, and so many pixels at least, that tiles fill the lanes. */
    private static final int BAND = 256;
    private static final int FEWEST_PIXELS = 1 << 20;
    /** Smaller windows are sorted as quickly. */
    private static final int FEWEST_CELLS = 49;
    private static final int BYTE = 0xFF;
    /** The means of a tile's blocks of so many rows and columns say how far from each other its values lie. */
    private static final int BLOCK = 16;
    /** Tiles that are looked at before it is decided, along each side of the image. */
    private static final int LOOKED_AT = 8;
    /** Means lie near to each other, or far. Where the lanes are not narrow every threshold costs more than twice as much. */
    private static final int NEAR = 60;
    private static final int NEAR_IF_WIDE = 32;
    private static final int FAR = 110;
    private static final int MOST_FAR = LOOKED_AT * LOOKED_AT / 8;

    /** A tile, and how far its means lie from each other. */
    private record Placed(TileLanes.Tile tile, int spread) {
    }

    private final Plane plane;
    private final int height;
    private final int width;
    private final int needed;
    private final int band;
    private final TileLanes lanes;
    private final byte[][] rows;
    private final byte[][] values;
    private final EdgeRanks edges;
    private final int[] counts = new int[BYTE + 1];
    private int first;
    private int end;

    /** @param plane of an image that is {@link #isQuick} */
    RankByThresholds(Plane plane, Ranked ranked) {
        this.plane = plane;
        this.height = plane.window().height();
        this.width = plane.window().width();
        this.needed = ranked.needed(height * width);
        this.lanes = new TileLanes(height, width, needed);
        int bands = (count() + BAND - 1) / BAND;
        this.band = (count() + bands - 1) / bands;
        this.rows = new byte[band + height - 1][plane.columns() + width - 1 + TileLanes.SPARE];
        this.values = new byte[band][plane.columns()];
        this.edges = new EdgeRanks(rows, plane.window(), plane.columns(), ranked);
    }

    private int count() {
        return plane.height() - height + 1;
    }

    /** Returns whether a plane has enough rows and columns for tiles. */
    static boolean isPossible(Plane plane) {
        return plane.height() - plane.window().height() + 1 >= TileLanes.ROWS && plane.columns() >= TileLanes.COLUMNS;
    }

    /** Returns whether values lie so near to each other in most places that this is quicker than other ways. */
    static boolean isQuick(Image image, Window window, Ranked ranked) {
        int cells = window.height() * window.width();
        if (image.maximumLevel() > BYTE || image.count() < FEWEST_PIXELS || cells < FEWEST_CELLS || !TileLanes.isPossible(window.height(), window.width()) || ranked.isBetween(cells)
                || image.rows() < TileLanes.ROWS || image.columns() < TileLanes.COLUMNS) {
            return false;
        }
        int sum = 0;
        int far = 0;
        for (int n = 0; n < LOOKED_AT * LOOKED_AT; n++) {
            int row = n / LOOKED_AT * (image.rows() - TileLanes.ROWS) / (LOOKED_AT - 1);
            int column = n % LOOKED_AT * (image.columns() - TileLanes.COLUMNS) / (LOOKED_AT - 1);
            int spread = spread((i, j) -> image.level((row + i) * image.columns() + column + j));
            sum += spread;
            far += spread > FAR ? 1 : 0;
        }
        return sum <= (TileLanes.isNarrow(cells, ranked.needed(cells)) ? NEAR : NEAR_IF_WIDE) * LOOKED_AT * LOOKED_AT && far <= MOST_FAR;
    }

    /** Returns how far the means of a tile's blocks lie from each other; every second row and column is enough. */
    private static int spread(IntBinaryOperator level) {
        int least = Integer.MAX_VALUE;
        int most = 0;
        for (int y = 0; y < TileLanes.ROWS; y += BLOCK) {
            for (int x = 0; x < TileLanes.COLUMNS; x += BLOCK) {
                int sum = 0;
                for (int i = y; i < y + BLOCK; i += 2) {
                    for (int j = x; j < x + BLOCK; j += 2) {
                        sum += level.applyAsInt(i, j);
                    }
                }
                least = Math.min(least, sum);
                most = Math.max(most, sum);
            }
        }
        return (most - least) / (BLOCK * BLOCK / 4);
    }

    @Override
    public void fill(int row, int[] codes) {
        if (row >= end) {
            first = row;
            end = Math.min(count(), row + band);
            read();
            find();
        }
        byte[] levels = values[row - first];
        for (int j = 0; j < codes.length; j++) {
            codes[j] = 2 * (levels[j] & BYTE);
        }
        edges.fill(row - first, codes);
    }

    /** Reads the rows around the band; what is missing becomes what stands next to it, so that it takes no thresholds of its own. */
    private void read() {
        int count = end - first + height - 1;
        edges.begin(count);
        for (int n = 0; n < count; n++) {
            int[] from = plane.row(first + n);
            edges.look(n, from);
            for (int j = 0; j < from.length; j++) {
                rows[n][j] = (byte) from[j];
            }
        }
        edges.extend();
    }

    private void find() {
        List<Placed> all = new ArrayList<>();
        int lowest = end - first - TileLanes.ROWS;
        int last = plane.columns() - TileLanes.COLUMNS;
        for (int row = 0; row < lowest + TileLanes.ROWS; row += TileLanes.ROWS) {
            for (int column = 0; column < plane.columns(); column += TileLanes.COLUMNS) {
                all.add(placed(Math.min(row, lowest), Math.min(column, last)));
            }
        }
        // Those of a group take as long as the one that takes longest.
        all.sort(Comparator.comparingInt(Placed::spread));
        for (int n = 0; n < all.size(); n += TileLanes.LANES) {
            lanes.take(rows, all.subList(n, Math.min(all.size(), n + TileLanes.LANES)).stream().map(Placed::tile).toArray(TileLanes.Tile[]::new));
            lanes.find(values, (row, column) -> values[row][column] = (byte) value(row, column));
        }
        edges.find(end - first);
    }

    private Placed placed(int row, int column) {
        int down = row + height / 2;
        int across = column + width / 2;
        return new Placed(new TileLanes.Tile(row, column, Math.max(0, Math.min(TileLanes.MOST + 1, level(down, across) - TileLanes.MIDDLE))),
                spread((i, j) -> rows[down + i][across + j] & BYTE));
    }

    /** Returns the level at the place among those of a tile, near to which the values will lie. */
    private int level(int row, int column) {
        Arrays.fill(counts, 0);
        for (int i = row; i < row + TileLanes.ROWS; i += 2) {
            for (int j = column; j < column + TileLanes.COLUMNS; j += 2) {
                counts[rows[i][j] & BYTE]++;
            }
        }
        return reached(needed * (TileLanes.ROWS * TileLanes.COLUMNS / 4) / (height * width));
    }

    /** Returns the value of a whole window, found by counting its levels. */
    private int value(int row, int column) {
        Arrays.fill(counts, 0);
        for (int a = 0; a < height; a++) {
            byte[] levels = rows[row + a];
            for (int b = column; b < column + width; b++) {
                counts[levels[b] & BYTE]++;
            }
        }
        return reached(needed);
    }

    /** Returns the largest level that so many of those counted reach. */
    private int reached(int many) {
        int value = BYTE;
        for (int reaching = counts[value]; reaching < many; reaching += counts[value]) {
            value--;
        }
        return value;
    }
}

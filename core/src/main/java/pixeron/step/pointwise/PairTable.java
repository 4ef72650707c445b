package pixeron.step.pointwise;

import java.util.Optional;
import java.util.function.IntUnaryOperator;
import java.util.stream.IntStream;
import pixeron.image.Area;
import pixeron.image.Image;
import pixeron.image.LevelRaster;

/**
 * One new level for every pair of levels of two images, applied to all pixels.
 *
 * <p>Cost: the formula once for every pair that can occur, then one look-up a pixel.
 */
final class PairTable {

    /** A pair that has no level. */
    static final int NONE = -1;

    private final int[] levels;
    private final int span;

    private PairTable(int[] levels, int span) {
        this.levels = levels;
        this.span = span;
    }

    /**
     * @param count of pairs
     * @param span levels of the second image
     * @param level the new level of the pair first · span + second, or {@link #NONE}
     */
    static PairTable of(int count, int span, IntUnaryOperator level) {
        return new PairTable(IntStream.range(0, count).parallel().map(level).toArray(), span);
    }

    /** @return a new image, pixels outside the area as they were; empty where a pixel in it has no level */
    Optional<Image> applyTo(Image first, Image second, Area area, int maximumLevel) {
        LevelRaster raster = new LevelRaster(first.rows(), first.columns(), maximumLevel);
        boolean hasAll = IntStream.range(0, first.rows()).parallel().allMatch(i -> {
            int[] row = new int[first.columns()];
            first.levels(i, row, 0);
            if (i >= area.row() && i - area.row() < area.height()) {
                int[] other = new int[first.columns()];
                second.levels(i, other, 0);
                for (int j = area.column(); j < area.column() + area.width(); j++) {
                    row[j] = levels[row[j] * span + other[j]];
                    if (row[j] == NONE) {
                        return false;
                    }
                }
            }
            raster.write(i, row);
            return true;
        });
        return hasAll ? Optional.of(raster.image()) : Optional.empty();
    }
}

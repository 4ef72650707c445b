package pixeron.step.pointwise;

import java.util.Optional;
import java.util.function.IntUnaryOperator;
import java.util.stream.IntStream;
import pixeron.image.Area;
import pixeron.image.Image;

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
        int columns = first.columns();
        boolean isAll = area.equals(Area.all(first));
        for (int n = 0; n < first.count(); n++) {
            if ((isAll || area.contains(n / columns, n % columns)) && at(first, second, n) == NONE) {
                return Optional.empty();
            }
        }
        return Optional.of(Image.ofLevels(first.rows(), columns, maximumLevel, n -> isAll || area.contains(n / columns, n % columns)
                ? at(first, second, n) : first.level(n)));
    }

    private int at(Image first, Image second, int n) {
        return levels[first.level(n) * span + second.level(n)];
    }
}

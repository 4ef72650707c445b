package pixeron.image;

import java.util.Arrays;
import java.util.Optional;
import java.util.function.IntUnaryOperator;
import java.util.stream.IntStream;

/**
 * One new level for every pair of levels of two images, applied to all pixels.
 *
 * <p>Cost: the formula once for every pair that can occur, then one look-up a pixel.
 */
public final class LevelPairs {

    /** A pair that has no level. */
    public static final int NONE = -1;

    private final int[] levels;
    private final int span;

    private LevelPairs(int[] levels, int span) {
        this.levels = levels;
        this.span = span;
    }

    /**
     * Creates the table of pairs.
     *
     * @param count of pairs
     * @param span levels of the second image
     * @param level the new level of the pair first · span + second, or {@link #NONE}
     */
    public static LevelPairs of(int count, int span, IntUnaryOperator level) {
        return new LevelPairs(IntStream.range(0, count).parallel().map(level).toArray(), span);
    }

    /** Returns a new image, pixels outside the area as they were; empty where a pixel in it has no level. */
    public Optional<Image> applyTo(Image first, Image second, Area area, int maximumLevel) {
        if (maximumLevel <= Image.BYTE_MAXIMUM && first.samples() instanceof ByteSamples one && second.samples() instanceof ByteSamples two
                && Arrays.stream(levels).noneMatch(level -> level == NONE)) {
            return Optional.of(new Image(first.rows(), first.columns(), maximumLevel, new ByteSamples(bytes(one.bytes(), two.bytes(), area, first.columns()))));
        }
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

    private byte[] bytes(byte[] first, byte[] second, Area area, int columns) {
        // A table of bytes stays nearer to the processor.
        byte[] table = new byte[levels.length];
        for (int n = 0; n < table.length; n++) {
            table[n] = (byte) levels[n];
        }
        byte[] out = area.count() == first.length ? new byte[first.length] : first.clone();
        boolean isShifted = span == 1 << Byte.SIZE;
        IntStream.range(area.row(), area.row() + area.height()).parallel().forEach(i -> {
            int from = i * columns + area.column();
            int end = from + area.width();
            if (isShifted) {
                lookUp(first, second, out, table, from, end);
                return;
            }
            for (int n = from; n < end; n++) {
                out[n] = table[(first[n] & 0xFF) * span + (second[n] & 0xFF)];
            }
        });
        return out;
    }

    /** The usual case: shifting takes a fifth less time than multiplying by a number that is not known beforehand. */
    private static void lookUp(byte[] first, byte[] second, byte[] out, byte[] table, int from, int end) {
        for (int n = from; n < end; n++) {
            out[n] = table[(first[n] & 0xFF) << Byte.SIZE | second[n] & 0xFF];
        }
    }
}

package pixeron.step.geometry;

import java.util.Optional;
import java.util.function.IntFunction;
import java.util.stream.IntStream;
import pixeron.image.BlockSums;
import pixeron.image.Frame;
import pixeron.image.Image;
import pixeron.image.LevelRaster;
import pixeron.image.Rearrangement;
import pixeron.number.Rational;
import pixeron.number.Rounding;
import pixeron.number.Value;
import pixeron.step.Finish;
import pixeron.step.Progress;

/**
 * All pixels of a resized level image at once: whole sums over one denominator, exactly what fractions give. Rows depend on the
 * row alone and columns on the column alone, so places are calculated once for each.
 */
final class ResizeBulk {

    /** Sums beyond this would not fit into a long. */
    private static final double MOST = 0x1p62;

    private ResizeBulk() {
    }

    /** Returns the mean of all that lies under each pixel; empty where values are no levels. */
    static Optional<Image> mean(Image before, Frame frame, Finish finish, Progress progress) {
        if (!before.isLevelImage() || !finish.isToLevels()) {
            return Optional.empty();
        }
        int height = before.rows() / frame.rows();
        int width = before.columns() / frame.columns();
        if (height * frame.rows() == before.rows() && width * frame.columns() == before.columns() && BlockSums.isPossible(before, height, width)) {
            return Optional.of(BlockSums.of(before, height, width, sum -> finish.level(sum, (long) height * width)));
        }
        LevelRaster raster = new LevelRaster(frame.rows(), frame.columns(), frame.maximumLevel());
        Parts down = Parts.of(before.rows(), frame.rows());
        Parts across = Parts.of(before.columns(), frame.columns());
        long area = (long) before.rows() * before.columns();
        IntStream.range(0, frame.rows()).parallel().forEach(i -> {
            progress.report((double) i / frame.rows());
            int[] row = new int[before.columns()];
            long[] sums = new long[before.columns()];
            for (int cell = down.first[i]; cell <= down.last(i); cell++) {
                before.levels(cell, row, 0);
                long part = down.part(i, cell);
                for (int j = 0; j < row.length; j++) {
                    sums[j] += part * row[j];
                }
            }
            int[] levels = new int[frame.columns()];
            for (int j = 0; j < levels.length; j++) {
                long sum = 0;
                for (int cell = across.first[j]; cell <= across.last(j); cell++) {
                    sum += across.part(j, cell) * sums[cell];
                }
                levels[j] = finish.level(sum, area);
            }
            raster.write(i, levels);
        });
        return Optional.of(raster.image());
    }

    /**
     * How much of each cell lies under a pixel, in parts of which a cell has as many as the result has pixels.
     *
     * @param old cells
     * @param made pixels
     * @param first the first cell under each pixel
     */
    private record Parts(int old, int made, int... first) {

        static Parts of(int old, int made) {
            return new Parts(old, made, IntStream.range(0, made).map(k -> MeanCells.first(k, old, made)).toArray());
        }

        int last(int k) {
            return MeanCells.last(k, old, made);
        }

        long part(int k, int cell) {
            return Math.min((long) (k + 1) * old, (long) (cell + 1) * made) - Math.max((long) k * old, (long) cell * made);
        }
    }

    /** Returns what is at points in proportion; empty where values are no levels, or sums too long. */
    static Optional<Image> points(Image before, PointCells cells, Finish finish, Progress progress) {
        Points points = cells.points();
        Frame frame = points.frame();
        if (!before.isLevelImage() || !finish.isToLevels() || points.isExchanged()) {
            return Optional.empty();
        }
        IntFunction<Value> row = points.rows();
        IntFunction<Value> column = points.columns();
        Axis down = new Axis(frame.rows(), before.rows());
        Axis across = new Axis(frame.columns(), before.columns());
        for (int i = 0; i < frame.rows(); i++) {
            down.set(i, row.apply(i), cells.reading());
        }
        for (int j = 0; j < frame.columns(); j++) {
            across.set(j, column.apply(j), cells.reading());
        }
        if (cells.reading() != Reading.LINEAR) {
            return Optional.of(new Rearrangement(frame, down.cell, across.cell, false).of(before, Rational.ZERO));
        }
        return (double) down.longest * across.longest * 2 * before.maximumLevel() > MOST ? Optional.empty()
                : Optional.of(linear(before, frame, down, across, finish, progress));
    }

    private static Image linear(Image before, Frame frame, Axis down, Axis across, Finish finish, Progress progress) {
        LevelRaster raster = new LevelRaster(frame.rows(), frame.columns(), frame.maximumLevel());
        IntStream.range(0, frame.rows()).parallel().forEach(i -> {
            progress.report((double) i / frame.rows());
            int[] upper = new int[before.columns()];
            int[] lower = new int[before.columns()];
            before.levels(down.cell[i], upper, 0);
            before.levels(Math.min(before.rows() - 1, down.cell[i] + 1), lower, 0);
            int[] levels = new int[frame.columns()];
            long a = down.numerator[i];
            long rest = down.denominator[i] - a;
            for (int j = 0; j < levels.length; j++) {
                int left = across.cell[j];
                int right = Math.min(before.columns() - 1, left + 1);
                long b = across.numerator[j];
                long aside = across.denominator[j] - b;
                long sum = rest * (aside * upper[left] + b * upper[right]) + a * (aside * lower[left] + b * lower[right]);
                levels[j] = finish.level(sum, down.denominator[i] * across.denominator[j]);
            }
            raster.write(i, levels);
        });
        return raster.image();
    }

    /** For every row, or every column, of the result the cell that is read and the part by which the next one counts. */
    private static final class Axis {

        private final int size;
        private final int[] cell;
        private final long[] numerator;
        private final long[] denominator;
        private long longest = 1;

        Axis(int count, int size) {
            this.size = size;
            cell = new int[count];
            numerator = new long[count];
            denominator = new long[count];
        }

        void set(int n, Value place, Reading reading) {
            Value inside = reading == Reading.LINEAR ? Reading.limited(place, size) : place;
            Rational read = (Rational) (reading == Reading.NEAREST ? inside.plus(Rational.of(1, 2)) : inside);
            Rational whole = (Rational) Rounding.FLOOR.apply(read);
            cell[n] = Math.max(0, Math.min(size - 1, whole.toInt()));
            Rational part = read.minus(whole);
            numerator[n] = part.numerator().longValue();
            denominator[n] = part.denominator().longValue();
            longest = Math.max(longest, denominator[n]);
        }
    }
}

package pixeron.step.neighborhood;

import java.util.Arrays;
import java.util.stream.IntStream;
import pixeron.image.Image;
import pixeron.image.LevelRaster;
import pixeron.image.Pixel;
import pixeron.number.Approximate;
import pixeron.number.Overflow;
import pixeron.number.Rounding;
import pixeron.number.Value;
import pixeron.step.Finish;
import pixeron.step.Progress;
import pixeron.walk.Visits;

/** All pixels of a step with windows by {@link Codes}, in stripes on all cores. */
final class BulkResult {

    /** A table may have so many codes for each pixel of the image. */
    private static final int TABLED_FOR_PIXEL = 16;
    /** Images with fewer pixels are done before a second core has begun; slips ask for very many of them. */
    static final int WORTH_ALL_CORES = 1 << 14;
    /** Where there can be more different codes than this, each is worked out where it occurs. */
    private static final int MOST_KEPT = 1 << 22;
    /** Where there can be fewer, the levels of all are worked out before. */
    private static final int MOST_TABLED = 1 << 18;
    /** From here on a double no longer holds every whole number and half. */
    private static final double LONGEST = 0x1p52;

    private final WindowOperation operation;
    private final Image before;
    private final Window window;
    private final Codes codes;
    private final int rows;
    private final int columns;
    private final boolean hasKept;

    BulkResult(WindowOperation operation, Codes codes) {
        this.operation = operation;
        this.before = operation.before();
        this.window = operation.window();
        this.codes = codes;
        this.rows = operation.frame().rows();
        this.columns = operation.frame().columns();
        this.hasKept = operation.keepsSome();
    }

    Image result(Progress progress) {
        return operation.finish().isToLevels() ? levels(progress) : values(progress);
    }

    private boolean hasFewCodes(int most) {
        return codes.most() - codes.least() < most;
    }

    private Image levels(Progress progress) {
        LevelRaster raster = new LevelRaster(rows, columns, before.maximumLevel());
        Finish finish = operation.finish();
        // Of a small image most codes of a long table would never be looked up.
        if (hasFewCodes((int) Math.min(MOST_TABLED, (long) TABLED_FOR_PIXEL * rows * columns))) {
            char[] table = new char[codes.most() - codes.least() + 1];
            IntStream all = IntStream.range(0, table.length);
            (table.length < WORTH_ALL_CORES ? all : all.parallel()).forEach(n -> table[n] = (char) codes.level(codes.least() + n, finish));
            byte[] bytes = new byte[before.maximumLevel() <= Image.BYTE_MAXIMUM && hasNothingSpecial() ? table.length : 0];
            for (int n = 0; n < bytes.length; n++) {
                bytes[n] = (byte) table[n];
            }
            inStripes(progress, (row, found, levels) -> {
                if (bytes.length > 0) {
                    raster.write(row, found, codes.least(), bytes);
                } else {
                    for (int j = 0; j < columns; j++) {
                        levels[j] = table[found[j] - codes.least()];
                    }
                    writeSpecial(raster, row, found, levels);
                }
            });
        } else {
            // A level plus 1; 0 where it is not known yet. Threads that find the same one write the same number.
            int[] known = hasFewCodes(MOST_KEPT) ? new int[codes.most() - codes.least() + 1] : null;
            inStripes(progress, (row, found, levels) -> {
                if (known == null) {
                    Arrays.setAll(levels, j -> codes.level(found[j], finish));
                } else {
                    lookUp(found, known, levels);
                }
                writeSpecial(raster, row, found, levels);
            });
        }
        return raster.image();
    }

    private void writeSpecial(LevelRaster raster, int row, int[] found, int... levels) {
        forSpecial(row, (j, pixel) -> levels[j] = operation.isKept(pixel) ? before.level(before.offset(pixel))
                : operation.finish().level(codes.valueAt(pixel, found[j])));
        raster.write(row, levels);
    }

    private void lookUp(int[] found, int[] known, int[] levels) {
        int least = codes.least();
        for (int j = 0; j < columns; j++) {
            int level = known[found[j] - least];
            if (level == 0) {
                level = codes.level(found[j], operation.finish()) + 1;
                known[found[j] - least] = level;
            }
            levels[j] = level - 1;
        }
    }

    private boolean isShort(int code) {
        return Math.abs(codes.value(code).asDouble()) < LONGEST;
    }

    /** Without fractions in between no objects are needed: whole numbers, or doubles as they are. */
    private Image numbers(Progress progress) {
        Finish finish = operation.finish();
        boolean hasDoubles = finish.rounding() == Rounding.NONE;
        double[] known = !hasDoubles && hasFewCodes(MOST_KEPT) ? new double[codes.most() - codes.least() + 1] : null;
        if (known != null) {
            Arrays.fill(known, Double.NaN);
        }
        double[] numbers = new double[rows * columns];
        inStripes(progress, (row, found, unused) -> {
            for (int j = 0; j < columns; j++) {
                int at = found[j] - codes.least();
                double number = known == null ? Double.NaN : known[at];
                if (Double.isNaN(number)) {
                    number = hasDoubles ? Approximate.snappedDouble(codes.number(found[j]), finish.maximumLevel()) : finish.apply(codes.value(found[j])).asDouble();
                    if (known != null) {
                        known[at] = number;
                    }
                }
                numbers[row * columns + j] = number;
            }
            forSpecial(row, (j, pixel) -> numbers[row * columns + j] = (operation.isKept(pixel) ? before.value(pixel)
                    : finish.apply(codes.valueAt(pixel, found[j]))).asDouble());
        });
        return Image.ofDoubles(operation.frame(), numbers);
    }

    private Image values(Progress progress) {
        if (operation.finish().rounding() != Rounding.NONE && isShort(codes.least()) && isShort(codes.most()) || codes.hasDoubles() && operation.finish().overflow() == Overflow.KEEP) {
            return numbers(progress);
        }
        Value[] known = hasFewCodes(MOST_KEPT) ? new Value[codes.most() - codes.least() + 1] : null;
        Value[] values = new Value[rows * columns];
        inStripes(progress, (row, found, unused) -> {
            for (int j = 0; j < columns; j++) {
                int at = found[j] - codes.least();
                Value value = known == null ? null : known[at];
                if (value == null) {
                    value = operation.finish().apply(codes.value(found[j]));
                    if (known != null) {
                        known[at] = value;
                    }
                }
                values[row * columns + j] = value;
            }
            forSpecial(row, (j, pixel) -> values[row * columns + j] = operation.isKept(pixel) ? before.value(pixel)
                    : operation.finish().apply(codes.valueAt(pixel, found[j])));
        });
        return Image.from(rows, columns, before.maximumLevel(), values);
    }

    /** What becomes of a row of codes; there is room for as many levels. */
    @FunctionalInterface
    private interface Sink {
        void take(int row, int[] found, int[] room);
    }

    private void inStripes(Progress progress, Sink sink) {
        Stripes.each(rows, rows * columns >= WORTH_ALL_CORES, progress, (first, count, rowDone) -> {
            Codes.Rows maker = codes.rows(Plane.of(before, window, first, count, codes.absent()));
            int[] found = new int[columns];
            int[] room = new int[columns];
            for (int i = 0; i < count; i++) {
                maker.fill(i, found);
                sink.take(first + i, found, room);
                rowDone.run();
            }
        });
    }

    private boolean hasNothingSpecial() {
        return !hasKept && !codes.dependsOnCells();
    }

    @FunctionalInterface
    private interface Special {
        void take(int column, Pixel pixel);
    }

    /** Visits the pixels of a row that keep their value or whose value depends on the cells that are there. */
    private void forSpecial(int row, Special special) {
        if (hasNothingSpecial()) {
            return;
        }
        for (int j = 0; j < columns; j++) {
            Pixel pixel = window.source(new Pixel(row, j));
            if (operation.isKept(pixel) || codes.dependsOnCells() && !window.fits(before, pixel)) {
                special.take(j, pixel);
            }
        }
    }
}

package pixeron.step.neighborhood;

import java.util.Optional;
import java.util.function.Function;
import java.util.function.IntConsumer;
import java.util.function.Supplier;
import java.util.stream.IntStream;
import pixeron.image.Image;
import pixeron.image.Lanes;
import pixeron.image.LevelRaster;
import pixeron.image.Pixel;
import pixeron.image.Quarters;
import pixeron.number.Overflow;
import pixeron.number.Rounding;
import pixeron.number.Value;
import pixeron.step.Progress;
import pixeron.walk.Visits;

/** All pixels of a step with windows by {@link Codes}, in stripes on all cores. */
final class BulkResult {

    /** Images with fewer pixels are done before a second core has begun; slips ask for very many of them. */
    static final int WORTH_ALL_CORES = 1 << 14;
    /** Where there can be more different codes than this, each is calculated where it occurs. */
    static final int MOST_KEPT = 1 << 22;
    /** From here on a double no longer holds every whole number and half. */
    private static final double LONGEST = 0x1p52;

    /** A level over a denominator below this is a long. */
    private static final long MOST_BELOW = 1L << 46;

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
        Optional<Function<CellRows, Codes.RunRows>> quick = inQuarters();
        Optional<LaneLevels> lanes = quick.flatMap(any -> inLanes());
        if (lanes.isPresent()) {
            inRuns(LanePlane::new, quick.get(), progress, plane -> lanes(plane, lanes.get(), raster));
            return raster.image();
        }
        CodeLevels of = new CodeLevels(codes, operation.finish(), rows * columns);
        if (quick.isPresent()) {
            inQuarters(quick.get(), progress, plane -> {
                Quarters quarters = new Quarters(columns);
                int[][] levels = plane.room();
                return (row, found) -> {
                    for (int run = 0; run < found.length; run++) {
                        of.of(found[run], levels[run]);
                    }
                    forSpecial(row, (j, pixel) -> levels[plane.run(j)][plane.place(j)] = special(pixel, found[plane.run(j)][plane.place(j)]));
                    quarters.join(levels, raster, row);
                };
            });
            return raster.image();
        }
        inStripes(progress, () -> (row, found, levels) -> {
            of.of(found, levels);
            forSpecial(row, (j, pixel) -> levels[j] = special(pixel, found[j]));
            raster.write(row, levels);
        });
        return raster.image();
    }

    private RunSink lanes(LanePlane plane, LaneLevels of, LevelRaster raster) {
        Lanes lanes = new Lanes(columns, 1);
        int[] levels = new int[plane.length()];
        return (row, found) -> {
            of.apply(found, levels);
            lanes.put(levels);
            forSpecial(row, (j, pixel) -> lanes.put(j, special(pixel, of.code(found[plane.run(j)][plane.place(j)], plane.shift(j)))));
            lanes.write(raster, row);
        };
    }

    private int special(Pixel pixel, int code) {
        return operation.isKept(pixel) ? before.level(before.offset(pixel)) : operation.finish().level(codes.valueAt(pixel, code));
    }

    /** Returns what works codes out for columns in any order, where the samples can be had so and enough is done to be worth it. */
    private Optional<Function<CellRows, Codes.RunRows>> inQuarters() {
        return rows * columns >= WORTH_ALL_CORES && Quarters.isPossible(before) && !operation.hasArea() ? codes.inAnyOrder() : Optional.empty();
    }

    /** Returns the levels of codes of two columns in one number, where they can be had so. */
    private Optional<LaneLevels> inLanes() {
        return LanePlane.isPossible(Margins.of(before, window, 0, codes.absent())) ? LaneLevels.of(codes, operation.finish()) : Optional.empty();
    }

    /** What becomes of a row of codes that are in runs. */
    @FunctionalInterface
    private interface RunSink {
        void take(int row, int[][] found);
    }

    /** @param sinks makes one for each stripe */
    private void inQuarters(Function<CellRows, Codes.RunRows> maker, Progress progress, Function<CellRows, RunSink> sinks) {
        inRuns(QuarteredPlane::new, maker, progress, plane -> {
            RunSink sink = sinks.apply(plane);
            return (row, found) -> {
                // What represents no column need not be a code.
                for (int j = columns; j < plane.runs() * plane.length(); j++) {
                    found[plane.run(j)][plane.place(j)] = codes.least();
                }
                sink.take(row, found);
            };
        });
    }

    private <P extends CellRows> void inRuns(Function<Margins, P> planes, Function<CellRows, Codes.RunRows> maker, Progress progress, Function<P, RunSink> sinks) {
        Stripes.each(rows, true, progress, (first, count, rowDone) -> {
            P plane = planes.apply(Margins.of(before, window, first, codes.absent()));
            Codes.RunRows filler = maker.apply(plane);
            RunSink sink = sinks.apply(plane);
            int[][] found = plane.room();
            for (int i = first; i < first + count; i++) {
                filler.fill(i - first, found);
                sink.take(i, found);
                rowDone.run();
            }
        });
    }

    private boolean isShort(int code) {
        return Math.abs(codes.value(code).asDouble()) < LONGEST;
    }

    /** Without fractions in between no objects are needed: whole numbers, or doubles as they are. */
    private Image numbers(Progress progress) {
        double[] numbers = new double[rows * columns];
        Function<CellRows, RunSink> sinks = plane -> {
            CodeNumbers of = codes.numbers(operation.finish(), numbers.length).orElseGet(() -> new RecentNumbers(codes, operation.finish()));
            return (row, found) -> {
                for (int run = 0; run < found.length; run++) {
                    of.of(found[run], numbers, row * columns + run, found.length, (columns - run + found.length - 1) / found.length);
                }
                forSpecial(row, (j, pixel) -> numbers[row * columns + j] = number(pixel, found[plane.run(j)][plane.place(j)]));
            };
        };
        inQuarters().ifPresentOrElse(quick -> inQuarters(quick, progress, sinks), () -> inOneRun(progress, sinks));
        return Image.ofDoubles(operation.frame(), numbers);
    }

    /** Returns the line of values that are written as they are, or only clipped. */
    private Optional<Codes.Line> unrounded() {
        Overflow overflow = operation.finish().overflow();
        boolean isOnLine = operation.finish().isOfLevels() && (overflow == Overflow.KEEP || overflow == Overflow.CLIP) && !codes.hasDoubles() && !codes.dependsOnCells();
        return isOnLine ? codes.line().filter(line -> line.denominator() < MOST_BELOW && (operation.finish().rounding() == Rounding.NONE || line.denominator() == 1)) : Optional.empty();
    }

    /** Fractions over the line's denominator, without an object for each. */
    private Image fractions(Codes.Line line, Progress progress) {
        long[] numerators = new long[rows * columns];
        boolean isClipped = operation.finish().overflow() == Overflow.CLIP;
        long lowest = isClipped ? 0 : Long.MIN_VALUE;
        long highest = isClipped ? before.maximumLevel() * line.denominator() : Long.MAX_VALUE;
        Function<CellRows, RunSink> sinks = plane -> (row, found) -> {
            for (int run = 0; run < found.length; run++) {
                int[] sums = found[run];
                for (int j = run, n = 0; j < columns; j += found.length, n++) {
                    numerators[row * columns + j] = Math.min(highest, Math.max(lowest, sums[n] * line.numerator() + line.constant()));
                }
            }
            forSpecial(row, (j, pixel) -> numerators[row * columns + j] = before.level(before.offset(pixel)) * line.denominator());
        };
        inQuarters().ifPresentOrElse(quick -> inQuarters(quick, progress, sinks), () -> inOneRun(progress, sinks));
        return Image.ofFractions(operation.frame(), line.denominator(), numerators);
    }

    private double number(Pixel pixel, int code) {
        return (operation.isKept(pixel) ? before.value(pixel) : operation.finish().apply(codes.valueAt(pixel, code))).asDouble();
    }

    private Image values(Progress progress) {
        Optional<Codes.Line> line = unrounded();
        if (line.isPresent()) {
            return fractions(line.get(), progress);
        }
        if (operation.finish().rounding() != Rounding.NONE && isShort(codes.least()) && isShort(codes.most()) || codes.hasDoubles() && operation.finish().overflow() == Overflow.KEEP) {
            return numbers(progress);
        }
        Value[] known = hasFewCodes(MOST_KEPT) ? new Value[codes.most() - codes.least() + 1] : null;
        Value[] values = new Value[rows * columns];
        inStripes(progress, () -> (row, found, unused) -> {
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

    /** What becomes of a row of codes. The images are: room for as many levels. */
    @FunctionalInterface
    private interface Sink {
        void take(int row, int[] found, int[] room);
    }

    /** @param sinks makes one for each stripe */
    private void inStripes(Progress progress, Supplier<Sink> sinks) {
        inOneRun(progress, plane -> {
            int[] room = new int[columns];
            Sink sink = sinks.get();
            return (row, found) -> sink.take(row, found[0], room);
        });
    }

    /** @param sinks makes one for each stripe; gets a row as one run */
    private void inOneRun(Progress progress, Function<CellRows, RunSink> sinks) {
        Stripes.each(rows, rows * columns >= WORTH_ALL_CORES, progress, (first, count, rowDone) -> {
            Plane plane = Plane.of(Margins.of(before, window, first, codes.absent()), count);
            Codes.Rows maker = codes.rows(plane);
            int[][] found = plane.room();
            RunSink sink = sinks.apply(plane);
            for (int i = 0; i < count; i++) {
                maker.fill(i, found[0]);
                sink.take(first + i, found);
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
        IntConsumer visit = j -> {
            Pixel pixel = window.source(new Pixel(row, j));
            if (operation.isKept(pixel) || codes.dependsOnCells() && !window.fits(before, pixel)) {
                special.take(j, pixel);
            }
        };
        int top = window.source(new Pixel(row, 0)).row() - window.anchorRow();
        // Without an area only pixels are special whose window leaves the image, of most rows those at their ends.
        if (operation.hasArea() || top < 0 || top + window.height() > before.rows()) {
            IntStream.range(0, columns).forEach(visit);
        } else {
            window.forSides(columns, visit);
        }
    }
}

package pixeron.step.geometry;

import java.util.Optional;
import java.util.OptionalInt;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.ToIntFunction;
import java.util.stream.IntStream;
import pixeron.image.Frame;
import pixeron.image.Image;
import pixeron.image.LevelRaster;
import pixeron.image.Pixel;
import pixeron.image.SlantedRow;
import pixeron.image.SlantedSquare;
import pixeron.number.Rounding;
import pixeron.step.Finish;
import pixeron.step.Progress;
import pixeron.step.neighborhood.Border;

/**
 * A turned image in doubles: all pixels of a level image at once, and which of its pixels are read nowhere.
 *
 * <p>What is calculated for a pixel alone goes through the same sums, but takes doubles near to a half as fractions on the way. Where
 * that could make a difference, because a value lies near to where it is rounded to another level, the pixel is calculated alone.
 */
final class TurnBulk {

    private static final int NOT_COUNTED = -1;
    /** Far more than doubles can differ by which go through these sums in another way. */
    private static final double CLOSE = 1e-6;

    private final Image before;
    private final Frame frame;
    private final double cosine;
    private final double sine;
    private final boolean isLinear;
    private final Border border;
    private volatile int notRead = NOT_COUNTED;

    TurnBulk(Image before, Frame frame, double cosine, double sine, boolean isLinear, Border border) {
        this.before = before;
        this.frame = frame;
        this.cosine = cosine;
        this.sine = sine;
        this.isLinear = isLinear;
        this.border = border;
    }

    /**
     * Returns the result; empty where samples or what is outside are no levels.
     *
     * @param outside the level that is outside; empty where that is no level
     * @param alone calculates the level of a pixel of the result alone
     */
    Optional<Image> result(OptionalInt outside, Finish finish, ToIntFunction<Pixel> alone, Progress progress) {
        if (!before.isLevelImage() || !finish.isToLevels() || outside.isEmpty()) {
            return Optional.empty();
        }
        LevelRaster raster = new LevelRaster(frame.rows(), frame.columns(), frame.maximumLevel());
        Optional<SlantedRow> quick = quick(finish.level(outside.getAsInt(), 1), finish);
        int stripes = (frame.rows() + SlantedSquare.SIDE - 1) / SlantedSquare.SIDE;
        int workers = Math.min(stripes, Runtime.getRuntime().availableProcessors());
        AtomicInteger next = new AtomicInteger();
        IntStream.range(0, workers).parallel().forEach(worker -> {
            // One for all stripes of a worker: new ones for each would cost as much as what is read.
            Optional<SlantedStripe> stripe = quick.map(row -> new SlantedStripe(before, row, frame.columns(), isLinear, sine, cosine));
            int[] levels = new int[frame.columns()];
            for (int n = next.getAndIncrement(); n < stripes; n = next.getAndIncrement()) {
                int first = n * SlantedSquare.SIDE;
                int count = Math.min(SlantedSquare.SIDE, frame.rows() - first);
                stripe.ifPresent(quickly -> quickly.read((i, j) -> line(first + i, j), count,
                        (i, j) -> level(first + i, j, outside.getAsInt(), finish, alone)));
                for (int i = first; i < first + count; i++) {
                    progress.report((double) i / frame.rows());
                    if (stripe.isPresent()) {
                        stripe.get().write(i - first, raster, i);
                    } else {
                        for (int j = 0; j < levels.length; j++) {
                            levels[j] = level(i, j, outside.getAsInt(), finish, alone);
                        }
                        raster.write(i, levels);
                    }
                }
            }
        });
        return Optional.of(raster.image());
    }

    /** Reads what is sure without doubles; between four pixels rounding to nearest is needed for that. */
    private Optional<SlantedRow> quick(int outside, Finish finish) {
        boolean isOneLevel = border == Border.ZERO || border == Border.CONSTANT;
        return SlantedRow.isPossible(before) && (!isLinear || isNearest(finish)) ? Optional.of(SlantedRow.of(before, isOneLevel ? outside : SlantedRow.OPEN))
                : Optional.empty();
    }

    private SlantedRow.Line line(int i, int j) {
        double down = i - (frame.rows() - 1) / 2.0;
        double right = j - (frame.columns() - 1) / 2.0;
        return new SlantedRow.Line(row(down, right), column(down, right), sine, cosine);
    }

    private int level(int i, int j, int outside, Finish finish, ToIntFunction<Pixel> alone) {
        double down = i - (frame.rows() - 1) / 2.0;
        double right = j - (frame.columns() - 1) / 2.0;
        double y = row(down, right);
        double x = column(down, right);
        return isDoubtful(y) || isDoubtful(x) ? alone.applyAsInt(new Pixel(i, j))
                : level(Points.near(y), Points.near(x), outside, finish, i, j, alone);
    }

    /** Where a pixel of the result is read that lies so far down and right of its middle. */
    private double row(double down, double right) {
        return (before.rows() - 1) / 2.0 + right * sine + down * cosine;
    }

    private double column(double down, double right) {
        return (before.columns() - 1) / 2.0 + right * cosine - down * sine;
    }

    /** Whether a place is just as far from a multiple of ½ as it may be to be taken for it. */
    private static boolean isDoubtful(double place) {
        double far = Math.abs(place - Math.rint(2 * place) / 2);
        return far > Points.NEAR / 2 && far < 2 * Points.NEAR;
    }

    private int level(double y, double x, int outside, Finish finish, int i, int j, ToIntFunction<Pixel> alone) {
        if (!isLinear) {
            return finish.level(read((int) Math.floor(y + 0.5), (int) Math.floor(x + 0.5), outside), 1);
        }
        int row = (int) Math.floor(y);
        int column = (int) Math.floor(x);
        double a = y - row;
        double b = x - column;
        double sum = (1 - a) * (1 - b) * read(row, column, outside);
        sum += b == 0 ? 0 : (1 - a) * b * read(row, column + 1, outside);
        sum += a == 0 ? 0 : a * (1 - b) * read(row + 1, column, outside);
        sum += a == 0 || b == 0 ? 0 : a * b * read(row + 1, column + 1, outside);
        double floor = Math.floor(sum);
        double rest = sum - floor;
        if (Math.abs(rest - 0.5) < CLOSE) {
            return alone.applyAsInt(new Pixel(i, j));
        } else if (rest < CLOSE || rest > 1 - CLOSE) {
            // Near to a whole number only rounding to nearest is sure of it.
            return isNearest(finish) ? finish.level((long) Math.rint(sum), 1) : alone.applyAsInt(new Pixel(i, j));
        }
        return finish.level(4 * (long) floor + (rest < 0.5 ? 1 : 3), 4);
    }

    private static boolean isNearest(Finish finish) {
        return finish.rounding() == Rounding.NEAREST || finish.rounding() == Rounding.NEAREST_EVEN;
    }

    private int read(int row, int column, int outside) {
        if (row >= 0 && row < before.rows() && column >= 0 && column < before.columns()) {
            return before.level(row * before.columns() + column);
        }
        int from = border.source(row, before.rows());
        int at = border.source(column, before.columns());
        return from < 0 || at < 0 ? outside : before.level(from * before.columns() + at);
    }

    /** Returns how many pixels of the image before no pixel of the result reads; counted once. */
    int notRead() {
        if (notRead == NOT_COUNTED) {
            notRead = counted();
        }
        return notRead;
    }

    private int counted() {
        boolean[] isRead = new boolean[before.count()];
        for (int i = 0; i < frame.rows(); i++) {
            double down = i - (frame.rows() - 1) / 2.0;
            for (int j = 0; j < frame.columns(); j++) {
                double right = j - (frame.columns() - 1) / 2.0;
                mark(isRead, Points.near(row(down, right)), Points.near(column(down, right)));
            }
        }
        int count = 0;
        for (boolean read : isRead) {
            count += read ? 0 : 1;
        }
        return count;
    }

    private void mark(boolean[] isRead, double y, double x) {
        if (!isLinear) {
            mark(isRead, (int) Math.floor(y + 0.5), (int) Math.floor(x + 0.5));
            return;
        }
        int row = (int) Math.floor(y);
        int column = (int) Math.floor(x);
        boolean isOnRow = y == row;
        boolean isOnColumn = x == column;
        mark(isRead, row, column);
        if (!isOnColumn) {
            mark(isRead, row, column + 1);
        }
        if (!isOnRow) {
            mark(isRead, row + 1, column);
        }
        if (!isOnRow && !isOnColumn) {
            mark(isRead, row + 1, column + 1);
        }
    }

    private void mark(boolean[] isRead, int row, int column) {
        int from = border.source(row, before.rows());
        int at = border.source(column, before.columns());
        if (from >= 0 && at >= 0) {
            isRead[from * before.columns() + at] = true;
        }
    }
}

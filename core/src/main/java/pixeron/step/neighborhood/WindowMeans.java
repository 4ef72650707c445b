package pixeron.step.neighborhood;

import java.util.Arrays;
import java.util.Optional;
import pixeron.image.Fractions;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.number.Rational;
import pixeron.number.Value;

/**
 * Means of windows, row by row.
 *
 * <p>Cost for levels and exact fractions: a few sums for each pixel, whatever the size of the window, because the sums of columns move
 * with it; of doubles every window is added up anew, which keeps them in one order.
 */
public final class WindowMeans {

    /** Numerators and denominators below this can be added up over any window, and multiplied by its cells. */
    private static final long LARGEST = 1L << 44;

    private final Image image;
    private final Window window;
    /** Of a real-valued image that can be added up; empty for levels. */
    private final Optional<Fractions> fractions;
    private final boolean isMoving;
    private final long denominator;
    private final int[] columns;
    /** For each column the sum over the rows of the window, and for which row of the image it is. */
    private final long[] sums;
    private int rowsInside;
    private int summedRow = -2;
    private Value[] means;
    private int meansRow = -1;

    public WindowMeans(Image image, Window window) {
        this.image = image;
        this.window = window;
        this.fractions = image.fractions().filter(found -> found.denominator() < LARGEST && found.largest() < LARGEST);
        this.isMoving = image.isLevelImage() || fractions.isPresent();
        this.denominator = fractions.map(Fractions::denominator).orElse(1L);
        this.columns = new int[image.columns() + window.width() - 1];
        Arrays.setAll(columns, n -> window.border().source(n - window.anchorColumn(), image.columns()));
        this.sums = new long[columns.length];
    }

    private void moveTo(int row) {
        if (row == summedRow + 1) {
            add(row - 1, 0, -1);
            add(row, window.height() - 1, 1);
        } else {
            Arrays.fill(sums, 0);
            rowsInside = 0;
            for (int i = 0; i < window.height(); i++) {
                add(row, i, 1);
            }
        }
        summedRow = row;
    }

    /** Adds a row of the window on a row of the image to the sums, or takes it away. */
    private void add(int row, int windowRow, int sign) {
        int from = window.border().source(row + windowRow - window.anchorRow(), image.rows());
        if (from >= 0) {
            rowsInside += sign;
            for (int n = 0; n < columns.length; n++) {
                sums[n] += columns[n] < 0 ? 0 : sign * numerator(from * image.columns() + columns[n]);
            }
        }
    }

    private long numerator(int offset) {
        return fractions.isPresent() ? fractions.get().numerators()[offset] : image.level(offset);
    }

    /** Returns the mean of the window on a pixel; pixels are best asked for row by row. */
    public Value at(Pixel pixel) {
        if (pixel.row() != meansRow) {
            means = means(pixel.row());
            meansRow = pixel.row();
        }
        return means[pixel.column()];
    }

    private Value[] means(int row) {
        Value[] means = new Value[image.columns()];
        if (!isMoving) {
            Arrays.setAll(means, column -> plainMean(new Pixel(row, column)));
            return means;
        }
        boolean isGiven = window.border() == Border.ZERO || window.border() == Border.CONSTANT;
        moveTo(row);
        long sum = 0;
        int columnsInside = 0;
        for (int n = 0; n < columns.length; n++) {
            sum += sums[n];
            columnsInside += columns[n] < 0 ? 0 : 1;
            int leaving = n - window.width();
            if (leaving >= 0) {
                sum -= sums[leaving];
                columnsInside -= columns[leaving] < 0 ? 0 : 1;
            }
            if (leaving >= -1) {
                means[leaving + 1] = mean(sum, rowsInside * columnsInside, isGiven);
            }
        }
        return means;
    }

    private Value mean(long sum, int inside, boolean isGiven) {
        int all = window.height() * window.width();
        if (!isGiven || inside == all) {
            return Rational.of(sum, denominator * inside);
        }
        return Rational.of(sum, denominator).plus(window.outside().times(Rational.of(all - inside)))
                .dividedBy(Rational.of(all));
    }

    private Value plainMean(Pixel pixel) {
        Value sum = Rational.ZERO;
        int count = 0;
        for (Window.Cell cell : window.cells(image, pixel)) {
            if (cell.value().isPresent()) {
                sum = sum.plus(cell.value().get());
                count++;
            }
        }
        return sum.dividedBy(Rational.of(count));
    }
}

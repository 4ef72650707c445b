package pixeron.step.neighborhood;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.number.Decimals;
import pixeron.number.Rational;
import pixeron.number.Value;
import pixeron.step.Progress;
import pixeron.step.Step;
import pixeron.working.Line;
import pixeron.working.Run;

/**
 * A kernel bound to an image: Σ w·r ÷ divisor + offset over the window.
 *
 * <p>Cost: for a level image and whole weights an integer product for each cell, both cores, and one rounding for each
 * different sum; at the edge, and for everything else, exact fractions for each cell.
 */
final class KernelOperation extends WindowOperation {

    /** More different sums than this are rounded one by one. */
    private static final long MOST_SUMS = 1 << 22;

    private final Weights weights;
    private final boolean isTurned;
    private final Rational divisor;

    /**
     * @param weights as they are laid on the image: for a convolution turned already
     * @param isTurned whether they were
     */
    KernelOperation(Step step, Image before, Window window, Weights weights, boolean isTurned) {
        super(step, before, window);
        this.weights = weights;
        this.isTurned = isTurned;
        this.divisor = weights.divisor().orElseGet(() -> Weights.divisor(weights.sum()));
    }

    /** With border=inside only the weights of the cells inside count, in the divisor as well. */
    private Rational divisor(List<Window.Cell> cells) {
        if (weights.divisor().isPresent() || window().border() != Border.INSIDE || weights.sum().signum() == 0) {
            return divisor;
        }
        return Weights.divisor(cells.stream().filter(cell -> cell.value().isPresent())
                .map(cell -> weights.at(cell.row(), cell.column())).reduce(Rational.ZERO, Rational::plus));
    }

    private Value sum(List<Window.Cell> cells) {
        Value sum = Rational.ZERO;
        for (Window.Cell cell : cells) {
            if (cell.value().isPresent()) {
                sum = sum.plus(weights.at(cell.row(), cell.column()).times(cell.value().get()));
            }
        }
        return sum;
    }

    @Override
    Value valueOf(Pixel pixel) {
        List<Window.Cell> cells = window().cells(before(), pixel);
        return sum(cells).dividedBy(divisor(cells)).plus(weights.offset());
    }

    @Override
    public Image result(Progress progress) {
        return wholeWeights().flatMap(whole -> fast(whole, progress)).orElseGet(() -> super.result(progress));
    }

    /** @return the weights as whole numbers, row by row; empty where they are not or the image has no levels */
    private Optional<int[]> wholeWeights() {
        List<Rational> all = weights.rows().stream().flatMap(List::stream).toList();
        return before().isLevelImage() && all.stream().allMatch(Rational::isInt)
                ? Optional.of(all.stream().mapToInt(Rational::toInt).toArray()) : Optional.empty();
    }

    private Optional<Image> fast(int[] whole, Progress progress) {
        long least = 0;
        long most = 0;
        for (int weight : whole) {
            least += (long) Math.min(0, weight) * before().maximumLevel();
            most += (long) Math.max(0, weight) * before().maximumLevel();
        }
        if (most - least >= MOST_SUMS || most > Integer.MAX_VALUE || least < Integer.MIN_VALUE) {
            return Optional.empty();
        }
        Value[] finished = new Value[(int) (most - least) + 1];
        int lowest = (int) least;
        int rows = window().rowsOf(before());
        int columns = window().columnsOf(before());
        Value[] values = new Value[rows * columns];
        IntStream.range(0, rows).parallel().forEach(i -> {
            for (int j = 0; j < columns; j++) {
                Pixel pixel = window().source(new Pixel(i, j));
                if (isKept(pixel) || !window().fits(before(), pixel)) {
                    values[i * columns + j] = isKept(pixel) ? before().value(pixel) : finish().apply(valueOf(pixel));
                } else {
                    int sum = sum(whole, pixel);
                    Value known = finished[sum - lowest];
                    if (known == null) {
                        known = finish().apply(Rational.of(sum).dividedBy(divisor).plus(weights.offset()));
                        finished[sum - lowest] = known;
                    }
                    values[i * columns + j] = known;
                }
            }
        });
        progress.report(1);
        return Optional.of(Image.from(rows, columns, before().maximumLevel(), values));
    }

    private int sum(int[] whole, Pixel pixel) {
        int sum = 0;
        int n = 0;
        int columns = before().columns();
        int corner = (pixel.row() - window().anchorRow()) * columns + pixel.column() - window().anchorColumn();
        for (int a = 0; a < window().height(); a++) {
            int from = corner + a * columns;
            for (int b = 0; b < window().width(); b++) {
                sum += whole[n++] * before().level(from + b);
            }
        }
        return sum;
    }

    @Override
    List<Line> work(Pixel pixel) {
        List<Window.Cell> cells = window().cells(before(), pixel);
        List<Line> lines = new ArrayList<>(WindowText.lines(window(), before(), pixel));
        lines.addAll(WindowText.weights(weights, isTurned));
        lines.addAll(WindowText.products(weights, cells));
        Value sum = sum(cells);
        Rational divisor = divisor(cells);
        lines.add(Line.of("sum", Run.plain("Σ w·r = " + Decimals.working(sum))));
        Value quotient = sum.dividedBy(divisor);
        lines.add(Line.of("divide", Run.plain(text(sum) + " ÷ " + text(divisor) + " = " + Decimals.working(quotient)
                + nearly(quotient)), Run.note(weights.divisor().isPresent() ? "" : "   the sum of the weights"
                        + (weights.sum().signum() == 0 ? " is 0, so 1" : ""))));
        if (weights.offset().signum() != 0) {
            Value shifted = quotient.plus(weights.offset());
            lines.add(Line.of("offset", Run.plain(text(quotient) + " + " + text(weights.offset()) + " = "
                    + Decimals.working(shifted) + nearly(shifted))));
        }
        return lines;
    }
}

package pixeron.step.kernel;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.number.Approximate;
import pixeron.number.Decimals;
import pixeron.number.Rational;
import pixeron.number.Value;
import pixeron.step.Progress;
import pixeron.step.Step;
import pixeron.step.neighborhood.Border;
import pixeron.step.neighborhood.Codes;
import pixeron.step.neighborhood.Plane;
import pixeron.step.neighborhood.Window;
import pixeron.step.neighborhood.WindowOperation;
import pixeron.step.neighborhood.WindowText;
import pixeron.working.Line;
import pixeron.working.LoopWriter;
import pixeron.working.Run;

/**
 * A kernel bound to an image: Σ w·r ÷ divisor + offset over the window.
 *
 * <p>Cost: for a level image and rational weights as in {@link Summation}; for weights that are doubles a product for each
 * cell, in the order of the working, so that both round alike; for an open image exact fractions for each cell.
 */
final class KernelOperation extends WindowOperation {

    private final Weights given;
    private final Weights weights;
    private final Value divisor;

    /**
     * @param given the weights as they were given
     * @param isTurned whether they are laid on the image turned by 180°
     */
    KernelOperation(Step step, Image before, Window window, Weights given, boolean isTurned) {
        super(step, before, window);
        this.given = given;
        this.weights = isTurned ? given.turned() : given;
        this.divisor = weights.divisor().<Value>map(number -> number).orElseGet(() -> Weights.divisor(weights.sum()));
    }

    private boolean dividesByCells() {
        return weights.divisor().isEmpty() && window().border() == Border.INSIDE && weights.sum().signum() != 0;
    }

    /** With border=inside only the weights of the cells inside count, in the divisor as well. */
    private Value divisor(List<Window.Cell> cells) {
        return !dividesByCells() ? divisor : Weights.divisor(cells.stream().filter(cell -> cell.value().isPresent())
                .map(cell -> weights.at(cell.row(), cell.column())).reduce(Rational.ZERO, Value::plus));
    }

    @Override
    protected Value valueOf(Pixel pixel, List<Window.Cell> cells) {
        return weights.sumOver(cells).dividedBy(divisor(cells)).plus(weights.offset());
    }

    @Override
    protected Optional<Value> weight(Window.Cell cell) {
        return cell.value().map(value -> weights.at(cell.row(), cell.column()));
    }

    @Override
    protected Optional<Codes> codes() {
        return Plane.isPossible(before(), window()) ? KernelCodes.of(weights, before(), window(), dividesByCells())
                .map(codes -> codes) : Optional.empty();
    }

    @Override
    protected Optional<Image> fastResult(Progress progress) {
        boolean isDouble = weights.all().stream().allMatch(Approximate.class::isInstance);
        return isDouble && Plane.isPossible(before(), window()) ? Optional.of(doubles(progress))
                : super.fastResult(progress);
    }

    private Image doubles(Progress progress) {
        double[] all = new double[weights.height() * weights.width()];
        Arrays.setAll(all, n -> weights.at(n / weights.width(), n % weights.width()).asDouble());
        int rows = frame().rows();
        int columns = frame().columns();
        Plane plane = Plane.all(before(), window());
        Value[] values = new Value[rows * columns];
        IntStream.range(0, rows).parallel().forEach(i -> {
            for (int j = 0; j < columns; j++) {
                Pixel pixel = window().source(new Pixel(i, j));
                values[i * columns + j] = isKept(pixel) ? before().value(pixel)
                        : dividesByCells() && !window().fits(before(), pixel) ? value(new Pixel(i, j))
                        : finish().apply(Approximate.from(sum(all, plane, i, j)).dividedBy(divisor)
                                .plus(weights.offset()));
            }
        });
        progress.report(1);
        return Image.from(rows, columns, before().maximumLevel(), values);
    }

    private static double sum(double[] weights, Plane plane, int i, int j) {
        double sum = 0;
        int n = 0;
        for (int a = 0; a < plane.window().height(); a++) {
            int[] cells = plane.row(i + a);
            for (int b = 0; b < plane.window().width(); b++) {
                sum += weights[n++] * cells[j + b];
            }
        }
        return sum;
    }

    @Override
    protected List<Line> work(Pixel pixel, List<Window.Cell> cells) {
        List<Line> lines = new ArrayList<>(WindowText.lines(window(), pixel, cells));
        if (WindowText.isShown(weights.height(), weights.width())) {
            lines.addAll(grid("weights", given));
            if (weights != given) {
                lines.addAll(grid("turned", weights));
            }
            lines.addAll(WindowText.grid("w·r", "", weights.width(), cells,
                    cell -> WindowText.product(weights.at(cell.row(), cell.column()), cell)));
        }
        Value sum = weights.sumOver(cells);
        Value divided = divisor(cells);
        lines.add(Line.of("sum", Run.plain("Σ w·r = " + Decimals.working(sum))).arriving("sum", sum));
        Value quotient = sum.dividedBy(divided);
        lines.add(Line.of("divide", Run.plain(text(sum) + " ÷ " + text(divided) + " = " + Decimals.working(quotient)
                + nearly(quotient)), Run.note(weights.divisor().isPresent() ? "" : "   the sum of the weights"
                        + (weights.sum().signum() == 0 ? " is 0, so 1" : ""))).arriving("quotient", quotient));
        if (weights.offset().signum() != 0) {
            Value shifted = quotient.plus(weights.offset());
            lines.add(Line.of("offset", Run.plain(text(quotient) + " + " + text(weights.offset()) + " = "
                    + Decimals.working(shifted) + nearly(shifted))).arriving("with offset", shifted));
        }
        return lines;
    }

    private static List<Line> grid(String label, Weights weights) {
        String note = label.equals("turned") ? "   turned by 180°" : "";
        return WindowText.grid(label, note, weights.width(), weights.all(), weight -> Run.plain(Decimals.working(weight)));
    }

    @Override
    protected void follow(LoopWriter out, Pixel pixel, List<Window.Cell> cells) {
        Value sum = Rational.ZERO;
        boolean isTurned = weights != given;
        out.set("sum", sum).line(0, "sum ← 0");
        for (Window.Cell cell : cells) {
            Value weight = weights.at(cell.row(), cell.column());
            out.takeCell();
            if (cell.value().isPresent()) {
                WindowText.place(out, window(), cell);
                out.set("w", weight).line(0, "for each weight w at (a, b)" + (isTurned ? ", turned" : "")
                        + (window().border() == Border.INSIDE ? ", where the cell is inside" : ""));
                sum = sum.plus(weight.times(cell.value().get()));
                out.set("sum", sum).line(1, "sum ← sum + w × before[i+a][j+b]");
            }
        }
        Value divided = divisor(cells);
        boolean isFixed = !dividesByCells();
        out.set("s", sum.dividedBy(divided).plus(weights.offset()));
        if (!isFixed) {
            out.set("divisor", divided);
        }
        out.line(0, "s ← sum" + (!isFixed ? " ÷ divisor, the sum of those weights"
                : divided.equals(Rational.ONE) ? "" : " ÷ " + text(divided))
                + (weights.offset().signum() == 0 ? "" : " + " + text(weights.offset())));
    }
}

package pixeron.step.kernel;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Supplier;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.loop.Code;
import pixeron.loop.Statement;
import pixeron.number.Approximate;
import pixeron.number.Decimals;
import pixeron.number.Rational;
import pixeron.number.Value;
import pixeron.step.neighborhood.Neighborhood;
import pixeron.step.neighborhood.Plane;
import pixeron.step.neighborhood.Reduced;
import pixeron.step.neighborhood.Reduction;
import pixeron.step.neighborhood.Window;
import pixeron.step.neighborhood.WindowText;
import pixeron.working.Line;
import pixeron.working.LoopWriter;
import pixeron.working.Run;

/**
 * A weighted sum of the cells that are there: Σ w·r.
 *
 * <p>Accuracy: exact where the weights are fractions; where all are doubles, products are added in the order of the cells, for
 * one pixel and for all, so that both round alike.
 */
final class Weighted implements Reduction<Value> {

    /** How the sum is written. */
    private record Words(String name, String weight, String head) {
    }

    private final Words words;
    private final Weights weights;
    private final Optional<Weights> given;

    private Weighted(Words words, Weights weights, Optional<Weights> given) {
        this.words = words;
        this.weights = weights;
        this.given = given;
    }

    /**
     * The only sum of a step.
     *
     * @param weights as they are laid on the image
     * @param given the weights as they were given; others where they are laid on the image turned by 180°
     */
    static Weighted only(Weights weights, Weights given) {
        return new Weighted(new Words("sum", "w", "for each weight w at (a, b)" + (given == weights ? "" : ", rotated")), weights,
                Optional.of(given));
    }

    /** One of two sums, g_x and g_y, with the weights w_x and w_y. */
    static Weighted ofTwo(String direction, Weights weights) {
        return new Weighted(new Words("g_" + direction, "w_" + direction, "for each cell (a, b) with weights w_x and w_y"),
                weights, Optional.empty());
    }

    private Value at(Window.Cell cell) {
        return weights.at(cell.row(), cell.column());
    }

    @Override
    public String name() {
        return words.name;
    }

    @Override
    public Value none() {
        return Rational.ZERO;
    }

    @Override
    public Value with(Value taken, Window.Cell cell) {
        return taken.plus(at(cell).times(cell.value().orElseThrow()));
    }

    /** The same as one product after the other, and much quicker where weights have many different denominators. */
    @Override
    public Value taken(Neighborhood around) {
        return Value.sum(around.cells().stream().filter(this::counts).map(cell -> at(cell).times(cell.value().orElseThrow())).toList());
    }

    @Override
    public Value value(Value taken, Neighborhood around) {
        return taken;
    }

    @Override
    public Optional<Value> weight(Window.Cell cell) {
        return given.isPresent() && counts(cell) ? Optional.of(at(cell)) : Optional.empty();
    }

    @Override
    public List<Line> lines(Neighborhood around) {
        List<Line> lines = new ArrayList<>();
        String product = words.weight + "·r";
        if (WindowText.isShown(weights.height(), weights.width())) {
            given.ifPresent(as -> {
                lines.addAll(grid(WindowText.WEIGHTS, "", as));
                if (as != weights) {
                    lines.addAll(grid("turned", "   rotated by 180°", weights));
                }
            });
            lines.addAll(WindowText.grid(product, "", weights.width(), around.cells(),
                    cell -> WindowText.product(at(cell), cell)));
        }
        Value sum = of(around);
        lines.add(Line.of(words.name, Run.plain("Σ " + product + " = " + Decimals.working(sum))).arriving(words.name, sum));
        return lines;
    }

    private static List<Line> grid(String label, String note, Weights weights) {
        return WindowText.grid(label, note, weights.width(), weights.all(), weight -> Run.plain(Decimals.working(weight)));
    }

    @Override
    public String start() {
        return words.name + " ← 0";
    }

    @Override
    public String head(Window window) {
        return words.head + WindowText.ifInside(window);
    }

    @Override
    public String each() {
        return words.name + " ← " + words.name + " + " + words.weight + " × before[i+a][j+b]";
    }

    @Override
    public Optional<Reduced> program() {
        List<List<Value>> rows = new ArrayList<>();
        for (int i = 0; i < weights.height(); i++) {
            List<Value> row = new ArrayList<>();
            for (int j = 0; j < weights.width(); j++) {
                row.add(weights.at(i, j));
            }
            rows.add(row);
        }
        Code product = new Code.Cell(words.weight, Code.name("a"), Code.name("b")).times(Code.name("v"));
        return Optional.of(new Reduced(List.of(new Statement.Grid(words.weight, rows)), List.of(Statement.set(words.name, Code.of(0))), List.of(
                Statement.set(words.name, Code.name(words.name).plus(product))), List.of()));
    }

    @Override
    public void show(Value taken, LoopWriter out) {
        out.set(words.name, taken);
    }

    @Override
    public void show(Window.Cell cell, LoopWriter out) {
        out.set(words.weight, at(cell));
    }

    @Override
    public Optional<Supplier<Function<Pixel, Value>>> moving(Image before, Window window) {
        if (!Plane.isPossible(before, window)) {
            return Optional.empty();
        } else if (weights.isRational()) {
            return weights.whole().map(whole -> exact(whole, before, window));
        } else if (!weights.all().stream().allMatch(Approximate.class::isInstance)) {
            return Optional.empty();
        }
        double[] all = new double[weights.height() * weights.width()];
        Arrays.setAll(all, n -> weights.at(n / weights.width(), n % weights.width()).asDouble());
        Plane plane = Plane.all(before, window);
        return Optional.of(() -> pixel -> {
            Pixel home = window.home(pixel);
            return Approximate.from(sum(all, plane, home.row(), home.column()));
        });
    }

    /** Products of 31 and 16 bits: longs have room for the sums of the largest window. */
    private static Supplier<Function<Pixel, Value>> exact(Weights.Whole whole, Image before, Window window) {
        int[][] all = whole.numerators();
        Plane plane = Plane.all(before, window);
        return () -> pixel -> {
            Pixel home = window.home(pixel);
            long sum = 0;
            for (int a = 0; a < all.length; a++) {
                int[] cells = plane.row(home.row() + a);
                for (int b = 0; b < all[a].length; b++) {
                    sum += (long) all[a][b] * cells[home.column() + b];
                }
            }
            return Rational.of(sum).dividedBy(whole.denominator());
        };
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
}

package pixeron.byhand.slip.window;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import pixeron.byhand.slip.Slip;
import pixeron.byhand.slip.Varied;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.number.Decimals;
import pixeron.number.Overflow;
import pixeron.number.Rational;
import pixeron.number.Value;
import pixeron.step.Operation;
import pixeron.step.Place;
import pixeron.step.Step;
import pixeron.step.kernel.Kernel;
import pixeron.step.kernel.Weights;

/** Slips with the weights of a kernel; a ready kernel is the kernel that it is underneath. */
public final class Weighted implements Slip {

    /** With more weights than this a single one is not looked for. */
    private static final int MOST_WEIGHTS = 49;

    private enum Kind { TURNED, TRANSPOSED, NO_DIVISOR, NO_OFFSET, MISSED, TWICE, SIGN }

    private final String id;
    private final Kind kind;

    private Weighted(String id, Kind kind) {
        this.id = id;
        this.kind = kind;
    }

    /** @return convolution for correlation, or back */
    public static Weighted turned() {
        return new Weighted("kernel-turned", Kind.TURNED);
    }

    /** @return rows for columns */
    public static Weighted transposed() {
        return new Weighted("kernel-transposed", Kind.TRANSPOSED);
    }

    /** @return the sum was not divided; with and without clipping */
    public static Weighted noDivisor() {
        return new Weighted("divisor-missing", Kind.NO_DIVISOR);
    }

    /** @return the offset was not added */
    public static Weighted noOffset() {
        return new Weighted("offset-missing", Kind.NO_OFFSET);
    }

    /** @return the same cell was left out for all pixels */
    public static Weighted missed() {
        return new Weighted("neighbor-missed", Kind.MISSED);
    }

    /** @return the same cell was counted twice for all pixels */
    public static Weighted twice() {
        return new Weighted("neighbor-twice", Kind.TWICE);
    }

    /** @return one weight with the wrong sign, or all of them positive */
    public static Weighted sign() {
        return new Weighted("sign-slip", Kind.SIGN);
    }

    @Override
    public String id() {
        return id;
    }

    @Override
    public List<Way> ways(Step step, Image before) {
        Optional<Step> kernel = Varied.is(step, "kernel") ? Optional.of(step) : step.type().spelledOut(step);
        return kernel.map(found -> waysOf(found, before)).orElseGet(() -> kind == Kind.MISSED ? missedWays(step, before)
                : List.of());
    }

    /** Of a window without weights, such as a median's, a cell that is left out does not count. */
    private static List<Way> missedWays(Step step, Image before) {
        Operation operation = step.bind(before);
        Pixel middle = new Pixel(before.rows() / 2, before.columns() / 2);
        List<Place> cells = operation.cells(middle);
        List<Way> ways = new ArrayList<>();
        for (int n = 0; n < cells.size() && cells.size() <= MOST_WEIGHTS; n++) {
            String words = "the cell " + place(cells.get(n).row() - middle.row(), cells.get(n).column() - middle.column())
                    + " of the window is left out";
            operation.missing(n).ifPresent(done -> ways.add(Way.of(words, done)));
        }
        return ways;
    }

    private List<Way> waysOf(Step kernel, Image before) {
        Weights weights = Kernel.weights(kernel);
        return switch (kind) {
            case TURNED -> turnedWays(kernel, before);
            case TRANSPOSED -> Way.tried("the weights are taken with rows for columns",
                    () -> Kernel.with(kernel, weights.transposed()), before);
            case NO_DIVISOR -> weights.divisorOrSum().equals(Rational.ONE) ? List.of() : noDivisorWays(kernel, before);
            case NO_OFFSET -> weights.offset().signum() == 0 ? List.of()
                    : Way.tried("the offset " + Decimals.print(weights.offset()) + " is not added",
                            () -> Varied.with(kernel, "offset", "0"), before);
            case MISSED, TWICE -> neighborWays(kernel, weights, before);
            case SIGN -> signWays(kernel, weights, before);
        };
    }

    private static List<Way> turnedWays(Step kernel, Image before) {
        boolean isConvolution = Varied.choice(kernel, "sum").orElse("").equals("convolution");
        return Way.tried(isConvolution ? "the weights are not turned (correlation)" : "the weights are turned by 180° (convolution)",
                () -> Varied.with(kernel, "sum", isConvolution ? "correlation" : "convolution"), before);
    }

    private static List<Way> noDivisorWays(Step kernel, Image before) {
        List<Way> ways = new ArrayList<>();
        String words = "the sum is not divided";
        ways.addAll(Way.tried(words, () -> Varied.with(kernel, "divisor", "1"), before));
        if (kernel.overflow() == Overflow.CLIP) {
            ways.addAll(Way.tried(words + ", nor clipped", () -> Varied.with(kernel, "divisor", "1").with(Overflow.KEEP), before));
        }
        return ways;
    }

    private List<Way> neighborWays(Step kernel, Weights weights, Image before) {
        List<Way> ways = new ArrayList<>();
        for (int i = 0; i < weights.height() && weights.height() * weights.width() <= MOST_WEIGHTS; i++) {
            for (int j = 0; j < weights.width(); j++) {
                Value weight = weights.at(i, j);
                if (weight.signum() != 0) {
                    boolean isMissed = kind == Kind.MISSED;
                    String words = "the cell " + place(i - weights.anchorRow(), j - weights.anchorColumn()) + " of the window "
                            + (isMissed ? "is left out" : "is counted twice");
                    addBoth(ways, kernel, weights, i, j, isMissed ? Rational.ZERO : weight.plus(weight), words, before);
                }
            }
        }
        return ways;
    }

    private static String place(int down, int right) {
        String row = down == 0 ? "" : Math.abs(down) + (down < 0 ? " up" : " down");
        String column = right == 0 ? "" : Math.abs(right) + (right < 0 ? " left" : " right");
        return row.isEmpty() && column.isEmpty() ? "in the middle"
                : row + (row.isEmpty() || column.isEmpty() ? "" : ", ") + column;
    }

    /** With the divisor as it was, and adapted to the changed weights. */
    private static void addBoth(List<Way> ways, Step kernel, Weights weights, int row, int column, Value changed,
            String words, Image before) {
        Rational divisor = (Rational) weights.divisorOrSum();
        Rational other = divisor.plus((Rational) changed.minus(weights.at(row, column)));
        Step with = Kernel.with(kernel, replaced(weights, row, column, changed));
        ways.addAll(Way.tried(words, () -> Varied.with(with, "divisor", Decimals.print(divisor)), before));
        if (other.signum() != 0) {
            ways.addAll(Way.tried(words + ", the divisor adapted", () -> Varied.with(with, "divisor",
                    weights.divisor().isEmpty() ? "auto" : Decimals.print(other)), before));
        }
    }

    private static Weights replaced(Weights weights, int row, int column, Value changed) {
        return each(weights, (i, j) -> i == row && j == column ? changed : weights.at(i, j));
    }

    @FunctionalInterface
    private interface Cell {
        Value at(int row, int column);
    }

    private static Weights each(Weights weights, Cell cell) {
        List<List<Value>> rows = new ArrayList<>();
        for (int i = 0; i < weights.height(); i++) {
            List<Value> row = new ArrayList<>();
            for (int j = 0; j < weights.width(); j++) {
                row.add(cell.at(i, j));
            }
            rows.add(row);
        }
        return new Weights(rows, weights.anchorRow(), weights.anchorColumn(), weights.divisor(), weights.offset());
    }

    private static List<Way> signWays(Step kernel, Weights weights, Image before) {
        List<Way> ways = new ArrayList<>();
        UnaryOperator<Step> sameDivisor = step -> Varied.with(step, "divisor",
                Decimals.print((Rational) weights.divisorOrSum()));
        Weights positive = each(weights, (i, j) -> weights.at(i, j).absolute());
        if (!positive.equals(weights)) {
            ways.addAll(Way.tried("all weights are taken as positive", () -> sameDivisor.apply(Kernel.with(kernel, positive)),
                    before));
            ways.addAll(Way.tried("all weights are taken as positive, the divisor adapted",
                    () -> Kernel.with(kernel, positive), before));
        }
        for (int i = 0; i < weights.height() && weights.height() * weights.width() <= MOST_WEIGHTS; i++) {
            for (int j = 0; j < weights.width(); j++) {
                if (weights.at(i, j).signum() != 0) {
                    addBoth(ways, kernel, weights, i, j, weights.at(i, j).negated(), "the sign of the weight "
                            + place(i - weights.anchorRow(), j - weights.anchorColumn()) + " is wrong", before);
                }
            }
        }
        return ways;
    }
}

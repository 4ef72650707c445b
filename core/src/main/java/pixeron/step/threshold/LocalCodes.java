package pixeron.step.threshold;

import java.util.Optional;
import java.util.function.BinaryOperator;
import java.util.function.Function;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.number.Rational;
import pixeron.number.Rounding;
import pixeron.number.Value;
import pixeron.step.Finish;
import pixeron.step.neighborhood.Border;
import pixeron.step.neighborhood.CellRows;
import pixeron.step.neighborhood.Codes;
import pixeron.step.neighborhood.Plane;
import pixeron.step.neighborhood.Window;

/**
 * The codes of a local threshold: cells · r − the sum of the window. Above one number of them is high; only where cells are missing the mean is one
 * of fewer.
 */
final class LocalCodes implements Codes {

    private final Codes sums;
    private final Image before;
    private final Window window;
    private final BinaryOperator<Value> rule;
    /** The codes up to this one are low. */
    private final int cut;
    private final Value low;
    private final Value high;

    /**
     * @param sums of r less the mean
     * @param offset what the limit is below the mean
     * @param isStrict whether r on the limit is low
     * @param rule of a value and the mean of its window
     */
    LocalCodes(Codes sums, Image before, Window window, Rational offset, boolean isStrict, BinaryOperator<Value> rule) {
        this.sums = sums;
        this.before = before;
        this.window = window;
        this.rule = rule;
        Rational limit = offset.negated().times(cells());
        Rational whole = (Rational) (isStrict ? Rounding.FLOOR : Rounding.CEILING).apply(limit);
        Rational last = isStrict ? whole : whole.minus(Rational.ONE);
        this.cut = last.compareTo(Rational.of(least() - 1L)) < 0 ? least() - 1 : last.compareTo(Rational.of(most())) > 0 ? most() : last.toInt();
        // All codes on one side of the cut have the value of the first or the last.
        this.low = value(least());
        this.high = value(most());
    }

    private Rational cells() {
        return Rational.of((long) window.height() * window.width());
    }

    @Override
    public int least() {
        return sums.least();
    }

    @Override
    public int most() {
        return sums.most();
    }

    @Override
    public Value value(int code) {
        return rule.apply(Rational.ZERO, sums.value(code).negated());
    }

    @Override
    public int level(int code, Finish finish) {
        return finish.level(code > cut ? high : low);
    }

    @Override
    public boolean dependsOnCells() {
        return window.border() == Border.INSIDE;
    }

    @Override
    public Value valueAt(Pixel pixel, int code) {
        Value sample = before.value(pixel);
        Value sum = sample.minus(sums.value(code)).times(cells());
        int rows = inside(pixel.row() - window.anchorRow(), window.height(), before.rows());
        int columns = inside(pixel.column() - window.anchorColumn(), window.width(), before.columns());
        return rule.apply(sample, sum.dividedBy(Rational.of((long) rows * columns)));
    }

    private static int inside(int start, int length, int size) {
        return Math.min(size, start + length) - Math.max(0, start);
    }

    @Override
    public Optional<Cut> cut(Finish finish) {
        return Optional.of(new Cut(cut, finish.level(low), finish.level(high)));
    }

    @Override
    public boolean areSums() {
        return sums.areSums();
    }

    @Override
    public Rows rows(Plane plane) {
        return sums.rows(plane);
    }

    @Override
    public Optional<Function<CellRows, RunRows>> inAnyOrder() {
        return sums.inAnyOrder();
    }
}

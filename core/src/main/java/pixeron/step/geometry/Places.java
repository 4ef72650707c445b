package pixeron.step.geometry;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.function.IntFunction;
import pixeron.formula.Evaluator;
import pixeron.formula.Expression;
import pixeron.image.Frame;
import pixeron.image.Pixel;
import pixeron.image.Rearrangement;
import pixeron.number.Rational;
import pixeron.number.Value;
import pixeron.working.Line;

/**
 * Where the values of a result come from and go to, from pixel to pixel.
 *
 * @param points the source: whole numbers
 * @param i the row of the home, over y and x
 * @param j the column of the home
 */
record Places(Points points, Expression i, Expression j) {

    /**
     * @param frame of the result
     * @param source the formulas of y and x over i and j
     * @param home the formulas of i and j over y and x
     * @param numbers those that they have besides
     */
    static Places of(Frame frame, List<String> source, List<String> home, Map<String, Value> numbers) {
        return new Places(Points.of(frame, source, numbers), Points.parsed(home.get(0), numbers.keySet(), "y", "x"),
                Points.parsed(home.get(1), numbers.keySet(), "y", "x"));
    }

    Frame frame() {
        return points.frame();
    }

    Map<String, Value> numbers() {
        return points.numbers();
    }

    /**
     * Returns where every pixel of the result is read.
     *
     * @param outside what the image before goes on with beyond its ends
     */
    Rearrangement all(Frame before, Outside outside) {
        boolean isExchanged = points.isExchanged();
        Frame frame = frame();
        int[] rows = new int[isExchanged ? frame.columns() : frame.rows()];
        int[] columns = new int[isExchanged ? frame.rows() : frame.columns()];
        IntFunction<Value> row = points.rows();
        IntFunction<Value> column = points.columns();
        Arrays.parallelSetAll(rows, n -> outside.border().source(whole(row.apply(n)), before.rows()));
        Arrays.parallelSetAll(columns, n -> outside.border().source(whole(column.apply(n)), before.columns()));
        return new Rearrangement(frame, rows, columns, isExchanged);
    }

    private int home(Expression formula, Pixel pixel) {
        return whole(Evaluator.evaluate(formula, name -> name.equals("y") ? Rational.of(pixel.row()) : name.equals("x")
                ? Rational.of(pixel.column()) : points.numbers().get(name)));
    }

    private static int whole(Value value) {
        return ((Rational) value).toInt();
    }

    /** Returns the place in the image before that a pixel of the result takes its value from; it may lie outside. */
    Pixel source(Pixel result) {
        return new Pixel(whole(points.row(result)), whole(points.column(result)));
    }

    /** Returns the place in the result that a pixel of the image before went to; it may lie outside. */
    Pixel home(Pixel before) {
        return new Pixel(home(i, before), home(j, before));
    }

    /** Returns {@code y = i + row}, {@code x = j + column}. */
    List<String> formulas() {
        return points.formulas();
    }

    /** Returns the calculation of the source of a pixel. */
    List<Line> work(Pixel result) {
        return points.work(result);
    }
}

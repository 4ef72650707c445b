package pixeron.step.geometry;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import pixeron.formula.Evaluator;
import pixeron.formula.Expression;
import pixeron.formula.Parser;
import pixeron.formula.Trace;
import pixeron.formula.TraceLines;
import pixeron.formula.Typeset;
import pixeron.image.Frame;
import pixeron.image.Pixel;
import pixeron.number.Approximate;
import pixeron.number.Rational;
import pixeron.number.Value;
import pixeron.working.Line;
import pixeron.working.Run;

/**
 * Where in the image before a pixel of the result lies: y and x over i and j. They may lie between pixels, and outside.
 *
 * @param frame of the result
 * @param y the row
 * @param x the column
 * @param numbers of the formulas: keys and sizes
 */
record Points(Frame frame, Expression y, Expression x, Map<String, Value> numbers) {

    /** A double as near as this to a multiple of ½ is that multiple. */
    static final double NEAR = 1e-9;

    Points {
        // In one order on every run: they are told as variables of a loop.
        numbers = Collections.unmodifiableMap(new TreeMap<>(numbers));
    }

    /** @param formulas of y and x, over i and j and the names of the numbers */
    static Points of(Frame frame, List<String> formulas, Map<String, Value> numbers) {
        return new Points(frame, parsed(formulas.get(0), numbers.keySet(), "i", "j"), parsed(formulas.get(1), numbers.keySet(), "i", "j"),
                numbers);
    }

    /** @return the numbers H and W of formulas that reach to the end of the image before */
    static Map<String, Value> sizes(Frame before) {
        return Map.of("H", Rational.of(before.rows()), "W", Rational.of(before.columns()));
    }

    /** @return the same, and h and w of the result */
    static Map<String, Value> sizes(Frame before, Frame result) {
        Map<String, Value> sizes = new HashMap<>(sizes(before));
        sizes.put("h", Rational.of(result.rows()));
        sizes.put("w", Rational.of(result.columns()));
        return sizes;
    }

    /** @return where the middle of a pixel of the image before lies in a result of another size */
    static double[] inProportion(Pixel pixel, Frame before, Frame result) {
        return new double[] {(pixel.row() + 0.5) * result.rows() / before.rows() - 0.5,
            (pixel.column() + 0.5) * result.columns() / before.columns() - 0.5};
    }

    static Expression parsed(String formula, Set<String> numbers, String row, String column) {
        Set<String> names = new HashSet<>(numbers);
        names.add(row);
        names.add(column);
        return Parser.parse(formula, names);
    }

    /** @return whether the row depends on the column of the result, or back */
    boolean isExchanged() {
        return names(y).contains("j") || names(x).contains("i");
    }

    private static Set<String> names(Expression formula) {
        Set<String> names = new HashSet<>();
        Trace.substitute(formula, name -> {
            names.add(name);
            return null;
        });
        return names;
    }

    private Value number(String name, Pixel result) {
        return name.equals("i") ? Rational.of(result.row()) : name.equals("j") ? Rational.of(result.column()) : numbers.get(name);
    }

    Value row(Pixel result) {
        return snapped(Evaluator.evaluate(y, name -> number(name, result)));
    }

    Value column(Pixel result) {
        return snapped(Evaluator.evaluate(x, name -> number(name, result)));
    }

    private static Value snapped(Value value) {
        return value instanceof Approximate ? snapped(value.asDouble()) : value;
    }

    private static Value snapped(double number) {
        double near = near(number);
        return 2 * near == Math.rint(2 * near) ? Rational.of((long) (2 * near), 2) : Approximate.from(number);
    }

    /** @return the number, or the multiple of ½ that it is near to */
    static double near(double number) {
        double half = Math.rint(2 * number) / 2;
        return Math.abs(number - half) < NEAR ? half : number;
    }

    /** @return {@code y = i + row}, {@code x = j + column} */
    List<String> formulas() {
        return List.of("y = " + Typeset.text(y), "x = " + Typeset.text(x));
    }

    /** @return the calculation of both for a pixel */
    List<Line> work(Pixel result) {
        return List.of(line("row", "y", y, result), line("column", "x", x, result));
    }

    private Line line(String label, String name, Expression formula, Pixel result) {
        Expression filled = Trace.substitute(formula, found -> Expression.Literal.of(number(found, result)));
        List<Run> runs = new ArrayList<>(List.of(Run.plain(name + " = " + Typeset.text(formula) + " = ")));
        runs.addAll(TraceLines.inOneLine(filled));
        return new Line(label, runs);
    }
}

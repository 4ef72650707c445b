package pixeron.step.geometry;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import pixeron.formula.Evaluator;
import pixeron.formula.Expression;
import pixeron.formula.Parser;
import pixeron.formula.Trace;
import pixeron.formula.TraceLines;
import pixeron.formula.Typeset;
import pixeron.image.Frame;
import pixeron.image.Pixel;
import pixeron.image.Rearrangement;
import pixeron.number.Rational;
import pixeron.number.Value;
import pixeron.working.Line;
import pixeron.working.Run;

/**
 * Where the values of a result come from and go to: y and x of the source over i, j; i and j of the home over y, x.
 *
 * @param frame of the result
 * @param y the row of the source, a whole number
 * @param x the column of the source
 * @param i the row of the home
 * @param j the column of the home
 * @param numbers of the formulas: keys and sizes
 */
record Places(Frame frame, Expression y, Expression x, Expression i, Expression j, Map<String, Value> numbers) {

    Places {
        numbers = Map.copyOf(numbers);
    }

    /**
     * @param frame of the result
     * @param source the formulas of y and x over i and j
     * @param home the formulas of i and j over y and x
     * @param numbers those that they have besides
     */
    static Places of(Frame frame, List<String> source, List<String> home, Map<String, Value> numbers) {
        return new Places(frame, parsed(source.get(0), numbers.keySet(), "i", "j"), parsed(source.get(1), numbers.keySet(), "i", "j"),
                parsed(home.get(0), numbers.keySet(), "y", "x"), parsed(home.get(1), numbers.keySet(), "y", "x"), numbers);
    }

    /** @return the numbers H and W of formulas that reach to the end of the image before */
    static Map<String, Value> sizes(Frame before) {
        return Map.of("H", Rational.of(before.rows()), "W", Rational.of(before.columns()));
    }

    private static Expression parsed(String formula, Set<String> numbers, String row, String column) {
        Map<String, Value> names = new LinkedHashMap<>();
        numbers.forEach(name -> names.put(name, Rational.ZERO));
        names.put(row, Rational.ZERO);
        names.put(column, Rational.ZERO);
        return Parser.parse(formula, names.keySet());
    }

    /**
     * @param outside what the image before goes on with beyond its ends
     * @return where every pixel of the result is read
     */
    Rearrangement all(Frame before, Outside outside) {
        boolean isExchanged = mentions(y, "j") || mentions(x, "i");
        int[] rows = new int[isExchanged ? frame.columns() : frame.rows()];
        int[] columns = new int[isExchanged ? frame.rows() : frame.columns()];
        for (int n = 0; n < rows.length; n++) {
            rows[n] = outside.border().source(source(isExchanged ? new Pixel(0, n) : new Pixel(n, 0)).row(), before.rows());
        }
        for (int n = 0; n < columns.length; n++) {
            columns[n] = outside.border().source(source(isExchanged ? new Pixel(n, 0) : new Pixel(0, n)).column(), before.columns());
        }
        return new Rearrangement(frame, rows, columns, isExchanged);
    }

    private static boolean mentions(Expression formula, String name) {
        if (formula instanceof Expression.Variable variable) {
            return variable.name().equals(name);
        } else if (formula instanceof Expression.Negation negation) {
            return mentions(negation.operand(), name);
        } else if (formula instanceof Expression.Binary binary) {
            return mentions(binary.left(), name) || mentions(binary.right(), name);
        }
        return formula instanceof Expression.Call call && call.arguments().stream().anyMatch(argument -> mentions(argument, name));
    }

    private int whole(Expression formula, String row, String column, Pixel pixel) {
        return ((Rational) Evaluator.evaluate(formula, name -> number(name, row, column, pixel))).toInt();
    }

    private Value number(String name, String row, String column, Pixel pixel) {
        return name.equals(row) ? Rational.of(pixel.row()) : name.equals(column) ? Rational.of(pixel.column())
                : numbers.get(name);
    }

    /** @return the place in the image before that a pixel of the result takes its value from; it may lie outside */
    Pixel source(Pixel result) {
        return new Pixel(whole(y, "i", "j", result), whole(x, "i", "j", result));
    }

    /** @return the place in the result that a pixel of the image before went to; it may lie outside */
    Pixel home(Pixel before) {
        return new Pixel(whole(i, "y", "x", before), whole(j, "y", "x", before));
    }

    /** @return {@code y = i + row}, {@code x = j + column} */
    List<String> formulas() {
        return List.of("y = " + Typeset.text(y), "x = " + Typeset.text(x));
    }

    /** @return the calculation of the source of a pixel */
    List<Line> work(Pixel result) {
        return List.of(line("row", "y", y, result), line("column", "x", x, result));
    }

    private Line line(String label, String name, Expression formula, Pixel result) {
        Expression filled = Trace.substitute(formula, found -> Expression.Literal.of(number(found, "i", "j", result)));
        List<Run> runs = new ArrayList<>(List.of(Run.plain(name + " = " + Typeset.text(formula) + " = ")));
        runs.addAll(TraceLines.inOneLine(filled));
        return new Line(label, runs);
    }
}

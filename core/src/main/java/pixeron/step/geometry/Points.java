package pixeron.step.geometry;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.IntFunction;
import pixeron.formula.Compiled;
import pixeron.formula.Evaluator;
import pixeron.formula.Expression;
import pixeron.formula.Parser;
import pixeron.formula.Trace;
import pixeron.formula.TraceLines;
import pixeron.formula.Typeset;
import pixeron.image.Frame;
import pixeron.image.Pixel;
import pixeron.number.Approximate;
import pixeron.number.Decimals;
import pixeron.number.Rational;
import pixeron.number.Value;
import pixeron.step.Early;
import pixeron.working.Line;
import pixeron.working.LoopWriter;
import pixeron.working.Run;

/**
 * Where in the image before a pixel of the result lies: y and x over i and j. They may lie between pixels, and outside.
 *
 * @param frame of the result
 * @param y the row
 * @param x the column
 * @param numbers of the formulas: keys and sizes
 * @param parts what is calculated first
 * @param decimals to which both are rounded, by a user who rounds too early; empty where they are kept as they are
 */
record Points(Frame frame, Expression y, Expression x, Map<String, Value> numbers, Parts parts, OptionalInt decimals) {

    /** A double as near as this to a multiple of ½ is that multiple. */
    static final double NEAR = 1e-9;

    /**
     * What y and x are made of.
     *
     * @param formulas over i and j and the numbers, by their names
     * @param facts lines that say where numbers come from
     */
    record Parts(Map<String, Expression> formulas, List<Line> facts) {

        static final Parts NONE = new Parts(Map.of(), List.of());
    }

    Points {
        // In one order on every run: they are told as variables of a loop.
        numbers = Collections.unmodifiableMap(new TreeMap<>(numbers));
    }

    /** @param formulas of y and x, over i and j and the names of the numbers */
    static Points of(Frame frame, List<String> formulas, Map<String, Value> numbers) {
        return of(frame, formulas, numbers, Map.of(), List.of());
    }

    /**
     * @param formulas of y and x, over i and j, the parts and the numbers
     * @param parts formulas over i and j and the numbers, in the order in which they are calculated
     * @param facts lines that say where numbers come from
     */
    static Points of(Frame frame, List<String> formulas, Map<String, Value> numbers, Map<String, String> parts, List<Line> facts) {
        Map<String, Expression> parsed = new LinkedHashMap<>();
        parts.forEach((name, formula) -> parsed.put(name, parsed(formula, numbers.keySet(), "i", "j")));
        Set<String> names = new HashSet<>(numbers.keySet());
        names.addAll(parts.keySet());
        return new Points(frame, parsed(formulas.get(0), names, "i", "j"), parsed(formulas.get(1), names, "i", "j"), numbers, new Parts(parsed, facts),
                OptionalInt.empty());
    }

    /** Returns the same points, rounded to so many decimals. */
    Points rounded(int places) {
        return new Points(frame, y, x, numbers, parts, OptionalInt.of(places));
    }

    /** Returns the numbers H and W of formulas that reach to the end of the image before. */
    static Map<String, Value> sizes(Frame before) {
        return Map.of("H", Rational.of(before.rows()), "W", Rational.of(before.columns()));
    }

    /** Returns the same, and h and w of the result. */
    static Map<String, Value> sizes(Frame before, Frame result) {
        Map<String, Value> sizes = new HashMap<>(sizes(before));
        sizes.put("h", Rational.of(result.rows()));
        sizes.put("w", Rational.of(result.columns()));
        return sizes;
    }

    /** Returns where the middle of a pixel of the image before lies in a result of another size. */
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

    /** Returns whether the row depends on the column of the result, or back. */
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
        Expression part = parts.formulas.get(name);
        return part != null ? Evaluator.evaluate(part, found -> number(found, result))
                : name.equals("i") ? Rational.of(result.row()) : name.equals("j") ? Rational.of(result.column()) : numbers.get(name);
    }

    Value row(Pixel result) {
        return place(y, result);
    }

    Value column(Pixel result) {
        return place(x, result);
    }

    private Value place(Expression formula, Pixel result) {
        return place(Evaluator.evaluate(formula, name -> number(name, result)));
    }

    private Value place(Value worked) {
        Value exact = snapped(worked);
        return decimals.isPresent() ? Early.rounded(exact, decimals.getAsInt()) : exact;
    }

    /** Returns the row for each row of the result, or for each column where rows and columns are swapped; to be asked often. */
    IntFunction<Value> rows() {
        return along(y, isExchanged());
    }

    /** Returns the column for each column of the result, or for each row where rows and columns are swapped. */
    IntFunction<Value> columns() {
        return along(x, !isExchanged());
    }

    private IntFunction<Value> along(Expression formula, boolean isOfColumn) {
        if (!parts.formulas.isEmpty()) {
            return n -> place(formula, isOfColumn ? new Pixel(0, n) : new Pixel(n, 0));
        }
        List<Value> known = new ArrayList<>(List.of(Rational.ZERO, Rational.ZERO));
        Compiled compiled = Compiled.of(formula, name -> {
            if (!name.equals("i") && !name.equals("j")) {
                known.add(numbers.get(name));
            }
            return name.equals("i") ? 0 : name.equals("j") ? 1 : known.size() - 1;
        });
        return n -> {
            Value[] filled = known.toArray(Value[]::new);
            filled[isOfColumn ? 1 : 0] = Rational.of(n);
            return place(compiled.at(filled));
        };
    }

    private static Value snapped(Value value) {
        return value instanceof Approximate ? snapped(value.asDouble()) : value;
    }

    private static Value snapped(double number) {
        double near = near(number);
        return 2 * near == Math.rint(2 * near) ? Rational.of((long) (2 * near), 2) : Approximate.from(number);
    }

    /** Returns the number, or the multiple of ½ that it is near to. */
    static double near(double number) {
        double half = Math.rint(2 * number) / 2;
        return Math.abs(number - half) < NEAR ? half : number;
    }

    /** Returns {@code y = i + row}, {@code x = j + column}. */
    List<String> formulas() {
        return List.of("y = " + Typeset.text(y), "x = " + Typeset.text(x));
    }

    /** Returns the calculation of both for a pixel. */
    List<Line> work(Pixel result) {
        List<Line> lines = new ArrayList<>(parts.facts);
        parts.formulas.forEach((name, formula) -> lines.add(calculation("", name, formula, result)));
        lines.add(line("row", "y", y, result));
        lines.add(line("column", "x", x, result));
        return lines;
    }

    /** Goes through the lines of a loop that lead to y and x. */
    void follow(Pixel result, LoopWriter out) {
        numbers.forEach(out::set);
        parts.formulas.forEach((name, formula) -> out.set(name, number(name, result)).line(0, name + " ← " + Typeset.text(formula)));
        out.set("y", row(result)).line(0, "y ← " + Typeset.text(y));
        out.set("x", column(result)).line(0, "x ← " + Typeset.text(x));
    }

    private Line line(String label, String name, Expression formula, Pixel result) {
        Line line = calculation(label, name, formula, result);
        if (decimals.isEmpty()) {
            return line;
        }
        List<Run> runs = new ArrayList<>(line.runs());
        runs.add(Run.plain(", rounded to " + Decimals.working(place(formula, result))));
        return new Line(label, runs);
    }

    private Line calculation(String label, String name, Expression formula, Pixel result) {
        Expression filled = Trace.substitute(formula, found -> Expression.Literal.of(number(found, result)));
        List<Run> runs = new ArrayList<>(List.of(Run.plain(name + " = " + Typeset.text(formula) + " = ")));
        runs.addAll(TraceLines.inOneLine(filled));
        return new Line(label, runs);
    }
}

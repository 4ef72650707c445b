package pixeron.step.geometry;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import pixeron.formula.Evaluator;
import pixeron.formula.Expression;
import pixeron.formula.Trace;
import pixeron.formula.TraceLines;
import pixeron.formula.Typeset;
import pixeron.image.Pixel;
import pixeron.number.Rational;
import pixeron.number.Value;
import pixeron.step.Forward;
import pixeron.working.Line;
import pixeron.working.Run;

/**
 * The nearest places of the result, by formulas over y and x.
 *
 * @param i the row, a whole number
 * @param j the column
 * @param numbers of the formulas: sizes and keys
 */
record ForwardPlaces(Expression i, Expression j, Map<String, Value> numbers) implements Forward {

    /** @param formulas of i and j, over y and x and the names of the numbers; they are rounded down */
    static ForwardPlaces of(List<String> formulas, Map<String, Value> numbers) {
        return new ForwardPlaces(Points.parsed("floor(" + formulas.get(0) + ")", numbers.keySet(), "y", "x"),
                Points.parsed("floor(" + formulas.get(1) + ")", numbers.keySet(), "y", "x"), numbers);
    }

    private Value number(String name, Pixel before) {
        return name.equals("y") ? Rational.of(before.row()) : name.equals("x") ? Rational.of(before.column()) : numbers.get(name);
    }

    private int place(Expression formula, Pixel before) {
        return ((Rational) Evaluator.evaluate(formula, name -> number(name, before))).toInt();
    }

    @Override
    public Pixel put(Pixel before) {
        return new Pixel(place(i, before), place(j, before));
    }

    @Override
    public List<String> formulas() {
        return List.of("i ← " + Typeset.text(i), "j ← " + Typeset.text(j));
    }

    @Override
    public List<Line> work(Pixel before) {
        return List.of(line("row", "i", i, before), line("column", "j", j, before));
    }

    private Line line(String label, String name, Expression formula, Pixel before) {
        List<Run> runs = new ArrayList<>(List.of(Run.plain(name + " = " + Typeset.text(formula) + " = ")));
        runs.addAll(TraceLines.inOneLine(Trace.substitute(formula, found -> Expression.Literal.of(number(found, before)))));
        return new Line(label, runs);
    }
}

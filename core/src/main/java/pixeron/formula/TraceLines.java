package pixeron.formula;

import java.util.ArrayList;
import java.util.List;
import pixeron.number.Decimals;
import pixeron.working.Line;
import pixeron.working.Run;

/** A {@link Trace} as lines of a working: every way of writing a calculation down line by line is this one. */
public final class TraceLines {

    private static final String GOES_ON = "  = ";

    private TraceLines() {
    }

    /**
     * Returns a line for each step of the calculation; behind a fraction that is alone what it is about.
     *
     * @param label in front of the first line
     * @param start what the expression is equal to: {@code "s = "}
     * @param filled an expression without variables
     */
    public static List<Line> under(String label, String start, Expression filled) {
        List<Line> lines = new ArrayList<>();
        for (Trace.Step step : Trace.lines(filled)) {
            List<Run> runs = new ArrayList<>();
            runs.add(Run.plain(lines.isEmpty() ? start : GOES_ON));
            runs.addAll(written(step));
            lines.add(new Line(lines.isEmpty() ? label : "", runs));
        }
        return lines;
    }

    /** Returns the same on one line: {@code 3 × 4 + 1 = 12 + 1 = 13}. */
    public static List<Run> inOneLine(Expression filled) {
        List<Run> runs = new ArrayList<>();
        for (Trace.Step step : Trace.lines(filled)) {
            if (!runs.isEmpty()) {
                runs.add(Run.plain(" = "));
            }
            runs.addAll(written(step));
        }
        return runs;
    }

    private static List<Run> written(Trace.Step step) {
        List<Run> runs = new ArrayList<>(Typeset.runs(step.expression()));
        if (step.expression() instanceof Expression.Literal literal && Decimals.isShownAsFraction(literal.value())) {
            runs.add(Run.plain(Decimals.nearly(literal.value())));
        }
        if (!step.note().isEmpty()) {
            runs.add(Run.note("   " + step.note()));
        }
        return runs;
    }
}

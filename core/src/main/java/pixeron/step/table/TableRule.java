package pixeron.step.table;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import pixeron.formula.Evaluator;
import pixeron.formula.Expression;
import pixeron.formula.Parser;
import pixeron.formula.Trace;
import pixeron.formula.TraceLines;
import pixeron.formula.Typeset;
import pixeron.number.Value;
import pixeron.step.Finish;
import pixeron.working.Line;
import pixeron.working.Run;
import pixeron.working.Table;

/**
 * A column of a table as a formula over other columns: {@code runningAbove + n}. Value, working and the check of values by
 * hand that follow from earlier ones all come from it.
 */
public final class TableRule implements Table.Rule {

    private final Expression expression;
    private final Map<String, Value> constants;
    private final Set<String> inputs;

    private TableRule(Expression expression, Map<String, Value> constants, Set<String> inputs) {
        this.expression = expression;
        this.constants = Map.copyOf(constants);
        this.inputs = Set.copyOf(inputs);
    }

    /**
     * Creates a rule from a formula.
     *
     * @param formula over the inputs and the constants
     * @param constants numbers that are the same in all rows
     * @param inputs the columns that it reads; with "Above" behind the name, in the row above
     */
    public static TableRule of(String formula, Map<String, Value> constants, String... inputs) {
        Set<String> names = new LinkedHashSet<>(List.of(inputs));
        names.addAll(constants.keySet());
        return new TableRule(Parser.parse(formula, names), constants, Set.of(inputs));
    }

    /** Returns rounding and overflow of the column with this name. */
    static Table.Rule finished(Finish finish, String input) {
        return new Table.Rule() {
            @Override
            public Value apply(Function<String, Value> cells) {
                return finish.apply(cells.apply(input));
            }

            @Override
            public List<Line> explain(String column, Function<String, Value> cells) {
                return finish.explain(cells.apply(input));
            }

            @Override
            public Set<String> inputs() {
                return Set.of(input);
            }
        };
    }

    @Override
    public Value apply(Function<String, Value> cells) {
        return Evaluator.evaluate(expression, name -> constants.containsKey(name) ? constants.get(name)
                : cells.apply(name));
    }

    @Override
    public List<Line> explain(String column, Function<String, Value> cells) {
        Map<String, Value> known = new LinkedHashMap<>();
        inputs.forEach(name -> known.put(name, cells.apply(name)));
        List<Line> lines = new ArrayList<>();
        List<Run> formula = new ArrayList<>(List.of(Run.plain(column + " = ")));
        Typeset.runs(expression).forEach(run -> formula.add(new Run(run.text().replace("Above", " above"), run.role())));
        lines.add(new Line(column, formula));
        Expression filled = Trace.substitute(expression, name -> Expression.Literal.of(constants.containsKey(name)
                ? constants.get(name) : known.get(name)));
        lines.addAll(TraceLines.under("", "  = ", filled));
        return lines;
    }

    @Override
    public Set<String> inputs() {
        return inputs;
    }
}

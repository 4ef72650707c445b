package pixeron.working;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.UnaryOperator;
import pixeron.number.Decimals;
import pixeron.number.Value;

/**
 * Writes a loop while it is gone through once: each line is written when it is first done, so that lines and moments
 * cannot disagree. A line that is done again, in a loop, is written once.
 */
public final class LoopWriter {

    private final List<Loop.Row> rows = new ArrayList<>();
    private final List<Moment> moments = new ArrayList<>();
    private final Map<String, String> variables = new LinkedHashMap<>();
    private int cells;
    private boolean isOnlyWriting;

    /** Sets a variable; it shows from the next line that is done. */
    public LoopWriter set(String name, Value value) {
        return set(name, Decimals.working(value));
    }

    /** Sets a variable; it shows from the next line that is done. */
    public LoopWriter set(String name, String value) {
        variables.put(name, value);
        return this;
    }

    /** One more cell of the window is taken with the next line. */
    public LoopWriter takeCell() {
        cells++;
        return this;
    }

    /** Does a line: writes it where it is new, and keeps the moment. */
    public LoopWriter line(int depth, String text) {
        int row = at(depth, text);
        if (isOnlyWriting) {
            return this;
        }
        keep(row);
        return this;
    }

    /** What follows is not done here: its lines are written all the same, so that the loop is whole. */
    public LoopWriter onlyWriteFromNowOn() {
        isOnlyWriting = true;
        return this;
    }

    /** Writes a line that is not done here, such as what would be done elsewhere. */
    public LoopWriter mention(int depth, String text) {
        at(depth, text);
        return this;
    }

    /**
     * Goes through what another wrote, as the body of a loop of this one.
     *
     * @param depth how much deeper it stands
     * @param words makes its lines those of this loop
     * @param named makes its variables those of this loop
     */
    public LoopWriter take(LoopWriter body, int depth, UnaryOperator<String> words, UnaryOperator<Moment.Variable> named) {
        int[] places = body.rows.stream().mapToInt(row -> at(row.depth() + depth, words.apply(row.text()))).toArray();
        int taken = cells;
        for (Moment moment : body.moments) {
            moment.variables().stream().map(named).forEach(variable -> variables.put(variable.name(), variable.value()));
            cells = taken + moment.cells();
            keep(places[moment.row()]);
        }
        return this;
    }

    private void keep(int row) {
        moments.add(new Moment(row, variables.entrySet().stream().map(entry -> new Moment.Variable(entry.getKey(), entry.getValue()))
                .toList(), cells));
    }

    private int at(int depth, String text) {
        Loop.Row row = new Loop.Row(depth, text);
        int known = rows.indexOf(row);
        if (known >= 0) {
            return known;
        }
        rows.add(row);
        return rows.size() - 1;
    }

    public Loop loop() {
        return new Loop(rows);
    }

    public List<Moment> moments() {
        return List.copyOf(moments);
    }
}

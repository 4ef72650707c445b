package pixeron.step;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Supplier;
import pixeron.formula.Expression;
import pixeron.formula.Typeset;
import pixeron.number.Value;
import pixeron.working.Line;
import pixeron.working.Run;
import pixeron.working.Table;

/**
 * How a point step works on one image: its formula with every number that the keys or the image give. Immutable.
 *
 * <p>Mostly one formula serves all samples. A step whose formula depends on the sample, such as straight lines between
 * points, gives the formula of each sample and says why it is that one.
 */
public final class PointRule {

    /** The formula of a sample. */
    record Case(Expression expression, String why) {
    }

    private final List<Run> shown;
    private final Function<Value, Case> cases;
    private final Map<String, Value> constants;
    private final List<Line> facts;
    private final List<String> notes;
    private final List<Supplier<Table>> tables;
    private final Optional<Table.Rule> mapping;
    private final boolean hasPlace;
    private final int maximumLevel;

    private PointRule(List<Run> shown, Function<Value, Case> cases, Map<String, Value> constants, List<Line> facts,
            List<String> notes, List<Supplier<Table>> tables, Optional<Table.Rule> mapping, boolean hasPlace, int maximumLevel) {
        this.mapping = mapping;
        this.tables = List.copyOf(tables);
        this.shown = shown;
        this.cases = cases;
        this.constants = Collections.unmodifiableMap(new LinkedHashMap<>(constants));
        this.facts = List.copyOf(facts);
        this.notes = List.copyOf(notes);
        this.hasPlace = hasPlace;
        this.maximumLevel = maximumLevel;
    }

    /**
     * @param expression over r, the keys and the constants; the same for every sample
     * @param maximumLevel M of the result
     */
    public static PointRule of(Expression expression, int maximumLevel) {
        Case always = new Case(expression, "");
        return new PointRule(Typeset.runs(expression), sample -> always, Map.of(), List.of(), List.of(), List.of(),
                Optional.empty(), false,
                maximumLevel);
    }

    /**
     * A rule with a formula for each sample.
     *
     * @param formula what is written for all of them
     * @param expression the formula of a sample
     * @param why why it is that one
     * @param maximumLevel M of the result
     */
    public static PointRule ofCases(String formula, Function<Value, Expression> expression,
            Function<Value, String> why, int maximumLevel) {
        return new PointRule(List.of(Run.plain(formula)), sample -> new Case(expression.apply(sample),
                why.apply(sample)), Map.of(), List.of(), List.of(), List.of(),
                Optional.empty(), false, maximumLevel);
    }

    /** @return this with a number that the formula has, and how it came about */
    public PointRule withConstant(String name, Value value, Line how) {
        Map<String, Value> all = new LinkedHashMap<>(constants);
        all.put(name, value);
        List<Line> lines = new ArrayList<>(facts);
        lines.add(how);
        return new PointRule(shown, cases, all, lines, notes, tables, mapping, hasPlace, maximumLevel);
    }

    /** @return this with something that the person should know */
    public PointRule withNote(String note) {
        List<String> all = new ArrayList<>(notes);
        all.add(note);
        return new PointRule(shown, cases, constants, facts, all, tables, mapping, hasPlace, maximumLevel);
    }

    /**
     * @param table is made when it is asked for: some have many rows of long fractions
     * @return this with a table by which a number of the formula is worked out
     */
    public PointRule withTable(Supplier<Table> table) {
        List<Supplier<Table>> all = new ArrayList<>(tables);
        all.add(table);
        return new PointRule(shown, cases, constants, facts, notes, all, mapping, hasPlace, maximumLevel);
    }

    /** @return this with the exact value of a level as a rule over the columns of the levels table */
    public PointRule withMapping(Table.Rule rule) {
        return new PointRule(shown, cases, constants, facts, notes, tables, Optional.of(rule), hasPlace, maximumLevel);
    }

    /** @return this with a formula that has the pixel's place: i, j, y, x */
    public PointRule withPlace() {
        return new PointRule(shown, cases, constants, facts, notes, tables, mapping, true, maximumLevel);
    }

    List<Run> shown() {
        return shown;
    }

    Case at(Value sample) {
        return cases.apply(sample);
    }

    Map<String, Value> constants() {
        return constants;
    }

    List<Line> facts() {
        return facts;
    }

    List<String> notes() {
        return notes;
    }

    List<Table> tables() {
        return tables.stream().map(Supplier::get).toList();
    }

    Optional<Table.Rule> mapping() {
        return mapping;
    }

    boolean hasPlace() {
        return hasPlace;
    }

    int maximumLevel() {
        return maximumLevel;
    }
}

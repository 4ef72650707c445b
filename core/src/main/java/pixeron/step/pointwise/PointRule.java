package pixeron.step.pointwise;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;
import pixeron.formula.Expression;
import pixeron.formula.Trace;
import pixeron.formula.Typeset;
import pixeron.image.Image;
import pixeron.loop.Origin;
import pixeron.number.Decimals;
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

    /**
     * The formula of a sample.
     *
     * @param why why it is that one, put into words only where a user reads it
     */
    record Case(Expression expression, Supplier<String> why) {
    }

    /**
     * The formula.
     *
     * @param shown as it is written for all samples
     * @param same the formula that serves all samples; empty where it depends on the sample
     * @param cases the formula of a sample
     * @param ofSample numbers that depend on the sample, such as C(r); null for other names
     */
    private record Formula(List<Run> shown, Optional<Expression> same, Function<Value, Case> cases,
            BiFunction<String, Value, Value> ofSample, boolean hasPlace) {
    }

    /**
     * Another image, whose sample at the same place is t.
     *
     * @param name how the step names it
     * @param why what a user should see of r and t beside the formula; empty for nothing
     */
    record Other(String name, Image image, BiFunction<Value, Value, String> why) {
    }

    /** What is told beside it. */
    private record Told(List<Line> facts, List<String> notes, Map<String, Supplier<Origin>> origins) {
    }

    /** Tables by which it is calculated, and the exact value of a level over the columns of the levels table. */
    private record Tables(List<Supplier<Table>> all, Optional<Table.Rule> mapping) {
    }

    private final Formula formula;
    private final Map<String, Value> constants;
    private final Told told;
    private final Tables tables;
    private final Optional<Other> other;
    private final int maximumLevel;

    private PointRule(Formula formula, Map<String, Value> constants, Told told, Tables tables, Optional<Other> other,
            int maximumLevel) {
        this.formula = formula;
        this.constants = Collections.unmodifiableMap(new LinkedHashMap<>(constants));
        this.told = told;
        this.tables = tables;
        this.other = other;
        this.maximumLevel = maximumLevel;
    }

    private static PointRule of(Formula formula, int maximumLevel) {
        return new PointRule(formula, Map.of(), new Told(List.of(), List.of(), Map.of()), new Tables(List.of(), Optional.empty()),
                Optional.empty(), maximumLevel);
    }

    /**
     * Creates a rule.
     *
     * @param expression over r, the keys and the constants; the same for every sample
     * @param maximumLevel M of the result
     */
    public static PointRule of(Expression expression, int maximumLevel) {
        Case always = new Case(expression, () -> "");
        return of(new Formula(Typeset.runs(expression), Optional.of(expression), sample -> always, (name, sample) -> null, false),
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
        return of(new Formula(List.of(Run.plain(formula)), Optional.empty(), sample -> new Case(expression.apply(sample),
                () -> why.apply(sample)), (name, sample) -> null, false), maximumLevel);
    }

    private static <T> List<T> with(List<T> all, T one) {
        List<T> more = new ArrayList<>(all);
        more.add(one);
        return List.copyOf(more);
    }

    private PointRule with(Formula changed) {
        return new PointRule(changed, constants, told, tables, other, maximumLevel);
    }

    private PointRule with(Tables changed) {
        return new PointRule(formula, constants, told, changed, other, maximumLevel);
    }

    /** Returns this with a number that the formula has, told as it is. */
    public PointRule withConstant(String name, Value value) {
        return withConstant(name, value, Line.of(name, Run.plain(name + " = " + Decimals.working(value))));
    }

    /** Returns this with a number that the formula has, and how it came about. */
    public PointRule withConstant(String name, Value value, Line how) {
        Map<String, Value> all = new LinkedHashMap<>(constants);
        all.put(name, value);
        return new PointRule(formula, all, new Told(with(told.facts, how), told.notes, told.origins), tables, other, maximumLevel);
    }

    /**
     * Returns this with numbers that depend on the sample.
     *
     * @param shown the formula as it is written for all samples: M × C(r) ÷ N
     * @param number a number of the formula for a sample, or null for a name that does not depend on it
     * @param why how those came about
     */
    public PointRule withOfSample(String shown, BiFunction<String, Value, Value> number, Function<Value, String> why) {
        Function<Value, Case> cases = formula.cases;
        return with(new Formula(List.of(Run.plain(shown)), formula.same, sample -> new Case(cases.apply(sample).expression,
                () -> why.apply(sample)), number, formula.hasPlace));
    }

    /**
     * Returns this with how a number that the image gives comes about in a program.
     *
     * @param name of the number; {@code exact} for the whole value before rounding, where no formula gives it
     * @param origin is made when a program is asked for: some list a number for every level
     */
    public PointRule coming(String name, Supplier<Origin> origin) {
        Map<String, Supplier<Origin>> all = new LinkedHashMap<>(told.origins);
        all.put(name, origin);
        return new PointRule(formula, constants, new Told(told.facts, told.notes, all), tables, other, maximumLevel);
    }

    /** Returns this with something that the user should know. */
    public PointRule withNote(String note) {
        return new PointRule(formula, constants, new Told(told.facts, with(told.notes, note), told.origins), tables, other, maximumLevel);
    }

    /**
     * Returns this with a table by which a number of the formula is calculated.
     *
     * @param table is made when it is asked for: some have many rows of long fractions
     */
    public PointRule withTable(Supplier<Table> table) {
        return with(new Tables(with(tables.all, table), tables.mapping));
    }

    /** Returns this with the exact value of a level as a rule over the columns of the levels table. */
    public PointRule withMapping(Table.Rule rule) {
        return with(new Tables(tables.all, Optional.of(rule)));
    }

    /** Returns this with a formula that has the pixel's place: i, j, y, x. */
    public PointRule withPlace() {
        return with(new Formula(formula.shown, formula.same, formula.cases, formula.ofSample, true));
    }

    /**
     * Returns this with a formula that has t, the sample of the other image at the same place.
     *
     * @param name how the step names the other image
     * @param image of the same size
     * @param why what a user should see of r and t beside the formula; empty for nothing
     */
    public PointRule withOther(String name, Image image, BiFunction<Value, Value, String> why) {
        return new PointRule(formula, constants, told, tables, Optional.of(new Other(name, image, why)), maximumLevel);
    }

    /** Returns this with another formula of the same names, for a user who takes it for the right one. */
    PointRule with(Expression changed) {
        Function<Value, Case> cases = formula.cases;
        return with(new Formula(Typeset.runs(changed), Optional.of(changed), sample -> new Case(changed, cases.apply(sample).why),
                formula.ofSample, formula.hasPlace));
    }

    /** Returns this with parts of the formula changed; see {@link Trace#changed}. */
    PointRule changed(UnaryOperator<Expression> change) {
        return formula.same.map(expression -> with(Trace.changed(expression, change))).orElse(this);
    }

    /** Returns the formula that serves all samples; empty where it depends on the sample. */
    Optional<Expression> formula() {
        return formula.same;
    }

    List<Run> shown() {
        return formula.shown;
    }

    Case at(Value sample) {
        return formula.cases.apply(sample);
    }

    /** Returns a number that depends on the sample; null for a name that does not. */
    Value ofSample(String name, Value sample) {
        return formula.ofSample.apply(name, sample);
    }

    Map<String, Value> constants() {
        return constants;
    }

    /** Returns how the numbers that the image gives come about in a program, made anew each time. */
    Map<String, Origin> origins() {
        Map<String, Origin> all = new LinkedHashMap<>();
        told.origins.forEach((name, origin) -> all.put(name, origin.get()));
        return all;
    }

    List<Line> facts() {
        return told.facts;
    }

    List<String> notes() {
        return told.notes;
    }

    List<Table> tables() {
        return tables.all.stream().map(Supplier::get).toList();
    }

    Optional<Table.Rule> mapping() {
        return tables.mapping;
    }

    /** Returns whether pixels of the same level may get different values. */
    boolean hasPlace() {
        return formula.hasPlace || other.isPresent();
    }

    /** Returns whether the formula has the row or the column. */
    boolean hasRowOrColumn() {
        return formula.hasPlace;
    }

    Optional<Other> other() {
        return other;
    }

    int maximumLevel() {
        return maximumLevel;
    }
}

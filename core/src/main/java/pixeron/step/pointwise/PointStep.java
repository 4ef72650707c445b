package pixeron.step.pointwise;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import pixeron.PixeronException;
import pixeron.formula.Expression;
import pixeron.formula.Parser;
import pixeron.formula.Typeset;
import pixeron.image.Area;
import pixeron.image.Image;
import pixeron.number.Rational;
import pixeron.number.Value;
import pixeron.step.Handle;
import pixeron.step.Inputs;
import pixeron.step.NamedStep;
import pixeron.step.Operation;
import pixeron.step.Slip;
import pixeron.step.Step;
import pixeron.step.StepType;
import pixeron.step.Way;
import pixeron.step.key.Amount;
import pixeron.step.key.Arguments;
import pixeron.step.key.NumberParameter;
import pixeron.step.key.Parameter;
import pixeron.step.table.LevelRows;
import pixeron.working.TableKind;

/**
 * A step whose result at a pixel depends on that pixel's level alone.
 *
 * <p>A subclass gives its formula once, as text over r, M and its number keys; bulk result, working and typeset
 * formula all come from that.
 */
public abstract class PointStep extends NamedStep {

    /** The numbers of the formula that the image gives. */
    public static final TableKind CONSTANTS = TableKind.of("constants", "Constants");

    private final List<Parameter<?>> ownParameters;
    private final Set<String> fromImage;
    private final Expression expression;

    /**
     * Creates a kind of step whose formula depends on the level alone.
     *
     * @param name the first word of its line
     * @param title its name for people
     * @param sentence what it does
     * @param formula over r, M and the number keys
     * @param ownParameters its own keys
     */
    protected PointStep(String name, String title, String sentence, String formula, Parameter<?>... ownParameters) {
        this(name, title, sentence, formula, Set.of(), ownParameters);
    }

    /**
     * Creates a kind of step whose formula also uses numbers of the whole image.
     *
     * @param fromImage names in the formula that {@link #rule} gives numbers to
     */
    protected PointStep(String name, String title, String sentence, String formula, Set<String> fromImage,
            Parameter<?>... ownParameters) {
        super(name, title, sentence);
        this.ownParameters = List.of(ownParameters);
        this.fromImage = Set.copyOf(fromImage);
        this.expression = parsed(formula);
    }

    /** Returns the text as a formula over r, M and the number keys. */
    protected final Expression parsed(String formula) {
        Set<String> names = Stream.concat(Stream.of("r", "M"), ownParameters.stream().map(Parameter::key))
                .collect(Collectors.toSet());
        names.addAll(fromImage);
        return Parser.parse(formula, names);
    }

    /** Returns the formula for these arguments, where it depends on a choice; else always the same. */
    protected Expression expression(Arguments arguments) {
        return expression;
    }

    /**
     * How the step works on an image.
     *
     * @param arguments every required key has a value
     * @param before the image before
     * @param area the part that the step works on; statistics are taken over it
     * @return its formula with what the image gives; the number keys are put in by who asks
     * @throws pixeron.PixeronException if the step cannot be applied to this image
     */
    protected PointRule rule(Arguments arguments, Image before, Area area) {
        return PointRule.of(expression(arguments), before.maximumLevel());
    }

    /**
     * How the step works on an image, for one that looks at other results too.
     *
     * @param inputs the image before, and others that the step may refer to
     */
    protected PointRule rule(Arguments arguments, Inputs inputs, Area area) {
        return rule(arguments, inputs.image(this), area);
    }

    @Override
    public String formula(Arguments arguments) {
        return "s = " + Typeset.text(expression(arguments));
    }

    /** Returns the same without its left side. */
    protected final String shown(Arguments arguments) {
        return formula(arguments).substring("s = ".length());
    }

    @Override
    public final List<Parameter<?>> ownParameters() {
        return ownParameters;
    }

    /**
     * Checks what depends on M.
     *
     * @throws pixeron.PixeronException if the keys contradict each other for this maximum level
     */
    protected void validate(Arguments arguments, int maximumLevel) {
    }

    /**
     * Checks the order of two levels.
     *
     * @throws PixeronException if low is above high for this maximum level
     */
    protected static void requireOrder(String name, Amount low, Amount high, int maximumLevel) {
        if (low.resolve(maximumLevel).compareTo(high.resolve(maximumLevel)) > 0) {
            throw PixeronException.of("%s: low=%s is above high=%s. Low must be at most High.", name, low, high);
        }
    }

    /** Returns keys that are input levels: lines on the curve and across the counts of levels. */
    protected List<NumberParameter> levelKeys() {
        return List.of();
    }

    @Override
    public boolean takesEach() {
        return true;
    }

    @Override
    public List<? extends Parameter<?>> limits() {
        return levelKeys();
    }

    /**
     * Returns what can be dragged on its curve.
     *
     * @param step of this type
     * @param constants the numbers of its formula, those that the image gives among them
     * @param maximumLevel M of the image before
     */
    protected List<Handle> handles(Step step, Map<String, Value> constants, int maximumLevel) {
        return levelKeys().stream().filter(key -> constants.get(key.key()) instanceof Rational)
                .map(key -> Handle.line(step, key, (Rational) constants.get(key.key()))).toList();
    }

    /** Returns numbers on the way that are often rounded too early, with these arguments. */
    protected List<EarlyPart> earlyParts(Arguments arguments) {
        return List.of();
    }

    /** Returns slips of its own kind, beside those that its formula alone makes possible. */
    protected List<Slip> ownSlips() {
        return List.of();
    }

    @Override
    public final List<Slip> slips() {
        return Stream.concat(FormulaSlips.of(this).stream(), ownSlips().stream()).toList();
    }

    /** Returns the slip of taking the formula for another one of the same names. */
    protected final Slip otherFormula(String id, String words, String formula) {
        Expression other = parsed(formula);
        return Slip.of(id, words, step -> new OtherFormula(this, rule -> rule.with(other)).of(step));
    }

    /** Returns the way of taking the formula for another one, whose names are those that the right one has. */
    protected final List<Way> otherFormula(String words, Step step, Expression other, Operation right) {
        return Way.tried(words, () -> new OtherFormula(this, rule -> rule.with(other)).of(step), right);
    }

    @Override
    public final boolean dependsOnCounts() {
        return !fromImage.isEmpty();
    }

    /** Returns the tables that are its own, beside counts of levels, new levels and constants. */
    protected List<TableKind> ownTables() {
        return List.of();
    }

    @Override
    public final List<TableKind> tables() {
        return Stream.concat(Stream.of(LevelRows.HISTOGRAM, LevelRows.LEVELS, CONSTANTS), ownTables().stream()).toList();
    }

    @Override
    public final Operation bind(Step step, Inputs inputs) {
        return bind(step, inputs, UnaryOperator.identity());
    }

    /** @param change what a user makes of the rule who takes it for another one */
    final Operation bind(Step step, Inputs inputs, UnaryOperator<PointRule> change) {
        Image before = inputs.image(this);
        validate(step.arguments(), before.maximumLevel());
        Optional<Area> area = step.arguments().find(StepType.AREA).map(a -> a.requireInside(before));
        PointRule rule = rule(step.arguments(), inputs, area.orElseGet(() -> Area.all(before)));
        PointOperation operation = new PointOperation(step, inputs, before, change.apply(rule));
        // On some images a step is simpler and has fewer numbers, such as a stretch of one level; then there is no such slip.
        operation.requireNumbers();
        return operation;
    }
}

package pixeron.step.pointwise;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import pixeron.PixeronException;
import pixeron.formula.Evaluator;
import pixeron.formula.Expression;
import pixeron.formula.Trace;
import pixeron.formula.TraceLines;
import pixeron.image.Area;
import pixeron.image.Frame;
import pixeron.image.Histogram;
import pixeron.image.Image;
import pixeron.image.LevelTable;
import pixeron.image.Pixel;
import pixeron.loop.LoopProgram;
import pixeron.number.Decimals;
import pixeron.number.Rational;
import pixeron.number.Value;
import pixeron.step.Beside;
import pixeron.step.Explained;
import pixeron.step.Handle;
import pixeron.step.Inputs;
import pixeron.step.Mapping;
import pixeron.step.Progress;
import pixeron.step.Source;
import pixeron.step.Step;
import pixeron.step.StepOperation;
import pixeron.step.key.Amount;
import pixeron.step.key.NumberParameter;
import pixeron.step.key.Parameter;
import pixeron.step.table.LevelRows;
import pixeron.working.Line;
import pixeron.working.LoopWriter;
import pixeron.working.Role;
import pixeron.working.Run;
import pixeron.working.Table;
import pixeron.working.Working;

/**
 * A point step bound to an image.
 *
 * <p>The formula is evaluated once for every different sample and then looked up for all pixels: for a level image in
 * a {@link LevelTable}, for a real-valued image in a map.
 */
final class PointOperation extends StepOperation {

    /** The sample of another image in a formula, where there is one. */
    static final String OTHER = "t";
    /** Where a formula without a place is calculated for all pixels of a level at once. */
    static final Pixel NO_PLACE = new Pixel(0, 0);

    private final Image before;
    private final PointRule rule;
    private final Map<String, Value> constants;

    PointOperation(Step step, Inputs inputs, Image before, PointRule rule) {
        super(step, before, before.frame().with(rule.maximumLevel()), inputs);
        this.before = before;
        this.rule = rule;
        this.constants = constants(step, before.maximumLevel());
        this.constants.putAll(rule.constants());
    }

    private PointOperation(PointOperation like, Map<String, Value> numbers) {
        super(like.step(), like.before, like.frame(), like.inputs());
        this.before = like.before;
        this.rule = like.rule;
        this.constants = new HashMap<>(like.constants);
        this.constants.putAll(numbers);
    }

    @Override
    public Optional<Explained> withNumber(String name, Value number) {
        return constants.containsKey(name) ? Optional.of(new PointOperation(this, Map.of(name, number))) : Optional.empty();
    }

    PointRule rule() {
        return rule;
    }

    /** @throws PixeronException if the formula has a name that nothing gives a number to */
    void requireNumbers() {
        Value any = before.value(0);
        rule.formula().ifPresent(formula -> Trace.substitute(formula, name -> {
            if (variable(name, any, NO_PLACE) == null) {
                throw PixeronException.of("%s has no constant %s for this image.", step().type().name(), name);
            }
            return null;
        }));
    }

    @Override
    public Optional<Explained> given(Table table, Table.Cells cells) {
        Map<String, Value> given = new HashMap<>();
        if (table.kind().equals(LevelRows.LEVELS)) {
            return Optional.of(new ByLevels(table, cells));
        } else if (table.kind().equals(PointStep.CONSTANTS)) {
            table.columns().forEach(name -> given.put(name, cells.value(0, name)));
        } else {
            table.sense().conclusion().ifPresent(found -> given.put(found.constant(), found.value().apply(cells)));
        }
        return given.isEmpty() ? Optional.empty() : Optional.of(new PointOperation(this, given));
    }

    /** Every pixel as the new level of its row says. */
    private final class ByLevels implements Explained {

        private final Map<Value, Integer> rows = new HashMap<>();
        private final Table.Cells cells;

        ByLevels(Table table, Table.Cells cells) {
            this.cells = cells;
            for (int row = 0; row < table.rows().size(); row++) {
                rows.put(table.rows().get(row).get(0), row);
            }
        }

        @Override
        public Frame frame() {
            return PointOperation.this.frame();
        }

        @Override
        public Value exact(Pixel pixel) {
            return of(pixel, "exact");
        }

        @Override
        public Value value(Pixel pixel) {
            return of(pixel, "s");
        }

        private Value of(Pixel pixel, String column) {
            Integer row = rows.get(before.value(pixel));
            if (row == null || !isInArea(pixel)) {
                throw PixeronException.of("The levels table has no entry for %s.", pixel);
            }
            return cells.value(row, column);
        }

        @Override
        public Working explain(Pixel pixel) {
            return PointOperation.this.explain(pixel);
        }

        @Override
        public void follow(Pixel pixel, LoopWriter out) {
            PointOperation.this.follow(pixel, out);
        }
    }

    private static Map<String, Value> constants(Step step, int maximumLevel) {
        Map<String, Value> constants = new HashMap<>();
        constants.put("M", Rational.of(maximumLevel));
        for (Parameter<?> parameter : step.type().ownParameters()) {
            if (parameter instanceof NumberParameter number) {
                step.arguments().find(number).filter(Amount::isResolvable).ifPresent(
                        amount -> constants.put(number.key(), amount.resolve(maximumLevel)));
            }
        }
        return constants;
    }

    @Override
    public Optional<LoopProgram> program() {
        return new PointProgram(this, rule, constants).program(ownArea());
    }

    @Override
    public List<String> notes() {
        return rule.notes();
    }

    @Override
    public List<Table> tables() {
        List<Table> tables = new ArrayList<>();
        if (before.isLevelImage()) {
            Histogram histogram = Histogram.of(before, area());
            tables.add(LevelRows.histogram(histogram));
            if (!rule.hasPlace()) {
                tables.add(LevelRows.levels(histogram, level -> exact(Rational.of(level), NO_PLACE), finish(),
                        rule.mapping()));
            }
        }
        tables.addAll(rule.tables());
        if (!rule.constants().isEmpty()) {
            tables.add(new Table(PointStep.CONSTANTS, List.copyOf(rule.constants().keySet()),
                    List.of(List.copyOf(rule.constants().values()))).withRules(constantRules()).unkeyed());
        }
        return tables;
    }

    /** Each constant was given with the line that works it out. */
    private Map<String, Table.Rule> constantRules() {
        Map<String, Table.Rule> rules = new HashMap<>();
        int n = 0;
        for (Map.Entry<String, Value> constant : rule.constants().entrySet()) {
            rules.put(constant.getKey(), new Constant(constant.getValue(), rule.facts().get(n++)));
        }
        return rules;
    }

    private record Constant(Value value, Line how) implements Table.Rule {

        @Override
        public Value apply(Function<String, Value> cells) {
            return value;
        }

        @Override
        public List<Line> explain(String column, Function<String, Value> cells) {
            return List.of(how);
        }

        @Override
        public Set<String> inputs() {
            return Set.of();
        }
    }

    @Override
    public Optional<Mapping> mapping() {
        if (!before.isLevelImage() || rule.hasPlace()) {
            return Optional.empty();
        }
        Histogram histogram = Histogram.of(before, area());
        List<Mapping.Entry> entries = new ArrayList<>();
        long below = 0;
        long above = 0;
        for (int level = 0; level <= before.maximumLevel(); level++) {
            try {
                Value exact = exact(Rational.of(level), NO_PLACE);
                int side = finish().side(exact);
                below += side < 0 ? histogram.count(level) : 0;
                above += side > 0 ? histogram.count(level) : 0;
                entries.add(new Mapping.Entry(level, exact, finish().apply(exact), side != 0));
            } catch (PixeronException withoutValue) {
                // Such as the logarithm of a level that does not occur: the curve has a gap there.
                continue;
            }
        }
        return Optional.of(new Mapping(entries, below, above, rule.maximumLevel()));
    }

    @Override
    public List<Handle> handles() {
        return step().type() instanceof PointStep type ? type.handles(step(), constants, before.maximumLevel()) : List.of();
    }

    @Override
    public Image result(Progress progress) {
        return new PointBulk(this, rule, before).result(progress);
    }

    /** Returns the part that is calculated; the step's own area, or all. */
    Area calculatedArea() {
        return area();
    }

    Optional<Area> partArea() {
        return ownArea();
    }

    boolean isWithinArea(Pixel pixel) {
        return isInArea(pixel);
    }

    Value valueAt(Pixel pixel, Value sample) {
        return finish().apply(exactOrSay(pixel, sample));
    }

    private Value exactOrSay(Pixel pixel, Value sample) {
        try {
            return exact(sample, pixel);
        } catch (PixeronException withoutValue) {
            throw PixeronException.because(withoutValue, "%s at %s (value %s): %s", step().type().title(), pixel,
                    Decimals.table(sample), withoutValue.getMessage());
        }
    }

    Value exact(Value sample, Pixel pixel) {
        return exact(sample, rule.other().map(other -> other.image().value(pixel)).orElse(null), pixel);
    }

    /** @param other the sample of the other image; null where there is none */
    Value exact(Value sample, Value other, Pixel pixel) {
        return Evaluator.evaluate(rule.at(sample).expression(), name -> other != null && name.equals(OTHER) ? other
                : variable(name, sample, pixel));
    }

    Value variable(String name, Value sample, Pixel pixel) {
        return switch (name) {
            case "r" -> sample;
            case "i", "y" -> Rational.of(pixel.row());
            case "j", "x" -> Rational.of(pixel.column());
            default -> {
                Optional<Value> other = name.equals(OTHER) ? rule.other().map(found -> found.image().value(pixel)) : Optional.empty();
                Value constant = other.orElse(constants.get(name));
                yield constant == null ? rule.ofSample(name, sample) : constant;
            }
        };
    }

    /** Returns a number of the formula that is the same for all pixels; null where there is none of that name. */
    Value constant(String name) {
        return constants.get(name);
    }

    @Override
    protected Value calculate(Pixel pixel, Sight sight) {
        return exactOrSay(pixel, sight.read().apply(pixel));
    }

    @Override
    public Optional<Beside> beside() {
        return rule.other().map(other -> Beside.same(other.name(), other.image()));
    }

    @Override
    public List<Source> sources(Pixel pixel) {
        return List.of(Source.of(pixel, before.value(pixel)));
    }

    @Override
    protected List<Line> work(Pixel pixel, Sight sight) {
        Value sample = sight.read().apply(pixel);
        List<Line> lines = new ArrayList<>();
        List<Run> formula = new ArrayList<>(List.of(Run.plain("s = ")));
        formula.addAll(rule.shown());
        lines.add(new Line("formula", formula));
        lines.addAll(rule.facts());
        rule.other().ifPresent(other -> lines.add(Line.of(OTHER, Run.plain(OTHER + " = "), Run.before(Decimals.working(
                other.image().value(pixel))), Run.note("   " + other.name() + " at " + pixel))));
        PointRule.Case here = rule.at(sample);
        Expression filled = Trace.substitute(here.expression(), name -> name.equals("r")
                ? new Expression.Literal(sample, Role.BEFORE)
                : Expression.Literal.of(variable(name, sample, pixel)));
        String why = rule.other().map(other -> other.why().apply(sample, other.image().value(pixel))).orElseGet(here.why());
        if (!why.isEmpty()) {
            lines.add(Line.of("because", Run.plain(why)));
        }
        lines.addAll(TraceLines.under("this pixel", "s = ", filled));
        rule.notes().forEach(note -> lines.add(Line.of("note", Run.note(note))));
        return lines;
    }

    @Override
    protected void loop(Pixel pixel, Sight sight, LoopWriter out) {
        constants.forEach((name, value) -> out.set(name, value));
        Value sample = sight.read().apply(pixel);
        out.set("r", sample).line(0, "r ← before[i][j]");
        rule.other().ifPresent(other -> out.set(OTHER, other.image().value(pixel)).line(0, OTHER + " ← " + other.name() + "[i][j]"));
        out.set("s", isInArea(pixel) ? exact(sample, pixel) : sample).line(0, "s ← " + rule.shown().stream().map(Run::text)
                .collect(Collectors.joining()));
    }
}

package pixeron.step.point;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.IntStream;
import pixeron.PixeronException;
import pixeron.formula.Expression;
import pixeron.formula.Operator;
import pixeron.formula.Parser;
import pixeron.image.Area;
import pixeron.image.Image;
import pixeron.loop.Code;
import pixeron.loop.Origin;
import pixeron.loop.Statement;
import pixeron.number.Decimals;
import pixeron.number.Rational;
import pixeron.number.Value;
import pixeron.step.Handle;
import pixeron.step.Step;
import pixeron.step.key.Arguments;
import pixeron.step.key.PairsParameter;
import pixeron.step.pointwise.PointRule;
import pixeron.step.pointwise.PointStep;

/**
 * {@code lookup table="0 0 | 1 3 | …"}: the given s for each level; a level that is not listed keeps r.
 *
 * <p>Domain: levels from 0 to M, each at most once; s any numbers. Source: A table in place of a formula,
 * docs/definitions/point-steps.md.
 */
public final class Lookup extends PointStep {

    private static final PairsParameter TABLE = new PairsParameter("table", "Table",
            "pairs r s, such as 0 0 | 1 3 | 2 7");
    /** Points of more levels could not be taken hold of. */
    private static final int MOST_HANDLES = 255;
    private static final Expression SAMPLE = Parser.parse("r", Set.of("r"));

    public Lookup() {
        super("lookup", "Lookup table", "Replaces each level by means of a table that you write.", "r", TABLE);
    }

    @Override
    public String formula(Arguments arguments) {
        return "s = the entry of the table for r, else r";
    }

    @Override
    public void validate(Arguments arguments) {
        table(arguments);
    }

    private static Map<Rational, Rational> table(Arguments arguments) {
        Map<Rational, Rational> table = new HashMap<>();
        for (PairsParameter.Pair pair : arguments.get(TABLE)) {
            if (table.put(pair.from(), pair.to()) != null) {
                throw PixeronException.of("lookup contains the level %s twice.", Decimals.print(pair.from()));
            }
        }
        return table;
    }

    @Override
    protected PointRule rule(Arguments arguments, Image before, Area area) {
        Map<Rational, Rational> table = table(arguments);
        return PointRule.ofCases(shown(arguments), sample -> isListed(table, sample)
                ? Expression.Literal.of(table.get((Rational) sample)) : SAMPLE,
                sample -> isListed(table, sample) ? "listed for r = " + Decimals.working(sample) : "not in the table: r stays",
                before.maximumLevel()).coming("exact", () -> told(arguments.get(TABLE)));
    }

    private static Origin told(List<PairsParameter.Pair> table) {
        Code k = Code.name("k");
        Code isListed = new Code.Binary(Operator.EQUAL, new Code.At("levels", k), Code.name("r"));
        return new Origin(List.of(new Statement.Values("levels", table.stream().<Value>map(PairsParameter.Pair::from).toList()),
                new Statement.Values("values", table.stream().<Value>map(PairsParameter.Pair::to).toList())), List.of(Statement.set("exact", Code.name("r")),
                        new Statement.Loop("k", Code.of(0), Code.of(table.size()), List.of(new Statement.When(isListed, List.of(Statement.set("exact", new Code.At("values", k))), List.of())))));
    }

    private static boolean isListed(Map<Rational, Rational> table, Value sample) {
        return sample instanceof Rational r && table.containsKey(r);
    }

    @Override
    protected List<Handle> handles(Step step, Map<String, Value> constants, int maximumLevel) {
        List<PairsParameter.Pair> table = step.arguments().get(TABLE);
        return IntStream.rangeClosed(0, Math.min(maximumLevel, MOST_HANDLES)).mapToObj(level -> {
            Rational from = Rational.of(level);
            Rational to = table.stream().filter(pair -> pair.from().equals(from)).findFirst()
                    .map(PairsParameter.Pair::to).orElse(from);
            return Handle.point("table " + level, from, to, (across, result) -> {
                List<PairsParameter.Pair> changed = new ArrayList<>(table);
                changed.removeIf(pair -> pair.from().equals(from));
                changed.add(new PairsParameter.Pair(from, result));
                changed.sort(Comparator.comparing(PairsParameter.Pair::from));
                return step.with(TABLE, changed);
            });
        }).toList();
    }

    @Override
    public Step starter(int maximumLevel) {
        return new Step(this, Arguments.NONE.with(TABLE, List.of(new PairsParameter.Pair(Rational.ZERO,
                Rational.ZERO))));
    }
}

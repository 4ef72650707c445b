package pixeron.step.cut;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import pixeron.PixeronException;
import pixeron.formula.Expression;
import pixeron.image.Area;
import pixeron.image.Image;
import pixeron.loop.Code;
import pixeron.loop.Origin;
import pixeron.loop.Statement;
import pixeron.number.Decimals;
import pixeron.number.Rational;
import pixeron.number.Value;
import pixeron.step.Handle;
import pixeron.step.Slip;
import pixeron.step.Step;
import pixeron.step.key.Arguments;
import pixeron.step.key.ListParameter;
import pixeron.step.pointwise.PointRule;
import pixeron.step.pointwise.PointStep;

/**
 * {@code posterize cuts="…" values="…"}: the first cut with r &lt; cut gives its value, else the last value.
 *
 * <p>Domain: rising cuts, one value more than cuts. Source: A stair of one's own, docs/definitions/point-steps.md.
 */
public final class Posterize extends PointStep {

    private static final ListParameter CUTS = new ListParameter("cuts", "Cut points", "increasing numbers such as 50 100 150");
    private static final ListParameter VALUES = new ListParameter("values", "Values", "numbers, one more than the cut points");

    /** Whether a cut itself belongs to the range below it, which is a slip. */
    private final boolean isAtMost;
    /** Whether every cut above r sets its value, so that the last of them stays, which is a slip. */
    private final boolean isWithoutElse;

    public Posterize() {
        this(false, false);
    }

    private Posterize(boolean isAtMost, boolean isWithoutElse) {
        super("posterize", "Posterize", "Gives each range of levels between two cut points one value.", "r", CUTS, VALUES);
        this.isAtMost = isAtMost;
        this.isWithoutElse = isWithoutElse;
    }

    @Override
    public String formula(Arguments arguments) {
        return "s = the value of the first cut point above r, else the last value";
    }

    @Override
    public void validate(Arguments arguments) {
        List<Rational> cuts = arguments.get(CUTS);
        for (int n = 1; n < cuts.size(); n++) {
            if (cuts.get(n).compareTo(cuts.get(n - 1)) <= 0) {
                throw PixeronException.of("posterize: cut point %s comes after %s. Cut points must increase.",
                        Decimals.print(cuts.get(n)), Decimals.print(cuts.get(n - 1)));
            }
        }
        if (arguments.get(VALUES).size() != cuts.size() + 1) {
            throw PixeronException.of("posterize has %d cut points and %d values. Give one value more than cut points.",
                    cuts.size(), arguments.get(VALUES).size());
        }
    }

    @Override
    protected PointRule rule(Arguments arguments, Image before, Area area) {
        List<Rational> cuts = arguments.get(CUTS);
        List<Rational> values = arguments.get(VALUES);
        return PointRule.ofCases(shown(arguments), sample -> Expression.Literal.of(
                values.get(bin(cuts, sample))), sample -> why(cuts, bin(cuts, sample)), before.maximumLevel()).coming("exact", () -> told(cuts, values));
    }

    /** Every cut that is not above r leads to the value after it. */
    private Origin told(List<Rational> cuts, List<Rational> values) {
        Code k = Code.name("k");
        Code cut = new Code.At("cuts", k);
        Code isPassed = isAtMost ? cut.less(Code.name("r")) : cut.atMost(Code.name("r"));
        return new Origin(List.of(new Statement.Values("cuts", List.copyOf(cuts)), new Statement.Values("values", List.copyOf(values))), List.of(Statement.set("bin", Code.of(0)),
                new Statement.Loop("k", Code.of(0), Code.of(cuts.size()), List.of(new Statement.When(isPassed, List.of(Statement.set("bin", k.plus(Code.of(1)))), List.of()))),
                Statement.set("exact", new Code.At("values", Code.name("bin")))));
    }

    private int bin(List<Rational> cuts, Value sample) {
        int last = cuts.size() - 1;
        if (isWithoutElse) {
            return sample.compareValue(cuts.get(last)) < 0 ? last : cuts.size();
        }
        int bin = 0;
        while (bin < cuts.size() && sample.compareValue(cuts.get(bin)) >= (isAtMost ? 1 : 0)) {
            bin++;
        }
        return bin;
    }

    private String why(List<Rational> cuts, int bin) {
        return bin == cuts.size() ? "no cut point is above r" : isWithoutElse ? "the last cut point above r is " + Decimals.working(cuts.get(bin)) : (isAtMost ? "the first cut point not below r is " : "the first cut point above r is ") + Decimals.working(cuts.get(bin));
    }

    @Override
    public List<ListParameter> limits() {
        return List.of(CUTS);
    }

    @Override
    protected List<Handle> handles(Step step, Map<String, Value> constants, int maximumLevel) {
        List<Rational> cuts = step.arguments().get(CUTS);
        return IntStream.range(0, cuts.size()).mapToObj(n -> new Handle("cuts " + n, cuts.get(n), Optional.empty(),
                (level, result) -> {
            List<Rational> moved = new ArrayList<>(cuts);
            moved.set(n, level);
            return step.with(CUTS, moved);
        })).toList();
    }

    @Override
    protected List<Slip> ownSlips() {
        return List.of(Slip.of("strictness", "r = cut point still gets the value of that cut point (r ≤ cut)",
                step -> step.as(new Posterize(true, false))), Slip.of("no-else", "every condition is tested without else, so the last cut point above r wins",
                step -> step.as(new Posterize(false, true))));
    }

    @Override
    public Step starter(int maximumLevel) {
        return new Step(this, Arguments.NONE.with(CUTS, List.of(Rational.of(maximumLevel, 2)))
                .with(VALUES, List.of(Rational.ZERO, Rational.of(maximumLevel))));
    }
}

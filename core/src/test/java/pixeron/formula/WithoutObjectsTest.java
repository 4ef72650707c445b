package pixeron.formula;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.EdgeCasesMode;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import pixeron.PixeronException;
import pixeron.number.Overflow;
import pixeron.number.Rational;
import pixeron.number.Rounding;
import pixeron.number.Value;
import pixeron.step.Finish;

/** Formulas that are calculated in longs and in doubles: they give the exact value, or a bound that holds, or nothing. */
class WithoutObjectsTest {

    private static final List<String> NAMES = List.of("r", "t");

    @Provide
    Arbitrary<Expression> expressions() {
        return expressions(3);
    }

    private static Arbitrary<Expression> expressions(int depth) {
        Arbitrary<Expression> leaf = Arbitraries.oneOf(Arbitraries.of("r", "t").map(Expression.Variable::new), Combinators.combine(
                Arbitraries.integers().between(-300, 300), Arbitraries.integers().between(1, 7)).as((a, b) -> Expression.Literal.of(Rational.of(a, b))));
        if (depth == 0) {
            return leaf;
        }
        Arbitrary<Expression> part = expressions(depth - 1);
        Arbitrary<Expression> exponent = Arbitraries.of("0", "1", "2", "3", "1/2", "-1", "7/3").map(text -> Expression.Literal.of(Rational.of(
                Integer.parseInt(text.split("/")[0]), text.contains("/") ? Integer.parseInt(text.split("/")[1]) : 1)));
        return Arbitraries.oneOf(leaf, part.map(Expression.Negation::new),
                Combinators.combine(Arbitraries.of(Operator.values()).filter(o -> o != Operator.POWER), part, part).as(Expression.Binary::new),
                Combinators.combine(part, exponent).as((a, b) -> new Expression.Binary(Operator.POWER, a, b)),
                Combinators.combine(Arbitraries.of(Function.MIN, Function.MAX, Function.MOD, Function.AND, Function.XOR), part, part).as((f, a, b) -> new Expression.Call(f, List.of(a, b))),
                Combinators.combine(Arbitraries.of(Function.ABS, Function.FLOOR, Function.CEILING, Function.ROUND, Function.SQRT, Function.LN, Function.LOG2, Function.LOG10,
                        Function.EXP, Function.SIN, Function.COS), part).as((f, a) -> new Expression.Call(f, List.of(a))),
                Combinators.combine(part, part, part).as(Expression.Choice::new));
    }

    private static Optional<Value> exact(Expression expression, int r, int t) {
        try {
            return Optional.of(Compiled.of(expression, NAMES::indexOf).at(Rational.of(r), Rational.of(t)));
        } catch (PixeronException withoutValue) {
            return Optional.empty();
        }
    }

    @Property(tries = 3000, edgeCases = EdgeCasesMode.NONE)
    void inLongsIsTheExactValueOrNothing(@ForAll("expressions") Expression expression, @ForAll @IntRange(min = 0, max = 65535) int r, @ForAll @IntRange(min = 0, max = 255) int t) {
        InLongs.Slot slot = new InLongs.Slot();
        Optional<InLongs> inLongs = InLongs.of(expression, NAMES::indexOf);
        if (inLongs.isPresent() && inLongs.get().at(new long[] {r, t}, new long[] {1, 1}, slot)) {
            assertThat(exact(expression, r, t)).as(Typeset.text(expression)).contains(Rational.of(slot.numerator(), slot.denominator()));
        }
    }

    @Property(tries = 3000, edgeCases = EdgeCasesMode.NONE)
    void inDoublesIsAsNearAsItSays(@ForAll("expressions") Expression expression, @ForAll @IntRange(min = 0, max = 65535) int r, @ForAll @IntRange(min = 0, max = 255) int t,
            @ForAll Rounding rounding) {
        InDoubles.Slot slot = new InDoubles.Slot();
        Optional<InDoubles> inDoubles = InDoubles.of(expression, NAMES::indexOf);
        if (inDoubles.isPresent() && inDoubles.get().at(new double[] {r, t}, slot)) {
            Optional<Value> value = exact(expression, r, t);
            assertThat(value).as(Typeset.text(expression)).isPresent();
            assertThat(Math.abs(value.get().asDouble() - slot.value())).as("%s = %s, r = %d, t = %d", Typeset.text(expression), value.get(), r, t).isLessThanOrEqualTo(slot.error());
            Finish finish = new Finish(rounding == Rounding.NONE ? Rounding.NEAREST : rounding, Overflow.CLIP, 255);
            int level = finish.level(slot.value(), slot.error(), -1);
            if (level >= 0) {
                assertThat(level).as(Typeset.text(expression)).isEqualTo(finish.level(value.get()));
            }
        }
    }

    /** What is written as formulas of steps is calculated so for nearly all levels; else nothing would be gained. */
    @Test
    void formulasOfStepsAreWorkedOutWithoutObjects() {
        for (String text : List.of("1.15 * r - 15", "(r - 12) * (65535 - 0) / (65000 - 12) + 0", "65535 * (r / 65535) ^ 2", "if(r > 99, 65535, 0)", "max(10, min(r, 40000))", "abs(r - t)", "r * t / 255")) {
            assertThat(share(text, true)).as(text).isEqualTo(1.0);
        }
        for (String text : List.of("65535 * (r / 65535) ^ 0.4", "5909.3 * ln(1 + r)", "sqrt(r) * 10 + sin(r)")) {
            assertThat(share(text, false)).as(text).isGreaterThan(0.99);
        }
    }

    /** Too long for a long, no value, no fraction: then it says so instead of giving a wrong number. */
    @Test
    void whatDoesNotFitIsNotGiven() {
        InLongs.Slot slot = new InLongs.Slot();
        for (String text : List.of("r ^ 9 * t", "r * r * r * r * r", "1 / (t - 7)", "r ^ (1 / 2)", "r ^ -1", "1 / r / r / r / r / r")) {
            InLongs inLongs = InLongs.of(Parser.parse(text, Set.copyOf(NAMES)), NAMES::indexOf).orElseThrow();
            assertThat(inLongs.at(new long[] {65535, 7}, new long[] {1, 1}, slot)).as(text).isFalse();
        }
        assertThat(InLongs.of(Parser.parse("sqrt(r) + 1", Set.copyOf(NAMES)), NAMES::indexOf)).isEmpty();
        InDoubles.Slot near = new InDoubles.Slot();
        for (String text : List.of("1 / (t - 7)", "ln(t - 7)", "sqrt(t - 8)", "exp(r)", "(t - 8) ^ 2", "if(t = 7, 1, 2)", "r ^ 65")) {
            InDoubles inDoubles = InDoubles.of(Parser.parse(text, Set.copyOf(NAMES)), NAMES::indexOf).orElseThrow();
            assertThat(inDoubles.at(new double[] {65535, 7}, near)).as(text).isFalse();
        }
    }

    /** Next to a half and next to a whole number a bound decides nothing. */
    @Test
    void whatLiesOnBothSidesIsNotRounded() {
        Finish finish = new Finish(Rounding.NEAREST, Overflow.CLIP, 255);
        assertThat(finish.level(7.4, 0.05, -1)).isEqualTo(7);
        assertThat(finish.level(7.4, 0.2, -1)).isEqualTo(-1);
        assertThat(finish.level(7.5, 0, -1)).isEqualTo(-1);
        assertThat(finish.level(7, 1e-12, -1)).isEqualTo(-1);
        assertThat(finish.level(300.25, 0.1, -1)).isEqualTo(255);
        assertThat(finish.level(-3.25, 0.1, -1)).isZero();
        assertThat(finish.level(Double.NaN, 0, -1)).isEqualTo(-1);
        assertThat(new Finish(Rounding.FLOOR, Overflow.WRAP, 255).level(256.75, 0.1, -1)).isZero();
        assertThat(new Finish(Rounding.CEILING, Overflow.CLIP, 255).level(-0.25, 0.1, -1)).isZero();
    }

    private static double share(String text, boolean isInLongs) {
        Expression expression = Parser.parse(text, Set.copyOf(NAMES));
        InLongs.Slot whole = new InLongs.Slot();
        InDoubles.Slot near = new InDoubles.Slot();
        Finish finish = new Finish(Rounding.NEAREST, Overflow.CLIP, 65535);
        boolean[] known = new boolean[65536];
        for (int r = 0; r < known.length; r++) {
            known[r] = isInLongs ? InLongs.of(expression, NAMES::indexOf).orElseThrow().at(new long[] {r, 7}, new long[] {1, 1}, whole)
                    : InDoubles.of(expression, NAMES::indexOf).orElseThrow().at(new double[] {r, 7}, near) && finish.level(near.value(), near.error(), -1) >= 0;
        }
        long count = IntStream.range(0, known.length).filter(r -> known[r]).count();
        return count / (double) known.length;
    }
}

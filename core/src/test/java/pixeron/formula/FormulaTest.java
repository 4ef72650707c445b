package pixeron.formula;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import java.util.Set;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import pixeron.PixeronException;
import pixeron.formula.Expression.Binary;
import pixeron.formula.Expression.Call;
import pixeron.formula.Expression.Choice;
import pixeron.formula.Expression.Literal;
import pixeron.formula.Expression.Negation;
import pixeron.number.Rational;
import pixeron.number.Value;
import pixeron.working.Role;

class FormulaTest {

    private static final Map<String, Value> VALUES = Map.of("r", Rational.of(137), "M", Rational.of(255));

    private static Value value(String text) {
        return Evaluator.evaluate(Parser.parse(text, VALUES.keySet()), VALUES::get);
    }

    @ParameterizedTest
    @CsvSource(delimiter = ';', value = {"-2^2;-4", "2^3^2;512", "2^-1;1/2", "1+2*3;7", "(1+2)*3;9", "10-4-3;3",
            "48/4/2;6",
        "(52+55+61)/3;56", "7×54÷64;189/32", "M − r;118", "2·r;274", "if(r > 100, 1, 1/0);1", "if(r ≤ 100, 1/0, 2);2",
        "min(3, 1, 2);1", "max(r, 7);137", "mod(-1, 4);3", "mod(7.5, 2);3/2", "round(-2.5);-3", "floor(-0.1);-1",
        "ceiling(0.1);1", "abs(-3);3", "sqrt(144);12", "log2(8);3", "log10(1000);3", "ln(exp(2));2", "sin(pi);0",
                "cos(pi);-1",
        "3 = 3;1", "3 != 3;0", "2 ≥ 2;1", "--5;5", "+5;5", "4^0.5;2", "0^0;1", "1 + 1 < 3;1"})
    void worksOutByTheRules(String text, String expected) {
        assertThat(value(text)).hasToString(expected);
    }

    @ParameterizedTest
    @CsvSource(delimiter = ';', value = {"2r;Character 2", "1 < 2 < 3;Character 7:", "(1+2;Character 5",
            "1+;Character 3", "q+1;Character 1",
        "foo(1);Character 1", "1e3;Character 2", "mod(1);Character 1", "if(1, 2);Character 1", "1..2;Character 1",
                "min();Character 5",
        "3 $ 4;Character 3"})
    void namesThePlaceOfAnError(String text, String place) {
        assertThatThrownBy(() -> value(text)).isInstanceOf(PixeronException.class).hasMessageContaining(place);
    }

    @ParameterizedTest
    @ValueSource(strings = {"1/0", "ln(0)", "ln(-1)", "sqrt(-1)", "0^-1", "mod(3, 0)", "(-8)^(1/3)", "exp(10000)",
            "10^9999999"})
    void hasNoValueWhereThereIsNone(String text) {
        assertThatThrownBy(() -> value(text)).isInstanceOf(PixeronException.class);
    }

    @Test
    void isBoundedInLengthAndDepth() {
        assertThatThrownBy(() -> value("1" + "+1".repeat(600))).hasMessageContaining("The expression has 1201 characters, more than the limit of 1000");
        assertThatThrownBy(() -> value("(".repeat(200) + "1" + ")".repeat(200))).hasMessageContaining("nested");
        assertThatThrownBy(() -> value("2" + "^2".repeat(300))).hasMessageContaining("nested");
        assertThat(value("-".repeat(999) + "1")).isEqualTo(Rational.of(-1));
    }

    @Test
    void aWorkingPutsNumbersInAndWorksInwardsOut() {
        Expression formula = Parser.parse("(r - low) * M / (high - low)", Set.of("r", "M", "low", "high"));
        Map<String, Integer> numbers = Map.of("r", 137, "M", 255, "low", 96, "high", 164);
        Expression filled = Trace.substitute(formula, name -> Literal.of(Rational.of(numbers.get(name))));
        assertThat(Typeset.text(formula)).isEqualTo("(r − low) × M ÷ (high − low)");
        assertThat(Trace.lines(filled)).extracting(step -> Typeset.text(step.expression())).containsExactly(
                "(137 − 96) × 255 ÷ (164 − 96)", "41 × 255 ÷ 68", "10455 ÷ 68", "153.75");
    }

    @Provide
    Arbitrary<Expression> expressions() {
        return expressions(4);
    }

    private static Arbitrary<Expression> expressions(int depth) {
        Arbitrary<Expression> number = Arbitraries.integers().between(-9, 9).map(n -> Literal.of(Rational.of(n, 2)));
        if (depth == 0) {
            return number;
        }
        Arbitrary<Expression> part = expressions(depth - 1);
        return Arbitraries.oneOf(number, part.map(Negation::new),
                Combinators.combine(Arbitraries.of(Operator.values()).filter(o -> o != Operator.POWER), part, part)
                        .as(Binary::new),
                Combinators.combine(part, part).as((a, b) -> new Call(Function.MAX, List.of(a, b))),
                Combinators.combine(part, part, part).as(Choice::new));
    }

    /** The last line of every working is the value, and every line on the way has that value. */
    @Property(tries = 500)
    void everyLineOfATraceHasTheValue(@ForAll("expressions") Expression expression) {
        Value value;
        try {
            value = Evaluator.evaluate(expression, Scope.EMPTY);
        } catch (PixeronException withoutValue) {
            return;
        }
        List<Trace.Step> lines = Trace.lines(expression);
        assertThat(lines).allSatisfy(line ->
                assertThat(Evaluator.evaluate(line.expression(), Scope.EMPTY)).isEqualTo(value));
        assertThat(lines.get(lines.size() - 1).expression()).isEqualTo(new Literal(value, Role.PLAIN));
    }

    /** Brackets are where they are needed: what is typeset reads back with the same value. */
    @Property(tries = 500)
    void typesetTextReadsBackTheSame(@ForAll("expressions") Expression expression) {
        String text = Typeset.text(expression);
        if (text.contains(" if ") || text.length() > 1000) {
            return;
        }
        try {
            Value value = Evaluator.evaluate(expression, Scope.EMPTY);
            assertThat(Evaluator.evaluate(Parser.parse(text, Set.of()), Scope.EMPTY)).isEqualTo(value);
        } catch (PixeronException problem) {
            assertThat(problem).hasMessageContaining("zero");
        }
    }

    /** Made ready to be evaluated often, an expression has the values and the refusals that it has otherwise. */
    @Property(tries = 500)
    void compiledIsEvaluated(@ForAll("expressions") Expression expression, @ForAll int first, @ForAll short second) {
        Expression named = Trace.changed(expression, part -> part instanceof Literal literal
                ? new Expression.Variable(literal.value().signum() > 0 ? "r" : "M") : part);
        Value r = Rational.of(first, 7);
        Value m = Rational.of(second);
        Compiled compiled = Compiled.of(named, name -> name.equals("r") ? 1 : 0);
        String expected = said(() -> Evaluator.evaluate(named, name -> name.equals("r") ? r : m));
        assertThat(said(() -> compiled.at(m, r))).as(Typeset.text(named)).isEqualTo(expected);
    }

    private static String said(java.util.function.Supplier<Value> value) {
        try {
            return value.get().toString();
        } catch (PixeronException withoutValue) {
            return withoutValue.getMessage();
        }
    }

    /** On paper a root and an absolute value have signs of their own. */
    @ParameterizedTest
    @CsvSource(delimiter = ';', value = {"sqrt(r^2 + M); √(r^2 + M)", "2 * sqrt(r); 2 × √r", "sqrt(4) + 1; √4 + 1",
        "abs(r - M) / 2; |r − M| ÷ 2", "abs(abs(r) - 1); ||r| − 1|", "-abs(r); −|r|", "sqrt(abs(r))^2; (√|r|)^2",
        "max(sqrt(r), 3); max(√r, 3)"})
    void rootsAndAbsoluteValuesAreTypeset(String written, String typeset) {
        assertThat(Typeset.text(Parser.parse(written, VALUES.keySet()))).isEqualTo(typeset);
    }
}

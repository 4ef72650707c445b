package pixeron.loop;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import pixeron.formula.Parser;
import pixeron.image.Image;
import pixeron.number.Rational;
import pixeron.number.Rounding;
import pixeron.step.catalog.StepLine;

/** How formulas are written down in Java and in Python: in the kind of numbers that they need, with the brackets that they need. */
class LoopTextTest {

    private static LoopProgram program(Code code) {
        return new LoopProgram("own", "own", List.of(Statement.set("M", Code.of(7)), Statement.set("half", Code.of(Rational.HALF))), Code.name("H"), Code.name("W"), List.of(
                Statement.set("r", Code.before(Code.name("i"), Code.name("j"))), Statement.set("s", code)));
    }

    private static Code formula(String text) {
        return Code.of(Parser.parse(text, Set.of("r", "M", "half")), Code::name);
    }

    private static String line(String program, String start) {
        return program.lines().map(String::strip).filter(line -> line.startsWith(start)).reduce((a, b) -> b).orElseThrow();
    }

    @ParameterizedTest
    @CsvSource(delimiter = ';', value = {"r + 2 * M; r + 2 * M; r + 2 * M", "(r + 2) * M; (r + 2) * M; (r + 2) * M", "r - (M - 2); r - (M - 2); r - (M - 2)",
        "r / M; Fraction(r, M); Fraction.of(r, M)", "r / M + 1; Fraction(r, M) + 1; Fraction.of(r, M).plus(Fraction.of(1))", "r * half; r * half; Fraction.of(r).times(half)",
        "max(r, 3); max(r, 3); Math.max(r, 3)", "min(half, r); min(half, r); least(half, Fraction.of(r))", "mod(r, 3) * 2; (r % 3) * 2; Math.floorMod(r, 3) * 2",
        "abs(r - M); abs(r - M); Math.abs(r - M)", "floor(r / 2); math.floor(Fraction(r, 2)); Fraction.of(r, 2).floor()", "if(r > 3, M, 0); M if r > 3 else 0; r > 3 ? M : 0",
        "if(half >= 1, 1, 2); 1 if half >= 1 else 2; (half).compareTo(Fraction.of(1)) >= 0 ? 1 : 2", "r^2; r ** 2; power(r, 2)", "sqrt(r); snap(math.sqrt(r)); snap(Math.sqrt((double) r))",
        "ln(1 + r); snap(math.log(1 + r)); snap(Math.log((double) (1 + r)))", "-r; -r; -r", "0.25; Fraction(1, 4); Fraction.of(1, 4)"})
    void formulasAreWrittenDown(String text, String python, String java) {
        LoopProgram program = program(formula(text));
        assertThat(line(program.python(), "s = ")).isEqualTo("s = " + python);
        assertThat(line(program.java(), "s = ")).isEqualTo("s = " + java + ";");
    }

    @Test
    void kindsAreTheWidestThatComeUp() {
        Map<String, Kind> kinds = Kind.of(program(formula("r / M")));
        assertThat(kinds).containsEntry("M", Kind.WHOLE).containsEntry("half", Kind.FRACTION).containsEntry("r", Kind.WHOLE).containsEntry("s", Kind.FRACTION);
        assertThat(Kind.of(program(formula("sqrt(r) + half")))).containsEntry("s", Kind.REAL);
        assertThat(Kind.of(program(new Code.Rounded(Rounding.NEAREST, formula("sqrt(r)"))))).containsEntry("s", Kind.WHOLE);
        LoopProgram both = new LoopProgram("own", "own", List.of(), Code.name("H"), Code.name("W"), List.of(new Statement.When(formula("1 > 0"), List.of(Statement.set("s", Code.of(1))),
                List.of(Statement.set("s", Code.of(Rational.HALF))))));
        assertThat(Kind.of(both)).containsEntry("s", Kind.FRACTION);
        assertThat(both.java()).contains("Fraction s = Fraction.of(0);", "s = Fraction.of(1);", "s = Fraction.of(1, 2);");
    }

    /** The program of an equalization, read as a user would: counts, cumulative counts, then the formula. */
    @Test
    void anEqualizationReadsAsItIsDoneByHand() {
        Image sort = Image.of(7, new int[][] {{1, 2}, {3, 4}});
        String python = StepLine.parse("equalize").bind(sort).program().orElseThrow().python();
        assertThat(python).containsSubsequence("n = [0] * (M + 1)", "n[before[a][b]] = n[before[a][b]] + 1", "sofar = sofar + n[k]", "running[k] = sofar", "N = H * W",
                "for i in range(H):", "r = before[i][j]", "C = running[r]", "exact = Fraction(M * C, N)", "rounded = nearest(exact)", "s = min(max(rounded, 0), M)");
    }

    @Test
    void classesAreNamedAsJavaNamesThem() {
        assertThat(StepLine.parse("threshold-otsu").bind(Image.of(7, new int[][] {{1, 2}, {3, 4}})).program().orElseThrow().className()).isEqualTo("ThresholdOtsu");
    }
}

package pixeron.working;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.number.Rational;
import pixeron.step.catalog.StepLine;

class WorkingTextTest {

    private static Working working(String line, int level) {
        return StepLine.parse(line).bind(Image.of(255, new int[][] {{level}})).explain(new Pixel(0, 0));
    }

    @Test
    void plainTextHasItsLabelsInAColumn() {
        assertThat(WorkingText.plain(working("divide divisor=-9", 100))).isEqualTo("""
                divide divisor=-9, row 0, column 0
                  formula     s = r ÷ divisor
                  this pixel  s = 100 ÷ (−9)
                                = −100/9 ≈ −11.1111
                  round       −100/9 → −11   nearest, ties away from zero
                  overflow    −11 → 0   below 0, clipped to 0
                """);
    }

    @Test
    void latexHasCommandsForSignsAndWordsInText() {
        String latex = WorkingText.latex(working("threshold at=40 compare=at-least", 41));
        assertThat(latex).startsWith("\\[\n\\begin{array}{ll}\n").endsWith("\\end{array}\n\\]\n")
                .contains("\\text{this pixel} & s = 255 \\text{ if } 41 \\ge 40, \\text{ else } 0")
                .contains("\\quad\\text{ 41 $\\ge$ 40 holds}");
        assertThat(latex.chars().filter(c -> c > 127)).as("nothing that needs more than plain LaTeX").isEmpty();
    }

    @Test
    void latexAndHtmlEscapeWhatTheyReserve() {
        Working odd = new Working("a < b & c", List.of(Line.of("50 %", Run.plain("x_1 {y} \\ #"),
                Run.note(" 3 < 4 & $ ^"))), Rational.ONE, Rational.ONE);
        assertThat(WorkingText.latex(odd)).contains("50 \\%").contains("x\\_1 \\{y\\}").contains("\\backslash")
                .contains("\\& \\$ \\^{}");
        assertThat(WorkingText.html(odd)).contains("<caption>a &lt; b &amp; c</caption>")
                .contains("<span class=\"note\"> 3 &lt; 4 &amp; $ ^</span>");
    }

    @Test
    void everyEndOfAWorkingSaysWhatHappened() {
        assertThat(working("add amount=30 overflow=wrap", 240).lines()).extracting(Line::text)
                .contains("270   already whole", "270 → 14   value mod 256, wrapped");
        assertThat(working("add amount=30.5 overflow=keep rounding=none", 240).lines()).extracting(Line::text)
                .contains("270.5   not rounded", "outside 0–255, kept as it is");
        assertThat(working("multiply factor=0.5 rounding=ceiling overflow=wrap", 3).lines()).extracting(Line::text)
                .contains("1.5 → 2   up to the whole number above", "within 0–255, nothing wrapped");
    }
}

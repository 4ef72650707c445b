package pixeron.step;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.step.catalog.StepLine;
import pixeron.step.kernel.Gradient;
import pixeron.step.neighborhood.WindowStep;
import pixeron.step.pointwise.PointStep;
import pixeron.working.Line;

/** The formula that is shown is that of the arguments, and the working and the loop have the same one. */
class FormulaShownTest {

    @ParameterizedTest
    @CsvSource(delimiter = ';', value = {"threshold at=9; s = high if r > at, else low",
        "threshold at=9 compare=at-least; s = high if r ≥ at, else low",
        "equalize; s = M × C(r) ÷ N", "equalize method=share-from-first; s = M × (C(r) − C0) ÷ (N − C0)",
        "power gamma=2; s = M × (r ÷ M)^gamma", "power gamma=2 scale=3; s = scale × r^gamma",
        "sobel part=x; s = g_x, g_x = Σ w_x·r", "sobel part=sum; s = |g_x| + |g_y|, g_x = Σ w_x·r, g_y = Σ w_y·r",
        "roberts part=root; s = √(g_x^2 + g_y^2), g_x = Σ w_x·r, g_y = Σ w_y·r",
        "laplacian neighbors=4; s = Σ neighbors − 4 × r", "laplacian neighbors=8; s = Σ neighbors − 8 × r",
        "kernel weights=\"1 1\"; s = Σ w × r ÷ divisor", "kernel weights=\"1 1\" offset=2; s = Σ w × r ÷ divisor + offset",
        "kernel weights=\"1 1\" sum=convolution; s = Σ w × r(i − a, j − b) ÷ divisor",
        "median size=3; s = the middle of the sorted window", "maximum size=3; s = the largest of the window",
        "erode shape=\"1 1\"; s = smallest r(i + a, j + b) under the structuring element",
        "dilate shape=\"1 1\"; s = largest r(i − a, j − b) under the structuring element"})
    void itFollowsTheArguments(String line, String formula) {
        Step step = StepLine.parse(line);
        assertThat(step.type().formula(step.arguments())).isEqualTo(formula);
    }

    /** Point steps write it above the numbers; what a window ends with is in the line of the pixel. */
    @Property(tries = 400)
    void theWorkingHasTheSameOne(@ForAll long seed) {
        Random random = new Random(seed);
        Image before = StepArbitraries.image(random);
        Step step = StepArbitraries.step(random, before);
        Operation operation = step.bind(before);
        String shown = step.type().formula(step.arguments());
        String lines = String.join("\n", operation.explain(new Pixel(0, 0)).lines().stream().map(Line::text).toList());
        // Where an image leaves nothing of the formula, such as a stretch of one level, a note says what is done instead.
        boolean isCalculated = !lines.contains("keeps its value") && operation.notes().isEmpty();
        if (step.type() instanceof PointStep && isCalculated) {
            assertThat(lines).as(step.line()).contains(shown);
        } else if (step.type() instanceof Gradient && isCalculated) {
            assertThat(lines).as(step.line()).contains(shown.split(", g_[xy] = ")[0] + " =");
        } else if (step.type() instanceof WindowStep) {
            assertThat(shown).startsWith("s = ");
        }
    }
}

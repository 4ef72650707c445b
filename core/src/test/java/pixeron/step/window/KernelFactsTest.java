package pixeron.step.window;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Random;
import net.jqwik.api.Example;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import pixeron.PixeronException;
import pixeron.image.Image;
import pixeron.number.Rational;
import pixeron.number.Value;
import pixeron.project.OwnKernel;
import pixeron.step.Progress;
import pixeron.step.Step;
import pixeron.step.catalog.StepLine;
import pixeron.step.kernel.Kernel;
import pixeron.step.kernel.KernelFacts;
import pixeron.step.kernel.Weights;

/** The findings about weights without an image, and how they are changed. */
class KernelFactsTest {

    private static KernelFacts facts(String keys) {
        return KernelFacts.of(Kernel.weights(StepLine.parse("kernel " + keys)));
    }

    @Example
    void sumDivisorFactorsAndFlatAreas() {
        assertThat(facts("weights=\"1 2 1 | 2 4 2 | 1 2 1\"").sentences()).containsExactly(
                "The weights add up to 16, the divisor is 16.", "Separable: (1 2 1) down × (1 2 1) across.",
                "A flat area keeps its level.");
        assertThat(facts("weights=\"0 1 0 | 1 -4 1 | 0 1 0\" offset=128").sentences()).containsExactly(
                "The weights add up to 0, the divisor is 1.", "Not separable: no column × row gives these weights.",
                "A flat area becomes 128.");
        assertThat(facts("weights=\"1/2 1\" divisor=1 offset=-3").sentences()).contains(
                "Separable: (0.5) down × (1 2) across.", "A flat area becomes 1.5 × its level − 3.");
        assertThat(facts("weights=\"0 0\"").factors()).isEmpty();
    }

    /** Whatever is separable: the products of the two are the weights. */
    @Property(tries = 200)
    void theProductsOfTheFactorsAreTheWeights(@ForAll long seed) {
        Random random = new Random(seed);
        int height = 1 + random.nextInt(4);
        int width = 1 + random.nextInt(4);
        int[] column = random.ints(height, -4, 5).toArray();
        int[] row = random.ints(width, -4, 5).toArray();
        List<List<Rational>> rows = java.util.stream.IntStream.range(0, height).mapToObj(i -> java.util.stream.IntStream
                .range(0, width).mapToObj(j -> Rational.of((long) column[i] * row[j], 6)).toList()).toList();
        Weights weights = Weights.centered(rows);
        boolean isZero = rows.stream().allMatch(cells -> cells.stream().allMatch(cell -> cell.signum() == 0));
        assertThat(weights.factors().isPresent()).isEqualTo(!isZero);
        weights.factors().ifPresent(factors -> {
            for (int i = 0; i < height; i++) {
                for (int j = 0; j < width; j++) {
                    Value product = factors.column().get(i).times(factors.row().get(j));
                    assertThat(product).isEqualTo(weights.at(i, j));
                }
            }
        });
        assertThat(weights.turned().turned()).isEqualTo(weights);
        assertThat(weights.transposed().transposed()).isEqualTo(weights);
        assertThat(weights.negated().negated()).isEqualTo(weights);
    }

    /** Turning the weights of a correlation is the convolution. */
    @Property(tries = 60)
    void turnedWeightsAreTheOtherSum(@ForAll long seed) {
        Random random = new Random(seed);
        Image before = Image.ofLevels(4, 5, 255, n -> random.nextInt(256));
        int anchor = random.nextInt(2);
        Step step = StepLine.parse("kernel weights=\"1 2 3 | 4 5 7\" border=periodic anchor=\"" + anchor + " 2\"");
        Step turned = Kernel.with(step, Kernel.weights(step).turned());
        assertThat(StepLine.parse(turned.line()).bind(before).result(Progress.NONE)).isEqualTo(StepLine.parse(step.line()
                + " sum=convolution").bind(before).result(Progress.NONE));
    }

    @Example
    void aKernelIsFilledWithAReadyOneAndKeepsItsBorder() {
        Step step = StepLine.parse("kernel weights=\"1 0\" border=periodic offset=5");
        Step ready = StepLine.parse("unsharp amount=2 size=3");
        assertThat(Kernel.filled(step, ready.type().spelledOut(ready).orElseThrow()).line()).isEqualTo(
                "kernel weights=\"-2 -2 -2 | -2 25 -2 | -2 -2 -2\" divisor=9 offset=5 border=periodic");
        Step gaussian = StepLine.parse("gaussian sigma=1");
        assertThat(gaussian.type().spelledOut(gaussian)).isEmpty();
    }

    @Example
    void aKernelOfOnesOwnTakesThePlaceOfOneWithItsName() {
        OwnKernel edge = new OwnKernel("edge", "kernel weights=\"-1 0 1\"");
        OwnKernel other = new OwnKernel("edge", "kernel weights=\"1 0 -1\"");
        assertThat(other.in(edge.in(List.of()))).containsExactly(other);
        assertThat(edge.step().line()).isEqualTo(edge.line());
        assertThatThrownBy(() -> OwnKernel.requireKernel("invert")).isInstanceOf(PixeronException.class)
                .hasMessageContaining("\"invert\" is not a kernel");
    }
}

package pixeron.step;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.step.catalog.StepLine;

/** Values that are calculated once each, and all together when many were asked for: they are those of the step, in whatever order. */
class KnownValuesTest {

    private static final Image IMAGE = Image.ofLevels(9, 11, 255, n -> n * 37 % 256);

    @ParameterizedTest
    @ValueSource(strings = {"box size=3", "divide divisor=7 rounding=none", "power gamma=0.4 rounding=none", "crop row=2 column=1 height=4 width=9", "sobel part=angle"})
    void areThoseOfTheStep(String line) {
        Operation operation = StepLine.parse(line).bind(IMAGE);
        KnownValues known = new KnownValues(operation);
        int count = operation.frame().count();
        for (int turn = 0; turn < 2; turn++) {
            for (int n = 0; n < count; n++) {
                Pixel pixel = operation.frame().pixel(n * 7 % count);
                assertThat(known.value(pixel).compareValue(operation.value(pixel))).as("%s at %s", line, pixel).isZero();
            }
        }
        assertThat(known.frame()).isEqualTo(operation.frame());
    }

    /** A slip may ask at a place that another result has: it is told what the step says of it, not the value of a pixel further on. */
    @ParameterizedTest
    @ValueSource(ints = {0, 60})
    void outsideTheStepIsAsked(int before) {
        Operation operation = StepLine.parse("crop row=2 column=1 height=4 width=9").bind(IMAGE);
        KnownValues known = new KnownValues(operation);
        for (int n = 0; n < Math.min(before, operation.frame().count()); n++) {
            known.value(operation.frame().pixel(n));
        }
        Pixel beside = new Pixel(1, 9);
        assertThat(operation.frame().contains(beside)).isFalse();
        assertThat(known.value(beside)).isEqualTo(operation.value(beside));
        assertThat(known.explain(new Pixel(0, 0)).result()).isEqualTo(operation.value(new Pixel(0, 0)));
    }
}

package pixeron.step;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import pixeron.PixeronException;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.number.Overflow;
import pixeron.number.Rounding;
import pixeron.number.Value;
import pixeron.step.catalog.StepLine;
import pixeron.working.Working;

/** What holds for every step of the catalog, whatever its arguments and its image. */
class StepLawsTest {

    @Property(tries = 600)
    void bulkSingleValueAndWorkingAreTheSame(@ForAll long seed) {
        Random random = new Random(seed);
        Image before = StepArbitraries.image(random);
        Step step = StepArbitraries.step(random, before);
        Operation operation = step.bind(before);
        Image after = operation.result(Progress.NONE);
        assertThat(operation.contains(after.pixel(after.count() - 1))).isTrue();
        assertThat(operation.contains(new Pixel(after.rows(), 0))).isFalse();
        assertThat(operation.contains(new Pixel(0, after.columns()))).isFalse();
        for (int n = 0; n < after.count(); n++) {
            Pixel pixel = after.pixel(n);
            Value value = operation.value(pixel);
            Working working = operation.explain(pixel);
            assertKept(after, n, value, step.line() + " at " + pixel);
            assertThat(working.result()).isEqualTo(value);
            assertThat(working.exact()).isEqualTo(operation.exact(pixel));
        }
    }

    /** Without its area a step may meet samples for which it has no value. */
    private static boolean hasResult(Step step, Image before) {
        try {
            step.bind(before).result(Progress.NONE);
            return true;
        } catch (PixeronException withoutValue) {
            return false;
        }
    }

    /** Beside a double an image keeps fractions as doubles too. */
    private static void assertKept(Image image, int offset, Value value, String what) {
        if (image.isExact()) {
            assertThat(image.value(offset)).as(what).isEqualTo(value);
        } else {
            assertThat(image.asDouble(offset)).as(what).isEqualTo(value.asDouble());
        }
    }

    @Property(tries = 600)
    void aPrintedStepReadsBackTheSame(@ForAll long seed) {
        Random random = new Random(seed);
        Step step = StepArbitraries.step(random, StepArbitraries.image(random));
        assertThat(StepLine.parse(step.line())).isEqualTo(step).hasSameHashCodeAs(step);
    }

    @Property(tries = 300)
    void outsideTheAreaPixelsStay(@ForAll long seed) {
        Random random = new Random(seed);
        Image before = StepArbitraries.image(random);
        Step step = StepArbitraries.step(random, before);
        Image after = step.bind(before).result(Progress.NONE);
        step.arguments().find(StepType.AREA).ifPresent(area -> {
            for (int n = 0; n < before.count(); n++) {
                if (!area.contains(n / before.columns(), n % before.columns())) {
                    assertKept(after, n, before.value(n), step.line());
                }
            }
        });
    }

    /** Clipped and rounded, every result is a level image again. */
    @Property(tries = 300)
    void roundedAndClippedResultsAreLevels(@ForAll long seed) {
        Random random = new Random(seed);
        Image before = StepArbitraries.image(random);
        Step step = StepArbitraries.step(random, before).with(Overflow.CLIP).without(StepType.AREA);
        // With border=keep a pixel at the edge keeps its value, neither rounded nor clipped, as outside an area.
        // And specks leave all others as they are.
        boolean keepsSome = (step.line().contains("border=keep") || step.type().name().equals("salt-pepper")) && !before.isLevelImage();
        if (step.rounding() != Rounding.NONE && !keepsSome && hasResult(step, before)) {
            assertThat(step.bind(before).result(Progress.NONE).isLevelImage()).isTrue();
        }
    }
}

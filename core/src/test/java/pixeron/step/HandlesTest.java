package pixeron.step;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import pixeron.image.Image;
import pixeron.number.Decimals;
import pixeron.number.Rational;
import pixeron.number.Value;
import pixeron.step.catalog.StepLine;

/** What can be dragged on a curve, and what becomes of every level. */
class HandlesTest {

    private static final Image RAMP = Image.ofLevels(4, 4, 15, n -> n);

    @ParameterizedTest
    @CsvSource(delimiter = ';', value = {
        "threshold at=4; at; 9; 0; threshold at=9",
        "band low=2 high=M; high; 9; 0; band low=2 high=9",
        "stretch low=2; high; 9; 0; stretch low=2 high=9",
        "stretch cut=10; low; 3; 0; stretch low=3",
        "piecewise points=\"0 0 | 5 2 | 15 15\"; points 1; 6; 4; piecewise points=\"0 0 | 6 4 | 15 15\"",
        "posterize cuts=\"4 9\" values=\"0 5 9\"; cuts 1; 10; 0; posterize cuts=\"4 10\" values=\"0 5 9\"",
        "lookup table=\"0 3\"; table 2; 2; 7; lookup table=\"0 3 | 2 7\"",
        "lookup table=\"0 3\"; table 0; 9; 7; lookup table=\"0 7\"",
        "add amount=3; amount; 7; 4; add amount=-3",
        "linear gain=1 bias=2; bias; 0; 5; linear gain=1 bias=5",
        // (8 − 2) ÷ 15
        "linear gain=1 bias=2; gain; 15; 8; linear gain=0.4 bias=2",
        "multiply factor=2; factor; 15; 6; multiply factor=0.4",
        // ln(3.75 ÷ 15) ÷ ln(7 ÷ 15) = 1.819
        "power gamma=1; gamma; 7; 3.75; power gamma=1.82",
        // 10 ÷ ln 16 = 3.607
        "log reference=image; scale; 15; 10; log scale=3.61"})
    void aDraggedHandleChangesItsKey(String line, String name, String level, String result, String changed) {
        Handle handle = StepLine.parse(line).bind(RAMP).handles().stream().filter(h -> h.name().equals(name))
                .findFirst().orElseThrow();
        assertThat(handle.drag().to(Decimals.parse(level), Decimals.parse(result)).line()).isEqualTo(changed);
    }

    @Test
    void pointsThatCannotStandThereAreRefused() {
        List<Handle> points = StepLine.parse("piecewise points=\"0 0 | 5 2 | 15 15\"").bind(RAMP).handles();
        assertThat(org.assertj.core.api.Assertions.catchThrowable(() -> points.get(1).drag().to(Rational.of(15),
                Rational.ZERO))).isInstanceOf(pixeron.PixeronException.class);
    }

    @Test
    void whatOverflowActsOnIsCounted() {
        // 2r − 8: below 0 for r < 4, above 15 for r > 11
        Mapping mapping = StepLine.parse("linear gain=2 bias=-8").bind(RAMP).mapping().orElseThrow();
        assertThat(mapping.below()).isEqualTo(4);
        assertThat(mapping.above()).isEqualTo(4);
        assertThat(mapping.entries().get(3).isOutside()).isTrue();
        assertThat(mapping.entries().get(4).isOutside()).isFalse();
        // ln(0) has no value, so the curve begins at 1.
        assertThat(StepLine.parse("formula expression=\"ln(r)\"").bind(Image.of(3, new int[][] {{1, 2}})).mapping()
                .orElseThrow().entries()).hasSize(3);
        assertThat(StepLine.parse("formula expression=\"r + i\"").bind(RAMP).mapping()).isEmpty();
    }

    @Property(tries = 300)
    void theMappingIsWhatTheStepWrites(@ForAll long seed) {
        Random random = new Random(seed);
        Image before = StepArbitraries.image(random);
        Step step = StepArbitraries.step(random, before).without(StepType.AREA);
        if (before.maximumLevel() > 1000) {
            return;
        }
        Operation operation;
        try {
            operation = step.bind(before);
            operation.result(Progress.NONE);
        } catch (pixeron.PixeronException onlyWithItsArea) {
            return;
        }
        operation.mapping().ifPresent(mapping -> {
            for (int n = 0; n < before.count(); n++) {
                int level = before.level(n);
                Value value = operation.value(before.pixel(n));
                assertThat(mapping.entries()).anyMatch(entry -> entry.level() == level
                        && entry.result().equals(value));
            }
        });
        // A handle that is not moved leaves the step as good as it was.
        for (Handle handle : operation.handles()) {
            Rational height = handle.result().filter(Rational.class::isInstance).map(Rational.class::cast)
                    .orElse(Rational.ZERO);
            if (handle.result().isEmpty() || handle.result().get() instanceof Rational) {
                Step same = handle.drag().to(handle.level(), height);
                assertThat(same.type()).isEqualTo(step.type());
            }
        }
    }

    /** 100^500 is no double; the step has a result all the same where only 0 occurs. */
    @net.jqwik.api.Example
    void aHandleBeyondAllNumbersIsNotThere() {
        Operation operation = pixeron.step.catalog.StepLine.parse("power gamma=500 scale=2").bind(Image.of(255,
                new int[][] {{0, 1}}));
        assertThat(operation.result(Progress.NONE)).isEqualTo(Image.of(255, new int[][] {{0, 2}}));
        assertThat(operation.handles()).isEmpty();
    }
}

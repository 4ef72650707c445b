package pixeron.working;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.OptionalDouble;
import java.util.Random;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.Collectors;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.lifecycle.AfterContainer;
import org.junit.jupiter.api.Test;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.step.Operation;
import pixeron.step.StepArbitraries;

/** Every line "a = b" of a working is true, calculated by another person; every ≈ is near. */
class WorkingLawTest {

    private static final AtomicInteger CHECKED = new AtomicInteger();

    @Test
    void plainSumsAreWorkedOutAsOnPaper() {
        assertThat(PlainSums.worth("2 + 3 × (4 − −1)^2 ÷ 5")).hasValue(17);
        assertThat(PlainSums.worth("−2^2")).hasValue(-4);
        assertThat(PlainSums.worth("|2 − 5| + √(9 + 16)")).hasValue(8);
        assertThat(PlainSums.worth("487/9").getAsDouble()).isCloseTo(54.111, within(0.001));
        assertThat(PlainSums.worth("ln(3)")).isEmpty();
        assertThat(PlainSums.worth("3 +")).isEmpty();
        assertThat(PlainSums.worth("")).isEmpty();
    }

    @Property(tries = 800)
    void whatIsSaidToBeEqualIsEqual(@ForAll long seed) {
        Random random = new Random(seed);
        Image before = StepArbitraries.image(random);
        Operation operation = StepArbitraries.step(random, before).bind(before);
        Pixel pixel = operation.frame().pixel(random.nextInt(operation.frame().count()));
        Working working = operation.explain(pixel);
        OptionalDouble last = OptionalDouble.empty();
        for (Line line : working.lines()) {
            String text = line.runs().stream().filter(run -> run.role() != Role.NOTE).map(Run::text).collect(Collectors.joining());
            if (!text.strip().startsWith("=")) {
                last = OptionalDouble.empty();
            }
            String sign = "=";
            for (String part : text.split("(?==)|(?=≈)")) {
                String sum = part.replaceFirst("^[=≈]", "").strip();
                sign = part.startsWith("≈") ? "≈" : "=";
                OptionalDouble worth = PlainSums.worth(sum);
                if (worth.isPresent() && last.isPresent()) {
                    double size = Math.max(1, Math.abs(worth.getAsDouble()));
                    assertThat(worth.getAsDouble()).as(operation.step().line() + " at " + pixel + ": " + text)
                            .isCloseTo(last.getAsDouble(), within(size * (sign.equals("≈") || !working.exact().isExact() ? 1e-3 : 1e-9)));
                    CHECKED.incrementAndGet();
                }
                last = worth;
            }
        }
    }

    /** The law would hold of nothing at all. */
    @AfterContainer
    static void manySumsWereChecked() {
        assertThat(CHECKED.get()).isGreaterThan(60);
    }
}

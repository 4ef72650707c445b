package pixeron.step.plain;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Random;
import java.util.concurrent.atomic.AtomicInteger;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.lifecycle.AfterContainer;

/** Steps calculated once more by plain loops over fractions that share no line with the program. */
class AgainstPlainLoopsTest {

    private static final AtomicInteger WINDOWS = new AtomicInteger();
    private static final AtomicInteger POINTS = new AtomicInteger();

    @Property(tries = 3000)
    void windowsOfEveryKindAndBorder(@ForAll long seed) {
        WINDOWS.addAndGet(new WindowCase(new Random(seed)).compare());
    }

    @Property(tries = 4000)
    void pointStepsThresholdsAndCounts(@ForAll long seed) {
        POINTS.addAndGet(new PointCase(new Random(seed)).compare());
    }

    /** The laws would hold of nothing at all. */
    @AfterContainer
    static void manyPixelsWereCompared() {
        assertThat(WINDOWS.get()).isGreaterThan(10_000);
        assertThat(POINTS.get()).isGreaterThan(10_000);
    }
}

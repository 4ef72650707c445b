package pixeron.step;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Random;
import java.util.concurrent.CancellationException;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import pixeron.byhand.Check;
import pixeron.byhand.HandSheet;
import pixeron.byhand.slip.search.SlipFinder;
import pixeron.image.Image;
import pixeron.number.Rational;
import pixeron.number.Value;
import pixeron.step.catalog.StepLine;

/** Work that may be long says how far it is, and ends where it is no longer wanted. */
class CancelledTest {

    private static final Image LEVELS = Image.ofLevels(300, 300, 255, n -> n * 31 % 256);
    private static final Image OPEN = Image.from(120, 120, 255, values());

    private static Value[] values() {
        Value[] values = new Value[120 * 120];
        java.util.Arrays.setAll(values, n -> Rational.of(n * 37 % 1000, 7));
        return values;
    }

    /** Asks how far it is, and says no from some time on. */
    private static final class Until implements Progress {

        private final int last;
        private final AtomicInteger asked = new AtomicInteger();
        private volatile double furthest;

        Until(int last) {
            this.last = last;
        }

        @Override
        public boolean isWanted(double done) {
            furthest = Math.max(furthest, done);
            return asked.incrementAndGet() <= last;
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"kernel weights=\"1 2 | 3 4\"", "box size=9", "box size=9 border=inside", "gaussian sigma=2",
        "sobel part=angle", "sobel part=root rounding=none", "unsharp amount=2 size=5", "threshold-local size=9 border=inside",
        "median size=5", "rank size=5 place=3", "erode shape=\"1 1 1 | 1 0 1\"", "open shape=\"1 1 1\"",
        "formula expression=\"r + i * j\""})
    void aResultThatIsNotWantedIsGivenUp(String line) {
        Operation operation = StepLine.parse(line).bind(LEVELS);
        Until all = new Until(Integer.MAX_VALUE);
        operation.result(all);
        assertThat(all.asked.get()).as("how often it asks").isGreaterThan(3);
        assertThat(all.furthest).isBetween(0.5, 1.0);
        Until two = new Until(2);
        assertThatThrownBy(() -> StepLine.parse(line).bind(LEVELS).result(two)).isInstanceOf(CancellationException.class);
        // Two threads may each have asked once more.
        assertThat(two.asked.get()).isBetween(3, 6);
    }

    @ParameterizedTest
    @ValueSource(strings = {"kernel weights=\"1 2 | 3 4\"", "median size=3", "unsharp amount=2 size=3", "dilate shape=\"1 1 | 0 1\"",
        "sobel part=sum", "linear gain=2 bias=1/3"})
    void ofOpenImagesAsWell(String line) {
        Operation operation = StepLine.parse(line).bind(OPEN);
        assertThatThrownBy(() -> operation.result(new Until(0))).isInstanceOf(CancellationException.class);
    }

    /** First what slips give is prepared, slip by slip, then they are tried; each may be abandoned, and begun again. */
    @Test
    void theSearchForSlipsIsGivenUpAndBegunAgain() {
        Image before = Image.ofLevels(32, 32, 255, n -> n * 91 % 256);
        Operation right = StepLine.parse("box size=3 border=replicate").bind(before);
        Image written = StepLine.parse("box size=3 border=zero").bind(before).result(Progress.NONE);
        HandSheet sheet = HandSheet.EMPTY;
        Random random = new Random(4);
        for (int n = 0; n < 32; n++) {
            sheet = sheet.with(before.pixel(n), written.value(n).toString());
            int other = random.nextInt(before.count());
            sheet = sheet.with(before.pixel(other), written.value(other).toString());
        }
        Check check = Check.of(sheet, right);
        SlipFinder finder = new SlipFinder(right);
        for (int last : List.of(0, 1, 5, 12)) {
            Until some = new Until(last);
            assertThatThrownBy(() -> finder.find(check, some)).isInstanceOf(CancellationException.class);
            assertThat(some.asked.get()).isEqualTo(last + 1);
        }
        assertThat(finder.find(check, Progress.NONE).slips().get(0).id()).isEqualTo("border-zero");
        assertThat(finder.find(check, new Until(Integer.MAX_VALUE)).slips().get(0).id()).isEqualTo("border-zero");
    }
}

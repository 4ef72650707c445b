package pixeron.byhand;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Arrays;
import java.util.function.DoubleUnaryOperator;
import java.util.function.IntToDoubleFunction;
import org.junit.jupiter.api.Test;
import pixeron.byhand.slip.search.Explanation;
import pixeron.byhand.slip.search.SlipFinder;
import pixeron.image.Image;
import pixeron.step.Operation;
import pixeron.step.catalog.StepLine;

/**
 * Numbers on the way that were rounded too early, each calculated here with decimals of its own. It must be named, or another slip
 * that gives all of the very same values.
 */
class EarlyRoundingTest {

    private static final int[] LEVELS = {12, 200, 34, 90, 77, 5, 61, 140, 23, 250, 99, 18, 73, 180, 44, 131, 7, 221, 66, 155, 40, 84,
        29, 110, 3, 171, 239, 52, 208, 116};
    private static final Image PROOF = Image.ofLevels(5, 6, 255, n -> LEVELS[n]);

    private static double rounded(double number, int decimals) {
        return BigDecimal.valueOf(number).setScale(decimals, RoundingMode.HALF_UP).doubleValue();
    }

    private static String level(double value) {
        return String.valueOf((int) Math.max(0, Math.min(255, rounded(value, 0))));
    }

    private static Explanation found(String line, IntToDoubleFunction written) {
        HandSheet sheet = HandSheet.EMPTY;
        for (int n = 0; n < LEVELS.length; n++) {
            sheet = sheet.with(PROOF.pixel(n), level(written.applyAsDouble(n)));
        }
        Operation right = StepLine.parse(line).bind(PROOF);
        Check check = Check.of(sheet, right);
        assertThat(check.differing()).as(line).hasSizeGreaterThanOrEqualTo(2);
        return SlipFinder.find(check, right).slips().get(0);
    }

    private static void named(String line, String words, DoubleUnaryOperator written) {
        Explanation first = found(line, n -> written.applyAsDouble(LEVELS[n]));
        assertThat(first.id()).as("%s: %s", line, first.text()).isEqualTo("rounded-early");
        assertThat(first.text()).contains(words);
    }

    @Test
    void factors() {
        named("multiply factor=1.234", "the factor is rounded to 1 decimal", r -> 1.2 * r);
        named("linear gain=1.2789 bias=-20", "the factor is rounded to 2 decimals", r -> 1.28 * r - 20);
        named("divide divisor=7", "1 ÷ divisor is rounded to 2 decimals", r -> 0.14 * r);
        named("depth maximum=100", "M2 ÷ M is rounded to 2 decimals", r -> Math.min(100, 0.39 * r));
    }

    @Test
    void curves() {
        named("power gamma=2", "r ÷ M is rounded to 1 decimal", r -> 255 * Math.pow(rounded(r / 255, 1), 2));
        named("power gamma=2", "(r ÷ M)^gamma is rounded to 2 decimals", r -> 255 * rounded(Math.pow(r / 255, 2), 2));
        double scale = 255 / Math.log(256);
        named("log", "c is rounded to 1 decimal", r -> rounded(scale, 0) * Math.log(1 + r));
        named("log", "ln(1 + r) is rounded to 1 decimal", r -> scale * rounded(Math.log(1 + r), 1));
    }

    /** Smallest 3, largest 250; the slope is 255 ÷ 247 = 1.03239. */
    @Test
    void aStretch() {
        named("stretch", "the slope is rounded to 1 decimal", r -> (r - 3) * 1.0);
        named("stretch", "(r − low) ÷ (high − low) is rounded to 1 decimal", r -> rounded((r - 3) / 247, 1) * 255);
    }

    private static long running(int level) {
        return Arrays.stream(LEVELS).filter(other -> other <= level).count();
    }

    /** 30 pixels, every level once: P = C ÷ 30, M ÷ N = 8.5, p = 0.033. */
    @Test
    void anEqualization() {
        named("equalize", "each cumulative frequency P(k) is rounded to 1 decimal", r -> 255 * rounded(running((int) r) / 30.0, 1));
        named("equalize", "M ÷ N is rounded to a whole number", r -> running((int) r) * 9);
        named("equalize", "each relative frequency p(k) is rounded to 2 decimals", r -> 255 * running((int) r) * 0.03);
    }

    /** The sum of nine cells, zeros outside, times 0.11 instead of divided by 9. */
    @Test
    void aKernel() {
        Explanation first = found("box size=3", n -> {
            int sum = 0;
            for (int i = n / 6 - 1; i <= n / 6 + 1; i++) {
                for (int j = n % 6 - 1; j <= n % 6 + 1; j++) {
                    sum += i >= 0 && j >= 0 && i < 5 && j < 6 ? LEVELS[i * 6 + j] : 0;
                }
            }
            return 0.11 * sum;
        });
        assertThat(first.id()).isEqualTo("rounded-early");
        assertThat(first.text()).contains("1 ÷ divisor is rounded to 2 decimals");
    }

    /** An image of one level has neither a slope nor a share to be rounded: nothing is claimed, and nothing goes wrong. */
    @Test
    void aStepThatIsSimplerOnThisImage() {
        Image flat = Image.ofLevels(2, 2, 255, n -> 0);
        for (String line : new String[] {"stretch to-low=9", "log reference=image", "exponential reference=image",
            "equalize method=share-from-first"}) {
            Operation right = StepLine.parse(line).bind(flat);
            HandSheet sheet = HandSheet.EMPTY;
            for (int n = 0; n < 4; n++) {
                sheet = sheet.with(flat.pixel(n), "77");
            }
            assertThat(SlipFinder.find(Check.of(sheet, right), right).slips()).as(line).isEmpty();
        }
    }
}

package pixeron.step.pointwise;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import pixeron.image.Image;
import pixeron.number.Value;
import pixeron.step.Inputs;
import pixeron.step.Operation;
import pixeron.step.Progress;
import pixeron.step.catalog.StepLine;

/** All levels of 16 bits at once: each is what it is alone, also next to halves and where a formula has no value for some. */
class EveryLevelTest {

    private static final Image EVERY_LEVEL = Image.ofLevels(256, 256, 65535, n -> n);

    @ParameterizedTest
    @ValueSource(strings = {"linear gain=1.15 bias=-15", "linear gain=1/3 bias=1/2 rounding=nearest-even", "linear gain=-7/9 bias=5 overflow=wrap rounding=floor", "equalize",
        "equalize method=share-from-first", "stretch low=100 high=60001", "power gamma=2", "power gamma=0.5", "power gamma=2.2 rounding=floor", "power gamma=0.1 rounding=ceiling", "log",
        "log scale=20 rounding=truncate", "exponential", "threshold at=99", "threshold-otsu", "quantize levels=7", "bits-xor mask=99", "divide divisor=0.7 overflow=wrap", "depth maximum=1000",
        "piecewise points=\"0 0 | 100 40 | 200 255\"", "formula expression=\"sqrt(r) * 10 + sin(r) * M / 3\"", "formula expression=\"if(r < 40, ln(r + 1) * 20, M - r / 3)\" rounding=nearest-even",
        "formula expression=\"M * (r / M)^3 - mod(r, 7)\"", "formula expression=\"r^2 / 255 + exp(r / 10000)\" overflow=wrap"})
    void isWhatItIsAlone(String line) {
        check(line, StepLine.parse(line).bind(EVERY_LEVEL));
    }

    /** All pairs of 8 bits, which are calculated once each. */
    @ParameterizedTest
    @ValueSource(strings = {"combine with=pull by=sum", "combine with=pull by=difference overflow=wrap", "combine with=pull by=absolute-difference", "combine with=pull by=product rounding=floor",
        "combine with=pull by=mean rounding=nearest-even", "combine with=pull by=blend share=1/3", "combine with=pull by=maximum", "combine with=pull by=xor",
        "formula expression=\"sqrt(r * t) - min(r, t) / 3\" with=pull"})
    void pairsAreWhatTheyAreAlone(String line) {
        Image before = Image.ofLevels(256, 256, 255, n -> n / 256);
        Image pull = Image.ofLevels(256, 256, 255, n -> n % 256);
        check(line, StepLine.parse(line).bind(new Inputs(before, name -> pull)));
    }

    private static void check(String line, Operation operation) {
        Image all = operation.result(Progress.NONE);
        for (int n = 0; n < all.count(); n += 1 + n % 3) {
            Value alone = operation.value(all.pixel(n));
            assertThat(all.value(n).compareValue(alone)).as("%s of %d: %s, alone %s", line, n, all.value(n), alone).isZero();
        }
    }
}

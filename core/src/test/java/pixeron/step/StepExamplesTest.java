package pixeron.step;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.concurrent.CancellationException;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import pixeron.PixeronException;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.number.Decimals;
import pixeron.number.Rational;
import pixeron.step.catalog.Catalog;
import pixeron.step.catalog.StepLine;
import pixeron.working.Line;

class StepExamplesTest {

    private static Image after(String line, int maximum, int... levels) {
        return StepLine.parse(line).bind(Image.of(maximum, new int[][] {levels})).result(Progress.NONE);
    }

    /** Worked out with paper and pencil. */
    @ParameterizedTest
    @CsvSource(delimiter = ';', value = {
        "add amount=30; 255; 0 100 225 226 255; 30 130 255 255 255",
        "add amount=30 overflow=wrap; 255; 225 226 255; 255 0 29",
        "add amount=-3 overflow=wrap; 7; 0 2 3; 5 7 0",
        "subtract amount=96; 255; 0 96 164; 0 0 68",
        "multiply factor=0.29 rounding=floor; 255; 100; 29",
        "linear gain=1.15 bias=-15 rounding=truncate; 255; 100; 100",
        "linear gain=3.75 bias=-360; 255; 137 158 96 164; 154 233 0 255",
        "multiply factor=1.25; 7; 0 1 2 3 4 5 6 7; 0 1 3 4 5 6 7 7",
        "divide divisor=2; 255; 1 3 4; 1 2 2",
        "divide divisor=2 rounding=nearest-even; 255; 1 3 5; 0 2 2",
        "divide divisor=-2 overflow=wrap rounding=truncate; 7; 3 4; 7 6",
        "invert; 10; 0 3 10; 10 7 0",
        "clamp low=2 high=5; 7; 0 2 4 7; 2 2 4 5",
        "clamp high=M; 7; 0 7; 0 7",
        "threshold at=4; 7; 3 4 5; 0 0 7",
        "threshold at=4 compare=at-least; 7; 3 4 5; 0 7 7",
        "threshold at=1/2 low=M high=0; 1; 0 1; 1 0",
        "add amount=1 area=\"0 1 1 2\"; 9; 0 0 0 0; 0 1 1 0"})
    void givesWhatPaperAndPencilGive(String line, int maximum, String before, String expected) {
        int[] levels = java.util.Arrays.stream(before.split(" ")).mapToInt(Integer::parseInt).toArray();
        Image result = after(line, maximum, levels);
        assertThat(java.util.stream.IntStream.range(0, levels.length).mapToObj(n -> Decimals.table(result.value(n)))
                .collect(Collectors.joining(" "))).isEqualTo(expected);
    }

    /** Every level of several ranges, against decimal arithmetic that is written here. */
    @Test
    void isExactAgainstDecimals() {
        assertSame("linear gain=0.07 bias=-1.13",
                r -> r.multiply(new BigDecimal("0.07")).subtract(new BigDecimal("1.13")));
        assertSame("multiply factor=1.005", r -> r.multiply(new BigDecimal("1.005")));
        assertSame("divide divisor=0.4", r -> r.divide(new BigDecimal("0.4")));
        assertSame("subtract amount=12.5", r -> r.subtract(new BigDecimal("12.5")));
    }

    private static void assertSame(String line, UnaryOperator<BigDecimal> formula) {
        for (int maximum : new int[] {1, 3, 10, 255, 65535}) {
            Image before = Image.ofLevels(1, maximum + 1, maximum, n -> n);
            Image after = StepLine.parse(line).bind(before).result(Progress.NONE);
            for (int r = 0; r <= maximum; r += 1 + maximum / 999) {
                int rounded = formula.apply(new BigDecimal(r)).setScale(0, RoundingMode.HALF_UP).intValueExact();
                assertThat(after.level(r)).as("%s of %d", line, r).isEqualTo(Math.max(0, Math.min(maximum, rounded)));
            }
        }
    }

    @Test
    void resultsThatAreNotLevelsMakeAnOpenImage() {
        Image kept = after("add amount=30 overflow=keep", 255, 10, 250);
        assertThat(kept.isLevelImage()).isFalse();
        assertThat(kept.value(1)).isEqualTo(Rational.of(280));
        Image thirds = after("divide divisor=3 rounding=none", 255, 1, 3);
        assertThat(thirds.value(0)).isEqualTo(Rational.of(1, 3));
        // A level that does not occur must not make the image open.
        assertThat(after("add amount=30 overflow=keep", 255, 10, 20).isLevelImage()).isTrue();
        assertThat(StepLine.parse("multiply factor=3").bind(thirds).result(Progress.NONE))
                .isEqualTo(Image.of(255, new int[][] {{1, 3}}));
    }

    @Test
    void theWorkingReadsLikeACalculation() {
        Operation operation = StepLine.parse("linear gain=3.75 bias=-360").bind(Image.of(255,
                new int[][] {{137, 174}}));
        assertThat(operation.explain(new Pixel(0, 0)).lines()).extracting(Line::text).containsExactly(
                "s = gain × r + bias", "s = 3.75 × 137 + (−360)", "  = 513.75 + (−360)", "  = 153.75",
                "153.75 → 154   nearest, ties away from zero", "within 0 … 255, nothing clipped");
        assertThat(operation.explain(new Pixel(0, 1)).lines()).extracting(Line::text).contains(
                "293 → 255   above 255, clipped to it");
        Operation outside = StepLine.parse("invert area=\"0 0 1 1\"").bind(Image.of(255, new int[][] {{137, 174}}));
        assertThat(outside.explain(new Pixel(0, 1)).lines()).singleElement().extracting(Line::text).asString()
                .contains("outside the area");
    }

    @ParameterizedTest
    @CsvSource(delimiter = ';', value = {"ad amount=3; character 1; did you mean \"add\"",
            "sharpness by=3; character 1; there are add, subtract",
        "add; add needs amount=; a number", "add amount=; character 5; empty",
                "add amount=x; character 5; not a number",
        "add amount=1 amount=2; character 14; twice", "add amount=1 speed=2; character 14; no key \"speed\"; ",
        "add 3; character 5; has no value", "divide divisor=0; character 8; other than 0",
                "clamp; clamp needs low=; or both",
        "clamp low=5 high=2; low=5; at most high", "add amount=\"1; character 12; not closed",
                "add amount=\"1\"2; character 15; blank",
        "threshold at=M rounding=up; character 16; nearest-even",
                "invert area=\"1 2 3\"; character 8; four whole numbers",
        "invert area=\"1 2 0 3\"; character 8; from 1", "=3; character 1; name of a step",
                "add amount=1e3; character 5; not a number",
        "add amount=1/0; character 5; zero", "add amount=M; character 5; not a number"})
    void aBadLineNamesTheWordAndItsPlace(String line, String place, String right) {
        assertThatThrownBy(() -> StepLine.parse(line)).isInstanceOf(PixeronException.class)
                .hasMessageContaining(place).hasMessageContaining(right);
    }

    @Test
    void aLineReadsWithSignsBlanksAndQuotes() {
        assertThat(StepLine.parse("  add\tamount=\"\u22123.50\"  rounding=nearest ").line())
                .isEqualTo("add amount=-3.5");
        assertThat(StepLine.parse("divide divisor=6/4").line()).isEqualTo("divide divisor=1.5");
        assertThat(StepLine.parse("divide divisor=2/6").line()).isEqualTo("divide divisor=1/3");
        assertThatThrownBy(() -> StepLine.parse(" ")).hasMessageContaining("empty");
    }

    @Test
    void aStepThatDoesNotSuitTheImageSaysSo() {
        Image small = Image.of(7, new int[][] {{1, 2}});
        assertThatThrownBy(() -> StepLine.parse("invert area=\"0 1 1 2\"").bind(small)).hasMessageContaining("1 × 2");
        assertThatThrownBy(() -> StepLine.parse("clamp low=9 high=M").bind(small)).hasMessageContaining("at most high");
    }

    @Test
    void aResultThatIsNoLongerWantedIsCancelled() {
        Image open = after("divide divisor=3 rounding=none", 255, 1, 2);
        assertThatThrownBy(() -> StepLine.parse("invert").bind(open).result(done -> false))
                .isInstanceOf(CancellationException.class);
    }

    @Test
    void everyStepCanBeFoundAndAdded() {
        assertThat(Catalog.search("thr")).first().extracting(StepType::name).isEqualTo("threshold");
        assertThat(Catalog.search("negative")).extracting(StepType::name).contains("invert", "add");
        assertThat(Catalog.search("zzz")).isEmpty();
        for (StepType type : Catalog.all()) {
            for (int maximum : new int[] {1, 7, 255, 65535}) {
                Step starter = type.starter(maximum);
                assertThat(starter.bind(Image.of(maximum, new int[][] {{0,
                        maximum}})).result(Progress.NONE).isLevelImage()).isTrue();
            }
            assertThat(type.sentence()).endsWith(".");
            assertThat(StepLine.usage(type)).startsWith(type.name());
        }
    }
}

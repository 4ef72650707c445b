package pixeron.step;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import pixeron.PixeronException;
import pixeron.image.ColorImage;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.image.Result;
import pixeron.image.Spectrum;
import pixeron.number.Decimals;
import pixeron.number.Rational;
import pixeron.step.catalog.Catalog;
import pixeron.step.catalog.StepLine;
import pixeron.step.color.Binding;
import pixeron.working.Line;

class StepExamplesTest {

    private static Image after(String line, int maximum, int... levels) {
        return StepLine.parse(line).bind(Image.of(maximum, new int[][] {levels})).result(Progress.NONE);
    }

    /** Calculated with paper and pencil. */
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
        "add amount=1 area=\"0 1 1 2\"; 9; 0 0 0 0; 0 1 1 0",
        // 255 ÷ ln 256 = 45.98590: ln 2 · 45.9859 = 31.88, ln 101 · 45.9859 = 212.23
        "log; 255; 0 1 100 255; 0 32 212 255",
        "log scale=10 rounding=floor; 255; 0 1 6; 0 6 19",
        // 7 ÷ ln 4 = 5.0494: ln 2 · 5.0494 = 3.5 exactly half, away from zero
        "log reference=image; 7; 0 1 3; 0 4 7",
        "log reference=image; 7; 0 0; 0 0",
        // exp(212 ÷ 45.9859) − 1 = 99.495
        "exponential; 255; 0 32 212 255; 0 1 99 255",
        // 255 · (128 ÷ 255)² = 64.25; 255 · (100 ÷ 255)² = 39.2
        "power gamma=2; 255; 0 100 128 255; 0 39 64 255",
        "power gamma=0.5; 255; 64; 128",
        "power gamma=2 scale=0.5; 255; 3 4; 5 8",
        // (137 − 96) · 255 ÷ 68 = 153.75
        "stretch low=96 high=164; 255; 96 137 164 200; 0 154 255 255",
        "stretch; 7; 2 3 4; 0 4 7",
        "stretch to-low=1 to-high=5 rounding=none; 7; 2 3 4; 1 3 5",
        "stretch low=7 high=0; 7; 0 2 7; 7 5 0",
        "stretch; 7; 3 3; 0 0",
        // ten pixels, 10 %: the cumulative count passes 1 at level 1, from above at level 6
        "stretch cut=10; 7; 0 1 1 2 3 4 5 6 6 7; 0 0 0 1 3 4 6 7 7 7",
        "piecewise points=\"0 0 | 4 1 | 7 7\"; 7; 0 2 4 5 6 7; 0 1 1 3 5 7",
        "piecewise points=\"3 5\"; 7; 0 3 7; 5 5 5",
        // cumulative shares 1/4 5/8 3/4 1 against 1/4 1/2 3/4 1: 5/8 is as near to 1/2 as to 3/4
        "match counts=\"1 1 1 1\"; 3; 0 0 1 1 1 2 3 3; 0 0 1 1 1 2 3 3",
        "match counts=\"1 1 1 1\" rule=first-at-least; 3; 0 0 1 1 1 2 3 3; 0 0 2 2 2 2 3 3",
        // against 0 1/2 1/2 1: 1/4 is as near to 0 as to 1/2, 3/4 as near to 1/2 as to 1
        "match counts=\"0 4 0 4\"; 3; 0 0 1 1 1 2 3 3; 0 0 1 1 1 1 3 3",
        "match counts=\"0 4 0 4\" rule=first-at-least; 3; 0 0 1 1 1 2 3 3; 1 1 3 3 3 3 3 3",
        // one row: with zeros above and below the means of 3 × 3 are 2/9 7/9 8/9 8/9 3/9
        "threshold-local size=3; 7; 0 2 5 1 2; 0 7 7 7 7",
        // 5 > 8/9 + 4, but 2 < 7/9 + 4
        "threshold-local size=3 offset=-4; 7; 0 2 5 1 2; 0 0 7 0 0",
        // means of the cells inside: 1, 7/3, 8/3, 8/3, 3/2
        "threshold-local size=3 border=inside; 7; 0 2 5 1 2; 0 0 7 0 7",
        "threshold-local size=3 border=replicate; 7; 0 2 5 1 2; 0 0 7 0 7",
        // nine cells with 7 outside: 16.3…; in one row no window of 3 × 3 fits, so all stay
        "threshold-local size=3 border=constant outside=7; 7; 0 2 5 1 2; 0 0 0 0 0",
        "threshold-local size=3 border=keep; 7; 0 2 5 1 2; 0 2 5 1 2",
        // a window of one row and column fits everywhere; every r is its own mean
        "threshold-local size=1 border=crop offset=1; 7; 0 2 5 1 2; 7 7 7 7 7",
        // the anchor of a window of 2 × 2 is its upper left cell: means 2/4 7/4 6/4 3/4 2/4
        "threshold-local size=2; 7; 0 2 5 1 2; 0 7 7 7 7",
        // one row, zeros above and below: (0 + 0 + 1·2 + 2·0 + …): 2·0+2 = 2, 0+2·2+5 = 9, 2+10+1 = 13, 5+2+2 = 9, 1+4 = 5, of 4
        "kernel weights=\"1 2 1\"; 9; 0 2 5 1 2; 1 2 3 2 1",
        // correlation takes the right neighbor less the left one, convolution the left one less the right one
        "kernel weights=\"-1 0 1\" overflow=keep; 9; 0 2 5 1 2; 2 5 -1 -3 -1",
        "kernel weights=\"-1 0 1\" sum=convolution overflow=keep; 9; 0 2 5 1 2; -2 -5 1 3 1",
        "kernel weights=\"-1 0 1\" divisor=2 offset=4; 9; 0 2 5 1 2; 5 7 4 3 4",
        // the anchor on the left cell: 1·r + 3·right, of 4
        "kernel weights=\"1 3\"; 9; 0 2 5 1 2; 2 4 2 2 1",
        "kernel weights=\"1 3\" anchor=\"0 1\"; 9; 0 2 5 1 2; 0 2 4 2 2",
        "kernel weights=\"1 3\" anchor=auto divisor=auto; 9; 0 2 5 1 2; 2 4 2 2 1",
        "kernel weights=\"1 3\" border=replicate; 9; 0 2 5 1 2; 2 4 2 2 2",
        // at the ends only two weights are inside: 2·0 + 2 of 3, 1 + 2·2 of 3
        "kernel weights=\"1 2 1\" border=inside; 9; 0 2 5 1 2; 1 2 3 2 2",
        "kernel weights=\"1 2 1\" border=keep; 9; 0 2 5 1 2; 0 2 3 2 2",
        "kernel weights=\"1 2 1\" border=periodic; 9; 0 2 5 1 2; 1 2 3 2 1",
        "kernel weights=\"1 1 1\" border=mirror-whole; 9; 0 3 6; 2 3 4",
        "kernel weights=\"1 1 1\" border=mirror-half; 9; 0 3 6; 1 3 5",
        "kernel weights=\"1 1 1\" border=constant outside=9; 9; 0 3 6; 4 3 6",
        // sums of three over nine cells: 2 7 8 8 3
        "box size=3; 9; 0 2 5 1 2; 0 1 1 1 0",
        "box size=3 border=inside; 9; 0 2 5 1 2; 1 2 3 3 2",
        // the row of 1 2 1 down and across with zeros: 2·(2·0 + 2), … of 16
        "binomial size=3; 9; 0 2 5 1 2; 0 1 2 1 1",
        "sharpen border=replicate; 9; 2 2 5 2 2; 2 0 9 0 2",
        "laplacian neighbors=4 overflow=keep; 9; 0 2 5 1 2; 2 -3 -17 3 -7",
        "laplacian neighbors=8 overflow=keep border=inside; 9; 0 2 5; 2 -11 -38",
        "median size=3; 9; 0 2 5 1 2; 1 2 2 2 2",
        "minimum size=3; 9; 0 2 5 1 2; 0 0 1 1 1",
        "maximum size=3; 9; 0 2 5 1 2; 2 5 5 5 2",
        "median size=3 border=zero; 9; 9 9 9; 0 0 0",
        // rows repeated: each value three times; the fourth of nine
        "rank size=3 place=4; 9; 0 2 5 1 2; 0 2 2 2 2",
        "slice low=2 high=4; 7; 1 2 4 5; 1 7 7 5",
        "slice low=2 high=4 inside=3 outside=0; 7; 1 2 4 5; 0 3 3 0",
        // 8 levels in 3 bins: q = ⌊3r ÷ 8⌋ = 0 0 0 1 1 1 2 2, s = 3.5q
        "quantize levels=3; 7; 0 1 2 3 4 5 6 7; 0 0 0 4 4 4 7 7",
        "posterize cuts=\"50 100 150 200\" values=\"50 100 150 200 255\"; 255; 49 50 149 200 255; 50 100 150 255 255",
        "bit-plane bit=1; 7; 0 1 2 3 4 6; 0 0 7 7 0 7",
        "bit-plane bit=2 as=bit; 7; 3 4 7; 0 1 1",
        "bits-and mask=0b0110; 15; 5 9 15; 4 0 6",
        "bits-or mask=0x8; 15; 5 9; 13 9",
        "bits-xor mask=15; 15; 5 0; 10 15",
        "bit-shift by=-2; 255; 3 4 255; 0 1 63",
        "bit-shift by=3; 255; 5 40; 40 255",
        "depth maximum=255; 7; 0 3 7; 0 109 255",
        "depth maximum=1; 7; 3 4; 0 1",
        "lookup table=\"0 3 | 2 0\"; 7; 0 1 2; 3 1 0",
        "formula expression=\"r + 2 * j\"; 255; 5 5 5; 5 7 9",
        "formula expression=\"(r - min) / (max - min) * M\"; 7; 2 3 4; 0 4 7",
        // C = 2 3 4 4, N = 4: 7 · 2 ÷ 4 = 3.5
        "equalize; 7; 0 0 3 5; 4 4 5 7",
        // C0 = 2: 7 · 1 ÷ 2 = 3.5
        "equalize method=share-from-first; 7; 0 0 3 5; 0 0 4 7",
        "equalize method=share-from-first; 7; 3 3; 3 3",
        "band low=2 high=4; 7; 1 2 4 5; 0 7 7 0",
        // between-class variance is largest at t = 0, 1 and 2, which part alike
        "threshold-otsu; 7; 0 0 3 5; 0 0 7 7",
        "threshold-iterative low=1; 7; 0 0 3 5; 1 1 7 7",
        // t = 4: means 1 and 5, next 3; t = 3: the same parts, next 3
        "threshold-iterative start=4 stop=0; 7; 0 0 3 5; 0 0 0 7",
        // C(3) = 3 is the first with 100 · C ≥ 60 · 5
        "threshold-percentile percent=60; 7; 0 1 3 5 7; 0 0 0 7 7"})
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
                "153.75 → 154   nearest, ties away from zero", "within 0–255, nothing clipped");
        assertThat(operation.explain(new Pixel(0, 1)).lines()).extracting(Line::text).contains(
                "293 → 255   above 255, clipped to it");
        Operation outside = StepLine.parse("invert area=\"0 0 1 1\"").bind(Image.of(255, new int[][] {{137, 174}}));
        assertThat(outside.explain(new Pixel(0, 1)).lines()).singleElement().extracting(Line::text).asString()
                .contains("outside the area");
    }

    @ParameterizedTest
    @CsvSource(delimiter = ';', value = {"ad amount=3; Character 1; did you mean \"add\"",
            "sharpness by=3; Character 1; the nearest are sharpen, kernel, unsharp; the command \"pixeron steps\" lists all",
        "add; add needs amount=; a number", "add amount=; Character 5; empty",
                "add amount=x; Character 5; not a number",
        "add amount=1 amount=2; Character 14; twice", "add amount=1 speed=2; Character 14; add has no parameter \"speed\"; ",
        "add 3; Character 5; has no value", "divide divisor=0; Character 8; other than 0",
                "clamp; clamp needs low=; or both",
        "clamp low=5 high=2; low=5; Low must be at most High", "add amount=\"1; Character 12:; the closing quote is missing",
                "add amount=\"1\"2; Character 15:; put a space after the closing quote",
        "threshold at=M rounding=up; Character 16:; nearest-even",
                "invert area=\"1 2 3\"; Character 8; four whole numbers",
        "invert area=\"1 2 0 3\"; Character 8; height and width at least 1", "=3; Character 1; expected the name of a step, found \"=…\"",
                "add amount=1e3; Character 5; not a number",
        "add amount=1/0; Character 5; zero", "add amount=M; Character 5; not a number"})
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
        assertThatThrownBy(() -> StepLine.parse("clamp low=9 high=M").bind(small)).hasMessageContaining("Low must be at most High");
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
        // Who types a whole name means that step, though the names of others begin with it: line and linear.
        Catalog.all().forEach(type -> assertThat(Catalog.search(type.name()).get(0).name()).isEqualTo(type.name()));
        for (StepType type : Catalog.all()) {
            assertThat(Catalog.find(type.name())).as("the name in the list").containsSame(type);
            for (int maximum : new int[] {1, 7, 255, 65535}) {
                Image two = Image.of(maximum, new int[][] {{0, maximum}});
                Result before = Stream.of(two, new ColorImage(two, two, two, Optional.empty()), 
                        Binding.of(StepLine.parse("fourier"), two).result(Progress.NONE)).filter(type::takes).findFirst().orElseThrow();
                Result after = Binding.of(type.starter(maximum), before).result(Progress.NONE);
                assertThat(after.faces()).allMatch(face -> after instanceof Spectrum || face.image().isLevelImage());
            }
            assertThat(type.sentence()).endsWith(".");
            assertThat(StepLine.usage(type)).startsWith(type.name());
        }
    }

    @ParameterizedTest
    @CsvSource(delimiter = ';', value = {
        "log scale=2 reference=image; Reference works with scale=auto only",
        "stretch cut=5 low=3; Give only one of them", "stretch cut=50; from 0 to below 50",
        "piecewise points=\"0 0 | 0 3\"; r must increase", "piecewise points=\"0 0 0\"; points contains \"0 0 0\" instead of two numbers",
        "posterize cuts=\"5 3\" values=\"1 2 3\"; Cut points must increase", "posterize cuts=5 values=1; one value more",
        "bit-plane bit=16; from 0 to 15", "bits-and mask=65536; from 0 to 65535", "bits-and mask=x; 0x0F",
        "bit-shift by=17; from -16 to 16", "depth maximum=7 area=\"0 0 1 1\"; Leave area out",
        "lookup table=\"1 2 | 1 3\"; twice", "formula expression=\"r +\"; Character 4:",
        "formula expression=\"q + 1\"; q", "power gamma=0; above 0", "threshold-percentile percent=101; from 0 to 100"})
    void whatIsWrongInALineIsSaid(String line, String message) {
        assertThatThrownBy(() -> StepLine.parse(line)).isInstanceOf(PixeronException.class)
                .hasMessageContaining(message);
    }

    @ParameterizedTest
    @CsvSource(delimiter = ';', value = {
        "threshold-otsu; needs levels", "threshold-iterative start=9; above t = 9",
        "equalize; Histogram equalization needs levels, but the value at row 0, column 1 is -1, not a whole number from 0 to 7", "quantize levels=3; needs levels",
        "threshold-percentile percent=5; needs levels", "stretch cut=5; -1", "bits-and mask=1; needs whole numbers of at least 0, but one value is \u22121",
        "bit-shift by=1; whole numbers of at least 0", "bit-plane bit=0; column 1", "log; column 1", "power gamma=0.5; column 1",
        "slice low=M high=0; Low must be at most High"})
    void whatAnImageDoesNotAllowIsSaid(String line, String message) {
        Image open = Image.from(1, 2, 7, Rational.of(3), Rational.of(-1));
        assertThatThrownBy(() -> StepLine.parse(line).bind(open).result(Progress.NONE))
                .isInstanceOf(PixeronException.class).hasMessageContaining(message.replace("\\u2212", "\u2212"));
    }

    /** M may be written wherever a level is meant: 7 is outside, and (7 + 0 + 1) ÷ 3 is 2.67. */
    @ParameterizedTest
    @CsvSource(delimiter = ';', value = {
        "kernel weights=\"1 1 1\" border=constant outside=M; 3 1 2 4",
        "minimum size=3 border=constant outside=M; 0 0 1 2",
        "clamp low=2 high=M; 2 2 2 3", "slice low=1 high=M inside=M outside=M; 7 7 7 7", "slice low=1 high=2 outside=M; 7 7 7 7",
        "threshold at=M compare=at-least; 0 0 0 0", "band low=1 high=M; 0 7 7 7", "stretch low=0 high=M to-low=M to-high=0; 7 6 5 4",
        "threshold-iterative start=M stop=7; 0 0 7 7"})
    void theMaximumLevelIsWrittenAsM(String line, String expected) {
        Image row = Image.of(7, new int[][] {{0, 1, 2, 3}});
        if (line.contains("start=M")) {
            // Nothing is above M, so the first round has no mean there, and that is said.
            assertThatThrownBy(() -> StepLine.parse(line).bind(row)).hasMessageContaining("no value is above t = 7, so this class has no mean");
            return;
        }
        Image after = StepLine.parse(line).bind(row).result(Progress.NONE);
        assertThat(IntStream.range(0, 4).mapToObj(n -> String.valueOf(after.level(n))).collect(Collectors.joining(" ")))
                .isEqualTo(expected);
    }

    @Test
    void theWorkingSaysWhereItsNumbersComeFrom() {
        Operation stretch = StepLine.parse("stretch").bind(Image.of(255, new int[][] {{96, 137, 164}}));
        assertThat(stretch.explain(new Pixel(0, 1)).lines().stream().map(Line::text)).anyMatch(text ->
                text.contains("low = 96   the smallest sample")).anyMatch(text -> text.contains("153.75 → 154"));
        Operation equalize = StepLine.parse("equalize").bind(Image.of(7, new int[][] {{0, 0, 3, 5}}));
        assertThat(equalize.explain(new Pixel(0, 2)).lines().stream().map(Line::text))
                .containsSubsequence("C(3) = 3", "s = 7 × 3 ÷ 4");
        Operation flat = StepLine.parse("stretch").bind(Image.of(7, new int[][] {{3, 3}}));
        assertThat(flat.notes()).containsExactly("low and high are both 3, so every pixel gets to-low.");
        Operation bits = StepLine.parse("bits-and mask=6").bind(Image.of(15, new int[][] {{5}}));
        assertThat(bits.explain(new Pixel(0, 0)).lines().stream().map(Line::text))
                .anyMatch(text -> text.contains("0b101 and 0b110 = 0b100"));
        assertThat(StepLine.parse("depth maximum=3").bind(Image.of(7, new int[][] {{7}})).result(Progress.NONE)
                .maximumLevel()).isEqualTo(3);
    }

    @Test
    void thresholdsSayWhyAndTheirTies() {
        Operation otsu = StepLine.parse("threshold-otsu").bind(Image.of(7, new int[][] {{0, 0, 3, 5}}));
        assertThat(otsu.notes()).containsExactly(
                "The variance is largest at t = 0 to 2 (the same two classes); the smallest t is used.");
        assertThat(otsu.explain(new Pixel(0, 2)).lines().stream().map(Line::text))
                .anyMatch(text -> text.contains("t = 0   between-class variance 4, the largest"));
        assertThatThrownBy(() -> StepLine.parse("threshold-otsu").bind(Image.of(7, new int[][] {{4, 4}})))
                .hasMessageContaining("only level 4 occurs");
        assertThatThrownBy(() -> StepLine.parse("threshold-iterative").bind(Image.of(7, new int[][] {{4, 4}})))
                .hasMessageContaining("no value is above t = 4, so this class has no mean");
        // one level of three on either side: 0 4 8 is parted alike well at 0 and at 4
        Operation even = StepLine.parse("threshold-otsu").bind(Image.of(8, new int[][] {{0, 4, 8}}));
        assertThat(even.notes().get(0)).contains("t = 0 to 3 (the same two classes) and at t = 4 to 7");
    }

    /** An exponential of the same scale undoes an unrounded logarithm. */
    @Test
    void exponentialUndoesLogarithm() {
        Image before = Image.ofLevels(1, 256, 255, n -> n);
        Image log = StepLine.parse("log rounding=none").bind(before).result(Progress.NONE);
        assertThat(StepLine.parse("exponential").bind(log).result(Progress.NONE)).isEqualTo(before);
        assertThat(log.asDouble(255)).as("not 255 and a little").isEqualTo(255.0);
    }

    @Test
    void aCroppedResultHasOnlyPixelsWhoseWindowFits() {
        Image before = Image.of(9, new int[][] {{1, 2, 3, 4}, {5, 9, 1, 8}, {9, 8, 7, 6}});
        Operation local = StepLine.parse("threshold-local size=3 border=crop").bind(before);
        // means (1+2+3+5+9+1+9+8+7) ÷ 9 = 5 under 9 and (2+3+4+9+1+8+8+7+6) ÷ 9 = 5.33 under 1
        assertThat(local.result(Progress.NONE)).isEqualTo(Image.of(9, new int[][] {{9, 0}}));
        assertThat(local.sheet("Window mean", Progress.NONE).value(1)).isEqualTo(Rational.of(16, 3));
        assertThat(local.explain(new Pixel(0, 1)).title()).endsWith("(before: row 1, column 2)");
        assertThatThrownBy(() -> StepLine.parse("threshold-local size=4 border=crop").bind(before))
                .hasMessageContaining("border=crop leaves no pixel:");
        assertThatThrownBy(() -> StepLine.parse("threshold-local size=3 border=crop area=\"0 0 1 1\""))
                .hasMessageContaining("Leave one of them out");
    }

    @ParameterizedTest
    @CsvSource(delimiter = ';', value = {
        "kernel weights=\"1 2 | 3\"; weights has 1 numbers in row 1 (counted from 0), but row 0 has 2",
        "kernel weights=\"1 two 3\"; \"two\", which is not a number", "kernel weights=\" \"; is empty",
        "kernel weights=\"1\" divisor=0; divisor=0 is not allowed",
        "kernel weights=\"1 1\" anchor=\"0 2\"; a column from 0 to 1",
        "kernel weights=\"1\" border=constant; needs outside", "kernel weights=\"1\" outside=3; Leave it out",
        "median size=4 border=zero; has no middle cell", "rank size=2 place=5; beyond the 4 cells",
        "box size=32; from 1 to 31", "laplacian; needs neighbors", "box size=1.5; from 1 to 31"})
    void aWindowThatMakesNoSenseIsRefused(String line, String message) {
        assertThatThrownBy(() -> StepLine.parse(line)).isInstanceOf(PixeronException.class)
                .hasMessageContaining(message);
    }
}

package pixeron.step.noise;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import pixeron.PixeronException;
import pixeron.byhand.Check;
import pixeron.byhand.HandSheet;
import pixeron.byhand.slip.search.SlipFinder;
import pixeron.image.ColorImage;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.image.Result;
import pixeron.number.Draws;
import pixeron.number.Rational;
import pixeron.step.Bound;
import pixeron.step.Operation;
import pixeron.step.Progress;
import pixeron.step.StepArbitraries;
import pixeron.step.catalog.StepLine;
import pixeron.step.color.Binding;
import pixeron.working.Line;

/** Disturbances, against numbers calculated apart from the program. */
class NoiseTest {

    private static final Image GRAY = Image.ofLevels(3, 4, 255, n -> 100);

    private static Image result(String line, Image before) {
        return StepLine.parse(line).bind(before).result(Progress.NONE);
    }

    private static String values(Image image) {
        return IntStream.range(0, image.count()).mapToObj(n -> image.value(n).toString()).collect(Collectors.joining(" "));
    }

    @Test
    void drawnNumbersAreTheSameOnEveryMachine() {
        assertThat(new Draws(0).bits(0)).isEqualTo(0xE220A8397B1DCDAFL);
        assertThat(new Draws(0).bits(1)).isEqualTo(0x6E789E6AA1B965F4L);
        assertThat(new Draws(1).bits(0)).isEqualTo(0x910A2DEC89025CC1L);
        assertThat(new Draws(-1).bits(5)).isEqualTo(0xD31DADBDA438BB33L);
    }

    @Property(tries = 300)
    void aDrawnNumberIsTheFloorOfItsShare(@ForAll long seed, @ForAll int n) {
        Draws draws = new Draws(seed);
        long range = 1L + Math.floorMod(seed * 31 + n, 1L << 32);
        assertThat(Rational.of(draws.below(n, range))).isEqualTo(pixeron.number.Rounding.FLOOR.apply(draws.share(n).times(Rational.of(range))));
        assertThat(draws.share(n).asDouble()).isEqualTo(draws.shareAsDouble(n)).isBetween(0.0, Math.nextDown(1.0));
    }

    @ParameterizedTest
    @CsvSource(delimiter = ';', value = {"uniform-noise from=-5 to=5; 101 103 105 99 99 103 104 100 98 103 99 101",
        "uniform-noise from=-300 to=300 seed=-7 overflow=keep; 53 87 345 -105 140 285 130 -196 -184 40 172 94",
        "uniform-noise from=-300 to=300 seed=-7; 53 87 255 0 140 255 130 0 0 40 172 94",
        "gaussian-noise deviation=10 mean=2 seed=3; 100 114 97 106 111 98 96 107 109 97 119 107",
        "gaussian-noise deviation=0 mean=3; 103 103 103 103 103 103 103 103 103 103 103 103",
        "salt-pepper count=5 seed=2; 100 100 100 100 255 0 100 100 255 100 255 0",
        "salt-pepper count=5 white=0 seed=2 low=7; 100 100 100 100 7 7 100 100 7 100 7 7",
        "salt-pepper count=2 white=50 seed=2 area=\"1 1 2 2\"; 100 100 100 100 100 0 100 100 100 100 255 100",
        "periodic-noise amplitude=20 period-rows=3 period-columns=4 phase=30; 110 117 90 83 110 83 90 117 80 100 120 100",
        "periodic-noise amplitude=20 cycles-columns=1; 100 120 100 80 100 120 100 80 100 120 100 80",
        "periodic-noise amplitude=-20 period-columns=4 rounding=none; 100 80 100 120 100 80 100 120 100 80 100 120"})
    void valuesAreThoseOfTheDefinition(String line, String expected) {
        assertThat(values(result(line, GRAY))).isEqualTo(expected);
    }

    @Test
    void aNormalNumberIsWorkedOut() {
        Operation operation = StepLine.parse("gaussian-noise deviation=10 mean=2 seed=3 rounding=none").bind(GRAY);
        assertThat(operation.value(new Pixel(2, 2)).asDouble()).isEqualTo(119.01241130749253, within(1e-9));
        List<String> lines = operation.explain(new Pixel(2, 2)).lines().stream().map(Line::text).toList();
        assertThat(lines).contains("n = i × W + j = 2 × 4 + 2 = 10").anyMatch(line -> line.startsWith("u(20) ≈ ")).anyMatch(line -> line.contains("seed 3"));
    }

    @Property(tries = 150)
    void allAtOnceIsAsExplained(@ForAll long seed) {
        Random random = new Random(seed);
        Image before = StepArbitraries.image(random);
        List<String> lines = List.of("uniform-noise from=-9 to=30 seed=" + seed / 3, "gaussian-noise deviation=20 overflow=wrap seed=5",
                "salt-pepper count=" + random.nextInt(before.count() + 1) + " white=30 seed=" + random.nextInt(),
                "periodic-noise amplitude=30 cycles-rows=2 cycles-columns=-1 phase=45", "uniform-noise from=0 to=0", "uniform-noise from=-3 to=1 overflow=wrap area=\"0 0 1 1\"");
        for (String line : lines) {
            Operation operation = StepLine.parse(line).bind(before);
            Image all = operation.result(Progress.NONE);
            for (int n = 0; n < all.count(); n++) {
                assertThat(all.value(n).asDouble()).as(line).isEqualTo(operation.value(all.pixel(n)).asDouble());
                assertThat(operation.explain(all.pixel(n)).result()).isEqualTo(operation.value(all.pixel(n)));
            }
        }
        // Nothing is drawn that is not asked for: the count is exact, and the rest stays.
        int count = random.nextInt(before.count() + 1);
        Image marked = result("salt-pepper count=" + count + " white=100 high=999999 overflow=keep seed=" + seed, before);
        assertThat(IntStream.range(0, marked.count()).filter(n -> marked.value(n).equals(Rational.of(999999))).count()).isEqualTo(count);
    }

    /** Red draws with the seed, green with the next, blue with the one after; specks are the same in all. */
    @Test
    void channelsDrawNumbersOfTheirOwn() {
        ColorImage gray = new ColorImage(GRAY, GRAY, GRAY, Optional.of(GRAY));
        Bound bound = Binding.of(StepLine.parse("uniform-noise from=-5 to=5 seed=4 channels=\"blue alpha\""), gray);
        Result after = bound.result(Progress.NONE);
        assertThat(after.face("red")).contains(GRAY);
        assertThat(after.face("blue")).contains(result("uniform-noise from=-5 to=5 seed=6", GRAY));
        assertThat(after.face("alpha")).contains(result("uniform-noise from=-5 to=5 seed=7", GRAY));
        assertThat(bound.step().line()).contains("seed=4");
        Result specks = Binding.of(StepLine.parse("salt-pepper count=4 seed=9"), gray).result(Progress.NONE);
        assertThat(specks.face("green")).isEqualTo(specks.face("red")).contains(result("salt-pepper count=4 seed=9", GRAY));
    }

    @ParameterizedTest
    @CsvSource(delimiter = ';', value = {"uniform-noise from=3 to=2; from=3 is above to=2", "uniform-noise from=1/2 to=2; a whole number", "salt-pepper count=13; salt-pepper has count=13, but the image has 12 pixels",
        "salt-pepper count=3 white=101; from 0 to 100", "salt-pepper count=3 area=\"0 0 1 2\"; salt-pepper has count=3, but the image has 2 pixels", "gaussian-noise deviation=-1; 0 or more",
        "periodic-noise amplitude=3; needs period-rows", "periodic-noise amplitude=3 period-rows=0; other than 0", "periodic-noise amplitude=3 period-rows=2 cycles-columns=2; exclude each other",
        "uniform-noise from=0 to=1 seed=9223372036854775808; a whole number from"})
    void badNumbersAreSaid(String line, String message) {
        assertThatThrownBy(() -> StepLine.parse(line).bind(GRAY)).isInstanceOf(PixeronException.class).hasMessageContaining(message);
    }

    private static String found(String line, double[] written) {
        Operation operation = StepLine.parse(line).bind(GRAY);
        HandSheet sheet = HandSheet.EMPTY;
        for (int n = 0; n < written.length; n++) {
            sheet = sheet.with(GRAY.pixel(n), String.valueOf(Math.round(written[n])));
        }
        return SlipFinder.find(Check.of(sheet, operation), operation).slips().get(0).id();
    }

    private interface Wave {
        double turns(int i, int j);
    }

    private static double[] wave(Wave wave, double phase, double unit) {
        double[] values = new double[12];
        Arrays.setAll(values, n -> 100 + 50 * Math.sin(2 * Math.PI * wave.turns(n / 4, n % 4) * unit + phase));
        return values;
    }

    @Test
    void slipsOfAWave() {
        String line = "periodic-noise amplitude=50 period-rows=5 period-columns=3 phase=30";
        assertThat(found(line, wave((i, j) -> (i + 1) / 5.0 + (j + 1) / 3.0, Math.PI / 6, 1))).isEqualTo("counted-from-one");
        assertThat(found(line, wave((i, j) -> i / 5.0 + j / 3.0, 30, 1))).isEqualTo("degrees-for-radians");
        assertThat(found(line, wave((i, j) -> 5.0 * i / 3 + 3.0 * j / 4, Math.PI / 6, 1))).isEqualTo("period-for-cycles");
        assertThat(found("periodic-noise amplitude=50 cycles-rows=5 cycles-columns=3", wave((i, j) -> i / 5.0 + j / 3.0, 0, 1))).isEqualTo("period-for-cycles");
        // The sine of the number of radians, taken in degrees.
        double[] degrees = new double[12];
        Arrays.setAll(degrees, n -> 100 + 500 * Math.sin((2 * Math.PI * ((n / 4 / 5.0 + n % 4 / 3.0) % 1)) * Math.PI / 180));
        assertThat(found("periodic-noise amplitude=500 period-rows=5 period-columns=3 overflow=keep", degrees)).isEqualTo("degrees-for-radians");
    }
}

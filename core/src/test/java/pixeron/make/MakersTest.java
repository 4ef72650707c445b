package pixeron.make;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import pixeron.PixeronException;
import pixeron.image.ColorImage;
import pixeron.image.Frame;
import pixeron.image.Image;
import pixeron.number.Decimals;
import pixeron.number.Rational;
import pixeron.step.key.KeyedLine;

class MakersTest {

    private static String values(Image image) {
        return IntStream.range(0, image.count()).mapToObj(n -> (n > 0 && n % image.columns() == 0 ? "| " : "")
                + Decimals.table(image.value(n))).collect(Collectors.joining(" "));
    }

    /** Calculated with paper and pencil. */
    @ParameterizedTest
    @CsvSource(delimiter = ';', value = {
        "fill rows=1 columns=3 value=7; 7 7 7",
        "formula rows=2 columns=3 expression=\"i * j + 1\"; 1 1 1 | 1 2 3",
        "formula rows=2 columns=2 maximum=1 expression=\"mod(x + y, 2)\"; 0 1 | 1 0",
        "formula rows=1 columns=2 expression=\"H + W + N + M + L + y\"; 516 516",
        "gradient rows=1 columns=4 maximum=6; 0 2 4 6",
        "gradient rows=3 columns=1 from=10 to=0 across=rows; 10 | 5 | 0",
        "gradient rows=1 columns=1; 0",
        "gradient rows=1 columns=3 maximum=7 rounding=floor; 0 3 7",
        "checker rows=2 columns=4 size=2 maximum=1; 0 0 1 1 | 0 0 1 1",
        "checker rows=2 columns=2 low=3 high=5; 3 5 | 5 3",
        "stripes rows=1 columns=5 width=2 maximum=9; 0 0 9 9 0",
        "stripes rows=2 columns=2 across=rows maximum=9; 0 0 | 9 9",
        "disc rows=3 columns=3 radius=1 maximum=1; 0 1 0 | 1 1 1 | 0 1 0",
        "sine rows=1 columns=4 period=4 maximum=10; 5 10 5 0",
        "formula rows=1 columns=2 maximum=1 overflow=clip expression=\"x * 5\"; 0 1"})
    void makesWhatPaperAndPencilGive(String line, String expected) {
        assertThat(values(Makers.gray(line))).isEqualTo(expected);
    }

    @Test
    void valuesBeyondTheLevelsAreKeptAndNeverClippedSilently() {
        Image table = Makers.gray("formula rows=20 columns=20 expression=\"(i + 1) * (j + 1)\"");
        assertThat(table.isLevelImage()).isFalse();
        assertThat(table.value(399)).isEqualTo(Rational.of(400));
        assertThat(Makers.gray("formula rows=1 columns=3 rounding=none expression=\"j / 3\"").value(1))
                .isEqualTo(Rational.of(1, 3));
    }

    @Test
    void noiseIsTheSameForASeedAndStaysInItsRange() {
        Image noise = Makers.gray("uniform-noise rows=3 columns=4 maximum=15 low=4 high=9 seed=7");
        assertThat(noise).isEqualTo(Makers.gray("uniform-noise rows=3 columns=4 maximum=15 low=4 high=9 seed=7"))
                .isNotEqualTo(Makers.gray("uniform-noise rows=3 columns=4 maximum=15 low=4 high=9 seed=8"));
        // The first numbers of the specified generator for this seed, written out so that they can never drift.
        assertThat(values(noise)).isEqualTo(NOISE_OF_SEED_7);
        assertThat(IntStream.range(0, noise.count()).map(noise::level)).allMatch(level -> level >= 4 && level <= 9);
    }

    @Test
    void gaussianNoiseHasItsMeanAndDeviationAndSaltAndPepperItsCount() {
        Image gaussian = Makers.gray("gaussian-noise rows=100 columns=100 mean=100 deviation=10 seed=3");
        double mean = IntStream.range(0, 10_000).map(gaussian::level).average().orElseThrow();
        double variance = 0;
        for (int n = 0; n < 10_000; n++) {
            variance += Math.pow(gaussian.level(n) - mean, 2) / 10_000;
        }
        // Three standard errors: 10 ÷ √10000 · 3, and about 2 % of the deviation.
        assertThat(mean).isBetween(99.7, 100.3);
        assertThat(Math.sqrt(variance)).isBetween(9.75, 10.25);
        Image specks = Makers.gray("salt-pepper rows=6 columns=5 maximum=7 ground=3 count=9 seed=2");
        assertThat(IntStream.range(0, 30).map(specks::level).filter(level -> level == 0 || level == 7).count())
                .isEqualTo(9);
        assertThat(IntStream.range(0, 30).map(specks::level).filter(level -> level == 3).count()).isEqualTo(21);
    }

    private static final String NOISE_OF_SEED_7 = "6 4 9 7 | 6 5 6 5 | 4 6 4 9";

    @ParameterizedTest
    @CsvSource(delimiter = ';', value = {"gradiant rows=3; Use fill, color, formula, gradient, checker, stripes, disc, sine, uniform-noise, gaussian-noise, salt-pepper",
            "formula rows=2; needs expression=",
        "fill rows=0; whole number from 1 to 8192", "fill rows=M; whole number from 1 to 8192",
                "fill maximum=70000; from 1 to 65535",
        "formula expression=\"1/j\"; At row 0, column 0: Division by zero",
                "formula expression=\"r + 1\"; one of the names",
        "uniform-noise low=9 high=3; must be at most high=3", "checker size=0; above 0",
                "salt-pepper count=65; more than the 64 pixels", "fill rows=2 rows=3; twice", "fill speed=2; fill has no parameter \"speed\""})
    void aBadLineSaysWhatWouldBeRight(String line, String message) {
        assertThatThrownBy(() -> Makers.gray(line)).isInstanceOf(PixeronException.class).hasMessageContaining(message);
    }

    @Test
    void aColorFillsEveryChannelAndBringsAlphaWhereItHasOne() {
        ColorImage ink = (ColorImage) Makers.make("color rows=2 columns=3 color=0xD22864");
        assertThat(ink.frame()).isEqualTo(new Frame(2, 3, 255));
        assertThat(values(ink.red())).isEqualTo("210 210 210 | 210 210 210");
        assertThat(values(ink.green())).isEqualTo("40 40 40 | 40 40 40");
        assertThat(values(ink.blue())).isEqualTo("100 100 100 | 100 100 100");
        assertThat(ink.alpha()).isEmpty();
        ColorImage clear = (ColorImage) Makers.make("color rows=1 columns=1 color=0x80D22864");
        assertThat(values(clear.alpha().orElseThrow())).isEqualTo("128");
        assertThat(Makers.make("color rows=1 columns=1 maximum=7 color=\"7 0 3\"").faces()).extracting(face -> face.image().level(0)).containsExactly(7, 0, 3);
        assertThatThrownBy(() -> Makers.make("color color=12")).hasMessageContaining("color=12 is not a color. Use 0xRRGGBB");
        assertThatThrownBy(() -> Makers.make("color color=\"1 2 300\"")).hasMessageContaining("blue=300 is not a level. Use a whole number from 0 to 255.");
        assertThatThrownBy(() -> Makers.gray("color")).hasMessageContaining("is in color");
    }

    @Test
    void everyMakerDescribesItself() {
        for (Maker maker : Makers.all()) {
            assertThat(maker.sentence()).endsWith(".");
            assertThat(maker.title()).isNotEmpty();
            assertThat(KeyedLine.usage(maker)).startsWith(maker.name() + " [rows=8] [columns=8] [maximum=255]");
        }
    }
}

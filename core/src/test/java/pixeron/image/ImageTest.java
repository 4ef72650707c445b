package pixeron.image;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.math.BigInteger;
import java.util.Arrays;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import pixeron.PixeronException;
import pixeron.number.Approximate;
import pixeron.number.Rational;
import pixeron.number.Value;

class ImageTest {

    @Test
    void wholeValuesInRangeMakeALevelImageWhateverMadeIt() {
        assertThat(Image.from(1, 2, 7, Rational.of(0), Rational.of(14, 2)).isLevelImage()).isTrue();
        assertThat(Image.from(1, 2, 7, Rational.of(0), Rational.of(8)).isLevelImage()).isFalse();
        assertThat(Image.from(1, 2, 7, Rational.of(0), Rational.of(-1)).firstOpenPixel()).contains(new Pixel(0, 1));
    }

    /** Whole numbers among them, levels only, and common divisors in the numerators as well. */
    @Property(tries = 60)
    void fractionsOverOneDenominatorAreWhatTheirValuesMake(@ForAll long seed) {
        Random random = new Random(seed);
        long denominator = 1 + random.nextInt(12);
        long times = random.nextInt(3) == 0 ? denominator : 1 + random.nextInt(4);
        long least = random.nextInt(3) - 1;
        long[] numerators = random.longs(6, least, 8).map(n -> n * times).toArray();
        Value[] values = Arrays.stream(numerators).mapToObj(n -> Rational.of(n, denominator)).toArray(Value[]::new);
        assertThat(Image.ofFractions(new Frame(2, 3, 7), denominator, numerators.clone())).isEqualTo(Image.from(2, 3, 7, values));
    }

    @Test
    void openImagesKeepFractionsExactlyWhileTheyFit() {
        Image thirds = Image.from(1, 3, 255, Rational.of(1, 3), Rational.of(487, 9), Rational.of(-5, 2));
        assertThat(thirds.isExact()).isTrue();
        assertThat(thirds.value(1)).isEqualTo(Rational.of(487, 9));
        assertThat(thirds).isEqualTo(Image.from(1, 3, 255, Rational.of(2, 6), Rational.of(487, 9), Rational.of(-5, 2)));
        Value tiny = Rational.of(BigInteger.ONE, BigInteger.TWO.pow(70));
        assertThat(Image.from(1, 1, 255, tiny).isExact()).isFalse();
        // Each fits alone, but not over one denominator.
        Image pair = Image.from(1, 2, 255, Rational.of(1, 1L << 40), Rational.of(1, (1L << 40) - 1));
        assertThat(pair.isExact()).isFalse();
        assertThat(Image.from(1, 2, 255, Approximate.from(0.1), Rational.ONE).isExact()).isFalse();
    }

    @Test
    void refusesWhatIsNoImage() {
        assertThatThrownBy(() -> Image.ofLevels(0, 3, 255, n -> 0)).isInstanceOf(PixeronException.class);
        assertThatThrownBy(() -> Image.ofLevels(1 << 20, 1 << 20, 255, n -> 0)).isInstanceOf(PixeronException.class);
        assertThatThrownBy(() -> Image.of(0, new int[][] {{0}})).hasMessageContaining("1 to 65535");
        assertThatThrownBy(() -> Image.of(7, new int[][] {{0, 1}, {2, 8}})).hasMessageContaining("row 1, column 1");
    }

    /** Odd lengths, stripes and pairs all give what one lookup after the other gives. */
    @ParameterizedTest
    @ValueSource(ints = {1, 2, 3, 777, 1 << 18, (1 << 18) + 1, 600_001})
    void aTableLooksUpEveryPixel(int count) {
        Random random = new Random(count);
        for (int[] maxima : new int[][] {{255, 255}, {7, 7}, {255, 1000}, {1000, 1000}, {1000, 255}}) {
            char[] levels = new char[maxima[0] + 1];
            for (int n = 0; n < levels.length; n++) {
                levels[n] = (char) random.nextInt(maxima[1] + 1);
            }
            Image before = Image.ofLevels(1, count, maxima[0], n -> random.nextInt(maxima[0] + 1));
            Image after = LevelTable.of(levels, maxima[1]).applyTo(before);
            assertThat(after).isEqualTo(Image.ofLevels(1, count, maxima[1], n -> levels[before.level(n)]));
        }
    }

    @Property(tries = 50)
    void factsOfLevelsAreThoseOfTheSamples(@ForAll @IntRange(min = 1, max = 9) int rows,
            @ForAll @IntRange(min = 1, max = 9) int columns, @ForAll @IntRange(min = 1, max = 300) int maximum,
            @ForAll long seed) {
        Random random = new Random(seed);
        Image image = Image.ofLevels(rows, columns, maximum, n -> random.nextInt(maximum + 1));
        int[] samples = new int[rows * columns];
        java.util.Arrays.setAll(samples, image::level);
        ImageFacts facts = ImageFacts.of(image);
        assertThat(facts.smallest()).isEqualTo(Rational.of(java.util.Arrays.stream(samples).min().orElseThrow()));
        assertThat(facts.largest()).isEqualTo(Rational.of(java.util.Arrays.stream(samples).max().orElseThrow()));
        assertThat(facts.mean()).isEqualTo(Rational.of(java.util.Arrays.stream(samples).sum(), samples.length));
        assertThat(facts.distinct()).isEqualTo((int) java.util.Arrays.stream(samples).distinct().count());
    }

    @Test
    void factsOfAnOpenImageAreExact() {
        ImageFacts facts = ImageFacts.of(Image.from(1, 3, 255, Rational.of(1, 3), Rational.of(-2), Rational.of(1, 3)));
        assertThat(facts.mean()).isEqualTo(Rational.of(-4, 9));
        assertThat(facts.distinct()).isEqualTo(2);
        assertThat(facts.smallest()).isEqualTo(Rational.of(-2));
    }

    @Test
    void measuresBetweenTwoImages() {
        Image a = Image.of(255, new int[][] {{10, 20, 30, 40}});
        Image b = Image.of(255, new int[][] {{10, 23, 30, 36}});
        Comparison comparison = Comparison.of(a, b);
        assertThat(comparison.agree()).isEqualTo(2);
        assertThat(comparison.maxAbsolute()).isEqualTo(Rational.of(4));
        assertThat(comparison.meanAbsolute()).isEqualTo(Rational.of(7, 4));
        assertThat(comparison.mse()).isEqualTo(Rational.of(25, 4));
        assertThat(comparison.psnr().orElseThrow()).isEqualTo(10 * Math.log10(65025 / 6.25));
        assertThat(Comparison.of(a, a).psnr()).isEmpty();
        Image open = Image.from(1, 4, 255, Rational.of(21, 2), Rational.of(20), Rational.of(30), Rational.of(40));
        assertThat(Comparison.of(a, open).mse()).isEqualTo(Rational.of(1, 16));
        assertThatThrownBy(() -> Comparison.of(a, Image.of(255,
                new int[][] {{1}}))).hasMessageContaining("1 × 4 and 1 × 1");
    }

    @Test
    void aHistogramCountsEveryLevelAndRefusesOpenImages() {
        Histogram histogram = Histogram.of(Image.of(3, new int[][] {{0, 1, 1}, {3, 1, 0}}));
        assertThat(new int[] {histogram.count(0), histogram.count(1), histogram.count(2), histogram.count(3)})
                .containsExactly(2, 3, 0, 1);
        assertThat(histogram.tallest()).isEqualTo(3);
        Image open = Image.from(1, 2, 3, Rational.of(1), Rational.of(9));
        assertThatThrownBy(() -> Histogram.of(open)).hasMessageContaining("row 0, column 1");
    }

    @Test
    void theDifferenceIsSignedAndItsLargestIsTheFirstOfThose() {
        Image a = Image.of(7, new int[][] {{1, 5, 3}, {0, 7, 2}});
        Image b = Image.of(7, new int[][] {{1, 2, 6}, {0, 6, 2}});
        Image difference = Comparison.difference(a, b);
        assertThat(difference.value(1)).isEqualTo(Rational.of(-3));
        assertThat(difference.value(2)).isEqualTo(Rational.of(3));
        assertThat(Comparison.of(a, b).largest()).isEqualTo(new Pixel(0, 1));
        assertThat(Comparison.of(Image.from(2, 3, 7, a.value(0), a.value(1), a.value(2), a.value(3), a.value(4), Rational.of(1, 2)), b)
                .largest()).as("of open images as well").isEqualTo(new Pixel(0, 1));
        assertThatThrownBy(() -> Comparison.difference(a, Image.of(7, new int[][] {{1}}))).hasMessageContaining("2 × 3 and 1 × 1");
    }

    /** 10³⁰⁹ is no double: such an image would have numbers in its working, and none in its cells. */
    @Test
    void valuesBeyondDoublesAreRefused() {
        Rational most = Rational.of(new java.math.BigDecimal(BigInteger.TEN.pow(308)));
        assertThat(Image.from(1, 1, 7, most).asDouble(0)).isEqualTo(1e308);
        assertThatThrownBy(() -> Image.from(1, 2, 7, Rational.ONE, most.times(Rational.of(-10)))).isInstanceOf(PixeronException.class)
                .hasMessageContaining("more than 308 digits");
    }
}

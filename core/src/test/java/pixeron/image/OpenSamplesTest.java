package pixeron.image;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import pixeron.number.Rational;
import pixeron.number.Value;

/** How samples that are no levels are kept. */
class OpenSamplesTest {

    private static Image image(double... values) {
        return Image.ofDoubles(new Frame(1, values.length, 7), values);
    }

    @ParameterizedTest
    @CsvSource({"-1, 3, 1", "0.5, 3, 2", "9, 2.5, 2", "8, 1, 1"})
    void wholeNumbersAndHalvesAreExact(double first, double second, long denominator) {
        Image image = image(first, second);
        assertThat(image.isExact()).isTrue();
        assertThat(image.isLevelImage()).isFalse();
        Fractions fractions = image.fractions().orElseThrow();
        assertThat(fractions.denominator()).isEqualTo(denominator);
        assertThat(fractions.numerators()).containsExactly((long) (first * denominator), (long) (second * denominator));
        assertThat(fractions.largest()).isEqualTo((long) (Math.max(Math.abs(first), Math.abs(second)) * denominator));
    }

    @Test
    void whatLiesBetweenIsDoubles() {
        assertThat(image(0.25, 3).isExact()).isFalse();
        assertThat(image(0.25, 3).fractions()).isEmpty();
        assertThat(image(0x1p60, 0).isExact()).isFalse();
    }

    @Test
    void levelsStayLevels() {
        assertThat(image(0, 7, 3)).isEqualTo(Image.ofLevels(1, 3, 7, n -> new int[] {0, 7, 3}[n]));
        assertThat(image(0, 7, 3).fractions()).isEmpty();
        assertThat(image(0, 7, 8).isLevelImage()).isFalse();
        assertThat(image(-0.5, 7).isLevelImage()).isFalse();
    }

    @Test
    void aCommonDenominatorIsTheLeast() {
        Image thirds = Image.from(1, 3, 7, new Value[] {Rational.of(1, 3), Rational.of(5, 6), Rational.of(2)});
        assertThat(thirds.fractions().orElseThrow()).satisfies(found -> {
            assertThat(found.denominator()).isEqualTo(6);
            assertThat(found.numerators()).containsExactly(2, 5, 12);
            assertThat(found.largest()).isEqualTo(12);
        });
        assertThat(thirds.value(1)).isEqualTo(Rational.of(5, 6));
    }
}

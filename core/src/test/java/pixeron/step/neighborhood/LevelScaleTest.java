package pixeron.step.neighborhood;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import pixeron.number.Overflow;
import pixeron.number.Rational;
import pixeron.number.Rounding;
import pixeron.number.Value;
import pixeron.step.Finish;

/** Levels by a product and a shift, with numbers calculated on paper. */
class LevelScaleTest {

    private static Codes codes(int least, int most, long numerator, long constant, long denominator) {
        return new Codes() {
            @Override
            public int least() {
                return least;
            }

            @Override
            public int most() {
                return most;
            }

            @Override
            public Value value(int code) {
                return Rational.of(code * numerator + constant, denominator);
            }

            @Override
            public Optional<Line> line() {
                return Optional.of(new Line(numerator, constant, denominator));
            }

            @Override
            public Rows rows(Plane plane) {
                throw new UnsupportedOperationException();
            }
        };
    }

    private static int[] levels(LevelScale scale, int... codes) {
        int[] levels = new int[codes.length];
        scale.apply(codes, levels);
        return levels;
    }

    /** The mean of nine: 4 ÷ 9 is below a half, 5 ÷ 9 above; 9 · 255 is the largest. Halves, with a tie, go away from 0. */
    @ParameterizedTest
    @CsvSource(delimiter = ';', value = {"0; 2295; 1; 0; 9; 0 4 5 13 14 2290 2291 2295; 0 0 1 1 2 254 255 255",
        "-510; 510; 1; 0; 2; -510 -1 0 1 2 3 509 510; 0 0 0 1 1 2 255 255", "-1020; 1020; 1; 0; 1; -1020 -1 0 3 255 256 1020; 0 0 0 3 255 255 255",
        "0; 255; -1; 255; 1; 0 1 254 255; 255 254 1 0", "0; 2040; 3; -8; 16; 0 5 6 8 1365; 0 0 1 1 255"})
    void isTheRoundedAndClippedValue(int least, int most, long numerator, long constant, long denominator, String found, String expected) {
        LevelScale scale = LevelScale.of(codes(least, most, numerator, constant, denominator), new Finish(Rounding.NEAREST, Overflow.CLIP, 255)).orElseThrow();
        assertThat(scale.hasDoubts()).isFalse();
        assertThat(levels(scale, numbers(found))).containsExactly(numbers(expected));
    }

    private static int[] numbers(String text) {
        return Arrays.stream(text.split(" ")).mapToInt(Integer::parseInt).toArray();
    }

    /** A sum over a million: what lies at a half is not sure, what lies away from it is. */
    @Test
    void whatLiesNearAHalfIsNotSure() {
        LevelScale scale = LevelScale.of(codes(0, 255_000_000, 1, 0, 1_000_000), new Finish(Rounding.NEAREST, Overflow.CLIP, 255)).orElseThrow();
        assertThat(scale.hasDoubts()).isTrue();
        assertThat(levels(scale, 0, 400_000, 500_000, 600_000, 1_499_999, 200_000_000, 255_000_000))
                .containsExactly(0, 0, LevelScale.UNSURE, 1, LevelScale.UNSURE, 200, 255);
    }

    @Test
    void otherEndingsAreLeftToOthers() {
        Codes some = codes(0, 9, 1, 0, 3);
        assertThat(LevelScale.of(some, new Finish(Rounding.FLOOR, Overflow.CLIP, 255))).isEmpty();
        assertThat(LevelScale.of(some, new Finish(Rounding.NEAREST, Overflow.WRAP, 255))).isEmpty();
        assertThat(LevelScale.of(codes(0, 9, 0, 4, 3), new Finish(Rounding.NEAREST, Overflow.CLIP, 255))).isEmpty();
    }
}

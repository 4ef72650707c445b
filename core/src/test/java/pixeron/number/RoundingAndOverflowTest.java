package pixeron.number;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import pixeron.PixeronException;

class RoundingAndOverflowTest {

    @ParameterizedTest
    @CsvSource({"2.5,3,2,2,2,3", "-2.5,-3,-2,-2,-3,-2", "3.5,4,4,3,3,4", "153.75,154,154,153,153,154",
        "-0.4,0,0,0,-1,0", "7,7,7,7,7,7", "0.5,1,0,0,0,1", "-0.5,-1,0,0,-1,0"})
    void everyRoundingOfAValue(String value, int nearest, int even, int truncated, int floor, int ceiling) {
        Value exact = Decimals.parse(value);
        Value asDouble = Approximate.from(Double.parseDouble(value));
        int[] expected = {nearest, even, truncated, floor, ceiling};
        for (int n = 0; n < expected.length; n++) {
            assertThat(Rounding.values()[n].apply(exact)).isEqualTo(Rational.of(expected[n]));
            assertThat(Rounding.values()[n].apply(asDouble)).isEqualTo(Rational.of(expected[n]));
        }
        assertThat(Rounding.NONE.apply(exact)).isSameAs(exact);
    }

    @Property
    void wrapIsTheRestThatIsNeverNegative(@ForAll int value, @ForAll @IntRange(min = 1, max = 65535) int maximum) {
        assertThat(Overflow.WRAP.apply(Rational.of(value), maximum))
                .isEqualTo(Rational.of(Math.floorMod(value, maximum + 1)));
    }

    @ParameterizedTest
    @CsvSource({"-1,0,255,-1", "256,255,0,256", "300.5,255,44.5,300.5", "255.5,255,255.5,255.5", "-0.25,0,255.75,-0.25",
        "12,12,12,12"})
    void overflowOfRoundedAndUnroundedValues(String value, String clip, String wrap, String keep) {
        Value exact = Decimals.parse(value);
        assertThat(Overflow.CLIP.apply(exact, 255)).isEqualTo(Decimals.parse(clip));
        assertThat(Overflow.WRAP.apply(exact, 255)).isEqualTo(Decimals.parse(wrap));
        assertThat(Overflow.KEEP.apply(exact, 255)).isEqualTo(Decimals.parse(keep));
        assertThat(Overflow.WRAP.apply(Approximate.from(exact.asDouble()), 255).asDouble())
                .isEqualTo(Decimals.parse(wrap).asDouble());
    }

    @Test
    void aDoubleNearToAMultipleOfAHalfIsTakenAsIt() {
        assertThat(Approximate.snapped(255 - 1e-13, 255)).isEqualTo(Rational.of(255));
        assertThat(Approximate.snapped(0.5 + 4e-13, 1)).isEqualTo(Rational.HALF);
        assertThat(Approximate.snapped(0.5 + 4e-12, 1)).isInstanceOf(Approximate.class);
        assertThat(Approximate.snapped(0.5 + 4e-12, 255)).isEqualTo(Rational.HALF);
        assertThat(Approximate.snapped(1e300, 1)).isInstanceOf(Approximate.class);
        assertThatThrownBy(() -> Approximate.from(Double.NaN)).isInstanceOf(PixeronException.class);
    }
}

package pixeron.number;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.math.BigDecimal;
import net.jqwik.api.Assume;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import pixeron.PixeronException;

class DecimalsTest {

    @ParameterizedTest
    @CsvSource({"0.29,29/100", ".5,1/2", "5.,5", "-3.5,-7/2", "+4,4", "487/9,487/9", "1.5/0.5,3", "\u22127,-7",
            "2/6,1/3"})
    void readsTheNumberGrammarExactly(String text, String fraction) {
        assertThat(Decimals.parse(text)).hasToString(fraction);
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "x", "1e3", "1 2", "--1", "1/2/3", ".", "1,5", "NaN", "0x1F", "١"})
    void refusesWhatIsNoNumber(String text) {
        assertThat(Decimals.isNumber(text)).isFalse();
        assertThatThrownBy(() -> Decimals.parse(text)).isInstanceOf(PixeronException.class)
                .hasMessageContaining("number");
    }

    @Property
    void printedNumbersReadBackTheSame(@ForAll int a, @ForAll int b) {
        Assume.that(b != 0);
        Rational number = Rational.of(a, b);
        assertThat(Decimals.parse(Decimals.print(number))).isEqualTo(number);
    }

    @Property
    void shortestDecimalReadsBackAsTheSameDoubleAndNoShorterOneDoes(@ForAll double number) {
        Assume.that(Double.isFinite(number) && Math.abs(number) < 1e15 && Math.abs(number) > 1e-9);
        String text = Decimals.shortest(number);
        assertThat(Double.parseDouble(text)).isEqualTo(number);
        int digits = new BigDecimal(text).stripTrailingZeros().precision();
        if (digits > 1) {
            BigDecimal shorter = new BigDecimal(number).round(new java.math.MathContext(digits - 1));
            assertThat(shorter.doubleValue()).isNotEqualTo(number);
        }
    }

    @Test
    void workingsShowSixDecimalsOrAFraction() {
        assertThat(Decimals.working(Rational.of(615, 4))).isEqualTo("153.75");
        assertThat(Decimals.working(Rational.of(-487, 9))).isEqualTo("\u2212487/9");
        assertThat(Decimals.working(Rational.of(1, 128))).isEqualTo("1/128");
        assertThat(Decimals.approximate(Rational.of(487, 9))).isEqualTo("54.1111");
        assertThat(Decimals.significant(Approximate.from(-1.3881430471e-5))).isEqualTo("−0.00001388143");
        assertThat(Decimals.significant(Approximate.from(1.0000000000000002))).isEqualTo("1");
        assertThat(Decimals.signed(Rational.of(-1))).isEqualTo("\u22121");
        assertThat(Decimals.signed(Rational.of(3, 2))).isEqualTo("+1.5");
        assertThat(Decimals.table(Rational.of(1, 3))).isEqualTo("0.3333333333333333");
        assertThat(Decimals.print(Rational.of(1200))).isEqualTo("1200");
    }
}

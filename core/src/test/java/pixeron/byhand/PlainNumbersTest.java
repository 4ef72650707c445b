package pixeron.byhand;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import pixeron.number.Decimals;

class PlainNumbersTest {

    /** Digits alone are read without the grammar of numbers, and mean what they mean with it. */
    @ParameterizedTest
    @ValueSource(strings = {"0", "7", "007", "000000001", "255", "65535", "999999999", "1000000000", "12345678901234567890"})
    void digitsAreThatNumber(String written) {
        HandValue value = HandValue.parse("  " + written + " ");
        assertThat(value.value()).contains(Decimals.parse(written));
        assertThat(value.text()).isEqualTo(written);
        assertThat(value.decimals()).isZero();
        assertThat(value.isDetailed()).isFalse();
        assertThat(value.problem()).isEmpty();
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "٣", "1 2 3", "12a", "²"})
    void whatOnlyLooksLikeDigitsIsNoNumber(String written) {
        assertThat(HandValue.parse(written).value()).isEmpty();
    }

    @ParameterizedTest
    @ValueSource(strings = {"+7", "7.0", "14/2", "3+4"})
    void whatIsSevenInAnotherWayIsSeven(String written) {
        assertThat(HandValue.parse(written).value().orElseThrow().compareValue(HandValue.parse("7").value().orElseThrow())).isZero();
    }
}

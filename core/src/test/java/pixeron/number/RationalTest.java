package pixeron.number;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.math.BigInteger;
import java.util.List;
import java.util.stream.IntStream;
import net.jqwik.api.Assume;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import pixeron.PixeronException;

/** Sums, products and comparisons against BigInteger arithmetic written out here. */
class RationalTest {

    private static BigInteger big(long n) {
        return BigInteger.valueOf(n);
    }

    @Property
    void sumIsThatOfTheCrossProducts(@ForAll long a, @ForAll long b, @ForAll long c, @ForAll long d) {
        Assume.that(b != 0 && d != 0);
        Rational sum = Rational.of(a, b).plus(Rational.of(c, d));
        assertThat(sum.numerator().multiply(big(b)).multiply(big(d)))
                .isEqualTo(big(a).multiply(big(d)).add(big(c).multiply(big(b))).multiply(sum.denominator()));
    }

    /** However many and however wide: the sum is the one after the other. */
    @Property
    void aSumOfManyIsOneAfterTheOther(@ForAll List<Long> numerators, @ForAll @IntRange(min = 1) int denominator) {
        List<Rational> all = IntStream.range(0, numerators.size()).mapToObj(n -> Rational.of(numerators.get(n), denominator + (long) n * n)).toList();
        assertThat(Rational.sum(all)).isEqualTo(all.stream().reduce(Rational.ZERO, Rational::plus));
    }

    @Property
    void productIsThatOfNumeratorsAndDenominators(@ForAll long a, @ForAll long b, @ForAll long c, @ForAll long d) {
        Assume.that(b != 0 && d != 0);
        Rational product = Rational.of(a, b).times(Rational.of(c, d));
        assertThat(product.numerator().multiply(big(b)).multiply(big(d)))
                .isEqualTo(big(a).multiply(big(c)).multiply(product.denominator()));
    }

    @Property
    void lowestTermsWithAPositiveDenominatorMakeEqualNumbersEqual(@ForAll int a, @ForAll int b, @ForAll int k) {
        Assume.that(b != 0 && k != 0);
        Rational number = Rational.of(a, b);
        assertThat(Rational.of((long) a * k, (long) b * k)).isEqualTo(number).hasSameHashCodeAs(number);
        assertThat(number.denominator().signum()).isPositive();
        assertThat(number.numerator().gcd(number.denominator())).isEqualTo(BigInteger.ONE);
    }

    @Property
    void orderIsThatOfTheDifference(@ForAll long a, @ForAll long b, @ForAll long c, @ForAll long d) {
        Assume.that(b != 0 && d != 0);
        Rational left = Rational.of(a, b);
        Rational right = Rational.of(c, d);
        assertThat(Integer.signum(left.compareTo(right))).isEqualTo(left.minus(right).signum());
    }

    @Property
    void aWideNumberThatFitsAgainIsTheNarrowOne(@ForAll long a, @ForAll long b) {
        Rational wide = Rational.of(BigInteger.TWO.pow(90), BigInteger.ONE);
        assertThat(Rational.of(a).plus(wide).minus(wide)).isEqualTo(Rational.of(a));
        assertThat(Rational.of(a).times(wide).dividedBy(wide)).isEqualTo(Rational.of(a));
        assertThat(wide.isNarrow()).isFalse();
    }

    @Property
    void floorIsTheLargestWholeNumberBelow(@ForAll int a, @ForAll int b) {
        Assume.that(b != 0);
        Rational number = Rational.of(a, b);
        Rational rest = number.minus(number.floor());
        assertThat(rest.signum()).isNotNegative();
        assertThat(rest.compareTo(Rational.ONE)).isNegative();
    }

    @Test
    void theEndsOfALongAreNumbersToo() {
        Rational least = Rational.of(Long.MIN_VALUE);
        assertThat(least.negated()).hasToString("9223372036854775808");
        assertThat(Rational.of(Long.MIN_VALUE, Long.MIN_VALUE)).isEqualTo(Rational.ONE);
        assertThat(Rational.of(1L << 62).times(Rational.of(-2))).isEqualTo(least);
        assertThat(Rational.of(1, Long.MIN_VALUE).signum()).isEqualTo(-1);
    }

    @Test
    void powersAreExactAndBounded() {
        assertThat(Rational.of(2, 3).power(3)).isEqualTo(Rational.of(8, 27));
        assertThat(Rational.of(2).power(-2)).isEqualTo(Rational.of(1, 4));
        assertThat(Rational.of(-1).power(1_000_001)).isEqualTo(Rational.of(-1));
        assertThatThrownBy(() -> Rational.of(10).power(100_000)).isInstanceOf(PixeronException.class)
                .hasMessageContaining("too large");
        assertThatThrownBy(() -> Rational.ZERO.reciprocal()).isInstanceOf(PixeronException.class);
    }
}

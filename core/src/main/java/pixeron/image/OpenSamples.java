package pixeron.image;

import java.math.BigInteger;
import java.util.Arrays;
import java.util.Collections;
import java.util.IdentityHashMap;
import java.util.Map;
import java.util.Set;
import pixeron.PixeronException;
import pixeron.number.Approximate;
import pixeron.number.Rational;
import pixeron.number.Value;

/**
 * Samples of a real-valued image: whole numerators over one common denominator, which is exact, or doubles where that does
 * not fit in 64 bits or a sample is a double itself. Exactly one of the two arrays is there.
 *
 * <p>The common denominator is the smallest one, so equal samples are kept alike.
 */
record OpenSamples(long[] numerators, long denominator, double[] doubles) implements Samples {

    /** From here on a double says nothing of halves. */
    private static final double MOST_WHOLE = 0x1p52;

    static OpenSamples of(Value[] values) {
        // Values of a result are mostly a few shared objects; each is looked at once.
        Set<Value> distinct = Collections.newSetFromMap(new IdentityHashMap<>());
        Collections.addAll(distinct, values);
        BigInteger common = commonDenominator(distinct);
        return common == null ? ofDoubles(values) : ofRationals(values, common, distinct);
    }

    /** @param values whole numerators are kept where all of them are multiples of ½ */
    static OpenSamples of(double[] values) {
        long denominator = denominator(values);
        if (denominator == 0) {
            return new OpenSamples(null, 0, values);
        }
        long[] numerators = new long[values.length];
        for (int n = 0; n < numerators.length; n++) {
            numerators[n] = (long) (denominator * values[n]);
        }
        return new OpenSamples(numerators, denominator, null);
    }

    /**
     * @param numerators become those of the samples
     * @param denominator of all of them, greater than 0
     */
    static OpenSamples of(long[] numerators, long denominator) {
        long common = denominator;
        for (int n = 0; n < numerators.length && common > 1; n++) {
            common = Rational.gcd(common, Math.abs(numerators[n]));
        }
        if (common > 1) {
            for (int n = 0; n < numerators.length; n++) {
                numerators[n] /= common;
            }
        }
        return new OpenSamples(numerators, denominator / common, null);
    }

    /** Returns 1 or 2, times which all values are whole; 0 where they are not. */
    private static long denominator(double... values) {
        long denominator = 1;
        for (double value : values) {
            double twice = 2 * value;
            if (twice != Math.rint(twice) || Math.abs(value) >= MOST_WHOLE) {
                return 0;
            }
            denominator = value == Math.rint(value) ? denominator : 2;
        }
        return denominator;
    }

    private static BigInteger commonDenominator(Set<Value> values) {
        BigInteger common = BigInteger.ONE;
        for (Value value : values) {
            if (!(value instanceof Rational r)) {
                return null;
            }
            common = common.multiply(r.denominator().divide(common.gcd(r.denominator())));
            if (common.bitLength() >= Long.SIZE) {
                return null;
            }
        }
        BigInteger denominator = common;
        boolean fits = values.stream().allMatch(v -> numerator((Rational) v, denominator).bitLength() < Long.SIZE);
        return fits ? common : null;
    }

    private static BigInteger numerator(Rational value, BigInteger common) {
        return value.numerator().multiply(common.divide(value.denominator()));
    }

    private static OpenSamples ofRationals(Value[] values, BigInteger common, Set<Value> distinct) {
        Map<Value, Long> numerators = new IdentityHashMap<>();
        distinct.forEach(value -> numerators.put(value, numerator((Rational) value, common).longValueExact()));
        long[] samples = new long[values.length];
        Arrays.setAll(samples, n -> numerators.get(values[n]));
        return new OpenSamples(samples, common.longValueExact(), null);
    }

    private static OpenSamples ofDoubles(Value[] values) {
        double[] samples = new double[values.length];
        Arrays.setAll(samples, n -> values[n].asDouble());
        if (Arrays.stream(samples).anyMatch(Double::isInfinite)) {
            throw PixeronException.of("A value has more than 308 digits before the decimal point, more than an image can store.");
        }
        return new OpenSamples(null, 0, samples);
    }

    boolean isExact() {
        return doubles == null;
    }

    @Override
    public Value value(int offset) {
        return isExact() ? Rational.of(numerators[offset], denominator) : Approximate.from(doubles[offset]);
    }

    @Override
    public double asDouble(int offset) {
        return isExact() ? value(offset).asDouble() : doubles[offset];
    }

    @Override
    public Samples with(int[] offsets, int level) {
        throw new IllegalStateException("a real-valued image is changed value by value, its denominator may change");
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof OpenSamples o && denominator == o.denominator
                && Arrays.equals(numerators, o.numerators) && Arrays.equals(doubles, o.doubles);
    }

    @Override
    public int hashCode() {
        return Arrays.hashCode(numerators) * 31 + Arrays.hashCode(doubles);
    }
}

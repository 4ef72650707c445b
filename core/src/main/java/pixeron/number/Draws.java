package pixeron.number;

import java.math.BigInteger;
import java.util.function.Supplier;
import java.util.stream.IntStream;

/**
 * Random numbers that are the same on every machine: the n-th is a function of the seed and n alone, so any of them can
 * be calculated without those before it.
 *
 * <p>h(n) = mix(seed + (n + 1) · 0x9E3779B97F4A7C15) in 64 bits; u(n) = the upper 53 bits of it as a fraction in [0, 1).
 *
 * @param seed any number of 64 bits
 */
public record Draws(long seed) {

    private static final long STEP = 0x9E3779B97F4A7C15L;
    /** So many times the usual deviation a count is hardly ever from its mean. */
    private static final double FAR = 8;
    private static final int SHARE_BITS = 53;
    private static final BigInteger SHARES = BigInteger.ONE.shiftLeft(SHARE_BITS);

    /** Returns h(n): 64 bits. */
    public long bits(long n) {
        long z = seed + (n + 1) * STEP;
        z = (z ^ z >>> 30) * 0xBF58476D1CE4E5B9L;
        z = (z ^ z >>> 27) * 0x94D049BB133111EBL;
        return z ^ z >>> 31;
    }

    /** Returns u(n) · 2⁵³, a whole number. */
    public long share53(long n) {
        return bits(n) >>> 64 - SHARE_BITS;
    }

    /** Returns u(n), exactly. */
    public Rational share(long n) {
        return Rational.of(BigInteger.valueOf(share53(n)), SHARES);
    }

    /** Returns u(n) as a double, which it is. */
    public double shareAsDouble(long n) {
        return share53(n) * 0x1p-53;
    }

    /**
     * Returns ⌊u(n) · range⌋: each whole number from 0 to range − 1 equally often.
     *
     * @param range 1 to 2³²
     */
    public long below(long n, long range) {
        long share = share53(n);
        return Math.multiplyHigh(share, range) << 64 - SHARE_BITS | share * range >>> SHARE_BITS;
    }

    /** Returns √(−2 · ln(1 − u(2n))) · cos(2π · u(2n + 1)): around 0 with deviation 1, normally distributed. */
    public double normal(long n) {
        return Math.sqrt(-2 * Math.log(1 - shareAsDouble(2 * n))) * Math.cos(2 * Math.PI * shareAsDouble(2 * n + 1));
    }

    /** Returns of the numbers 0 to all − 1 the so many with the smallest h(n), unsigned, in their order. */
    public int[] least(int all, int count) {
        return least(() -> IntStream.range(0, all), all, count);
    }

    /** Spread evenly, the smallest of them lie below the same part of all numbers; a little more of that is enough nearly always. */
    private static long limit(int count, int all) {
        double part = (count + FAR * Math.sqrt(count) + FAR) / all;
        return part < 1 ? (long) (part * 0x1p63) << 1 : 0;
    }

    /** Returns of some numbers n, which rise, the so many with the smallest h(n), unsigned, in their order. */
    public int[] least(int[] some, int count) {
        return least(() -> IntStream.of(some), some.length, count);
    }

    private int[] least(Supplier<IntStream> some, int all, int count) {
        long limit = limit(count, all);
        int[] below = limit == 0 ? new int[0] : some.get().parallel().filter(n -> Long.compareUnsigned(bits(n), limit) < 0).toArray();
        // Where the part was everything, or for once too small, all are put in order.
        return (below.length >= count ? IntStream.of(below) : some.get()).boxed().sorted((a, b) -> Long.compareUnsigned(bits(a), bits(b))).limit(count).mapToInt(n -> n).toArray();
    }
}

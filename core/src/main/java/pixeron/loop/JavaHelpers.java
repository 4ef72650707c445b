package pixeron.loop;

import java.util.Map;

/** What programs in Java bring along where they need it. */
final class JavaHelpers {

    static final String FRACTION = """
            /** A fraction in lowest terms, exactly. */
            record Fraction(long top, long below) implements Comparable<Fraction> {
                static Fraction of(long top, long below) {
                    long sign = below < 0 ? -1 : 1;
                    long common = Math.max(1, java.math.BigInteger.valueOf(top).gcd(java.math.BigInteger.valueOf(below)).longValueExact());
                    return new Fraction(sign * top / common, sign * below / common);
                }
                static Fraction of(long whole) {
                    return new Fraction(whole, 1);
                }
                Fraction plus(Fraction other) {
                    return of(Math.addExact(Math.multiplyExact(top, other.below), Math.multiplyExact(other.top, below)), Math.multiplyExact(below, other.below));
                }
                Fraction minus(Fraction other) {
                    return plus(new Fraction(-other.top, other.below));
                }
                Fraction times(Fraction other) {
                    return of(top, other.below).timesLowest(of(other.top, below));
                }
                private Fraction timesLowest(Fraction rest) {
                    return of(Math.multiplyExact(top, rest.top), Math.multiplyExact(below, rest.below));
                }
                Fraction over(Fraction other) {
                    return times(of(other.below, other.top));
                }
                Fraction power(long exponent) {
                    Fraction power = of(1);
                    for (long n = 0; n < exponent; n++) {
                        power = power.times(this);
                    }
                    return power;
                }
                long floor() {
                    return Math.floorDiv(top, below);
                }
                double value() {
                    return (double) top / below;
                }
                public int compareTo(Fraction other) {
                    return minus(other).top < 0 ? -1 : minus(other).top > 0 ? 1 : 0;
                }
                public String toString() {
                    return below == 1 ? String.valueOf(top) : top + "/" + below;
                }
            }
            """;

    /** By their names; of those with several the kind of number is behind. */
    static final Map<String, String> ALL = Map.ofEntries(Map.entry(
            "nearest(Fraction)", """
            static long nearest(Fraction x) {
                // halves away from zero
                Fraction half = Fraction.of(1, 2);
                return x.top() >= 0 ? x.plus(half).floor() : -Fraction.of(-x.top(), x.below()).plus(half).floor();
            }
            """), Map.entry("nearest(double)", """
            static long nearest(double x) {
                return (long) (x >= 0 ? Math.floor(x + 0.5) : -Math.floor(0.5 - x));
            }
            """), Map.entry("nearestEven(Fraction)", """
            static long nearestEven(Fraction x) {
                long twice = x.times(Fraction.of(2)).floor();
                boolean isHalf = x.below() == 2;
                return isHalf ? 2 * Math.floorDiv(twice + 2, 4) : nearest(x);
            }
            """), Map.entry("snap", """
            static double snap(double x) {
                return snap(x, 1);
            }
            static double snap(double x, double size) {
                // the end of a calculation is 7 and not 6.999999999999999
                double half = Math.rint(2 * x) / 2;
                return Math.abs(x - half) < 1e-12 * Math.max(size, Math.abs(x)) ? half : x;
            }
            """), Map.entry("power", """
            static long power(long base, long exponent) {
                long power = 1;
                for (long n = 0; n < exponent; n++) {
                    power = Math.multiplyExact(power, base);
                }
                return power;
            }
            """), Map.entry("least", """
            static <T extends Comparable<T>> T least(T a, T b) {
                return a.compareTo(b) <= 0 ? a : b;
            }
            """), Map.entry("largest", """
            static <T extends Comparable<T>> T largest(T a, T b) {
                return a.compareTo(b) >= 0 ? a : b;
            }
            """), Map.entry("nearly", """
            static double nearly(double x) {
                double half = Math.rint(2 * x) / 2;
                return Math.abs(x - half) < 1e-9 ? half : x;
            }
            """), Map.entry("bits", """
            static long bits(long seed, long n) {
                // a random number of 64 bits; the same seed and n always give the same number
                long z = seed + (n + 1) * 0x9E3779B97F4A7C15L;
                z = (z ^ z >>> 30) * 0xBF58476D1CE4E5B9L;
                z = (z ^ z >>> 27) * 0x94D049BB133111EBL;
                return z ^ z >>> 31;
            }
            """), Map.entry("order", """
            static long order(long seed, long n) {
                return bits(seed, n) ^ Long.MIN_VALUE;
            }
            """), Map.entry("share", """
            static double share(long seed, long n) {
                // at least 0, below 1
                return (bits(seed, n) >>> 11) * 0x1p-53;
            }
            """), Map.entry("below", """
            static long below(long seed, long n, long size) {
                // one of the whole numbers 0 to size - 1
                return java.math.BigInteger.valueOf(bits(seed, n) >>> 11).multiply(java.math.BigInteger.valueOf(size)).shiftRight(53).longValue();
            }
            """));

    private JavaHelpers() {
    }
}

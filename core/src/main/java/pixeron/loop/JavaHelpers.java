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

    /** By their names; of those with several the kind of number stands behind. */
    static final Map<String, String> ALL = Map.of(
            "nearest(Fraction)", """
            static long nearest(Fraction x) {
                // halves away from zero
                Fraction half = Fraction.of(1, 2);
                return x.top() >= 0 ? x.plus(half).floor() : -Fraction.of(-x.top(), x.below()).plus(half).floor();
            }
            """, "nearest(double)", """
            static long nearest(double x) {
                return (long) (x >= 0 ? Math.floor(x + 0.5) : -Math.floor(0.5 - x));
            }
            """, "nearestEven(Fraction)", """
            static long nearestEven(Fraction x) {
                long twice = x.times(Fraction.of(2)).floor();
                boolean isHalf = x.below() == 2;
                return isHalf ? 2 * Math.floorDiv(twice + 2, 4) : nearest(x);
            }
            """, "snap", """
            static double snap(double x) {
                return snap(x, 1);
            }
            static double snap(double x, double size) {
                // the end of a calculation is 7 and not 6.999999999999999
                double half = Math.rint(2 * x) / 2;
                return Math.abs(x - half) < 1e-12 * Math.max(size, Math.abs(x)) ? half : x;
            }
            """, "power", """
            static long power(long base, long exponent) {
                long power = 1;
                for (long n = 0; n < exponent; n++) {
                    power = Math.multiplyExact(power, base);
                }
                return power;
            }
            """, "least", """
            static <T extends Comparable<T>> T least(T a, T b) {
                return a.compareTo(b) <= 0 ? a : b;
            }
            """, "largest", """
            static <T extends Comparable<T>> T largest(T a, T b) {
                return a.compareTo(b) >= 0 ? a : b;
            }
            """);

    private JavaHelpers() {
    }
}

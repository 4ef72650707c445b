package pixeron.step.neighborhood;

import java.math.BigInteger;
import java.util.Optional;
import pixeron.image.Lanes;
import pixeron.number.Overflow;
import pixeron.number.Rounding;
import pixeron.step.Finish;

/**
 * Levels of codes whose values lie on a line, rounded to nearest and clipped, by a product and a shift of whole numbers of 32 bits, which
 * the virtual machine does for several codes at once.
 *
 * <p>Values of a line with denominator d lie 1 ÷ d apart. Where a product is never wrong by half of that, the level is always right. Else the
 * code is taken in two halves, for more bits, and a level whose value is near to a half is not sure.
 */
final class LevelScale {

    /** Stands for a level that is not sure. */
    static final int UNSURE = -1;

    private static final int MOST_SHIFT = 30;
    private static final int SIGN = 31;
    /** Codes in two halves: a code less the smallest has at most so many bits in the upper one, and its factor one more. */
    private static final int HALF_BITS = 15;
    private static final int FACTOR_BITS = 16;

    private final int maximumLevel;
    private final int least;
    /** By how much a code is shifted to its upper half; 0 where codes are taken whole. */
    private final int half;
    private final int factor;
    private final int constant;
    private final int shift;
    private final int doubt;
    /** Whether the levels of all codes from 0 up to the largest one are within 0–M as they are. */
    private final boolean isWithin;

    private LevelScale(int maximumLevel, int least, int half, int factor, int constant, int shift, int doubt, boolean isWithin) {
        this.maximumLevel = maximumLevel;
        this.least = least;
        this.half = half;
        this.factor = factor;
        this.constant = constant;
        this.shift = shift;
        this.doubt = doubt;
        this.isWithin = isWithin;
    }

    /** Returns the scale; empty where the codes have no line or are finished in another way. */
    static Optional<LevelScale> of(Codes codes, Finish finish) {
        long size = Math.max(Math.abs((long) codes.least()), Math.abs((long) codes.most()));
        return line(codes, finish).flatMap(line -> whole(line, size, finish).or(() -> inHalves(line, codes, finish)));
    }

    /** Returns the scale of codes less the smallest one, where it has no doubts; empty where there is none. */
    static Optional<LevelScale> fromLeast(Codes codes, Finish finish) {
        return line(codes, finish).flatMap(line -> whole(new Codes.Line(line.numerator(), line.constant() + codes.least() * line.numerator(), line.denominator()),
                codes.most() - codes.least(), finish));
    }

    private static Optional<Codes.Line> line(Codes codes, Finish finish) {
        boolean isFinishedSo = finish.isOfLevels() && finish.rounding() == Rounding.NEAREST && finish.overflow() == Overflow.CLIP;
        return isFinishedSo ? codes.line().filter(line -> line.numerator() != 0) : Optional.empty();
    }

    /** Codes as they are, up to a size: code × factor + constant, shifted. */
    private static Optional<LevelScale> whole(Codes.Line line, long size, Finish finish) {
        for (int shift = MOST_SHIFT; shift > 0; shift--) {
            long factor = rounded(line.numerator(), line.denominator(), shift);
            // A half, and where ties are among the values, so much that no value but a tie gets over it.
            long tie = line.denominator() % 2 == 0 ? rounded(1, 2 * line.denominator(), shift) : 0;
            long constant = rounded(line.constant(), line.denominator(), shift) + (1L << shift - 1) + tie;
            // The factor is wrong by half, the constant by half for each of two roundings.
            boolean isExact = size + 2 < (1L << shift) / line.denominator();
            if (isExact && Math.abs(factor) < Integer.MAX_VALUE && size * Math.abs(factor) + Math.abs(constant) < Integer.MAX_VALUE) {
                long last = size * factor + constant;
                boolean isWithin = Math.min(constant, last) >= 0 && Math.max(constant, last) >> shift <= finish.maximumLevel();
                return Optional.of(new LevelScale(finish.maximumLevel(), 0, 0, (int) factor, (int) constant, shift, 0, isWithin));
            }
        }
        return Optional.empty();
    }

    /** Codes less the smallest one, in two halves whose products are added up. */
    private static Optional<LevelScale> inHalves(Codes.Line line, Codes codes, Finish finish) {
        long range = (long) codes.most() - codes.least();
        int half = Math.max(0, Long.SIZE - Long.numberOfLeadingZeros(range) - HALF_BITS);
        for (int shift = MOST_SHIFT; shift > 8; shift--) {
            long factor = rounded(line.numerator(), line.denominator(), shift + half);
            BigInteger first = BigInteger.valueOf(codes.least()).multiply(BigInteger.valueOf(line.numerator())).add(BigInteger.valueOf(line.constant()));
            long constant = rounded(first, line.denominator(), shift) + (1L << shift - 1);
            boolean fits = Math.abs(factor) < 1L << Math.min(FACTOR_BITS, SIGN - half) && Math.abs(constant) < 1L << MOST_SHIFT
                    && (range >> half) * Math.abs(factor) + Math.abs(constant) + Math.abs(factor) < Integer.MAX_VALUE;
            if (fits) {
                // The factor is wrong by half for each of so many upper halves, and the lower product and the constant by one each.
                long error = (range >> half) / 2 + 4;
                return error * 8 < 1L << shift ? Optional.of(new LevelScale(finish.maximumLevel(), codes.least(), half, (int) factor, (int) constant, shift, (int) error, false))
                        : Optional.empty();
            }
        }
        return Optional.empty();
    }

    private static long rounded(long numerator, long denominator, int shift) {
        return rounded(BigInteger.valueOf(numerator), denominator, shift);
    }

    /** Returns 2^shift · numerator ÷ denominator, rounded; Long.MAX_VALUE where it does not fit. */
    private static long rounded(BigInteger numerator, long denominator, int shift) {
        BigInteger two = BigInteger.valueOf(2 * denominator);
        BigInteger value = numerator.shiftLeft(shift + 1).add(BigInteger.valueOf(denominator));
        BigInteger[] parts = value.divideAndRemainder(two);
        BigInteger floor = parts[1].signum() < 0 ? parts[0].subtract(BigInteger.ONE) : parts[0];
        return floor.bitLength() < Long.SIZE - 2 ? floor.longValueExact() : 1L << Long.SIZE - 2;
    }

    /** Returns whether some levels may be {@link #UNSURE}. */
    boolean hasDoubts() {
        return doubt > 0;
    }

    /** @param levels get the level of each code */
    void apply(int[] codes, int[] levels) {
        if (hasDoubts()) {
            inHalves(codes, levels);
        } else {
            whole(codes, levels);
        }
    }

    private void whole(int[] codes, int[] levels) {
        int by = factor;
        int plus = constant;
        int down = shift;
        int most = maximumLevel;
        for (int j = 0; j < levels.length; j++) {
            // Clipped by the signs of numbers: minima and maxima are not done for several numbers at once.
            int value = codes[j] * by + plus >> down;
            int low = value & ~(value >> SIGN);
            int over = most - low;
            levels[j] = low + (over & over >> SIGN);
        }
    }

    /**
     * For a scale {@link #fromLeast from the smallest code on}.
     *
     * @param even sums of even columns, two in each number
     * @param odd sums of odd columns
     * @param up what makes all of them codes less the smallest one
     * @param levels get four levels in each number, the first column's lowest
     */
    void applyToLanes(int[] even, int[] odd, int up, int[] levels) {
        if (isWithin) {
            within(even, odd, up, levels);
        } else {
            clipped(even, odd, up, levels);
        }
    }

    private void within(int[] even, int[] odd, int up, int[] levels) {
        int by = factor;
        int plus = constant;
        int down = shift;
        for (int m = 0; m < levels.length; m++) {
            int two = even[m] + up;
            int next = odd[m] + up;
            levels[m] = (two & Lanes.MOST) * by + plus >> down | (two >>> Lanes.BITS) * by + plus >> down << Lanes.SECOND_EVEN
                    | (next & Lanes.MOST) * by + plus >> down << Lanes.FIRST_ODD | (next >>> Lanes.BITS) * by + plus >> down << Lanes.SECOND_ODD;
        }
    }

    private void clipped(int[] even, int[] odd, int up, int[] levels) {
        int by = factor;
        int plus = constant;
        int down = shift;
        int most = maximumLevel;
        for (int m = 0; m < levels.length; m++) {
            int two = even[m] + up;
            int next = odd[m] + up;
            int first = (two & Lanes.MOST) * by + plus >> down;
            int second = (next & Lanes.MOST) * by + plus >> down;
            int third = (two >>> Lanes.BITS) * by + plus >> down;
            int fourth = (next >>> Lanes.BITS) * by + plus >> down;
            first &= ~(first >> SIGN);
            second &= ~(second >> SIGN);
            third &= ~(third >> SIGN);
            fourth &= ~(fourth >> SIGN);
            first += most - first & most - first >> SIGN;
            second += most - second & most - second >> SIGN;
            third += most - third & most - third >> SIGN;
            fourth += most - fourth & most - fourth >> SIGN;
            levels[m] = first | second << Lanes.FIRST_ODD | third << Lanes.SECOND_EVEN | fourth << Lanes.SECOND_ODD;
        }
    }

    private void inHalves(int[] codes, int[] levels) {
        int by = factor;
        int plus = constant;
        int down = shift;
        int most = maximumLevel;
        int first = least;
        int halved = half;
        int lower = (1 << half) - 1;
        int part = (1 << shift) - 1;
        int near = doubt;
        for (int j = 0; j < levels.length; j++) {
            int code = codes[j] - first;
            int value = (code >> halved) * by + ((code & lower) * by >> halved) + plus;
            int unsure = (value + near & part) - 2 * near >> SIGN;
            int low = (value & ~(value >> SIGN)) >> down;
            int over = most - low;
            levels[j] = low + (over & over >> SIGN) | unsure;
        }
    }
}

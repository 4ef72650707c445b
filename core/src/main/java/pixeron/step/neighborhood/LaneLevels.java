package pixeron.step.neighborhood;

import java.util.Optional;
import pixeron.image.Lanes;
import pixeron.step.Finish;

/** The levels of codes of two columns in one number, as {@link Lanes} have them, without looking anything up. Several threads may ask. */
final class LaneLevels {

    private static final int SIGN = Integer.SIZE - 1;

    private final int up;
    private final int least;
    private final Rule rule;

    /** Levels of sums of even and of odd columns, both two in each number, once {@code up} is added to them. */
    @FunctionalInterface
    private interface Rule {
        void apply(int[] even, int[] odd, int up, int[] levels);
    }

    private LaneLevels(int least, Rule rule) {
        this.least = least;
        // Codes less the smallest one: none of two in a number reaches into the other.
        this.up = -least * Lanes.BOTH;
        this.rule = rule;
    }

    /**
     * Returns the levels; empty where codes are no sums, too large for 16 bits, or their levels come neither from a product nor from a cut.
     *
     * @param finish one whose results are levels
     */
    static Optional<LaneLevels> of(Codes codes, Finish finish) {
        if (!codes.areSums() || codes.most() - codes.least() > Lanes.MOST) {
            return Optional.empty();
        }
        Optional<Rule> byCut = codes.cut(finish).map(cut -> (even, odd, up, levels) -> cut(even, odd, up, cut.last() - codes.least(), cut, levels));
        return byCut.or(() -> LevelScale.fromLeast(codes, finish).map(scale -> scale::applyToLanes)).map(rule -> new LaneLevels(codes.least(), rule));
    }

    private static void cut(int[] even, int[] odd, int up, int last, Codes.Cut cut, int[] levels) {
        int low = cut.low();
        int more = cut.high() - low;
        for (int m = 0; m < levels.length; m++) {
            int two = even[m] + up;
            int next = odd[m] + up;
            int first = low + (last - (two & Lanes.MOST) >> SIGN & more);
            int second = low + (last - (next & Lanes.MOST) >> SIGN & more);
            int third = low + (last - (two >>> Lanes.BITS) >> SIGN & more);
            int fourth = low + (last - (next >>> Lanes.BITS) >> SIGN & more);
            levels[m] = first | second << Lanes.FIRST_ODD | third << Lanes.SECOND_EVEN | fourth << Lanes.SECOND_ODD;
        }
    }

    /**
     * @param sums of even and of odd columns, two in each number
     * @param levels get four in each number, the first column's lowest
     */
    void apply(int[][] sums, int[] levels) {
        rule.apply(sums[0], sums[1], up, levels);
    }

    /** Returns the code that is one of two sums in a number. */
    int code(int sums, int shift) {
        return (sums + up >>> shift & Lanes.MOST) + least;
    }
}

package pixeron.step.frequency;

import java.util.Map;
import pixeron.image.Frame;
import pixeron.image.Frequency;
import pixeron.number.Approximate;
import pixeron.number.Decimals;
import pixeron.number.Rational;
import pixeron.number.Value;

/**
 * An angle as a fraction of a turn, at least 0 and less than 1.
 *
 * @param part the fraction, exact
 */
record Turn(Rational part) {

    private static final Rational QUARTER = Rational.of(1, 4);
    private static final Rational HALF = Rational.of(1, 2);
    /** Where a cosine is rational: there it is exact. */
    private static final Map<Rational, Rational> EXACT = Map.of(Rational.ZERO, Rational.ONE, Rational.of(1, 6), HALF, QUARTER, Rational.ZERO,
            Rational.of(1, 3), HALF.negated(), HALF, Rational.of(-1), Rational.of(2, 3), HALF.negated(), Rational.of(3, 4), Rational.ZERO,
            Rational.of(5, 6), HALF);
    private static final int FULL = 360;

    /** Returns u · i ÷ H + v · j ÷ W of a turn, without whole turns. */
    static Turn of(Frame frame, Frequency at, int row, int column) {
        return along(at.u(), row, frame.rows()).plus(along(at.v(), column, frame.columns()));
    }

    /** Returns k · n ÷ length of a turn, without whole turns. */
    static Turn along(int k, int n, int length) {
        return new Turn(Rational.of(Math.floorMod((long) k * n, (long) length), length));
    }

    private Turn plus(Turn other) {
        return new Turn(whole(part.plus(other.part)));
    }

    private static Rational whole(Rational part) {
        return part.compareTo(Rational.ONE) >= 0 ? part.minus(Rational.ONE) : part;
    }

    /** Returns the cosine; exact where it is rational. */
    Value cosine() {
        Rational exact = EXACT.get(part);
        return exact != null ? exact : Approximate.from(Math.cos(2 * Math.PI * part.asDouble()));
    }

    /** Returns the sine; exact where it is rational. */
    Value sine() {
        return new Turn(whole(part.plus(Rational.of(3, 4)))).cosine();
    }

    /** Returns such as 3/8. */
    String text() {
        return Decimals.exact(part);
    }

    /** Returns in degrees. */
    Rational degrees() {
        return part.times(Rational.of(FULL));
    }
}

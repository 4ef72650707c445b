package pixeron.byhand.slip.point;

import java.util.ArrayList;
import java.util.List;
import pixeron.number.Overflow;
import pixeron.number.Range;
import pixeron.number.Rational;
import pixeron.step.Finish;
import pixeron.step.Operation;
import pixeron.step.Slip;
import pixeron.step.Way;

/**
 * M was taken where the number of levels, M + 1, belongs: in what wraps round, and in a formula with L.
 *
 * <p>Gives value mod M for value mod (M + 1), or the formula with M for L. Source: docs/slips.md.
 */
public final class MaximumForCount implements Slip {

    @Override
    public String id() {
        return "maximum-for-count";
    }

    @Override
    public List<Way> ways(Operation right) {
        List<Way> ways = new ArrayList<>();
        int maximum = right.frame().maximumLevel();
        if (right.step().overflow() == Overflow.WRAP && right.frame().range().equals(Range.ofLevels(maximum))) {
            // What wraps at M is what would wrap at the M + 1 of the next smaller maximum.
            right.finished(new Finish(right.step().rounding(), Overflow.WRAP, maximum - 1)).ifPresent(done -> ways.add(Way.of(
                    "values wrap around mod M = " + maximum + " instead of mod M + 1", done)));
        }
        right.withNumber("L", Rational.of(right.before().maximumLevel())).ifPresent(done ->
                ways.add(Way.of("M is used instead of L = M + 1", done)));
        return ways;
    }
}

package pixeron.byhand.slip.ending;

import java.util.List;
import pixeron.number.Overflow;
import pixeron.step.Operation;
import pixeron.step.Slip;
import pixeron.step.Step;
import pixeron.step.Way;

/**
 * A value outside 0–M was left as it was, where it should be clipped or go round.
 *
 * <p>Gives the rounded value, where it is below 0 or above M of the result. Source: docs/slips.md.
 */
public final class NotClipped implements Slip {

    @Override
    public String id() {
        return "not-clipped";
    }

    @Override
    public List<Way> ways(Operation right) {
        Step step = right.step();
        String words = step.overflow() == Overflow.WRAP ? " are not wrapped around" : " are not clipped";
        return step.overflow() == Overflow.KEEP ? List.of() : List.of(Way.of("values outside "
                + right.frame().range().text() + words, step.with(Overflow.KEEP), right));
    }
}

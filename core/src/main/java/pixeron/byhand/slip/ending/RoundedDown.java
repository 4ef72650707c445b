package pixeron.byhand.slip.ending;

import java.util.ArrayList;
import java.util.List;
import pixeron.number.Rounding;
import pixeron.step.Common;
import pixeron.step.Operation;
import pixeron.step.Slip;
import pixeron.step.Step;
import pixeron.step.Way;

/**
 * The fraction was dropped, or the value rounded down, where the step rounds otherwise.
 *
 * <p>Gives the exact value toward 0, or ⌊exact⌋, where it is no whole number. Source: docs/slips.md.
 */
public final class RoundedDown implements Slip {

    @Override
    public String id() {
        return "rounded-down";
    }

    @Override
    public List<Way> ways(Operation right) {
        Step step = right.step();
        List<Way> ways = new ArrayList<>();
        if (!step.has(Common.ROUNDING)) {
            return ways;
        }
        if (step.rounding() != Rounding.TRUNCATE) {
            ways.add(Way.of("the fraction is dropped instead of rounded", step.with(Rounding.TRUNCATE), right));
        }
        if (step.rounding() != Rounding.FLOOR) {
            ways.add(Way.of("the value is always rounded down", step.with(Rounding.FLOOR), right));
        }
        return ways;
    }
}

package pixeron.byhand.slip.ending;

import java.util.List;
import pixeron.number.Rounding;
import pixeron.step.Common;
import pixeron.step.Operation;
import pixeron.step.Slip;
import pixeron.step.Step;
import pixeron.step.Way;

/**
 * The value was rounded to nearest where the step rounds otherwise.
 *
 * <p>Gives the whole number nearest to the exact value, halves away from 0. Source: docs/slips.md.
 */
public final class RoundedNearest implements Slip {

    @Override
    public String id() {
        return "rounded-nearest";
    }

    @Override
    public List<Way> ways(Operation right) {
        Step step = right.step();
        return !step.has(Common.ROUNDING) || step.rounding() == Rounding.NEAREST ? List.of()
                : Way.tried("the value is rounded to nearest", () -> step.with(Rounding.NEAREST), right);
    }
}

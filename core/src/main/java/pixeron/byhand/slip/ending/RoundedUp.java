package pixeron.byhand.slip.ending;

import java.util.List;
import pixeron.number.Rounding;
import pixeron.step.Common;
import pixeron.step.Operation;
import pixeron.step.Slip;
import pixeron.step.Step;
import pixeron.step.Way;

/**
 * The value was always rounded up.
 *
 * <p>Gives ⌈exact⌉, where it is no whole number. Source: docs/slips.md.
 */
public final class RoundedUp implements Slip {

    @Override
    public String id() {
        return "rounded-up";
    }

    @Override
    public List<Way> ways(Operation right) {
        Step step = right.step();
        return !step.has(Common.ROUNDING) || step.rounding() == Rounding.CEILING ? List.of()
                : List.of(Way.of("the value is always rounded up", step.with(Rounding.CEILING), right));
    }
}

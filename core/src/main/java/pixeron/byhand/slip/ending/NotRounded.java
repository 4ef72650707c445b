package pixeron.byhand.slip.ending;

import java.util.List;
import pixeron.number.Rounding;
import pixeron.step.Operation;
import pixeron.step.Slip;
import pixeron.step.Step;
import pixeron.step.Way;

/**
 * The value was left with its fraction.
 *
 * <p>Gives the exact value, where it is no whole number, brought into 0–M as the step says. Source:
 * docs/slips.md.
 */
public final class NotRounded implements Slip {

    @Override
    public String id() {
        return "not-rounded";
    }

    @Override
    public List<Way> ways(Operation right) {
        Step step = right.step();
        return step.rounding() == Rounding.NONE ? List.of()
                : List.of(Way.unrounded("the value is not rounded", step.with(Rounding.NONE), right));
    }
}

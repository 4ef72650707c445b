package pixeron.byhand.slip.ending;

import java.util.List;
import pixeron.number.Overflow;
import pixeron.number.Rounding;
import pixeron.step.Operation;
import pixeron.step.Slip;
import pixeron.step.Step;
import pixeron.step.Way;

/**
 * The value was neither rounded nor brought into 0–M: two things left out, so it comes after the single ones.
 *
 * <p>Gives the exact value where both rounding and overflow would change something. Source: docs/slips.md.
 */
public final class LeftUnfinished implements Slip {

    @Override
    public String id() {
        return "not-rounded";
    }

    @Override
    public List<Way> ways(Operation right) {
        Step step = right.step();
        return step.rounding() == Rounding.NONE || step.overflow() == Overflow.KEEP ? List.of()
                : List.of(Way.unrounded("the value is neither rounded nor clipped to " + right.frame().range().text(),
                        step.with(Rounding.NONE).with(Overflow.KEEP), right));
    }
}

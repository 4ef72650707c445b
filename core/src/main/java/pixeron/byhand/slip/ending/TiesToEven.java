package pixeron.byhand.slip.ending;

import java.util.List;
import pixeron.number.Rounding;
import pixeron.step.Common;
import pixeron.step.Operation;
import pixeron.step.Slip;
import pixeron.step.Step;
import pixeron.step.Way;

/**
 * Halves were rounded to the even neighbor.
 *
 * <p>Gives the even of both neighbors, where the exact value is half way between. Source: docs/slips.md.
 */
public final class TiesToEven implements Slip {

    @Override
    public String id() {
        return "ties-to-even";
    }

    @Override
    public List<Way> ways(Operation right) {
        Step step = right.step();
        return !step.has(Common.ROUNDING) || step.rounding() == Rounding.NEAREST_EVEN ? List.of()
                : Way.tried("ties are rounded to even", () -> step.with(Rounding.NEAREST_EVEN), right);
    }
}

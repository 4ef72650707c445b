package pixeron.byhand.slip.ending;

import java.util.List;
import pixeron.number.Overflow;
import pixeron.step.Operation;
import pixeron.step.Slip;
import pixeron.step.Step;
import pixeron.step.Way;

/**
 * A value outside 0–M went round instead of being clipped.
 *
 * <p>Gives rounded mod (M + 1) with M of the result, where it is below 0 or above M. Source: docs/slips.md.
 */
public final class Wrapped implements Slip {

    @Override
    public String id() {
        return "wrapped";
    }

    @Override
    public List<Way> ways(Operation right) {
        Step step = right.step();
        return step.overflow() != Overflow.CLIP ? List.of()
                : List.of(Way.of("values outside " + right.frame().range().text() + " wrap around (mod "
                        + right.frame().range().period() + ") instead of being clipped", step.with(Overflow.WRAP), right));
    }
}

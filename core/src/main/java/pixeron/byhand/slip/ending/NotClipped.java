package pixeron.byhand.slip.ending;

import java.util.List;
import pixeron.number.Overflow;
import pixeron.step.Operation;
import pixeron.step.Slip;
import pixeron.step.Step;
import pixeron.step.Way;

/** A value outside 0 … M was left as it was. */
public final class NotClipped implements Slip {

    @Override
    public String id() {
        return "not-clipped";
    }

    @Override
    public List<Way> ways(Operation right) {
        Step step = right.step();
        return step.overflow() != Overflow.CLIP ? List.of()
                : List.of(Way.of("values outside 0 … " + right.frame().maximumLevel() + " are not clipped",
                        step.with(Overflow.KEEP), right));
    }
}

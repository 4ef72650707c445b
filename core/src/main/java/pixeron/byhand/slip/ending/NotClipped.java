package pixeron.byhand.slip.ending;

import java.util.List;
import pixeron.byhand.slip.Slip;
import pixeron.image.Image;
import pixeron.number.Overflow;
import pixeron.step.Step;

/** A value outside 0 … M was left as it was. */
public final class NotClipped implements Slip {

    @Override
    public String id() {
        return "not-clipped";
    }

    @Override
    public List<Way> ways(Step step, Image before) {
        return step.overflow() != Overflow.CLIP ? List.of()
                : List.of(Way.of("values outside 0 … " + before.maximumLevel() + " are not clipped",
                        step.with(Overflow.KEEP), before));
    }
}

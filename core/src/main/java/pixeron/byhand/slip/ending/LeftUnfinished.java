package pixeron.byhand.slip.ending;

import java.util.List;
import pixeron.byhand.slip.Slip;
import pixeron.image.Image;
import pixeron.number.Overflow;
import pixeron.number.Rounding;
import pixeron.step.Step;

/** The value was neither rounded nor brought into 0 … M: two things left out, so it comes after the single ones. */
public final class LeftUnfinished implements Slip {

    @Override
    public String id() {
        return "not-rounded";
    }

    @Override
    public List<Way> ways(Step step, Image before) {
        return step.rounding() == Rounding.NONE || step.overflow() == Overflow.KEEP ? List.of()
                : List.of(Way.unrounded("the value is neither rounded nor brought into 0 … " + before.maximumLevel(),
                        step.with(Rounding.NONE).with(Overflow.KEEP), before));
    }
}

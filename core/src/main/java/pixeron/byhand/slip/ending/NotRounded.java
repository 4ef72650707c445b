package pixeron.byhand.slip.ending;

import java.util.List;
import pixeron.byhand.slip.Slip;
import pixeron.image.Image;
import pixeron.number.Rounding;
import pixeron.step.Step;

/** The value was left with its fraction. */
public final class NotRounded implements Slip {

    @Override
    public String id() {
        return "not-rounded";
    }

    @Override
    public List<Way> ways(Step step, Image before) {
        return step.rounding() == Rounding.NONE ? List.of()
                : List.of(Way.unrounded("the value is not rounded", step.with(Rounding.NONE), before));
    }
}

package pixeron.byhand.slip;

import java.util.List;
import pixeron.image.Image;
import pixeron.number.Overflow;
import pixeron.number.Rounding;
import pixeron.step.Step;

/** The value was left with its fraction. */
final class NotRounded implements Slip {

    @Override
    public String id() {
        return "not-rounded";
    }

    @Override
    public List<Way> ways(Step step, Image before) {
        return step.rounding() == Rounding.NONE ? List.of() : List.of(
                Way.of("the value is not rounded", step.with(Rounding.NONE), before),
                Way.of("the value is neither rounded nor brought into the range of levels",
                        step.with(Rounding.NONE).with(Overflow.KEEP), before));
    }
}

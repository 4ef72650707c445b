package pixeron.byhand.slip.ending;

import java.util.List;
import pixeron.byhand.slip.Slip;
import pixeron.image.Image;
import pixeron.number.Rounding;
import pixeron.step.Step;

/** The value was always rounded up. */
public final class RoundedUp implements Slip {

    @Override
    public String id() {
        return "rounded-up";
    }

    @Override
    public List<Way> ways(Step step, Image before) {
        return step.rounding() == Rounding.CEILING ? List.of()
                : List.of(Way.of("the value is always rounded up", step.with(Rounding.CEILING), before));
    }
}

package pixeron.byhand.slip.ending;

import java.util.List;
import pixeron.byhand.slip.Slip;
import pixeron.image.Image;
import pixeron.number.Rounding;
import pixeron.step.Step;

/** The value was rounded to nearest where the step rounds otherwise. */
public final class RoundedNearest implements Slip {

    @Override
    public String id() {
        return "rounded-nearest";
    }

    @Override
    public List<Way> ways(Step step, Image before) {
        return step.rounding() == Rounding.NEAREST ? List.of()
                : Way.tried("the value is rounded to nearest", () -> step.with(Rounding.NEAREST), before);
    }
}

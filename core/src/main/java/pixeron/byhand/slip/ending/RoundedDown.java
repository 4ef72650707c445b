package pixeron.byhand.slip.ending;

import java.util.ArrayList;
import java.util.List;
import pixeron.byhand.slip.Slip;
import pixeron.image.Image;
import pixeron.number.Rounding;
import pixeron.step.Step;

/** The fraction was dropped, or the value rounded down, where the step rounds otherwise. */
public final class RoundedDown implements Slip {

    @Override
    public String id() {
        return "rounded-down";
    }

    @Override
    public List<Way> ways(Step step, Image before) {
        List<Way> ways = new ArrayList<>();
        if (step.rounding() != Rounding.TRUNCATE) {
            ways.add(Way.of("the fraction is dropped instead of rounded", step.with(Rounding.TRUNCATE), before));
        }
        if (step.rounding() != Rounding.FLOOR) {
            ways.add(Way.of("the value is always rounded down", step.with(Rounding.FLOOR), before));
        }
        return ways;
    }
}

package pixeron.byhand.slip.point;

import java.util.List;
import pixeron.byhand.slip.Slip;
import pixeron.byhand.slip.Varied;
import pixeron.image.Image;
import pixeron.step.Step;
import pixeron.step.catalog.StepLine;

/** The levels were stretched instead of equalized. */
public final class StretchForEqualize implements Slip {

    @Override
    public String id() {
        return "stretch-for-equalize";
    }

    @Override
    public List<Way> ways(Step step, Image before) {
        return !Varied.is(step, "equalize") ? List.of() : Way.tried("the levels are stretched instead of equalized",
                () -> StepLine.parse("stretch").with(step.rounding()).with(step.overflow()), before);
    }
}

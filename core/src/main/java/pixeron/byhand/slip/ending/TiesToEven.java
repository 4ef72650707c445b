package pixeron.byhand.slip.ending;

import java.util.List;
import pixeron.byhand.slip.Slip;
import pixeron.image.Image;
import pixeron.number.Rounding;
import pixeron.step.Step;

/** Halves were rounded to the even neighbor. */
public final class TiesToEven implements Slip {

    @Override
    public String id() {
        return "ties-to-even";
    }

    @Override
    public List<Way> ways(Step step, Image before) {
        return step.rounding() == Rounding.NEAREST_EVEN ? List.of()
                : Way.tried("halves are rounded to the even neighbor", () -> step.with(Rounding.NEAREST_EVEN), before);
    }
}

package pixeron.byhand.slip.ending;

import java.util.List;
import pixeron.byhand.slip.Slip;
import pixeron.image.Image;
import pixeron.number.Overflow;
import pixeron.step.Step;

/** A value outside 0 … M went round instead of being clipped. */
public final class Wrapped implements Slip {

    @Override
    public String id() {
        return "wrapped";
    }

    @Override
    public List<Way> ways(Step step, Image before) {
        return step.overflow() != Overflow.CLIP ? List.of()
                : List.of(Way.of("values outside 0 … " + before.maximumLevel() + " wrap round (mod "
                        + (before.maximumLevel() + 1) + ") instead of being clipped", step.with(Overflow.WRAP),
                                before));
    }
}

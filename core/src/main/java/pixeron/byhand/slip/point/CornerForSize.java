package pixeron.byhand.slip.point;

import java.util.ArrayList;
import java.util.List;
import pixeron.step.Operation;
import pixeron.step.Slip;
import pixeron.step.StepType;
import pixeron.step.Way;

/**
 * A rectangle given by its first pixel and its size was read as from its first pixel to its last, or back; for every area.
 *
 * <p>"2 2 3 4" is rows 2 to 4 and columns 2 to 5. Who takes 3 and 4 for the last pixel has rows 2 to 3 and columns 2 to 4;
 * who writes the last pixel where the size belongs has the 4 rows 2 to 5.
 */
public final class CornerForSize implements Slip {

    @Override
    public String id() {
        return "corner-for-size";
    }

    @Override
    public List<Way> ways(Operation right) {
        List<Way> ways = new ArrayList<>();
        right.step().arguments().find(StepType.AREA).ifPresent(area -> area.misread().filter(other ->
                other.isInside(right.before().frame()))
                .forEach(other -> ways.addAll(Way.tried("the area \"" + area + "\" is read as \"" + other
                        + "\": the last pixel is used as the size, or vice versa", () -> right.step().with(StepType.AREA, other), right))));
        return ways;
    }
}

package pixeron.byhand.slip.sheet;

import java.util.List;
import java.util.function.Function;
import pixeron.image.Pixel;
import pixeron.number.Value;
import pixeron.step.Operation;
import pixeron.step.Slip;
import pixeron.step.Way;

/** Values that came out in one place were written down in another, whatever they are. */
public interface PlaceSlip extends Slip {

    /**
     * Returns what is where it was written down.
     *
     * @param result what came out for a pixel
     * @param right the step, whose size the result has
     */
    List<Way> moved(Function<Pixel, Value> result, Operation right);

    @Override
    default List<Way> ways(Operation right) {
        return moved(right::value, right);
    }
}

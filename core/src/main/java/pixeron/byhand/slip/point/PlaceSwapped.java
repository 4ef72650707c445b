package pixeron.byhand.slip.point;

import java.util.List;
import pixeron.step.Operation;
import pixeron.step.Slip;
import pixeron.step.StepType;
import pixeron.step.Way;

/**
 * Row and column of an area were exchanged, with or without its height and width: x and y are written in the other order.
 *
 * <p>Of "2 0 3 1" (row 2, column 0, 3 rows, 1 column) becomes "0 2 3 1" or "0 2 1 3". Steps with places of their own name theirs themselves.
 * Source: docs/slips.md.
 */
public final class PlaceSwapped implements Slip {

    public static final String ID = "place-swapped";

    @Override
    public String id() {
        return ID;
    }

    @Override
    public List<Way> ways(Operation right) {
        return right.step().arguments().find(StepType.AREA).stream().flatMap(area -> area.swapped().filter(other -> other.isInside(right.before().frame()))
                .flatMap(other -> Way.tried("the area \"" + area + "\" is read as \"" + other + "\": row and column are swapped", () ->
                        right.step().with(StepType.AREA, other), right).stream())).toList();
    }
}

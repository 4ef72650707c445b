package pixeron.byhand.slip.point;

import java.util.List;
import pixeron.step.Operation;
import pixeron.step.Slip;
import pixeron.step.Way;

/** The opposite was done, as the step itself says: added where it subtracts, the smallest where the largest is meant. */
public final class WrongOperation implements Slip {

    @Override
    public String id() {
        return "wrong-operation";
    }

    @Override
    public List<Way> ways(Operation right) {
        return right.step().type().opposite(right.step()).map(other -> Way.tried(other.words(), other::step, right))
                .orElse(List.of());
    }
}

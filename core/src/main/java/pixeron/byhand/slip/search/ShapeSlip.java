package pixeron.byhand.slip.search;

import java.util.List;
import java.util.Optional;
import pixeron.byhand.Claim;
import pixeron.byhand.slip.search.Explanation.Certainty;
import pixeron.image.Frame;
import pixeron.step.Operation;

/** What the shape of a table by hand says by itself, where it is not that of the result. */
public final class ShapeSlip {

    private ShapeSlip() {
    }

    /**
     * @param written rows and columns of the table
     * @return the slip that gives a result of this shape; empty where none does
     */
    public static Optional<Explanation> of(Frame written, Operation right) {
        return right.step().type().misread(right).filter(written::isSized).findFirst().map(frame -> new Explanation(
                List.of("corner-for-size"), new Claim(0, 0), "The table has " + written.size() + " cells in place of " + right.frame().size()
                + ": that is the rectangle when its last pixel and its size are mixed up.", Certainty.UNSAID, List.of(),
                Optional.empty()));
    }
}

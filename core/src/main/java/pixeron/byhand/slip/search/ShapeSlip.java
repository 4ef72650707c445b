package pixeron.byhand.slip.search;

import java.util.List;
import java.util.Optional;
import pixeron.byhand.Claim;
import pixeron.byhand.HandSheet;
import pixeron.byhand.slip.search.Explanation.Certainty;
import pixeron.image.Frame;
import pixeron.image.Pixel;
import pixeron.step.Operation;

/** What the shape of a table by hand says by itself, where it is not that of the result. */
public final class ShapeSlip {

    private ShapeSlip() {
    }

    /**
     * A sheet that was written for a larger result: cells beyond this one are kept and count for nothing, but their number may say
     * something.
     *
     * @return the slip that gives a result of just that shape; empty where no cell lies beyond, or none does
     */
    public static Optional<Explanation> of(HandSheet sheet, Operation right) {
        int rows = sheet.cells().keySet().stream().mapToInt(Pixel::row).max().orElse(0) + 1;
        int columns = sheet.cells().keySet().stream().mapToInt(Pixel::column).max().orElse(0) + 1;
        Frame frame = right.frame();
        return rows <= frame.rows() && columns <= frame.columns() ? Optional.empty() : of(new Frame(rows, columns, frame.maximumLevel()), right);
    }

    /**
     * Returns the slip that gives a result of this shape; empty where none does.
     *
     * @param written rows and columns of the table
     */
    public static Optional<Explanation> of(Frame written, Operation right) {
        return right.step().type().misread(right).filter(written::isSized).findFirst().map(frame -> new Explanation(
                List.of("corner-for-size"), new Claim(0, 0), "The table has " + written.size() + " cells instead of " + right.frame().size()
                + ": this is the rectangle that you get when the last pixel is used as the size.", Certainty.UNSAID, List.of(),
                Optional.empty()));
    }
}

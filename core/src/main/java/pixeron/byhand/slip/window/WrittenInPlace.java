package pixeron.byhand.slip.window;

import java.util.ArrayList;
import java.util.List;
import pixeron.image.Frame;
import pixeron.step.Operation;
import pixeron.step.Progress;
import pixeron.step.Slip;
import pixeron.step.Way;
import pixeron.walk.InPlace;
import pixeron.walk.ScanOrder;
import pixeron.walk.Visits;

/**
 * The result was written into the image that was being read; rows or columns first.
 *
 * <p>Gives s(i, j) of a window in which every pixel before (i, j) already has its result. Cost: the whole image before
 * it. Source: docs/slips.md.
 */
public final class WrittenInPlace implements Slip {

    /** In a larger image nobody writes all values by hand, and all are needed here. */
    private static final int MOST_PIXELS = 1 << 13;

    @Override
    public String id() {
        return "written-in-place";
    }

    @Override
    public List<Way> ways(Operation right) {
        List<Way> ways = new ArrayList<>();
        Frame frame = right.frame();
        for (ScanOrder order : frame.count() <= MOST_PIXELS ? ScanOrder.values() : new ScanOrder[0]) {
            InPlace.of(right, Visits.of(order, frame.rows(), frame.columns()), Progress.NONE)
                    .ifPresent(done -> ways.add(Way.of("results are written into the input and read again, " + order.title(), done)));
        }
        return ways;
    }
}

package pixeron.byhand.slip.window;

import java.util.ArrayList;
import java.util.List;
import pixeron.byhand.slip.Slip;
import pixeron.image.Image;
import pixeron.step.Progress;
import pixeron.step.Step;
import pixeron.walk.InPlace;
import pixeron.walk.ScanOrder;
import pixeron.walk.Visits;

/** The result was written into the image that was being read; rows or columns first. */
public final class WrittenInPlace implements Slip {

    /** In a larger image nobody writes all values by hand, and all are needed here. */
    private static final int MOST_PIXELS = 1 << 13;

    @Override
    public String id() {
        return "written-in-place";
    }

    @Override
    public List<Way> ways(Step step, Image before) {
        List<Way> ways = new ArrayList<>();
        for (ScanOrder order : before.count() <= MOST_PIXELS ? ScanOrder.values() : new ScanOrder[0]) {
            InPlace.of(step.bind(before), Visits.of(order, before.rows(), before.columns()), Progress.NONE)
                    .ifPresent(done -> ways.add(Way.of("values already written are read again, " + order.title(), done)));
        }
        return ways;
    }
}

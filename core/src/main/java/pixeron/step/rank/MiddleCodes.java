package pixeron.step.rank;

import pixeron.number.Rational;
import pixeron.number.Value;
import pixeron.step.neighborhood.Codes;
import pixeron.step.neighborhood.Plane;
import pixeron.step.neighborhood.Window;

/** The codes of a place in the sorted window: twice the value, because a median may lie between two. */
record MiddleCodes(Ranked ranked, int maximumLevel) implements Codes {

    @Override
    public int least() {
        return 0;
    }

    @Override
    public int most() {
        return 2 * maximumLevel;
    }

    @Override
    public Value value(int code) {
        return Rational.of(code, 2);
    }

    @Override
    public int absent() {
        return SortedRows.ABSENT;
    }

    @Override
    public Rows rows(Plane plane) {
        Window window = plane.window();
        boolean isNine = ranked.isMedian() && window.height() == MedianOfNine.SIDE && window.width() == MedianOfNine.SIDE;
        return isNine ? new MedianOfNine(plane, ranked) : new SortedRows(plane, maximumLevel, ranked::at, ranked::isBetween);
    }
}

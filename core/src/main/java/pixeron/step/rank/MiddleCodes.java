package pixeron.step.rank;

import java.util.Optional;
import java.util.function.Function;
import pixeron.image.Image;
import pixeron.number.Rational;
import pixeron.number.Value;
import pixeron.step.neighborhood.CellRows;
import pixeron.step.neighborhood.Codes;
import pixeron.step.neighborhood.Plane;
import pixeron.step.neighborhood.Window;

/**
 * The codes of a place in the sorted window: twice the value, because a median may lie between two.
 *
 * @param isByThresholds whether {@link RankByThresholds} is quickest
 */
record MiddleCodes(Ranked ranked, Window window, int maximumLevel, boolean isByThresholds) implements Codes {

    /** For so many cells counting each of them for each bit, several columns at once, is quicker than counting levels column by column. */
    private static final int MOST_BY_BITS = 100;

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
    public Optional<Line> line() {
        return Optional.of(new Line(1, 0, 2));
    }

    @Override
    public Rows rows(Plane plane) {
        return isByThresholds && RankByThresholds.isPossible(plane) ? new RankByThresholds(plane, ranked)
                : isNine() ? new MedianOfNine(plane, maximumLevel, ranked).inOneRun() : isOfBytes() && cells() <= ColumnCounts.MOST_CELLS
                ? new ColumnCounts(plane, ranked) : new SortedRows(plane, maximumLevel, ranked);
    }

    @Override
    public Optional<Function<CellRows, RunRows>> inAnyOrder() {
        return isNine() ? Optional.of(rows -> new MedianOfNine(rows, maximumLevel, ranked)) : !isByThresholds && cells() <= MOST_BY_BITS
                ? Optional.of(rows -> new RankByBits(rows, ranked)) : Optional.empty();
    }

    private boolean isNine() {
        return ranked.isMedian() && window.height() == MedianOfNine.SIDE && window.width() == MedianOfNine.SIDE;
    }

    private boolean isOfBytes() {
        return maximumLevel <= Image.BYTE_MAXIMUM;
    }

    private int cells() {
        return window.height() * window.width();
    }
}

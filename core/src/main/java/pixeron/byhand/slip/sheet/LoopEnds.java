package pixeron.byhand.slip.sheet;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import pixeron.PixeronException;
import pixeron.image.Frame;
import pixeron.image.Pixel;
import pixeron.number.Rational;
import pixeron.number.Value;
import pixeron.step.Explained;
import pixeron.step.KnownValues;
import pixeron.step.Operation;
import pixeron.step.Slip;
import pixeron.step.Way;

/**
 * The loop over rows or columns began at 1, or ended before the last one.
 *
 * <p>Gives the right values, but in the first (the last) row, column or both 0, or what was there before. Source: docs/slips.md.
 */
public final class LoopEnds implements Slip {

    private final String id;
    private final boolean isAtStart;

    private LoopEnds(String id, boolean isAtStart) {
        this.id = id;
        this.isAtStart = isAtStart;
    }

    /** Returns {@code started-at-one}. */
    public static Slip startedAtOne() {
        return new LoopEnds("started-at-one", true);
    }

    /** Returns {@code stopped-early}. */
    public static Slip stoppedEarly() {
        return new LoopEnds("stopped-early", false);
    }

    @Override
    public String id() {
        return id;
    }

    @Override
    public List<Way> ways(Operation right) {
        Frame frame = right.frame();
        int row = isAtStart ? 0 : frame.rows() - 1;
        int column = isAtStart ? 0 : frame.columns() - 1;
        String words = isAtStart ? "the loop over %s starts at 1" : "the loop over %s stops before the last";
        // All but the ends is as it should be, in every way: calculated once for all of them.
        Explained rest = KnownValues.of(right);
        List<Way> ways = new ArrayList<>();
        add(ways, String.format(words, "rows and over columns"), pixel -> pixel.row() == row || pixel.column() == column, right, rest);
        add(ways, String.format(words, "rows"), pixel -> pixel.row() == row, right, rest);
        add(ways, String.format(words, "columns"), pixel -> pixel.column() == column, right, rest);
        return ways;
    }

    private static void add(List<Way> ways, String words, Predicate<Pixel> isLeftOut, Operation right, Explained rest) {
        ways.add(Way.of(words + ", so these cells are 0", pixel -> isLeftOut.test(pixel) ? Rational.ZERO : rest.value(pixel)));
        boolean isSameSize = right.before().rows() == right.frame().rows() && right.before().columns() == right.frame().columns();
        if (isSameSize) {
            ways.add(Way.of(words + ", so these cells keep their old values", pixel -> isLeftOut.test(pixel) ? before(right, pixel) : rest.value(pixel)));
        }
    }

    private static Value before(Operation right, Pixel pixel) {
        return Optional.of(pixel).filter(right.before()::contains).map(right.before()::value).orElseThrow(() -> PixeronException.of("These cells have no old value."));
    }
}

package pixeron.step.rank;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import pixeron.PixeronException;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.number.Decimals;
import pixeron.number.Rational;
import pixeron.number.Value;
import pixeron.step.Step;
import pixeron.step.neighborhood.Border;
import pixeron.step.neighborhood.Codes;
import pixeron.step.neighborhood.Plane;
import pixeron.step.neighborhood.Window;
import pixeron.step.neighborhood.WindowOperation;
import pixeron.step.neighborhood.WindowText;
import pixeron.working.Line;
import pixeron.working.LoopWriter;
import pixeron.working.Run;

/**
 * A place in the sorted window, bound to an image.
 *
 * <p>Cost for a level image: the smallest and the largest 2n comparisons for each pixel; other places 2n counts that move
 * with the window, see {@link SortedRows}. Otherwise every window is sorted anew.
 */
final class RankOperation extends WindowOperation {

    private final Rank.Kind kind;
    private final int place;

    /** @param place for a place that was given, from 1 */
    RankOperation(Step step, Image before, Window window, Rank.Kind kind, int place) {
        super(step, before, window);
        this.kind = kind;
        this.place = place;
    }

    private static List<Value> sorted(List<Window.Cell> cells) {
        List<Value> values = new ArrayList<>();
        cells.forEach(cell -> cell.value().ifPresent(values::add));
        values.sort(Value::compareValue);
        return values;
    }

    /** @return the place that is taken, from 0; of an even count's middle the lower one */
    private int at(int count) {
        return switch (kind) {
            case MINIMUM -> 0;
            case MAXIMUM -> count - 1;
            case MEDIAN -> (count - 1) / 2;
            case PLACED -> place - 1;
        };
    }

    private boolean isBetween(int count) {
        return kind == Rank.Kind.MEDIAN && count % 2 == 0;
    }

    @Override
    protected Value valueOf(Pixel pixel, List<Window.Cell> cells) {
        List<Value> sorted = sorted(cells);
        int at = at(sorted.size());
        if (at >= sorted.size()) {
            throw PixeronException.of("rank at %s: place %d is beyond the %d cells of the window that are inside.",
                    pixel, place, sorted.size());
        }
        return isBetween(sorted.size()) ? sorted.get(at).plus(sorted.get(at + 1)).dividedBy(Rational.of(2))
                : sorted.get(at);
    }

    @Override
    protected Optional<Codes> codes() {
        if (!Plane.isPossible(before(), window())) {
            return Optional.empty();
        } else if (kind == Rank.Kind.MINIMUM || kind == Rank.Kind.MAXIMUM) {
            return Optional.of(new ExtremeCodes(before(), window(), kind == Rank.Kind.MINIMUM, Optional.empty()));
        }
        // A place may be beyond the cells that are inside; the plain way says at which pixel first.
        boolean mayFail = kind == Rank.Kind.PLACED && window().border() == Border.INSIDE;
        return mayFail || !Image.isLevel(window().outside(), before().maximumLevel()) ? Optional.empty()
                : Optional.of(new Middle());
    }

    /** The codes: twice the value, because a median may lie between two. */
    private final class Middle implements Codes {

        @Override
        public int least() {
            return 0;
        }

        @Override
        public int most() {
            return 2 * before().maximumLevel();
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
            return new SortedRows(plane, before().maximumLevel(), RankOperation.this::at, RankOperation.this::isBetween);
        }
    }

    @Override
    protected List<Line> work(Pixel pixel, List<Window.Cell> cells) {
        List<Line> lines = new ArrayList<>(WindowText.lines(window(), pixel, cells));
        List<Value> sorted = sorted(cells);
        int count = sorted.size();
        int at = at(count);
        List<Run> runs = new ArrayList<>();
        for (int n = 0; n < count; n++) {
            boolean isChosen = n == at || isBetween(count) && n == at + 1;
            String number = Decimals.working(sorted.get(n));
            runs.add(isChosen ? Run.after("[" + number + "] ") : Run.plain(number + " "));
        }
        runs.add(Run.note("   place " + (at + 1) + (isBetween(count) ? " and " + (at + 2) : "") + " of " + count));
        lines.add(new Line("sorted", runs));
        if (isBetween(count)) {
            lines.add(Line.of("mean", Run.plain("(" + Decimals.working(sorted.get(at)) + " + "
                    + Decimals.working(sorted.get(at + 1)) + ") ÷ 2 = " + Decimals.working(valueOf(pixel, cells)))).arriving("mean", valueOf(pixel, cells)));
        }
        return lines;
    }

    @Override
    protected void follow(LoopWriter out, Pixel pixel, List<Window.Cell> cells) {
        List<Value> list = new ArrayList<>();
        out.set("list", "empty").line(0, "list ← empty");
        for (Window.Cell cell : cells) {
            out.takeCell();
            if (cell.value().isPresent()) {
                WindowText.place(out, window(), cell);
                out.line(0, WindowText.forEachCell(window()));
                list.add(cell.value().get());
                list.sort(Value::compareValue);
                out.set("list", text(list)).line(1, "put before[i+a][j+b] into list where it belongs");
            }
        }
        if (kind == Rank.Kind.PLACED) {
            out.set("k", Rational.of(place));
        }
        out.set("s", valueOf(pixel, cells)).line(0, "s ← " + kind.words()
                + (kind == Rank.Kind.MEDIAN && window().border() == Border.INSIDE
                ? "; of an even count the mean of both" : ""));
    }

    private static String text(List<Value> list) {
        return String.join(" ", list.stream().map(Decimals::working).toList());
    }
}

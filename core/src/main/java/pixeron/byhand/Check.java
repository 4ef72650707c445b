package pixeron.byhand;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import pixeron.image.Pixel;
import pixeron.number.Rational;
import pixeron.number.Value;
import pixeron.step.Explained;

/**
 * A user's values compared with the result of a step, cell by cell.
 *
 * <p>Cost: one value of the step for every filled cell.
 *
 * @param cells the filled cells in reading order
 */
public record Check(List<CellCheck> cells) {

    /** Nothing filled. */
    public static final Check EMPTY = new Check(List.of());

    public Check {
        cells = List.copyOf(cells);
    }

    /**
     * Returns the findings about each cell.
     *
     * @param sheet cells inside the step's result
     * @param step the step, bound to its input
     */
    public static Check of(HandSheet sheet, Explained step) {
        List<CellCheck> cells = new ArrayList<>();
        sheet.cells().forEach((pixel, byHand) -> {
            if (!step.contains(pixel)) {
                // Written for a larger result; it counts again when the step gives one.
                return;
            }
            Value value = step.value(pixel);
            cells.add(new CellCheck(pixel, byHand, value, state(sheet, pixel, byHand, value, step)));
        });
        return new Check(cells);
    }

    private static Verdict state(HandSheet sheet, Pixel pixel, HandValue byHand, Value value,
            Explained step) {
        if (byHand.value().isEmpty()) {
            return Verdict.NOT_UNDERSTOOD;
        } else if (agrees(sheet, byHand, value)) {
            return Verdict.AGREES;
        }
        return byHand.isDetailed() && byHand.agreesWith(step.exact(pixel))
                ? Verdict.NOT_ROUNDED : Verdict.DIFFERS;
    }

    private static boolean agrees(HandSheet sheet, HandValue byHand, Value value) {
        Optional<Rational> tolerance = sheet.tolerance();
        return tolerance.isEmpty() ? byHand.agreesWith(value)
                : byHand.value().orElseThrow().minus(value).absolute().compareValue(tolerance.get()) <= 0;
    }

    /** Returns the number of filled cells. */
    public int filled() {
        return cells.size();
    }

    /** Returns the number of filled cells in a state. */
    public int count(Verdict state) {
        int count = 0;
        for (CellCheck cell : cells) {
            count += cell.state() == state ? 1 : 0;
        }
        return count;
    }

    public int agree() {
        return count(Verdict.AGREES);
    }

    /** Returns cells that differ, with those that are only not rounded, in reading order. */
    public List<CellCheck> differing() {
        return cells.stream().filter(CellCheck::isDiffering).toList();
    }

    /** Returns the first cell in reading order that differs. */
    public Optional<CellCheck> first() {
        return cells.stream().filter(CellCheck::isDiffering).findFirst();
    }

    /**
     * Returns the next cell in reading order that differs or is not understood.
     *
     * @param from a place; the search goes on behind it and then from the beginning
     */
    public Optional<CellCheck> nextAfter(Pixel from) {
        List<CellCheck> wanted = cells.stream().filter(cell -> cell.state() != Verdict.AGREES).toList();
        return wanted.stream().filter(cell -> cell.pixel().compareTo(from) > 0).findFirst()
                .or(() -> wanted.stream().findFirst());
    }
}

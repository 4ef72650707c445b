package pixeron.byhand.slip;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import pixeron.PixeronException;
import pixeron.byhand.CellCheck;
import pixeron.byhand.Check;
import pixeron.byhand.slip.Slip.Way;
import pixeron.image.Image;
import pixeron.number.Value;
import pixeron.step.Step;

/**
 * Looks for the slips that explain the differing cells of a check.
 *
 * <p>A slip explains a cell when it gives the person's value. It is claimed when it explains at least two differing
 * cells and at least half of them, and contradicts no agreeing cell; then the cells left over are searched in the same
 * way. Most cells explained comes first; among equals, the order of the list below.
 *
 * <p>Cost: ways × filled cells values of the step.
 */
public final class SlipFinder {

    private static final int FEWEST = 2;

    /** In the order of preference among slips that explain as many cells. */
    private static final List<Slip> ALL = List.of(
            new NotRounded(), new RoundedDown(), new RoundedUp(), new NotClipped(), new Wrapped(),
                    new LeftUnfinished());

    private record Found(Slip slip, Way way, List<CellCheck> explained) {
    }

    private final List<CellCheck> agreeing;
    private final Set<CellCheck> explained = new HashSet<>();
    private final List<CellCheck> left;

    private SlipFinder(Check check) {
        agreeing = check.cells().stream().filter(cell -> cell.state() == CellCheck.State.AGREES).toList();
        left = new ArrayList<>(check.differing());
    }

    /**
     * @param check the person's values against the step
     * @param step the step
     * @param before its input
     * @return the slips that are claimed, best first; empty when nothing explains the cells
     */
    public static List<Explanation> find(Check check, Step step, Image before) {
        return new SlipFinder(check).find(step, before);
    }

    private List<Explanation> find(Step step, Image before) {
        List<Explanation> explanations = new ArrayList<>();
        while (left.size() >= FEWEST) {
            Found best = best(step, before);
            if (best == null) {
                break;
            }
            explanations.add(explanation(best, explanations.isEmpty()));
            left.removeAll(best.explained());
            explained.addAll(best.explained());
        }
        return explanations;
    }

    private Found best(Step step, Image before) {
        Found best = null;
        for (Slip slip : ALL) {
            for (Way way : slip.ways(step, before)) {
                List<CellCheck> cells = left.stream().filter(cell -> explains(way, cell)).toList();
                boolean isBetter = cells.size() > (best == null ? 0 : best.explained().size());
                if (isBetter && cells.size() >= FEWEST && 2 * cells.size() >= left.size() && !contradicts(way)) {
                    best = new Found(slip, way, cells);
                }
            }
        }
        return best;
    }

    private static boolean explains(Way way, CellCheck cell) {
        return gives(way, cell)
                && (!way.isUnrounded() || cell.byHand().isDetailed() || way.value().apply(cell.pixel()).isWhole());
    }

    private static boolean gives(Way way, CellCheck cell) {
        try {
            return cell.byHand().agreesWith(way.value().apply(cell.pixel()));
        } catch (PixeronException withoutValue) {
            return false;
        }
    }

    /**
     * An agreeing cell is contradicted when the person would have written something else there; a cell that is
     * explained
     * already, when this slip would have changed the right value as well.
     */
    private boolean contradicts(Way way) {
        return agreeing.stream().anyMatch(cell -> !gives(way, cell))
                || explained.stream().anyMatch(cell -> {
                    Value slipped = way.value().apply(cell.pixel());
                    return slipped.compareValue(cell.value()) != 0;
                });
    }

    private Explanation explanation(Found found, boolean isFirst) {
        int explains = found.explained().size();
        String cells = (explains == left.size() ? "All " + explains : explains + " of the " + left.size())
                + (isFirst ? " differing cells" : " other differing cells");
        return new Explanation(found.slip().id(), explains, left.size(),
                cells + " are what you get when " + found.way().words() + ".",
                found.explained().stream().map(CellCheck::pixel).toList());
    }
}

package pixeron.byhand.slip;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import pixeron.PixeronException;
import pixeron.byhand.CellCheck;
import pixeron.byhand.Check;
import pixeron.byhand.slip.Slip.Way;
import pixeron.byhand.slip.ending.LeftUnfinished;
import pixeron.byhand.slip.ending.NotClipped;
import pixeron.byhand.slip.ending.NotRounded;
import pixeron.byhand.slip.ending.RoundedDown;
import pixeron.byhand.slip.ending.RoundedNearest;
import pixeron.byhand.slip.ending.RoundedUp;
import pixeron.byhand.slip.ending.TiesToEven;
import pixeron.byhand.slip.ending.Wrapped;
import pixeron.byhand.slip.point.BlackWhiteSwapped;
import pixeron.byhand.slip.point.CountForMaximum;
import pixeron.byhand.slip.point.Counting;
import pixeron.byhand.slip.point.MaximumForCount;
import pixeron.byhand.slip.point.OtherShare;
import pixeron.byhand.slip.point.ParameterOffByOne;
import pixeron.byhand.slip.point.RoundedEarly;
import pixeron.byhand.slip.point.StretchForEqualize;
import pixeron.byhand.slip.point.Strictness;
import pixeron.byhand.slip.point.WrongOperation;
import pixeron.byhand.slip.sheet.RowsColumnsSwapped;
import pixeron.byhand.slip.sheet.ShiftedByOne;
import pixeron.byhand.slip.sheet.SingleCell;
import pixeron.byhand.slip.window.OtherBorder;
import pixeron.byhand.slip.window.Weighted;
import pixeron.byhand.slip.window.WrittenInPlace;
import pixeron.image.Image;
import pixeron.number.Value;
import pixeron.step.Step;
import pixeron.step.neighborhood.Border;

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
    private static final List<Slip> ALL = List.of(new NotRounded(), new RoundedDown(), new RoundedUp(), new RoundedNearest(),
            new TiesToEven(), new NotClipped(), new Wrapped(), new LeftUnfinished(), new CountForMaximum(),
            new MaximumForCount(), new WrongOperation(), new Strictness(), new ParameterOffByOne(), new BlackWhiteSwapped(),
            new StretchForEqualize(), Counting.notRunning(), OtherShare.fromFirst(), OtherShare.plain(),
            new OtherBorder(Border.ZERO), new OtherBorder(Border.REPEAT), new OtherBorder(Border.MIRROR_HALF),
            new OtherBorder(Border.MIRROR_WHOLE), new OtherBorder(Border.WRAP), new OtherBorder(Border.KEEP),
            new OtherBorder(Border.INSIDE), Weighted.turned(), Weighted.transposed(), Weighted.noDivisor(),
            Weighted.noOffset(), new WrittenInPlace(), new RowsColumnsSwapped(), new ShiftedByOne(), Weighted.missed(),
            Weighted.twice(), Weighted.sign(), new RoundedEarly(), Counting.running(), Counting.miscounted(),
            new OtherBorder(Border.CONSTANT));

    private record Found(Slip slip, Way way, List<CellCheck> explained) {
    }

    private final List<CellCheck> agreeing;
    private final Set<CellCheck> explained = new HashSet<>();
    private final List<CellCheck> left;

    private SlipFinder(Check check) {
        agreeing = check.cells().stream().filter(cell -> cell.state() == CellCheck.State.AGREES).toList();
        left = new ArrayList<>(check.differing());
    }

    /** @return all slips that are looked for in several cells, in the order of preference */
    public static List<Slip> all() {
        return ALL;
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
        if (left.size() == 1) {
            return only(left.get(0));
        }
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

    /** One differing cell alone is no pattern; only a slip of writing is said of it. */
    private static List<Explanation> only(CellCheck cell) {
        return SingleCell.of(cell).map(slip -> List.of(new Explanation(slip.id(), 1, 1, "The only differing value "
                + slip.words() + ".", List.of(cell.pixel())))).orElse(List.of());
    }

    private Found best(Step step, Image before) {
        Found best = null;
        for (Slip slip : ALL) {
            for (Way way : slip.ways(step, before)) {
                int needed = Math.max(best == null ? FEWEST : best.explained().size() + 1,
                        Math.max(FEWEST, (left.size() + 1) / 2));
                List<CellCheck> cells = explained(way, needed);
                if (cells.size() >= needed && !contradicts(way)) {
                    best = new Found(slip, way, cells);
                }
            }
        }
        return best;
    }

    /** @return the cells that a way explains; fewer than needed as soon as that is sure */
    private List<CellCheck> explained(Way way, int needed) {
        List<CellCheck> cells = new ArrayList<>();
        for (int n = 0; n < left.size() && cells.size() + left.size() - n >= needed; n++) {
            if (explains(way, left.get(n))) {
                cells.add(left.get(n));
            }
        }
        return cells;
    }

    private static boolean explains(Way way, CellCheck cell) {
        return gives(way, cell)
                && (!way.isUnrounded() || cell.byHand().isDetailed() || way.value().apply(cell.pixel()).isWhole());
    }

    private static boolean gives(Way way, CellCheck cell) {
        return valueOf(way, cell).filter(cell.byHand()::agreesWith).isPresent();
    }

    /**
     * An agreeing cell is contradicted when the person would have written something else there; a cell that is
     * explained
     * already, when this slip would have changed the right value as well.
     */
    private boolean contradicts(Way way) {
        return agreeing.stream().anyMatch(cell -> valueOf(way, cell).filter(value ->
                !cell.byHand().agreesWith(value)).isPresent())
                || explained.stream().anyMatch(cell -> valueOf(way, cell).filter(value ->
                value.compareValue(cell.value()) != 0).isPresent());
    }

    /** @return what the person would have written; empty where the slip says nothing of the cell */
    private static Optional<Value> valueOf(Way way, CellCheck cell) {
        try {
            return Optional.of(way.value().apply(cell.pixel()));
        } catch (PixeronException withoutValue) {
            return Optional.empty();
        }
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

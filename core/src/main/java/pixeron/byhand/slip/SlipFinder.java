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
import pixeron.image.Pixel;
import pixeron.number.Value;
import pixeron.step.Operation;
import pixeron.step.Progress;
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

    /** For larger images the values of all slips together would fill the memory. */
    private static final int MOST_KEPT = 1 << 12;

    /** When so many values of a step were asked for, all together cost less than more of them one by one. */
    private static final int WORTH_ALL = 100;
    /** Below so many values a second core costs more than it saves. */
    private static final int WORTH_BOTH_CORES = 50_000;

    /** A slip in one of its ways, with the values that it gave so far. */
    private static final class Candidate {

        /** The value was asked for, and there is none. */
        private static final Object NOTHING = new Object();

        private final Slip slip;
        private final Way way;
        private final Image before;
        private final Object[] known;
        private int asked;
        private Optional<Image> whole = Optional.empty();

        Candidate(Slip slip, Way way, Image before) {
            this.slip = slip;
            this.way = way;
            this.before = before;
            this.known = before.count() <= MOST_KEPT ? new Object[before.count()] : null;
        }

        /** @return what the person would have written; empty where the slip says nothing of the cell */
        Optional<Value> value(CellCheck cell) {
            int at = before.offset(cell.pixel());
            if (known != null && known[at] != null) {
                return known[at] == NOTHING ? Optional.empty() : Optional.of((Value) known[at]);
            }
            Value value = worked(cell.pixel());
            if (known != null) {
                known[at] = value == null ? NOTHING : value;
            }
            return Optional.ofNullable(value);
        }

        private Value worked(Pixel pixel) {
            if (++asked == WORTH_ALL) {
                whole = whole();
            }
            try {
                return whole.isPresent() && whole.get().contains(pixel) ? whole.get().value(pixel) : way.value().apply(pixel);
            } catch (PixeronException withoutValue) {
                return null;
            }
        }

        /** @return all values at once where a step gives them and none is missing or a double */
        private Optional<Image> whole() {
            try {
                return way.done().filter(Operation.class::isInstance).map(Operation.class::cast)
                        .map(operation -> operation.result(Progress.NONE)).filter(Image::isExact);
            } catch (PixeronException withoutSomeValue) {
                return Optional.empty();
            }
        }

        boolean gives(CellCheck cell) {
            return value(cell).filter(cell.byHand()::agreesWith).isPresent();
        }

        boolean explains(CellCheck cell) {
            return gives(cell) && (!way.isUnrounded() || cell.byHand().isDetailed() || value(cell).orElseThrow().isWhole());
        }
    }

    private record Found(Candidate candidate, List<CellCheck> explained) {
    }

    private final Step step;
    private final Image before;
    private List<Candidate> candidates;

    /**
     * Finds slips in many sheets of the same step: what each slip would give is prepared once.
     *
     * @param step the step
     * @param before its input
     */
    public SlipFinder(Step step, Image before) {
        this.step = step;
        this.before = before;
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
        return new SlipFinder(step, before).find(check);
    }

    private List<Candidate> candidates() {
        if (candidates == null) {
            candidates = ALL.stream().flatMap(slip -> slip.ways(step, before).stream()
                    .map(way -> new Candidate(slip, way, before))).toList();
        }
        return candidates;
    }

    /**
     * @param check a person's values against the step
     * @return the slips that are claimed, best first; empty when nothing explains the cells
     */
    public synchronized List<Explanation> find(Check check) {
        List<CellCheck> differing = check.differing();
        return differing.isEmpty() ? List.of() : differing.size() == 1 ? only(differing.get(0))
                : new Search(check, candidates()).find();
    }

    /** One differing cell alone is no pattern; only a slip of writing is said of it. */
    private static List<Explanation> only(CellCheck cell) {
        return SingleCell.of(cell).map(slip -> List.of(new Explanation(slip.id(), 1, 1, "The only differing value "
                + slip.words() + ".", List.of(cell.pixel()), Optional.empty()))).orElse(List.of());
    }

    /** The search in one sheet. */
    private static final class Search {

        private final List<Candidate> candidates;
        private final List<CellCheck> agreeing;
        private final Set<CellCheck> explained = new HashSet<>();
        private final List<CellCheck> left;

        Search(Check check, List<Candidate> candidates) {
            this.candidates = candidates;
            this.agreeing = check.cells().stream().filter(cell -> cell.state() == CellCheck.State.AGREES).toList();
            this.left = new ArrayList<>(check.differing());
        }

        List<Explanation> find() {
            List<Explanation> explanations = new ArrayList<>();
            while (left.size() >= FEWEST) {
                Found best = best();
                if (best == null) {
                    break;
                }
                explanations.add(explanation(best, explanations.isEmpty(), left.size()));
                left.removeAll(best.explained());
                explained.addAll(best.explained());
            }
            return explanations;
        }

        private Found best() {
            int fewest = Math.max(FEWEST, (left.size() + 1) / 2);
            boolean isLong = (long) left.size() * candidates.size() > WORTH_BOTH_CORES;
            // What each explains is found on all cores; which one is taken is decided in the order of the list.
            List<List<CellCheck>> all = (isLong ? candidates.parallelStream() : candidates.stream())
                    .map(candidate -> explained(candidate, fewest)).toList();
            Found best = null;
            for (int n = 0; n < all.size(); n++) {
                boolean isBetter = all.get(n).size() > (best == null ? fewest - 1 : best.explained().size());
                if (isBetter && !contradicts(candidates.get(n))) {
                    best = new Found(candidates.get(n), all.get(n));
                }
            }
            return best;
        }

        /** @return the cells that a way explains; fewer than needed as soon as that is sure */
        private List<CellCheck> explained(Candidate way, int needed) {
            List<CellCheck> cells = new ArrayList<>();
            for (int n = 0; n < left.size() && cells.size() + left.size() - n >= needed; n++) {
                if (way.explains(left.get(n))) {
                    cells.add(left.get(n));
                }
            }
            return cells;
        }

        /**
         * An agreeing cell is contradicted when the person would have written something else there; a cell that is explained
         * already, when this slip would have changed the right value as well.
         */
        private boolean contradicts(Candidate way) {
            return agreeing.stream().anyMatch(cell -> way.value(cell).filter(value ->
                    !cell.byHand().agreesWith(value)).isPresent())
                    || explained.stream().anyMatch(cell -> way.value(cell).filter(value ->
                    value.compareValue(cell.value()) != 0).isPresent());
        }
    }

    private static Explanation explanation(Found found, boolean isFirst, int left) {
        int explains = found.explained().size();
        String cells = (explains == left ? "All " + explains : explains + " of the " + left)
                + (isFirst ? " differing cells" : " other differing cells");
        return new Explanation(found.candidate().slip.id(), explains, left, cells + " are what you get when "
                + found.candidate().way.words() + ".", found.explained().stream().map(CellCheck::pixel).toList(),
                found.candidate().way.done());
    }
}

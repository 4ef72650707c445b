package pixeron.byhand.slip.search;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import pixeron.byhand.CellCheck;
import pixeron.byhand.Check;
import pixeron.byhand.Claim;
import pixeron.byhand.Verdict;
import pixeron.byhand.color.Abreast;
import pixeron.byhand.slip.search.Explanation.Certainty;
import pixeron.byhand.slip.sheet.SingleCell;
import pixeron.byhand.slip.sheet.Unchanged;
import pixeron.image.Pixel;
import pixeron.step.Explained;
import pixeron.step.Operation;
import pixeron.step.Progress;
import pixeron.step.Slip;

/**
 * Looks for the slips that explain the differing cells of a check.
 *
 * <p>A slip explains a cell when it gives the user's value. It is claimed when it explains at least two differing
 * cells and at least half of them, and contradicts no agreeing cell; then the cells left over are searched in the same
 * way. Most cells explained comes first; among equals, the order of {@link KnownSlips}. Two slips at once are claimed when
 * they explain at least four cells, and at least two more than single slips one after the other.
 *
 * <p>Cost: (ways + pairs of ways) × filled cells values of the step at most; most ways are abandoned after a few cells.
 */
public final class SlipFinder {

    private static final int MOST_BLANK = 1 << 12;

    private final Explained right;
    private final Function<Progress, List<Candidate>> allSingles;
    private final Function<Progress, List<Candidate>> allPairs;
    private Candidates singles;
    private Candidates pairs;

    /**
     * Finds slips in many sheets of the same step: what each slip would give is prepared once.
     *
     * @param operation the step, bound to its input
     */
    public SlipFinder(Operation operation) {
        this(operation, progress -> singles(operation, progress), progress -> Pairs.of(operation, progress));
    }

    /** Finds slips in values of all faces of a color image. */
    public SlipFinder(Abreast faces) {
        this(faces, progress -> ColorSlips.of(faces, progress), progress -> List.of());
    }

    private SlipFinder(Explained right, Function<Progress, List<Candidate>> singles, Function<Progress, List<Candidate>> pairs) {
        this.right = right;
        this.allSingles = singles;
        this.allPairs = pairs;
    }

    /**
     * Returns the findings about the differing cells.
     *
     * @param check the user's values against the step
     * @param operation the step, bound to its input
     */
    public static Findings find(Check check, Operation operation) {
        return new SlipFinder(operation).find(check, Progress.NONE);
    }

    /** Returns whether it looks for slips in just this step on this very image. */
    public boolean isFor(Explained other) {
        return right == other || right instanceof Operation mine && other instanceof Operation operation
                && mine.step().equals(operation.step()) && mine.inputs().face().equals(operation.inputs().face()) && mine.before() == operation.before();
    }

    /** Between two slips is a good moment to notice that something newer is wanted. */
    private static List<Candidate> singles(Operation operation, Progress progress) {
        List<Candidate> all = new ArrayList<>();
        for (Slip slip : KnownSlips.of(operation.step().type())) {
            progress.report(0);
            slip.ways(operation).forEach(way -> all.add(new Candidate(List.of(slip.id()), way, operation.frame())));
        }
        return List.copyOf(all);
    }

    private Candidates singles(Progress progress) {
        if (singles == null) {
            singles = new Candidates(allSingles.apply(progress), right.frame().count());
        }
        return singles;
    }

    private Candidates pairs(Progress progress) {
        if (pairs == null) {
            pairs = new Candidates(allPairs.apply(progress), right.frame().count());
        }
        return pairs;
    }

    /**
     * Calculates what a first sheet would have to wait for: all slips, and what those give. Does nothing for large images, where nobody writes
     * all values, and what slips give would fill the memory.
     *
     * @param progress receives the progress
     * @throws java.util.concurrent.CancellationException when progress says it is no longer wanted
     */
    public synchronized void prepare(Progress progress) {
        if (right.frame().count() <= Candidate.MOST_KEPT) {
            singles(progress).prepare(progress);
            pairs(progress).prepare(progress);
        }
    }

    /**
     * Returns the findings about the differing cells.
     *
     * @param check a user's values against the step
     * @param progress receives the progress
     * @throws java.util.concurrent.CancellationException when progress says it is no longer wanted
     */
    public synchronized Findings find(Check check, Progress progress) {
        List<CellCheck> differing = check.differing();
        Optional<Findings> unchanged = unchanged(check);
        if (unchanged.isPresent()) {
            return unchanged.get();
        }
        return differing.isEmpty() ? Findings.NONE : differing.size() == 1 ? ofOneCell(check, differing.get(0)).orElseGet(() -> only(differing.get(0)))
                : new Search(check, right.frame(), singles(progress), () -> pairs(progress), () -> blank(check), progress).find();
    }

    /** Where all that is filled is as it was before the step, nothing else needs to be looked for. */
    private Optional<Findings> unchanged(Check check) {
        if (!Unchanged.isPossible(check, right)) {
            return Optional.empty();
        }
        Candidate candidate = new Candidate(List.of(Unchanged.ID), Unchanged.of(right), right.frame());
        List<CellCheck> differing = check.differing();
        boolean explainsAll = differing.stream().allMatch(cell -> candidate.explains(Asked.of(cell, right.frame()))) && check.cells().stream()
                .filter(cell -> cell.state() == Verdict.AGREES).noneMatch(cell -> candidate.contradicts(Asked.of(cell, right.frame())));
        return !explainsAll ? Optional.empty() : Optional.of(new Findings(List.of(new Explanation(candidate.ids(), new Claim(differing.size(), differing.size()),
                new Claim(differing.size(), differing.size()).words() + " differing cells are what you get when " + candidate.way().words() + ".",
                Certainty.UNSAID, differing.stream().map(CellCheck::pixel).toList(), Optional.empty())), List.of()));
    }

    /** What can only change one cell is claimed of one, where it contradicts none that agrees. */
    private Optional<Findings> ofOneCell(Check check, CellCheck differing) {
        if (!(right instanceof Operation operation)) {
            return Optional.empty();
        }
        return operation.step().type().slips().stream().filter(slip -> slip.isOfOneCell(operation)).flatMap(slip -> slip.ways(operation).stream()
                .map(way -> new Candidate(List.of(slip.id()), way, operation.frame()))).filter(candidate -> candidate.explains(Asked.of(differing, right.frame()))
                && check.cells().stream().filter(cell -> cell.state() == Verdict.AGREES).noneMatch(cell -> candidate.contradicts(Asked.of(cell, right.frame())))).findFirst()
                .map(found -> new Findings(List.of(new Explanation(found.ids(), new Claim(1, 1), "The only differing cell is what you get when " + found.way().words() + ".",
                        Certainty.UNSAID, List.of(differing.pixel()), found.way().done())), List.of()));
    }

    /** One differing cell alone is no pattern; only a slip in writing the number can explain it. */
    private static Findings only(CellCheck cell) {
        return SingleCell.of(cell).map(slip -> new Findings(List.of(new Explanation(List.of(slip.id()), new Claim(1, 1),
                "The only differing value " + slip.words() + ".", Certainty.UNSAID, List.of(cell.pixel()),
                Optional.empty())), List.of())).orElseGet(() -> new Findings(List.of(), List.of(cell)));
    }

    /** Cells that are not filled, the first of them; in a large image one of those tells as well as one far down. */
    private List<Pixel> blank(Check check) {
        if (right instanceof Abreast) {
            // A place on the sheet of all faces would tell nobody anything.
            return List.of();
        }
        Set<Pixel> filled = check.cells().stream().map(CellCheck::pixel).collect(Collectors.toSet());
        return IntStream.range(0, right.frame().count()).mapToObj(right.frame()::pixel).filter(pixel -> !filled.contains(pixel)).limit(MOST_BLANK).toList();
    }
}

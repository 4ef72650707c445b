package pixeron.byhand.slip.search;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import pixeron.byhand.CellCheck;
import pixeron.byhand.Check;
import pixeron.byhand.Claim;
import pixeron.byhand.Verdict;
import pixeron.byhand.slip.search.Explanation.Certainty;
import pixeron.byhand.slip.search.Explanation.Telling;
import pixeron.image.Frame;
import pixeron.image.Pixel;
import pixeron.number.Decimals;
import pixeron.step.Progress;

/** The search for slips in one sheet. */
final class Search {

    /** Two slips at once say more than one, so more must speak for them. */
    private static final int FEWEST_FOR_TWO = 4;
    /** So many cells more than single slips one after the other must two at once explain. */
    private static final int MORE_FOR_TWO = 2;
    /** Below so many values a second core costs more than it saves. */
    private static final int WORTH_BOTH_CORES = 1_000_000;
    /** More slips than this with the same values are not listed. */
    private static final int MOST_NAMED = 2;
    /** From so many explained cells on, a slip that nothing rivals is no chance. */
    private static final int MANY = 4;

    private static final int REPORT_EVERY = 128;

    /** Another that explains the same cells, with a blank cell that would tell the two apart. */
    private record Rival(Candidate candidate, Telling telling) {
    }

    private record Found(Candidate candidate, List<Asked> explained, List<Candidate> rivals) {
    }

    private final Candidates singles;
    private final Supplier<Candidates> pairs;
    private final Supplier<List<Pixel>> blank;
    private final Progress progress;
    private final List<Asked> agreeing;
    private final List<Asked> explained = new ArrayList<>();
    private final List<Asked> left;
    private final boolean hasFractions;

    /**
     * @param check the sheet
     * @param before the step's input
     * @param singles all single slips
     * @param pairs gives all pairs of slips; asked when single ones are not enough
     * @param blank gives cells that are not filled, where a value could tell slips apart; asked when there are several
     * @param progress receives the progress
     */
    Search(Check check, Frame frame, Candidates singles, Supplier<Candidates> pairs, Supplier<List<Pixel>> blank, Progress progress) {
        this.singles = singles;
        this.pairs = pairs;
        this.blank = blank;
        this.progress = progress;
        this.agreeing = new ArrayList<>(check.cells().stream().filter(cell -> cell.state() == Verdict.AGREES)
                .map(cell -> Asked.of(cell, frame)).toList());
        this.left = new ArrayList<>(check.differing().stream().map(cell -> Asked.of(cell, frame)).toList());
        this.hasFractions = left.stream().anyMatch(cell -> cell.cell().byHand().isDetailed());
        // A slip that is not it shows soon in cells taken from everywhere; beside each other they are alike.
        Collections.shuffle(agreeing, new Random(1));
        Collections.shuffle(left, new Random(1));
    }

    Findings find() {
        List<Explanation> explanations = new ArrayList<>();
        while (left.size() >= Claim.FEWEST) {
            int all = left.size();
            List<Found> one = oneAfterTheOther();
            int byOne = one.stream().mapToInt(found -> found.explained().size()).sum();
            int needed = Math.max(FEWEST_FOR_TWO, Math.max((all + 1) / 2, byOne + MORE_FOR_TWO));
            Found two = one.size() == 1 && byOne == all || needed > all ? null : best(pairs.get(), needed);
            List<Found> taken = two == null ? one : List.of(two);
            if (taken.isEmpty()) {
                break;
            }
            for (Found found : taken) {
                explanations.add(explanation(found, explanations.isEmpty()));
                take(found);
            }
        }
        return new Findings(explanations, left.stream().map(Asked::cell).sorted(Comparator.comparing(CellCheck::pixel)).toList());
    }

    private void take(Found found) {
        left.removeAll(Set.copyOf(found.explained()));
        explained.addAll(found.explained());
    }

    /** Returns single slips, each for the cells that the ones before it left; nothing is taken yet. */
    private List<Found> oneAfterTheOther() {
        List<Found> all = new ArrayList<>();
        List<Asked> leftBefore = List.copyOf(left);
        int explainedBefore = explained.size();
        while (left.size() >= Claim.FEWEST) {
            Found found = best(singles, Claim.needed(left.size()));
            if (found == null) {
                break;
            }
            all.add(found);
            take(found);
        }
        left.clear();
        left.addAll(leftBefore);
        explained.subList(explainedBefore, explained.size()).clear();
        return all;
    }

    /** Returns what explains most cells; null where none explains as many as needed. */
    private Found best(Candidates from, int needed) {
        int[] possible = from.possible(agreeing, left, needed, progress).toArray();
        List<Candidate> candidates = from.all();
        boolean isLong = (long) left.size() * possible.length > WORTH_BOTH_CORES;
        IntStream numbers = IntStream.range(0, possible.length);
        // What each explains is found on all cores; which one is taken is decided in the order of the list.
        List<List<Asked>> all = (isLong ? numbers.parallel() : numbers).mapToObj(n -> {
            if (n % REPORT_EVERY == 0) {
                progress.report((double) n / possible.length);
            }
            return judged(candidates.get(possible[n]), needed);
        }).toList();
        int best = -1;
        for (int n = 0; n < all.size(); n++) {
            if (all.get(n).size() >= needed && (best < 0 || all.get(n).size() > all.get(best).size())) {
                best = n;
            }
        }
        if (best < 0) {
            return null;
        }
        List<Asked> cells = all.get(best);
        int found = best;
        return new Found(candidates.get(possible[best]), cells, IntStream.range(best + 1, all.size())
                .filter(n -> all.get(n).equals(cells)).mapToObj(n -> candidates.get(possible[n])).filter(other ->
                        ColorSlips.isOfPacked(candidates.get(possible[found])) || !ColorSlips.isOfPacked(other)).toList());
    }

    /** Returns the cells that a candidate explains; none as soon as it contradicts a cell or explains too few. */
    private List<Asked> judged(Candidate candidate, int needed) {
        if (candidate.way().isUnrounded() && !hasFractions) {
            // Where only whole numbers were written, nobody left fractions.
            return List.of();
        }
        List<Asked> cells = new ArrayList<>();
        int longest = Math.max(left.size(), agreeing.size());
        for (int n = 0; n < longest; n++) {
            if (n < agreeing.size() && candidate.contradicts(agreeing.get(n))) {
                return List.of();
            } else if (n < left.size()) {
                if (candidate.explains(left.get(n))) {
                    cells.add(left.get(n));
                } else if (cells.size() + left.size() - n - 1 < needed) {
                    return List.of();
                }
            }
        }
        return explained.stream().anyMatch(candidate::contradictsExplained) ? List.of() : cells;
    }

    private Explanation explanation(Found found, boolean isFirst) {
        int explains = found.explained().size();
        Candidate slip = found.candidate();
        String cells = new Claim(explains, left.size()).words()
                + (isFirst ? " differing cells" : " other differing cells");
        List<Pixel> pixels = found.explained().stream().map(Asked::pixel).sorted().toList();
        List<Pixel> places = found.rivals().isEmpty() ? List.of() : blank.get();
        Optional<Rival> rival = found.rivals().stream().flatMap(other -> slip.telling(other, places).map(telling ->
                new Rival(other, telling)).stream()).findFirst();
        return new Explanation(ordered(slip), new Claim(explains, left.size()), cells + " are what you get when " + slip.way().words()
                + ".", new Certainty(certainty(explains, rival, found), rival.map(Rival::telling)), pixels, slip.way().done());
    }

    /** Of two slips, the one that explains more by itself is named first. */
    private List<String> ordered(Candidate slip) {
        if (slip.ids().size() == 1) {
            return slip.ids();
        }
        return slip.ids().stream().sorted((a, b) -> Long.compare(alone(b), alone(a))).toList();
    }

    private long alone(String id) {
        return singles.all().stream().filter(single -> single.ids().get(0).equals(id))
                .mapToLong(single -> left.stream().filter(single::explains).count()).max().orElse(0);
    }

    private static String certainty(int explains, Optional<Rival> rival, Found found) {
        String few = explains == 1 ? "One cell is" : explains + " cells are";
        // What gives the same in every cell can only be distinguished by the numbers on the way.
        List<String> same = rival.isPresent() ? List.of() : found.rivals().stream().filter(other ->
                !other.ids().equals(found.candidate().ids())).collect(Collectors.toMap(Candidate::ids, other -> other.way().words(),
                        (first, other) -> first, LinkedHashMap::new)).values().stream().limit(MOST_NAMED).toList();
        if (!same.isEmpty()) {
            return "You would get the same values when " + String.join(", or when ", same) + ". Your intermediate values would show which.";
        }
        return rival.map(other -> few + " too few to decide: you would get the same values when "
                + other.candidate().way().words() + ". Enter a value at " + other.telling().pixel() + ": "
                + Decimals.working(other.telling().here()) + " supports the first, "
                + Decimals.working(other.telling().there()) + " supports the other.").orElseGet(() ->
                explains >= MANY ? "" : "Only " + explains + " cells support this, but no other known slip gives these values.");
    }
}

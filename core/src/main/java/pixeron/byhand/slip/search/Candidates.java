package pixeron.byhand.slip.search;

import java.util.BitSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import pixeron.step.Progress;

/**
 * Slips in an order of preference, for sheet after sheet of the same step. Of thousands most explain next to nothing of a sheet or contradict
 * what agrees; of small sheets, and from the second sheet on, those that need be asked are looked up: for each level in each cell it is kept who gives it.
 *
 * <p>Cost: cells × slips once; then for each sheet a few operations for 64 slips and a cell.
 */
final class Candidates {

    /** In larger images what all slips give together would fill the memory. */
    private static final int MOST_CELLS = 1 << 8;
    /** In smaller ones it takes longer to ask each slip for single values of one sheet than to have all at once. */
    private static final int FEW_CELLS = 1 << 7;
    private static final int REPORT_EVERY = 32;

    private static final BitSet NOBODY = new BitSet();

    private final List<Candidate> all;
    private final int cells;
    /** For each cell who gives a level there; empty before they are worth it. */
    private List<Map<Integer, BitSet>> givers = List.of();
    /** Who says nothing of some cell, or gives what is no level there: these are always asked. */
    private final BitSet others = new BitSet();
    private boolean isFirst = true;

    /** @param cells of the step's result */
    Candidates(List<Candidate> all, int cells) {
        this.all = all;
        this.cells = cells;
    }

    List<Candidate> all() {
        return all;
    }

    /**
     * Returns the numbers of candidates among which all are that explain so many and contradict nothing that agrees, and perhaps others.
     *
     * @param agreeing what agrees on a sheet
     * @param differing what is to be explained
     * @param needed how many of those at least
     * @param progress receives the progress where slips are looked up the first time
     */
    IntStream possible(List<Asked> agreeing, List<Asked> differing, int needed, Progress progress) {
        // For one larger sheet alone it is quicker to give each candidate up at the first cells that speak against it.
        boolean isWorth = cells <= (isFirst ? FEW_CELLS : MOST_CELLS);
        isFirst = false;
        if (!isWorth) {
            return IntStream.range(0, all.size());
        }
        lookUp(progress);
        BitSet possible = new BitSet(all.size());
        possible.set(0, all.size());
        agreeing.stream().filter(Candidates::isLevel).forEach(cell -> possible.and(givers(cell)));
        List<BitSet> explaining = differing.stream().filter(Candidates::isLevel).map(this::givers).toList();
        int detailed = differing.size() - explaining.size();
        int[] explained = explained(explaining, possible);
        possible.or(others);
        return possible.stream().filter(n -> others.get(n) || detailed + explained[n] >= needed);
    }

    /** Returns for each of the possible ones how many cells it explains. */
    private int[] explained(List<BitSet> explaining, BitSet possible) {
        int[] explained = new int[all.size()];
        for (BitSet givers : explaining) {
            BitSet both = (BitSet) givers.clone();
            both.and(possible);
            for (int n = both.nextSetBit(0); n >= 0; n = both.nextSetBit(n + 1)) {
                explained[n]++;
            }
        }
        return explained;
    }

    private static boolean isLevel(Asked cell) {
        return cell.level() != Asked.NO_LEVEL;
    }

    private BitSet givers(Asked cell) {
        return givers.get(cell.offset()).getOrDefault(cell.level(), NOBODY);
    }

    /** Calculates what slips give all at once. */
    void prepare(Progress progress) {
        for (int n = 0; n < all.size(); n++) {
            if (n % REPORT_EVERY == 0) {
                progress.report((double) n / all.size());
            }
            all.get(n).prepare();
        }
    }

    private void lookUp(Progress progress) {
        if (!givers.isEmpty()) {
            return;
        }
        prepare(progress);
        List<int[]> levels = all.stream().map(Candidate::levels).toList();
        for (int n = 0; n < all.size(); n++) {
            if (IntStream.of(levels.get(n)).anyMatch(level -> level < 0)) {
                others.set(n);
            }
        }
        givers = IntStream.range(0, cells).mapToObj(cell -> givers(levels, cell)).toList();
    }

    private Map<Integer, BitSet> givers(List<int[]> levels, int cell) {
        Map<Integer, BitSet> givers = new HashMap<>();
        int last = 0;
        BitSet same = null;
        for (int n = 0; n < levels.size(); n++) {
            int level = levels.get(n)[cell];
            // Those that are beside each other often give the same.
            if (same == null || level != last) {
                same = givers.computeIfAbsent(level, found -> new BitSet(all.size()));
                last = level;
            }
            same.set(n);
        }
        return givers;
    }
}

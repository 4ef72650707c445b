package pixeron.byhand.slip.search;

import java.util.BitSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import pixeron.step.Progress;

/**
 * Slips in an order of preference, for sheet after sheet of the same step. Of thousands most explain next to nothing of a sheet or contradict
 * what agrees; from the second sheet on those that need be asked are looked up: for each level in each cell it is kept who gives it.
 *
 * <p>Cost: cells × slips once; then for each sheet a few operations for 64 slips and a cell.
 */
final class Candidates {

    /** In larger images what all slips give together would fill the memory. */
    private static final int MOST_CELLS = 1 << 8;
    private static final int REPORT_EVERY = 32;

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
     * @param agreeing what agrees on a sheet
     * @param differing what is to be explained
     * @param needed how many of those at least
     * @param progress told how far it is where slips are looked up the first time
     * @return the numbers of candidates among which all are that explain so many and contradict nothing that agrees, and perhaps others
     */
    IntStream possible(List<Asked> agreeing, List<Asked> differing, int needed, Progress progress) {
        // For one sheet alone it is quicker to give each candidate up at the first cells that speak against it.
        boolean isWorth = !isFirst && cells <= MOST_CELLS;
        isFirst = false;
        if (!isWorth) {
            return IntStream.range(0, all.size());
        }
        lookUp(progress);
        BitSet possible = new BitSet(all.size());
        possible.set(0, all.size());
        agreeing.stream().filter(Candidates::isLevel).forEach(cell -> possible.and(givers(cell)));
        long detailed = differing.stream().filter(cell -> !isLevel(cell)).count();
        int[] explained = new int[all.size()];
        differing.stream().filter(Candidates::isLevel).forEach(cell -> givers(cell).stream().forEach(n -> explained[n]++));
        possible.or(others);
        return possible.stream().filter(n -> others.get(n) || explained[n] + detailed >= needed);
    }

    private static boolean isLevel(Asked cell) {
        return cell.level() != Asked.NO_LEVEL;
    }

    private BitSet givers(Asked cell) {
        return givers.get(cell.offset()).getOrDefault(cell.level(), new BitSet());
    }

    /** Works out what slips give all at once. */
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
        givers = IntStream.range(0, cells).<Map<Integer, BitSet>>mapToObj(cell -> new HashMap<>()).toList();
        for (int n = 0; n < all.size(); n++) {
            int[] levels = all.get(n).levels();
            if (IntStream.of(levels).anyMatch(level -> level < 0)) {
                others.set(n);
            }
            for (int cell = 0; cell < cells; cell++) {
                givers.get(cell).computeIfAbsent(levels[cell], level -> new BitSet(all.size())).set(n);
            }
        }
    }
}

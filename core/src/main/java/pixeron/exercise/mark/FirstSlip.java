package pixeron.exercise.mark;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import pixeron.byhand.slip.search.Explanation;
import pixeron.byhand.slip.search.Findings;
import pixeron.byhand.slip.search.SlipFinder;
import pixeron.byhand.table.TableCheck;
import pixeron.byhand.table.TableSlip;
import pixeron.byhand.table.TableSlips;
import pixeron.byhand.work.StepWork;
import pixeron.step.Progress;

/**
 * The slip that explains most where a user's work first goes wrong; a slip in a table comes before one in the result, which is made from it.
 *
 * @param id of the slip; two with a plus between them
 * @param words what it explains, in a sentence
 * @param step where it is
 * @param explanation it; empty where it is one of a table
 */
record FirstSlip(String id, String words, StepWork step, Optional<Explanation> explanation) {

    /**
     * Finds the first slip.
     *
     * @param finders what looks for slips in a step
     * @throws java.util.concurrent.CancellationException when progress says that it takes too long
     */
    static Optional<FirstSlip> of(List<StepWork> works, Function<StepWork, SlipFinder> finders, Progress progress) {
        for (StepWork work : works) {
            Optional<FirstSlip> slip = inTables(work).or(() -> inResult(work, finders, progress));
            if (slip.isPresent()) {
                return slip;
            }
        }
        return Optional.empty();
    }

    private static Optional<FirstSlip> inTables(StepWork work) {
        for (Map.Entry<String, TableCheck> table : work.tables().entrySet()) {
            if (table.getValue().first().isPresent()) {
                Optional<TableSlip> slip = TableSlips.find(table.getValue(), work.table(table.getKey()), work.operation()).stream().findFirst();
                if (slip.isPresent()) {
                    return slip.map(found -> new FirstSlip(found.id(), found.text(), work, Optional.empty()));
                }
            }
        }
        return Optional.empty();
    }

    private static Optional<FirstSlip> inResult(StepWork work, Function<StepWork, SlipFinder> finders, Progress progress) {
        if (work.following().rest(work.check()).first().isEmpty()) {
            return Optional.empty();
        }
        Findings found = work.withShape(finders.apply(work).find(work.following().rest(work.check()), progress));
        return found.slips().stream().findFirst().map(best -> new FirstSlip(String.join(" + ", best.ids()), best.text(), work, Optional.of(best)));
    }

    /** Returns what is kept of it beside an answer. */
    Marked.Slip marked() {
        return new Marked.Slip(id, words);
    }
}

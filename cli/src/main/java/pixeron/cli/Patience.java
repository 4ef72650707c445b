package pixeron.cli;

import java.util.concurrent.CancellationException;
import java.util.function.Consumer;
import java.util.function.Function;
import pixeron.byhand.slip.search.Findings;
import pixeron.step.Progress;

/** A search for slips that would take very long, such as with weights of many different denominators, ends with a sentence. */
final class Patience {

    private static final int MOST_SECONDS = 10;

    private Patience() {
    }

    /**
     * Returns what was found in time; nothing where it took too long.
     *
     * @param told hears when the search was stopped
     */
    static Findings find(Function<Progress, Findings> search, Consumer<String> told) {
        return find(search, Progress.within(MOST_SECONDS), told);
    }

    static Findings find(Function<Progress, Findings> search, Progress patience, Consumer<String> told) {
        try {
            return search.apply(patience);
        } catch (CancellationException tooLong) {
            told.accept("The search for slips was stopped after " + MOST_SECONDS + " s. The values are checked.");
            return Findings.NONE;
        }
    }
}

package pixeron.app.model;

import java.util.Optional;
import pixeron.byhand.Check;
import pixeron.byhand.color.Abreast;
import pixeron.byhand.slip.search.Findings;
import pixeron.byhand.slip.search.SlipFinder;
import pixeron.byhand.work.ColorWork;
import pixeron.step.Progress;

/**
 * The user's values for all faces of a result with color together.
 *
 * @param work what was written and whether it agrees
 * @param finder looks for slips that show only in all faces together
 * @param found what explains the values that differ
 */
public record Whole(ColorWork work, SlipFinder finder, Findings found) {

    /** @param known the findings of the last time; what slips would give stays while only values by hand change */
    static Whole of(ColorWork work, Optional<Whole> known, Progress progress) {
        Optional<Whole> same = known.filter(old -> old.faces().bound() == work.faces().bound() && old.faces().after() == work.faces().after());
        if (same.filter(old -> old.check().equals(work.check()) && old.work.following().equals(work.following())).isPresent()) {
            return same.get();
        }
        SlipFinder finder = same.map(Whole::finder).orElseGet(() -> new SlipFinder(work.faces()));
        return new Whole(work, finder, work.findings(finder, progress));
    }

    public Abreast faces() {
        return work.faces();
    }

    /** Returns all values, face beside face. */
    public Check check() {
        return work.check();
    }
}

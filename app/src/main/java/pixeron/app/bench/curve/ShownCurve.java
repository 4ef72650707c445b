package pixeron.app.bench.curve;

import java.util.List;
import java.util.Optional;
import pixeron.app.model.Shown;
import pixeron.step.Handle;
import pixeron.step.Mapping;
import pixeron.step.Profile;

/**
 * The curve of the selected step. Made away from the window's thread.
 *
 * @param shown what it belongs to
 * @param mapping what becomes of every level; empty where there is no curve
 * @param handles what can be dragged
 * @param profile what coefficients are multiplied with; empty where the step is no such filter
 */
record ShownCurve(Shown shown, Optional<Mapping> mapping, List<Handle> handles, Optional<Profile> profile) {

    static ShownCurve of(Shown shown) {
        return shown.operation().map(operation -> new ShownCurve(shown, operation.mapping(), operation.handles(), operation.profile()))
                .orElseGet(() -> new ShownCurve(shown, Optional.empty(), List.of(), Optional.empty()));
    }

    int maximum() {
        return shown.before().map(before -> before.image().maximumLevel()).orElse(1);
    }
}

package pixeron.app.bench.curve;

import java.util.List;
import java.util.Optional;
import pixeron.app.model.Shown;
import pixeron.step.Handle;
import pixeron.step.Mapping;

/**
 * The curve of the selected step. Made away from the window's thread.
 *
 * @param shown what it belongs to
 * @param mapping what becomes of every level; empty where there is no curve
 * @param handles what can be dragged
 */
record ShownCurve(Shown shown, Optional<Mapping> mapping, List<Handle> handles) {

    static ShownCurve of(Shown shown) {
        return shown.operation().map(operation -> new ShownCurve(shown, operation.mapping(), operation.handles()))
                .orElseGet(() -> new ShownCurve(shown, Optional.empty(), List.of()));
    }

    int maximum() {
        return shown.before().map(before -> before.image().maximumLevel()).orElse(1);
    }
}

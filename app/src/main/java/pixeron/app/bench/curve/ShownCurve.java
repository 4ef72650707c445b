package pixeron.app.bench.curve;

import java.util.Optional;
import pixeron.app.model.Described;
import pixeron.app.model.Shown;
import pixeron.step.Operation;
import pixeron.step.Profile;

/**
 * The curve of the selected step. Made away from the window's thread.
 *
 * @param shown what it belongs to
 * @param plotted empty where there is no curve
 * @param profile what coefficients are multiplied by; empty where the step is no such filter
 */
record ShownCurve(Shown shown, Optional<PlottedCurve> plotted, Optional<Profile> profile) {

    static ShownCurve of(Shown shown) {
        return new ShownCurve(shown, shown.operation().flatMap(operation -> plotted(operation, shown)), shown.operation().flatMap(Operation::profile));
    }

    private static Optional<PlottedCurve> plotted(Operation operation, Shown shown) {
        return operation.mapping().map(mapping -> new PlottedCurve(mapping, operation.handles(), shown.before().map(before -> before.image().maximumLevel()).orElse(1),
                shown.before().flatMap(Described::histogram), shown.after().flatMap(Described::histogram)));
    }
}

package pixeron.app.bench.parts;

import java.util.List;
import pixeron.PixeronException;
import pixeron.app.model.Bench;
import pixeron.app.model.Shown;
import pixeron.step.Grip;
import pixeron.step.Step;

/** What of the selected step can be taken hold of on the sheets. */
public final class Grips {

    private Grips() {
    }

    /** Returns all that can be taken hold of, as the step now is; what is calculated may come after it. */
    public static List<Grip> of(Bench bench) {
        Shown shown = bench.shown();
        if (shown == null || bench.position() < 0 || shown.position() != bench.position() || shown.inputs().isEmpty()
                || bench.position() >= bench.project().chain().size()) {
            return List.of();
        }
        Step step = bench.project().chain().stage(bench.position()).link().step();
        try {
            return step.type().grips(step, shown.inputs().get());
        } catch (PixeronException noOtherImage) {
            return List.of();
        }
    }
}

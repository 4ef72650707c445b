package pixeron.app.bench.curve;

import java.util.List;
import java.util.Optional;
import pixeron.image.Histogram;
import pixeron.step.Handle;
import pixeron.step.Mapping;

/**
 * What a plot of a curve shows.
 *
 * @param mapping the new value of each level
 * @param handles what can be dragged
 * @param maximum the maximum level of the input
 * @param before counts of the input
 * @param after counts of the result
 */
public record PlottedCurve(Mapping mapping, List<Handle> handles, int maximum, Optional<Histogram> before, Optional<Histogram> after) {

    public PlottedCurve {
        handles = List.copyOf(handles);
    }
}

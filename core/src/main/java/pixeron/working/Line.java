package pixeron.working;

import java.util.List;
import java.util.stream.Collectors;

/**
 * One line of a working.
 *
 * @param label the short word in front: formula, this pixel, round, overflow; empty on a line that goes on
 * @param runs the line itself
 * @param isCells whether the runs, but for notes, are cells of a grid: a row of a window. Such lines follow each other
 */
public record Line(String label, List<Run> runs, boolean isCells) {

    public Line {
        runs = List.copyOf(runs);
    }

    /** A line of text. */
    public Line(String label, List<Run> runs) {
        this(label, runs, false);
    }

    public static Line of(String label, Run... runs) {
        return new Line(label, List.of(runs));
    }

    /** @return the line without its label */
    public String text() {
        return runs.stream().map(Run::text).collect(Collectors.joining());
    }
}

package pixeron.working;

import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import pixeron.number.Value;

/**
 * One line of a working.
 *
 * @param label the short word in front: formula, this pixel, round, overflow; empty on a line that goes on
 * @param runs the line itself
 * @param isCells whether the runs, but for notes, are cells of a grid: a row of a window. Such lines follow each other
 * @param arrived the number that the line arrives at, where a user could write it by hand on the way to the result
 */
public record Line(String label, List<Run> runs, boolean isCells, Optional<Arrived> arrived) {

    /**
     * A number on the way.
     *
     * @param name what it is called, such as sum or quotient
     * @param value it
     */
    public record Arrived(String name, Value value) {
    }

    public Line {
        runs = List.copyOf(runs);
    }

    /** A line without a number of its own. */
    public Line(String label, List<Run> runs, boolean isCells) {
        this(label, runs, isCells, Optional.empty());
    }

    /** A line of text. */
    public Line(String label, List<Run> runs) {
        this(label, runs, false);
    }

    /** Returns this as the line that arrives at a number. */
    public Line arriving(String name, Value value) {
        return new Line(label, runs, isCells, Optional.of(new Arrived(name, value)));
    }

    public static Line of(String label, Run... runs) {
        return new Line(label, List.of(runs));
    }

    /** Returns the line without its label. */
    public String text() {
        return runs.stream().map(Run::text).collect(Collectors.joining());
    }
}

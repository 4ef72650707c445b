package pixeron.working;

import java.util.List;
import pixeron.number.Value;

/**
 * The arithmetic that leads to one value, line by line.
 *
 * @param title what is calculated: {@code stretch, row 2, column 5}
 * @param lines the lines in reading order
 * @param exact the value before rounding and overflow
 * @param result the value that is written
 */
public record Working(String title, List<Line> lines, Value exact, Value result) {

    public Working {
        lines = List.copyOf(lines);
    }

    /** Returns the first line that is not the same in another working, counted from 0; the number of lines where none is. */
    public int partsAt(Working other) {
        int n = 0;
        while (n < lines.size() && n < other.lines.size() && lines.get(n).label().equals(other.lines.get(n).label())
                && lines.get(n).text().equals(other.lines.get(n).text())) {
            n++;
        }
        return n;
    }
}

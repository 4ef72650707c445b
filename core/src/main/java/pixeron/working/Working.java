package pixeron.working;

import java.util.List;
import pixeron.number.Value;

/**
 * The arithmetic that leads to one value, line by line.
 *
 * @param title what is worked out: {@code stretch, row 2, column 5}
 * @param lines the lines in reading order
 * @param exact the value before rounding and overflow
 * @param result the value that is written
 */
public record Working(String title, List<Line> lines, Value exact, Value result) {

    public Working {
        lines = List.copyOf(lines);
    }
}

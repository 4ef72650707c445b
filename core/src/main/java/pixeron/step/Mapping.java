package pixeron.step;

import java.util.List;
import pixeron.number.Value;

/**
 * What a point step makes of every level.
 *
 * @param entries the levels 0–M in order; one without a value, such as ln of 0, is omitted
 * @param below pixels whose rounded value is below 0
 * @param above pixels whose rounded value is above the result's maximum level
 * @param resultMaximum M of the result
 */
public record Mapping(List<Entry> entries, long below, long above, int resultMaximum) {

    /**
     * The new value of one level.
     *
     * @param level r
     * @param exact before rounding and overflow
     * @param result s
     * @param isOutside whether the rounded value is outside 0–M of the result, so that overflow has a say
     */
    public record Entry(int level, Value exact, Value result, boolean isOutside) {
    }

    public Mapping {
        entries = List.copyOf(entries);
    }
}

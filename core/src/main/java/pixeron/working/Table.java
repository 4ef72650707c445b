package pixeron.working;

import java.util.List;
import pixeron.number.Value;

/**
 * A calculation that is written as a table, such as counts of levels.
 *
 * @param name its name in written results: histogram, levels, otsu, two-means
 * @param columns the names of the columns
 * @param rows the values, row by row; exact where the calculation is
 */
public record Table(String name, List<String> columns, List<List<Value>> rows) {

    public Table {
        columns = List.copyOf(columns);
        rows = rows.stream().map(List::copyOf).toList();
    }
}

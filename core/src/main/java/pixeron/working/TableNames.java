package pixeron.working;

import java.util.Map;

/** What tables, their columns and rows are called for people. */
public final class TableNames {

    private static final Map<String, String> TABLES = Map.of("levels", "Levels table", "histogram", "Histogram table",
            "otsu", "Variance table", "two-means", "Rounds", "constants", "Constants", "target", "Target");
    private static final Map<String, String> COLUMNS = Map.ofEntries(Map.entry("k", "level k"),
            Map.entry("n", "count n"), Map.entry("p", "share p"), Map.entry("running", "running C"),
            Map.entry("share", "share P"), Map.entry("exact", "exact"),
            Map.entry("s", "level s"), Map.entry("mean0", "mean μ0"), Map.entry("mean1", "mean μ1"),
            Map.entry("variance0", "variance 0"), Map.entry("variance1", "variance 1"),
            Map.entry("z", "level z"), Map.entry("Q", "share Q"));

    private static final String PIXEL = "pixel ";

    private TableNames() {
    }

    /** @return a table's name for people */
    public static String table(String name) {
        return name.startsWith(PIXEL) ? "Working of " + name : TABLES.getOrDefault(name, name);
    }

    /** @return a column's name for people */
    public static String column(String name) {
        return COLUMNS.getOrDefault(name, name);
    }

    /** @return a row, such as k = 3 */
    public static String row(Table table, int row) {
        return row == table.rows().size() ? "the row of sums" : table.isKeyed()
                ? table.columns().get(0) + " = " + table.key(row) : "the row";
    }
}

package pixeron.app.bench.table;

import java.util.Map;
import pixeron.byhand.table.TableCheck;
import pixeron.number.Decimals;
import pixeron.number.Value;
import pixeron.working.Table;

/** What tables and columns are called for people. */
final class TableWords {

    private static final Map<String, String> TABLES = Map.of("levels", "Levels table", "histogram", "Histogram table",
            "otsu", "Variance table", "two-means", "Rounds", "constants",
            "Constants", "target", "Target");
    private static final Map<String, String> COLUMNS = Map.ofEntries(Map.entry("k", "level k"),
            Map.entry("n", "count n"), Map.entry("p", "share p"), Map.entry("running", "running C"),
            Map.entry("share", "share P"), Map.entry("exact", "exact"),
            Map.entry("s", "level s"), Map.entry("mean0", "mean μ0"), Map.entry("mean1", "mean μ1"),
            Map.entry("variance0", "variance 0"), Map.entry("variance1", "variance 1"),
            Map.entry("z", "level z"), Map.entry("Q", "share Q"));

    private TableWords() {
    }

    static String table(Table table) {
        return TABLES.getOrDefault(table.name(), table.name());
    }

    static String column(String name) {
        return COLUMNS.getOrDefault(name, name);
    }

    /** @return a value as it fits into a column */
    static String value(Value value) {
        return Decimals.isShownAsFraction(value) ? Decimals.approximate(value) : Decimals.working(value);
    }

    static String row(Table table, int row) {
        return row == table.rows().size() ? "the row of sums" : table.isKeyed()
                ? table.columns().get(0) + " = " + table.key(row) : "the row";
    }

    static String counts(TableCheck check) {
        if (check.cells().isEmpty()) {
            return "type into the ochre columns, paste a block, or open a file";
        }
        int follow = check.count(TableCheck.State.FOLLOWS);
        return check.cells().size() + " filled · " + check.count(TableCheck.State.AGREES) + " agree · "
                + check.count(TableCheck.State.DIFFERS) + " differ" + (follow == 0 ? "" : " · " + follow + " follow");
    }

    /** @return the mark of a cell: its shape says what its colour says */
    static String mark(TableCheck.Cell cell) {
        return switch (cell.state()) {
            case AGREES -> "✓";
            case DIFFERS -> (cell.difference().orElseThrow().signum() > 0 ? "▲" : "▼")
                    + Decimals.approximate(cell.difference().orElseThrow().absolute());
            case FOLLOWS -> "↳";
            case NOT_UNDERSTOOD -> "?";
        };
    }

    static String sentence(TableCheck check, TableCheck.Cell cell, Table table) {
        String wrote = "You wrote " + cell.byHand().text() + ". ";
        return wrote + switch (cell.state()) {
            case AGREES -> "That agrees.";
            case NOT_UNDERSTOOD -> "That is neither a number nor an expression.";
            case DIFFERS -> "Right is " + value(cell.value()) + (check.count(TableCheck.State.FOLLOWS) > 0
                    && check.first().filter(cell::equals).isPresent()
                    ? ": the first slip is here, and " + check.count(TableCheck.State.FOLLOWS)
                            + " later cells follow from it or from others." : ".");
            case FOLLOWS -> "That is right, given your earlier cells. "
                    + check.first().map(first -> "The first slip is at " + row(table, first.row()) + ", "
                            + column(first.column()) + ".").orElse("");
        };
    }
}

package pixeron.working;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import pixeron.number.Decimals;
import pixeron.number.Rational;
import pixeron.number.Value;

/**
 * A calculation that is written as a table, such as counts of levels.
 *
 * @param name its name in written results: histogram, levels, otsu, two-means
 * @param columns the names of the columns
 * @param rows the values, row by row; exact where the calculation is
 * @param rules how the cells of a column follow from others, by the name of the column; a column without one comes from
 *     the image
 * @param summed columns that have a sum below them
 * @param isKeyed whether the first column says which row it is; else there is one row
 */
public record Table(String name, List<String> columns, List<List<Value>> rows, Map<String, Rule> rules,
        Set<String> summed, boolean isKeyed) {

    /** The key of the row of sums. */
    public static final String SUM = "sum";
    /** What stands behind the name of a column where its cell in the row above is meant. */
    private static final String ABOVE = "Above";
    private static final String ONLY_ROW = "1";

    /** How a cell follows from other cells. */
    public interface Rule {

        /**
         * @param cells gives the cell of a column in the same row; with "Above" behind its name, that in the row above,
         *     0 in the first row
         * @return the value of the cell
         */
        Value apply(java.util.function.Function<String, Value> cells);

        /** @return what is worked out, and the lines with the numbers put in */
        List<Line> explain(String column, java.util.function.Function<String, Value> cells);

        /** @return the names that it asks for */
        Set<String> inputs();
    }

    public Table {
        columns = List.copyOf(columns);
        rows = rows.stream().map(List::copyOf).toList();
        rules = Map.copyOf(rules);
        summed = Set.copyOf(summed);
    }

    /** A table with a key in its first column, whose cells all come from the image. */
    public Table(String name, List<String> columns, List<List<Value>> rows) {
        this(name, columns, rows, Map.of(), Set.of(), true);
    }

    /** @return this with rules */
    public Table withRules(Map<String, Rule> all) {
        return new Table(name, columns, rows, all, summed, isKeyed);
    }

    /** @return this with sums below some columns */
    public Table withSums(String... names) {
        return new Table(name, columns, rows, rules, Set.of(names), isKeyed);
    }

    /** @return this as a table of one row without a key */
    public Table unkeyed() {
        return new Table(name, columns, rows, rules, summed, false);
    }

    /** @return this without a column */
    public Table without(String column) {
        int at = columns.indexOf(column);
        if (at < 0) {
            return this;
        }
        List<String> names = new ArrayList<>(columns);
        names.remove(at);
        return new Table(name, names, rows.stream().map(row -> {
            List<Value> fewer = new ArrayList<>(row);
            fewer.remove(at);
            return fewer;
        }).toList(), rules, summed, isKeyed);
    }

    /** @return what names a row: its first cell, or {@link #SUM} for the row behind the last */
    public String key(int row) {
        return row == rows.size() ? SUM : isKeyed ? Decimals.exact(rows.get(row).get(0)) : ONLY_ROW;
    }

    /** @return the row with this key, the number of rows for {@link #SUM}; −1 when there is none */
    public int row(String key) {
        if (key.equals(SUM) && !summed.isEmpty()) {
            return rows.size();
        }
        for (int row = 0; row < rows.size(); row++) {
            if (key(row).equals(key)) {
                return row;
            }
        }
        return -1;
    }

    /** @return the value of a cell; in the row behind the last the sum of its column, empty where there is none */
    public Optional<Value> value(int row, String column) {
        int at = columns.indexOf(column);
        if (row < rows.size()) {
            return Optional.of(rows.get(row).get(at));
        }
        return summed.contains(column) ? Optional.of(rows.stream().map(cells -> cells.get(at))
                .reduce(Rational.ZERO, Value::plus)) : Optional.empty();
    }

    /** @return whether a person can fill the column: every one but the key */
    public boolean isFillable(String column) {
        return columns.contains(column) && !(isKeyed && columns.get(0).equals(column));
    }

    /**
     * @param name what a rule asks for in a row
     * @return the column that is meant
     */
    public static String column(String name) {
        return name.endsWith(ABOVE) ? name.substring(0, name.length() - ABOVE.length()) : name;
    }

    /** @return the row that a rule in a row means with a name; −1 above the first */
    public static int row(String name, int row) {
        return name.endsWith(ABOVE) ? row - 1 : row;
    }

    /** @return how a cell is worked out; empty where it comes from the image */
    public List<Line> explain(int row, String column) {
        Rule rule = rules.get(column);
        return rule == null || row >= rows.size() ? List.of() : rule.explain(column, name -> row(name, row) < 0
                ? Rational.ZERO : value(row(name, row), column(name)).orElse(Rational.ZERO));
    }
}

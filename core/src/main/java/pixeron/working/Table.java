package pixeron.working;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.IntFunction;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import pixeron.number.Decimals;
import pixeron.number.Rational;
import pixeron.number.Value;

/**
 * A calculation that is written as a table, such as counts of levels.
 *
 * @param kind what it is and what it is called
 * @param columns the names of the columns
 * @param rows the values, row by row; exact where the calculation is; null for a cell that is blank
 * @param sense how its cells belong together
 */
public record Table(TableKind kind, List<String> columns, List<List<Value>> rows, Sense sense) {

    /** The key of the row of sums. */
    public static final String SUM = "sum";
    /** What is behind the name of a column where its cell in the row above is meant. */
    private static final String ABOVE = "Above";
    private static final String ONLY_ROW = "1";

    /** How a cell follows from other cells. */
    public interface Rule {

        /**
         * Returns the value of the cell.
         *
         * @param cells gives the cell of a column in the same row; with "Above" behind its name, that in the row above,
         *     0 in the first row
         */
        Value apply(Function<String, Value> cells);

        /** Returns what is calculated, and the lines with the numbers put in. */
        List<Line> explain(String column, Function<String, Value> cells);

        /** Returns the names that it asks for. */
        Set<String> inputs();
    }

    /** The cells of a table, perhaps a user's own. */
    @FunctionalInterface
    public interface Cells {
        Value value(int row, String column);
    }

    /**
     * What comes of the whole table.
     *
     * @param constant the number of the step's formula that it gives
     * @param value that number by the cells
     */
    public record Conclusion(String constant, Function<Cells, Value> value) {
    }

    /**
     * How the cells of a table belong together.
     *
     * @param rules how the cells of a column follow from others, by the name of the column; a column without one comes from
     *     the image
     * @param summed columns that have a sum below them
     * @param keys how many of the first columns say which row it is; 0 where there is one row
     * @param origins how the cells of a column come from the image, by its name, for a row
     * @param conclusion what comes of the whole table; empty where nothing does
     */
    public record Sense(Map<String, Rule> rules, Set<String> summed, int keys, Map<String, IntFunction<List<Line>>> origins, Optional<Conclusion> conclusion) {

        public Sense {
            rules = Map.copyOf(rules);
            summed = Set.copyOf(summed);
            origins = Map.copyOf(origins);
        }
    }

    public Table {
        columns = List.copyOf(columns);
        rows = rows.stream().map(row -> Collections.unmodifiableList(new ArrayList<>(row))).toList();
    }

    /** A table with a key in its first column, whose cells all come from the image. */
    public Table(TableKind kind, List<String> columns, List<List<Value>> rows) {
        this(kind, columns, rows, new Sense(Map.of(), Set.of(), 1, Map.of(), Optional.empty()));
    }

    /** Returns its name in written results. */
    public String name() {
        return kind.name();
    }

    public Map<String, Rule> rules() {
        return sense.rules;
    }

    public Set<String> summed() {
        return sense.summed;
    }

    public boolean isKeyed() {
        return sense.keys > 0;
    }

    private Table with(Sense other) {
        return new Table(kind, columns, rows, other);
    }

    /** Returns this with rules. */
    public Table withRules(Map<String, Rule> all) {
        return with(new Sense(all, sense.summed, sense.keys, sense.origins, sense.conclusion));
    }

    /** Returns this with sums below some columns. */
    public Table withSums(String... names) {
        return with(new Sense(sense.rules, Set.of(names), sense.keys, sense.origins, sense.conclusion));
    }

    /** Returns this with what comes of it. */
    public Table concluding(String constant, Function<Cells, Value> value) {
        return with(new Sense(sense.rules, sense.summed, sense.keys, sense.origins, Optional.of(new Conclusion(constant, value))));
    }

    /** Returns this as a table of one row without a key. */
    public Table unkeyed() {
        return with(new Sense(sense.rules, sense.summed, 0, sense.origins, sense.conclusion));
    }

    /** Returns this with several first columns that say together which row it is. */
    public Table keyedBy(int columnCount) {
        return with(new Sense(sense.rules, sense.summed, columnCount, sense.origins, sense.conclusion));
    }

    /**
     * Returns this table with that statement.
     *
     * @param column one that comes from the image
     * @param lines how the cell of a row comes from there
     */
    public Table coming(String column, IntFunction<List<Line>> lines) {
        return with(new Sense(sense.rules, sense.summed, sense.keys, Map.of(column, lines), sense.conclusion));
    }

    /** Returns how many of the first columns say which row it is. */
    public int keys() {
        return sense.keys;
    }

    /** Returns this without a column. */
    public Table without(String column) {
        int at = columns.indexOf(column);
        if (at < 0) {
            return this;
        }
        List<String> names = new ArrayList<>(columns);
        names.remove(at);
        return new Table(kind, names, rows.stream().map(row -> {
            List<Value> fewer = new ArrayList<>(row);
            fewer.remove(at);
            return fewer;
        }).toList(), sense);
    }

    /** Returns a row for people, such as k = 3. */
    public String rowName(int row) {
        return row == rows.size() ? "the row of sums" : isKeyed() ? IntStream.range(0, keys()).mapToObj(n -> columns.get(n) + " = "
                + Decimals.exact(rows.get(row).get(n))).collect(Collectors.joining(", ")) : "the row";
    }

    /** Returns what names a row: its key cells, or {@link #SUM} for the row behind the last. */
    public String key(int row) {
        return row == rows.size() ? SUM : isKeyed() ? key(rows.get(row).subList(0, keys()).stream().map(Decimals::exact).toList()) : ONLY_ROW;
    }

    /** Returns the key of a row with these key cells. */
    public static String key(List<String> cells) {
        return String.join(" ", cells);
    }

    /** Returns the row with this key, the number of rows for {@link #SUM}; −1 when there is none. */
    public int row(String key) {
        if (key.equals(SUM) && !summed().isEmpty()) {
            return rows.size();
        }
        for (int row = 0; row < rows.size(); row++) {
            if (key(row).equals(key)) {
                return row;
            }
        }
        return -1;
    }

    /** Returns the value of a cell; in the row behind the last the sum of its column; empty where it is blank. */
    public Optional<Value> value(int row, String column) {
        int at = columns.indexOf(column);
        if (row < rows.size()) {
            return Optional.ofNullable(rows.get(row).get(at));
        }
        return summed().contains(column) ? Optional.of(Value.sum(rows.stream().map(cells -> cells.get(at)).toList())) : Optional.empty();
    }

    /** Returns whether a user can fill the column: every one but the keys. */
    public boolean isFillable(String column) {
        return columns.indexOf(column) >= keys();
    }

    /**
     * Returns the column that is meant.
     *
     * @param name what a rule asks for in a row
     */
    public static String column(String name) {
        return name.endsWith(ABOVE) ? name.substring(0, name.length() - ABOVE.length()) : name;
    }

    /** Returns the row that a rule in a row means with a name; −1 above the first. */
    public static int row(String name, int row) {
        return name.endsWith(ABOVE) ? row - 1 : row;
    }

    /** Returns how a cell is calculated; empty where it comes from the image, and has no working. */
    public List<Line> explain(int row, String column) {
        if (row < rows.size() && sense.origins.containsKey(column)) {
            return sense.origins.get(column).apply(row);
        }
        Rule rule = rules().get(column);
        return rule == null || row >= rows.size() || value(row, column).isEmpty() ? List.of() : rule.explain(column, name -> row(name, row) < 0
                ? Rational.ZERO : value(row(name, row), column(name)).orElse(Rational.ZERO)).stream().map(this::inSymbols).toList();
    }

    /** A formula names columns as their heads do. */
    private Line inSymbols(Line line) {
        return new Line(line.label(), line.runs().stream().map(run -> new Run(inSymbols(run.text()), run.role(), run.origin())).toList(), line.isCells(), line.arrived());
    }

    private String inSymbols(String text) {
        String symbols = text;
        for (String column : columns) {
            String symbol = kind.symbol(column);
            if (!symbol.equals(column)) {
                symbols = symbols.replaceAll("(?<![\\w-])" + Pattern.quote(column) + "(?![\\w-])", Matcher.quoteReplacement(symbol));
            }
        }
        return symbols;
    }
}

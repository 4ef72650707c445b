package pixeron.byhand.table;

import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.IntStream;
import pixeron.PixeronException;
import pixeron.byhand.HandValue;
import pixeron.format.CellTable;
import pixeron.number.Decimals;
import pixeron.working.Table;

/** A user's values for a table: some cells filled, the others blank. Immutable. */
public final class HandTable {

    /** Nothing filled. */
    public static final HandTable EMPTY = new HandTable(Map.of());

    /**
     * A cell.
     *
     * @param row the key of its row: what is in the table's first column, or {@link Table#SUM}
     * @param column the name of its column
     */
    public record Place(String row, String column) implements Comparable<Place> {
        @Override
        public int compareTo(Place other) {
            int byRow = row.compareTo(other.row);
            return byRow != 0 ? byRow : column.compareTo(other.column);
        }
    }

    private final Map<Place, HandValue> cells;

    private HandTable(Map<Place, HandValue> cells) {
        this.cells = Collections.unmodifiableMap(cells);
    }

    /** Returns the filled cells. */
    public Map<Place, HandValue> cells() {
        return cells;
    }

    public boolean isEmpty() {
        return cells.isEmpty();
    }

    /** Returns what is written in a cell. */
    public Optional<HandValue> cell(String row, String column) {
        return Optional.ofNullable(cells.get(new Place(row, column)));
    }

    /** Returns this with several cells written; blank texts clear theirs. */
    public HandTable with(Map<Place, String> texts) {
        Map<Place, HandValue> changed = new TreeMap<>(cells);
        texts.forEach((place, text) -> {
            if (text.isBlank()) {
                changed.remove(place);
            } else {
                changed.put(place, HandValue.parse(text));
            }
        });
        return new HandTable(changed);
    }

    /**
     * Writes a block of cells into columns that are beside each other for the user.
     *
     * @param row the first row of the block, from 0
     * @param columns the columns from the first of the block on
     * @throws PixeronException if the block reaches beyond the table
     */
    public HandTable withBlock(Table table, int row, List<String> columns, CellTable block) {
        Map<Place, String> texts = new HashMap<>();
        List<List<String>> rows = downwards(table, row, columns.size(), block.trimmed().rows());
        int last = table.rows().size() + (table.summed().isEmpty() ? 0 : 1);
        for (int i = 0; i < rows.size(); i++) {
            for (int j = 0; j < rows.get(i).size(); j++) {
                String text = rows.get(i).get(j);
                if (text.isBlank()) {
                    continue;
                } else if (row + i >= last || j >= columns.size()) {
                    throw PixeronException.of("A block of %d rows and %d columns does not fit here. There is space for %d rows and %d columns.", rows.size(), rows.get(i).size(), last - row, columns.size());
                }
                texts.put(new Place(table.key(row + i), columns.get(j)), text);
            }
        }
        return with(texts);
    }

    /** One row of many values is a column that was written across; keys of the rows in front of the values need not be written again. */
    private static List<List<String>> downwards(Table table, int row, int columns, List<List<String>> rows) {
        if (rows.size() == 1 && rows.get(0).size() > columns) {
            return rows.get(0).stream().map(List::of).toList();
        }
        boolean areKeyed = table.isKeyed() && table.keys() == 1 && row + rows.size() <= table.rows().size() && !rows.isEmpty()
                && rows.stream().allMatch(cells -> cells.size() == 2) && rows.get(0).size() > columns;
        for (int i = 0; areKeyed && i < rows.size(); i++) {
            areKeyed = rows.get(i).get(0).equals(table.key(row + i));
        }
        return areKeyed ? rows.stream().map(cells -> cells.subList(1, 2)).toList() : rows;
    }

    /**
     * The names of the columns of cells without a head line, and the cells with the keys that they lack. A single column or a single row, as
     * long as the table, and two columns of keys and values are the first column beside the keys, such as counts.
     */
    private record Headless(List<String> columns, List<List<String>> rows) {

        static Headless of(List<List<String>> rows, Table table) {
            int count = table.rows().size();
            int width = rows.stream().mapToInt(List::size).max().orElse(0);
            boolean isOneKey = table.isKeyed() && table.keys() == 1 && table.columns().size() > 2;
            List<String> first = isOneKey ? table.columns().subList(0, 2) : List.of();
            if (isOneKey && rows.size() == 1 && width == count) {
                return new Headless(first, IntStream.range(0, count).mapToObj(n -> List.of(table.key(n), rows.get(0).get(n))).toList());
            } else if (isOneKey && width == 1 && rows.size() == count) {
                return new Headless(first, IntStream.range(0, count).mapToObj(n -> List.of(table.key(n), rows.get(n).get(0))).toList());
            }
            return new Headless(isOneKey && width == 2 ? first : table.columns(), rows);
        }
    }

    /**
     * A table in a file: a head line with names of columns, of which the first is the key; or, without a head line, all
     * columns of the table, or those of {@link Headless}. Blank cells are not filled.
     *
     * @param written the cells
     * @param table the table that they are for
     * @throws PixeronException if a column or a row is not of the table; names it
     */
    public static HandTable of(CellTable written, Table table) {
        List<List<String>> lines = written.trimmed().rows();
        boolean hasHead = !lines.isEmpty() && lines.get(0).stream().anyMatch(cell -> table.columns().contains(cell));
        Headless headless = hasHead ? new Headless(lines.get(0), lines) : Headless.of(lines, table);
        List<String> columns = headless.columns();
        List<List<String>> rows = headless.rows();
        columns.stream().filter(column -> !table.columns().contains(column)).findFirst().ifPresent(unknown -> {
            throw PixeronException.of("The table \"%s\" has no column \"%s\". It has %s.", table.name(),
                    Decimals.shortened(unknown), String.join(", ", table.columns()));
        });
        List<String> keys = table.columns().subList(0, table.keys());
        if (columns.size() < keys.size() || !columns.subList(0, keys.size()).equals(keys)) {
            throw PixeronException.of(keys.size() == 1 ? "The first column must be %s, which identifies the row."
                    : "The first columns must be %s, which identify the row.", String.join(" and ", keys));
        }
        Map<Place, String> texts = new HashMap<>();
        for (int i = hasHead ? 1 : 0; i < rows.size(); i++) {
            List<String> row = rows.get(i);
            if (row.stream().allMatch(String::isBlank)) {
                continue;
            } else if (row.size() != columns.size()) {
                throw PixeronException.of("Line %d has %d cells, but the table has %d columns.", i + 1, row.size(), columns.size());
            }
            String key = table.isKeyed() ? key(table, row, i) : table.key(0);
            for (int j = keys.size(); j < row.size(); j++) {
                texts.put(new Place(key, columns.get(j)), row.get(j));
            }
        }
        return EMPTY.with(texts);
    }

    private static String key(Table table, List<String> row, int line) {
        List<String> written = row.subList(0, table.keys());
        String key = written.get(0).equals("Σ") ? Table.SUM : Table.key(written.stream().map(cell -> Decimals.isNumber(cell)
                ? Decimals.exact(Decimals.parse(cell)) : cell).toList());
        if (table.row(key) < 0) {
            throw PixeronException.of("Line %d begins with \"%s\", but the table has no row with this %s.", line + 1,
                    Decimals.shortened(String.join(" ", written)), String.join(" and ", table.columns().subList(0, table.keys())));
        }
        return key;
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof HandTable table && cells.equals(table.cells);
    }

    @Override
    public int hashCode() {
        return cells.hashCode();
    }
}

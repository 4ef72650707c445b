package pixeron.byhand.table;

import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import pixeron.PixeronException;
import pixeron.byhand.HandValue;
import pixeron.format.CellTable;
import pixeron.number.Decimals;
import pixeron.working.Table;

/** A person's values for a table: some cells filled, the others blank. Immutable. */
public final class HandTable {

    /** Nothing filled. */
    public static final HandTable EMPTY = new HandTable(Map.of());

    /**
     * A cell.
     *
     * @param row the key of its row: what stands in the table's first column, or {@link Table#SUM}
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

    /** @return the filled cells */
    public Map<Place, HandValue> cells() {
        return cells;
    }

    public boolean isEmpty() {
        return cells.isEmpty();
    }

    /** @return what is written in a cell */
    public Optional<HandValue> cell(String row, String column) {
        return Optional.ofNullable(cells.get(new Place(row, column)));
    }

    /** @return this with several cells written; blank texts clear theirs */
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
     * Writes a block of cells into columns that stand beside each other for the person.
     *
     * @param row the first row of the block, from 0
     * @param columns the columns from the first of the block on
     * @throws PixeronException if the block reaches beyond the table
     */
    public HandTable withBlock(Table table, int row, List<String> columns, CellTable block) {
        Map<Place, String> texts = new HashMap<>();
        List<List<String>> rows = block.trimmed().rows();
        int last = table.rows().size() + (table.summed().isEmpty() ? 0 : 1);
        for (int i = 0; i < rows.size(); i++) {
            for (int j = 0; j < rows.get(i).size(); j++) {
                String text = rows.get(i).get(j);
                if (text.isBlank()) {
                    continue;
                } else if (row + i >= last || j >= columns.size()) {
                    throw PixeronException.of("A block of %d rows and %d columns does not fit here; %d rows and %d columns are "
                            + "left.", rows.size(), rows.get(i).size(), last - row, columns.size());
                }
                texts.put(new Place(table.key(row + i), columns.get(j)), text);
            }
        }
        return with(texts);
    }

    /**
     * A table in a file: a head line with names of columns, of which the first is the key; or, without a head line, all
     * columns of the table. Blank cells are not filled.
     *
     * @param written the cells
     * @param table the table that they are for
     * @throws PixeronException if a column or a row is not of the table; names it
     */
    public static HandTable of(CellTable written, Table table) {
        List<List<String>> rows = written.trimmed().rows();
        boolean hasHead = !rows.isEmpty() && rows.get(0).stream().anyMatch(cell -> table.columns().contains(cell));
        List<String> columns = hasHead ? rows.get(0) : table.columns();
        columns.stream().filter(column -> !table.columns().contains(column)).findFirst().ifPresent(unknown -> {
            throw PixeronException.of("The table \"%s\" has no column \"%s\"; it has %s.", table.name(),
                    Decimals.shortened(unknown), String.join(", ", table.columns()));
        });
        List<String> keys = table.columns().subList(0, table.keys());
        if (columns.size() < keys.size() || !columns.subList(0, keys.size()).equals(keys)) {
            throw PixeronException.of(keys.size() == 1 ? "The first column must be %s, which says what row it is."
                    : "The first columns must be %s, which say what row it is.", String.join(" and ", keys));
        }
        Map<Place, String> texts = new HashMap<>();
        for (int i = hasHead ? 1 : 0; i < rows.size(); i++) {
            List<String> row = rows.get(i);
            if (row.stream().allMatch(String::isBlank)) {
                continue;
            } else if (row.size() != columns.size()) {
                throw PixeronException.of("Line %d has %d cells for %d columns.", i + 1, row.size(), columns.size());
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
            throw PixeronException.of("Line %d begins with \"%s\"; the table has no row with this %s.", line + 1,
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

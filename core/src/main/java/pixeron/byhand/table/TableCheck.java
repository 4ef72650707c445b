package pixeron.byhand.table;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import pixeron.byhand.HandValue;
import pixeron.byhand.Verdict;
import pixeron.number.Value;
import pixeron.working.Table;

/**
 * A user's values for a table compared with the table. A cell that is wrong, but right given the user's own earlier
 * cells, follows from them and is no slip of its own.
 *
 * @param cells the filled cells, row by row
 */
public record TableCheck(List<Cell> cells) {

    /**
     * The findings about one filled cell.
     *
     * @param row from 0; the number of rows for the row of sums
     * @param column its name
     * @param byHand what was written
     * @param value what is right
     * @param state how the two compare
     */
    public record Cell(int row, String column, HandValue byHand, Value value, Verdict state) {

        /** Returns value by hand − right value; empty when it was not understood. */
        public Optional<Value> difference() {
            return byHand.value().map(written -> written.minus(value));
        }

        public boolean isWrong() {
            return state == Verdict.DIFFERS || state == Verdict.FOLLOWS;
        }
    }

    /** Nothing filled. */
    public static final TableCheck EMPTY = new TableCheck(List.of());

    public TableCheck {
        cells = List.copyOf(cells);
    }

    /** Returns the findings about each filled cell that the table has. */
    public static TableCheck of(HandTable hand, Table table) {
        OwnTable own = new OwnTable(hand, table);
        List<Cell> cells = new ArrayList<>();
        for (int row = 0; row <= table.rows().size(); row++) {
            for (String column : table.columns()) {
                int at = row;
                hand.cell(table.key(row), column).ifPresent(written -> table.value(at, column).ifPresent(value ->
                        cells.add(new Cell(at, column, written, value, state(own, at, column, written, value)))));
            }
        }
        return new TableCheck(cells);
    }

    public int count(Verdict state) {
        return (int) cells.stream().filter(cell -> cell.state() == state).count();
    }

    /** Returns the first cell that is wrong by itself. */
    public Optional<Cell> first() {
        return cells.stream().filter(cell -> cell.state() == Verdict.DIFFERS).findFirst();
    }

    /** Returns the findings about a cell, when it is filled. */
    public Optional<Cell> cell(int row, String column) {
        return cells.stream().filter(cell -> cell.row() == row && cell.column().equals(column)).findFirst();
    }

    private static Verdict state(OwnTable own, int row, String column, HandValue written, Value value) {
        if (written.value().isEmpty()) {
            return Verdict.NOT_UNDERSTOOD;
        } else if (written.agreesWith(value)) {
            return Verdict.AGREES;
        }
        return own.follows(row, column, written, false) || own.follows(row, column, written, true) ? Verdict.FOLLOWS
                : Verdict.DIFFERS;
    }
}

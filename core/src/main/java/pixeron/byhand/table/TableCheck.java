package pixeron.byhand.table;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import pixeron.PixeronException;
import pixeron.byhand.HandValue;
import pixeron.number.Rational;
import pixeron.number.Value;
import pixeron.working.Table;

/**
 * A person's values for a table compared with the table. A cell that is wrong, but right given the person's own earlier
 * cells, follows from them and is no slip of its own.
 *
 * @param cells the filled cells, row by row
 */
public record TableCheck(List<Cell> cells) {

    /** How a cell compares. */
    public enum State {
        AGREES("agrees"),
        DIFFERS("differs"),
        /** Right given the person's own earlier cells, which are wrong. */
        FOLLOWS("follows"),
        NOT_UNDERSTOOD("not-understood");

        private final String word;

        State(String word) {
            this.word = word;
        }

        /** @return the word in written results */
        public String word() {
            return word;
        }
    }

    /**
     * What is said of one filled cell.
     *
     * @param row from 0; the number of rows for the row of sums
     * @param column its name
     * @param byHand what was written
     * @param value what is right
     * @param state how the two compare
     */
    public record Cell(int row, String column, HandValue byHand, Value value, State state) {

        /** @return value by hand − right value; empty when it was not understood */
        public Optional<Value> difference() {
            return byHand.value().map(written -> written.minus(value));
        }

        public boolean isWrong() {
            return state == State.DIFFERS || state == State.FOLLOWS;
        }
    }

    /** Nothing filled. */
    public static final TableCheck EMPTY = new TableCheck(List.of());

    public TableCheck {
        cells = List.copyOf(cells);
    }

    /** @return what is said of each filled cell that the table has */
    public static TableCheck of(HandTable hand, Table table) {
        Own own = new Own(hand, table);
        List<Cell> cells = new ArrayList<>();
        for (int row = 0; row <= table.rows().size(); row++) {
            for (String column : table.columns()) {
                int at = row;
                hand.cell(table.key(row), column).ifPresent(written -> table.value(at, column).ifPresent(value ->
                        cells.add(new Cell(at, column, written, value, own.state(at, column, written, value)))));
            }
        }
        return new TableCheck(cells);
    }

    public int count(State state) {
        return (int) cells.stream().filter(cell -> cell.state() == state).count();
    }

    /** @return the first cell that is wrong by itself */
    public Optional<Cell> first() {
        return cells.stream().filter(cell -> cell.state() == State.DIFFERS).findFirst();
    }

    /** @return what is said of a cell, when it is filled */
    public Optional<Cell> cell(int row, String column) {
        return cells.stream().filter(cell -> cell.row() == row && cell.column().equals(column)).findFirst();
    }

    /** The table as it would be with the person's own cells: where nothing is written, what follows from those. */
    private static final class Own {

        private final HandTable hand;
        private final Table table;
        private final Map<HandTable.Place, Value> known = new HashMap<>();

        Own(HandTable hand, Table table) {
            this.hand = hand;
            this.table = table;
        }

        State state(int row, String column, HandValue written, Value value) {
            if (written.value().isEmpty()) {
                return State.NOT_UNDERSTOOD;
            } else if (written.agreesWith(value)) {
                return State.AGREES;
            }
            return follows(row, column, written, false) || follows(row, column, written, true) ? State.FOLLOWS
                    : State.DIFFERS;
        }

        /**
         * @param isLiteral false: where an earlier cell agrees, it stands for the exact value; true: for what was written,
         *     such as a share rounded to two decimals
         */
        private boolean follows(int row, String column, HandValue written, boolean isLiteral) {
            try {
                if (row == table.rows().size()) {
                    return written.agreesWith(sum(column));
                }
                Table.Rule rule = table.rules().get(column);
                return rule != null && written.agreesWith(rule.apply(name -> input(name, row, isLiteral)));
            } catch (PixeronException withoutValue) {
                return false;
            }
        }

        private Value sum(String column) {
            Value sum = Rational.ZERO;
            for (int row = 0; row < table.rows().size(); row++) {
                sum = sum.plus(value(row, column));
            }
            return sum;
        }

        private Value input(String name, int row, boolean isLiteral) {
            int at = Table.row(name, row);
            String column = Table.column(name);
            if (at < 0) {
                return Rational.ZERO;
            }
            Optional<Value> literal = isLiteral ? hand.cell(table.key(at), column).flatMap(HandValue::value)
                    : Optional.empty();
            return literal.orElseGet(() -> value(at, column));
        }

        /** Rows are asked for from the first on, so a chain of rows above is never deep. */
        private Value value(int row, String column) {
            HandTable.Place place = new HandTable.Place(table.key(row), column);
            Value found = known.get(place);
            if (found == null) {
                found = find(row, column, hand.cell(place.row(), column));
                known.put(place, found);
            }
            return found;
        }

        private Value find(int row, String column, Optional<HandValue> written) {
            Value right = table.value(row, column).orElseThrow();
            if (written.flatMap(HandValue::value).isPresent()) {
                return written.get().agreesWith(right) ? right : written.get().value().orElseThrow();
            }
            Table.Rule rule = table.rules().get(column);
            if (rule == null) {
                return right;
            }
            // The rows above first, one after the other.
            if (row > 0 && rule.inputs().stream().anyMatch(name -> Table.row(name, row) < row)) {
                for (int above = firstUnknown(row, column); above < row; above++) {
                    value(above, column);
                }
            }
            try {
                return rule.apply(name -> input(name, row, false));
            } catch (PixeronException withoutValue) {
                return right;
            }
        }

        private int firstUnknown(int row, String column) {
            int first = row;
            while (first > 0 && !known.containsKey(new HandTable.Place(table.key(first - 1), column))) {
                first--;
            }
            return first;
        }
    }
}

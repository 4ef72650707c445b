package pixeron.byhand.table;

import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import pixeron.PixeronException;
import pixeron.byhand.HandValue;
import pixeron.number.Rational;
import pixeron.number.Value;
import pixeron.working.Table;

/** The table as it would be with the user's own cells: where nothing is written, what follows from those. */
final class OwnTable {

    private final HandTable hand;
    private final Table table;
    private final Map<HandTable.Place, Value> known = new HashMap<>();

    OwnTable(HandTable hand, Table table) {
        this.hand = hand;
        this.table = table;
    }

    /**
     * @param isLiteral false: where an earlier cell agrees, it represents the exact value; true: for what was written,
     *     such as a share rounded to two decimals
     */
    boolean follows(int row, String column, HandValue written, boolean isLiteral) {
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
    Value value(int row, String column) {
        HandTable.Place place = new HandTable.Place(table.key(row), column);
        Value found = known.get(place);
        if (found == null) {
            found = find(row, column, hand.cell(place.row(), column));
            known.put(place, found);
        }
        return found;
    }

    private Value find(int row, String column, Optional<HandValue> written) {
        // What is blank is nothing to go on from.
        Value right = table.value(row, column).orElse(Rational.ZERO);
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

package pixeron.byhand.work;

import java.util.HashMap;
import java.util.Map;
import java.util.function.UnaryOperator;
import pixeron.byhand.HandSheet;
import pixeron.byhand.table.HandTable;

/**
 * What a user wrote by hand for one face of a step's result. Immutable.
 *
 * @param sheet values for the result
 * @param tables values in the tables, by the name of the table; none without values
 */
public record ByHand(HandSheet sheet, Map<String, HandTable> tables) {

    /** Nothing was written. */
    public static final ByHand NONE = new ByHand(HandSheet.EMPTY, Map.of());

    public ByHand {
        tables = Map.copyOf(tables);
    }

    public boolean isEmpty() {
        return equals(NONE);
    }

    /** Returns this with a changed sheet. */
    public ByHand withSheet(UnaryOperator<HandSheet> change) {
        return new ByHand(change.apply(sheet), tables);
    }

    /** Returns this with a changed table. */
    public ByHand withTable(String name, UnaryOperator<HandTable> change) {
        HandTable changed = change.apply(tables.getOrDefault(name, HandTable.EMPTY));
        Map<String, HandTable> all = new HashMap<>(tables);
        if (changed.isEmpty()) {
            all.remove(name);
        } else {
            all.put(name, changed);
        }
        return new ByHand(sheet, all);
    }
}

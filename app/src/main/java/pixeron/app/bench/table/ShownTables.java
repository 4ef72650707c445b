package pixeron.app.bench.table;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import pixeron.app.model.Shown;
import pixeron.byhand.table.HandTable;
import pixeron.byhand.table.TableCheck;
import pixeron.byhand.table.TableSlip;
import pixeron.byhand.table.TableSlips;
import pixeron.step.Operation;
import pixeron.step.table.LevelRows;
import pixeron.working.Table;

/**
 * The tables of the selected step with the findings about the user's values. Made away from the window's thread.
 *
 * @param shown what they belong to
 * @param tables all of them; empty when the selected step has none
 * @param hands the user's values by the name of the table
 * @param checks the findings about them
 * @param slips what explains cells that are wrong by themselves
 */
record ShownTables(Shown shown, List<Table> tables, Map<String, HandTable> hands, Map<String, TableCheck> checks,
        Map<String, List<TableSlip>> slips) {

    /** Returns the tables of what is shown; what a user writes most about is first. */
    static ShownTables of(Shown shown) {
        if (shown.operation().isEmpty()) {
            return new ShownTables(shown, List.of(), Map.of(), Map.of(), Map.of());
        }
        Operation operation = shown.operation().get();
        List<Table> tables = new ArrayList<>(operation.tables());
        // The counts alone are in the levels table as well.
        if (tables.stream().anyMatch(table -> table.kind().equals(LevelRows.LEVELS))) {
            tables.removeIf(table -> table.kind().equals(LevelRows.HISTOGRAM));
        }
        Map<String, HandTable> hands = shown.project().byHand(shown.position(), shown.tableFace()).tables();
        Map<String, TableCheck> checks = new HashMap<>();
        Map<String, List<TableSlip>> slips = new HashMap<>();
        for (Table table : tables) {
            TableCheck check = TableCheck.of(hands.getOrDefault(table.name(), HandTable.EMPTY), table);
            checks.put(table.name(), check);
            slips.put(table.name(), TableSlips.find(check, table, operation));
        }
        return new ShownTables(shown, tables, hands, checks, slips);
    }

    HandTable hand(Table table) {
        return hands.getOrDefault(table.name(), HandTable.EMPTY);
    }

    List<TableSlip> slips(Table table) {
        return slips.getOrDefault(table.name(), List.of());
    }

    TableCheck check(Table table) {
        return checks.getOrDefault(table.name(), TableCheck.EMPTY);
    }
}

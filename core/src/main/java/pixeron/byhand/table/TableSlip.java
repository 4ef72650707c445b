package pixeron.byhand.table;

import java.util.List;

/**
 * A slip that explains cells of a table.
 *
 * @param id the stable id that is in written results
 * @param column the column that the cells are in
 * @param of how many cells of the column are wrong by themselves
 * @param text one sentence for the user
 * @param cells the explained cells, row by row
 */
public record TableSlip(String id, String column, int of, String text, List<TableCheck.Cell> cells) {

    public TableSlip {
        cells = List.copyOf(cells);
    }

    /** Returns how many cells it explains. */
    public int explains() {
        return cells.size();
    }
}

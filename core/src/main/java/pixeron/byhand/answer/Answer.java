package pixeron.byhand.answer;

import pixeron.byhand.HandSheet;
import pixeron.format.CellTable;
import pixeron.image.Image;

/**
 * A block of cells that can be an answer.
 *
 * @param where its sheet and corners as spreadsheets write them, such as Work!B2:I9; empty for all of a text
 * @param cells the cells with as many rows and columns as the result
 * @param isSwapped whether rows and columns were exchanged to fit
 */
public record Answer(String where, CellTable cells, boolean isSwapped) {

    /** @return the values for a result of this size */
    public HandSheet sheet(Image grid) {
        return HandSheet.of(cells, grid);
    }
}

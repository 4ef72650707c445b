package pixeron.byhand.answer;

import java.util.Optional;
import pixeron.byhand.HandSheet;
import pixeron.format.CellTable;
import pixeron.image.Frame;

/**
 * A block of cells that can be an answer.
 *
 * @param where its sheet and corners as spreadsheets write them, such as Work!B2:I9; empty for all of a text
 * @param cells the cells with as many rows and columns as the result
 * @param isSwapped whether rows and columns were exchanged to fit
 * @param otherShape rows and columns where they are not those of the result: only the cells that both have are compared
 */
public record Answer(String where, CellTable cells, boolean isSwapped, Optional<Frame> otherShape) {

    /** @return the values for a result of this size */
    public HandSheet sheet(Frame grid) {
        return otherShape.isPresent() ? HandSheet.ofAny(cells) : HandSheet.of(cells, grid);
    }
}

package pixeron.byhand.answer;

import java.util.Optional;
import pixeron.PixeronException;
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

    /** A table of another shape may be one of a larger image; one that is much larger than the result is something else. */
    private static final long MOST_OTHER = 1 << 16;

    /**
     * Returns the values for a result of this size.
     *
     * @throws PixeronException if the table is of another shape and far too large
     */
    public HandSheet sheet(Frame grid) {
        otherShape.filter(shape -> (long) shape.rows() * shape.columns() > Math.max(MOST_OTHER, 4L * grid.count())).ifPresent(shape -> {
            throw PixeronException.of("The table has %d × %d cells, but the result has %s.", shape.rows(), shape.columns(), grid.size());
        });
        return otherShape.isPresent() ? HandSheet.ofAny(cells) : HandSheet.of(cells, grid);
    }
}

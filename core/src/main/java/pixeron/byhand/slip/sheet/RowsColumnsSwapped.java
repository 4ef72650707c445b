package pixeron.byhand.slip.sheet;

import java.util.List;
import java.util.function.Function;
import pixeron.image.Pixel;
import pixeron.number.Value;
import pixeron.step.Operation;
import pixeron.step.Way;

/**
 * The result was written down with rows for columns.
 *
 * <p>Gives at (i, j) the right value of (j, i), where both are pixels of the result. Source: docs/slips.md.
 */
public final class RowsColumnsSwapped implements PlaceSlip {

    @Override
    public String id() {
        return "rows-columns-swapped";
    }

    @Override
    public List<Way> moved(Function<Pixel, Value> result, Operation right) {
        return right.frame().rows() != right.frame().columns() ? List.of() : List.of(Way.of("rows and columns are swapped", pixel ->
                result.apply(new Pixel(pixel.column(), pixel.row()))));
    }
}

package pixeron.byhand.slip.sheet;

import java.util.List;
import pixeron.byhand.slip.Slip;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.step.Operation;
import pixeron.step.Step;

/** The result was written down with rows for columns. */
public final class RowsColumnsSwapped implements Slip {

    @Override
    public String id() {
        return "rows-columns-swapped";
    }

    @Override
    public List<Way> ways(Step step, Image before) {
        Operation operation = step.bind(before);
        boolean isSquare = operation.contains(new Pixel(before.columns() - 1, before.rows() - 1))
                || before.rows() == before.columns();
        return !isSquare ? List.of() : List.of(Way.of("rows and columns are exchanged", pixel ->
                operation.value(new Pixel(pixel.column(), pixel.row()))));
    }
}

package pixeron.app.sheet.paint;

import java.util.function.Predicate;
import javafx.scene.canvas.GraphicsContext;
import pixeron.image.Pixel;

/** Two drawings on one sheet: the written pixels as in one, the others as in the other. */
public final class OverwrittenPainter implements Painter {

    private final Painter written;
    private final Predicate<Pixel> isWritten;
    private final int rows;
    private final int columns;

    /**
     * Creates a painter that uses one drawing where pixels were written and the sheet's own elsewhere.
     *
     * @param written is drawn over what the sheet shows
     * @param isWritten where
     */
    public OverwrittenPainter(Painter written, Predicate<Pixel> isWritten, int rows, int columns) {
        this.written = written;
        this.isWritten = isWritten;
        this.rows = rows;
        this.columns = columns;
    }

    @Override
    public void paint(GraphicsContext graphics, Extent extent) {
        graphics.save();
        graphics.beginPath();
        for (int i = extent.firstRow(); i <= Math.min(extent.lastRow(), rows - 1); i++) {
            double y = Math.floor(extent.y(i));
            double height = Math.floor(extent.y(i + 1)) - y;
            int from = extent.firstColumn();
            int last = Math.min(extent.lastColumn(), columns - 1);
            while (from <= last) {
                int to = from;
                while (to <= last && isWritten.test(new Pixel(i, to))) {
                    to++;
                }
                if (to > from) {
                    double x = Math.floor(extent.x(from));
                    graphics.rect(x, y, Math.floor(extent.x(to)) - x, height);
                }
                from = to + 1;
            }
        }
        graphics.clip();
        written.paint(graphics, extent);
        graphics.restore();
    }

    @Override
    public String describe(Pixel pixel) {
        return isWritten.test(pixel) ? written.describe(pixel) + ", overwritten" : "";
    }
}

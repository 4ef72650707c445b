package pixeron.app.sheet.paint;

import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;

/** The lines between cells. Drawn as thin rectangles on whole points, which costs a fraction of stroked lines. */
final class Lines {

    private Lines() {
    }

    static void paint(GraphicsContext graphics, Extent extent, Color color) {
        double left = Math.max(0, extent.x(0));
        double top = Math.max(0, extent.y(0));
        double right = extent.x(extent.columns());
        double bottom = extent.y(extent.rows());
        graphics.setFill(color);
        for (int i = extent.firstRow(); i <= extent.lastRow() + 1; i++) {
            graphics.fillRect(left, edge(extent.y(i), bottom), right - left, 1);
        }
        for (int j = extent.firstColumn(); j <= extent.lastColumn() + 1; j++) {
            graphics.fillRect(edge(extent.x(j), right), top, 1, bottom - top);
        }
    }

    /** The last line stays inside the sheet. */
    private static double edge(double place, double end) {
        return Math.floor(place) - (place >= end ? 1 : 0);
    }
}

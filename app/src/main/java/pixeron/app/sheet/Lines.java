package pixeron.app.sheet;

import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;

/** The lines between cells. Drawn as thin rectangles on whole points, which costs a fraction of stroked lines. */
final class Lines {

    private Lines() {
    }

    static void paint(GraphicsContext graphics, Viewport viewport, Color color) {
        double left = Math.max(0, viewport.x(0));
        double top = Math.max(0, viewport.y(0));
        double right = viewport.x(viewport.columns());
        double bottom = viewport.y(viewport.rows());
        graphics.setFill(color);
        for (int i = viewport.firstRow(); i <= viewport.lastRow() + 1; i++) {
            graphics.fillRect(left, edge(viewport.y(i), bottom), right - left, 1);
        }
        for (int j = viewport.firstColumn(); j <= viewport.lastColumn() + 1; j++) {
            graphics.fillRect(edge(viewport.x(j), right), top, 1, bottom - top);
        }
    }

    /** The last line stays inside the sheet. */
    private static double edge(double place, double end) {
        return Math.floor(place) - (place >= end ? 1 : 0);
    }
}

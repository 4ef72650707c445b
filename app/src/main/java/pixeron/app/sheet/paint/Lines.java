package pixeron.app.sheet.paint;

import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;

/** The lines between cells and around lit ones. The former are drawn as thin rectangles on whole points, which costs a fraction of stroked lines. */
final class Lines {

    /** Side of a cell from which lines between cells do not hide them. */
    static final double SQUARES_FROM = 8;

    /** The part of a lit cell's side that a mark takes at each end, and its least length. */
    private static final double CORNER = 0.28;
    private static final double LEAST_CORNER = 3;

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

    /** Squared paper to write on; where the squares are too small only its edge. */
    static void paintPaper(GraphicsContext graphics, Extent extent, Color paper, Color line) {
        double right = extent.x(extent.columns());
        double bottom = extent.y(extent.rows());
        graphics.setFill(paper);
        graphics.fillRect(Math.max(0, extent.x(0)), Math.max(0, extent.y(0)), right, bottom);
        if (extent.cell() >= SQUARES_FROM) {
            paint(graphics, extent, line);
        } else {
            graphics.setStroke(line);
            graphics.strokeRect(extent.x(0) + 0.5, extent.y(0) + 0.5, right - extent.x(0) - 1,
                    bottom - extent.y(0) - 1);
        }
    }

    /** A lit cell has its corners marked, so that its color and number stay, and the whole frame of the picked one is told from it by its form. */
    static void paintLit(GraphicsContext graphics, Color lit, double x, double y, double width, double height) {
        double length = Math.max(LEAST_CORNER, Math.floor(CORNER * Math.min(width, height)));
        for (int corner = 0; corner < 4; corner++) {
            boolean isRight = corner % 2 == 1;
            boolean isLow = corner > 1;
            // The dark edge is seen on light cells, the bright line within it on dark ones.
            for (int edge = 0; edge < 2; edge++) {
                double inset = 1 + edge;
                double thick = 1 + edge;
                graphics.setFill(edge == 0 ? Color.BLACK : lit);
                double left = isRight ? x + width - inset - length : x + inset;
                double top = isLow ? y + height - inset - length : y + inset;
                graphics.fillRect(left, isLow ? y + height - inset - thick : top, length, thick);
                graphics.fillRect(isRight ? x + width - inset - thick : left, top, thick, length);
            }
        }
    }

    /** The last line stays inside the sheet. */
    private static double edge(double place, double end) {
        return Math.floor(place) - (place >= end ? 1 : 0);
    }
}

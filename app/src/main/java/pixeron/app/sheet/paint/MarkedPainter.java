package pixeron.app.sheet.paint;

import javafx.geometry.VPos;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.text.TextAlignment;
import pixeron.app.model.Selection;
import pixeron.app.theme.Palette;
import pixeron.image.Area;
import pixeron.image.Pixel;
import pixeron.look.Measures;
import pixeron.look.Segment;

/**
 * Draws the marked rectangle or line with its measures beside its last pixel.
 *
 * @param viewport the part of the image that is seen
 * @param scale how much larger than normal type is
 */
public record MarkedPainter(Viewport viewport, Palette palette, double scale) {

    private static final double TYPE = 12;
    private static final double MARGIN = 4;

    /**
     * Draws what is marked.
     *
     * @param width of the room for cells
     * @param height of the room for cells
     */
    public void paint(GraphicsContext graphics, Selection marked, double width, double height) {
        if (marked instanceof Selection.Rectangle rectangle) {
            paint(graphics, rectangle.area());
            label(graphics, Measures.brief(rectangle.area()), rectangle.area().lastPixel(), width, height);
        } else if (marked instanceof Selection.Line line) {
            paint(graphics, line.segment());
            label(graphics, Measures.brief(line.segment()), line.segment().to(), width, height);
        }
    }

    /** A light line beside a dark one is seen on every gray. */
    private void paint(GraphicsContext graphics, Area area) {
        double x = Math.floor(viewport.x(area.column()));
        double y = Math.floor(viewport.y(area.row()));
        double width = Math.max(3, Math.floor(viewport.x(area.column() + area.width())) - x);
        double height = Math.max(3, Math.floor(viewport.y(area.row() + area.height())) - y);
        graphics.setStroke(palette.panel());
        graphics.strokeRect(x + 1.5, y + 1.5, width - 3, height - 3);
        graphics.setStroke(palette.after());
        graphics.setLineWidth(2);
        graphics.strokeRect(x, y, width, height);
        graphics.setLineWidth(1);
    }

    private void paint(GraphicsContext graphics, Segment line) {
        for (boolean isGround : new boolean[] {true, false}) {
            graphics.setStroke(isGround ? palette.panel() : palette.after());
            graphics.setLineWidth(isGround ? 4 : 2);
            graphics.strokeLine(middle(viewport.x(line.from().column())), middle(viewport.y(line.from().row())),
                    middle(viewport.x(line.to().column())), middle(viewport.y(line.to().row())));
        }
        graphics.setLineWidth(1);
    }

    private double middle(double edge) {
        return edge + viewport.cell() / 2;
    }

    /** Inside of the sheet, wherever the last pixel is. */
    private void label(GraphicsContext graphics, String words, Pixel end, double width, double height) {
        double size = TYPE * scale;
        double wide = words.length() * size * NumberFont.DIGIT + 2 * MARGIN;
        double tall = size + 2 * MARGIN;
        double x = Math.max(0, Math.min(width - wide - 2, viewport.x(end.column() + 1) + MARGIN));
        double y = Math.max(0, Math.min(height - tall - 2, viewport.y(end.row() + 1) + MARGIN));
        graphics.setFill(palette.after());
        graphics.fillRoundRect(x, y, wide, tall, MARGIN, MARGIN);
        graphics.setFill(palette.panel());
        graphics.setFont(NumberFont.of(size));
        graphics.setTextAlign(TextAlignment.CENTER);
        graphics.setTextBaseline(VPos.CENTER);
        graphics.fillText(words, x + wide / 2, y + tall / 2);
    }
}

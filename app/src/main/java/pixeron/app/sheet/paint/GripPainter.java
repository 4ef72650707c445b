package pixeron.app.sheet.paint;

import java.util.List;
import javafx.geometry.VPos;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.text.TextAlignment;
import pixeron.app.theme.Palette;
import pixeron.app.theme.Theme;
import pixeron.image.Pixel;
import pixeron.step.Grip;
import pixeron.step.Piece;

/**
 * What can be taken hold of on a sheet: rectangles with a knob in each corner, arms with a knob at the tip. While one is dragged it says
 * where it is.
 */
public final class GripPainter implements Painter {

    private static final double KNOB = 7;
    private static final double LETTER = 6.7;
    private static final double TAG = 16;

    private final List<Grip> grips;
    private final String dragged;
    private final int first;
    private final Theme theme;

    /**
     * Creates a painter of the rectangles and arms that can be dragged.
     *
     * @param dragged the name of the one that is being dragged; empty for none
     * @param first what the first row and column are called
     */
    public GripPainter(List<Grip> grips, String dragged, int first, Theme theme) {
        this.grips = grips;
        this.dragged = dragged;
        this.first = first;
        this.theme = theme;
    }

    @Override
    public void paint(GraphicsContext graphics, Extent extent) {
        Palette palette = theme.palette();
        for (Grip grip : grips) {
            if (grip instanceof Grip.Rectangle rectangle) {
                rectangle(graphics, extent, palette, rectangle);
            } else if (grip instanceof Grip.Circle circle) {
                circle(graphics, extent, palette, circle);
            } else if (grip instanceof Grip.Arm arm) {
                arm(graphics, extent, palette, arm);
            }
        }
        graphics.setLineWidth(1);
        graphics.setLineDashes();
    }

    private void rectangle(GraphicsContext graphics, Extent extent, Palette palette, Grip.Rectangle rectangle) {
        Piece piece = rectangle.piece();
        double x = Math.floor(extent.x(piece.column()));
        double y = Math.floor(extent.y(piece.row()));
        double right = Math.floor(extent.x(piece.lastColumn() + 1));
        double bottom = Math.floor(extent.y(piece.lastRow() + 1));
        double width = Math.max(3, right - x);
        double height = Math.max(3, bottom - y);
        // A light line below a dark dashed one is seen on every gray, and is not taken for what is marked.
        graphics.setLineDashes();
        graphics.setStroke(palette.panel());
        graphics.setLineWidth(4);
        graphics.strokeRect(x, y, width, height);
        graphics.setLineDashes(6, 3);
        graphics.setStroke(palette.ink());
        graphics.setLineWidth(2);
        graphics.strokeRect(x, y, width, height);
        graphics.setLineDashes();
        if (rectangle.isSizable()) {
            for (double knobX : new double[] {x, x + width}) {
                knob(graphics, palette, knobX, y, false);
                knob(graphics, palette, knobX, y + height, false);
            }
        }
        if (rectangle.name().equals(dragged)) {
            tag(graphics, palette, rectangle.words(first), x, y);
        }
    }

    private void circle(GraphicsContext graphics, Extent extent, Palette palette, Grip.Circle circle) {
        double x = extent.x(0) + circle.middle().column() * extent.cell();
        double y = extent.y(0) + circle.middle().row() * extent.cell();
        double radius = circle.radius() * extent.cell();
        graphics.setLineDashes();
        graphics.setStroke(palette.panel());
        graphics.setLineWidth(4);
        graphics.strokeOval(x - radius, y - radius, 2 * radius, 2 * radius);
        graphics.setLineDashes(6, 3);
        graphics.setStroke(palette.ink());
        graphics.setLineWidth(2);
        graphics.strokeOval(x - radius, y - radius, 2 * radius, 2 * radius);
        graphics.setLineDashes();
        knob(graphics, palette, x + radius, y, true);
        if (circle.name().equals(dragged)) {
            tag(graphics, palette, circle.words(first), x + radius + KNOB, y - KNOB);
        }
    }

    private void arm(GraphicsContext graphics, Extent extent, Palette palette, Grip.Arm arm) {
        double fromX = extent.x(0) + arm.anchor().column() * extent.cell();
        double fromY = extent.y(0) + arm.anchor().row() * extent.cell();
        double toX = extent.x(0) + arm.tip().column() * extent.cell();
        double toY = extent.y(0) + arm.tip().row() * extent.cell();
        graphics.setStroke(palette.panel());
        graphics.setLineWidth(4);
        graphics.strokeLine(fromX, fromY, toX, toY);
        graphics.setStroke(palette.ink());
        graphics.setLineWidth(2);
        graphics.strokeLine(fromX, fromY, toX, toY);
        graphics.setFill(palette.ink());
        graphics.fillOval(fromX - 3, fromY - 3, 6, 6);
        knob(graphics, palette, toX, toY, true);
        if (arm.name().equals(dragged)) {
            tag(graphics, palette, arm.words(first), toX + KNOB, toY - KNOB);
        }
    }

    private static void knob(GraphicsContext graphics, Palette palette, double x, double y, boolean isRound) {
        double side = isRound ? KNOB * 2 : KNOB;
        graphics.setFill(palette.panel());
        graphics.setStroke(palette.ink());
        graphics.setLineWidth(isRound ? 2 : 1.5);
        if (isRound) {
            graphics.fillOval(x - side / 2, y - side / 2, side, side);
            graphics.strokeOval(x - side / 2, y - side / 2, side, side);
        } else {
            graphics.fillRect(x - side / 2, y - side / 2, side, side);
            graphics.strokeRect(x - side / 2, y - side / 2, side, side);
        }
    }

    private void tag(GraphicsContext graphics, Palette palette, String words, double x, double y) {
        double width = words.length() * LETTER * theme.scale() + 8;
        double height = TAG * theme.scale();
        double room = (graphics.getCanvas().getWidth() - graphics.getTransform().getTx()) / graphics.getTransform().getMxx();
        double left = Math.max(2, Math.min(x, room - width - 2));
        double top = y - height - 4 < 0 ? y + 6 : y - height - 4;
        graphics.setFill(palette.ink());
        graphics.fillRoundRect(left, top, width, height, 4, 4);
        graphics.setFill(palette.panel());
        graphics.setFont(NumberFont.of(11 * theme.scale()));
        graphics.setTextAlign(TextAlignment.LEFT);
        graphics.setTextBaseline(VPos.CENTER);
        graphics.fillText(words, left + 4, top + height / 2);
    }

    @Override
    public String describe(Pixel pixel) {
        return "";
    }
}

package pixeron.app.sheet.paint;

import java.util.List;
import javafx.geometry.VPos;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.shape.StrokeLineCap;
import javafx.scene.text.TextAlignment;
import pixeron.app.theme.Palette;
import pixeron.app.theme.Theme;
import pixeron.image.Pixel;
import pixeron.number.Decimals;
import pixeron.step.Source;

/**
 * The cells of a window on Before: framed where they lie inside the image, with a dashed frame where the value of a cell
 * outside comes from. The cells that a walk has taken so far are framed boldly.
 */
public final class WindowPainter implements Painter {

    /** More cells than this are shown by their outline. */
    private static final int MOST_FRAMED = 121;
    private static final double FRAMED_FROM = 10;
    /** In smaller cells a weight would hide the value. */
    private static final double WEIGHTS_FROM = 34;
    private static final double WEIGHT_SIZE = 9;
    private static final double WEIGHT_HEIGHT = 11;
    private static final double DIGIT = 5.5;

    private final List<Source> sources;
    private final int taken;
    private final boolean areWeightsShown;
    private final Theme theme;

    /**
     * Creates a painter of the window around a pixel, with the cells that were already read.
     *
     * @param sources the cells, row by row
     * @param taken how many of them were taken so far; beyond the last all
     * @param areWeightsShown whether each cell says what it is multiplied with, where there is room
     */
    public WindowPainter(List<Source> sources, int taken, boolean areWeightsShown, Theme theme) {
        this.areWeightsShown = areWeightsShown;
        this.sources = sources;
        this.taken = taken;
        this.theme = theme;
    }

    @Override
    public void paint(GraphicsContext graphics, Extent extent) {
        Palette palette = theme.palette();
        double side = extent.cell();
        graphics.save();
        graphics.setLineCap(StrokeLineCap.BUTT);
        if (sources.size() > MOST_FRAMED || side < FRAMED_FROM) {
            paintOutline(graphics, extent, palette);
        } else {
            for (int n = 0; n < sources.size(); n++) {
                Source place = sources.get(n);
                boolean isTaken = n < taken;
                if (place.isInside()) {
                    frame(graphics, extent, new Pixel(place.row(), place.column()), palette, isTaken, false);
                    if (areWeightsShown && side >= WEIGHTS_FROM) {
                        place.weight().ifPresent(weight -> weight(graphics, extent, place, Decimals.approximate(weight), palette));
                    }
                } else {
                    place.pixel().ifPresent(source -> frame(graphics, extent, source, palette, isTaken, true));
                }
            }
        }
        graphics.restore();
    }

    private static void frame(GraphicsContext graphics, Extent extent, Pixel pixel, Palette palette, boolean isTaken,
            boolean isDashed) {
        double x = Math.floor(extent.x(pixel.column()));
        double y = Math.floor(extent.y(pixel.row()));
        double side = extent.cell();
        // A light line below a bright one is seen on every gray.
        double inset = isDashed ? 4 : 1.5;
        graphics.setLineDashes(isDashed ? new double[] {4, 3} : new double[0]);
        graphics.setStroke(palette.ink());
        graphics.setLineWidth(isTaken ? 4 : 3);
        graphics.strokeRect(x + inset, y + inset, side - 2 * inset, side - 2 * inset);
        graphics.setStroke(palette.picked());
        graphics.setLineWidth(isTaken ? 2.5 : 1.5);
        graphics.strokeRect(x + inset, y + inset, side - 2 * inset, side - 2 * inset);
    }

    /** In the upper corner, on a ground of its own, so that it is read on every gray and not taken for the value. */
    private static void weight(GraphicsContext graphics, Extent extent, Source place, String weight, Palette palette) {
        double width = weight.length() * DIGIT + 4;
        if (width > extent.cell() - 4) {
            return;
        }
        double x = Math.floor(extent.x(place.column())) + 2;
        double y = Math.floor(extent.y(place.row())) + 2;
        graphics.setFill(palette.panel());
        graphics.fillRect(x, y, width, WEIGHT_HEIGHT);
        graphics.setFill(palette.ink());
        graphics.setFont(NumberFont.of(WEIGHT_SIZE));
        graphics.setTextAlign(TextAlignment.LEFT);
        graphics.setTextBaseline(VPos.CENTER);
        graphics.fillText(weight, x + 2, y + WEIGHT_HEIGHT / 2);
    }

    private void paintOutline(GraphicsContext graphics, Extent extent, Palette palette) {
        Source first = sources.get(0);
        Source last = sources.get(sources.size() - 1);
        double x = Math.floor(extent.x(first.column()));
        double y = Math.floor(extent.y(first.row()));
        double width = Math.floor(extent.x(last.column() + 1)) - x;
        double height = Math.floor(extent.y(last.row() + 1)) - y;
        graphics.setStroke(palette.ink());
        graphics.setLineWidth(3);
        graphics.strokeRect(x, y, width, height);
        graphics.setStroke(palette.picked());
        graphics.setLineWidth(1.5);
        graphics.strokeRect(x, y, width, height);
    }

    @Override
    public String describe(Pixel pixel) {
        return "";
    }
}

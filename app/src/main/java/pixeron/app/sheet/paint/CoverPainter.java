package pixeron.app.sheet.paint;

import java.util.function.Predicate;
import javafx.geometry.VPos;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.image.PixelFormat;
import javafx.scene.image.WritableImage;
import javafx.scene.paint.Color;
import javafx.scene.paint.ImagePattern;
import javafx.scene.paint.Paint;
import javafx.scene.text.Font;
import javafx.scene.text.TextAlignment;
import pixeron.app.theme.Palette;
import pixeron.app.theme.Theme;
import pixeron.image.Pixel;

/**
 * Covers what a walk has not written yet with hatched paper; the pixel that it is now gets a question mark.
 *
 * <p>Cost: one question for each visible pixel; neighbors in a row are covered in one stroke.
 */
public final class CoverPainter implements Painter {

    /** Smaller cells than this are covered plainly: hatching would only flicker. */
    private static final double HATCHED_FROM = 6;
    private static final int PERIOD = 8;

    private final Predicate<Pixel> isSeen;
    /** The pixel that it is now; null where none is. */
    private final Pixel current;
    private final int rows;
    private final int columns;
    private final String words;
    private final Theme theme;

    /**
     * Creates a painter that hides the cells whose values are not yet seen.
     *
     * @param isSeen which pixels are not covered
     * @param current the pixel that it is now
     * @param rows of what is covered
     * @param columns of what is covered
     */
    public CoverPainter(Predicate<Pixel> isSeen, Pixel current, int rows, int columns, Theme theme) {
        this(isSeen, current, rows, columns, "not written yet", theme);
    }

    private CoverPainter(Predicate<Pixel> isSeen, Pixel current, int rows, int columns, String words, Theme theme) {
        this.words = words;
        this.isSeen = isSeen;
        this.current = current;
        this.rows = rows;
        this.columns = columns;
        this.theme = theme;
    }

    /** Returns what lies over pixels that nothing is ever written to. */
    public static CoverPainter holes(Predicate<Pixel> isWritten, int rows, int columns, Theme theme) {
        return new CoverPainter(isWritten, null, rows, columns, "a hole: no value is written here", theme);
    }

    @Override
    public void paint(GraphicsContext graphics, Extent extent) {
        Palette palette = theme.palette();
        graphics.setFill(extent.cell() < HATCHED_FROM ? palette.paper() : hatching(palette));
        int lastColumn = Math.min(extent.lastColumn(), columns - 1);
        for (int i = extent.firstRow(); i <= Math.min(extent.lastRow(), rows - 1); i++) {
            double y = Math.floor(extent.y(i));
            double height = Math.floor(extent.y(i + 1)) - y;
            int from = extent.firstColumn();
            while (from <= lastColumn) {
                if (isSeen.test(new Pixel(i, from))) {
                    from++;
                    continue;
                }
                int to = from;
                while (to <= lastColumn && !isSeen.test(new Pixel(i, to))) {
                    to++;
                }
                double x = Math.floor(extent.x(from));
                graphics.fillRect(x, y, Math.floor(extent.x(to)) - x, height);
                from = to;
            }
        }
        paintCurrent(graphics, extent, palette);
    }

    private void paintCurrent(GraphicsContext graphics, Extent extent, Palette palette) {
        Font font = NumberFont.fitting(extent.cell(), 1, theme.scale());
        if (current != null && !isSeen.test(current) && font != null) {
            double x = Math.floor(extent.x(current.column()));
            double y = Math.floor(extent.y(current.row()));
            graphics.setFill(palette.panel());
            graphics.fillRect(x, y, extent.cell(), extent.cell());
            graphics.setFill(palette.byHand());
            graphics.setFont(font);
            graphics.setTextAlign(TextAlignment.CENTER);
            graphics.setTextBaseline(VPos.CENTER);
            graphics.fillText("?", x + extent.cell() / 2, y + extent.cell() / 2);
        }
    }

    private static Paint hatching(Palette palette) {
        WritableImage square = new WritableImage(PERIOD, PERIOD);
        int paper = argb(palette.paper());
        int line = argb(palette.line());
        int[] points = new int[PERIOD * PERIOD];
        for (int n = 0; n < points.length; n++) {
            points[n] = (n / PERIOD + n % PERIOD) % PERIOD < 2 ? line : paper;
        }
        square.getPixelWriter().setPixels(0, 0, PERIOD, PERIOD, PixelFormat.getIntArgbInstance(), points, 0, PERIOD);
        return new ImagePattern(square, 0, 0, PERIOD, PERIOD, false);
    }

    private static int argb(Color color) {
        return 0xFF << 24 | (int) Math.round(color.getRed() * 255) << 16
                | (int) Math.round(color.getGreen() * 255) << 8 | (int) Math.round(color.getBlue() * 255);
    }

    @Override
    public String describe(Pixel pixel) {
        return isSeen.test(pixel) ? "" : words;
    }
}

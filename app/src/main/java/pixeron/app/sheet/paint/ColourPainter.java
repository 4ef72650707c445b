package pixeron.app.sheet.paint;

import java.util.stream.IntStream;
import javafx.geometry.VPos;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.image.PixelFormat;
import javafx.scene.image.WritableImage;
import javafx.scene.paint.Color;
import javafx.scene.text.Font;
import javafx.scene.text.TextAlignment;
import pixeron.app.theme.Theme;
import pixeron.image.ColourImage;
import pixeron.image.Image;
import pixeron.image.Pixel;

/**
 * Draws a colour picture as it looks, transparent parts over a checked ground; cells that are large enough have the
 * levels of red, green and blue one under the other.
 */
public final class ColourPainter implements Painter {

    private static final double LINES_IN_CELL = 3.4;
    /** Side of a square of the ground behind transparent pixels, in points. */
    private static final int CHECK = 4;

    private final ColourImage picture;
    private final Theme theme;

    /** @param picture what is drawn */
    public ColourPainter(ColourImage picture, Theme theme) {
        this.picture = picture;
        this.theme = theme;
    }

    @Override
    public void paint(GraphicsContext graphics, Extent extent) {
        int width = (int) Math.ceil(Math.min(extent.x(picture.columns()), graphics.getCanvas().getWidth()));
        int height = (int) Math.ceil(Math.min(extent.y(picture.rows()), graphics.getCanvas().getHeight()));
        if (width <= 0 || height <= 0) {
            return;
        }
        int[] points = new int[width * height];
        IntStream.range(0, height).parallel().forEach(y -> {
            int row = Math.min(picture.rows() - 1, (int) (extent.top() + (y + 0.5) / extent.cell()));
            for (int x = 0; x < width; x++) {
                int column = Math.min(picture.columns() - 1, (int) (extent.left() + (x + 0.5) / extent.cell()));
                double ground = (x / CHECK + y / CHECK) % 2 == 0 ? 1 : 0.82;
                points[y * width + x] = point(row * picture.columns() + column, ground);
            }
        });
        WritableImage drawn = new WritableImage(width, height);
        drawn.getPixelWriter().setPixels(0, 0, width, height, PixelFormat.getIntArgbPreInstance(), points, 0, width);
        graphics.drawImage(drawn, 0, 0);
        int digits = Integer.toString(picture.maximumLevel()).length();
        if (NumberFont.isRoomFor(extent.cell(), digits, 3)) {
            paintNumbers(graphics, extent, NumberFont.of(Math.min(15 * theme.scale(),
                    Math.floor(extent.cell() / LINES_IN_CELL))));
        }
    }

    private int point(int offset, double ground) {
        int maximum = picture.maximumLevel();
        double alpha = picture.alpha().map(image -> (double) image.level(offset) / maximum).orElse(1.0);
        int point = 0xFF;
        for (Image channel : new Image[] {picture.red(), picture.green(), picture.blue()}) {
            double share = alpha * channel.level(offset) / maximum + (1 - alpha) * ground;
            point = point << 8 | (int) Math.rint(255 * share);
        }
        return point;
    }

    private void paintNumbers(GraphicsContext graphics, Extent extent, Font font) {
        graphics.setTextAlign(TextAlignment.CENTER);
        graphics.setTextBaseline(VPos.CENTER);
        graphics.setFont(font);
        double side = extent.cell();
        for (int i = extent.firstRow(); i <= extent.lastRow(); i++) {
            for (int j = extent.firstColumn(); j <= extent.lastColumn(); j++) {
                int n = i * picture.columns() + j;
                int point = point(n, 0.9);
                Color ground = Color.rgb(point >> 16 & 0xFF, point >> 8 & 0xFF, point & 0xFF);
                graphics.setFill(Tones.ink(ground));
                double x = Math.floor(extent.x(j)) + side / 2;
                double y = Math.floor(extent.y(i));
                graphics.fillText(Integer.toString(picture.red().level(n)), x, y + side * 0.2);
                graphics.fillText(Integer.toString(picture.green().level(n)), x, y + side * 0.5);
                graphics.fillText(Integer.toString(picture.blue().level(n)), x, y + side * 0.8);
            }
        }
    }

    @Override
    public String describe(Pixel pixel) {
        int n = picture.red().offset(pixel);
        return "red " + picture.red().level(n) + ", green " + picture.green().level(n) + ", blue "
                + picture.blue().level(n) + picture.alpha().map(alpha -> ", alpha " + alpha.level(n)).orElse("");
    }
}

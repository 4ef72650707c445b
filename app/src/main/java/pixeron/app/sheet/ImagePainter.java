package pixeron.app.sheet;

import java.util.stream.IntStream;
import javafx.geometry.VPos;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.image.PixelFormat;
import javafx.scene.image.WritableImage;
import javafx.scene.paint.Color;
import javafx.scene.text.Font;
import javafx.scene.text.TextAlignment;
import pixeron.app.theme.Theme;
import pixeron.image.Image;
import pixeron.image.ImageFacts;
import pixeron.image.Pixel;
import pixeron.number.Decimals;
import pixeron.number.Value;

/**
 * Draws samples: as a picture while cells are small, as gray cells with numbers as soon as they fit.
 *
 * <p>Cost: only what is visible is read; a picture reads at most nine samples for every point on the screen.
 */
public final class ImagePainter implements Painter {

    /** Most samples read across and down for one point of a picture that is made smaller. */
    private static final int MOST_READ = 3;
    private static final Color[] GRAYS = new Color[256];

    static {
        java.util.Arrays.setAll(GRAYS, Color::grayRgb);
    }

    private final Image image;
    private final Theme theme;
    private final int characters;

    /**
     * @param image what is drawn
     * @param facts of that image; they say how long its numbers are
     */
    public ImagePainter(Image image, ImageFacts facts, Theme theme) {
        this.image = image;
        this.theme = theme;
        this.characters = Math.max(Math.max(length(facts.smallest()), length(facts.largest())), image.isLevelImage()
                ? 1 : 4);
    }

    private static int length(Value value) {
        return Decimals.cell(value).length();
    }

    /** @return the longest number of the image, in characters */
    public int characters() {
        return characters;
    }

    @Override
    public void paint(GraphicsContext graphics, Viewport viewport) {
        Font font = NumberFont.fitting(viewport.cell(), characters, theme.scale());
        if (font == null) {
            paintPicture(graphics, viewport);
        } else {
            paintCells(graphics, viewport, font);
        }
    }

    private void paintCells(GraphicsContext graphics, Viewport viewport, Font font) {
        graphics.setTextAlign(TextAlignment.CENTER);
        graphics.setTextBaseline(VPos.CENTER);
        graphics.setFont(font);
        double side = viewport.cell();
        for (int i = viewport.firstRow(); i <= viewport.lastRow(); i++) {
            double y = Math.floor(viewport.y(i));
            double height = Math.floor(viewport.y(i + 1)) - y;
            for (int j = viewport.firstColumn(); j <= viewport.lastColumn(); j++) {
                int n = i * image.columns() + j;
                int level = (int) Math.rint(Grays.of(image, n));
                double x = Math.floor(viewport.x(j));
                graphics.setFill(GRAYS[level]);
                graphics.fillRect(x, y, Math.floor(viewport.x(j + 1)) - x, height);
                graphics.setFill(inkOn(level));
                graphics.fillText(text(n), x + side / 2, y + side / 2);
            }
        }
    }

    /** Black or white, whichever has more contrast: at least 4.5 : 1 on every gray. */
    static Color inkOn(int level) {
        return level > 118 ? Color.BLACK : Color.WHITE;
    }

    private String text(int n) {
        return image.isLevelImage() ? Integer.toString(image.level(n)) : Decimals.cell(image.value(n));
    }

    private void paintPicture(GraphicsContext graphics, Viewport viewport) {
        double right = Math.min(viewport.x(image.columns()), graphics.getCanvas().getWidth());
        double bottom = Math.min(viewport.y(image.rows()), graphics.getCanvas().getHeight());
        int width = (int) Math.ceil(right);
        int height = (int) Math.ceil(bottom);
        if (width > 0 && height > 0) {
            int[] points = points(viewport, width, height);
            WritableImage picture = new WritableImage(width, height);
            picture.getPixelWriter().setPixels(0, 0, width, height, PixelFormat.getIntArgbInstance(), points, 0, width);
            graphics.drawImage(picture, 0, 0);
        }
    }

    private int[] points(Viewport viewport, int width, int height) {
        int[] points = new int[width * height];
        double step = 1 / viewport.cell();
        int reads = step <= 1 ? 1 : step <= 2 ? 2 : MOST_READ;
        int[][] columns = places(viewport.left(), step, width, reads, image.columns());
        int[][] rows = places(viewport.top(), step, height, reads, image.rows());
        IntStream.range(0, height).parallel().forEach(y -> {
            for (int x = 0; x < width; x++) {
                double sum = 0;
                for (int row : rows[y]) {
                    for (int column : columns[x]) {
                        sum += Grays.of(image, row * image.columns() + column);
                    }
                }
                points[y * width + x] = Grays.point(sum / (reads * reads));
            }
        });
        return points;
    }

    /** @return for every point on the screen, the rows or columns of the image that are read for it */
    private static int[][] places(double start, double step, int points, int reads, int size) {
        int[][] places = new int[points][reads];
        for (int point = 0; point < points; point++) {
            for (int read = 0; read < reads; read++) {
                int place = (int) Math.floor(start + (point + (read + 0.5) / reads) * step);
                places[point][read] = Math.max(0, Math.min(size - 1, place));
            }
        }
        return places;
    }

    @Override
    public String describe(Pixel pixel) {
        return Decimals.cell(image.value(pixel));
    }
}

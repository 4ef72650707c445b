package pixeron.app.sheet.paint;

import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import javafx.geometry.VPos;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;
import javafx.scene.text.TextAlignment;
import pixeron.app.model.Seen;
import pixeron.app.theme.Theme;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.number.Decimals;

/**
 * Draws an image in color: as a picture, with numbers in its cells as soon as they fit: the levels of red, green and blue one
 * under the other, that of one channel, or the packed value.
 *
 * <p>Cost: only what is visible is read.
 */
public final class ColorPainter implements Painter {

    private static final double GRID_FROM = 5;

    private final Seen seen;
    private final Look look;
    private final Theme theme;
    private final ColorPicture picture;
    private final ColorText text;

    /**
     * Creates a painter of a color image with its values.
     *
     * @param seen what is drawn; it has color
     * @param text which numbers are in its cells
     */
    public ColorPainter(Seen seen, ColorText text, Look look, Theme theme) {
        this.seen = seen;
        this.text = text;
        this.look = look;
        this.theme = theme;
        this.picture = new ColorPicture(seen);
    }

    @Override
    public void paint(GraphicsContext graphics, Extent extent) {
        ColorText.Fit fit = text.fit(extent.cell(), theme.scale());
        boolean hasNumbers = fit.font() != null;
        // Lit pixels are framed where their cells have numbers, which stay to be read.
        picture.paint(graphics, extent, hasNumbers ? java.util.Optional.empty() : look.lit(), theme.palette().panel(), theme.palette().picked());
        if (hasNumbers) {
            paintNumbers(graphics, extent, fit);
        }
        if (look.display().hasGrid() && extent.cell() >= GRID_FROM) {
            Lines.paint(graphics, extent, theme.palette().line());
        }
    }

    private void paintNumbers(GraphicsContext graphics, Extent extent, ColorText.Fit fit) {
        graphics.setTextAlign(TextAlignment.CENTER);
        graphics.setTextBaseline(VPos.CENTER);
        double side = extent.cell();
        int columns = seen.frame().columns();
        int lastRow = Math.min(extent.lastRow(), seen.frame().rows() - 1);
        int lastColumn = Math.min(extent.lastColumn(), columns - 1);
        for (int i = extent.firstRow(); i <= lastRow; i++) {
            double y = Math.floor(extent.y(i));
            for (int j = extent.firstColumn(); j <= lastColumn; j++) {
                double x = Math.floor(extent.x(j));
                int n = i * columns + j;
                if (look.isLit(n)) {
                    Lines.paintLit(graphics, theme.palette().picked(), x, y, Math.floor(extent.x(j + 1)) - x, Math.floor(extent.y(i + 1)) - y);
                }
                int point = picture.point(n);
                graphics.setFill(Tones.ink(Color.rgb(point >> 16 & 0xFF, point >> 8 & 0xFF, point & 0xFF)));
                graphics.setFont(fit.font());
                List<String> lines = text.lines(seen.result(), seen.result().faces().get(0).image().pixel(n));
                for (int line = 0; line < lines.size(); line++) {
                    graphics.fillText(lines.get(line), x + side / 2, y + side / 2 + fit.offset(line, lines.size()));
                }
            }
        }
    }

    @Override
    public String describe(Pixel pixel) {
        if (!seen.frame().contains(pixel)) {
            return "outside this image";
        }
        return IntStream.range(0, seen.faces().size()).mapToObj(n -> {
            Image image = seen.faces().get(n).image();
            return seen.names().get(n) + " " + Decimals.cell(image.value(pixel));
        }).collect(Collectors.joining(", "));
    }
}

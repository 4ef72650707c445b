package pixeron.app.sheet.paint;

import javafx.geometry.VPos;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.text.Font;
import javafx.scene.text.TextAlignment;
import pixeron.app.model.Described;
import pixeron.app.theme.Theme;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.look.NumberBase;
import pixeron.number.Decimals;
import pixeron.number.Value;

/**
 * Draws samples: as a picture while cells are small, as colored cells with numbers as soon as they fit.
 *
 * <p>Cost: only what is visible is read.
 */
public final class ImagePainter implements Painter {

    private static final double GRID_FROM = 5;

    private final Image image;
    private final Look look;
    private final Theme theme;
    private final Tones tones;
    private final Picture picture;
    private final int characters;

    /**
     * Creates a painter of a gray image with its values.
     *
     * @param described what is drawn
     * @param look how
     */
    public ImagePainter(Described described, Look look, Theme theme) {
        this.image = described.image();
        this.look = look;
        this.theme = theme;
        this.tones = new Tones(described, look.display());
        this.picture = new GrayPicture(described, tones);
        boolean isDecimal = look.display().base() == NumberBase.DECIMAL;
        this.characters = Math.max(Math.max(length(described.facts().smallest()), length(described.facts().largest())),
                image.isLevelImage() || !isDecimal ? 1 : 4);
    }

    private int length(Value value) {
        return text(value).length();
    }

    private String text(Value value) {
        return look.display().base().text(value, image.maximumLevel());
    }

    /** Returns the longest number of the image, in characters. */
    public int characters() {
        return characters;
    }

    @Override
    public void paint(GraphicsContext graphics, Extent extent) {
        Font font = NumberFont.fitting(extent.cell(), characters, theme.scale());
        if (font == null) {
            picture.paint(graphics, extent, look.lit(), theme.palette().panel(), theme.palette().picked());
        } else {
            paintCells(graphics, extent, font);
        }
        if (look.display().hasGrid() && extent.cell() >= GRID_FROM) {
            Lines.paint(graphics, extent, theme.palette().line());
        }
    }

    private void paintCells(GraphicsContext graphics, Extent extent, Font font) {
        graphics.setTextAlign(TextAlignment.CENTER);
        graphics.setTextBaseline(VPos.CENTER);
        graphics.setFont(font);
        double side = extent.cell();
        boolean isPlain = image.isLevelImage() && look.display().base() == NumberBase.DECIMAL;
        // Another sheet may have more rows and columns than this one.
        int lastRow = Math.min(extent.lastRow(), image.rows() - 1);
        int lastColumn = Math.min(extent.lastColumn(), image.columns() - 1);
        for (int i = extent.firstRow(); i <= lastRow; i++) {
            double y = Math.floor(extent.y(i));
            double height = Math.floor(extent.y(i + 1)) - y;
            for (int j = extent.firstColumn(); j <= lastColumn; j++) {
                int n = i * image.columns() + j;
                int place = tones.placeAt(n);
                double x = Math.floor(extent.x(j));
                double width = Math.floor(extent.x(j + 1)) - x;
                graphics.setFill(tones.fill(place));
                graphics.fillRect(x, y, width, height);
                if (look.isLit(n)) {
                    Lines.paintLit(graphics, theme.palette().picked(), x, y, width, height);
                }
                graphics.setFill(tones.ink(place));
                graphics.fillText(isPlain ? Integer.toString(image.level(n)) : text(image.value(n)), x + side / 2,
                        y + side / 2);
            }
        }
    }

    @Override
    public String describe(Pixel pixel) {
        return image.contains(pixel) ? Decimals.cell(image.value(pixel)) : "outside this image";
    }
}

package pixeron.app.bench.parts;

import javafx.geometry.Insets;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.layout.Region;
import javafx.scene.paint.Color;
import javafx.scene.text.Font;
import javafx.scene.text.TextAlignment;
import pixeron.app.theme.Palette;
import pixeron.app.theme.SharpCanvas;
import pixeron.app.theme.Theme;
import pixeron.image.Histogram;

/** A drawing that fills its place and is drawn anew when its size, its colors or what it shows change. */
public abstract class Plot extends Region {

    private static final double TEXT = 11;

    private final Theme theme;
    private final SharpCanvas canvas;
    private final Insets around;

    /**
     * Creates an empty plot with margins for its axes.
     *
     * @param around what is left free around the drawing
     */
    protected Plot(Theme theme, String style, Insets around) {
        this.theme = theme;
        this.around = around;
        getStyleClass().add(style);
        canvas = new SharpCanvas(theme);
        getChildren().add(canvas);
        theme.paletteProperty().subscribe(palette -> paint());
        theme.magnificationProperty().subscribe(factor -> requestLayout());
    }

    /** Draws on an empty ground; asked from the constructor of this class on. */
    protected abstract void paint(GraphicsContext graphics, Palette palette);

    protected final void paint() {
        GraphicsContext graphics = canvas.begin();
        if (canvas.across() > 1 && canvas.tall() > 1) {
            paint(graphics, theme.palette());
        }
    }

    /** Returns the width of the drawing. */
    protected final double across() {
        return canvas.across();
    }

    /** Returns the height of the drawing. */
    protected final double tall() {
        return canvas.tall();
    }

    /** Returns the font of small numbers, as large as the theme has it. */
    protected final Font numbers() {
        return Font.font(Theme.NUMBERS, TEXT * theme.scale());
    }

    protected static void write(GraphicsContext graphics, String text, TextAlignment alignment, double x, double y) {
        graphics.setTextAlign(alignment);
        graphics.fillText(text, x, y);
    }

    /** What becomes of the bar of a level. */
    @FunctionalInterface
    protected interface Bar {
        void draw(int level, double length);
    }

    /** Draws the counts as bars of at most so long; a level that occurs has at least a hair. */
    protected static void bars(GraphicsContext graphics, Histogram counts, Color color, double longest, Bar bar) {
        graphics.setFill(color);
        for (int level = 0; level <= counts.maximumLevel(); level++) {
            if (counts.count(level) > 0) {
                bar.draw(level, Math.max(1, longest * counts.count(level) / counts.tallest()));
            }
        }
    }

    @Override
    protected final void layoutChildren() {
        canvas.relocate(around.getLeft(), around.getTop());
        canvas.size(getWidth() - around.getLeft() - around.getRight(), getHeight() - around.getTop() - around.getBottom());
        paint();
    }
}

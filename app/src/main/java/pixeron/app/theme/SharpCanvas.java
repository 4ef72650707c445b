package pixeron.app.theme;

import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.transform.Scale;

/** A canvas that is drawn on with as many more pixels as the window is magnified: else its words would be blurred. */
public final class SharpCanvas extends Canvas {

    private final Theme theme;
    private final Scale back = new Scale(1, 1);

    public SharpCanvas(Theme theme) {
        this.theme = theme;
        getTransforms().add(back);
    }

    /**
     * Sets the size.
     *
     * @param width as it is laid out
     */
    public void size(double width, double height) {
        double factor = theme.magnificationProperty().get();
        setWidth(Math.max(1, width * factor));
        setHeight(Math.max(1, height * factor));
        back.setX(1 / factor);
        back.setY(1 / factor);
    }

    /** Returns the width as it is laid out. */
    public double across() {
        return getWidth() * back.getX();
    }

    /** Returns the height as it is laid out. */
    public double tall() {
        return getHeight() * back.getY();
    }

    /** Returns what draws on empty ground, in lengths as they are laid out. */
    public GraphicsContext begin() {
        GraphicsContext graphics = getGraphicsContext2D();
        graphics.setTransform(1, 0, 0, 1, 0, 0);
        graphics.clearRect(0, 0, getWidth(), getHeight());
        graphics.scale(1 / back.getX(), 1 / back.getY());
        return graphics;
    }
}

package pixeron.app.sheet.paint;

import javafx.scene.canvas.GraphicsContext;
import pixeron.image.Pixel;

/** Draws the cells of a sheet. The graphics context is moved so that the first cell's corner is the origin. */
public interface Painter {

    /** Draws the part of the sheet that the viewport shows. */
    void paint(GraphicsContext graphics, Extent extent);

    /** Returns what a screen reader says of a cell, behind its place; of what is drawn over cells empty where they are seen. */
    String describe(Pixel pixel);
}

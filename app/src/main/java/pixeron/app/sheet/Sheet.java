package pixeron.app.sheet;

import java.util.function.Consumer;
import javafx.application.Platform;
import javafx.geometry.VPos;
import javafx.scene.AccessibleRole;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.input.ScrollEvent;
import javafx.scene.layout.Region;
import javafx.scene.text.TextAlignment;
import pixeron.app.theme.Palette;
import pixeron.app.theme.Theme;
import pixeron.image.Pixel;

/**
 * A sheet of squared paper: row and column numbers along its edges, cells drawn by a {@link Painter}, the picked pixel
 * framed. The wheel moves it, with Ctrl it zooms at the pointer; dragging moves it, a click picks a pixel.
 */
public final class Sheet extends Region {

    private static final double DRAG_FROM = 4;
    private static final double WHEEL_FACTOR = 1.15;

    private final Canvas canvas = new Canvas();
    private final Viewport viewport;
    private final Theme theme;
    private final String name;
    private Painter painter;
    private Pixel picked = new Pixel(0, 0);
    private Consumer<Pixel> onPick = pixel -> { };
    private boolean isPaintDue;
    private double pressX;
    private double pressY;
    private double dragX;
    private double dragY;
    private boolean isDragged;

    /**
     * @param name what a screen reader calls it
     * @param viewport shared with the other sheets
     */
    public Sheet(String name, Viewport viewport, Theme theme) {
        this.name = name;
        this.viewport = viewport;
        this.theme = theme;
        getStyleClass().add("sheet-cells");
        getChildren().add(canvas);
        setFocusTraversable(true);
        setAccessibleRole(AccessibleRole.TEXT);
        setMinSize(80, 80);
        // The sheets live as long as the window and so does what they listen to.
        viewport.changesProperty().subscribe(change -> requestPaint());
        theme.paletteProperty().subscribe(change -> requestPaint());
        theme.scaleProperty().subscribe(scale -> requestLayout());
        focusedProperty().subscribe(change -> requestPaint());
        addEventHandler(MouseEvent.MOUSE_PRESSED, this::pressed);
        addEventHandler(MouseEvent.MOUSE_DRAGGED, this::dragged);
        addEventHandler(MouseEvent.MOUSE_RELEASED, this::released);
        addEventHandler(ScrollEvent.SCROLL, this::scrolled);
    }

    /** @param newPainter what is drawn; null for a sheet without anything on it */
    public void setPainter(Painter newPainter) {
        painter = newPainter;
        describe();
        requestPaint();
    }

    /** @return true while something is on the sheet */
    boolean isEditable() {
        return painter != null;
    }

    /** @param handler told about a pixel that was clicked */
    public void setOnPick(Consumer<Pixel> handler) {
        onPick = handler;
    }

    public void setPicked(Pixel pixel) {
        picked = pixel;
        describe();
        requestPaint();
    }

    private void describe() {
        setAccessibleText(name + ", " + picked + ": " + (painter == null ? "nothing" : painter.describe(picked)));
    }

    /** Width of the row numbers. */
    double gutter() {
        int digits = Integer.toString(Math.max(0, viewport.rows() - 1)).length();
        // Whole points, so that the edges of cells are sharp.
        return Math.ceil(Math.max(18, digits * 6.6 + 10) * theme.scale());
    }

    /** Height of the column numbers. */
    double header() {
        return Math.ceil(18 * theme.scale());
    }

    /** @return left edge of a pixel's cell in this sheet */
    double cellX(Pixel pixel) {
        return gutter() + viewport.x(pixel.column());
    }

    /** @return top edge of a pixel's cell in this sheet */
    double cellY(Pixel pixel) {
        return header() + viewport.y(pixel.row());
    }

    @Override
    protected void layoutChildren() {
        canvas.setWidth(Math.max(1, getWidth()));
        canvas.setHeight(Math.max(1, getHeight()));
        viewport.setScreenSize(getWidth() - gutter() - 1, getHeight() - header() - 1);
        requestPaint();
    }

    /** Many changes of one moment are drawn once. */
    private void requestPaint() {
        if (!isPaintDue) {
            isPaintDue = true;
            Platform.runLater(() -> {
                isPaintDue = false;
                paint();
            });
        }
    }

    private void paint() {
        GraphicsContext graphics = canvas.getGraphicsContext2D();
        Palette palette = theme.palette();
        graphics.clearRect(0, 0, canvas.getWidth(), canvas.getHeight());
        if (painter == null) {
            return;
        }
        graphics.setLineWidth(1);
        graphics.save();
        graphics.translate(gutter(), header());
        graphics.beginPath();
        graphics.rect(0, 0, canvas.getWidth() - gutter(), canvas.getHeight() - header());
        graphics.clip();
        painter.paint(graphics, viewport);
        paintPicked(graphics, palette);
        graphics.restore();
        paintNumbers(graphics, palette);
    }

    private void paintPicked(GraphicsContext graphics, Palette palette) {
        double side = Math.max(viewport.cell(), 7);
        double middle = (viewport.cell() - side) / 2;
        // At the first row or column a frame that is larger than its cell stays on the sheet.
        double x = outside(viewport.x(picked.column()) + middle, middle);
        double y = outside(viewport.y(picked.row()) + middle, middle);
        double width = side >= 20 ? 3 : 2;
        graphics.setStroke(palette.picked());
        graphics.setLineWidth(width);
        graphics.strokeRect(x + width / 2, y + width / 2, side - width, side - width);
        if (isFocused()) {
            // A second, dark line tells which of the sheets has the keyboard.
            graphics.setStroke(palette.ink());
            graphics.setLineWidth(1);
            graphics.strokeRect(x - 0.5, y - 0.5, side + 1, side + 1);
        }
        graphics.setLineWidth(1);
    }

    private static double outside(double place, double margin) {
        return Math.floor(place < 0 && place >= margin - 0.5 ? 0 : place);
    }

    private void paintNumbers(GraphicsContext graphics, Palette palette) {
        graphics.setFont(NumberFont.of(11 * theme.scale()));
        graphics.setTextBaseline(VPos.CENTER);
        double cell = viewport.cell();
        int every = every(Math.max(gutter() + 4, 24), cell);
        int everyRow = every(16 * theme.scale(), cell);
        graphics.setTextAlign(TextAlignment.CENTER);
        for (int j = roundUp(viewport.firstColumn(), every); j <= viewport.lastColumn(); j += every) {
            double x = gutter() + viewport.x(j) + Math.min(cell, gutter()) / 2;
            if (viewport.x(j) >= -cell / 2) {
                graphics.setFill(j == picked.column() ? palette.ink() : palette.soft());
                graphics.fillText(Integer.toString(j), cell >= gutter() ? gutter() + viewport.x(j) + cell / 2 : x,
                        header() / 2);
            }
        }
        graphics.setTextAlign(TextAlignment.RIGHT);
        for (int i = roundUp(viewport.firstRow(), everyRow); i <= viewport.lastRow(); i += everyRow) {
            if (viewport.y(i) >= -cell / 2) {
                graphics.setFill(i == picked.row() ? palette.ink() : palette.soft());
                double y = header() + viewport.y(i) + Math.max(cell, Math.min(everyRow * cell, 12)) / 2;
                graphics.fillText(Integer.toString(i), gutter() - 6, y);
            }
        }
    }

    /** @return 1, 2, 5, 10, … so that numbers are at least so many points apart */
    private static int every(double apart, double cell) {
        int step = 1;
        for (int n = 0; step * cell < apart; n++) {
            step = n % 3 == 1 ? step / 2 * 5 : step * 2;
        }
        return step;
    }

    private static int roundUp(int number, int step) {
        return (number + step - 1) / step * step;
    }

    private void pressed(MouseEvent event) {
        requestFocus();
        pressX = event.getX();
        pressY = event.getY();
        dragX = pressX;
        dragY = pressY;
        isDragged = false;
    }

    private void dragged(MouseEvent event) {
        isDragged |= Math.hypot(event.getX() - pressX, event.getY() - pressY) > DRAG_FROM;
        if (isDragged) {
            viewport.pan(event.getX() - dragX, event.getY() - dragY);
            dragX = event.getX();
            dragY = event.getY();
        }
    }

    private void released(MouseEvent event) {
        Pixel pixel = viewport.pixelAt(event.getX() - gutter(), event.getY() - header());
        boolean isInside = pixel.row() >= 0 && pixel.column() >= 0
                && pixel.row() < viewport.rows() && pixel.column() < viewport.columns();
        if (!isDragged && event.getButton() == MouseButton.PRIMARY && isInside && painter != null) {
            onPick.accept(pixel);
        }
    }

    private void scrolled(ScrollEvent event) {
        if (event.isShortcutDown()) {
            double notches = event.getDeltaY() / Math.max(1, event.getMultiplierY());
            viewport.zoom(Math.pow(WHEEL_FACTOR, notches), event.getX() - gutter(), event.getY() - header());
        } else {
            boolean isSideways = event.isShiftDown() && event.getDeltaX() == 0;
            viewport.pan(isSideways ? event.getDeltaY() : event.getDeltaX(), isSideways ? 0 : event.getDeltaY());
        }
        event.consume();
    }
}

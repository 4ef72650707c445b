package pixeron.app.sheet;

import java.util.function.Consumer;
import java.util.function.Function;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.input.ScrollEvent;
import pixeron.app.sheet.paint.Viewport;
import pixeron.image.Pixel;

/**
 * What the mouse does on a sheet: the wheel moves it, with Ctrl it zooms at the pointer; a click picks a pixel;
 * dragging
 * moves the image, or does what the chosen tool says.
 */
final class Gestures {

    private static final double DRAG_FROM = 4;
    private static final double WHEEL_FACTOR = 1.15;

    private final Sheet sheet;
    private final Viewport viewport;
    private Consumer<Pixel> onPick = pixel -> { };
    private Consumer<Pixel> onHover = pixel -> { };
    private Function<MouseEvent, Drag> dragFor = event -> null;
    private Drag drag;
    private Pixel from;
    private double pressX;
    private double pressY;
    private double dragX;
    private double dragY;
    private boolean isMoved;

    Gestures(Sheet sheet, Viewport viewport) {
        this.sheet = sheet;
        this.viewport = viewport;
        sheet.addEventHandler(MouseEvent.MOUSE_PRESSED, this::pressed);
        sheet.addEventHandler(MouseEvent.MOUSE_DRAGGED, this::dragged);
        sheet.addEventHandler(MouseEvent.MOUSE_RELEASED, this::released);
        sheet.addEventHandler(MouseEvent.MOUSE_MOVED, event -> onHover.accept(inside(event)));
        sheet.addEventHandler(MouseEvent.MOUSE_EXITED, event -> onHover.accept(null));
        sheet.addEventHandler(ScrollEvent.SCROLL, this::scrolled);
    }

    void setOnPick(Consumer<Pixel> handler) {
        onPick = handler;
    }

    void setOnHover(Consumer<Pixel> handler) {
        onHover = handler;
    }

    void setDragFor(Function<MouseEvent, Drag> chooser) {
        dragFor = chooser;
    }

    private void pressed(MouseEvent event) {
        sheet.requestFocus();
        pressX = event.getX();
        pressY = event.getY();
        dragX = pressX;
        dragY = pressY;
        isMoved = false;
        from = inside(event);
        drag = from == null || event.getButton() != MouseButton.PRIMARY ? null : dragFor.apply(event);
        if (drag != null) {
            drag.to(from, from, false);
        }
    }

    private void dragged(MouseEvent event) {
        isMoved |= Math.hypot(event.getX() - pressX, event.getY() - pressY) > DRAG_FROM;
        if (drag != null) {
            drag.to(from, nearest(event), false);
        } else if (isMoved) {
            viewport.pan(event.getX() - dragX, event.getY() - dragY);
            dragX = event.getX();
            dragY = event.getY();
        }
    }

    private void released(MouseEvent event) {
        Pixel pixel = inside(event);
        if (drag != null) {
            drag.to(from, nearest(event), true);
            drag = null;
        } else if (!isMoved && event.getButton() == MouseButton.PRIMARY && pixel != null) {
            onPick.accept(pixel);
        }
    }

    private Pixel at(MouseEvent event) {
        return viewport.pixelAt(event.getX() - sheet.gutter(), event.getY() - sheet.header());
    }

    /** @return the pixel under the pointer, or null outside the image */
    private Pixel inside(MouseEvent event) {
        Pixel pixel = at(event);
        return sheet.isEditable() && pixel.equals(nearest(event)) ? pixel : null;
    }

    private Pixel nearest(MouseEvent event) {
        return sheet.extent().nearest(at(event));
    }

    private void scrolled(ScrollEvent event) {
        if (event.isShortcutDown()) {
            double notches = event.getDeltaY() / Math.max(1, event.getMultiplierY());
            viewport.zoom(Math.pow(WHEEL_FACTOR, notches), event.getX() - sheet.gutter(),
                    event.getY() - sheet.header());
        } else {
            boolean isSideways = event.isShiftDown() && event.getDeltaX() == 0;
            viewport.pan(isSideways ? event.getDeltaY() : event.getDeltaX(), isSideways ? 0 : event.getDeltaY());
        }
        event.consume();
    }
}

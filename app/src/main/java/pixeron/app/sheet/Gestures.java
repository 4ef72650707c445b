package pixeron.app.sheet;

import java.util.function.BiFunction;
import java.util.function.Consumer;
import java.util.function.Function;
import javafx.scene.Cursor;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.input.ScrollEvent;
import pixeron.app.sheet.paint.Viewport;
import pixeron.image.Pixel;
import pixeron.step.Grip;

/**
 * What the mouse does on a sheet: the wheel moves it, with Ctrl it zooms at the pointer; a click picks a pixel; dragging does what
 * the chosen tool says, moves what it took hold of, or else the image.
 */
final class Gestures {

    private static final double DRAG_FROM = 4;
    /** How near to an edge or a knob the pointer must be, in points. */
    private static final double REACH = 8;
    private static final double WHEEL_FACTOR = 1.15;

    private final Sheet sheet;
    private final Viewport viewport;
    private Consumer<Pixel> onPick = pixel -> { };
    private Consumer<Pixel> onHover = pixel -> { };
    private Function<MouseEvent, Drag> dragFor = event -> null;
    private BiFunction<Grip.Place, Double, Hold> holdFor = (place, reach) -> null;
    private Drag drag;
    private Hold hold;
    private Grip.Place heldAt;
    private double heldCell;
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
        sheet.addEventHandler(MouseEvent.MOUSE_MOVED, this::moved);
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

    void setHoldFor(BiFunction<Grip.Place, Double, Hold> chooser) {
        holdFor = chooser;
    }

    private void moved(MouseEvent event) {
        onHover.accept(inside(event));
        Hold under = sheet.isEditable() ? holdFor.apply(place(event), REACH / viewport.cell()) : null;
        sheet.setCursor(under == null ? Cursor.DEFAULT : under.cursor());
    }

    private Grip.Place place(MouseEvent event) {
        return new Grip.Place(viewport.top() + (event.getY() - sheet.header()) / viewport.cell(),
                viewport.left() + (event.getX() - sheet.gutter()) / viewport.cell());
    }

    /** The sheet may be drawn smaller meanwhile, because what is dragged changes its size; the hand does not notice. */
    private Grip.Place held(MouseEvent event) {
        return new Grip.Place(heldAt.row() + (event.getY() - pressY) / heldCell, heldAt.column() + (event.getX() - pressX) / heldCell);
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
        heldAt = place(event);
        heldCell = viewport.cell();
        hold = drag != null || event.getButton() != MouseButton.PRIMARY || !sheet.isEditable() ? null : holdFor.apply(heldAt, REACH / heldCell);
        if (drag != null) {
            drag.to(from, from, false);
        }
    }

    private void dragged(MouseEvent event) {
        isMoved |= Math.hypot(event.getX() - pressX, event.getY() - pressY) > DRAG_FROM;
        if (drag != null) {
            drag.to(from, nearest(event), false);
        } else if (hold != null && isMoved) {
            hold.to(heldAt, held(event), false);
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
        } else if (hold != null && isMoved) {
            hold.to(heldAt, held(event), true);
        } else if (!isMoved && event.getButton() == MouseButton.PRIMARY && pixel != null) {
            onPick.accept(pixel);
        }
    }

    private Pixel at(MouseEvent event) {
        return viewport.pixelAt(event.getX() - sheet.gutter(), event.getY() - sheet.header());
    }

    /** Returns the pixel under the pointer, or null outside the image. */
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

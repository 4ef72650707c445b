package pixeron.app.bench.sheets;

import java.util.Optional;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import pixeron.app.model.Bench;
import pixeron.app.model.Selection;
import pixeron.image.Area;
import pixeron.image.Frame;
import pixeron.image.Pixel;

/** The keys on a sheet: arrows and their friends pick another pixel, with Shift they mark a rectangle. */
public final class SheetKeys {

    private static final int PAGE = 10;

    private final Bench bench;
    /** The corner where a rectangle that is being marked began. */
    private Pixel corner;

    SheetKeys(Bench bench) {
        this.bench = bench;
    }

    /** @param isBefore whether it is a sheet of Before */
    void pressed(KeyEvent event, boolean isBefore) {
        boolean isThere = isBefore && bench.pickedBeforeProperty().get() != null;
        Pixel at = isThere ? bench.pickedBeforeProperty().get() : bench.pickedProperty().get();
        if (bench.shown() == null) {
            return;
        }
        Frame frame = isThere ? bench.shown().gridBefore() : bench.shown().grid();
        Pixel next = target(event, at, frame).orElse(null);
        if (next != null) {
            if (isThere) {
                bench.pickBefore(next);
            } else {
                bench.pick(next);
            }
            if (event.isShiftDown()) {
                corner = isCorner(corner, at) ? corner : at;
                bench.mark(Selection.rectangle(corner, frame.nearest(next)));
            }
            event.consume();
        } else if (event.getCode() == KeyCode.ESCAPE && bench.looking().selectionProperty().get() != null) {
            bench.mark(null);
            event.consume();
        }
    }

    /**
     * Returns the pixel to which a key goes, perhaps beyond the edge; empty for a key that does not pick.
     *
     * @param at the picked pixel
     * @param frame of the sheet that has the keyboard
     */
    public static Optional<Pixel> target(KeyEvent event, Pixel at, Frame frame) {
        return event.isAltDown() ? Optional.empty() : Optional.ofNullable(switch (event.getCode()) {
            case UP -> new Pixel(at.row() - 1, at.column());
            case DOWN -> new Pixel(at.row() + 1, at.column());
            case LEFT -> new Pixel(at.row(), at.column() - 1);
            case RIGHT -> new Pixel(at.row(), at.column() + 1);
            case PAGE_UP -> new Pixel(at.row() - PAGE, at.column());
            case PAGE_DOWN -> new Pixel(at.row() + PAGE, at.column());
            case HOME -> event.isShortcutDown() ? new Pixel(0, 0) : new Pixel(at.row(), 0);
            case END -> new Pixel(event.isShortcutDown() ? frame.rows() - 1 : at.row(), frame.columns() - 1);
            default -> null;
        });
    }

    /** A rectangle goes on as long as what is marked lies between the old corner and the picked pixel. */
    private boolean isCorner(Pixel old, Pixel at) {
        return old != null && bench.looking().selectionProperty().get() instanceof Selection.Rectangle rectangle
                && rectangle.area().equals(Area.between(old, at));
    }
}

package pixeron.app.sheet;

import java.util.function.BiConsumer;
import java.util.function.Consumer;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import pixeron.image.Pixel;

/**
 * The field that opens over a cell when a user types into it. Enter and Tab write and go on to the right, the arrows
 * up and down write and go there, Esc leaves the cell as it was.
 */
final class CellEditor extends TextField {

    private static final double CHARACTER = 8;

    private final Sheet sheet;
    private final BiConsumer<Pixel, String> onWrite;
    private final Consumer<Direction> onLeave;
    private Pixel pixel;

    /** Where the picked pixel goes after writing. */
    enum Direction { ON, BACK, UP, DOWN, STAY }

    /**
     * @param onWrite gets the cell and what was written, when it is done
     * @param onLeave told where to go on
     */
    CellEditor(Sheet sheet, BiConsumer<Pixel, String> onWrite, Consumer<Direction> onLeave) {
        this.sheet = sheet;
        this.onWrite = onWrite;
        this.onLeave = onLeave;
        getStyleClass().add("cell-editor");
        setManaged(false);
        setVisible(false);
        addEventFilter(KeyEvent.KEY_PRESSED, this::keyPressed);
        textProperty().subscribe(text -> {
            if (pixel != null) {
                place();
            }
        });
        focusedProperty().subscribe(isFocused -> {
            if (!isFocused) {
                write();
            }
        });
    }

    /** Opens over a cell with a text to begin with. */
    void open(Pixel at, String text) {
        pixel = at;
        setAccessibleText("Value at " + at);
        setText(text);
        place();
        setVisible(true);
        requestFocus();
        end();
    }

    /** Over its cell, wider where the text is longer, and never beyond the sheet. */
    private void place() {
        double side = sheet.cellX(new Pixel(0, 1)) - sheet.cellX(new Pixel(0, 0));
        double width = Math.min(sheet.getWidth(), Math.max(Math.max(56, side), getText().length() * CHARACTER + 24));
        double height = Math.max(26, side);
        double x = Math.max(0, Math.min(sheet.cellX(pixel), sheet.getWidth() - width));
        double y = Math.max(0, Math.min(sheet.cellY(pixel), sheet.getHeight() - height));
        resizeRelocate(sheet.getLayoutX() + x, sheet.getLayoutY() + y, width, height);
    }

    private void keyPressed(KeyEvent event) {
        if (event.getCode() == KeyCode.ESCAPE) {
            pixel = null;
            close(Direction.STAY);
            event.consume();
            return;
        }
        Direction direction = direction(event);
        if (direction != null) {
            write();
            close(direction);
            event.consume();
        }
    }

    private static Direction direction(KeyEvent event) {
        return switch (event.getCode()) {
            case ENTER, TAB -> event.isShiftDown() ? Direction.BACK : Direction.ON;
            case UP -> Direction.UP;
            case DOWN -> Direction.DOWN;
            default -> null;
        };
    }

    private void write() {
        if (pixel != null) {
            Pixel written = pixel;
            pixel = null;
            setVisible(false);
            onWrite.accept(written, getText());
        }
    }

    private void close(Direction direction) {
        setVisible(false);
        sheet.requestFocus();
        onLeave.accept(direction);
    }
}

package pixeron.app.sheet;

import java.util.function.BiConsumer;
import java.util.function.BooleanSupplier;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.Supplier;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import pixeron.image.Pixel;

/**
 * Typing on a sheet: a digit, sign or bracket opens the cell and replaces what is there, Enter, F2 or a
 * double click open it with what is there, Delete clears it.
 */
public final class CellEditing {

    private static final String STARTS = "0123456789.,-+(\u2212";

    private final CellEditor editor;
    private final Sheet sheet;
    private final BooleanSupplier isOpen;
    private final Supplier<Pixel> picked;
    private final Function<Pixel, String> textAt;
    private final Supplier<BiConsumer<Pixel, String>> writer;
    /** Where the cell that is open is written to: what was selected when it was opened. */
    private BiConsumer<Pixel, String> onWrite;

    /**
     * Makes the cells of a sheet editable by keyboard and mouse.
     *
     * @param frame the sheet
     * @param isOpen says whether its cells can be written now
     * @param picked says which cell is picked
     * @param textAt says what is in a cell
     * @param writer asked when a cell is opened for who gets what was written; an empty text clears the cell
     * @param onMove told where to go on; the place may lie beyond the end of a row
     */
    public CellEditing(SheetFrame frame, BooleanSupplier isOpen, Supplier<Pixel> picked, Function<Pixel, String> textAt,
            Supplier<BiConsumer<Pixel, String>> writer, Consumer<Pixel> onMove) {
        this.sheet = frame.sheet();
        this.isOpen = isOpen;
        this.picked = picked;
        this.textAt = textAt;
        this.writer = writer;
        editor = new CellEditor(sheet, (pixel, text) -> onWrite.accept(pixel, text), direction -> onMove.accept(next(direction)));
        frame.body().getChildren().add(editor);
        sheet.addEventHandler(KeyEvent.KEY_TYPED, this::typed);
        sheet.addEventHandler(KeyEvent.KEY_PRESSED, this::pressed);
        sheet.addEventHandler(MouseEvent.MOUSE_CLICKED, event -> {
            if (event.getClickCount() == 2) {
                open(textAt.apply(picked.get()));
            }
        });
    }

    private Pixel next(CellEditor.Direction direction) {
        Pixel at = picked.get();
        return switch (direction) {
            case ON -> new Pixel(at.row(), at.column() + 1);
            case BACK -> new Pixel(at.row(), at.column() - 1);
            case UP -> new Pixel(at.row() - 1, at.column());
            case DOWN -> new Pixel(at.row() + 1, at.column());
            case STAY -> at;
        };
    }

    private void typed(KeyEvent event) {
        boolean isPlain = !event.isShortcutDown() && !event.isAltDown();
        if (isPlain && !event.getCharacter().isEmpty() && STARTS.contains(event.getCharacter())) {
            open(event.getCharacter());
            event.consume();
        }
    }

    private void pressed(KeyEvent event) {
        if (event.isAltDown() || event.isShortcutDown()) {
            // Such as walking to the picked pixel.
            return;
        }
        if (event.getCode() == KeyCode.ENTER || event.getCode() == KeyCode.F2) {
            open(textAt.apply(picked.get()));
            event.consume();
        } else if (isOpen.getAsBoolean()
                && (event.getCode() == KeyCode.DELETE || event.getCode() == KeyCode.BACK_SPACE)) {
            writer.get().accept(picked.get(), "");
            event.consume();
        }
    }

    private void open(String text) {
        if (sheet.isEditable() && isOpen.getAsBoolean()) {
            onWrite = writer.get();
            editor.open(picked.get(), text);
        }
    }
}

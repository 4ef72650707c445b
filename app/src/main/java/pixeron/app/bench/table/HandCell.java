package pixeron.app.bench.table;

import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.TableCell;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import pixeron.byhand.table.TableCheck;

/**
 * A cell of a by-hand column. Enter and the arrows write and go on, Tab goes to the next by-hand column, Esc leaves the
 * cell as it was.
 */
final class HandCell extends TableCell<Integer, String> {

    /** What a cell needs of the table that it is in. */
    interface Owner {

        /** The findings about a cell, when it is filled. */
        Optional<TableCheck.Cell> check(int row, String column);

        /** Returns whether the row has a cell in this column. */
        boolean isWritable(int row, String column);

        /** Returns what editing begins with instead of what is there; empty to go on with that. */
        Optional<String> takeTyped();

        void write(int row, String column, String text);

        /** Goes on from a cell by rows and by-hand columns. */
        void go(int row, String column, int down, int right);
    }

    private final Owner owner;
    private final String column;
    private final Label text = new Label();
    private final Label mark = new Label();
    private final HBox content;
    private final TextField field = new TextField();
    private boolean isWriting;

    HandCell(Owner owner, String column) {
        this.owner = owner;
        this.column = column;
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        mark.getStyleClass().add("hand-mark");
        text.getStyleClass().add("hand-text");
        content = new HBox(mark, gap, text);
        content.setAlignment(Pos.CENTER_RIGHT);
        getStyleClass().add("hand-cell");
        field.getStyleClass().addAll("number-field", "table-field");
        field.addEventFilter(KeyEvent.KEY_PRESSED, this::pressed);
        field.focusedProperty().subscribe(isFocused -> {
            if (!isFocused && isWriting) {
                finish(0, 0);
            }
        });
    }

    @Override
    protected void updateItem(String written, boolean isEmpty) {
        super.updateItem(written, isEmpty);
        getStyleClass().removeAll("agrees", "differs", "follows", "not-understood", "closed");
        if (isEmpty || !owner.isWritable(getIndex(), column)) {
            setGraphic(null);
            getStyleClass().add("closed");
            return;
        }
        Optional<TableCheck.Cell> check = owner.check(getIndex(), column);
        check.ifPresent(cell -> getStyleClass().add(cell.state().word()));
        mark.setText(check.map(TableWords::mark).orElse(""));
        text.setText(written);
        setAccessibleText(column + " by hand: " + (written.isEmpty() ? "blank" : written + " "
                + check.map(cell -> cell.state().word()).orElse("")));
        if (!isEditing()) {
            setGraphic(content);
        }
    }

    @Override
    public void startEdit() {
        if (!owner.isWritable(getIndex(), column)) {
            return;
        }
        super.startEdit();
        if (isEditing()) {
            isWriting = true;
            Optional<String> typed = owner.takeTyped();
            field.setText(typed.orElse(getItem()));
            setGraphic(field);
            field.requestFocus();
            if (typed.isPresent()) {
                field.end();
            } else {
                field.selectAll();
            }
        }
    }

    private void pressed(KeyEvent event) {
        switch (event.getCode()) {
            case ESCAPE -> {
                isWriting = false;
                cancelEdit();
                getTableView().requestFocus();
            }
            case ENTER, DOWN -> finish(event.isShiftDown() ? -1 : 1, 0);
            case UP -> finish(-1, 0);
            case TAB -> finish(0, event.isShiftDown() ? -1 : 1);
            default -> {
                return;
            }
        }
        event.consume();
    }

    private void finish(int down, int right) {
        isWriting = false;
        int row = getIndex();
        String written = field.getText();
        super.cancelEdit();
        setGraphic(content);
        owner.write(row, column, written);
        if (down != 0 || right != 0) {
            getTableView().requestFocus();
            owner.go(row, column, down, right);
        }
    }

    @Override
    public void cancelEdit() {
        if (isWriting) {
            // The table ends an edit when another cell is chosen: what was typed is kept.
            finish(0, 0);
            return;
        }
        super.cancelEdit();
        setGraphic(content);
    }
}

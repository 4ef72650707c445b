package pixeron.app.bench.kernel;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Collectors;
import javafx.geometry.Insets;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.input.Clipboard;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import pixeron.step.key.MatrixParameter;

/** A table of numbers with a field for each; its text is that of a step line, with | between rows. */
public final class WeightsGrid extends VBox {

    private static final int LARGEST = 31;
    /** An empty field would let its row be shorter; this makes the step line say which word is missing a number. */
    private static final String EMPTY = "empty";
    private static final String NEW_CELL = "0";
    private static final int FEW_COLUMNS = 5;
    private static final double BAR = 12;

    private final String name;
    private final Runnable changed;
    private final GridPane grid = new GridPane();
    private final Label size = new Label();
    private List<List<TextField>> fields = new ArrayList<>();
    private boolean isShowing;

    /**
     * Creates a grid of editable weights with one cell in it.
     *
     * @param name what the cells are, for a screen reader
     * @param changed runs when a user changed a cell or the size
     */
    public WeightsGrid(String name, Runnable changed) {
        this.name = name;
        this.changed = changed;
        getStyleClass().add("weights-grid");
        grid.getStyleClass().add("weights");
        grid.addEventFilter(KeyEvent.KEY_PRESSED, this::pressed);
        ScrollPane scroll = new ScrollPane(grid);
        scroll.getStyleClass().add("weights-scroll");
        scroll.setVbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        scroll.setFocusTraversable(false);
        size.getStyleClass().add("working-label");
        size.setMinWidth(Region.USE_PREF_SIZE);
        HBox sizes = new HBox(size, button("− row", "Remove the last row", () -> resize(-1, 0)),
                button("+ row", "Add a row", () -> resize(1, 0)), button("− col", "Remove the last column", () -> resize(0, -1)),
                button("+ col", "Add a column", () -> resize(0, 1)));
        sizes.getStyleClass().add("weights-sizes");
        getChildren().addAll(scroll, sizes);
    }

    private static Button button(String text, String words, Runnable action) {
        Button button = new Button(text);
        button.getStyleClass().add("quiet");
        button.setTooltip(new Tooltip(words));
        button.setAccessibleText(words);
        button.setMinWidth(Region.USE_PREF_SIZE);
        button.setOnAction(event -> action.run());
        return button;
    }

    /** Returns the cells as a step line has them. */
    public String getText() {
        return fields.stream().map(row -> row.stream().map(field -> field.getText().isBlank() ? EMPTY
                : field.getText().strip()).collect(Collectors.joining(" "))).collect(Collectors.joining(" | "));
    }

    /**
     * Replaces all cells.
     *
     * @param text rows of words with | between them
     */
    public void setText(String text) {
        isShowing = true;
        List<List<String>> rows = Arrays.stream(text.split("\\|", -1)).map(row ->
                List.of(row.strip().split("\\s+"))).toList();
        boolean isSameSize = rows.size() == fields.size() && !fields.isEmpty()
                && rows.get(0).size() == fields.get(0).size();
        if (!isSameSize) {
            makeFields(rows.size(), rows.get(0).size());
        }
        for (int i = 0; i < rows.size(); i++) {
            for (int j = 0; j < rows.get(0).size(); j++) {
                String cell = j < rows.get(i).size() ? rows.get(i).get(j) : NEW_CELL;
                if (!fields.get(i).get(j).getText().equals(cell)) {
                    fields.get(i).get(j).setText(cell);
                }
            }
        }
        isShowing = false;
    }

    private void makeFields(int rows, int columns) {
        fields = new ArrayList<>();
        grid.getChildren().clear();
        for (int i = 0; i < rows; i++) {
            List<TextField> row = new ArrayList<>();
            for (int j = 0; j < columns; j++) {
                TextField field = new TextField();
                field.getStyleClass().add("weight-field");
                field.setPrefWidth(columns <= FEW_COLUMNS ? 44 : 38);
                field.setAccessibleText(name + ", row " + i + ", column " + j);
                field.textProperty().subscribe(text -> typed());
                row.add(field);
                grid.add(field, j, i);
            }
            fields.add(row);
        }
        size.setText(rows + " × " + columns);
        // The bar below a wide grid must not lie over its last row.
        grid.setPadding(new Insets(2, 2, columns <= FEW_COLUMNS ? 2 : BAR, 2));
    }

    private void typed() {
        if (!isShowing) {
            changed.run();
        }
    }

    private void resize(int moreRows, int moreColumns) {
        int rows = Math.max(1, Math.min(LARGEST, fields.size() + moreRows));
        int columns = Math.max(1, Math.min(LARGEST, fields.get(0).size() + moreColumns));
        List<String> lines = new ArrayList<>();
        for (int i = 0; i < rows; i++) {
            List<String> cells = new ArrayList<>();
            for (int j = 0; j < columns; j++) {
                cells.add(i < fields.size() && j < fields.get(0).size() ? fields.get(i).get(j).getText() : NEW_CELL);
            }
            lines.add(String.join(" ", cells));
        }
        setText(String.join(" | ", lines));
        changed.run();
    }

    /** Up, down and Enter move between rows; a pasted block takes the place of all cells. */
    private void pressed(KeyEvent event) {
        int down = event.getCode() == KeyCode.DOWN || event.getCode() == KeyCode.ENTER ? 1
                : event.getCode() == KeyCode.UP ? -1 : 0;
        if (down != 0) {
            for (int i = 0; i < fields.size(); i++) {
                int column = fields.get(i).indexOf(event.getTarget());
                if (column >= 0) {
                    TextField next = fields.get(Math.floorMod(i + down, fields.size())).get(column);
                    next.requestFocus();
                    next.selectAll();
                    event.consume();
                    return;
                }
            }
        } else if (event.isShortcutDown() && event.getCode() == KeyCode.V) {
            String text = Clipboard.getSystemClipboard().getString();
            if (text != null && text.strip().matches("(?s).*[\\s|;].*")) {
                setText(MatrixParameter.ofCopied(text.strip()).orElseGet(() -> text.strip().replaceAll("\\R", "|").replace(';', ' ')));
                changed.run();
                event.consume();
            }
        }
    }

    /** Puts the cursor into the first cell and selects its value. */
    public void focusFirst() {
        // Cells of a grid that was never shown take the keyboard only when they stand.
        applyCss();
        TextField first = fields.get(0).get(0);
        first.requestFocus();
        first.selectAll();
    }
}

package pixeron.app.bench.table;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.BiConsumer;
import java.util.stream.IntStream;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.scene.control.Label;
import javafx.scene.control.TableColumn;
import javafx.scene.control.TablePosition;
import javafx.scene.control.TableView;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import pixeron.app.bench.parts.AskedWord;
import pixeron.app.theme.Theme;
import pixeron.byhand.HandValue;
import pixeron.byhand.table.HandTable;
import pixeron.byhand.table.TableCheck;
import pixeron.number.Decimals;
import pixeron.number.Value;
import pixeron.working.Table;

/** A table with a by-hand column beside each column that a user wants to fill. */
final class HandTableView extends TableView<Integer> implements HandCell.Owner {

    private static final String STARTS = "0123456789.,-+(\u2212";
    private static final String COVER = "…";
    private static final double HAND_WIDTH = 72;
    private static final double HEAD_CHARACTER = 7.4;
    private static final double CHARACTER = 8.2;
    private static final double PADDING = 14;
    /** Rows whose longest number decides how wide a column is. */
    private static final int MEASURED_ROWS = 256;

    private final Theme theme;
    private final BiConsumer<HandTable.Place, String> onWrite;
    private double shownScale;
    private Table table;
    private Optional<Value> largest = Optional.empty();
    private HandTable hand = HandTable.EMPTY;
    private TableCheck check = TableCheck.EMPTY;
    private Optional<String> typed = Optional.empty();
    /** The last row that is seen while one walks down the table. */
    private int lastSeen = Integer.MAX_VALUE;

    /**
     * @param theme says how large type is
     * @param onWrite gets a place and what was written there; a blank text clears it
     */
    HandTableView(Theme theme, BiConsumer<HandTable.Place, String> onWrite) {
        this.theme = theme;
        this.onWrite = onWrite;
        getStyleClass().addAll("levels-table", "hand-table");
        getSelectionModel().setCellSelectionEnabled(true);
        setEditable(true);
        setAccessibleText("Table with values by hand");
        addEventHandler(KeyEvent.KEY_TYPED, this::typed);
        addEventFilter(KeyEvent.KEY_PRESSED, this::pressed);
        AskedWord.set(this, () -> chosenColumn().orElse(""));
    }

    /**
     * @param columns the columns that are shown, ours and by hand: the name, with a trailing * for by hand
     * @param rows the rows that are shown
     * @param seen how many of them are not covered, from above
     */
    void show(Table newTable, HandTable newHand, TableCheck newCheck, Set<String> columns, List<Integer> rows, int seen) {
        Set<String> before = new LinkedHashSet<>(getColumns().stream().map(TableColumn::getId).toList());
        boolean isSameShape = table != null && table.name().equals(newTable.name()) && before.equals(columns)
                && shownScale == theme.scale();
        boolean isOther = table != newTable;
        shownScale = theme.scale();
        table = newTable;
        lastSeen = seen >= rows.size() ? Integer.MAX_VALUE : seen == 0 ? -1 : rows.get(seen - 1);
        int between = table.columns().indexOf("between");
        largest = between < 0 ? Optional.empty() : table.rows().stream().limit(lastSeen + 1L)
                .map(row -> row.get(between)).max(Value::compareValue);
        hand = newHand;
        check = newCheck;
        if (!isSameShape) {
            getColumns().setAll(columns.stream().map(this::column).toList());
        } else {
            // The same columns of another case have longer numbers, and what is written by hand grows.
            getColumns().stream().filter(column -> isOther || column.isEditable()).forEach(column ->
                    column.setPrefWidth(columnWidth(column.getId())));
        }
        if (!getItems().equals(rows)) {
            getItems().setAll(rows);
        }
        refresh();
    }

    private TableColumn<Integer, String> column(String id) {
        boolean isHand = id.endsWith("*");
        String name = isHand ? id.substring(0, id.length() - 1) : id;
        TableColumn<Integer, String> column = new TableColumn<>();
        Label head = new Label(isHand ? "by hand" : TableWords.column(table, name));
        head.setTooltip(new Tooltip(isHand ? TableWords.column(table, name) + ", by hand" : TableWords.column(table, name)));
        head.getStyleClass().add(isHand ? "role-by-hand" : "column-name");
        column.setId(id);
        column.setGraphic(head);
        column.setSortable(false);
        column.setReorderable(false);
        column.setPrefWidth(columnWidth(id));
        column.setEditable(isHand);
        if (isHand) {
            column.setCellFactory(made -> new HandCell(this, name));
            column.setCellValueFactory(data -> new ReadOnlyObjectWrapper<>(written(data.getValue(), name)));
        } else {
            column.setCellFactory(made -> new OwnCell(name.equals("s") || name.equals("running") ? "computed" : "plain"));
            column.setCellValueFactory(data -> new ReadOnlyObjectWrapper<>(text(data.getValue(), name)));
        }
        return column;
    }

    private double columnWidth(String id) {
        return id.endsWith("*") ? handWidth(id.substring(0, id.length() - 1)) : theme.scale() * width(id);
    }

    /** What was written there is beside a mark that says how far off it is. */
    private double handWidth(String column) {
        int longest = check.cells().stream().filter(cell -> cell.column().equals(column))
                .mapToInt(cell -> cell.byHand().text().length() + TableWords.mark(cell).length()).max().orElse(0);
        return theme.scale() * Math.max(HAND_WIDTH, 2 * PADDING + longest * CHARACTER);
    }

    private double width(String column) {
        int longest = IntStream.range(0, Math.min(MEASURED_ROWS, table.rows().size()))
                .map(row -> text(row, column).length()).max().orElse(1);
        return PADDING + Math.max(longest * CHARACTER, TableWords.column(table, column).length() * HEAD_CHARACTER + 5);
    }

    private String text(int row, String column) {
        if (row >= table.rows().size() && !table.isFillable(column)) {
            return "Σ";
        } else if (row > table.rows().size()) {
            return "";
        }
        if (isCovered(row) && table.isFillable(column)) {
            return COVER;
        }
        return table.value(row, column).map(TableWords::value).orElse("") + (isLargest(row, column) ? " ◂" : "");
    }

    /** Returns whether the right values of a row are covered: all are withheld, or the walk has not come to it yet. */
    boolean isCovered(int row) {
        return row > lastSeen;
    }

    /** The limit with the largest variance between the classes is taken; all that have it are marked. */
    private boolean isLargest(int row, String column) {
        return column.equals("between") && row < table.rows().size() && largest.isPresent()
                && table.value(row, column).orElseThrow().compareValue(largest.get()) == 0;
    }

    private String written(int row, String column) {
        return row > table.rows().size() ? "" : hand.cell(table.key(row), column).map(HandValue::text).orElse("");
    }

    /** Returns the row that is chosen, of all rows of the table. */
    Optional<Integer> chosenRow() {
        int at = getFocusModel().getFocusedIndex();
        return at < 0 || at >= getItems().size() ? Optional.empty() : Optional.of(getItems().get(at));
    }

    /** Returns the column that is chosen, ours or by hand. */
    Optional<String> chosenColumn() {
        return chosen().map(id -> id.endsWith("*") ? id.substring(0, id.length() - 1) : id);
    }

    private Optional<String> chosen() {
        TablePosition<?, ?> at = getFocusModel().getFocusedCell();
        return at == null || at.getTableColumn() == null ? Optional.empty() : Optional.of(at.getTableColumn().getId());
    }

    /** Returns the by-hand columns from the chosen one on, for a block that is pasted. */
    List<String> handColumnsFromChosen() {
        List<String> columns = handColumns();
        String from = chosenColumn().orElse("");
        return columns.contains(from) ? columns.subList(columns.indexOf(from), columns.size()) : List.of();
    }

    /** Returns the by-hand columns that are shown. */
    List<String> handColumns() {
        return getColumns().stream().map(TableColumn::getId).filter(id -> id.endsWith("*"))
                .map(id -> id.substring(0, id.length() - 1)).toList();
    }

    private void typed(KeyEvent event) {
        boolean isPlain = !event.isShortcutDown() && !event.isAltDown();
        if (isPlain && getEditingCell() == null && !event.getCharacter().isEmpty()
                && STARTS.contains(event.getCharacter())) {
            typed = Optional.of(event.getCharacter());
            editChosen();
            typed = Optional.empty();
            event.consume();
        }
    }

    private void pressed(KeyEvent event) {
        if (getEditingCell() != null) {
            return;
        }
        if (event.getCode() == KeyCode.ENTER || event.getCode() == KeyCode.F2) {
            editChosen();
            event.consume();
        } else if (event.getCode() == KeyCode.DELETE || event.getCode() == KeyCode.BACK_SPACE) {
            chosen().filter(id -> id.endsWith("*")).ifPresent(id -> chosenRow().filter(row -> isWritable(row,
                    chosenColumn().orElseThrow())).ifPresent(row -> write(getFocusModel().getFocusedIndex(),
                            chosenColumn().orElseThrow(), "")));
            event.consume();
        }
    }

    private void editChosen() {
        TablePosition<?, ?> at = getFocusModel().getFocusedCell();
        if (at != null && at.getTableColumn() != null && at.getTableColumn().isEditable()) {
            edit(at.getRow(), getColumns().get(at.getColumn()));
        }
    }

    /** Chooses a cell of a by-hand column. */
    void choose(int row, String column) {
        getColumns().stream().filter(c -> c.getId().equals(column + "*")).findFirst().ifPresent(found -> {
            int index = getItems().indexOf(row);
            if (index >= 0) {
                getSelectionModel().clearAndSelect(index, found);
                getFocusModel().focus(index, found);
                scrollTo(Math.max(0, index - 3));
            }
        });
    }

    @Override
    public Optional<TableCheck.Cell> check(int index, String column) {
        return isCovered(getItems().get(index)) ? Optional.empty() : check.cell(getItems().get(index), column);
    }

    @Override
    public boolean isWritable(int index, String column) {
        return index >= 0 && index < getItems().size() && getItems().get(index) <= table.rows().size()
                && table.isFillable(column) && table.value(getItems().get(index), column).isPresent();
    }

    @Override
    public Optional<String> takeTyped() {
        return typed;
    }

    @Override
    public void write(int index, String column, String text) {
        HandTable.Place place = new HandTable.Place(table.key(getItems().get(index)), column);
        if (!text.strip().equals(hand.cell(place.row(), column).map(HandValue::text).orElse(""))) {
            onWrite.accept(place, text);
        }
    }

    @Override
    public void go(int index, String column, int down, int right) {
        List<String> columns = handColumns();
        int at = columns.indexOf(column) + right;
        int row = Math.max(0, Math.min(getItems().size() - 1, index + down
                + (at < 0 ? -1 : at >= columns.size() ? 1 : 0)));
        choose(getItems().get(row), columns.get(Math.floorMod(at, columns.size())));
    }

    /** Returns the cells that are shown, below the names of the columns. */
    List<List<String>> shownCells() {
        List<List<String>> lines = new ArrayList<>();
        lines.add(getColumns().stream().map(column -> column.getId().endsWith("*")
                ? column.getId().replace("*", " by hand") : column.getId()).toList());
        for (int row : getItems()) {
            lines.add(IntStream.range(0, getColumns().size()).mapToObj(n -> {
                String id = getColumns().get(n).getId();
                return id.endsWith("*") ? written(row, id.substring(0, id.length() - 1))
                        : row < table.rows().size() && !isCovered(row) ? table.value(row, id).map(Decimals::table).orElse("")
                        : text(row, id);
            }).toList());
        }
        return lines;
    }

    /** A cell of ours. */
    private static final class OwnCell extends javafx.scene.control.TableCell<Integer, String> {

        OwnCell(String style) {
            getStyleClass().add(style);
        }

        @Override
        protected void updateItem(String text, boolean isEmpty) {
            super.updateItem(text, isEmpty);
            setText(isEmpty ? null : text);
        }
    }
}

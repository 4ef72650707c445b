package pixeron.app.bench.working;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.input.Clipboard;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import pixeron.app.bench.table.TableWords;
import pixeron.app.model.Bench;
import pixeron.app.model.Shown;
import pixeron.app.model.Target;
import pixeron.byhand.HandValue;
import pixeron.byhand.table.HandTable;
import pixeron.byhand.table.HandTable.Place;
import pixeron.byhand.table.TableCheck;
import pixeron.byhand.table.TableSlip;
import pixeron.byhand.table.TableSlips;
import pixeron.format.CellTable;
import pixeron.image.Pixel;
import pixeron.step.Operation;
import pixeron.step.table.PixelTable;
import pixeron.working.Table;

/** The numbers on the way to the picked pixel, to be written by hand: sum, quotient, rounded. */
final class NumbersByHand extends FlowPane {

    private final Bench bench;
    private final Map<String, TextField> fields = new LinkedHashMap<>();
    private final Map<String, Label> marks = new HashMap<>();
    /** What each field showed last; what differs from it is being typed and stays. */
    private final Map<String, String> known = new HashMap<>();
    private Table table;
    /** What the table is of. */
    private Operation shownOf;
    private Pixel shownAt;
    private Target target;

    NumbersByHand(Bench bench) {
        this.bench = bench;
        getStyleClass().add("numbers-by-hand");
    }

    /** Shows the numbers of a pixel; hides itself where there are none or they are covered. */
    void show(Shown shown, Pixel pixel, boolean isOpen) {
        Optional<Operation> operation = shown.operation().filter(found -> isOpen && shown.position() >= 0 && found.contains(pixel));
        setVisible(operation.isPresent());
        setManaged(isVisible());
        operation.ifPresent(found -> show(shown, found, pixel));
    }

    private void show(Shown shown, Operation operation, Pixel pixel) {
        Table wanted = operation == shownOf && pixel.equals(shownAt) ? table : PixelTable.of(operation, pixel);
        shownOf = operation;
        shownAt = pixel;
        Target shownFor = bench.hand().target();
        if (table != null && (!wanted.name().equals(table.name()) || !shownFor.equals(target))) {
            // A pixel can be picked before the field has lost the keyboard: what was typed belongs to the one before.
            fields.forEach((column, field) -> write(column, field.getText()));
            known.clear();
        }
        table = wanted;
        target = shownFor;
        if (!List.copyOf(fields.keySet()).equals(table.columns())) {
            build();
        }
        HandTable hand = shown.project().byHand(shown.position(), shown.face()).tables().getOrDefault(table.name(), HandTable.EMPTY);
        TableCheck check = TableCheck.of(hand, table);
        List<TableSlip> slips = TableSlips.find(check, table, operation);
        fields.forEach((column, field) -> {
            boolean isTyping = field.isFocused() && known.containsKey(column) && !field.getText().equals(known.get(column));
            String written = hand.cell(table.key(0), column).map(HandValue::text).orElse("");
            if (!isTyping && !field.getText().equals(written)) {
                field.setText(written);
            }
            known.put(column, written);
            mark(column, check.cell(0, column), slips);
        });
    }

    private void build() {
        fields.clear();
        known.clear();
        getChildren().setAll(new Label("Intermediate values by hand"));
        for (String column : table.columns()) {
            Label name = new Label(column);
            TextField field = new TextField();
            field.getStyleClass().addAll("number-field", "way-field");
            field.setPrefColumnCount(5);
            field.setAccessibleText(column + " by hand");
            field.setOnAction(event -> {
                write(column, field.getText());
                next(column).requestFocus();
            });
            field.focusedProperty().subscribe(isFocused -> {
                if (!isFocused) {
                    write(column, field.getText());
                }
            });
            field.addEventFilter(KeyEvent.KEY_PRESSED, event -> pasted(column, event));
            Label mark = new Label();
            mark.getStyleClass().add("way-mark");
            fields.put(column, field);
            marks.put(column, mark);
            HBox one = new HBox(name, field, mark);
            one.getStyleClass().add("way");
            getChildren().add(one);
        }
    }

    private TextField next(String column) {
        List<String> columns = table.columns();
        return fields.get(columns.get((columns.indexOf(column) + 1) % columns.size()));
    }

    /** A block of several cells goes into the fields from this one on. */
    private void pasted(String column, KeyEvent event) {
        String text = Clipboard.getSystemClipboard().getString();
        if (!event.isShortcutDown() || event.isShiftDown() || event.getCode() != KeyCode.V || text == null) {
            return;
        }
        List<String> cells = new ArrayList<>();
        CellTable.parse(text.strip()).rows().forEach(cells::addAll);
        if (cells.size() > 1) {
            event.consume();
            List<String> columns = table.columns().subList(table.columns().indexOf(column), table.columns().size());
            for (int n = 0; n < Math.min(cells.size(), columns.size()); n++) {
                fields.get(columns.get(n)).setText(cells.get(n));
                write(columns.get(n), cells.get(n));
            }
        }
    }

    private void write(String column, String text) {
        Optional<Integer> at = table == null ? Optional.empty() : target.position(bench.project()).filter(found -> found >= 0);
        if (at.isEmpty()) {
            return;
        }
        String name = table.name();
        String before = bench.project().byHand(at.get(), target.face()).tables().getOrDefault(name, HandTable.EMPTY)
                .cell(table.key(0), column).map(HandValue::text).orElse("");
        boolean isTyped = !text.equals(known.getOrDefault(column, ""));
        if (isTyped && !before.equals(text.strip())) {
            Place place = new Place(table.key(0), column);
            bench.hand().editTable(target, name, hand -> hand.with(Map.of(place, text)));
        }
    }

    private void mark(String column, Optional<TableCheck.Cell> cell, List<TableSlip> slips) {
        Label mark = marks.get(column);
        mark.getStyleClass().removeAll("agrees", "differs", "follows", "not-understood");
        cell.ifPresent(found -> mark.getStyleClass().add(found.state().word()));
        mark.setText(cell.map(TableWords::mark).orElse(""));
        String why = cell.map(found -> switch (found.state()) {
            case AGREES -> "agrees";
            case FOLLOWS -> "correct, given your earlier number";
            case NOT_UNDERSTOOD -> found.byHand().problem();
            case DIFFERS, NOT_ROUNDED -> slips.stream().filter(slip -> slip.cells().contains(found)).findFirst().map(TableSlip::text)
                    .orElse("differs");
        }).orElse("");
        mark.setTooltip(why.isEmpty() ? null : new Tooltip(why));
        fields.get(column).setAccessibleText(column + " by hand" + (why.isEmpty() ? "" : ", " + why));
    }
}

package pixeron.app.exercise;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.BiConsumer;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import pixeron.byhand.Verdict;
import pixeron.exercise.Asked;
import pixeron.exercise.Part;
import pixeron.exercise.Variant;
import pixeron.exercise.practice.Trial;
import pixeron.image.Pixel;
import pixeron.number.Decimals;

/** Everything that is asked of a variant as squared paper to write on. Arrows go from cell to cell, Enter to the next one. */
final class Blanks extends FlowPane {

    private static final PseudoClass AGREES = PseudoClass.getPseudoClass("agrees");
    private static final PseudoClass DIFFERS = PseudoClass.getPseudoClass("wrong");
    private static final PseudoClass FOLLOWS = PseudoClass.getPseudoClass("follows");

    private final Map<Trial.Blank, TextField> fields = new LinkedHashMap<>();
    private final Map<Trial.Blank, Label> marks = new HashMap<>();
    private final BiConsumer<Trial.Blank, String> write;

    /** @param write gets what is typed */
    Blanks(Variant variant, BiConsumer<Trial.Blank, String> write) {
        this.write = write;
        getStyleClass().add("blanks");
        List<Part> parts = variant.parts();
        for (int n = 0; n < parts.size(); n++) {
            Part part = parts.get(n);
            Label title = new Label((n + 1) + ". " + part.title());
            title.getStyleClass().add("part-title");
            title.setWrapText(true);
            Label worth = new Label(Asked.worth(part.asked().points()));
            worth.getStyleClass().add("found-sentence");
            GridPane grid = new GridPane();
            grid.getStyleClass().add("squared");
            if (part instanceof Part.OfCells cells) {
                addCells(grid, n, cells);
            } else {
                addTable(grid, n, (Part.OfTable) part);
            }
            VBox box = new VBox(title, worth, grid);
            box.getStyleClass().add("asked-part");
            getChildren().add(box);
        }
    }

    private void addCells(GridPane grid, int number, Part.OfCells part) {
        Set<Pixel> asked = new HashSet<>(part.pixels());
        int columns = part.pixels().stream().mapToInt(Pixel::column).max().orElse(0) + 1;
        int rows = part.pixels().stream().mapToInt(Pixel::row).max().orElse(0) + 1;
        for (int j = 0; j < columns; j++) {
            grid.add(GivenGrid.edge(j), j + 1, 0);
        }
        for (int i = 0; i < rows; i++) {
            grid.add(GivenGrid.edge(i), 0, i + 1);
            for (int j = 0; j < columns; j++) {
                if (asked.contains(new Pixel(i, j))) {
                    grid.add(field(new Trial.Blank(number, i, j), "row " + i + ", column " + j), j + 1, i + 1);
                }
            }
        }
    }

    private void addTable(GridPane grid, int number, Part.OfTable part) {
        int keys = part.table().keys();
        for (int k = 0; k < keys; k++) {
            grid.add(head(part.table().kind().column(part.table().columns().get(k))), k, 0);
        }
        for (int c = 0; c < part.columns().size(); c++) {
            grid.add(head(part.table().kind().column(part.columns().get(c))), keys + c, 0);
        }
        List<Integer> rows = part.rows();
        for (int n = 0; n < rows.size(); n++) {
            for (int k = 0; k < keys; k++) {
                Label key = new Label(Decimals.working(part.table().rows().get(rows.get(n)).get(k)));
                key.getStyleClass().add("key-cell");
                grid.add(key, k, n + 1);
            }
            for (int c = 0; c < part.columns().size(); c++) {
                if (part.table().value(rows.get(n), part.columns().get(c)).isPresent()) {
                    String where = part.table().rowName(rows.get(n)) + ", " + part.table().kind().column(part.columns().get(c));
                    grid.add(field(new Trial.Blank(number, n, c), where), keys + c, n + 1);
                }
            }
        }
    }

    private static Label head(String text) {
        Label label = new Label(text);
        label.getStyleClass().add("edge");
        return label;
    }

    private Region field(Trial.Blank blank, String where) {
        TextField field = new TextField();
        field.getStyleClass().addAll("blank", "number-field");
        field.setAccessibleText("Part " + (blank.part() + 1) + ", " + where);
        field.textProperty().subscribe(text -> {
            if (fields.get(blank) == field) {
                write.accept(blank, text);
            }
        });
        field.addEventFilter(KeyEvent.KEY_PRESSED, event -> keyPressed(event, blank, field));
        fields.put(blank, field);
        // A sign besides the color, for whoever does not see it.
        Label mark = new Label();
        mark.getStyleClass().add("blank-mark");
        mark.setMouseTransparent(true);
        marks.put(blank, mark);
        StackPane cell = new StackPane(field, mark);
        StackPane.setAlignment(mark, Pos.TOP_RIGHT);
        return cell;
    }

    private void keyPressed(KeyEvent event, Trial.Blank blank, TextField field) {
        if (event.isShortcutDown() || event.isAltDown() || event.isShiftDown()) {
            return;
        }
        KeyCode code = event.getCode();
        boolean isAtStart = field.getCaretPosition() == 0;
        boolean isAtEnd = field.getCaretPosition() == field.getLength();
        TextField next = code == KeyCode.UP ? near(blank, -1, 0) : code == KeyCode.DOWN ? near(blank, 1, 0) : code == KeyCode.LEFT && isAtStart ? near(blank, 0, -1)
                : code == KeyCode.RIGHT && isAtEnd ? near(blank, 0, 1) : code == KeyCode.ENTER ? after(blank) : null;
        if (next != null) {
            next.requestFocus();
            next.selectAll();
            event.consume();
        }
    }

    private TextField near(Trial.Blank blank, int down, int right) {
        return fields.get(new Trial.Blank(blank.part(), blank.row() + down, blank.column() + right));
    }

    private TextField after(Trial.Blank blank) {
        List<Trial.Blank> all = new ArrayList<>(fields.keySet());
        return fields.get(all.get((all.indexOf(blank) + 1) % all.size()));
    }

    /** Puts the keyboard into the first blank in which nothing stands, or which is wrong. */
    void focusFirst() {
        fields.values().stream().filter(field -> field.getText().isBlank()).findFirst().or(() -> fields.values().stream().findFirst()).ifPresent(TextField::requestFocus);
    }

    /** Shows which cells agree and which differ; none before they are checked. */
    void mark(Map<Trial.Blank, Verdict> states) {
        fields.forEach((blank, field) -> {
            Verdict state = states.get(blank);
            boolean isWrong = state != null && state != Verdict.AGREES && state != Verdict.FOLLOWS;
            field.pseudoClassStateChanged(AGREES, state == Verdict.AGREES);
            field.pseudoClassStateChanged(FOLLOWS, state == Verdict.FOLLOWS);
            field.pseudoClassStateChanged(DIFFERS, isWrong);
            field.setAccessibleHelp(state == null ? "" : state == Verdict.AGREES ? "agrees" : state == Verdict.FOLLOWS ? "follows from an earlier difference" : "differs");
            Label mark = marks.get(blank);
            mark.setText(state == null ? "" : state == Verdict.AGREES ? "✓" : state == Verdict.FOLLOWS ? "↳" : "≠");
            mark.getStyleClass().setAll("label", "blank-mark", isWrong ? "wrong" : "right");
        });
    }
}

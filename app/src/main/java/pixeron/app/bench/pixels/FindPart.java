package pixeron.app.bench.pixels;

import java.util.Optional;
import javafx.css.PseudoClass;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import pixeron.PixeronException;
import pixeron.app.bench.parts.Words;
import pixeron.app.model.Bench;
import pixeron.app.model.Search;
import pixeron.app.model.Shown;
import pixeron.look.Condition;
import pixeron.look.PixelText;

/** Finding pixels: by a condition, all of them lit and counted; or one by its place. */
final class FindPart extends VBox {

    private static final PseudoClass WRONG = PseudoClass.getPseudoClass("wrong");
    private static final String BEFORE = "Before";
    private static final String AFTER = "After";
    private static final String ROW_FIRST = "row, column";
    private static final String X_FIRST = "x, y";

    private final Bench bench;
    private final TextField condition = new TextField();
    private final ComboBox<String> sheet = new ComboBox<>();
    private final Label found = new Label();
    private final TextField place = new TextField();
    private final ComboBox<String> order = new ComboBox<>();
    private final Label problem = new Label();

    FindPart(Bench bench) {
        this.bench = bench;
        getStyleClass().add("part");
        condition.setPromptText("r < 5");
        condition.getStyleClass().add("number-field");
        condition.setAccessibleText("Condition on a pixel, over r, i, j, x, y, M, L, N, H, W, min, max, mean");
        condition.setTooltip(new Tooltip("A condition such as r < 5, r = max, or mod(i + j, 2) = 0. Press Enter to highlight matching pixels."));
        condition.setOnAction(event -> find());
        sheet.getItems().setAll(BEFORE, AFTER);
        sheet.setValue(BEFORE);
        sheet.setAccessibleText("Sheet to search");
        found.getStyleClass().add("sheet-hint");
        found.setWrapText(true);
        place.setPromptText("12, 40");
        place.getStyleClass().add("number-field");
        place.setAccessibleText("Position");
        place.setTooltip(new Tooltip("Two numbers, or in words: row 12 column 40, x 40 y 12. Press Enter to go there."));
        place.setOnAction(event -> go());
        order.getItems().setAll(ROW_FIRST, X_FIRST);
        order.setValue(ROW_FIRST);
        order.setAccessibleText("Order of the two numbers");
        problem.getStyleClass().add("parameter-problem");
        problem.setWrapText(true);
        FlowPane actions = new FlowPane(button("Highlight", this::find), button("Next", bench::pickNextLit),
                button("Clear highlight", () -> bench.light(Optional.empty())));
        actions.getStyleClass().add("places");
        getChildren().addAll(head("Find pixels where", condition, sheet), actions, found,
                head("Go to pixel", place, order), problem);
        setPrefWidth(330);
        bench.shownProperty().subscribe(this::show);
    }

    private static VBox head(String title, TextField field, ComboBox<String> box) {
        HBox line = new HBox(field, box);
        line.getStyleClass().add("part-head");
        field.setPrefColumnCount(11);
        return new VBox(4, new Label(title), line);
    }

    private static Button button(String text, Runnable action) {
        Button button = new Button(text);
        button.setOnAction(event -> action.run());
        return button;
    }

    /** Puts the cursor into the field of a place. */
    void focusPlace() {
        place.requestFocus();
        place.selectAll();
    }

    private void find() {
        try {
            Condition parsed = Condition.parse(condition.getText());
            bench.light(Optional.of(new Search.Where(AFTER.equals(sheet.getValue()), parsed)));
            condition.pseudoClassStateChanged(WRONG, false);
        } catch (PixeronException notUnderstood) {
            condition.pseudoClassStateChanged(WRONG, true);
            found.setText("▲ " + notUnderstood.getMessage());
        }
    }

    private void go() {
        try {
            bench.pick(PixelText.parse(place.getText(), X_FIRST.equals(order.getValue()),
                    bench.looking().display().first(),
                    bench.project().chain().input()));
            problem.setText("");
        } catch (PixeronException nowhere) {
            problem.setText("▲ " + nowhere.getMessage());
        }
    }

    private void show(Shown shown) {
        found.setText(shown == null ? "" : shown.lit().map(Words::lit).orElse(""));
    }
}

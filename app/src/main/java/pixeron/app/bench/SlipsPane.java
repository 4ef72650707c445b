package pixeron.app.bench;

import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import pixeron.app.model.Bench;
import pixeron.app.model.Shown;
import pixeron.byhand.Check;
import pixeron.byhand.slip.Explanation;

/** The slips that explain the values by hand, each with a way to its first cell. */
final class SlipsPane extends ScrollPane {

    private final Bench bench;
    private final VBox content = new VBox();

    SlipsPane(Bench bench) {
        this.bench = bench;
        getStyleClass().add("working-pane");
        setFitToWidth(true);
        content.getStyleClass().add("working-content");
        setContent(content);
        bench.shownProperty().subscribe(this::render);
    }

    private void render(Shown shown) {
        content.getChildren().clear();
        if (shown == null) {
            return;
        }
        shown.slips().forEach(slip -> content.getChildren().add(row(slip)));
        Check check = shown.check();
        int open = check.differing().size() - shown.slips().stream().mapToInt(Explanation::explains).sum();
        if (check.filled() == 0) {
            add("Write values by hand, and what explains the ones that differ stands here.");
        } else if (check.differing().isEmpty()) {
            add("Everything that is filled agrees.");
        } else if (open > 0) {
            add(open + (open == 1 ? " differing cell is" : " differing cells are")
                    + " explained by no slip that is known. The working of the cell shows where to look.");
        }
    }

    private void add(String text) {
        Label label = new Label(text);
        label.getStyleClass().add("sheet-hint");
        label.setWrapText(true);
        content.getChildren().add(label);
    }

    private HBox row(Explanation slip) {
        Label words = new Label(slip.text());
        words.getStyleClass().add("callout-words");
        words.setWrapText(true);
        Label id = new Label(slip.id());
        id.getStyleClass().add("step-detail");
        VBox text = new VBox(words, id);
        HBox.setHgrow(text, Priority.ALWAYS);
        Button go = new Button("Go to the first");
        go.setMinWidth(USE_PREF_SIZE);
        go.setOnAction(event -> bench.pick(slip.pixels().get(0)));
        HBox row = new HBox(text, go);
        row.getStyleClass().addAll("callout", "wrong");
        return row;
    }
}

package pixeron.app.bench;

import java.util.Optional;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.GridPane;
import pixeron.app.model.Bench;
import pixeron.app.model.Shown;
import pixeron.image.Image;
import pixeron.number.Decimals;
import pixeron.number.Value;

/** What can be said of Before and After, side by side. */
final class FactsPane extends ScrollPane {

    private final GridPane table = new GridPane();

    FactsPane(Bench bench) {
        getStyleClass().add("working-pane");
        setContent(table);
        table.getStyleClass().add("facts");
        bench.shownProperty().subscribe(this::render);
    }

    private void render(Shown shown) {
        table.getChildren().clear();
        if (shown == null) {
            return;
        }
        String[] names = {"", "size", "levels", "kept", "smallest", "largest", "mean", "distinct values"};
        for (int n = 0; n < names.length; n++) {
            add(names[n], "working-label", 0, n);
        }
        column(1, shown.position() < 0 ? "image" : "before", "role-before", shown.before());
        column(2, "after", "role-after", shown.after());
    }

    private void column(int column, String title, String role, Optional<Shown.Described> described) {
        if (described.isEmpty()) {
            return;
        }
        Image image = described.get().image();
        add(title, role, column, 0);
        add(image.rows() + " rows × " + image.columns() + " columns", "fact", column, 1);
        add(image.isLevelImage() ? "0–" + image.maximumLevel() : "open, nominal maximum " + image.maximumLevel(),
                "fact", column, 2);
        add(image.isLevelImage() ? "whole levels" : image.isExact() ? "exact fractions" : "doubles", "fact", column, 3);
        add(shown(described.get().facts().smallest()), "fact", column, 4);
        add(shown(described.get().facts().largest()), "fact", column, 5);
        add(shown(described.get().facts().mean()), "fact", column, 6);
        add(Integer.toString(described.get().facts().distinct()), "fact", column, 7);
    }

    private static String shown(Value value) {
        return Decimals.working(value) + (Decimals.isShownAsFraction(value) ? " ≈ " + Decimals.approximate(value) : "");
    }

    private void add(String text, String styleClass, int column, int row) {
        Label label = new Label(text);
        label.getStyleClass().add(styleClass);
        table.add(label, column, row);
    }
}

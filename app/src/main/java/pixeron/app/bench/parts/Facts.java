package pixeron.app.bench.parts;

import javafx.scene.control.Label;
import javafx.scene.layout.GridPane;

/** A small table of names and values, as several tabs have one. */
public final class Facts extends GridPane {

    public Facts() {
        getStyleClass().add("facts");
    }

    /**
     * Adds the head of a column.
     *
     * @param title name of a column, with the style class of its role or an empty one
     */
    public void head(int column, String title, String role) {
        put(title, role.isEmpty() ? "fact-name" : role, column, 0);
    }

    /** Adds a row: its name, then its values. */
    public void row(String name, String... values) {
        int row = getRowCount();
        put(name, "fact-name", 0, row);
        for (int n = 0; n < values.length; n++) {
            put(values[n], "fact", n + 1, row);
        }
    }

    private void put(String text, String styleClass, int column, int row) {
        Label label = new Label(text);
        label.getStyleClass().add(styleClass);
        label.setMinWidth(USE_PREF_SIZE);
        add(label, column, row);
    }

    /** Takes everything away. */
    public void clear() {
        getChildren().clear();
    }
}

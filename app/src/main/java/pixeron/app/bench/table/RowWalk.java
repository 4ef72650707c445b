package pixeron.app.bench.table;

import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import org.kordamp.ikonli.feather.Feather;
import org.kordamp.ikonli.javafx.FontIcon;
import pixeron.walk.ScanOrder;
import pixeron.walk.Visits;
import pixeron.walk.Walk;

/** Walking down a table: rows are covered until one comes to them. It is begun and left by its button. */
final class RowWalk extends HBox {

    private final ToggleButton toggle = new ToggleButton("Row by row");
    private final HBox controls = new HBox();
    private final Label place = new Label();
    private final Runnable changed;
    private Walk walk;
    private int rows = 1;

    /** @param changed runs when more or fewer rows are seen */
    RowWalk(Runnable changed) {
        this.changed = changed;
        getStyleClass().add("row-walk");
        toggle.getStyleClass().add("quiet");
        toggle.setTooltip(new Tooltip("Cover the rows and fill them in one by one"));
        toggle.setMinWidth(Region.USE_PREF_SIZE);
        toggle.setOnAction(event -> {
            walk = toggle.isSelected() ? Walk.start(visits(rows)) : null;
            render();
        });
        place.getStyleClass().add("walk-place");
        place.setMinWidth(Region.USE_PREF_SIZE);
        controls.getStyleClass().add("row-walk");
        controls.getChildren().addAll(button(Feather.SKIP_BACK, "Cover all rows", Integer.MIN_VALUE),
                button(Feather.CHEVRON_UP, "Previous row (Alt+←)", -1),
                button(Feather.CHEVRON_DOWN, "Next row (Alt+→)", 1), place);
        getChildren().addAll(controls, toggle);
        show();
    }

    private static Visits visits(int rows) {
        return Visits.of(ScanOrder.ROWS, Math.max(1, rows), 1);
    }

    private Button button(Feather icon, String words, int by) {
        Button button = new Button("", new FontIcon(icon));
        button.getStyleClass().addAll("icon-button", "quiet");
        button.setTooltip(new Tooltip(words));
        button.setAccessibleText(words);
        button.setMinWidth(Region.USE_PREF_SIZE);
        button.setOnAction(event -> step(by));
        return button;
    }

    /**
     * Returns false when there is no walk.
     *
     * @param by rows to go on, or back
     */
    boolean step(int by) {
        if (walk == null) {
            return false;
        }
        walk = walk.at((int) Math.max(0, (long) walk.written() + by));
        render();
        return true;
    }

    /** Another table, or other rows of it: a walk begins again. */
    void setRows(int count) {
        if (count != rows) {
            rows = count;
            if (walk != null) {
                walk = Walk.start(visits(rows));
                render();
            }
        }
    }

    /** Returns how many rows are seen from above. */
    int seen() {
        return walk == null ? Integer.MAX_VALUE : walk.written();
    }

    private void render() {
        show();
        changed.run();
    }

    private void show() {
        controls.setVisible(walk != null);
        controls.setManaged(walk != null);
        place.setText(walk == null ? "" : walk.written() + " of " + walk.visits().count());
    }
}

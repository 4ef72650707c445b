package pixeron.app.bench.sheets;

import java.util.EnumMap;
import java.util.Map;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import org.kordamp.ikonli.feather.Feather;
import org.kordamp.ikonli.javafx.FontIcon;
import pixeron.app.model.Bench;
import pixeron.app.model.Tool;

/** What dragging on a sheet does; the drawing tools are there while the image itself can be drawn on. */
final class ToolBar extends HBox {

    private static final Map<Tool, Feather> ICONS = new EnumMap<>(Map.of(Tool.MOVE, Feather.MOVE, Tool.RECTANGLE,
            Feather.SQUARE, Tool.LINE, Feather.TRENDING_UP, Tool.PENCIL, Feather.EDIT_2, Tool.DRAW_LINE, Feather.EDIT_3,
            Tool.DRAW_RECTANGLE, Feather.EDIT, Tool.FILL, Feather.DROPLET));

    private final Bench bench;
    private final Map<Tool, ToggleButton> buttons = new EnumMap<>(Tool.class);
    private final TextField level = new TextField();

    ToolBar(Bench bench) {
        this.bench = bench;
        getStyleClass().add("tool-bar-small");
        ToggleGroup group = new ToggleGroup();
        for (Tool tool : Tool.values()) {
            ToggleButton button = new ToggleButton();
            button.setGraphic(new FontIcon(ICONS.get(tool)));
            button.getStyleClass().addAll("icon-button", "tool");
            button.setTooltip(new Tooltip(tool.title() + ": dragging " + tool.sentence()));
            button.setAccessibleText(tool.title() + ": dragging " + tool.sentence());
            button.setToggleGroup(group);
            button.setUserData(tool);
            buttons.put(tool, button);
            getChildren().add(button);
        }
        level.getStyleClass().addAll("number-field", "tool-level");
        level.setAccessibleText("Level to draw with");
        level.setTooltip(new Tooltip("Level to draw with; M is the maximum level"));
        level.setText("M");
        getChildren().add(level);
        // By mouse, by Space and by the arrows; the chosen one cannot be switched off, only another one chosen.
        group.selectedToggleProperty().subscribe(toggle -> {
            if (toggle == null) {
                show(bench.looking().toolProperty().get());
            } else {
                bench.looking().toolProperty().set((Tool) toggle.getUserData());
            }
        });
        bench.looking().toolProperty().subscribe(this::show);
        bench.positionProperty().subscribe(position -> show(bench.looking().toolProperty().get()));
        bench.shownProperty().subscribe(shown -> show(bench.looking().toolProperty().get()));
        bench.projectProperty().subscribe(project -> show(bench.looking().toolProperty().get()));
    }

    private void show(Tool chosen) {
        // Beside a second image there is no room for more; on the image itself they are all there.
        boolean isDrawable = bench.isDrawable() && (bench.shown() == null || bench.shown().other().isEmpty());
        if (chosen.isDrawing() && !isDrawable) {
            bench.looking().toolProperty().set(Tool.MOVE);
            return;
        }
        buttons.forEach((tool, button) -> {
            button.setSelected(tool == chosen);
            button.setVisible(isDrawable || !tool.isDrawing());
            button.setManaged(isDrawable || !tool.isDrawing());
        });
        level.setVisible(chosen.isDrawing());
        level.setManaged(chosen.isDrawing());
    }

    /** @return what stands in the field of the level to draw with */
    String level() {
        return level.getText();
    }
}

package pixeron.app.bench.sheets;

import java.util.EnumMap;
import java.util.Map;
import java.util.stream.Stream;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import org.kordamp.ikonli.feather.Feather;
import org.kordamp.ikonli.javafx.FontIcon;
import pixeron.PixeronException;
import pixeron.app.model.Bench;
import pixeron.app.model.Tool;
import pixeron.image.Image;
import pixeron.image.Result;
import pixeron.make.Brush;

/** What dragging on a sheet does; the drawing tools are there while the image itself can be drawn on. */
final class ToolBar extends HBox {

    private static final Map<Tool, Feather> ICONS = new EnumMap<>(Map.of(Tool.MOVE, Feather.MOVE, Tool.RECTANGLE,
            Feather.SQUARE, Tool.LINE, Feather.TRENDING_UP, Tool.PENCIL, Feather.EDIT_2, Tool.DRAW_LINE, Feather.EDIT_3,
            Tool.DRAW_RECTANGLE, Feather.EDIT, Tool.FILL, Feather.DROPLET));

    private static final int LIGHTEST = 255;

    private final Bench bench;
    private final Map<Tool, ToggleButton> buttons = new EnumMap<>(Tool.class);
    private final TextField level = new TextField();
    /** The color that is drawn with, as it looks. */
    private final Region swatch = new Region();

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
        level.setAccessibleText("Level or color to draw with");
        level.setTooltip(new Tooltip("Draw with this level; M is the maximum. On a color image, also three numbers or 0xFF8000"));
        level.setText("M");
        swatch.getStyleClass().add("swatch");
        level.textProperty().subscribe(text -> showSwatch());
        getChildren().addAll(level, swatch);
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
        showSwatch();
    }

    /** Only what can be drawn with has a look. */
    private void showSwatch() {
        String look = level.isVisible() && bench.project() != null ? look() : "";
        swatch.setVisible(!look.isEmpty());
        swatch.setManaged(!look.isEmpty());
        swatch.setStyle(look);
    }

    private String look() {
        Result on = bench.project().chain().input();
        try {
            Brush brush = Brush.of(level.getText(), on);
            double maximum = on.frame().maximumLevel();
            int[] shown = Stream.of("red", "green", "blue").map(name -> brush.values().getOrDefault(name, brush.values().get(Image.VALUE)))
                    .mapToInt(value -> value == null ? 0 : (int) Math.max(0, Math.min(LIGHTEST, Math.rint(value.asDouble() * LIGHTEST / maximum)))).toArray();
            return String.format("-fx-background-color: rgb(%d, %d, %d);", shown[0], shown[1], shown[2]);
        } catch (PixeronException notYet) {
            return "";
        }
    }

    /** Returns what is in the field of the level to draw with. */
    String level() {
        return level.getText();
    }
}

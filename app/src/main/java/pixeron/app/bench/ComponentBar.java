package pixeron.app.bench;

import java.util.List;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import pixeron.Wording;
import pixeron.app.model.Bench;
import pixeron.app.model.ColorView;
import pixeron.app.model.Seen;
import pixeron.app.model.Shown;

/** Which component of a color model is looked at. Hidden where there is no color model. */
final class ComponentBar extends HBox {

    private final Bench bench;
    private List<String> names = List.of();

    ComponentBar(Bench bench) {
        this.bench = bench;
        getStyleClass().add("channel-bar");
        bench.shownProperty().subscribe(this::render);
        bench.looking().channelProperty().subscribe(channel -> render(bench.shown()));
    }

    private void render(Shown shown) {
        Seen seen = shown == null ? null : shown.model().orElse(null);
        setVisible(seen != null);
        setManaged(seen != null);
        if (seen == null) {
            return;
        }
        if (bench.looking().colorViewProperty().get() != ColorView.TOGETHER) {
            bench.looking().colorViewProperty().set(ColorView.TOGETHER);
        }
        if (!names.equals(seen.names())) {
            names = seen.names();
            ToggleGroup group = new ToggleGroup();
            getChildren().setAll(names.stream().map(name -> button(name, group)).toList());
        }
        ((ToggleButton) getChildren().get(names.indexOf(seen.name(bench.looking().channelProperty().get())))).setSelected(true);
    }

    private ToggleButton button(String name, ToggleGroup group) {
        ToggleButton button = new ToggleButton(Wording.capital(name));
        String words = Wording.capital(name) + " as a separate image (Alt+" + (names.indexOf(name) + 1) + ")";
        button.setTooltip(new Tooltip(words));
        button.setAccessibleText(words);
        button.setToggleGroup(group);
        button.setMinWidth(USE_PREF_SIZE);
        // One of them is always chosen: a second click does not take it away.
        button.setOnAction(event -> {
            button.setSelected(true);
            bench.looking().channelProperty().set(name);
        });
        return button;
    }
}

package pixeron.app.bench;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import javafx.scene.Node;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import pixeron.Wording;
import pixeron.app.model.Bench;
import pixeron.app.model.ColorView;
import pixeron.app.model.Looking;
import pixeron.app.model.Seen;
import pixeron.app.model.Shown;
import pixeron.step.key.ChannelsParameter;

/** How an image with color is looked at: in color, one channel of it, or all channels side by side. Hidden where there is no color. */
final class ChannelBar extends HBox {

    private final Bench bench;
    private final ToggleButton together;
    private final ToggleButton apart;
    private final Map<String, ToggleButton> channels = new LinkedHashMap<>();

    ChannelBar(Bench bench) {
        this.bench = bench;
        getStyleClass().add("channel-bar");
        ToggleGroup group = new ToggleGroup();
        Looking looking = bench.looking();
        together = button(ColorView.TOGETHER.title(), ColorView.TOGETHER.sentence() + " (Alt+0)", group,
                () -> looking.colorViewProperty().set(ColorView.TOGETHER));
        for (String name : ChannelsParameter.ALL) {
            int key = channels.size() + 1;
            channels.put(name, button(Wording.capital(name), "The " + (name.equals("alpha") ? "transparency" : name + " channel")
                    + " as a separate image (Alt+" + key + ")", group, () -> looking.showChannel(name)));
        }
        apart = button(ColorView.APART.title(), ColorView.APART.sentence() + " (Alt+5)", group,
                () -> looking.colorViewProperty().set(ColorView.APART));
        getChildren().add(together);
        getChildren().addAll(channels.values());
        getChildren().add(apart);
        bench.shownProperty().subscribe(this::render);
        looking.colorViewProperty().subscribe(view -> render(bench.shown()));
        looking.channelProperty().subscribe(channel -> render(bench.shown()));
    }

    private static ToggleButton button(String title, String words, ToggleGroup group, Runnable action) {
        ToggleButton button = new ToggleButton(title);
        button.setTooltip(new Tooltip(words));
        button.setAccessibleText(title + ": " + words);
        button.setToggleGroup(group);
        // One of them is always chosen: a second click does not take it away.
        button.setOnAction(event -> {
            button.setSelected(true);
            action.run();
        });
        button.setMinWidth(USE_PREF_SIZE);
        return button;
    }

    private void render(Shown shown) {
        // The components of a color model take its place: both have no room, and the color side is shown in color.
        boolean hasColor = shown != null && shown.hasColor() && shown.model().isEmpty();
        show(this, hasColor);
        if (!hasColor) {
            return;
        }
        List<String> there = shown.seenAfter().filter(Seen::hasColor).or(shown::seenBefore).map(Seen::names).orElse(List.of());
        channels.forEach((name, button) -> show(button, there.contains(name)));
        Looking looking = bench.looking();
        ToggleButton chosen = switch (looking.colorViewProperty().get()) {
            case TOGETHER -> together;
            case APART -> apart;
            case CHANNEL -> channels.get(looking.channelProperty().get());
        };
        chosen.setSelected(true);
    }

    private static void show(Node node, boolean isShown) {
        node.setVisible(isShown);
        node.setManaged(isShown);
    }
}

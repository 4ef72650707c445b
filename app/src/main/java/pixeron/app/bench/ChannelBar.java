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
import pixeron.app.model.ColourView;
import pixeron.app.model.Looking;
import pixeron.app.model.Seen;
import pixeron.app.model.Shown;
import pixeron.step.key.ChannelsParameter;

/** How an image with colour is looked at: in colour, one channel of it, or all channels side by side. Hidden where there is no colour. */
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
        together = button(ColourView.TOGETHER.title(), ColourView.TOGETHER.sentence() + " (Alt+0)", group,
                () -> looking.colourViewProperty().set(ColourView.TOGETHER));
        for (String name : ChannelsParameter.ALL) {
            int key = channels.size() + 1;
            channels.put(name, button(Wording.capital(name), "The " + (name.equals("alpha") ? "transparency" : name + " channel")
                    + " as an image of its own (Alt+" + key + ")", group, () -> looking.showChannel(name)));
        }
        apart = button(ColourView.APART.title(), ColourView.APART.sentence() + " (Alt+5)", group,
                () -> looking.colourViewProperty().set(ColourView.APART));
        getChildren().add(together);
        getChildren().addAll(channels.values());
        getChildren().add(apart);
        bench.shownProperty().subscribe(this::render);
        looking.colourViewProperty().subscribe(view -> render(bench.shown()));
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
        boolean hasColour = shown != null && shown.hasColour();
        show(this, hasColour);
        if (!hasColour) {
            return;
        }
        List<String> there = shown.seenAfter().filter(Seen::hasColour).or(shown::seenBefore).map(Seen::names).orElse(List.of());
        channels.forEach((name, button) -> show(button, there.contains(name)));
        Looking looking = bench.looking();
        ToggleButton chosen = switch (looking.colourViewProperty().get()) {
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

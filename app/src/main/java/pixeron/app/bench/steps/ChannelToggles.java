package pixeron.app.bench.steps;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import pixeron.Wording;
import pixeron.step.key.ChannelsParameter;

/** Which channels a step works on: a small toggle for each that there is. One is always on. */
final class ChannelToggles extends HBox {

    private static final List<String> COLOURS = List.of("red", "green", "blue");

    private final Map<String, ToggleButton> toggles = new LinkedHashMap<>();
    private final Runnable onChange;
    /** What was shown last, for toggles that are made anew. */
    private String written = "";

    /** @param onChange runs when a user has switched one on or off */
    ChannelToggles(Runnable onChange) {
        this.onChange = onChange;
        getStyleClass().add("channel-toggles");
        make(ChannelsParameter.ALL);
    }

    private void make(List<String> names) {
        toggles.clear();
        for (String channel : names) {
            // Cb and Cr would be alike with one letter.
            ToggleButton toggle = new ToggleButton(Wording.capital(channel.length() == 2 ? channel : channel.substring(0, 1)));
            toggle.setAccessibleText("Work on " + channel);
            toggle.setTooltip(new Tooltip(channel + ": if selected, the step changes this channel"));
            toggle.setMaxWidth(Double.MAX_VALUE);
            HBox.setHgrow(toggle, javafx.scene.layout.Priority.ALWAYS);
            toggle.setOnAction(event -> switched(toggle));
            toggles.put(channel, toggle);
        }
        getChildren().setAll(toggles.values());
    }

    private void switched(ToggleButton toggle) {
        if (toggles.values().stream().noneMatch(ToggleButton::isSelected)) {
            toggle.setSelected(true);
        } else {
            onChange.run();
        }
    }

    /** @param there the channels that the image before has; none hides all */
    void offer(List<String> there) {
        if (!toggles.keySet().containsAll(there)) {
            String on = written;
            make(there);
            setText(on);
        } else if (!there.isEmpty() && ChannelsParameter.ALL.containsAll(there) && !toggles.keySet().containsAll(ChannelsParameter.ALL)) {
            make(ChannelsParameter.ALL);
            setText(written);
        }
        toggles.forEach((channel, toggle) -> {
            toggle.setVisible(there.contains(channel));
            toggle.setManaged(there.contains(channel));
        });
    }

    /** Returns the names of the channels that are on; empty where they are those of a step that names none. */
    String getText() {
        List<String> on = toggles.keySet().stream().filter(channel -> toggles.get(channel).isSelected()).toList();
        return on.equals(COLOURS) ? "" : on.stream().collect(Collectors.joining(" "));
    }

    /** @param text names of channels; empty: red, green and blue */
    void setText(String text) {
        written = text;
        List<String> on = text.isEmpty() ? COLOURS : List.of(text.split(" "));
        toggles.forEach((channel, toggle) -> toggle.setSelected(on.contains(channel)));
    }

    void focusFirst() {
        toggles.values().iterator().next().requestFocus();
    }
}

package pixeron.app.bench.parts;

import java.util.List;
import java.util.function.IntConsumer;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.FlowPane;

/** The usual maximum levels that hold an image, one click each. */
public final class MaximumChoices extends FlowPane {

    private final IntConsumer choose;

    /**
     * Creates the choices, one for each usual maximum level, none of them selected.
     *
     * @param choose gets the maximum level that was clicked
     */
    public MaximumChoices(IntConsumer choose) {
        this.choose = choose;
        getStyleClass().add("maximum-choices");
    }

    /**
     * Shows the maximum levels.
     *
     * @param maxima smallest first; empty: nothing is shown
     * @param chosen the one that the image has
     */
    public void show(List<Integer> maxima, int chosen) {
        getChildren().setAll(maxima.stream().map(maximum -> button(maximum, maximum == chosen)).toList());
        setVisible(!maxima.isEmpty());
        setManaged(!maxima.isEmpty());
    }

    private ToggleButton button(int maximum, boolean isChosen) {
        ToggleButton button = new ToggleButton(Integer.toString(maximum));
        String words = "Use levels 0–" + maximum;
        button.setTooltip(new Tooltip(words));
        button.setAccessibleText(words);
        button.setSelected(isChosen);
        button.setOnAction(event -> {
            button.setSelected(true);
            choose.accept(maximum);
        });
        return button;
    }
}

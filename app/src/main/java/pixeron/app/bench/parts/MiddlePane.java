package pixeron.app.bench.parts;

import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.beans.value.ObservableValue;
import javafx.scene.Node;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import pixeron.app.sheet.paint.Viewport;

/** The place of the sheets: they, or another view of the same step. */
public final class MiddlePane extends BorderPane {

    /** What can be in the middle. */
    public enum View {
        SHEETS("Sheets", "F3", "Before, After and By hand side by side"),
        TABLE("Table", "F4", "The tables of the step, with your values beside them"),
        HISTOGRAM("Histogram", "Shift+F4", "How often each level occurs: bars, cumulative counts, a table, and counting by hand with a tally"),
        CURVE("Curve", "F5", "Result over input level; drag to change parameters"),
        COMPARE("Compare", "F6", "Two to four results side by side with their differences");

        private final String title;
        private final String key;
        private final String words;

        View(String title, String key, String words) {
            this.title = title;
            this.key = key;
            this.words = words;
        }

        /** Returns its name. */
        public String title() {
            return title;
        }

        /** Returns the key that shows it. */
        public String key() {
            return key;
        }
    }

    /** A view that says where the keyboard goes first. */
    public interface Content {
        /** Returns the control that gets the keyboard when the view is shown. */
        Node first();

        /**
         * Goes on in a walk of this view's own, or back.
         *
         * @return false when there is none
         */
        public default boolean step(int by) {
            return false;
        }

        /**
         * Goes on to the end of a line in a walk of this view's own.
         *
         * @return false when there is none
         */
        public default boolean nextLine() {
            return false;
        }

        /** Returns what its own sheets show of their images; empty when it has none. */
        public default Optional<Viewport> viewport() {
            return Optional.empty();
        }
    }

    /** Returns what the sheets of the view that is shown have of their images; empty when it has none of its own. */
    public Optional<Viewport> viewport() {
        return Withheld.open(made.get(shown.get())) instanceof Content content ? content.viewport() : Optional.empty();
    }

    /** Which view is shown. */
    public ObservableValue<View> shownProperty() {
        return shown;
    }

    /** Goes on in a walk of the view that is shown, if it has one of its own. */
    public boolean step(int by) {
        return Withheld.open(made.get(shown.get())) instanceof Content content && content.step(by);
    }

    /** Goes on to the end of a line in a walk of the view that is shown, if it has one of its own. */
    public boolean nextLine() {
        return Withheld.open(made.get(shown.get())) instanceof Content content && content.nextLine();
    }

    private final StackPane place = new StackPane();
    private final HBox choices = new HBox();
    private final Map<View, Node> made = new EnumMap<>(View.class);
    private final Map<View, Function<ObservableValue<Boolean>, Node>> makers;
    private final Map<View, ToggleButton> buttons = new EnumMap<>(View.class);
    private final ObjectProperty<View> shown = new SimpleObjectProperty<>(View.SHEETS);

    /**
     * Creates the middle of the bench, where one view is shown at a time.
     *
     * @param action is at the right of the choices
     * @param makers make the other views when they are first opened; they get whether they are seen
     */
    public MiddlePane(Node sheets, Node action, Map<View, Function<ObservableValue<Boolean>, Node>> makers) {
        this.makers = makers;
        made.put(View.SHEETS, sheets);
        getStyleClass().add("middle");
        ToggleGroup group = new ToggleGroup();
        choices.getStyleClass().add("views");
        for (View view : View.values()) {
            if (view == View.SHEETS || makers.containsKey(view)) {
                ToggleButton button = new ToggleButton(view.title);
                button.setTooltip(new Tooltip(view.words + " (" + view.key + ")"));
                button.setToggleGroup(group);
                // One of them is always chosen: a second click does not take it away.
                button.setOnAction(event -> show(view));
                buttons.put(view, button);
                choices.getChildren().add(button);
            }
        }
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        choices.getChildren().addAll(gap, action);
        setTop(choices);
        setCenter(place);
        show(View.SHEETS);
    }

    /** In a lecture there are only the sheets. */
    public void setLecture(boolean isOn) {
        if (isOn) {
            show(View.SHEETS);
        }
        setTop(isOn ? null : choices);
    }

    /** Shows a view; makes it when it is shown for the first time. */
    public void show(View view) {
        buttons.get(view).setSelected(true);
        shown.set(view);
        Node node = made.computeIfAbsent(view, wanted -> makers.get(wanted).apply(shown.map(view::equals)));
        place.getChildren().setAll(node);
        if (Withheld.open(node) instanceof Content content) {
            content.first().requestFocus();
        }
    }
}

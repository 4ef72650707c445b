package pixeron.app.model;

import java.util.ArrayList;
import java.util.List;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.beans.property.SimpleObjectProperty;
import pixeron.image.Frame;
import pixeron.image.Pixel;
import pixeron.project.View;

/** How a user looks at what is shown: nothing of it changes the project, and so nothing of it is undone. */
public final class Looking {

    /** How many differ, where, which line of the working, the slip in words: then everything is told. */
    public static final int ALL_HINTS = 4;

    private static final String FIRST_CHANNEL = "red";

    private final ObjectProperty<Display> display = new SimpleObjectProperty<>(Display.PLAIN);
    private final ObjectProperty<Pointed> hover = new SimpleObjectProperty<>();
    private final ObjectProperty<ColorView> colorView = new SimpleObjectProperty<>(ColorView.TOGETHER);
    private final ObjectProperty<String> channel = new SimpleObjectProperty<>(FIRST_CHANNEL);
    private final BooleanProperty packedLoops = new SimpleBooleanProperty(true);
    private final ObjectProperty<Tool> tool = new SimpleObjectProperty<>(Tool.MOVE);
    private final ReadOnlyObjectWrapper<Selection> selection = new ReadOnlyObjectWrapper<>();
    private final ReadOnlyObjectWrapper<List<Pixel>> watched = new ReadOnlyObjectWrapper<>(List.of());

    private final ObjectProperty<Integer> hints = new SimpleObjectProperty<>(View.NO_HINTS);

    Looking() {
    }

    /** How many hints a user has taken who looks for mistakes alone; {@link View#NO_HINTS} when everything is shown. */
    public ObjectProperty<Integer> hintsProperty() {
        return hints;
    }

    /** Returns whether marks, results and slips of filled cells are covered. */
    public boolean isAlone() {
        return hints.get() >= 0 && hints.get() < ALL_HINTS;
    }

    /** Another project is shown: only the display stays as the user chose it. */
    void begin(List<Pixel> followed, int hintsTaken) {
        hints.set(hintsTaken);
        watched.set(followed);
        selection.set(null);
        tool.set(Tool.MOVE);
        hover.set(null);
        colorView.set(ColorView.TOGETHER);
        channel.set(FIRST_CHANNEL);
    }

    /** How values are shown on all sheets. */
    public ObjectProperty<Display> displayProperty() {
        return display;
    }

    public Display display() {
        return display.get();
    }

    /** The pixel under the pointer; null when there is none. */
    public ObjectProperty<Pointed> hoverProperty() {
        return hover;
    }

    /** How an image with color is looked at. */
    public ObjectProperty<ColorView> colorViewProperty() {
        return colorView;
    }

    /** Returns whether a pixel with color is looked at as all its channels. */
    public boolean isWhole() {
        return colorView.get() != ColorView.CHANNEL;
    }

    /** The channel whose levels, tables and curve are shown. */
    public ObjectProperty<String> channelProperty() {
        return channel;
    }

    /** Looks at one channel as an image of its own. */
    public void showChannel(String name) {
        channel.set(name);
        colorView.set(ColorView.CHANNEL);
    }

    /** Whether loops take packed pixels apart with masks and shifts, instead of naming the channels. */
    public BooleanProperty packedLoopsProperty() {
        return packedLoops;
    }

    /** What dragging on a sheet does. */
    public ObjectProperty<Tool> toolProperty() {
        return tool;
    }

    /** The marked rectangle or line; null when nothing is marked. */
    public ReadOnlyObjectProperty<Selection> selectionProperty() {
        return selection.getReadOnlyProperty();
    }

    void mark(Selection marked, Frame frame) {
        selection.set(marked != null && marked.isInside(frame) ? marked : null);
    }

    /** Pixels that are followed through all steps, in the order in which they were chosen. */
    public ReadOnlyObjectProperty<List<Pixel>> watchedProperty() {
        return watched.getReadOnlyProperty();
    }

    /** Begins to follow a pixel, or stops to. */
    public void toggleWatched(Pixel pixel) {
        List<Pixel> changed = new ArrayList<>(watched.get());
        if (!changed.remove(pixel)) {
            changed.add(pixel);
        }
        watched.set(List.copyOf(changed));
    }
}

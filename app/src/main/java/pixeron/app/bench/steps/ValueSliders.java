package pixeron.app.bench.steps;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import javafx.scene.control.Label;
import javafx.scene.control.Slider;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import pixeron.Wording;
import pixeron.number.Decimals;
import pixeron.number.Rational;
import pixeron.step.key.Span;

/**
 * Sliders under the field of a number: one, or one for each channel of a color image. What they are moved to is written into the field; numbers
 * beyond their ends stay in the field as they are.
 */
final class ValueSliders extends VBox {

    private final String title;
    private final Span span;
    private final Consumer<String> write;
    private final Runnable released;
    private final List<Slider> sliders = new ArrayList<>();
    private List<String> channels = List.of();
    private List<Rational> values = List.of();
    private Span here;
    private boolean isShowing;

    /**
     * @param title of the key, for screen readers
     * @param span the numbers that they offer
     * @param write gets a number, or a number for each channel with spaces between them
     * @param released told when the mouse lets go
     */
    ValueSliders(String title, Span span, Consumer<String> write, Runnable released) {
        this.title = title;
        this.span = span;
        this.here = span;
        this.write = write;
        this.released = released;
        getStyleClass().add("value-sliders");
    }

    /**
     * Shows numbers.
     *
     * @param numbers one, or one for each channel; none hides the sliders, because the value is not a number
     * @param names of the channels that can have a number each; fewer than two: one slider
     * @param maximumLevel M of the image before
     */
    void show(List<Rational> numbers, List<String> names, int maximumLevel) {
        boolean isThere = !numbers.isEmpty();
        setVisible(isThere);
        setManaged(isThere);
        if (!isThere) {
            return;
        }
        List<String> wanted = names.size() > 1 ? names : List.of("");
        isShowing = true;
        if (!wanted.equals(channels) || !span.on(maximumLevel).equals(here) || sliders.isEmpty()) {
            channels = wanted;
            here = span.on(maximumLevel);
            make();
        }
        values = channels.stream().map(name -> numbers.get(Math.min(numbers.size() - 1, channels.indexOf(name)))).toList();
        for (int n = 0; n < sliders.size(); n++) {
            if (here.place(values.get(n)) != (int) Math.rint(sliders.get(n).getValue())) {
                sliders.get(n).setValue(here.place(values.get(n)));
            }
        }
        isShowing = false;
    }

    private void make() {
        sliders.clear();
        getChildren().clear();
        for (String channel : channels) {
            // The slider counts steps, so that every number it gives is exact.
            Slider slider = new Slider(0, here.steps(), 0);
            slider.setBlockIncrement(1);
            // The arrow keys of the field do the same; of several channels each is reached by itself.
            slider.setFocusTraversable(channels.size() > 1);
            slider.setAccessibleText(title + (channel.isEmpty() ? "" : ", " + channel));
            int place = sliders.size();
            slider.valueProperty().subscribe(value -> moved(place, (int) Math.rint(value.doubleValue())));
            slider.setOnMouseReleased(event -> released.run());
            HBox.setHgrow(slider, Priority.ALWAYS);
            HBox row = new HBox(slider);
            if (!channel.isEmpty()) {
                Label name = new Label(Wording.capital(channel).substring(0, 1));
                name.getStyleClass().addAll("slider-channel", channel);
                row.getChildren().add(0, name);
            }
            row.getStyleClass().add("slider-row");
            sliders.add(slider);
            getChildren().add(row);
        }
    }

    private void moved(int place, int step) {
        if (!isShowing && place < values.size() && here.place(values.get(place)) != step) {
            take(place, here.at(step));
        }
    }

    private void take(int place, Rational number) {
        List<Rational> changed = new ArrayList<>(values);
        changed.set(place, number);
        values = List.copyOf(changed);
        boolean areAlike = changed.stream().allMatch(number::equals);
        write.accept(areAlike ? Decimals.print(number) : String.join(" ", changed.stream().map(Decimals::print).toList()));
    }

    /** Goes on by some steps, in every channel. */
    void step(int by) {
        if (!values.isEmpty()) {
            values = values.stream().map(value -> here.at(here.place(value) + by)).toList();
            take(0, values.get(0));
        }
    }
}

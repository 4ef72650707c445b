package pixeron.app.bench.counts;

import java.util.Optional;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import pixeron.app.bench.parts.Words;
import pixeron.app.model.Bench;
import pixeron.app.model.Search;
import pixeron.app.model.Shown;
import pixeron.app.theme.Theme;
import pixeron.image.Histogram;

/** How often each level occurs before and after; picking a bar lights its pixels on all sheets. */
public final class LevelsPane extends VBox {

    private final Bench bench;
    private final HistogramPlot plot;
    private final ToggleButton running = toggle("Running", "Running counts as a line, from 0 to all pixels");
    private final ToggleButton logarithmic = toggle("Log", "Bars as high as the logarithm of 1 + count");
    private final TextField width = new TextField("1");
    private final Label note = new Label(" ");
    private int pointed = -1;

    public LevelsPane(Bench bench, Theme theme) {
        this.bench = bench;
        getStyleClass().add("levels");
        plot = new HistogramPlot(theme, this::point, this::pick);
        VBox.setVgrow(plot, Priority.ALWAYS);
        Label before = new Label("■ before");
        before.getStyleClass().add("role-before");
        Label after = new Label("■ after");
        after.getStyleClass().add("role-after");
        width.getStyleClass().addAll("number-field", "bin-field");
        width.setAccessibleText("Levels in a bar");
        width.setTooltip(new Tooltip("Levels in a bar: 1, or more for wider bins"));
        width.textProperty().subscribe(text -> render());
        running.selectedProperty().subscribe(isOn -> render());
        logarithmic.selectedProperty().subscribe(isOn -> render());
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        // The tab says what it is.
        HBox head = new HBox(before, after);
        note.getStyleClass().add("sheet-hint");
        note.setMinWidth(0);
        Label bars = new Label("levels in a bar");
        bars.getStyleClass().add("working-label");
        bars.setLabelFor(width);
        HBox foot = new HBox(running, logarithmic, gap, bars, width);
        for (HBox line : java.util.List.of(head, foot)) {
            line.getStyleClass().add("levels-head");
        }
        for (Region fixed : java.util.List.of(running, logarithmic, bars, width)) {
            fixed.setMinWidth(USE_PREF_SIZE);
        }
        foot.getStyleClass().add("levels-foot");
        getChildren().addAll(head, plot, note, foot);
        bench.shownProperty().subscribe(shown -> render());
        bench.looking().hintsProperty().subscribe(taken -> render());
    }

    private static ToggleButton toggle(String text, String words) {
        ToggleButton button = new ToggleButton(text);
        button.getStyleClass().add("quiet");
        button.setTooltip(new Tooltip(words));
        return button;
    }

    private int width() {
        String text = width.getText().strip();
        return text.matches("[1-9][0-9]{0,4}") ? Integer.parseInt(text) : 1;
    }

    private Optional<Histogram> histogram(boolean isAfter) {
        Shown shown = bench.shown();
        boolean isCovered = isAfter && bench.looking().isAlone();
        return shown == null || isCovered ? Optional.empty()
                : (isAfter ? shown.after() : shown.before()).flatMap(Shown.Described::histogram);
    }

    private void render() {
        Shown shown = bench.shown();
        plot.show(histogram(false), histogram(true), new HistogramPlot.Style(width(), logarithmic.isSelected(),
                running.isSelected()), shown == null ? Optional.empty() : shown.lit().map(Shown.Lit::search));
        point(pointed);
    }

    /** Says the counts of the bar under the pointer; without one, what is lit. */
    private void point(int bin) {
        pointed = bin;
        Shown shown = bench.shown();
        if (shown == null) {
            note.setText(" ");
        } else if (bin >= 0) {
            int low = bin * width();
            int high = low + width() - 1;
            note.setText((width() == 1 ? "level " + low : "levels " + low + "–" + high)
                    + count(false, bin).map(n -> " · before " + n).orElse("")
                    + count(true, bin).map(n -> " · after " + n).orElse(""));
        } else if (shown.lit().isPresent()) {
            note.setText(Words.lit(shown.lit().get()));
        } else {
            boolean isOpen = shown.before().isPresent() && histogram(false).isEmpty()
                    || !bench.looking().isAlone() && shown.after().isPresent() && histogram(true).isEmpty();
            note.setText(isOpen ? "An open image has no levels to count."
                    : "Pick a bar to light its pixels.");
        }
    }

    private Optional<Integer> count(boolean isAfter, int bin) {
        return histogram(isAfter).map(histogram -> histogram.bins(width())).filter(bins -> bin < bins.length)
                .map(bins -> bins[bin]);
    }

    /** Picking the bar that is lit already puts the light out. */
    private void pick(int bin, boolean isAfter) {
        Search wanted = new Search.Levels(isAfter, bin * width(), bin * width() + width() - 1);
        boolean isLit = bench.shown().lit().filter(lit -> lit.search().equals(wanted)).isPresent();
        bench.light(isLit ? Optional.empty() : Optional.of(wanted));
    }
}

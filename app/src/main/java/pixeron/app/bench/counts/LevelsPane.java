package pixeron.app.bench.counts;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import pixeron.app.bench.parts.AskedWord;
import pixeron.app.bench.parts.Words;
import pixeron.app.model.Bench;
import pixeron.app.model.Described;
import pixeron.app.model.Search;
import pixeron.app.model.Seen;
import pixeron.app.model.Shown;
import pixeron.app.theme.ChannelInk;
import pixeron.app.theme.Theme;
import pixeron.image.Histogram;
import pixeron.walk.Tally;

/** How often each level occurs before and after; picking a bar lights its pixels on all sheets. */
public final class LevelsPane extends VBox {

    /** Red, green and blue; alpha is no color, and mostly the same everywhere. */
    private static final int COLOURS = 3;

    private final Bench bench;
    private final HistogramPlot plot;
    private final ToggleButton running = toggle("Cumulative", "Show cumulative counts as a line");
    private final ToggleButton logarithmic = toggle("Log", "Show bars on a logarithmic scale, ln(1 + count)");
    private final TextField width = new TextField("1");
    private final Label note = new Label(" ");
    private final HBox sides = new HBox();
    private final HBox channels = new HBox();
    private final Theme theme;
    private int pointed = -1;
    private Optional<Tally> counted = Optional.empty();

    public LevelsPane(Bench bench, Theme theme) {
        this.bench = bench;
        this.theme = theme;
        getStyleClass().add("levels");
        AskedWord.set(this, "histogram");
        sides.getStyleClass().add("levels-head");
        channels.getStyleClass().add("levels-head");
        plot = new HistogramPlot(theme, this::point, this::pick);
        VBox.setVgrow(plot, Priority.ALWAYS);
        Label before = new Label("■ before");
        before.getStyleClass().add("role-before");
        Label after = new Label("■ after");
        after.getStyleClass().add("role-after");
        width.getStyleClass().addAll("number-field", "bin-field");
        width.setAccessibleText("Levels per bar");
        width.setTooltip(new Tooltip("Levels per bar: 1, or more for wider bins"));
        width.textProperty().subscribe(text -> render());
        running.selectedProperty().subscribe(isOn -> render());
        logarithmic.selectedProperty().subscribe(isOn -> render());
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        // The tab says what it is.
        sides.getChildren().setAll(before, after);
        HBox head = new HBox(sides, channels);
        note.getStyleClass().add("sheet-hint");
        note.setMinWidth(0);
        Label bars = new Label("Bin width");
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
        bench.looking().colorViewProperty().subscribe(view -> render());
        theme.paletteProperty().subscribe(palette -> render());
    }

    /** Begins with the cumulative counts as well. */
    void showRunning() {
        running.setSelected(true);
    }

    /** While a user counts by hand, only what is counted so far is shown. */
    void showCounted(Optional<Tally> tally) {
        boolean isOther = !tally.equals(counted);
        counted = tally;
        if (isOther) {
            render();
        }
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
                : (isAfter ? shown.after() : shown.before()).flatMap(Described::histogram);
    }

    /** The side whose channels are seen as lines: After, or Before where nothing else has color; none while one channel is looked at. */
    private Optional<Seen> inColor() {
        Shown shown = bench.shown();
        if (shown == null || !bench.looking().isWhole()) {
            return Optional.empty();
        }
        Optional<Seen> after = shown.seenAfter().filter(seen -> !bench.looking().isAlone());
        return (after.isPresent() ? after : shown.seenBefore()).filter(Seen::hasColor);
    }

    private List<HistogramPlot.Channel> channels(Seen seen) {
        List<HistogramPlot.Channel> all = new ArrayList<>();
        for (int n = 0; n < Math.min(COLOURS, seen.faces().size()); n++) {
            ChannelInk ink = ChannelInk.of(seen.names().get(n));
            seen.faces().get(n).histogram().ifPresent(counts -> all.add(new HistogramPlot.Channel(ink, counts)));
        }
        return all;
    }

    private void render() {
        Shown shown = bench.shown();
        HistogramPlot.Style style = new HistogramPlot.Style(width(), logarithmic.isSelected(), running.isSelected());
        Optional<Search> lit = shown == null ? Optional.empty() : shown.lit().map(Shown.Lit::search);
        if (counted.isPresent()) {
            show(sides, false);
            show(channels, true);
            Label byHand = new Label("■ counted by hand");
            byHand.getStyleClass().add("role-by-hand");
            channels.getChildren().setAll(byHand);
            plot.showCounted(counted.get().histogram(), Histogram.of(counted.get().image()), style);
            point(pointed);
            return;
        }
        Optional<Seen> color = inColor();
        // Of the image itself there is one side only.
        show(sides, color.isEmpty() && shown != null && shown.position() >= 0);
        show(channels, color.isPresent());
        color.ifPresentOrElse(seen -> {
            List<HistogramPlot.Channel> all = channels(seen);
            channels.getChildren().setAll(all.stream().map(this::legend).toList());
            boolean isBefore = shown.seenBefore().filter(before -> before == seen).isPresent();
            Label side = new Label(isBefore && shown.position() >= 0 ? "before" : isBefore ? "" : "after");
            side.getStyleClass().add(isBefore ? "role-before" : "role-after");
            channels.getChildren().add(0, side);
            plot.show(all, style, lit);
        }, () -> plot.show(histogram(false), histogram(true), style, lit));
        point(pointed);
    }

    private Label legend(HistogramPlot.Channel channel) {
        Label label = new Label(channel.ink().words());
        label.setStyle("-fx-text-fill: " + channel.ink().web(theme) + ";");
        return label;
    }

    private static void show(HBox line, boolean isShown) {
        line.setVisible(isShown);
        line.setManaged(isShown);
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
            String levels = width() == 1 ? "level " + low : "levels " + low + "–" + high;
            note.setText(counted.isPresent() ? levels + " · counted " + counted.get().histogram().bins(width())[bin] : inColor().map(seen -> levels + counts(seen, bin)).orElseGet(() -> levels + count(false, bin).map(n -> (shown.position() < 0 ? " · count " : " · before ") + n).orElse("")
                    + count(true, bin).map(n -> " · after " + n).orElse("")));
        } else if (shown.lit().isPresent()) {
            note.setText(Words.lit(shown.lit().get()) + (shown.hasColor() ? " of " + shown.channel() : ""));
        } else {
            boolean isOpen = shown.before().isPresent() && histogram(false).isEmpty()
                    || !bench.looking().isAlone() && shown.after().isPresent() && histogram(true).isEmpty();
            note.setText(isOpen ? bench.shown().hasSpectrum() ? "A spectrum has no levels to count." : "A real-valued image has no levels to count."
                    : "Pick a bar to highlight its pixels.");
        }
    }

    private String counts(Seen seen, int bin) {
        StringBuilder words = new StringBuilder();
        for (HistogramPlot.Channel channel : channels(seen)) {
            int[] bins = channel.counts().bins(width());
            words.append(" · ").append(channel.ink().channel()).append(' ').append(bin < bins.length ? bins[bin] : 0);
        }
        return words.toString();
    }

    private Optional<Integer> count(boolean isAfter, int bin) {
        return histogram(isAfter).map(histogram -> histogram.bins(width())).filter(bins -> bin < bins.length)
                .map(bins -> bins[bin]);
    }

    /** Picking the bar that is lit already puts the light out. */
    private void pick(int bin, boolean isAfter) {
        // A line of a channel is that of the side that is seen.
        boolean isOfAfter = inColor().map(seen -> bench.shown().seenAfter().filter(after -> after == seen).isPresent()).orElse(isAfter);
        Search wanted = new Search.Levels(isOfAfter, bin * width(), bin * width() + width() - 1);
        boolean isLit = bench.shown().lit().filter(lit -> lit.search().equals(wanted)).isPresent();
        bench.light(isLit ? Optional.empty() : Optional.of(wanted));
    }
}

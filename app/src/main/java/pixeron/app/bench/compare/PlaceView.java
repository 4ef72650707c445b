package pixeron.app.bench.compare;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import javafx.util.StringConverter;
import pixeron.app.bench.counts.HistogramPlot;
import pixeron.app.bench.parts.Words;
import pixeron.app.bench.sheets.SheetKeys;
import pixeron.app.model.Bench;
import pixeron.app.model.Described;
import pixeron.app.model.Display;
import pixeron.app.model.Scale;
import pixeron.app.model.Seen;
import pixeron.app.sheet.Sheet;
import pixeron.app.sheet.SheetFrame;
import pixeron.app.sheet.paint.ColorPainter;
import pixeron.app.sheet.paint.ColorText;
import pixeron.app.sheet.paint.ImagePainter;
import pixeron.app.sheet.paint.Look;
import pixeron.app.sheet.paint.Viewport;
import pixeron.app.theme.Theme;
import pixeron.image.Comparison;
import pixeron.image.Frame;
import pixeron.image.Pixel;
import pixeron.number.Decimals;
import pixeron.project.Project;

/** One place of the comparison: which result it is, its sheet, its counts of levels, what differs from the first. */
final class PlaceView extends VBox {

    private static final double MEASURES = 54;
    /** From this width on there is room beside the sheet. */
    private static final double WIDE = 420;
    /** Less than this has no room for a caption of three numbers, or for those of three channels. */
    private static final double NARROW = 215;
    private static final double NARROW_FOR_CHANNELS = 290;
    private static final double TOLD = 190;

    private final Bench bench;
    private final Theme theme;
    private final ComboBox<Choice> choice = new ComboBox<>();
    private final SheetFrame frame;
    private final HistogramPlot plot;
    private final Label measures = new Label();
    private final VBox told = new VBox();
    private final HBox body = new HBox();
    private boolean isShowing;
    private boolean isMapShown;
    private ShownComparison.Place shown;

    PlaceView(Bench bench, Theme theme, Viewport viewport, int number, Consumer<Choice> onChoose) {
        this.bench = bench;
        this.theme = theme;
        getStyleClass().add("compare-place");
        HBox.setHgrow(this, Priority.ALWAYS);
        setMinWidth(0);
        setPrefWidth(100);
        Sheet sheet = new Sheet("Result " + number, viewport, theme);
        sheet.setOnPick(this::pick);
        sheet.addEventHandler(KeyEvent.KEY_PRESSED, this::moved);
        frame = new SheetFrame(number == 1 ? "First" : "Result " + number, "after", sheet);
        VBox.setVgrow(frame, Priority.ALWAYS);
        choice.setMaxWidth(Double.MAX_VALUE);
        choice.setAccessibleText("Result in position " + number);
        choice.setTooltip(new Tooltip("Choose the result to show here"));
        choice.setConverter(new StringConverter<>() {
            @Override
            public String toString(Choice result) {
                return result == null || bench.project() == null ? "" : result.title(bench.project());
            }

            @Override
            public Choice fromString(String text) {
                return null;
            }
        });
        choice.valueProperty().subscribe(result -> {
            if (result != null && !isShowing) {
                onChoose.accept(result);
            }
        });
        plot = new HistogramPlot(theme, bin -> { }, (bin, isAfter) -> { });
        plot.setMinHeight(64);
        plot.setPrefHeight(64);
        plot.setMaxHeight(64);
        measures.getStyleClass().add("measures");
        measures.setWrapText(true);
        // As high for all, so that the sheets stay level.
        measures.minHeightProperty().bind(theme.scaleProperty().map(scale -> MEASURES * scale));
        told.getStyleClass().add("compare-place");
        told.getChildren().addAll(plot, measures);
        body.getStyleClass().add("compare-place-body");
        HBox.setHgrow(frame, Priority.ALWAYS);
        VBox.setVgrow(body, Priority.ALWAYS);
        arrange(false);
        widthProperty().subscribe(width -> {
            arrange(width.doubleValue() >= WIDE * theme.scale());
            showRange();
            caption();
        });
        bench.pickedProperty().subscribe(pixel -> showPicked());
        bench.positionProperty().subscribe(position -> caption());
    }

    /** Where there is room beside the sheet, what is told is there: the sheet has all of the height. */
    private void arrange(boolean isBeside) {
        if (!getChildren().isEmpty() && isBeside == body.getChildren().contains(told)) {
            return;
        }
        getChildren().clear();
        body.getChildren().clear();
        double width = isBeside ? TOLD * theme.scale() : USE_COMPUTED_SIZE;
        told.setMinWidth(isBeside ? width : 0);
        told.setPrefWidth(width);
        measures.setPrefHeight(isBeside ? USE_COMPUTED_SIZE : MEASURES);
        if (isBeside) {
            body.getChildren().addAll(frame, told);
            getChildren().addAll(choice, body);
        } else {
            body.getChildren().add(frame);
            getChildren().addAll(choice, body, told);
        }
    }

    /** The working below is that of the result in which a user picks. */
    private void pick(Pixel pixel) {
        ownStep().ifPresent(bench::select);
        bench.pick(pixel);
    }

    /** Returns the step of the work whose result is here, where it is one of the branch that is worked on. */
    private Optional<Integer> ownStep() {
        return shown != null && shown.choice() instanceof Choice.OfStep step && step.image().equals(bench.project().open()) && step.branch().equals(bench.project().branch()) ? Optional.of(step.position())
                : Optional.empty();
    }

    /** The keys pick as they do on the sheets. */
    private void moved(KeyEvent event) {
        Optional<Frame> grid = shown == null ? Optional.empty() : shown.seen().map(Seen::frame);
        grid.flatMap(frame -> SheetKeys.target(event, bench.pickedProperty().get(), frame).map(frame::nearest)).ifPresent(next -> {
            pick(next);
            event.consume();
        });
    }

    /** A result of another size may have no such pixel. */
    private void showPicked() {
        Pixel picked = bench.pickedProperty().get();
        boolean isThere = shown == null || shown.seen().filter(found -> found.frame().contains(picked)).isPresent();
        frame.sheet().setPicked(isThere ? picked : null);
        caption();
    }

    private void caption() {
        if (shown != null) {
            boolean isChannel = shown.seen().filter(seen -> seen.isByComponent() || seen.hasColor() && !isInColor(seen)).isPresent();
            boolean isWorked = ownStep().filter(step -> step == bench.position()).isPresent();
            frame.setCaption((isMapShown ? "minus the first · " : "") + (isChannel ? shown.seen().orElseThrow().name(channel()) + " · " : "") + picked(shown)
                    + (isWorked ? " ↓" : ""));
            frame.setCaptionWords(isWorked ? "The working below explains this result" : "Pick a pixel here to see its working below");
        }
    }

    void offer(List<Choice> results, Choice chosen, Project project) {
        isShowing = true;
        List<Choice> all = new ArrayList<>(results);
        if (!all.contains(chosen)) {
            all.add(chosen);
        }
        // Without the step in between the box goes on showing what was there before the list was made anew.
        choice.setValue(null);
        choice.getItems().setAll(all);
        choice.setValue(chosen);
        isShowing = false;
        choice.setAccessibleHelp(chosen.title(project));
    }

    /** @param isDifference whether the signed differences from the first are shown instead of the values */
    void show(ShownComparison.Place place, boolean isDifference) {
        isMapShown = isDifference && place.map().isPresent();
        Optional<Seen> drawn = isMapShown ? place.map() : place.seen();
        frame.sheet().setPainter(drawn.map(seen -> isInColor(seen) ? new ColorPainter(seen, new ColorText(bench.looking().display(), channel(),
                List.of(seen)), look(face(seen)), theme) : new ImagePainter(face(seen), look(face(seen)), theme)).orElse(null));
        frame.setHint(place.seen().isPresent() ? "" : place.problem());
        frame.sheet().setFrame(drawn.map(Seen::frame).orElse(null));
        frame.sheet().callAs(drawn, bench.looking().display().first());
        shown = place;
        showRange();
        showPicked();
        plot.show(Optional.empty(), place.seen().map(this::face).flatMap(Described::histogram),
                new HistogramPlot.Style(1, false, true), Optional.empty());
        measures.setText(place.measures().map(found -> words(found, place)).orElse(place.map().isEmpty()
                && place.problem().isEmpty() ? "the other results are compared with this one" : place.problem()));
    }

    /** Where there is no room for all that is known, the smallest and the largest. */
    private void showRange() {
        frame.setSubtitle(Optional.ofNullable(shown).flatMap(ShownComparison.Place::seen).map(seen -> isInColor(seen)
                ? isNarrower(NARROW_FOR_CHANNELS) ? Words.shortRange(seen) : Words.range(seen)
                : isNarrower(NARROW) ? Words.shortRange(face(seen).facts()) : Words.range(face(seen).facts())).orElse(" "));
    }

    private boolean isNarrower(double width) {
        return getWidth() < width * theme.scale();
    }

    private String channel() {
        return bench.looking().channelProperty().get();
    }

    private Described face(Seen seen) {
        return seen.face(channel());
    }

    /** Differences are no picture: of them one channel is shown. */
    private boolean isInColor(Seen seen) {
        return seen.hasColor() && bench.looking().isWhole() && !isMapShown;
    }

    private String picked(ShownComparison.Place place) {
        Pixel pixel = bench.pickedProperty().get();
        return place.seen().filter(seen -> seen.frame().contains(pixel)).map(seen -> (isInColor(seen) && isNarrower(NARROW_FOR_CHANNELS) ? "" : "picked: ") + (isInColor(seen)
                ? Words.values(seen.result(), pixel) : Decimals.working(face(seen).image().value(pixel)))).orElse("");
    }

    /** Differences are shown around 0: blue below, ochre above. */
    private Look look(Described described) {
        Display display = bench.looking().display();
        if (!isMapShown) {
            return new Look(display, Optional.empty());
        }
        double most = Math.max(1e-9, Math.max(Math.abs(described.facts().smallest().asDouble()),
                Math.abs(described.facts().largest().asDouble())));
        return new Look(Display.PLAIN.withFirst(display.first()).with(Scale.TWO_SIDED)
                .with(new Display.Ends(-most, most)), Optional.empty());
    }

    private String words(Comparison found, ShownComparison.Place place) {
        if (found.differ() == 0) {
            return "the same as the first";
        }
        return found.differ() + " of " + (found.agree() + found.differ()) + (place.seen().filter(Seen::hasColor).isPresent() ? " values" : " pixels") + " changed\nlargest "
                + Decimals.approximate(found.maxAbsolute()) + " at " + Words.place(found.largest(), bench.looking().display()) + "\nMSE "
                + Decimals.approximate(found.mse()) + " · PSNR " + found.psnr().map(psnr -> String.format(
                        java.util.Locale.ROOT, "%.2f dB", psnr)).orElse("∞");
    }
}

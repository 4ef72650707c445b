package pixeron.app.bench.compare;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import javafx.util.StringConverter;
import pixeron.app.bench.counts.HistogramPlot;
import pixeron.app.model.Bench;
import pixeron.app.model.Display;
import pixeron.app.model.Scale;
import pixeron.app.model.Shown;
import pixeron.app.sheet.Sheet;
import pixeron.app.sheet.SheetFrame;
import pixeron.app.sheet.paint.ImagePainter;
import pixeron.app.sheet.paint.Look;
import pixeron.app.sheet.paint.Viewport;
import pixeron.app.theme.Theme;
import pixeron.image.Comparison;
import pixeron.image.Pixel;
import pixeron.number.Decimals;
import pixeron.project.Project;

/** One place of the comparison: which result it is, its sheet, its counts of levels, what differs from the first. */
final class PlaceView extends VBox {

    private static final double MEASURES = 54;

    private final Bench bench;
    private final Theme theme;
    private final ComboBox<Result> choice = new ComboBox<>();
    private final SheetFrame frame;
    private final HistogramPlot plot;
    private final Label measures = new Label();
    private boolean isShowing;
    private boolean isMapShown;
    private ShownComparison.Place shown;

    PlaceView(Bench bench, Theme theme, Viewport viewport, int number, Consumer<Result> onChoose) {
        this.bench = bench;
        this.theme = theme;
        getStyleClass().add("compare-place");
        HBox.setHgrow(this, Priority.ALWAYS);
        setMinWidth(0);
        setPrefWidth(100);
        Sheet sheet = new Sheet("Result " + number, viewport, theme);
        sheet.setOnPick(bench::pick);
        frame = new SheetFrame(number == 1 ? "First" : "Result " + number, "after", sheet);
        VBox.setVgrow(frame, Priority.ALWAYS);
        choice.setMaxWidth(Double.MAX_VALUE);
        choice.setAccessibleText("Result in place " + number);
        choice.setTooltip(new Tooltip("Which result stands here"));
        choice.setConverter(new StringConverter<>() {
            @Override
            public String toString(Result result) {
                return result == null || bench.project() == null ? "" : result.title(bench.project());
            }

            @Override
            public Result fromString(String text) {
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
        measures.setMinHeight(MEASURES);
        measures.setPrefHeight(MEASURES);
        getChildren().addAll(choice, frame, plot, measures);
        bench.pickedProperty().subscribe(pixel -> showPicked());
    }

    /** A result of another size may have no such pixel. */
    private void showPicked() {
        Pixel picked = bench.pickedProperty().get();
        boolean isThere = shown == null || shown.image().filter(found -> found.image().contains(picked)).isPresent();
        frame.sheet().setPicked(isThere ? picked : null);
        caption();
    }

    private void caption() {
        if (shown != null) {
            frame.setCaption((isMapShown ? "minus the first · " : "") + picked(shown));
        }
    }

    void offer(List<Result> results, Result chosen, Project project) {
        isShowing = true;
        List<Result> all = new ArrayList<>(results);
        if (!all.contains(chosen)) {
            all.add(chosen);
        }
        // Without the step in between the box goes on showing what stood there before the list was made anew.
        choice.setValue(null);
        choice.getItems().setAll(all);
        choice.setValue(chosen);
        isShowing = false;
        choice.setAccessibleHelp(chosen.title(project));
    }

    /** @param isDifference whether the signed differences from the first are shown instead of the values */
    void show(ShownComparison.Place place, boolean isDifference) {
        boolean isMap = isDifference && place.map().isPresent();
        Optional<Shown.Described> drawn = isMap ? place.map() : place.image();
        frame.sheet().setPainter(drawn.map(described -> new ImagePainter(described, look(described, isMap), theme))
                .orElse(null));
        frame.setHint(place.image().isPresent() ? "" : place.problem());
        frame.setSubtitle(place.image().map(described -> pixeron.app.bench.parts.Words.range(described.facts())).orElse(" "));
        frame.sheet().setFrame(drawn.map(described -> described.image().frame()).orElse(null));
        shown = place;
        isMapShown = isMap;
        showPicked();
        plot.show(Optional.empty(), place.image().flatMap(Shown.Described::histogram),
                new HistogramPlot.Style(1, false, false), Optional.empty());
        measures.setText(place.measures().map(found -> words(found, place)).orElse(place.map().isEmpty()
                && place.problem().isEmpty() ? "the others are compared with this one" : place.problem()));
    }

    private String picked(ShownComparison.Place place) {
        Pixel pixel = bench.pickedProperty().get();
        return place.image().map(Shown.Described::image).filter(image -> image.contains(pixel))
                .map(image -> "picked: " + Decimals.working(image.value(pixel))).orElse("");
    }

    /** Differences are shown around 0: blue below, ochre above. */
    private Look look(Shown.Described described, boolean isMap) {
        Display display = bench.looking().display();
        if (!isMap) {
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
        return found.differ() + " of " + (found.agree() + found.differ()) + " pixels changed · largest "
                + Decimals.approximate(found.maxAbsolute()) + " at " + pixeron.app.bench.parts.Words.place(found.largest(), bench.looking().display()) + "\nMSE "
                + Decimals.approximate(found.mse()) + " · PSNR " + found.psnr().map(psnr -> String.format(
                        java.util.Locale.ROOT, "%.2f dB", psnr)).orElse("∞");
    }
}

package pixeron.app.bench.pixels;

import javafx.beans.value.ObservableValue;
import javafx.geometry.VPos;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import javafx.scene.text.Font;
import javafx.scene.text.TextAlignment;
import pixeron.app.bench.parts.Titles;
import pixeron.app.bench.parts.WhenSeen;
import pixeron.app.model.Bench;
import pixeron.app.model.Described;
import pixeron.app.model.Shown;
import pixeron.app.theme.Palette;
import pixeron.app.theme.Theme;
import pixeron.image.Area;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.look.AreaStatistics;
import pixeron.number.Decimals;

/** The values around the picked pixel, large, with their least, greatest, mean and median. */
final class NeighborhoodPart extends HBox {

    private static final double SIDE = 150;
    private static final double LARGEST_TYPE = 15;
    private static final int SMALLEST = 3;
    private static final int LARGEST = 11;

    private final Bench bench;
    private final Theme theme;
    private final ComboBox<Integer> size = new ComboBox<>();
    private final ComboBox<String> sheet = new ComboBox<>();
    private final Canvas canvas = new Canvas(SIDE, SIDE);
    private final Label statistics = new Label();

    NeighborhoodPart(Bench bench, Theme theme, ObservableValue<Boolean> isSeen) {
        WhenSeen seen = new WhenSeen(isSeen, this::render);
        this.bench = bench;
        this.theme = theme;
        getStyleClass().add("neighborhood");
        for (int n = SMALLEST; n <= LARGEST; n += 2) {
            size.getItems().add(n);
        }
        size.setValue(SMALLEST);
        size.setConverter(new Titles<>(n -> n + " × " + n));
        size.setMinWidth(USE_PREF_SIZE);
        sheet.setMinWidth(USE_PREF_SIZE);
        size.setTooltip(new Tooltip("Rows and columns of the neighborhood"));
        size.setAccessibleText("Rows and columns of the neighborhood");
        sheet.getItems().setAll("Before", "After");
        sheet.setValue("Before");
        sheet.setAccessibleText("Sheet of the neighborhood");
        size.valueProperty().subscribe(n -> seen.request());
        sheet.valueProperty().subscribe(name -> seen.request());
        statistics.getStyleClass().add("sheet-hint");
        HBox choices = new HBox(sheet, size);
        choices.getStyleClass().add("part-head");
        VBox beside = new VBox(choices, statistics);
        beside.getStyleClass().add("part");
        getChildren().addAll(canvas, beside);
        setMinWidth(USE_PREF_SIZE);
        bench.shownProperty().subscribe(shown -> seen.request());
        bench.pickedProperty().subscribe(pixel -> seen.request());
        bench.looking().displayProperty().subscribe(display -> seen.request());
        theme.paletteProperty().subscribe(palette -> seen.request());
    }

    private void render() {
        GraphicsContext graphics = canvas.getGraphicsContext2D();
        graphics.clearRect(0, 0, SIDE, SIDE);
        statistics.setText("");
        Shown shown = bench.shown();
        if (shown == null || size.getValue() == null) {
            return;
        }
        boolean isAfter = "After".equals(sheet.getValue()) || shown.before().isEmpty();
        Pixel picked = isAfter ? bench.pickedProperty().get() : bench.pickedBeforeProperty().get();
        (isAfter ? shown.after() : shown.before()).map(Described::image)
                .filter(image -> picked != null && image.contains(picked)).ifPresent(image -> {
                    paint(graphics, image, picked, isAfter);
                    Area area = Area.around(picked, size.getValue(), image);
                    AreaStatistics all = AreaStatistics.of(image, area);
                    statistics.setText("min " + Decimals.approximate(all.smallest())
                            + "\nmax " + Decimals.approximate(all.largest())
                            + "\nmean " + Decimals.approximate(all.mean())
                            + "\nmedian " + Decimals.approximate(all.median())
                            + (all.count() < size.getValue() * size.getValue() ? "\n" + all.count()
                            + " cells are inside" : ""));
                });
    }

    private void paint(GraphicsContext graphics, Image image, Pixel picked, boolean isAfter) {
        Palette palette = theme.palette();
        int n = size.getValue();
        double cell = Math.floor(SIDE / n);
        graphics.setTextAlign(TextAlignment.CENTER);
        graphics.setTextBaseline(VPos.CENTER);
        for (int a = 0; a < n; a++) {
            for (int b = 0; b < n; b++) {
                Pixel pixel = new Pixel(picked.row() + a - n / 2, picked.column() + b - n / 2);
                graphics.setFill(image.contains(pixel) ? palette.panel() : palette.paper());
                graphics.fillRect(b * cell, a * cell, cell, cell);
                graphics.setStroke(palette.line());
                graphics.strokeRect(b * cell + 0.5, a * cell + 0.5, cell - 1, cell - 1);
                if (image.contains(pixel)) {
                    String text = bench.looking().display().base().text(image.value(pixel), image.maximumLevel());
                    graphics.setFont(Font.font(Theme.NUMBERS, Math.min(LARGEST_TYPE,
                            (cell - 3) / (0.6 * text.length()))));
                    graphics.setFill(isAfter ? palette.after() : palette.before());
                    graphics.fillText(text, (b + 0.5) * cell, (a + 0.5) * cell);
                }
            }
        }
        graphics.setStroke(palette.picked());
        graphics.setLineWidth(2);
        graphics.strokeRect(n / 2 * cell + 1, n / 2 * cell + 1, cell - 2, cell - 2);
        graphics.setLineWidth(1);
    }
}

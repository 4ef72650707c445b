package pixeron.app.bench;

import java.util.Optional;
import javafx.geometry.VPos;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import javafx.scene.paint.Color;
import javafx.scene.text.Font;
import javafx.scene.text.TextAlignment;
import pixeron.app.model.Bench;
import pixeron.app.model.Shown;
import pixeron.app.theme.Theme;
import pixeron.image.Histogram;

/** How often each level occurs before and after, as bars. */
final class LevelsPane extends VBox {

    private static final double AXIS = 20;
    private static final int LABELS = 4;
    private static final int FEW_LEVELS = 16;

    private final Bench bench;
    private final Theme theme;
    private final Canvas canvas = new Canvas();
    private final Label note = new Label();

    LevelsPane(Bench bench, Theme theme) {
        this.bench = bench;
        this.theme = theme;
        getStyleClass().add("levels");
        Label title = new Label("Levels");
        title.getStyleClass().add("sheet-title");
        Label before = new Label("■ before");
        before.getStyleClass().add("role-before");
        Label after = new Label("■ after");
        after.getStyleClass().add("role-after");
        HBox head = new HBox(title, before, after);
        head.getStyleClass().add("levels-head");
        note.getStyleClass().add("sheet-hint");
        note.setWrapText(true);
        Pane plot = new Pane(canvas) {
            @Override
            protected void layoutChildren() {
                canvas.setWidth(getWidth());
                canvas.setHeight(getHeight());
                paint();
            }
        };
        plot.setMinSize(0, 0);
        VBox.setVgrow(plot, Priority.ALWAYS);
        getChildren().addAll(head, note, plot);
        bench.shownProperty().subscribe(shown -> paint());
        theme.paletteProperty().subscribe(palette -> paint());
    }

    private void paint() {
        GraphicsContext graphics = canvas.getGraphicsContext2D();
        graphics.clearRect(0, 0, canvas.getWidth(), canvas.getHeight());
        Shown shown = bench.shown();
        if (shown == null) {
            return;
        }
        Optional<Histogram> before = shown.before().flatMap(Shown.Described::histogram);
        Optional<Histogram> after = shown.after().flatMap(Shown.Described::histogram);
        boolean isOpen = shown.before().isPresent() && before.isEmpty() || shown.after().isPresent() && after.isEmpty();
        note.setText(isOpen ? "An open image has values, not levels; they are not counted." : "");
        note.setManaged(isOpen);
        int maximum = Math.max(before.map(Histogram::maximumLevel).orElse(0),
                after.map(Histogram::maximumLevel).orElse(0));
        double tallest = Math.max(before.map(Histogram::tallest).orElse(0), after.map(Histogram::tallest).orElse(0));
        if (maximum > 0 && canvas.getHeight() > 2 * AXIS) {
            before.ifPresent(h -> paintBars(graphics, h, maximum, tallest, 0, theme.palette().before()));
            after.ifPresent(h -> paintBars(graphics, h, maximum, tallest, 1, theme.palette().after()));
            paintAxis(graphics, maximum);
        }
    }

    /** Few levels: two bars side by side for each; many: thin bars over one another. */
    private void paintBars(GraphicsContext graphics, Histogram histogram, int maximum, double tallest, int place,
            Color color) {
        double slot = canvas.getWidth() / (maximum + 1);
        boolean isFew = maximum < FEW_LEVELS;
        double width = isFew ? slot * 0.4 : Math.max(1, slot * 0.8);
        double height = canvas.getHeight() - AXIS - 12;
        graphics.setFill(isFew ? color : color.deriveColor(0, 1, 1, 0.8));
        graphics.setFont(Font.font(Theme.NUMBERS, 10));
        graphics.setTextAlign(TextAlignment.CENTER);
        graphics.setTextBaseline(VPos.BOTTOM);
        for (int level = 0; level <= histogram.maximumLevel(); level++) {
            int count = histogram.count(level);
            if (count > 0) {
                double x = level * slot + (isFew ? slot * (0.08 + 0.44 * place) : 0);
                double tall = Math.max(1, height * count / tallest);
                graphics.fillRect(x, canvas.getHeight() - AXIS - tall, width, tall);
                if (isFew && width > 10) {
                    graphics.fillText(Integer.toString(count), x + width / 2, canvas.getHeight() - AXIS - tall);
                }
            }
        }
    }

    private void paintAxis(GraphicsContext graphics, int maximum) {
        double y = canvas.getHeight() - AXIS;
        graphics.setStroke(theme.palette().line());
        graphics.strokeLine(0, y + 0.5, canvas.getWidth(), y + 0.5);
        graphics.setFill(theme.palette().soft());
        graphics.setFont(Font.font(Theme.NUMBERS, 11 * theme.scale()));
        graphics.setTextBaseline(VPos.TOP);
        double slot = canvas.getWidth() / (maximum + 1);
        int labels = maximum < FEW_LEVELS ? maximum : LABELS;
        for (int n = 0; n <= labels; n++) {
            int level = (int) ((long) (maximum + (maximum < FEW_LEVELS ? 0 : 1)) * n / labels);
            level = Math.min(maximum, level);
            boolean isWide = maximum >= FEW_LEVELS;
            graphics.setTextAlign(!isWide ? TextAlignment.CENTER : n == 0 ? TextAlignment.LEFT
                    : n == labels ? TextAlignment.RIGHT : TextAlignment.CENTER);
            double x = !isWide || n > 0 && n < labels ? (level + 0.5) * slot : n == 0 ? 0 : canvas.getWidth();
            graphics.fillText(Integer.toString(level), x, y + 4);
        }
    }
}

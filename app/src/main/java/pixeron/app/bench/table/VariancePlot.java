package pixeron.app.bench.table;

import java.util.Optional;
import javafx.geometry.VPos;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.layout.Region;
import javafx.scene.text.Font;
import javafx.scene.text.TextAlignment;
import pixeron.app.theme.Palette;
import pixeron.app.theme.Theme;
import pixeron.image.Histogram;
import pixeron.number.Value;
import pixeron.working.Table;

/** The variance between the classes over every limit t, above the counts of levels; a line stands at the t that is taken. */
final class VariancePlot extends Region {

    private static final double AXIS = 18;
    private static final double HEIGHT = 120;

    private final Theme theme;
    private final Canvas canvas = new Canvas();
    private Table table;
    private Histogram counts;

    VariancePlot(Theme theme) {
        this.theme = theme;
        getStyleClass().add("variance-plot");
        getChildren().add(canvas);
        setMinHeight(HEIGHT);
        setPrefHeight(HEIGHT);
        setAccessibleText("Variance between the classes over the limit t");
        theme.paletteProperty().subscribe(palette -> paint());
    }

    void hide() {
        setVisible(false);
        setManaged(false);
    }

    void show(Table otsu, Optional<Histogram> histogram) {
        table = otsu;
        counts = histogram.orElse(null);
        setVisible(true);
        setManaged(true);
        paint();
    }

    @Override
    protected void layoutChildren() {
        canvas.relocate(10, 6);
        canvas.setWidth(Math.max(1, getWidth() - 20));
        canvas.setHeight(Math.max(1, getHeight() - 10));
        paint();
    }

    private void paint() {
        GraphicsContext graphics = canvas.getGraphicsContext2D();
        graphics.clearRect(0, 0, canvas.getWidth(), canvas.getHeight());
        if (table == null || counts == null) {
            return;
        }
        Palette palette = theme.palette();
        double slot = canvas.getWidth() / (counts.maximumLevel() + 1);
        double room = canvas.getHeight() - AXIS - 16;
        double ground = canvas.getHeight() - AXIS;
        graphics.setFill(palette.line());
        for (int level = 0; level <= counts.maximumLevel(); level++) {
            double tall = room * counts.count(level) / counts.tallest();
            graphics.fillRect(level * slot, ground - tall, Math.max(1, slot * 0.8), tall);
        }
        double[] x = new double[table.rows().size()];
        double[] y = new double[x.length];
        int best = 0;
        for (int row = 0; row < x.length; row++) {
            x[row] = (table.rows().get(row).get(0).asDouble() + 0.5) * slot;
            y[row] = exact(row).asDouble();
            best = exact(row).compareValue(exact(best)) > 0 ? row : best;
        }
        double largest = Math.max(Double.MIN_NORMAL, y[best]);
        for (int row = 0; row < y.length; row++) {
            y[row] = ground - room * y[row] / largest;
        }
        graphics.setStroke(palette.after());
        graphics.setLineWidth(2);
        graphics.strokePolyline(x, y, x.length);
        double at = x[best] + slot / 2;
        graphics.setStroke(palette.picked());
        graphics.strokeLine(at, 12, at, ground);
        graphics.setLineWidth(1);
        graphics.setFont(Font.font(Theme.NUMBERS, 11 * theme.scale()));
        graphics.setFill(palette.ink());
        graphics.setTextBaseline(VPos.TOP);
        boolean isRight = at > canvas.getWidth() / 2;
        graphics.setTextAlign(isRight ? TextAlignment.RIGHT : TextAlignment.LEFT);
        graphics.fillText("t = " + table.key(best), at + (isRight ? -5 : 5), 0);
        graphics.setFill(palette.soft());
        graphics.setTextAlign(TextAlignment.LEFT);
        graphics.fillText("0", 0, ground + 4);
        graphics.setTextAlign(TextAlignment.RIGHT);
        graphics.fillText(Integer.toString(counts.maximumLevel()), canvas.getWidth(), ground + 4);
    }

    private Value exact(int row) {
        return table.value(row, "between").orElseThrow();
    }
}

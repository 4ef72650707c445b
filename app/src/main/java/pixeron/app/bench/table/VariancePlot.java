package pixeron.app.bench.table;

import java.util.Optional;
import javafx.geometry.Insets;
import javafx.geometry.VPos;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.text.TextAlignment;
import pixeron.app.bench.parts.Plot;
import pixeron.app.theme.Palette;
import pixeron.app.theme.Theme;
import pixeron.image.Histogram;
import pixeron.number.Value;
import pixeron.working.Table;

/** The variance between the classes over every limit t, above the counts of levels; a line is at the t that is taken. */
final class VariancePlot extends Plot {

    private static final double AXIS = 18;
    private static final double HEIGHT = 120;

    private Table table;
    private Histogram counts;

    VariancePlot(Theme theme) {
        super(theme, "variance-plot", new Insets(6, 10, 4, 10));
        setMinHeight(HEIGHT);
        setPrefHeight(HEIGHT);
        setAccessibleText("Between-class variance over the threshold t");
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
    protected void paint(GraphicsContext graphics, Palette palette) {
        if (table == null || counts == null) {
            return;
        }
        double slot = across() / (counts.maximumLevel() + 1);
        double room = tall() - AXIS - 16;
        double ground = tall() - AXIS;
        bars(graphics, counts, palette.line(), room, (level, tall) ->
                graphics.fillRect(level * slot, ground - tall, Math.max(1, slot * 0.8), tall));
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
        graphics.setFont(numbers());
        graphics.setFill(palette.ink());
        graphics.setTextBaseline(VPos.TOP);
        boolean isRight = at > across() / 2;
        graphics.setTextAlign(isRight ? TextAlignment.RIGHT : TextAlignment.LEFT);
        graphics.fillText("t = " + table.key(best), at + (isRight ? -5 : 5), 0);
        graphics.setFill(palette.soft());
        graphics.setTextAlign(TextAlignment.LEFT);
        graphics.fillText("0", 0, ground + 4);
        graphics.setTextAlign(TextAlignment.RIGHT);
        graphics.fillText(Integer.toString(counts.maximumLevel()), across(), ground + 4);
    }

    private Value exact(int row) {
        return table.value(row, "between").orElseThrow();
    }
}

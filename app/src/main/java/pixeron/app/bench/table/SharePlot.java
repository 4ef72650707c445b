package pixeron.app.bench.table;

import java.util.Optional;
import java.util.function.Consumer;
import javafx.geometry.Insets;
import javafx.geometry.VPos;
import javafx.scene.Cursor;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.input.MouseEvent;
import javafx.scene.text.TextAlignment;
import pixeron.app.bench.parts.Plot;
import pixeron.app.theme.Palette;
import pixeron.app.theme.Theme;
import pixeron.number.Decimals;
import pixeron.number.Value;
import pixeron.step.Step;
import pixeron.step.TableChoice;
import pixeron.working.Table;

/** Singular values as bars with their cumulative share as a line above and the mean squared error dashed; the last one that is kept is dragged. */
final class SharePlot extends Plot {

    private static final double AXIS = 18;
    private static final double HEAD = 16;
    private static final double HEIGHT = 120;
    private static final double WIDEST = 40;
    /** So many bars could be where the words about the lines do. */
    private static final int LEGEND = 5;

    private final Consumer<Step> change;
    private final Runnable end;
    private Table table;
    private Optional<TableChoice> choice = Optional.empty();

    /**
     * @param change gets the step when another row is taken
     * @param end told when the pointer is let go
     */
    SharePlot(Theme theme, Consumer<Step> change, Runnable end) {
        super(theme, "variance-plot", new Insets(6, 10, 4, 10));
        this.change = change;
        this.end = end;
        setMinHeight(HEIGHT);
        setPrefHeight(HEIGHT);
        addEventHandler(MouseEvent.MOUSE_PRESSED, this::take);
        addEventHandler(MouseEvent.MOUSE_DRAGGED, this::take);
        addEventHandler(MouseEvent.MOUSE_RELEASED, event -> this.end.run());
    }

    void hide() {
        setVisible(false);
        setManaged(false);
    }

    void show(Table shown, Optional<TableChoice> taken) {
        table = shown;
        choice = taken;
        setVisible(true);
        setManaged(true);
        setCursor(taken.isPresent() ? Cursor.H_RESIZE : Cursor.DEFAULT);
        setAccessibleText("Singular values" + taken.map(found -> ", " + (found.row() + 1) + " of " + shown.rows().size() + " are kept; drag to keep more or fewer").orElse(""));
        paint();
    }

    private double slot() {
        return Math.min(WIDEST, across() / table.rows().size());
    }

    private void take(MouseEvent event) {
        if (table == null || choice.isEmpty()) {
            return;
        }
        int row = (int) Math.max(0, Math.min(table.rows().size() - 1, Math.floor((event.getX() - getInsets().getLeft() - 10) / slot())));
        if (row != choice.get().row()) {
            change.accept(choice.get().taking().apply(row));
        }
    }

    @Override
    protected void paint(GraphicsContext graphics, Palette palette) {
        if (table == null) {
            return;
        }
        int count = table.rows().size();
        int kept = choice.map(TableChoice::row).orElse(count - 1);
        double ground = tall() - AXIS;
        double room = ground - HEAD;
        double largest = Math.max(Double.MIN_NORMAL, value(0, "sigma"));
        double[] x = new double[count];
        double[] y = new double[count];
        for (int row = 0; row < count; row++) {
            double left = row * slot();
            double tall = Math.max(1, room * value(row, "sigma") / largest);
            graphics.setFill(row <= kept ? palette.after() : palette.line());
            graphics.fillRect(left + slot() * 0.15, ground - tall, Math.max(1, slot() * 0.7), tall);
            x[row] = left + slot() / 2;
            y[row] = ground - room * value(row, share());
        }
        graphics.setStroke(palette.ink());
        graphics.setLineWidth(1.5);
        graphics.strokePolyline(x, y, count);
        choice.ifPresent(found -> errors(graphics, palette, found, x, ground, room));
        double at = (kept + 1) * slot();
        graphics.setStroke(palette.picked());
        graphics.setLineWidth(2);
        graphics.strokeLine(at, 0, at, ground);
        graphics.setLineWidth(1);
        write(graphics, palette, kept, at, ground);
    }

    /** What is left of the error, dashed, from that of one value on. */
    private static void errors(GraphicsContext graphics, Palette palette, TableChoice choice, double[] x, double ground, double room) {
        double largest = choice.errors().stream().mapToDouble(Value::asDouble).max().orElse(0);
        double[] y = choice.errors().stream().mapToDouble(error -> ground - (largest == 0 ? 0 : room * error.asDouble() / largest)).toArray();
        graphics.setStroke(palette.differ());
        graphics.setLineDashes(5, 3);
        graphics.strokePolyline(x, y, x.length);
        graphics.setLineDashes();
    }

    private void write(GraphicsContext graphics, Palette palette, int kept, double at, double ground) {
        graphics.setFont(numbers());
        graphics.setTextBaseline(VPos.TOP);
        graphics.setFill(palette.ink());
        String words = "k = " + (kept + 1) + ", " + table.kind().column(share()) + " " + Decimals.approximate(table.value(kept, share()).orElseThrow()) + ", " + table.value(kept, "numbers").map(Decimals::working)
                .orElse("") + " of " + pixels() + " numbers" + choice.map(found -> ", MSE " + Decimals.approximate(found.errors().get(kept))).orElse("");
        boolean isRight = at > across() / 2;
        write(graphics, words, isRight ? TextAlignment.RIGHT : TextAlignment.LEFT, at + (isRight ? -6 : 6), 0);
        graphics.setFill(palette.soft());
        // Behind the last bar, where there is room.
        if ((table.rows().size() + LEGEND) * slot() < across()) {
            double legend = table.rows().size() * slot() + 12;
            write(graphics, "line: " + table.kind().column(share()), TextAlignment.LEFT, legend, ground - 30);
            write(graphics, "dashed: mean squared error", TextAlignment.LEFT, legend, ground - 14);
        }
        write(graphics, "1", TextAlignment.CENTER, slot() / 2, ground + 4);
        write(graphics, Integer.toString(table.rows().size()), TextAlignment.CENTER, (table.rows().size() - 0.5) * slot(), ground + 4);
    }

    /** All numbers of the image: those stored, by their ratio to all. */
    private String pixels() {
        return Long.toString(Math.round(value(0, "numbers") / value(0, "ratio")));
    }

    private String share() {
        return choice.map(TableChoice::share).orElse("running");
    }

    private double value(int row, String column) {
        return table.value(row, column).orElseThrow().asDouble();
    }
}

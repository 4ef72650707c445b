package pixeron.app.bench.curve;

import java.util.Optional;
import javafx.geometry.Insets;
import javafx.geometry.VPos;
import javafx.scene.Cursor;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import javafx.scene.paint.Color;
import javafx.scene.text.TextAlignment;
import pixeron.app.bench.parts.Plot;
import pixeron.app.theme.Palette;
import pixeron.app.theme.Theme;
import pixeron.image.Histogram;
import pixeron.number.Rational;
import pixeron.step.Handle;
import pixeron.step.Mapping;

/** Draws a curve with the counts of levels along its axes, and lets its handles be dragged. */
public final class CurvePlot extends Plot {

    private static final double LEFT = 92;
    private static final double BOTTOM = 76;
    private static final double TOP = 26;
    private static final double RIGHT = 18;
    private static final double BARS = 44;
    private static final double GRIP = 6;
    private static final double REACH = 11;
    /** Fewer levels are drawn as dots, each a level of its own. */
    private static final int FEW_LEVELS = 64;

    /** What a user does with the plot. */
    public interface Listener {
        void drag(Handle handle, Rational level, Rational result);

        void endDrag();

        /** A place without a handle was clicked twice. */
        void add(Rational level, Rational result);

        void remove(Handle handle);
    }

    private final Listener listener;
    /** Null where there is none. */
    private PlottedCurve curve;
    private int pickedLevel = -1;
    private Optional<Handle> held = Optional.empty();
    private String chosen = "";

    public CurvePlot(Theme theme, Listener listener) {
        super(theme, "curve-plot", Insets.EMPTY);
        this.listener = listener;
        setMinSize(0, 0);
        setFocusTraversable(true);
        focusedProperty().subscribe(isFocused -> paint());
        addEventHandler(MouseEvent.MOUSE_PRESSED, this::pressed);
        addEventHandler(MouseEvent.MOUSE_DRAGGED, event -> held.ifPresent(handle ->
                listener.drag(handle, level(event.getX()), result(event.getY()))));
        addEventHandler(MouseEvent.MOUSE_RELEASED, event -> {
            held.ifPresent(handle -> listener.endDrag());
            held = Optional.empty();
        });
        addEventHandler(MouseEvent.MOUSE_MOVED, event -> setCursor(at(event.getX(), event.getY()).isPresent()
                ? Cursor.HAND : Cursor.DEFAULT));
        addEventHandler(KeyEvent.KEY_PRESSED, this::keyPressed);
    }

    /**
     * Shows a curve.
     *
     * @param newCurve empty for none
     * @param level the level of the picked pixel, −1 for none
     */
    public void show(Optional<PlottedCurve> newCurve, int level) {
        curve = newCurve.orElse(null);
        pickedLevel = level;
        setAccessibleText("Curve of the step: " + (curve == null || curve.handles().isEmpty() ? "nothing to drag"
                : "Page keys choose a handle, arrow keys move it; chosen: " + chosenHandle().map(Handle::name).orElse("none")));
        paint();
    }

    private void pressed(MouseEvent event) {
        if (curve == null) {
            return;
        }
        requestFocus();
        held = at(event.getX(), event.getY());
        held.ifPresent(handle -> chosen = handle.name());
        if (event.getClickCount() == 2 && held.isEmpty()) {
            listener.add(level(event.getX()), result(event.getY()));
        }
        paint();
    }

    private Optional<Handle> chosenHandle() {
        return curve == null ? Optional.empty() : curve.handles().stream().filter(h -> h.name().equals(chosen)).findFirst()
                .or(() -> curve.handles().stream().findFirst());
    }

    private void keyPressed(KeyEvent event) {
        Optional<Handle> handle = chosenHandle();
        if (handle.isEmpty()) {
            return;
        }
        int at = curve.handles().indexOf(handle.get());
        int size = curve.handles().size();
        switch (event.getCode()) {
            case PAGE_UP -> choose((at + size - 1) % size);
            case PAGE_DOWN -> choose((at + 1) % size);
            case LEFT -> move(handle.get(), -1, 0);
            case RIGHT -> move(handle.get(), 1, 0);
            case UP -> move(handle.get(), 0, 1);
            case DOWN -> move(handle.get(), 0, -1);
            case DELETE, BACK_SPACE -> listener.remove(handle.get());
            default -> {
                return;
            }
        }
        event.consume();
    }

    private void choose(int index) {
        chosen = curve.handles().get(index).name();
        paint();
    }

    private void move(Handle handle, int across, int up) {
        Rational result = handle.result().map(value -> Rational.of(Math.round(value.asDouble()))).orElse(Rational.ZERO);
        listener.drag(handle, handle.level().plus(Rational.of(across)), result.plus(Rational.of(up)));
    }

    private Optional<Handle> at(double x, double y) {
        if (curve == null) {
            return Optional.empty();
        }
        Handle nearest = null;
        double least = REACH;
        for (Handle handle : curve.handles()) {
            double across = Math.abs(x(handle.level().asDouble()) - x);
            double distance = handle.result().map(result -> Math.hypot(across, y(result.asDouble()) - y)).orElse(
                    y >= TOP ? across : REACH);
            if (distance < least) {
                least = distance;
                nearest = handle;
            }
        }
        return Optional.ofNullable(nearest);
    }

    private double plotWidth() {
        return Math.max(1, across() - LEFT - RIGHT);
    }

    private double plotHeight() {
        return Math.max(1, tall() - TOP - BOTTOM);
    }

    private int resultMaximum() {
        return curve.mapping().resultMaximum();
    }

    private double x(double level) {
        return LEFT + plotWidth() * level / curve.maximum();
    }

    private double y(double result) {
        double inside = Math.max(-0.06, Math.min(1.06, result / resultMaximum()));
        return TOP + plotHeight() * (1 - inside);
    }

    private Rational level(double x) {
        return Rational.of(Math.max(0, Math.min(curve.maximum(), Math.round((x - LEFT) / plotWidth()
                * curve.maximum()))));
    }

    private Rational result(double y) {
        return Rational.of(Math.max(0, Math.min(resultMaximum(), Math.round((1 - (y - TOP) / plotHeight())
                * resultMaximum()))));
    }

    @Override
    protected void paint(GraphicsContext graphics, Palette palette) {
        if (curve == null || tall() < BOTTOM + TOP + 40) {
            return;
        }
        Mapping mapping = curve.mapping();
        paintGround(graphics, palette);
        paintClipped(graphics, mapping, palette);
        curve.before().ifPresent(counts -> paintCounts(graphics, counts, palette.before(), true));
        curve.after().ifPresent(counts -> paintCounts(graphics, counts, palette.after(), false));
        paintCurve(graphics, mapping, palette);
        paintPicked(graphics, mapping, palette);
        curve.handles().forEach(handle -> paintHandle(graphics, handle, palette));
    }

    private void paintGround(GraphicsContext graphics, Palette palette) {
        graphics.setLineWidth(1);
        graphics.setStroke(palette.line());
        graphics.strokeRect(LEFT, TOP, plotWidth(), plotHeight());
        graphics.setLineDashes(2, 4);
        graphics.strokeLine(LEFT, TOP + plotHeight(), LEFT + plotWidth(), TOP);
        graphics.setLineDashes((double[]) null);
        graphics.setFont(numbers());
        graphics.setFill(palette.before());
        graphics.setTextBaseline(VPos.TOP);
        double below = TOP + plotHeight() + BARS + 8;
        graphics.setTextAlign(TextAlignment.LEFT);
        graphics.fillText("0", LEFT, below);
        graphics.setTextAlign(TextAlignment.RIGHT);
        graphics.fillText(Integer.toString(curve.maximum()), LEFT + plotWidth(), below);
        graphics.setTextAlign(TextAlignment.CENTER);
        graphics.fillText("level r before", LEFT + plotWidth() / 2, below);
        graphics.setFill(palette.after());
        graphics.setTextAlign(TextAlignment.RIGHT);
        graphics.setTextBaseline(VPos.CENTER);
        graphics.fillText(Integer.toString(resultMaximum()), LEFT - BARS - 8, TOP + 5);
        graphics.fillText("0", LEFT - BARS - 8, TOP + plotHeight() - 5);
        graphics.save();
        graphics.translate(16, TOP + plotHeight() / 2);
        graphics.rotate(-90);
        graphics.setTextAlign(TextAlignment.CENTER);
        graphics.fillText("result s", 0, 0);
        graphics.restore();
    }

    /** Where rounding leaves 0–M, overflow has a say: the ground is colored, and the pixels are counted. */
    private void paintClipped(GraphicsContext graphics, Mapping mapping, Palette palette) {
        graphics.setFill(palette.differGround());
        double half = plotWidth() / curve.maximum() / 2;
        for (Mapping.Entry entry : mapping.entries()) {
            if (entry.isOutside()) {
                double from = Math.max(LEFT, x(entry.level()) - half);
                graphics.fillRect(from, TOP, Math.min(LEFT + plotWidth(), x(entry.level()) + half) - from + 0.5,
                        plotHeight());
            }
        }
        // The shape says it as well: where the curve is cut off stands a mark.
        graphics.setFill(palette.differ());
        graphics.setFont(numbers());
        graphics.setTextBaseline(VPos.CENTER);
        if (mapping.above() > 0) {
            graphics.setTextAlign(TextAlignment.RIGHT);
            graphics.fillText("▲ " + mapping.above() + " above " + resultMaximum(), LEFT + plotWidth(), 12);
        }
        if (mapping.below() > 0) {
            graphics.setTextAlign(TextAlignment.LEFT);
            graphics.fillText("▼ " + mapping.below() + " below 0", LEFT, 12);
        }
    }

    private void paintCounts(GraphicsContext graphics, Histogram counts, Color color, boolean isAcross) {
        int maximum = counts.maximumLevel();
        double slot = (isAcross ? plotWidth() : plotHeight()) / Math.max(1, maximum);
        double width = Math.max(1, Math.min(12, slot * 0.7));
        bars(graphics, counts, color.deriveColor(0, 1, 1, 0.75), BARS - 4, (level, tall) -> {
            if (isAcross) {
                graphics.fillRect(LEFT + level * slot - width / 2, TOP + plotHeight() + 4, width, tall);
            } else {
                graphics.fillRect(LEFT - 4 - tall, TOP + plotHeight() - level * slot - width / 2, tall, width);
            }
        });
    }

    private void paintCurve(GraphicsContext graphics, Mapping mapping, Palette palette) {
        graphics.setStroke(palette.after());
        boolean isFew = curve.maximum() <= FEW_LEVELS;
        graphics.setLineWidth(isFew ? 1 : 2);
        Mapping.Entry previous = null;
        for (Mapping.Entry entry : mapping.entries()) {
            double x = x(entry.level());
            double y = y(entry.result().asDouble());
            if (previous != null && previous.level() == entry.level() - 1) {
                double lastX = x(previous.level());
                double lastY = y(previous.result().asDouble());
                // A jump is a jump: a sloping line would claim values in between.
                boolean isJump = !isFew && Math.abs(y - lastY) > 12 * Math.max(1, x - lastX);
                graphics.strokeLine(lastX, lastY, x, isJump ? lastY : y);
            }
            previous = entry;
        }
        graphics.setLineWidth(1);
        if (isFew) {
            graphics.setFill(palette.after());
            for (Mapping.Entry entry : mapping.entries()) {
                graphics.fillOval(x(entry.level()) - 3.5, y(entry.result().asDouble()) - 3.5, 7, 7);
            }
        }
    }

    private void paintPicked(GraphicsContext graphics, Mapping mapping, Palette palette) {
        mapping.entries().stream().filter(entry -> entry.level() == pickedLevel).findFirst().ifPresent(entry -> {
            double x = x(entry.level());
            double y = y(entry.result().asDouble());
            graphics.setStroke(palette.picked());
            graphics.setLineWidth(1.5);
            graphics.setLineDashes(3, 3);
            graphics.strokeLine(x, y, x, TOP + plotHeight() + 4);
            graphics.strokeLine(x, y, LEFT - 4, y);
            graphics.setLineDashes((double[]) null);
            graphics.setFill(palette.picked());
            graphics.fillOval(x - 5, y - 5, 10, 10);
            graphics.setStroke(palette.ink());
            graphics.setLineWidth(1);
            graphics.strokeOval(x - 5, y - 5, 10, 10);
        });
    }

    private void paintHandle(GraphicsContext graphics, Handle handle, Palette palette) {
        boolean isChosen = isFocused() && chosenHandle().filter(handle::equals).isPresent();
        double x = x(handle.level().asDouble());
        graphics.setStroke(isChosen ? palette.picked() : palette.ink());
        graphics.setFill(palette.panel());
        graphics.setLineWidth(isChosen ? 3 : 1.5);
        if (handle.result().isPresent()) {
            double y = y(handle.result().get().asDouble());
            graphics.fillRect(x - GRIP, y - GRIP, 2 * GRIP, 2 * GRIP);
            graphics.strokeRect(x - GRIP, y - GRIP, 2 * GRIP, 2 * GRIP);
            return;
        }
        double bottom = TOP + plotHeight() + BARS;
        graphics.strokeLine(x, TOP, x, bottom);
        graphics.fillRect(x - GRIP, bottom - GRIP, 2 * GRIP, 2 * GRIP);
        graphics.strokeRect(x - GRIP, bottom - GRIP, 2 * GRIP, 2 * GRIP);
        graphics.setFill(palette.ink());
        graphics.setTextAlign(x > LEFT + plotWidth() - 80 ? TextAlignment.RIGHT : TextAlignment.LEFT);
        graphics.setTextBaseline(VPos.TOP);
        graphics.setFont(numbers());
        graphics.fillText(handle.name() + " = " + handle.level(), x + (x > LEFT + plotWidth() - 80 ? -6 : 6), TOP + 4);
    }
}

package pixeron.app.bench.curve;

import java.util.Optional;
import java.util.function.BiConsumer;
import javafx.geometry.Insets;
import javafx.geometry.VPos;
import javafx.scene.Cursor;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import javafx.scene.text.TextAlignment;
import pixeron.app.bench.parts.Plot;
import pixeron.app.theme.Palette;
import pixeron.app.theme.Theme;
import pixeron.number.Approximate;
import pixeron.number.Decimals;
import pixeron.step.Profile;

/** What coefficients are multiplied with, over their distance from frequency zero; the radii are dragged. */
final class ProfilePlot extends Plot {

    private static final double LEFT = 46;
    private static final double BOTTOM = 40;
    private static final double TOP = 34;
    private static final double RIGHT = 24;
    private static final double REACH = 9;
    private static final double KNOB = 10;
    private static final double BY_KEY = 0.5;
    /** At most so many numbers along the axis. */
    private static final int MOST_NUMBERS = 12;

    private final BiConsumer<Profile.Mark, Double> drag;
    private final Runnable end;
    private Profile profile;
    private String held = "";
    private int chosen;

    /**
     * @param drag told where a mark is dragged to
     * @param end told when it is let go
     */
    ProfilePlot(Theme theme, BiConsumer<Profile.Mark, Double> drag, Runnable end) {
        super(theme, "curve-plot", Insets.EMPTY);
        this.drag = drag;
        this.end = end;
        setMinSize(0, 0);
        setFocusTraversable(true);
        focusedProperty().subscribe(isFocused -> paint());
        addEventHandler(MouseEvent.MOUSE_PRESSED, this::pressed);
        addEventHandler(MouseEvent.MOUSE_DRAGGED, event -> marked(held).ifPresent(mark -> drag.accept(mark, distance(event.getX()))));
        addEventHandler(MouseEvent.MOUSE_RELEASED, event -> {
            held = "";
            end.run();
        });
        addEventHandler(MouseEvent.MOUSE_MOVED, event -> setCursor(near(event.getX()).isPresent() ? Cursor.H_RESIZE : Cursor.DEFAULT));
        addEventHandler(KeyEvent.KEY_PRESSED, this::keyPressed);
        setVisible(false);
        setManaged(false);
    }

    void show(Optional<Profile> shown) {
        profile = shown.orElse(null);
        setVisible(profile != null);
        setManaged(profile != null);
        if (profile != null) {
            chosen = Math.min(chosen, profile.marks().size() - 1);
            setAccessibleText("Factor by distance; " + profile.marks().get(chosen).name() + " is " + number(profile.marks().get(chosen).at()) + ", arrows move it");
        }
        paint();
    }

    private Optional<Profile.Mark> marked(String name) {
        return profile == null ? Optional.empty() : profile.marks().stream().filter(mark -> mark.name().equals(name)).findFirst();
    }

    private Optional<Profile.Mark> near(double x) {
        return profile == null ? Optional.empty() : profile.marks().stream().filter(mark -> Math.abs(x(mark.at()) - x) <= REACH)
                .min((a, b) -> Double.compare(Math.abs(x(a.at()) - x), Math.abs(x(b.at()) - x)));
    }

    private void pressed(MouseEvent event) {
        requestFocus();
        held = near(event.getX()).map(Profile.Mark::name).orElse("");
        marked(held).ifPresent(mark -> chosen = profile.marks().indexOf(mark));
        paint();
    }

    private void keyPressed(KeyEvent event) {
        if (profile == null) {
            return;
        }
        Profile.Mark mark = profile.marks().get(chosen);
        switch (event.getCode()) {
            case PAGE_UP, PAGE_DOWN -> chosen = (chosen + 1) % profile.marks().size();
            case LEFT -> drag.accept(mark, mark.at() - BY_KEY);
            case RIGHT -> drag.accept(mark, mark.at() + BY_KEY);
            default -> {
                return;
            }
        }
        event.consume();
        paint();
    }

    private double x(double distance) {
        return LEFT + distance / profile.end() * (across() - LEFT - RIGHT);
    }

    private double distance(double x) {
        return Math.max(0, (x - LEFT) / (across() - LEFT - RIGHT) * profile.end());
    }

    private double y(double factor) {
        return tall() - BOTTOM - factor * (tall() - BOTTOM - TOP);
    }

    private static String number(double number) {
        return Decimals.cell(Approximate.snapped(number, 1));
    }

    @Override
    protected void paint(GraphicsContext graphics, Palette palette) {
        if (profile == null) {
            return;
        }
        graphics.setFont(numbers());
        graphics.setTextBaseline(VPos.CENTER);
        graphics.setLineWidth(1);
        graphics.setStroke(palette.line());
        graphics.setFill(palette.soft());
        for (double factor : new double[] {0, 0.5, 1}) {
            graphics.strokeLine(LEFT, Math.floor(y(factor)) + 0.5, across() - RIGHT, Math.floor(y(factor)) + 0.5);
            write(graphics, number(factor), TextAlignment.RIGHT, LEFT - 8, y(factor));
        }
        double every = Math.max(1, Math.ceil(profile.end() / MOST_NUMBERS));
        for (double distance = 0; distance <= profile.end(); distance += every) {
            write(graphics, number(distance), TextAlignment.CENTER, x(distance), tall() - BOTTOM + 14);
        }
        write(graphics, "D", TextAlignment.RIGHT, across() - 6, tall() - BOTTOM + 14);
        graphics.setStroke(palette.after());
        graphics.setLineWidth(2);
        graphics.beginPath();
        for (double x = LEFT; x <= across() - RIGHT; x++) {
            double y = y(profile.factor().applyAsDouble(distance(x)));
            if (x == LEFT) {
                graphics.moveTo(x, y);
            } else {
                graphics.lineTo(x, y);
            }
        }
        graphics.stroke();
        for (Profile.Mark mark : profile.marks()) {
            paint(graphics, palette, mark, isFocused() && profile.marks().indexOf(mark) == chosen);
        }
    }

    private void paint(GraphicsContext graphics, Palette palette, Profile.Mark mark, boolean isChosen) {
        double x = Math.floor(x(mark.at())) + 0.5;
        graphics.setStroke(palette.ink());
        graphics.setLineWidth(1);
        graphics.setLineDashes(4, 3);
        graphics.strokeLine(x, TOP - 8, x, tall() - BOTTOM);
        graphics.setLineDashes();
        graphics.setFill(isChosen ? palette.picked() : palette.panel());
        graphics.fillRect(x - KNOB / 2, TOP - 8 - KNOB / 2, KNOB, KNOB);
        graphics.strokeRect(x - KNOB / 2, TOP - 8 - KNOB / 2, KNOB, KNOB);
        graphics.setFill(palette.ink());
        // Beside the line, on the side where there is room.
        boolean isRight = x < across() / 2;
        write(graphics, mark.name() + " " + number(mark.at()), isRight ? TextAlignment.LEFT : TextAlignment.RIGHT, x + (isRight ? 1 : -1) * (KNOB / 2 + 5), TOP - 8);
    }
}

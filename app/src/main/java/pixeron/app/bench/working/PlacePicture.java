package pixeron.app.bench.working;

import java.util.List;
import java.util.Optional;
import javafx.geometry.Insets;
import javafx.geometry.VPos;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.text.TextAlignment;
import pixeron.app.bench.parts.Plot;
import pixeron.app.theme.Palette;
import pixeron.app.theme.Theme;
import pixeron.image.Frame;
import pixeron.number.Decimals;
import pixeron.number.Rational;
import pixeron.number.Rounding;
import pixeron.number.Value;
import pixeron.step.Footprint;
import pixeron.step.Source;

/** The cells of the image before around the place that a pixel of the result is read from, with the place in them. */
final class PlacePicture extends Plot {

    private static final double CELL = 54;
    private static final double EDGE = 20;
    private static final int MOST_CELLS = 5;
    private static final double POINT = 9;

    private final Theme theme;
    private Shown shown;

    /**
     * @param place in rows and columns, each of which begins at its number
     */
    private record Shown(Place place, List<Source> sources, Frame before, int row, int column, int rows, int columns, int first) {
    }

    private record Place(double row, double column, double lastRow, double lastColumn, boolean isPoint) {
    }

    PlacePicture(Theme theme) {
        super(theme, "place-picture", new Insets(0));
        this.theme = theme;
        setVisible(false);
        setManaged(false);
    }

    /**
     * @param under what lies under the pixel; empty for no picture
     * @param sources the cells that count
     * @param first what the first row and column are called
     */
    void show(Optional<Footprint> under, List<Source> sources, Frame before, int first) {
        shown = under.map(found -> of(found, sources, before, first)).filter(found -> found.rows <= MOST_CELLS && found.columns <= MOST_CELLS).orElse(null);
        setVisible(shown != null);
        if (shown != null) {
            setPrefSize(Math.ceil((EDGE + shown.columns * CELL + 2) * theme.scale()), Math.ceil((EDGE + shown.rows * CELL + 2) * theme.scale()));
            setAccessibleText("Read from row " + under.get().rows(first) + ", column " + under.get().columns(first));
        }
        paint();
    }

    private static Shown of(Footprint under, List<Source> sources, Frame before, int first) {
        int row = start(under.row());
        int column = start(under.column());
        // Around a point two cells each way, whether both count or not; under a rectangle those that it touches.
        int rows = under.isPoint() ? 2 : end(under.lastRow()) - row;
        int columns = under.isPoint() ? 2 : end(under.lastColumn()) - column;
        double half = under.isFromCorners() ? 0 : 0.5;
        Place place = new Place(under.row().asDouble() + half, under.column().asDouble() + half, under.lastRow().asDouble() + half,
                under.lastColumn().asDouble() + half, under.isPoint());
        return new Shown(place, sources, before, row, column, rows, columns, first);
    }

    private static int start(Value place) {
        return ((Rational) Rounding.FLOOR.apply(place)).toInt();
    }

    private static int end(Value place) {
        return ((Rational) Rounding.CEILING.apply(place)).toInt();
    }

    @Override
    protected void paint(GraphicsContext graphics, Palette palette) {
        if (shown == null) {
            return;
        }
        graphics.save();
        graphics.scale(theme.scale(), theme.scale());
        graphics.translate(EDGE, EDGE);
        graphics.setFont(javafx.scene.text.Font.font(Theme.NUMBERS, 11));
        graphics.setTextBaseline(VPos.CENTER);
        graphics.setFill(palette.soft());
        for (int n = 0; n < shown.columns; n++) {
            write(graphics, Integer.toString(shown.column + n + shown.first), TextAlignment.CENTER, (n + 0.5) * CELL, -EDGE / 2);
        }
        for (int n = 0; n < shown.rows; n++) {
            write(graphics, Integer.toString(shown.row + n + shown.first), TextAlignment.RIGHT, -5, (n + 0.5) * CELL);
        }
        for (int i = 0; i < shown.rows; i++) {
            for (int j = 0; j < shown.columns; j++) {
                cell(graphics, palette, i, j);
            }
        }
        place(graphics, palette);
        for (Source source : shown.sources) {
            write(graphics, palette, source, source.row() - shown.row, source.column() - shown.column);
        }
        graphics.restore();
    }

    private void cell(GraphicsContext graphics, Palette palette, int i, int j) {
        int row = shown.row + i;
        int column = shown.column + j;
        Optional<Source> source = shown.sources.stream().filter(found -> found.row() == row && found.column() == column).findFirst();
        boolean isInside = row >= 0 && row < shown.before.rows() && column >= 0 && column < shown.before.columns();
        graphics.setFill(source.isPresent() ? palette.panel() : palette.paper());
        graphics.fillRect(j * CELL, i * CELL, CELL, CELL);
        graphics.setStroke(palette.line());
        graphics.setLineWidth(1);
        graphics.setLineDashes(isInside ? new double[0] : new double[] {3, 3});
        graphics.strokeRect(Math.floor(j * CELL) + 0.5, Math.floor(i * CELL) + 0.5, CELL, CELL);
        graphics.setLineDashes();
        source.ifPresent(found -> {
            graphics.setStroke(palette.picked());
            graphics.setLineWidth(2);
            graphics.strokeRect(j * CELL + 2, i * CELL + 2, CELL - 3, CELL - 3);
        });
    }

    /** Where a point lies between the middles of cells, numbers are in the corners that it leaves free. */
    private void write(GraphicsContext graphics, Palette palette, Source source, int i, int j) {
        boolean isPoint = shown.place.isPoint;
        TextAlignment alignment = !isPoint ? TextAlignment.CENTER : j == 0 ? TextAlignment.LEFT : TextAlignment.RIGHT;
        double x = !isPoint ? (j + 0.5) * CELL : j == 0 ? 7 : (j + 1) * CELL - 7;
        double y = !isPoint ? (i + 0.36) * CELL : i == 0 ? 13 : (i + 1) * CELL - 27;
        graphics.setFill(palette.before());
        source.value().ifPresent(value -> write(graphics, Decimals.working(value), alignment, x, y));
        graphics.setFill(palette.ink());
        // Under a rectangle the grid beside it says how much of each cell lies inside.
        source.weight().filter(weight -> isPoint).ifPresent(weight -> write(graphics, "×" + Decimals.approximate(weight), alignment, x, y + 15));
    }

    private void place(GraphicsContext graphics, Palette palette) {
        double x = (shown.place.column - shown.column) * CELL;
        double y = (shown.place.row - shown.row) * CELL;
        graphics.setStroke(shown.place.isPoint ? palette.soft() : palette.after());
        graphics.setLineWidth(1);
        if (shown.place.isPoint) {
            graphics.setLineDashes(2, 3);
            graphics.strokeLine(x, 0, x, shown.rows * CELL);
            graphics.strokeLine(0, y, shown.columns * CELL, y);
            graphics.setLineDashes();
            graphics.setFill(palette.panel());
            graphics.fillOval(x - POINT / 2 - 2, y - POINT / 2 - 2, POINT + 4, POINT + 4);
            graphics.setFill(palette.after());
            graphics.fillOval(x - POINT / 2, y - POINT / 2, POINT, POINT);
        } else {
            graphics.setLineWidth(2.5);
            graphics.strokeRect(x, y, (shown.place.lastColumn - shown.place.column) * CELL, (shown.place.lastRow - shown.place.row) * CELL);
        }
    }
}

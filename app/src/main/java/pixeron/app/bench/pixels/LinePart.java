package pixeron.app.bench.pixels;

import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import javafx.geometry.VPos;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import javafx.scene.paint.Color;
import javafx.scene.text.Font;
import javafx.scene.text.TextAlignment;
import pixeron.app.bench.parts.Copy;
import pixeron.app.bench.parts.Facts;
import pixeron.app.bench.parts.Words;
import pixeron.app.model.Bench;
import pixeron.app.model.Described;
import pixeron.app.model.Shown;
import pixeron.app.theme.Palette;
import pixeron.app.theme.Theme;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.look.Segment;
import pixeron.number.Decimals;

/** A marked line: its length in three ways, and its values as a curve and as a table. */
final class LinePart extends HBox {

    private static final double WIDTH = 380;
    private static final double HEIGHT = 150;
    /** Width of the distances beside the curve. */
    private static final double SIDE = 205;
    private static final double EDGE = 34;
    private static final double BOTTOM = 16;
    private static final double DOTS_FROM = 6;

    private final Bench bench;
    private final Theme theme;
    private final Consumer<String> say;
    private final Facts facts = new Facts();
    private final Canvas canvas = new Canvas(WIDTH, HEIGHT);
    private final Label values = new Label();
    private List<Pixel> pixels = List.of();
    private Shown shown;

    LinePart(Bench bench, Theme theme, Consumer<String> say) {
        this.bench = bench;
        this.theme = theme;
        this.say = say;
        getStyleClass().add("pixel-pane");
        Button copy = new Button("Copy as table");
        copy.setOnAction(event -> copy());
        Button leave = new Button("Clear selection");
        leave.setOnAction(event -> bench.mark(null));
        FlowPane actions = new FlowPane(copy, leave);
        actions.getStyleClass().add("places");
        actions.setPrefWrapLength(SIDE);
        VBox left = new VBox(facts, actions);
        left.getStyleClass().add("part");
        left.setMinWidth(SIDE);
        left.setPrefWidth(SIDE);
        values.getStyleClass().add("fact");
        values.setWrapText(true);
        VBox right = new VBox(canvas, values);
        right.getStyleClass().add("part");
        getChildren().addAll(left, right);
        canvas.addEventHandler(MouseEvent.MOUSE_CLICKED, event -> {
            int n = (int) Math.rint((event.getX() - EDGE) / step());
            if (!pixels.isEmpty()) {
                bench.pick(pixels.get(Math.max(0, Math.min(pixels.size() - 1, n))));
            }
        });
    }

    void show(Shown state, Segment segment) {
        shown = state;
        pixels = segment.pixels();
        facts.clear();
        facts.row("from", Words.place(segment.from(), bench.looking().display()));
        facts.row("to", Words.place(segment.to(), bench.looking().display()));
        facts.row("Δrow, Δcolumn", segment.rowDifference() + ", " + segment.columnDifference());
        double straight = segment.straightDistance();
        facts.row("straight", (straight == Math.rint(straight) ? "" : "√" + segment.squaredDistance() + " ≈ ")
                + Decimals.approximate(pixeron.number.Approximate.from(straight)));
        facts.row("city-block", Integer.toString(segment.cityBlockDistance()));
        facts.row("chessboard", Integer.toString(segment.chessboardDistance()));
        facts.row("pixels", Integer.toString(pixels.size()));
        paint();
        values.setText(whole(shown.before()).or(() -> whole(shown.after())).map(d -> texts(d.image(), pixels.subList(0,
                Math.min(pixels.size(), 64)))).orElse(""));
    }

    /** Returns the image when the line is inside it; a result may be smaller than what it is made of. */
    private Optional<Described> whole(Optional<Described> described) {
        return described.filter(d -> pixels.stream().allMatch(d.image()::contains));
    }

    private static String texts(Image image, List<Pixel> pixels) {
        return pixels.stream().map(pixel -> Decimals.cell(image.value(pixel))).collect(Collectors.joining("  "));
    }

    private double step() {
        return (WIDTH - EDGE - 8) / Math.max(1, pixels.size() - 1);
    }

    private void paint() {
        Palette palette = theme.palette();
        GraphicsContext graphics = canvas.getGraphicsContext2D();
        graphics.clearRect(0, 0, WIDTH, HEIGHT);
        double low = lowest(0);
        double high = Math.max(low + 1, highest(shown.grid().maximumLevel()));
        graphics.setStroke(palette.line());
        graphics.strokeLine(EDGE - 0.5, 4, EDGE - 0.5, HEIGHT - BOTTOM);
        graphics.strokeLine(EDGE, HEIGHT - BOTTOM + 0.5, WIDTH, HEIGHT - BOTTOM + 0.5);
        graphics.setFill(palette.soft());
        graphics.setFont(Font.font(Theme.NUMBERS, 11));
        graphics.setTextAlign(TextAlignment.RIGHT);
        graphics.setTextBaseline(VPos.CENTER);
        graphics.fillText(Decimals.approximate(pixeron.number.Approximate.from(high)), EDGE - 6, 10);
        graphics.fillText(Decimals.approximate(pixeron.number.Approximate.from(low)), EDGE - 6, HEIGHT - BOTTOM - 4);
        graphics.setTextBaseline(VPos.TOP);
        graphics.fillText("pixel " + (pixels.size() - 1), WIDTH, HEIGHT - BOTTOM + 3);
        graphics.setTextAlign(TextAlignment.LEFT);
        graphics.fillText("0", EDGE, HEIGHT - BOTTOM + 3);
        curve(graphics, whole(shown.before()), low, high, palette.before(), 0);
        curve(graphics, whole(shown.after()), low, high, palette.after(), 1);
    }

    private double lowest(double start) {
        double lowest = start;
        for (Optional<Described> described : List.of(shown.before(), shown.after())) {
            lowest = Math.min(lowest, described.map(d -> d.facts().smallest().asDouble()).orElse(start));
        }
        return lowest;
    }

    private double highest(double start) {
        double highest = start;
        for (Optional<Described> described : List.of(shown.before(), shown.after())) {
            highest = Math.max(highest, described.map(d -> d.facts().largest().asDouble()).orElse(start));
        }
        return highest;
    }

    /** Before has round dots, After square ones: the curves differ in more than color. */
    private void curve(GraphicsContext graphics, Optional<Described> described, double low, double high,
            Color color, int shape) {
        if (described.isEmpty()) {
            return;
        }
        Image image = described.get().image();
        double height = HEIGHT - BOTTOM - 10;
        double[] x = new double[pixels.size()];
        double[] y = new double[pixels.size()];
        for (int n = 0; n < x.length; n++) {
            x[n] = EDGE + n * step();
            double value = image.asDouble(image.offset(pixels.get(n)));
            y[n] = 8 + height * (1 - (value - low) / (high - low));
        }
        graphics.setStroke(color);
        graphics.setFill(color);
        graphics.setLineWidth(1.5);
        graphics.strokePolyline(x, y, x.length);
        graphics.setLineWidth(1);
        for (int n = 0; n < x.length && step() >= DOTS_FROM; n++) {
            if (shape == 0) {
                graphics.fillOval(x[n] - 2.5, y[n] - 2.5, 5, 5);
            } else {
                graphics.fillRect(x[n] - 2.5, y[n] - 2.5, 5, 5);
            }
        }
    }

    private void copy() {
        StringBuilder text = new StringBuilder("pixel\trow\tcolumn\tbefore\tafter\n");
        int first = bench.looking().display().first();
        for (int n = 0; n < pixels.size(); n++) {
            Pixel pixel = pixels.get(n);
            text.append(n).append('\t').append(pixel.row() + first).append('\t').append(pixel.column() + first)
                    .append('\t').append(whole(shown.before()).map(d -> Decimals.table(d.image().value(pixel))).orElse(""))
                    .append('\t').append(whole(shown.after()).map(d -> Decimals.table(d.image().value(pixel))).orElse(""))
                    .append('\n');
        }
        Copy.text(text.toString());
        say.accept("Copied " + pixels.size() + " values of the line");
    }
}

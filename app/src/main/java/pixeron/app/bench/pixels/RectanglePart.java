package pixeron.app.bench.pixels;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Function;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import pixeron.PixeronException;
import pixeron.app.bench.parts.Copy;
import pixeron.app.bench.parts.Facts;
import pixeron.app.model.Background;
import pixeron.app.model.Bench;
import pixeron.app.model.Described;
import pixeron.app.model.Seen;
import pixeron.app.model.Selection;
import pixeron.app.model.Shown;
import pixeron.image.Area;
import pixeron.image.ColorImage;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.image.Result;
import pixeron.look.AreaStatistics;
import pixeron.make.Brush;
import pixeron.make.Drawing;
import pixeron.number.Decimals;
import pixeron.number.Value;
import pixeron.step.Step;
import pixeron.step.StepType;

/** A marked rectangle: where it is, its statistics before and after, and what can be done with it. */
final class RectanglePart extends HBox {

    /** Width of what is beside the statistics. */
    private static final double SIDE = 292;
    private static final List<String> NAMES = List.of("row", "column", "height", "width", "to row", "to column");
    private static final int SIZES = 4;

    /** The statistics of both sheets; empty where there is no image. */
    private record Both(Optional<AreaStatistics> before, Optional<AreaStatistics> after) {
    }

    private final Bench bench;
    private final Background background;
    private final Consumer<Result> newImage;
    private final Consumer<String> say;
    private final List<TextField> fields = new ArrayList<>();
    private final Facts statistics = new Facts();
    private final TextField level = new TextField("M");
    private final Button useAsArea = new Button("Use as area of the step");
    private final Button setLevel = new Button("Set to level");
    private Area area = new Area(0, 0, 1, 1);

    RectanglePart(Bench bench, Background background, Consumer<Result> newImage, Consumer<String> say) {
        this.bench = bench;
        this.background = background;
        this.newImage = newImage;
        this.say = say;
        getStyleClass().add("pixel-pane");
        FlowPane places = new FlowPane();
        places.getStyleClass().add("places");
        places.setPrefWrapLength(SIDE);
        for (String name : NAMES) {
            TextField field = new TextField();
            field.getStyleClass().addAll("number-field", "place-field");
            field.setAccessibleText(name + " of the rectangle");
            boolean isCorner = fields.size() >= SIZES;
            field.setOnAction(event -> take(isCorner));
            field.focusedProperty().subscribe((wasFocused, isFocused) -> {
                if (!isFocused && bench.looking().selectionProperty().get() instanceof Selection.Rectangle) {
                    take(isCorner);
                }
            });
            fields.add(field);
            Label label = new Label(name);
            label.getStyleClass().add("working-label");
            HBox pair = new HBox(label, field);
            pair.getStyleClass().add("place");
            places.getChildren().add(pair);
        }
        VBox left = new VBox(places, actions());
        left.getStyleClass().add("part");
        left.setPrefWidth(SIDE);
        left.setMinWidth(SIDE);
        getChildren().addAll(left, statistics);
    }

    private FlowPane actions() {
        Button copy = button("Copy values",
                "Copy the values of After as a table (Before if the image is selected)",
                this::copy);
        Button own = button("New image from selection", "Open the selected part of the sheet as a new image",
                () -> part().ifPresent(newImage));
        useAsArea.setTooltip(new Tooltip("Limit the selected step to this rectangle"));
        useAsArea.setOnAction(event -> useAsArea());
        setLevel.setTooltip(new Tooltip("Set every pixel of the rectangle to this level in the image itself"));
        setLevel.setOnAction(event -> setLevel());
        level.getStyleClass().addAll("number-field", "place-field");
        level.setAccessibleText("Level for the rectangle; M is the maximum level");
        Button leave = button("Clear selection", "Clear the selection (Esc on a sheet)", () -> bench.mark(null));
        FlowPane actions = new FlowPane(copy, own, useAsArea, setLevel, level, leave);
        actions.getStyleClass().add("places");
        actions.setPrefWrapLength(SIDE);
        return actions;
    }

    private static Button button(String text, String words, Runnable action) {
        Button button = new Button(text);
        button.setTooltip(new Tooltip(words));
        button.setOnAction(event -> action.run());
        return button;
    }

    void show(Shown shown, Area marked) {
        area = marked;
        int first = bench.looking().display().first();
        Pixel last = area.lastPixel();
        int[] numbers = {area.row() + first, area.column() + first, area.height(), area.width(), last.row() + first, last.column() + first};
        for (int n = 0; n < numbers.length; n++) {
            fields.get(n).setText(Integer.toString(numbers[n]));
        }
        useAsArea.setDisable(shown.position() < 0);
        setLevel.setDisable(!bench.isDrawable());
        level.setDisable(!bench.isDrawable());
        background.start(progress -> new Both(inside(shown.before()).map(image -> AreaStatistics.of(image, marked)),
                inside(shown.after()).map(image -> AreaStatistics.of(image, marked))), this::showStatistics,
                problem -> say.accept(problem.getMessage()));
    }

    /** Returns the image when the rectangle is inside it; a result may be smaller than what it is made of. */
    private Optional<Image> inside(Optional<Described> described) {
        return described.map(Described::image).filter(image -> image.contains(area.lastPixel()));
    }

    private void showStatistics(Both both) {
        statistics.clear();
        statistics.head(0, "", "");
        statistics.head(1, both.before().isPresent() ? "before" : "", "role-before");
        statistics.head(2, both.after().isPresent() ? "after" : "", "role-after");
        row(both, "count n", s -> Integer.toString(s.count()));
        row(both, "minimum", s -> Decimals.approximate(s.smallest()));
        row(both, "maximum", s -> Decimals.approximate(s.largest()));
        row(both, "sum", s -> Decimals.approximate(s.sum()));
        row(both, "mean = sum ÷ n", s -> Decimals.approximate(s.mean()));
        row(both, "median", s -> Decimals.approximate(s.median()));
        row(both, "standard deviation (N)", s -> root(s.populationVariance()));
        row(both, "standard deviation (N − 1)", s -> s.count() == 1 ? "–" : root(s.sampleVariance()));
    }

    private void row(Both both, String name, Function<AreaStatistics, String> text) {
        statistics.row(name, both.before().map(text).orElse(""), both.after().map(text).orElse(""));
    }

    private static String root(Value variance) {
        return Decimals.approximate(pixeron.number.Approximate.from(Math.sqrt(variance.asDouble())));
    }

    /** @param isCorner whether the opposite corner was typed, from which the size follows */
    private void take(boolean isCorner) {
        try {
            int[] n = fields.stream().mapToInt(field -> Integer.parseInt(field.getText().strip())).toArray();
            int first = bench.looking().display().first();
            Area wanted = isCorner ? Area.between(new Pixel(n[0] - first, n[1] - first), new Pixel(n[4] - first, n[5] - first))
                    : new Area(n[0] - first, n[1] - first, n[2], n[3]);
            if (!wanted.equals(area)) {
                bench.mark(new Selection.Rectangle(wanted.requireInside(bench.project().chain().input())));
            }
        } catch (NumberFormatException noNumber) {
            say.accept("Rows, columns, height and width are whole numbers.");
        } catch (PixeronException outside) {
            say.accept(outside.getMessage());
        }
    }

    /** Returns what is shown: After, or Before where there is none. */
    private Optional<Image> image() {
        return inside(bench.shown().after()).or(() -> inside(bench.shown().before()));
    }

    /** What is shown inside the rectangle; of a pixel with color all channels while it is looked at as a whole. */
    private Optional<Result> part() {
        Optional<ColorImage> whole = bench.shown().seenAfter().or(bench.shown()::seenBefore).filter(seen -> bench.looking().isWhole())
                .flatMap(Seen::color).filter(color -> color.frame().contains(area.lastPixel()));
        return whole.<Result>map(color -> ColorImage.of(color.faces().stream().map(face -> face.image().part(area)).toList()))
                .or(() -> image().map(image -> image.part(area)));
    }

    private void copy() {
        image().ifPresent(image -> {
            if (area.count() > Copy.MOST_VALUES) {
                say.accept("The rectangle has too many values for the clipboard.");
                return;
            }
            Copy.table(image.part(area));
            say.accept("Copied " + area.height() + " × " + area.width() + " values");
        });
    }

    private void useAsArea() {
        int position = bench.position();
        Step step = bench.project().chain().stage(position).link().step();
        bench.edit(null, project -> project.withChain(chain -> chain.replaced(position,
                step.with(StepType.AREA, area))));
    }

    private void setLevel() {
        try {
            Brush brush = Brush.of(level.getText(), bench.project().chain().input());
            Area wanted = area;
            bench.draw(null, on -> brush.draw(on, (image, value) -> Drawing.rectangle(image, wanted, value)));
        } catch (PixeronException noNumber) {
            say.accept(noNumber.getMessage());
        }
    }
}

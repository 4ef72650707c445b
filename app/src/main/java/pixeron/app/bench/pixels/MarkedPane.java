package pixeron.app.bench.pixels;

import java.util.function.Consumer;
import javafx.beans.value.ObservableValue;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import pixeron.app.bench.parts.WhenSeen;
import pixeron.app.model.Background;
import pixeron.app.model.Bench;
import pixeron.app.model.Selection;
import pixeron.app.theme.Theme;
import pixeron.image.Pixel;
import pixeron.image.Result;

/** What is marked on the sheets: a rectangle with its statistics, or a line with its values. */
public final class MarkedPane extends ScrollPane {

    private final Bench bench;
    private final RectanglePart rectangle;
    private final LinePart line;
    private final VBox nothing;

    /**
     * Creates the pane of the selected pixel, rectangle or search result.
     *
     * @param newImage opens a part of an image as an image of its own
     * @param say shows one line for a moment
     * @param isSeen whether its tab is open
     */
    public MarkedPane(Bench bench, Theme theme, Background background, Consumer<Result> newImage, Consumer<String> say,
            ObservableValue<Boolean> isSeen) {
        WhenSeen seen = new WhenSeen(isSeen, this::render);
        this.bench = bench;
        getStyleClass().add("working-pane");
        rectangle = new RectanglePart(bench, background, newImage, say);
        line = new LinePart(bench, theme, say);
        nothing = nothing();
        setFitToWidth(true);
        bench.looking().selectionProperty().subscribe(marked -> seen.request());
        bench.shownProperty().subscribe(shown -> seen.request());
        bench.looking().displayProperty().subscribe(display -> seen.request());
        theme.paletteProperty().subscribe(palette -> seen.request());
    }

    private VBox nothing() {
        Label words = new Label("Select a rectangle to see its values: drag with Shift, or hold Shift with the arrow keys."
                + " The buttons above Before select a rectangle or a line.");
        words.getStyleClass().add("sheet-hint");
        words.setWrapText(true);
        Button around = new Button("Select around the picked pixel");
        around.setOnAction(event -> bench.mark(new Selection.Rectangle(
                pixeron.image.Area.around(bench.pickedProperty().get(), 3, bench.project().chain().input()))));
        Button whole = new Button("Select everything");
        whole.setOnAction(event -> bench.mark(new Selection.Rectangle(
                pixeron.image.Area.all(bench.project().chain().input()))));
        Button across = new Button("Select its row as a line");
        across.setOnAction(event -> bench.mark(Selection.line(new Pixel(bench.pickedProperty().get().row(), 0),
                new Pixel(bench.pickedProperty().get().row(), bench.project().chain().input().frame().columns() - 1))));
        HBox buttons = new HBox(around, whole, across);
        buttons.getStyleClass().add("buttons");
        VBox box = new VBox(words, buttons);
        box.getStyleClass().add("working-content");
        return box;
    }

    private void render() {
        Selection marked = bench.looking().selectionProperty().get();
        if (bench.shown() == null || marked == null) {
            setContent(nothing);
        } else if (marked instanceof Selection.Rectangle found) {
            rectangle.show(bench.shown(), found.area());
            setContent(rectangle);
        } else if (marked instanceof Selection.Line found) {
            line.show(bench.shown(), found.segment());
            setContent(line);
        }
    }
}

package pixeron.app.bench.sheets;

import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import pixeron.app.sheet.paint.Extent;
import pixeron.app.sheet.paint.Painter;
import pixeron.app.sheet.paint.Viewport;
import pixeron.app.theme.SharpCanvas;
import pixeron.app.theme.Theme;
import pixeron.image.Frame;
import pixeron.image.Pixel;

/**
 * The image as a picture at its real size, beside the sheet with its numbers: one, two or four points for each pixel. Of an image that is larger
 * than its place the part around the picked pixel is shown.
 */
final class PictureCard extends VBox {

    private static final int[] SIZES = {1, 2, 4};
    private static final double NARROWEST = 240;
    private static final double WIDEST = 420;
    private static final double MARGIN = 24;

    private final Theme theme;
    private final Viewport viewport = new Viewport();
    private final SharpCanvas canvas;
    private final Region body;
    private Painter painter;
    private Frame frame;
    private Pixel around = new Pixel(0, 0);
    private int size = SIZES[0];

    PictureCard(Theme theme) {
        this.theme = theme;
        canvas = new SharpCanvas(theme);
        body = new Region() {
            {
                getChildren().add(canvas);
            }

            @Override
            protected void layoutChildren() {
                paint();
            }
        };
        body.setMinSize(0, 0);
        getStyleClass().addAll("sheet", "before", "picture-card");
        Label title = new Label("Picture");
        title.getStyleClass().add("sheet-title");
        title.setMinWidth(USE_PREF_SIZE);
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        HBox head = new HBox(title, gap);
        head.getStyleClass().add("sheet-head");
        ToggleGroup group = new ToggleGroup();
        for (int side : SIZES) {
            head.getChildren().add(button(side, group));
        }
        VBox.setVgrow(body, Priority.ALWAYS);
        getChildren().addAll(head, body);
        setMinWidth(0);
        theme.paletteProperty().subscribe(palette -> body.requestLayout());
    }

    private ToggleButton button(int side, ToggleGroup group) {
        ToggleButton button = new ToggleButton(side + " : 1");
        String words = "Show the picture with " + (side == 1 ? "one point" : side + " × " + side + " points") + " for each pixel";
        button.getStyleClass().addAll("quiet", "picture-size");
        button.setTooltip(new Tooltip(words));
        button.setAccessibleText(words);
        button.setToggleGroup(group);
        button.setMinWidth(USE_PREF_SIZE);
        button.setSelected(side == size);
        button.setOnAction(event -> {
            // One of them is always chosen.
            button.setSelected(true);
            size = side;
            place();
        });
        return button;
    }

    /**
     * Shows an image.
     *
     * @param newPainter draws it; null for nothing
     * @param newFrame its size
     */
    void show(Painter newPainter, Frame newFrame) {
        painter = newPainter;
        frame = newFrame;
        place();
    }

    /** @param pixel stays in view */
    void lookAt(Pixel pixel) {
        around = pixel;
        body.requestLayout();
    }

    private void place() {
        setPrefWidth(Math.max(NARROWEST * theme.scale(), Math.min(WIDEST, (frame == null ? 0 : frame.columns() * size) + MARGIN)));
        body.requestLayout();
    }

    /** Once for all that has changed, and only while it is there: it is part of the layout. */
    private void paint() {
        canvas.size(body.getWidth(), body.getHeight());
        canvas.relocate(8, 8);
        if (painter == null || body.getWidth() <= 0) {
            canvas.begin();
            return;
        }
        viewport.setImageSize(frame.rows(), frame.columns());
        viewport.setScreenSize(body.getWidth() - 8, body.getHeight() - 8);
        viewport.showAt(size);
        viewport.center(around.column(), around.row());
        painter.paint(canvas.begin(), Extent.of(viewport));
    }
}

package pixeron.app.sheet;

import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.Region;
import pixeron.app.sheet.paint.Extent;
import pixeron.app.sheet.paint.Painter;
import pixeron.app.sheet.paint.Viewport;
import pixeron.app.theme.Theme;

/** A small map of the whole image while only a part is seen, with a frame around that part. Press or drag goes there. */
public final class Overview extends Region {

    private static final double SIDE = 84;

    private final Canvas canvas = new Canvas(SIDE, SIDE);
    private final Viewport map = new Viewport();
    private final Viewport viewport;
    private final Theme theme;
    private Painter painter;

    /**
     * Creates the small picture of a whole image, with a frame around the visible part.
     *
     * @param viewport the part that the sheets show
     */
    public Overview(Viewport viewport, Theme theme) {
        this.viewport = viewport;
        this.theme = theme;
        getStyleClass().add("overview");
        setAccessibleText("Map of the whole image; the frame shows the visible part");
        getChildren().add(canvas);
        setManaged(false);
        viewport.changesProperty().subscribe(change -> paint());
        addEventHandler(MouseEvent.MOUSE_PRESSED, this::go);
        addEventHandler(MouseEvent.MOUSE_DRAGGED, this::go);
    }

    /**
     * Sets what the map shows.
     *
     * @param newPainter what the map shows; null for nothing
     */
    public void setPainter(Painter newPainter) {
        painter = newPainter;
        paint();
    }

    private void go(MouseEvent event) {
        viewport.center(map.left() + event.getX() / map.cell(), map.top() + event.getY() / map.cell());
        event.consume();
    }

    private void paint() {
        boolean isPart = painter != null && !viewport.isWhole();
        setVisible(isPart);
        if (!isPart) {
            return;
        }
        map.setImageSize(viewport.rows(), viewport.columns());
        map.setScreenSize(SIDE, SIDE);
        map.fit();
        double width = Math.min(SIDE, viewport.columns() * map.cell());
        double height = Math.min(SIDE, viewport.rows() * map.cell());
        resize(width, height);
        canvas.setWidth(width);
        canvas.setHeight(height);
        GraphicsContext graphics = canvas.getGraphicsContext2D();
        graphics.clearRect(0, 0, width, height);
        painter.paint(graphics, Extent.of(map));
        graphics.setStroke(theme.palette().ink());
        graphics.strokeRect(0.5, 0.5, width - 1, height - 1);
        graphics.setStroke(theme.palette().picked());
        graphics.setLineWidth(2);
        graphics.strokeRect(viewport.left() * map.cell() + 1, viewport.top() * map.cell() + 1,
                Math.max(3, viewport.across() * map.cell() - 2), Math.max(3, viewport.down() * map.cell() - 2));
        graphics.setLineWidth(1);
    }
}

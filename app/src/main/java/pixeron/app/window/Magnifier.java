package pixeron.app.window;

import javafx.geometry.BoundingBox;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.Region;
import javafx.scene.transform.Scale;

/** Shows everything in the window larger, and where not all of it fits then, with bars to move it; what gets the keyboard is moved into sight. */
final class Magnifier extends Region {

    /** Smaller than this the content is not laid out: words would be cut. */
    private static final double LEAST_WIDTH = 1280;
    private static final double LEAST_HEIGHT = 770;
    private static final double BAR = 16;
    /** So much around what has the keyboard is seen as well. */
    private static final double AROUND = 12;

    private final Region content;
    private final Scale scale = new Scale(1, 1);
    private final Holder holder = new Holder();
    private final ScrollPane bars = new ScrollPane();

    /** Has the size of the content as it is shown, which is laid out as if it were not magnified. */
    private final class Holder extends Region {

        /** @param shown everything or nothing */
        void show(Node... shown) {
            getChildren().setAll(shown);
        }

        @Override
        protected void layoutChildren() {
            content.resizeRelocate(0, 0, getWidth() / scale.getX(), getHeight() / scale.getY());
        }
    }

    Magnifier(Region content) {
        this.content = content;
        bars.getStyleClass().add("magnifier");
        bars.setFocusTraversable(false);
        getChildren().add(content);
        widthProperty().subscribe(this::fit);
        heightProperty().subscribe(this::fit);
        sceneProperty().subscribe(scene -> {
            if (scene != null) {
                scene.focusOwnerProperty().subscribe(this::reveal);
            }
        });
    }

    double factor() {
        return scale.getX();
    }

    /** @param factor from 1 on */
    void setFactor(double factor) {
        boolean wasMagnified = factor() > 1;
        scale.setX(factor);
        scale.setY(factor);
        if (factor > 1 != wasMagnified) {
            Node owner = getScene() == null ? null : getScene().getFocusOwner();
            getChildren().clear();
            holder.show();
            bars.setContent(null);
            if (factor > 1) {
                holder.show(content);
                bars.setContent(holder);
                content.getTransforms().setAll(scale);
                getChildren().add(bars);
            } else {
                content.getTransforms().clear();
                getChildren().add(content);
            }
            if (owner != null) {
                owner.requestFocus();
            }
        }
        fit();
    }

    private void fit() {
        if (factor() > 1) {
            boolean isHigher = getHeight() < LEAST_HEIGHT * factor();
            boolean isWider = getWidth() - (isHigher ? BAR : 0) < LEAST_WIDTH * factor();
            double width = Math.max(getWidth() - (isHigher ? BAR : 0), LEAST_WIDTH * factor());
            double height = Math.max(getHeight() - (isWider ? BAR : 0), LEAST_HEIGHT * factor());
            holder.setMinSize(width, height);
            holder.setMaxSize(width, height);
            holder.setPrefSize(width, height);
            bars.setHbarPolicy(isWider ? ScrollPane.ScrollBarPolicy.ALWAYS : ScrollPane.ScrollBarPolicy.NEVER);
            bars.setVbarPolicy(isHigher ? ScrollPane.ScrollBarPolicy.ALWAYS : ScrollPane.ScrollBarPolicy.NEVER);
        }
        requestLayout();
    }

    @Override
    protected void layoutChildren() {
        getChildren().get(0).resizeRelocate(0, 0, getWidth(), getHeight());
    }

    private void reveal(Node node) {
        if (node == null || factor() <= 1 || !isInside(node)) {
            return;
        }
        Bounds at = holder.sceneToLocal(node.localToScene(node.getLayoutBounds()));
        Bounds wanted = new BoundingBox(at.getMinX() - AROUND, at.getMinY() - AROUND, at.getWidth() + 2 * AROUND, at.getHeight() + 2 * AROUND);
        Bounds seen = bars.getViewportBounds();
        bars.setHvalue(moved(bars.getHvalue(), wanted.getMinX(), wanted.getMaxX(), seen.getWidth(), holder.getWidth()));
        bars.setVvalue(moved(bars.getVvalue(), wanted.getMinY(), wanted.getMaxY(), seen.getHeight(), holder.getHeight()));
    }

    private boolean isInside(Node node) {
        for (Node at = node; at != null; at = at.getParent()) {
            if (at == content) {
                return true;
            }
        }
        return false;
    }

    /** Returns the value of a bar, 0–1, at which all from one place to another is seen, or its beginning where it is too long. */
    private static double moved(double value, double from, double to, double seen, double all) {
        double room = all - seen;
        if (room <= 0) {
            return value;
        }
        double start = value * room;
        double end = start + seen;
        boolean isTooLong = to - from > seen;
        boolean isSeen = isTooLong ? Math.min(to, end) - Math.max(from, start) > seen / 2 : from >= start && to <= end;
        return isSeen ? value : Math.max(0, Math.min(1, (from < start || isTooLong ? from : to - seen) / room));
    }
}

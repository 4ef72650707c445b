package pixeron.app.bench.working;

import javafx.geometry.Orientation;
import javafx.scene.Node;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Region;

/** Grids of a working with its lines beside them where there is room, else below; a picture of the place at the right. */
final class WorkingBody extends Pane {

    private static final double GAP = 24;
    /** Lines narrower than this would break too often to be read. */
    private static final double NARROWEST = 250;

    private final CellGrids cells;
    private final Region lines;
    private final Region picture;

    /** @param picture is at the right while it is visible */
    WorkingBody(CellGrids cells, Region lines, Region picture) {
        this.cells = cells;
        this.lines = lines;
        this.picture = picture;
        getStyleClass().add("working-body");
        getChildren().addAll(cells, lines, picture);
        picture.visibleProperty().subscribe(isVisible -> requestLayout());
    }

    /** @param areThere whether the working has grids */
    void setGrids(boolean areThere) {
        cells.setVisible(areThere);
        requestLayout();
    }

    @Override
    public Orientation getContentBias() {
        return Orientation.HORIZONTAL;
    }

    private double cellsWidth(double inner) {
        return Math.min(inner, Math.ceil(cells.widthOfOneRow()) + 1);
    }

    private boolean isBeside(double inner) {
        return inner - cellsWidth(inner) - GAP >= NARROWEST;
    }

    private double inner(double width) {
        return Math.max(1, whole(width) - (isPictureBeside(width) ? picture.prefWidth(-1) + GAP : 0));
    }

    private double whole(double width) {
        return width - getInsets().getLeft() - getInsets().getRight();
    }

    private boolean isPictureBeside(double width) {
        return picture.isVisible() && whole(width) - picture.prefWidth(-1) - GAP >= Math.max(NARROWEST, cells.isVisible() ? cells.widthOfOneRow() : 0);
    }

    /** Returns the height of what is at the left of the picture. */
    private double withPicture(double width, double height) {
        return !picture.isVisible() ? height : isPictureBeside(width) ? Math.max(height, picture.prefHeight(-1)) : height + picture.prefHeight(-1);
    }

    @Override
    protected double computePrefHeight(double width) {
        double known = width < 0 ? getWidth() : width;
        return getInsets().getTop() + getInsets().getBottom() + withPicture(known, height(inner(known)));
    }

    private double height(double inner) {
        if (!cells.isVisible()) {
            return lines.prefHeight(inner);
        }
        double across = cellsWidth(inner);
        double high = cells.prefHeight(across);
        return (isBeside(inner) ? Math.max(high, lines.prefHeight(inner - across - GAP))
                : high + lines.prefHeight(inner));
    }

    @Override
    protected void layoutChildren() {
        double inner = inner(getWidth());
        double left = getInsets().getLeft();
        double top = getInsets().getTop();
        if (picture.isVisible()) {
            boolean isBeside = isPictureBeside(getWidth());
            picture.resizeRelocate(isBeside ? left + inner + GAP : left, isBeside ? top : top + height(inner), picture.prefWidth(-1), picture.prefHeight(-1));
        }
        if (!cells.isVisible()) {
            place(lines, left, top, inner);
            return;
        }
        double across = cellsWidth(inner);
        place(cells, left, top, across);
        if (isBeside(inner)) {
            place(lines, left + across + GAP, top, inner - across - GAP);
        } else {
            place(lines, left, top + cells.prefHeight(across), inner);
        }
    }

    private static void place(Node node, double x, double y, double width) {
        node.resizeRelocate(x, y, width, node.prefHeight(width));
    }
}

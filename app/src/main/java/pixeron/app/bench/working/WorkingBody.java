package pixeron.app.bench.working;

import javafx.geometry.Orientation;
import javafx.scene.Node;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Region;

/** Grids of a working with its lines beside them where there is room, else below. */
final class WorkingBody extends Pane {

    private static final double GAP = 24;
    /** Lines narrower than this would break too often to be read. */
    private static final double NARROWEST = 250;

    private final CellGrids cells;
    private final Region lines;

    WorkingBody(CellGrids cells, Region lines) {
        this.cells = cells;
        this.lines = lines;
        getStyleClass().add("working-body");
        getChildren().addAll(cells, lines);
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
        return Math.max(1, width - getInsets().getLeft() - getInsets().getRight());
    }

    @Override
    protected double computePrefHeight(double width) {
        double inner = inner(width < 0 ? getWidth() : width);
        double around = getInsets().getTop() + getInsets().getBottom();
        if (!cells.isVisible()) {
            return around + lines.prefHeight(inner);
        }
        double across = cellsWidth(inner);
        double high = cells.prefHeight(across);
        return around + (isBeside(inner) ? Math.max(high, lines.prefHeight(inner - across - GAP))
                : high + lines.prefHeight(inner));
    }

    @Override
    protected void layoutChildren() {
        double inner = inner(getWidth());
        double left = getInsets().getLeft();
        double top = getInsets().getTop();
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

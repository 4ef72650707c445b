package pixeron.app.bench.working;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.VBox;
import pixeron.step.neighborhood.WindowText;
import pixeron.working.Line;
import pixeron.working.Role;
import pixeron.working.Run;

/**
 * The grids of a working beside each other: a window, the weights, the products; each cell in a box of its own. From
 * pixel to pixel only numbers change; the boxes are made once, because styling new ones takes longer than a frame.
 */
final class CellGrids extends FlowPane {

    /** In wider grids the calculation of a cell appears when the user points at it. */
    private static final int WIDEST_WITH_ORIGIN = 4;
    private static final String COVER = "…";

    private final List<Cell> cells = new ArrayList<>();
    private List<List<Integer>> shape = List.of();
    private List<String> heads = List.of();

    CellGrids() {
        getStyleClass().add("cell-grids");
    }

    /** @param all rows of cells; one with a label of its own begins a new grid */
    void show(List<Line> all) {
        List<Line> lines = withoutTwice(all);
        List<String> newHeads = new ArrayList<>();
        List<List<Integer>> newShape = new ArrayList<>();
        for (Line line : lines) {
            if (!line.label().isBlank() || newHeads.isEmpty()) {
                newHeads.add(line.label() + words(line));
                newShape.add(new ArrayList<>());
            }
            newShape.get(newShape.size() - 1).add(runs(line).size());
        }
        if (!newShape.equals(shape) || !newHeads.equals(heads)) {
            shape = newShape;
            heads = newHeads;
            build();
        }
        int n = 0;
        for (Line line : lines) {
            List<Run> runs = runs(line);
            for (Run run : runs) {
                cells.get(n++).show(run, runs.size() <= WIDEST_WITH_ORIGIN);
            }
        }
    }

    /** Returns the width at which all grids are in one row; the pane itself asks for as much as it may break at. */
    double widthOfOneRow() {
        return getChildren().stream().map(grid -> grid.prefWidth(-1) + getHgap()).reduce(-getHgap(), Double::sum);
    }

    /** The products say the weights as well, unless they are turned or have no room for it. */
    private static List<Line> withoutTwice(List<Line> lines) {
        boolean isTold = lines.stream().noneMatch(line -> line.label().equals("turned"))
                && lines.stream().allMatch(line -> runs(line).size() <= WIDEST_WITH_ORIGIN);
        List<Line> kept = new ArrayList<>();
        boolean isWeights = false;
        for (Line line : lines) {
            isWeights = line.label().isBlank() ? isWeights : line.label().equals(WindowText.WEIGHTS);
            if (!isTold || !isWeights) {
                kept.add(line);
            }
        }
        return kept;
    }

    /** The cells show where cells outside come from; other words, such as turned by 180°, are with the label. */
    private static String words(Line line) {
        return line.runs().stream().filter(CellGrids::isNote).map(run -> run.text().strip())
                .filter(text -> !text.startsWith("outside:") && !text.startsWith(line.label())).map(text -> ", " + text).findFirst().orElse("");
    }

    private static List<Run> runs(Line line) {
        return line.runs().stream().filter(run -> !isNote(run)).toList();
    }

    /** What is covered is a note as well, but is in its cell. */
    private static boolean isNote(Run run) {
        return run.role() == Role.NOTE && !run.text().strip().equals(COVER);
    }

    private void build() {
        cells.clear();
        getChildren().clear();
        for (int n = 0; n < heads.size(); n++) {
            GridPane grid = new GridPane();
            grid.getStyleClass().add("cell-grid");
            for (int row = 0; row < shape.get(n).size(); row++) {
                for (int column = 0; column < shape.get(n).get(row); column++) {
                    Cell cell = new Cell();
                    cells.add(cell);
                    grid.add(cell, column, row);
                }
            }
            Label head = new Label(heads.get(n));
            head.getStyleClass().add("working-label");
            VBox box = new VBox(head, grid);
            box.setAccessibleText(heads.get(n));
            box.getStyleClass().add("cell-grid-box");
            getChildren().add(box);
        }
    }

    private final class Cell extends VBox {

        private final Label number = new Label();
        private final Label origin = new Label();
        private final Tooltip tip = new Tooltip();
        private Role role;

        Cell() {
            getStyleClass().add("cell-box");
            number.getStyleClass().add("cell-number");
            origin.getStyleClass().add("cell-origin");
            getChildren().add(number);
        }

        void show(Run run, boolean hasRoom) {
            String text = run.text().strip();
            number.setText(text);
            if (run.role() != role) {
                getStyleClass().removeIf(style -> style.startsWith("cell-") && !style.equals("cell-box"));
                getStyleClass().add("cell-" + run.role().name().toLowerCase(Locale.ROOT));
                role = run.role();
            }
            setAccessibleText(text + (run.origin().isEmpty() ? "" : ", " + run.origin()));
            boolean isShown = !run.origin().isEmpty() && hasRoom;
            origin.setText(run.origin());
            if (isShown && !getChildren().contains(origin)) {
                getChildren().add(run.role() == Role.OUTSIDE ? 1 : 0, origin);
            } else if (!isShown) {
                getChildren().remove(origin);
            }
            tip.setText(run.origin());
            if (run.origin().isEmpty() || hasRoom) {
                Tooltip.uninstall(this, tip);
            } else {
                Tooltip.install(this, tip);
            }
        }
    }
}

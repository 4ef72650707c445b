package pixeron.app.bench;

import java.util.Locale;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.VBox;
import pixeron.app.theme.Theme;
import pixeron.working.Line;
import pixeron.working.Role;
import pixeron.working.Run;

/** The grids of a working beside each other: a window, the weights, the products; each cell in a box of its own. */
final class CellGrids extends FlowPane {

    /** In wider grids how a cell came about is said when one points at it. */
    private static final int WIDEST_WITH_ORIGIN = 4;

    private final Theme theme;
    private GridPane grid;
    private VBox box;
    private int row;

    CellGrids(Theme theme) {
        this.theme = theme;
        getStyleClass().add("cell-grids");
    }

    /** Adds a row of cells; one with a label of its own begins a new grid. */
    void add(Line line) {
        if (grid == null || !line.label().isBlank()) {
            grid = new GridPane();
            grid.getStyleClass().add("cell-grid");
            Label label = new Label(line.label());
            label.getStyleClass().add("working-label");
            box = new VBox(label, grid);
            box.setAccessibleText(line.label());
            box.getStyleClass().add("cell-grid-box");
            getChildren().add(box);
            row = 0;
        }
        int column = 0;
        long cells = line.runs().stream().filter(run -> !isNote(run)).count();
        for (Run run : line.runs()) {
            if (isNote(run)) {
                addNote(run.text().strip());
            } else {
                grid.add(cell(run, cells <= WIDEST_WITH_ORIGIN), column++, row);
            }
        }
        row++;
    }

    /** What is covered is a note as well, but stands in its cell. */
    private static boolean isNote(Run run) {
        return run.role() == Role.NOTE && !run.text().strip().equals("…");
    }

    /** Where cells outside come from is said in the cells; other words, such as turned by 180°, stand with the label. */
    private void addNote(String words) {
        if (!words.startsWith("outside:")) {
            Label label = (Label) box.getChildren().get(0);
            label.setText(label.getText() + ", " + words);
        }
    }

    private VBox cell(Run run, boolean hasRoom) {
        Label number = new Label(run.text().strip());
        number.getStyleClass().add("cell-number");
        number.setTextFill(theme.palette().of(run.role()));
        VBox cell = new VBox(number);
        cell.getStyleClass().addAll("cell-box", "cell-" + run.role().name().toLowerCase(Locale.ROOT));
        cell.setAccessibleText(run.text().strip() + (run.origin().isEmpty() ? "" : ", " + run.origin()));
        if (!run.origin().isEmpty() && hasRoom) {
            Label origin = new Label(run.origin());
            origin.getStyleClass().add("cell-origin");
            cell.getChildren().add(run.role() == Role.OUTSIDE ? 1 : 0, origin);
        } else if (!run.origin().isEmpty()) {
            Tooltip.install(cell, new Tooltip(run.origin()));
        }
        return cell;
    }
}

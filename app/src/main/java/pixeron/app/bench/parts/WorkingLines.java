package pixeron.app.bench.parts;

import java.util.List;
import java.util.Locale;
import javafx.scene.control.Label;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.text.Text;
import javafx.scene.text.TextFlow;
import pixeron.app.theme.Theme;
import pixeron.working.Line;
import pixeron.working.Run;

/** Lines of a calculation, each piece in the color of its role. */
public final class WorkingLines {

    private WorkingLines() {
    }

    /**
     * Shows all lines but rows of cells. Lines that only go on are behind one another while they fit, as on paper.
     *
     * @param grid gets the lines below what it has
     * @param length characters on one line before it goes on below
     */
    public static void show(List<Line> lines, GridPane grid, int length, Theme theme) {
        TextFlow flow = null;
        int used = 0;
        int row = grid.getRowCount();
        for (Line line : lines) {
            if (line.isCells()) {
                flow = null;
                continue;
            }
            String text = line.text().strip();
            boolean goesOn = flow != null && line.label().isEmpty() && used + text.length() <= length;
            if (!goesOn) {
                flow = new TextFlow();
                GridPane.setHgrow(flow, Priority.ALWAYS);
                Label label = new Label(line.label());
                label.getStyleClass().add("working-label");
                label.setMinWidth(Region.USE_PREF_SIZE);
                grid.addRow(row++, label, flow);
                used = 0;
            }
            used += text.length() + 1;
            flow.setAccessibleText((goesOn ? flow.getAccessibleText() + " " : line.label() + ": ") + text);
            for (Run run : line.runs()) {
                flow.getChildren().add(text(goesOn && run == line.runs().get(0)
                        ? new Run(" " + run.text().stripLeading(), run.role()) : run, theme));
            }
        }
    }

    private static Text text(Run run, Theme theme) {
        Text text = new Text(run.text());
        text.getStyleClass().addAll("working-run", "role-" + run.role().name().toLowerCase(Locale.ROOT));
        text.setFill(theme.palette().of(run.role()));
        return text;
    }
}

package pixeron.app.bench.counts;

import javafx.beans.value.ObservableValue;
import javafx.scene.Node;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import pixeron.app.bench.parts.MiddlePane;
import pixeron.app.model.Bench;
import pixeron.app.theme.Theme;

/** The histogram in one place: its bars with the cumulative counts, and beside them its table, in which it can be counted by hand. */
public final class HistogramPane extends HBox implements MiddlePane.Content {

    private final CountingPane counting;

    public HistogramPane(Bench bench, Theme theme, ObservableValue<Boolean> isSeen) {
        getStyleClass().add("histogram-view");
        LevelsPane levels = new LevelsPane(bench, theme);
        levels.showRunning();
        counting = new CountingPane(bench, theme, isSeen, levels::showCounted);
        VBox plot = new VBox(levels);
        plot.getStyleClass().add("sheet");
        VBox.setVgrow(levels, Priority.ALWAYS);
        HBox.setHgrow(plot, Priority.ALWAYS);
        getChildren().addAll(plot, counting);
    }

    @Override
    public Node first() {
        return counting.first();
    }

    /** Counts the next pixel, or takes the last count back. */
    @Override
    public boolean step(int by) {
        counting.step(by);
        return true;
    }

    /** Counts to the end of a row, or of a column where those are gone through. */
    @Override
    public boolean nextLine() {
        counting.stepLine();
        return true;
    }
}

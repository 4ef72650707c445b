package pixeron.app.bench.pixels;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import javafx.beans.value.ObservableValue;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import pixeron.app.bench.parts.Copy;
import pixeron.app.bench.parts.Facts;
import pixeron.app.bench.parts.WhenSeen;
import pixeron.app.bench.parts.Words;
import pixeron.app.model.Bench;
import pixeron.app.model.Shown;
import pixeron.app.model.StepState;
import pixeron.chain.Outcome;
import pixeron.image.Pixel;
import pixeron.image.Result;

/** Pixels that are followed: one row for each, with its value in the image and after every step. */
public final class WatchList extends ScrollPane {

    private final Bench bench;
    private final Facts table = new Facts();
    private final Button toggle = new Button("Track this pixel");
    private final Button copy = new Button("Copy");
    private final Label hint = new Label("Track a pixel to see its value after every step.");

    public WatchList(Bench bench, ObservableValue<Boolean> isSeen) {
        WhenSeen seen = new WhenSeen(isSeen, this::render);
        this.bench = bench;
        getStyleClass().add("working-pane");
        toggle.getStyleClass().add("quiet");
        toggle.setOnAction(event -> bench.looking().toggleWatched(bench.pickedProperty().get()));
        copy.getStyleClass().add("quiet");
        copy.setTooltip(new Tooltip("Copy the tracked pixels as a table"));
        copy.setOnAction(event -> copy());
        hint.getStyleClass().add("sheet-hint");
        hint.setWrapText(true);
        HBox head = new HBox(toggle, copy);
        head.getStyleClass().add("part-head");
        VBox all = new VBox(head, hint, table);
        all.getStyleClass().addAll("part", "followed");
        setContent(all);
        bench.shownProperty().subscribe(shown -> seen.request());
        bench.looking().watchedProperty().subscribe(pixels -> seen.request());
        bench.pickedProperty().subscribe(pixel -> seen.request());
        bench.looking().displayProperty().subscribe(display -> seen.request());
    }

    private void render() {
        table.clear();
        Shown shown = bench.shown();
        List<Pixel> watched = bench.looking().watchedProperty().get();
        boolean isWatched = watched.contains(bench.pickedProperty().get());
        toggle.setText(isWatched ? "Stop tracking" : "Track this pixel");
        hint.setVisible(watched.isEmpty());
        hint.setManaged(watched.isEmpty());
        copy.setDisable(watched.isEmpty());
        if (shown == null || watched.isEmpty()) {
            return;
        }
        List<String> names = names(shown);
        for (int n = 0; n < names.size(); n++) {
            table.head(n, names.get(n), n == 0 ? "" : n == 1 ? "role-before" : "role-after");
        }
        for (Pixel pixel : watched) {
            List<String> row = row(shown, pixel);
            table.row(row.get(0), row.subList(1, row.size()).toArray(String[]::new));
        }
    }

    private static List<String> names(Shown shown) {
        List<String> names = new ArrayList<>(List.of("row, column", "image"));
        shown.steps().forEach(step -> names.add(names.size() - 1 + " " + step.link().step().type().name()));
        return names;
    }

    private List<String> row(Shown shown, Pixel pixel) {
        int first = bench.looking().display().first();
        Result source = shown.project().chain().input();
        List<String> row = new ArrayList<>();
        row.add((pixel.row() + first) + ", " + (pixel.column() + first));
        row.add(source.frame().contains(pixel) ? Words.values(source, pixel) : "");
        for (StepState step : shown.steps()) {
            row.add(step.after() instanceof Outcome.Done done && done.result().frame().contains(pixel)
                    ? Words.values(done.result(), pixel) : "–");
        }
        return row;
    }

    private void copy() {
        Shown shown = bench.shown();
        List<List<String>> rows = new ArrayList<>(List.of(names(shown)));
        bench.looking().watchedProperty().get().forEach(pixel -> rows.add(row(shown, pixel)));
        Copy.text(rows.stream().map(row -> String.join("\t", row)).collect(Collectors.joining("\n")) + "\n");
    }
}

package pixeron.app.bench.table;

import java.util.List;
import java.util.Optional;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import pixeron.app.bench.parts.WorkingLines;
import pixeron.app.model.Bench;
import pixeron.app.model.Display;
import pixeron.app.sheet.Sheet;
import pixeron.app.sheet.SheetFrame;
import pixeron.app.sheet.paint.ImagePainter;
import pixeron.app.sheet.paint.Look;
import pixeron.app.sheet.paint.Viewport;
import pixeron.app.theme.Theme;
import pixeron.byhand.Verdict;
import pixeron.byhand.table.TableCheck;
import pixeron.working.Line;
import pixeron.working.Run;
import pixeron.working.Table;

/** Beside a table: the chosen cell calculated, the findings about the user's value there, and the pixels of the row. */
final class RowPane extends VBox {

    private static final int LINE_LENGTH = 26;

    private final Bench bench;
    private final Theme theme;
    private final Label title = new Label();
    private final GridPane lines = new GridPane();
    private final Label mark = new Label();
    private final Label words = new Label();
    private final HBox callout = new HBox(mark, words);
    private final Viewport viewport = new Viewport();
    private final SheetFrame frame;

    RowPane(Bench bench, Theme theme) {
        this.bench = bench;
        this.theme = theme;
        getStyleClass().add("row-pane");
        title.getStyleClass().add("sheet-title");
        lines.getStyleClass().add("working-lines");
        callout.getStyleClass().add("callout");
        mark.getStyleClass().add("callout-mark");
        mark.setMinWidth(Region.USE_PREF_SIZE);
        words.getStyleClass().add("callout-words");
        words.setWrapText(true);
        words.setMinHeight(USE_PREF_SIZE);
        HBox.setHgrow(words, Priority.ALWAYS);
        ScrollPane scroll = new ScrollPane(lines);
        scroll.setFitToWidth(true);
        scroll.setFocusTraversable(false);
        scroll.setMinHeight(84);
        VBox.setVgrow(scroll, Priority.ALWAYS);
        VBox worked = new VBox(title, scroll, callout);
        worked.getStyleClass().addAll("sheet", "row-card");
        Sheet sheet = new Sheet("Pixels of the row", viewport, theme);
        sheet.setOnPick(bench::pickBefore);
        frame = new SheetFrame("Position", "before", sheet);
        VBox.setVgrow(frame, Priority.ALWAYS);
        getChildren().addAll(worked, frame);
        bench.shownProperty().subscribe(shown -> light());
        bench.pickedBeforeProperty().subscribe(sheet::setPicked);
        clear();
    }

    void clear() {
        title.setText("");
        lines.getChildren().clear();
        showCallout(Optional.empty(), "");
    }

    /** @param why why nothing is shown of the chosen row */
    void cover(String why) {
        clear();
        title.setText(why);
    }

    void show(ShownTables shown, Table table, Optional<Integer> row, Optional<String> column) {
        clear();
        if (row.isEmpty() || column.isEmpty() || row.get() > table.rows().size()
                || !table.columns().contains(column.get())) {
            title.setText("Choose a cell");
            return;
        }
        title.setText((table.isFillable(column.get()) ? TableWords.column(table, column.get()) + ", " : "")
                + TableWords.row(table, row.get()));
        // The title says what it is; the room is needed for the numbers.
        WorkingLines.show(lines(table, row.get(), column.get()).stream().map(line -> line.label().equals(column.get())
                ? new Line("", line.runs()) : line).toList(), lines, LINE_LENGTH, theme);
        Optional<TableCheck.Cell> cell = shown.check(table).cell(row.get(), column.get());
        showCallout(cell, cell.map(found -> TableWords.sentence(shown.check(table), found, table, shown.slips(table))).orElse(""));
    }

    private static List<Line> lines(Table table, int row, String column) {
        if (row == table.rows().size()) {
            return table.value(row, column).map(sum -> List.of(Line.of("Σ", Run.plain("all of the column = "
                    + TableWords.value(sum))))).orElse(List.of());
        }
        List<Line> lines = table.explain(row, column);
        return !lines.isEmpty() ? lines : List.of(Line.of(column, Run.plain(column + " = "
                + table.value(row, column).map(TableWords::value).orElse("blank"))),
                Line.of("", Run.note(table.isFillable(column) ? "   from the image" : "")));
    }

    private void showCallout(Optional<TableCheck.Cell> cell, String sentence) {
        callout.setVisible(cell.isPresent());
        callout.setManaged(cell.isPresent());
        callout.getStyleClass().removeAll("right", "wrong");
        cell.ifPresent(found -> {
            callout.getStyleClass().add(found.state() == Verdict.AGREES ? "right" : "wrong");
            mark.setText(TableWords.mark(found));
            words.setText(sentence);
        });
    }

    private void light() {
        if (bench.shown() == null || bench.shown().before().isEmpty()) {
            frame.sheet().setPainter(null);
            return;
        }
        viewport.setImageSize(bench.shown().before().get().image().rows(),
                bench.shown().before().get().image().columns());
        frame.sheet().setPainter(new ImagePainter(bench.shown().before().get(), Look.of(bench.shown(),
                Display.PLAIN).on(bench.shown().before().get().image().frame(), false, bench.shown()), theme));
        frame.setCaption(bench.shown().lit().flatMap(lit -> lit.pixels().map(pixels -> lit.search().words() + ": "
                + pixels.count() + " pixels")).orElse("choose a row"));
    }
}

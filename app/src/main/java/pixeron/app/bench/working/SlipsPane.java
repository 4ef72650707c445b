package pixeron.app.bench.working;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import javafx.beans.value.ObservableValue;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import pixeron.PixeronException;
import pixeron.app.bench.parts.AskedWord;
import pixeron.app.bench.parts.MiddlePane;
import pixeron.app.bench.parts.WhenSeen;
import pixeron.app.bench.parts.Words;
import pixeron.app.model.Bench;
import pixeron.app.model.Shown;
import pixeron.byhand.CellCheck;
import pixeron.byhand.Check;
import pixeron.byhand.slip.SlipTitles;
import pixeron.byhand.slip.search.Explanation;
import pixeron.byhand.work.Start;
import pixeron.image.Pixel;
import pixeron.project.View;
import pixeron.step.table.PixelTable;
import pixeron.working.Line;
import pixeron.working.Role;
import pixeron.working.Run;
import pixeron.working.Working;

/** The slips that explain the values by hand, each with a way to its first cell. */
public final class SlipsPane extends ScrollPane {

    private static final int MOST_WRONG = 8;

    private final Bench bench;
    private final Consumer<MiddlePane.View> show;
    private final VBox content = new VBox();
    private Told told;

    /**
     * Creates the pane that lists which slips explain the user's values.
     *
     * @param show brings a view into the middle
     * @param isSeen whether its tab is open
     */
    public SlipsPane(Bench bench, Consumer<MiddlePane.View> show, ObservableValue<Boolean> isSeen) {
        this.bench = bench;
        this.show = show;
        getStyleClass().add("working-pane");
        AskedWord.set(this, "slip");
        setFitToWidth(true);
        content.getStyleClass().add("working-content");
        setContent(content);
        WhenSeen seen = new WhenSeen(isSeen, () -> render(bench.shown()));
        bench.shownProperty().subscribe(shown -> seen.request());
        bench.looking().hintsProperty().subscribe(taken -> seen.request());
        bench.looking().colorViewProperty().subscribe(view -> seen.request());
        bench.pickedProperty().subscribe(pixel -> {
            if (told != null && !told.slips().isEmpty()) {
                seen.request();
            }
        });
    }

    private void render(Shown shown) {
        content.getChildren().clear();
        if (shown == null) {
            return;
        }
        told = Told.of(bench);
        if (told.check().filled() > 0 || bench.isWithheld()) {
            content.getChildren().add(alone());
        }
        if (bench.looking().isAlone()) {
            hints(shown, bench.looking().hintsProperty().get());
            return;
        }
        shown.start().filter(start -> start.inTable().isPresent() || start.position() != shown.position()).ifPresent(start ->
                content.getChildren().add(start(start)));
        if (!bench.hand().isWhole()) {
            following(shown);
        }
        told.slips().forEach(slip -> {
            content.getChildren().add(row(slip));
            workings(shown, slip).ifPresent(content.getChildren()::add);
        });
        Check check = told.check();
        List<CellCheck> wrong = told.found().wrong();
        if (check.filled() == 0) {
            add("Enter values by hand. Explanations for differences appear here.");
        } else if (check.differing().isEmpty()) {
            add("All filled cells agree.");
        } else if (!wrong.isEmpty()) {
            wrong(wrong);
        }
    }

    /** Begins to look for mistakes alone, takes the next hint, or ends it. */
    private HBox alone() {
        boolean isAlone = bench.looking().isAlone();
        Button first = new Button(isAlone ? "Next hint" : "Find it yourself");
        first.setTooltip(new Tooltip(isAlone ? "Show how many differ, then where, then the line, then the slip"
                : "Cover marks, results and slips, and show one hint at a time"));
        first.setOnAction(event -> bench.looking().hintsProperty().set(isAlone ? bench.looking().hintsProperty().get() + 1 : 0));
        HBox row = new HBox(first);
        if (isAlone) {
            Button end = new Button("Show everything");
            end.setOnAction(event -> bench.looking().hintsProperty().set(View.NO_HINTS));
            row.getChildren().add(end);
        }
        row.getChildren().forEach(button -> button.getStyleClass().add("quiet"));
        row.getStyleClass().add("kernel-changes");
        return row;
    }

    private void hints(Shown shown, int taken) {
        Check check = told.check();
        List<CellCheck> differing = check.differing();
        add(bench.isWithheld() ? "This is an exercise: all results are covered. Enter your values in By hand. Ask for a hint at any time."
                : "Marks and results of your cells are covered. Find the mistake yourself. Ask for a hint at any time.");
        if (taken >= 1) {
            add("1. " + (differing.isEmpty() ? "None" : differing.size()) + " of your " + check.filled() + " values "
                    + (differing.size() == 1 ? "differs." : "differ."));
        }
        if (taken >= 2 && !differing.isEmpty()) {
            add("2. The first is at " + told.place(differing.get(0).pixel()) + ".");
        }
        if (taken >= 3 && !differing.isEmpty()) {
            add("3. " + line(differing.get(0).pixel()));
        }
    }

    /** In which line of the working the user's way parts from the right one. */
    private String line(Pixel pixel) {
        return told.slips().stream().filter(slip -> slip.pixels().contains(pixel)).findFirst().flatMap(slip ->
                slip.done().flatMap(done -> bench.shown().operation().map(right -> {
                    Working ours = right.explain(pixel);
                    int at = ours.partsAt(done.explain(pixel));
                    String label = at < ours.lines().size() ? ours.lines().get(at).label().strip() : "";
                    return label.isEmpty() ? "Check how this value is calculated." : "Check this line of its working: " + label + ".";
                }))).orElse("Calculate it again from the first line.");
    }

    /** Where the whole work first goes wrong, when that is not on this sheet. */
    private HBox start(Start start) {
        return card(start.sentence(pixel -> Words.place(pixel, bench.looking().display())), "Show cell", () -> {
            bench.select(start.position());
            start.at().channel().ifPresent(bench.looking()::showChannel);
            start.cell().ifPresent(cell -> bench.pick(cell.pixel()));
            show.accept(start.inTable().isEmpty() ? MiddlePane.View.SHEETS : MiddlePane.View.TABLE);
        }, "wrong");
    }

    private void following(Shown shown) {
        int differing = shown.check().differing().size();
        int ofStep = shown.following().ofStep().size();
        if (ofStep > 0) {
            content.getChildren().add(card(count(ofStep, differing) + " correct, given your step " + shown.position()
                    + ": the first mistake is in that step.", "Go to step " + shown.position(),
                    () -> bench.select(shown.position() - 1), "right"));
        }
        shown.following().ofTables().forEach((table, pixels) -> content.getChildren().add(card(count(pixels.size(), differing)
                + " correct, given your own " + PixelTable.kind(shown.operation().orElseThrow().step().type(), table).title().toLowerCase(Locale.ROOT) + ".", "Go to the table",
                () -> show.accept(MiddlePane.View.TABLE), "right")));
    }

    private static String count(int part, int differing) {
        return (part == differing ? "All " + part : part + " of the " + differing) + " differing cells are";
    }

    private static HBox card(String text, String button, Runnable action, String style) {
        Label words = new Label(text);
        words.getStyleClass().add("callout-words");
        words.setWrapText(true);
        HBox.setHgrow(words, Priority.ALWAYS);
        words.setMaxWidth(Double.MAX_VALUE);
        Button go = new Button(button);
        go.setMinWidth(USE_PREF_SIZE);
        go.setOnAction(event -> action.run());
        HBox row = new HBox(words, go);
        row.getStyleClass().addAll("callout", style);
        return row;
    }

    private void add(String text) {
        Label label = new Label(text);
        label.getStyleClass().add("sheet-hint");
        label.setWrapText(true);
        content.getChildren().add(label);
    }

    private HBox row(Explanation slip) {
        Label words = new Label(slip.text());
        words.getStyleClass().add("callout-words");
        words.setWrapText(true);
        Label title = new Label(SlipTitles.of(slip.ids()));
        title.getStyleClass().add("step-title");
        VBox text = new VBox(title, words);
        if (!slip.certainty().words().isEmpty()) {
            Label sure = new Label(slip.certainty().words());
            sure.setWrapText(true);
            sure.getStyleClass().add("slip-certainty");
            text.getChildren().add(sure);
        }
        HBox.setHgrow(text, Priority.ALWAYS);
        VBox ways = new VBox();
        slip.pixels().stream().findFirst().ifPresent(pixel -> ways.getChildren().add(way("Show the first", pixel)));
        // A slip in counts has no working of one pixel; the table is where it shows.
        if (slip.done().isEmpty() && bench.shown().isByTable()) {
            Button table = new Button("Open the table");
            table.setMinWidth(USE_PREF_SIZE);
            table.setMaxWidth(Double.MAX_VALUE);
            table.setOnAction(event -> show.accept(MiddlePane.View.TABLE));
            ways.getChildren().add(table);
        }
        slip.certainty().telling().ifPresent(telling -> ways.getChildren().add(way("Show the deciding cell", telling.pixel())));
        ways.getStyleClass().add("slip-ways");
        HBox row = new HBox(text, ways);
        row.getStyleClass().addAll("callout", "wrong");
        return row;
    }

    private Button way(String words, Pixel pixel) {
        Button go = new Button(words);
        go.setMinWidth(USE_PREF_SIZE);
        go.setMaxWidth(Double.MAX_VALUE);
        go.setOnAction(event -> told.goTo(pixel));
        return go;
    }

    /** Cells that nothing explains, each on its own, the first few of them. */
    private void wrong(List<CellCheck> cells) {
        add((cells.size() == 1 ? "One cell is" : cells.size() + " cells are") + " not explained by a known slip"
                + (cells.size() == 1 ? "it" : "them") + ". See the working for each value.");
        for (CellCheck cell : cells.subList(0, Math.min(MOST_WRONG, cells.size()))) {
            Label words = new Label(told.place(cell.pixel()) + ": " + cell.byHand().text() + " is "
                    + cell.distance() + ".");
            words.setMaxWidth(Double.MAX_VALUE);
            HBox.setHgrow(words, Priority.ALWAYS);
            HBox row = new HBox(words, way("Show cell", cell.pixel()));
            row.getStyleClass().add("slip-wrong");
            content.getChildren().add(row);
        }
    }

    /** The right working beside the slipped one, of the picked pixel or of the first that the slip explains. */
    private Optional<HBox> workings(Shown shown, Explanation slip) {
        Pixel picked = bench.pickedProperty().get();
        if (slip.pixels().isEmpty()) {
            return Optional.empty();
        }
        Pixel pixel = slip.pixels().contains(picked) ? picked : slip.pixels().get(0);
        try {
            return slip.done().flatMap(done -> bench.shown().operation().map(right -> {
                Working ours = right.explain(pixel);
                Working theirs = done.explain(pixel);
                HBox both = new HBox(card("Correct, " + Words.place(pixel, bench.looking().display()), ours, ours.partsAt(theirs)),
                        card("With the slip", theirs, ours.partsAt(theirs)));
                both.getStyleClass().add("slip-workings");
                return both;
            }));
        } catch (PixeronException withoutValue) {
            return Optional.empty();
        }
    }

    private static VBox card(String title, Working working, int partsAt) {
        Label head = new Label(title);
        head.getStyleClass().add("working-label");
        VBox card = new VBox(head);
        card.getStyleClass().add("slip-working");
        HBox.setHgrow(card, Priority.ALWAYS);
        card.setPrefWidth(100);
        for (int n = 0; n < working.lines().size(); n++) {
            Line line = working.lines().get(n);
            // Notes of cells say where they come from; the numbers need the room.
            String text = line.isCells() ? line.runs().stream().filter(run -> run.role() != Role.NOTE).map(Run::text)
                    .collect(Collectors.joining()) : line.text().strip();
            Label label = new Label(String.format("%-11s", line.label().strip()) + text);
            label.setWrapText(!line.isCells());
            label.getStyleClass().add("slip-line");
            if (n != partsAt) {
                label.setText("  " + label.getText());
            } else {
                // Not only in color: here the two part.
                label.setText("▸ " + label.getText().stripTrailing());
                label.getStyleClass().add("parts");
            }
            card.getChildren().add(label);
        }
        return card;
    }
}

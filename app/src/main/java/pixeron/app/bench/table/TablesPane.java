package pixeron.app.bench.table;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import java.util.stream.IntStream;
import javafx.beans.value.ObservableValue;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.CheckMenuItem;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.control.Tooltip;
import javafx.scene.input.Clipboard;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.util.StringConverter;
import pixeron.PixeronException;
import pixeron.app.bench.parts.Copy;
import pixeron.app.bench.parts.MiddlePane;
import pixeron.app.bench.parts.Withheld;
import pixeron.app.model.Background;
import pixeron.app.model.Bench;
import pixeron.app.model.Search;
import pixeron.app.model.Shown;
import pixeron.app.model.Target;
import pixeron.app.theme.Theme;
import pixeron.byhand.Verdict;
import pixeron.byhand.table.HandTable;
import pixeron.byhand.table.TableCheck;
import pixeron.format.CellTable;
import pixeron.format.TableText;
import pixeron.image.Image;
import pixeron.image.Spectrum;
import pixeron.number.Decimals;
import pixeron.number.Rational;
import pixeron.number.Value;
import pixeron.working.Table;

/** The tables of the selected step, to be filled by hand and checked; the chosen row is calculated beside them. */
public final class TablesPane extends HBox implements MiddlePane.Content {

    /** Columns that a user fills first; the others are a choice away. */
    private static final Set<String> FILLED_FIRST = Set.of("n", "running", "s", "between", "next",
            "low", "high", "scale", "t");
    private static final Set<String> HIDDEN_FIRST = Set.of("levels share", "otsu n1", "otsu total", "otsu variance0", "otsu variance1");
    private static final int MOST_ROWS_WITH_ABSENT = 64;

    private final Bench bench;
    private final Background background = new Background();
    private final Consumer<String> say;
    private final ComboBox<Table> choice = new ComboBox<>();
    private final MenuButton columns = new MenuButton("Columns");
    private final CheckBox absent = new CheckBox("absent levels");
    private final Label counts = new Label();
    private final Label empty = new Label();
    private final HandTableView view;
    private final RowPane row;
    private final VariancePlot plot;
    private final SharePlot shares;
    /** Which columns are shown, by the name of the table. */
    private final Map<String, Set<String>> visible = new HashMap<>();
    private final RowWalk walk = new RowWalk(this::walked);
    private ShownTables shown;
    private boolean isShowing;
    private Optional<Integer> litRow = Optional.empty();

    /**
     * Creates the table view of the selected step.
     *
     * @param openFile lets the user choose a file with cells and hands them over
     * @param isSeen whether this is shown
     */
    public TablesPane(Bench bench, Theme theme, Consumer<Consumer<CellTable>> openFile, Consumer<String> say,
            ObservableValue<Boolean> isSeen) {
        this.bench = bench;
        this.say = say;
        getStyleClass().add("tables");
        view = new HandTableView(theme, (place, text) -> write(hand -> hand.with(Map.of(place, text))));
        row = new RowPane(bench, theme);
        VBox.setVgrow(view, Priority.ALWAYS);
        empty.getStyleClass().add("sheet-hint");
        empty.setWrapText(true);
        counts.getStyleClass().addAll("sheet-subtitle", "table-counts");
        plot = new VariancePlot(theme);
        shares = new SharePlot(theme, step -> bench.edit("taken row of " + bench.position(), project -> project.withChain(chain -> chain.replaced(bench.position(), step))),
                bench.past()::endMerge);
        VBox card = new VBox(head(openFile), view, plot, shares, counts, empty);
        card.getStyleClass().addAll("sheet", "table-card");
        HBox.setHgrow(card, Priority.ALWAYS);
        getChildren().addAll(card, row);
        view.getFocusModel().focusedCellProperty().subscribe(cell -> chosen());
        view.addEventFilter(KeyEvent.KEY_PRESSED, this::pressed);
        bench.shownProperty().subscribe(now -> request(isSeen.getValue()));
        isSeen.subscribe(seen -> request(seen));
        theme.scaleProperty().subscribe(scale -> render());
        bench.looking().hintsProperty().subscribe(taken -> render());
    }

    /** The channel that the tables are of, where there are several. */
    private String channel() {
        return shown == null || !shown.shown().hasColor() || shown.shown().face().equals(Image.VALUE) ? "" : ", " + shown.shown().face();
    }

    private HBox head(Consumer<Consumer<CellTable>> openFile) {
        choice.setConverter(new StringConverter<>() {
            @Override
            public String toString(Table table) {
                return table == null ? "" : TableWords.table(table) + channel();
            }

            @Override
            public Table fromString(String text) {
                return null;
            }
        });
        choice.setAccessibleText("Table");
        choice.valueProperty().subscribe(table -> render());
        columns.setTooltip(new Tooltip("Choose the columns to show"));
        absent.selectedProperty().subscribe(isOn -> render());
        Button open = button("Open…", "Open a file with values by hand; its first line names the columns");
        open.setOnAction(event -> openFile.accept(this::take));
        MenuButton copy = new MenuButton("Copy as");
        copy.setTooltip(new Tooltip("Copy the table as shown (Ctrl+C: with tabs)"));
        copy.getStyleClass().add("quiet");
        for (TableText form : TableText.values()) {
            MenuItem item = new MenuItem(form.title());
            item.setOnAction(event -> {
                Copy.text(form.write(view.shownCells()));
                say.accept("Copied the table as " + form.title());
                // The form that was used last comes first.
                copy.getItems().remove(item);
                copy.getItems().add(0, item);
            });
            copy.getItems().add(item);
        }
        Button next = button("Next slip", "Go to the next cell with a slip of its own");
        next.setOnAction(event -> goToNextSlip());
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        HBox head = new HBox(choice, gap, walk, absent, columns, next, open, copy);
        head.getStyleClass().addAll("sheet-head", "table-head");
        for (Region fixed : List.of(choice, absent, columns, next, open, copy)) {
            fixed.setMinWidth(USE_PREF_SIZE);
        }
        columns.getStyleClass().add("quiet");
        return head;
    }

    private static Button button(String text, String words) {
        Button button = new Button(text);
        button.getStyleClass().add("quiet");
        button.setTooltip(new Tooltip(words));
        return button;
    }

    private void request(boolean isSeen) {
        if (isSeen && bench.shown() != null && (shown == null || shown.shown() != bench.shown())) {
            var now = bench.shown();
            background.start(progress -> ShownTables.of(now), this::show, problem -> say.accept(problem.getMessage()));
        }
    }

    private void show(ShownTables made) {
        // Another step begins with the table that is most its own; the same one stays at what the user chose.
        boolean isSameStep = shown != null && shown.shown().position() == made.shown().position();
        String name = choice.getValue() == null || !isSameStep ? "" : choice.getValue().name();
        shown = made;
        isShowing = true;
        choice.getItems().setAll(made.tables());
        Table kept = made.tables().stream().filter(table -> table.name().equals(name)).findFirst()
                .orElse(made.tables().stream().filter(table -> !table.name().matches("levels|constants|target"))
                        .findFirst().orElse(made.tables().isEmpty() ? null : made.tables().get(0)));
        choice.setValue(kept);
        isShowing = false;
        render();
    }

    private void render() {
        if (isShowing || shown == null) {
            return;
        }
        Table table = choice.getValue();
        boolean isThere = table != null;
        view.setVisible(isThere);
        view.setManaged(isThere);
        empty.setText(isThere ? "" : bench.position() < 0 ? "Select a step to see its tables here."
                : "This step has no table: it is off, or its input is a real-valued image without levels.");
        empty.setManaged(!isThere);
        columns.setDisable(!isThere);
        showPlot(isThere && !bench.isWithheld() && walk.seen() >= table.rows().size() ? table : null);
        if (!isThere) {
            counts.setText("");
            row.clear();
            return;
        }
        boolean hasLevels = hasLevels(table);
        absent.setVisible(hasLevels && table.rows().size() > MOST_ROWS_WITH_ABSENT);
        absent.setManaged(absent.isVisible());
        Set<String> ids = visible.computeIfAbsent(table.name(), name -> atFirst(table));
        makeColumnMenu(table, ids);
        List<Integer> rows = rows(table, hasLevels);
        walk.setRows(rows.size());
        view.show(table, shown.hand(table), shown.check(table), ordered(table, ids), rows, bench.isWithheld() ? 0 : walk.seen());
        counts.setText(bench.looking().isAlone() ? "" : TableWords.counts(shown.check(table)));
        showRow(table);
    }

    private void showRow(Table table) {
        if (view.chosenRow().filter(view::isCovered).isPresent()) {
            row.cover(bench.isWithheld() ? Withheld.WORDS : "The walk has not reached this yet");
        } else {
            row.show(shown, table, view.chosenRow(), view.chosenColumn());
        }
    }

    /** More or fewer rows are seen: the last of them is calculated. */
    private void walked() {
        Table table = choice.getValue();
        if (table != null && shown != null && !isShowing) {
            render();
            if (walk.seen() > 0 && walk.seen() <= view.getItems().size()) {
                view.choose(view.getItems().get(walk.seen() - 1), lastFillable(table));
            }
        }
    }

    private String lastFillable(Table table) {
        List<String> byHand = view.handColumns();
        return byHand.isEmpty() ? table.columns().get(table.columns().size() - 1) : byHand.get(byHand.size() - 1);
    }

    @Override
    public boolean step(int by) {
        return walk.step(by);
    }

    private List<Integer> rows(Table table, boolean hasLevels) {
        boolean areAbsentShown = absent.isSelected() || table.rows().size() <= MOST_ROWS_WITH_ABSENT;
        List<Integer> rows = new ArrayList<>(IntStream.range(0, table.rows().size())
                .filter(n -> !hasLevels || areAbsentShown || table.value(n, "n").orElseThrow().signum() > 0
                        || shown.hand(table).cells().keySet().stream().anyMatch(place -> place.row()
                                .equals(table.key(n)))).boxed().toList());
        if (!table.summed().isEmpty()) {
            rows.add(table.rows().size());
        }
        return rows;
    }

    private Set<String> atFirst(Table table) {
        Set<String> ids = new LinkedHashSet<>();
        for (String column : table.columns()) {
            boolean isWritten = shown.hand(table).cells().keySet().stream().anyMatch(p -> p.column().equals(column));
            if (!HIDDEN_FIRST.contains(table.name() + " " + column) || isWritten) {
                ids.add(column);
            }
            if (table.isFillable(column) && (FILLED_FIRST.contains(column) || isWritten)) {
                ids.add(column + "*");
            }
        }
        return ids;
    }

    private static Set<String> ordered(Table table, Set<String> ids) {
        Set<String> ordered = new LinkedHashSet<>();
        table.columns().forEach(column -> List.of(column, column + "*").forEach(id -> {
            if (ids.contains(id)) {
                ordered.add(id);
            }
        }));
        return ordered;
    }

    private void makeColumnMenu(Table table, Set<String> ids) {
        columns.getItems().clear();
        for (String suffix : List.of("", "*")) {
            for (String column : table.columns()) {
                if (suffix.isEmpty() || table.isFillable(column)) {
                    CheckMenuItem item = new CheckMenuItem(TableWords.column(table, column) + (suffix.isEmpty() ? "" : ", by hand"));
                    item.setSelected(ids.contains(column + suffix));
                    item.setOnAction(event -> {
                        if (!ids.remove(column + suffix)) {
                            ids.add(column + suffix);
                        }
                        render();
                    });
                    columns.getItems().add(item);
                }
            }
            if (suffix.isEmpty()) {
                columns.getItems().add(new SeparatorMenuItem());
            }
        }
    }

    private void write(UnaryOperator<HandTable> change) {
        // The step whose table is shown, also where another was selected before the cell was left.
        Shown of = shown.shown();
        bench.hand().editTable(new Target(of.project().chain().stage(of.position()).link().id(), of.tableFace(), Optional.empty()), choice.getValue().name(), change);
    }

    private void take(CellTable cells) {
        if (choice.getValue() != null) {
            HandTable opened = HandTable.of(cells, choice.getValue());
            write(old -> opened);
            say.accept("Read " + opened.cells().size() + " values");
        }
    }

    private void pressed(KeyEvent event) {
        if (event.isShortcutDown() && !event.isShiftDown() && event.getCode() == KeyCode.V
                && view.getEditingCell() == null) {
            paste();
            event.consume();
        } else if (event.isShortcutDown() && event.getCode() == KeyCode.C && view.getEditingCell() == null) {
            Copy.text(TableText.TABS.write(view.shownCells()));
            event.consume();
        }
    }

    private void paste() {
        String text = Clipboard.getSystemClipboard().getString();
        List<String> into = view.handColumnsFromChosen();
        if (text == null || text.isBlank() || into.isEmpty()) {
            say.accept(into.isEmpty() ? "First choose a cell in a by-hand column" : "The clipboard contains no cells");
            return;
        }
        try {
            HandTable pasted = shown.hand(choice.getValue()).withBlock(choice.getValue(), view.chosenRow().orElseThrow(),
                    into, CellTable.parse(text));
            write(old -> pasted);
        } catch (PixeronException doesNotFit) {
            say.accept(doesNotFit.getMessage());
        }
    }

    /** Chooses the next cell in reading order that is wrong by itself; behind the last one the first. */
    private void goToNextSlip() {
        Table table = choice.getValue();
        if (table == null) {
            return;
        }
        int from = view.chosenRow().orElse(-1);
        int column = view.chosenColumn().map(table.columns()::indexOf).orElse(-1);
        List<TableCheck.Cell> slips = shown.check(table).cells().stream()
                .filter(cell -> cell.state() == Verdict.DIFFERS).toList();
        slips.stream().filter(cell -> cell.row() > from || cell.row() == from
                && table.columns().indexOf(cell.column()) > column).findFirst().or(() -> slips.stream().findFirst())
                .ifPresentOrElse(cell -> {
                    view.choose(cell.row(), cell.column());
                    view.requestFocus();
                }, () -> say.accept("Every difference follows from an earlier cell"));
    }

    private void chosen() {
        Table table = choice.getValue();
        if (shown == null || table == null || isShowing) {
            return;
        }
        Optional<Integer> chosen = view.chosenRow();
        showRow(table);
        if (!chosen.equals(litRow)) {
            litRow = chosen;
            chosen.filter(n -> n < table.rows().size()).ifPresent(n -> light(table, n));
        }
    }

    /** The pixels that a row is about: those of its level, or those that are not above its limit. */
    private void light(Table table, int at) {
        if (table.columns().containsAll(List.of("u", "v"))) {
            // The coefficient itself is picked: its conjugate is lit with it.
            bench.pick(Spectrum.place(shown.shown().grid(), whole(table, at, "u"), whole(table, at, "v")));
            return;
        }
        String key = table.columns().get(0);
        Value value = table.rows().get(at).get(0);
        if (table.isKeyed() && (hasLevels(table) || key.equals("t")) && value instanceof Rational level) {
            int number = Integer.parseInt(Decimals.exact(level));
            bench.light(Optional.of(new Search.Levels(false, key.equals("k") ? number : 0, number)));
        }
    }

    private static int whole(Table table, int row, String column) {
        return ((Rational) table.value(row, column).orElseThrow()).toInt();
    }

    @Override
    public Node first() {
        return view;
    }

    /** While rows are covered, a plot would tell them. */
    private void showPlot(Table table) {
        Optional<String> plotted = Optional.ofNullable(table).flatMap(found -> found.kind().plotted());
        if (plotted.filter("sigma"::equals).isPresent()) {
            shares.show(table, shown.shown().operation().flatMap(operation -> operation.choice(table)));
        } else {
            shares.hide();
        }
        if (plotted.filter("between"::equals).isPresent()) {
            plot.show(table, shown.shown().before().flatMap(before -> before.histogram()));
        } else {
            plot.hide();
        }
    }

    /** Whether each row is a level with its count. */
    private static boolean hasLevels(Table table) {
        return table.columns().containsAll(List.of("k", "n"));
    }
}

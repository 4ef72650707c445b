package pixeron.app.bench.counts;

import java.util.Optional;
import java.util.function.Consumer;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.beans.value.ObservableValue;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TableCell;
import javafx.scene.control.TableColumn;
import javafx.scene.control.TableView;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.kordamp.ikonli.feather.Feather;
import org.kordamp.ikonli.javafx.FontIcon;
import pixeron.app.bench.parts.Titles;
import pixeron.app.bench.parts.WhenSeen;
import pixeron.app.bench.parts.Words;
import pixeron.app.model.Bench;
import pixeron.app.model.Described;
import pixeron.app.model.Search;
import pixeron.app.model.Shown;
import pixeron.app.theme.Theme;
import pixeron.image.Histogram;
import pixeron.image.Image;
import pixeron.number.Decimals;
import pixeron.number.Rational;
import pixeron.walk.ScanOrder;
import pixeron.walk.Tally;

/**
 * The table of levels of one sheet, k n(k) p(k) C(k), and counting by hand: a walk over the pixels in scan order that
 * makes a tally mark for each, forwards and back.
 */
final class CountingPane extends VBox {

    /**
     * A row of the table.
     *
     * @param level k
     * @param count n(k)
     * @param share p(k)
     * @param running C(k)
     */
    private record Row(int level, int count, Rational share, long running) {
    }

    private final Bench bench;
    private final Theme theme;
    private final TableView<Row> table = new TableView<>();
    private final ComboBox<String> sheet = new ComboBox<>();
    private final CheckBox absent = new CheckBox("absent levels");
    private final ComboBox<ScanOrder> order = new ComboBox<>();
    /** The longest is a share over the pixels of a sheet with its decimal: 4095/4096 ≈ 0.9998. */
    private static final double SHARE_WIDTH = 152;

    private final Label place = new Label();
    private final Consumer<Optional<Tally>> onCount;
    private Optional<Tally> tally = Optional.empty();
    private Histogram counted;
    private final BooleanProperty counting = new SimpleBooleanProperty();
    private boolean isShowing;

    /** @param onCount told what has been counted by hand; nothing when it is no longer counted */
    CountingPane(Bench bench, Theme theme, ObservableValue<Boolean> isSeen, Consumer<Optional<Tally>> onCount) {
        this.onCount = onCount;
        WhenSeen seen = new WhenSeen(isSeen, this::render);
        this.bench = bench;
        this.theme = theme;
        getStyleClass().addAll("sheet", "counting");
        sheet.getItems().setAll("Before", "After");
        sheet.setValue("Before");
        sheet.setAccessibleText("Sheet to count");
        absent.setTooltip(new Tooltip("Show levels that do not occur"));
        order.getItems().setAll(ScanOrder.values());
        order.setValue(ScanOrder.ROWS);
        order.setConverter(new Titles<>(ScanOrder::title));
        order.setAccessibleText("Order of the walk");
        makeTable();
        VBox.setVgrow(table, Priority.ALWAYS);
        getChildren().addAll(head(), table, foot());
        sheet.valueProperty().subscribe(name -> restart());
        absent.selectedProperty().subscribe(isOn -> renderTable(true));
        order.valueProperty().subscribe(way -> restart());
        bench.shownProperty().subscribe(shown -> seen.request());
    }

    private HBox head() {
        sheet.setMinWidth(USE_PREF_SIZE);
        HBox head = new HBox(sheet, absent);
        head.getStyleClass().add("part-head");
        return head;
    }

    private VBox foot() {
        Button start = walkButton(Feather.SKIP_BACK, "Back to the start", 0);
        Button back = walkButton(Feather.CHEVRON_LEFT, "Undo the last count", -1);
        Button forward = walkButton(Feather.CHEVRON_RIGHT, "Count the next pixel", 1);
        Button end = walkButton(Feather.SKIP_FORWARD, "Count to the end", Integer.MAX_VALUE);
        Button leave = new Button("Show all counts");
        leave.getStyleClass().add("quiet");
        leave.setOnAction(event -> {
            tally = Optional.empty();
            render();
        });
        place.getStyleClass().add("sheet-hint");
        place.setWrapText(true);
        leave.visibleProperty().bind(counting);
        FlowPane buttons = new FlowPane(start, back, forward, end, order, leave);
        buttons.getStyleClass().add("places");
        VBox box = new VBox(buttons, place);
        box.getStyleClass().add("part");
        return box;
    }

    private Button walkButton(Feather icon, String words, int step) {
        Button button = new Button();
        button.setGraphic(new FontIcon(icon));
        button.getStyleClass().add("icon-button");
        button.setTooltip(new Tooltip(words));
        button.setAccessibleText(words);
        button.setOnAction(event -> walk(step));
        return button;
    }

    private void makeTable() {
        table.getStyleClass().add("levels-table");
        table.setPlaceholder(new Label("A real-valued image has values, not levels. They cannot be counted."));
        table.setColumnResizePolicy(TableView.CONSTRAINED_RESIZE_POLICY_FLEX_LAST_COLUMN);
        column("k", "level", 50, row -> Integer.toString(row.level()));
        column("n", "count n(k)", 60, row -> Integer.toString(row.count()));
        column("p", "relative frequency p(k) = n(k) ÷ N", SHARE_WIDTH, row -> Decimals.working(row.share()) + Decimals.nearly(row.share()));
        column("C", "cumulative count C(k)", 82, row -> Long.toString(row.running()));
        TableColumn<Row, Integer> marks = new TableColumn<>("tally");
        marks.setSortable(false);
        marks.setMinWidth(60);
        marks.setCellValueFactory(data -> new ReadOnlyObjectWrapper<>(data.getValue().count()));
        marks.setCellFactory(column -> new MarksCell());
        table.getColumns().add(marks);
        table.getSelectionModel().selectedItemProperty().subscribe(row -> {
            if (row != null && !isShowing) {
                bench.light(Optional.of(new Search.Levels(isAfter(), row.level(), row.level())));
            }
        });
    }

    private void column(String title, String words, double width, java.util.function.Function<Row, String> text) {
        TableColumn<Row, String> column = new TableColumn<>();
        Label head = new Label(title);
        head.setTooltip(new Tooltip(words));
        column.setGraphic(head);
        column.setSortable(false);
        column.setPrefWidth(width * theme.scale());
        column.setMinWidth(width * theme.scale());
        column.setCellValueFactory(data -> new ReadOnlyObjectWrapper<>(text.apply(data.getValue())));
        table.getColumns().add(column);
    }

    private final class MarksCell extends TableCell<Row, Integer> {
        @Override
        protected void updateItem(Integer count, boolean isEmpty) {
            super.updateItem(count, isEmpty);
            setGraphic(isEmpty || tally.isEmpty() ? null : new TallyMarks(count, theme.palette().byHand()));
        }
    }

    private boolean isAfter() {
        return "After".equals(sheet.getValue()) || bench.shown() != null && bench.shown().before().isEmpty();
    }

    private Optional<Described> described() {
        Shown shown = bench.shown();
        return shown == null ? Optional.empty() : isAfter() ? shown.after() : shown.before();
    }

    private void restart() {
        tally = tally.flatMap(old -> described()).map(Described::image).filter(Image::isLevelImage)
                .map(image -> Tally.start(image, order.getValue()));
        render();
    }

    private void walk(int step) {
        Optional<Image> image = described().map(Described::image).filter(Image::isLevelImage);
        if (image.isPresent()) {
            Tally at = tally.orElseGet(() -> Tally.start(image.get(), order.getValue()));
            tally = Optional.of(at.at(step == 0 ? 0 : step == Integer.MAX_VALUE ? image.get().count()
                    : at.visited() + step));
            tally.get().pixel().ifPresent(bench::pick);
            render();
        }
    }

    /** Returns what gets the keyboard first. */
    Node first() {
        return table;
    }

    /** Counts so many pixels more. */
    void step(int by) {
        walk(by);
    }

    /** Counts to the end of the line that the next pixel is in. */
    void stepLine() {
        described().map(Described::image).ifPresent(image -> {
            int line = order.getValue() == ScanOrder.COLUMNS ? image.rows() : image.columns();
            walk(line - tally.map(Tally::visited).orElse(0) % line);
        });
    }

    private void render() {
        Optional<Image> image = described().map(Described::image);
        if (tally.isPresent() && image.filter(tally.get().image()::equals).isEmpty()) {
            // Another image came: what was counted is no longer about it.
            tally = Optional.empty();
            counted = null;
        }
        counting.set(tally.isPresent());
        onCount.accept(tally);
        place.setText(tally.isEmpty() ? "Count by hand: each step counts one pixel with a tally mark."
                : tally.get().visited() + " of " + tally.get().image().count() + " counted"
                        + tally.get().pixel().map(pixel -> ", last " + Words.place(pixel, bench.looking().display())
                                + ": level "
                        + tally.get().image().level(tally.get().image().offset(pixel))).orElse(""));
        renderTable(tally.isPresent());
    }

    private void renderTable(boolean isAnyway) {
        Optional<Histogram> histogram = described().flatMap(Described::histogram);
        if (!isAnyway && histogram.isPresent() && histogram.get() == counted) {
            return;
        }
        counted = tally.isPresent() ? null : histogram.orElse(null);
        isShowing = true;
        table.getItems().clear();
        histogram.ifPresent(all -> {
            int pixels = described().orElseThrow().image().count();
            long running = 0;
            for (int level = 0; level <= all.maximumLevel(); level++) {
                int at = level;
                int count = tally.map(t -> t.count(at)).orElseGet(() -> all.count(at));
                running += count;
                if (absent.isSelected() || all.count(level) > 0) {
                    table.getItems().add(new Row(level, count, Rational.of(count, pixels), running));
                }
            }
        });
        isShowing = false;
    }
}

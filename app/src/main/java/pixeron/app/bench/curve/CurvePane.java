package pixeron.app.bench.curve;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Function;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.value.ObservableValue;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.TableColumn;
import javafx.scene.control.TableView;
import javafx.scene.control.cell.TextFieldTableCell;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import pixeron.PixeronException;
import pixeron.app.bench.parts.MiddlePane;
import pixeron.app.model.Background;
import pixeron.app.model.Bench;
import pixeron.app.model.Described;
import pixeron.app.model.Search;
import pixeron.app.model.Shown;
import pixeron.app.theme.Theme;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.number.Decimals;
import pixeron.number.Rational;
import pixeron.step.Handle;
import pixeron.step.Mapping;
import pixeron.step.Step;
import pixeron.step.key.PairsParameter;
import pixeron.step.key.Parameter;
import pixeron.step.point.Lookup;

/** The curve of the selected step, and beside it the table of what becomes of each level. */
public final class CurvePane extends HBox implements CurvePlot.Listener, MiddlePane.Content {

    private static final double TABLE_WIDTH = 250;

    private final Bench bench;
    private final Consumer<String> say;
    private final Background background = new Background();
    private final CurvePlot plot;
    private final ProfilePlot profile;
    private final Label title = new Label();
    private final Label hint = new Label();
    private final Label outside = new Label();
    private final TableView<Mapping.Entry> table = new TableView<>();
    private final VBox tableCard = new VBox(table);
    private TableColumn<Mapping.Entry, String> results;
    private ShownCurve curve;
    private boolean isShowing;

    /**
     * Creates the curve of the selected step; it is drawn while it is shown.
     *
     * @param isSeen whether this is shown
     */
    public CurvePane(Bench bench, Theme theme, Consumer<String> say, ObservableValue<Boolean> isSeen) {
        this.bench = bench;
        this.say = say;
        getStyleClass().add("tables");
        plot = new CurvePlot(theme, this);
        VBox.setVgrow(plot, Priority.ALWAYS);
        profile = new ProfilePlot(theme, (mark, distance) -> change("drag " + bench.position() + " " + mark.name(), () -> mark.change().apply(distance)), this::endDrag);
        VBox.setVgrow(profile, Priority.ALWAYS);
        title.getStyleClass().add("sheet-title");
        hint.getStyleClass().add("sheet-hint");
        hint.setWrapText(true);
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        outside.getStyleClass().add("sheet-subtitle");
        HBox head = new HBox(title, gap, outside);
        head.getStyleClass().add("sheet-head");
        VBox card = new VBox(head, plot, profile, hint);
        card.getStyleClass().addAll("sheet", "table-card");
        HBox.setHgrow(card, Priority.ALWAYS);
        makeTable(theme);
        getChildren().addAll(card, tableCard);
        bench.shownProperty().subscribe(now -> request(isSeen.getValue()));
        bench.pickedProperty().subscribe(pixel -> showPicked());
        isSeen.subscribe(this::request);
    }

    private void makeTable(Theme theme) {
        tableCard.getStyleClass().addAll("sheet", "table-card");
        theme.scaleProperty().subscribe(scale -> {
            tableCard.setMinWidth(TABLE_WIDTH * theme.scale());
            tableCard.setMaxWidth(TABLE_WIDTH * theme.scale());
        });
        VBox.setVgrow(table, Priority.ALWAYS);
        table.getStyleClass().addAll("levels-table", "mapping-table");
        table.setAccessibleText("New value of each level");
        table.setEditable(true);
        table.setColumnResizePolicy(TableView.CONSTRAINED_RESIZE_POLICY_FLEX_LAST_COLUMN);
        column("r", entry -> Integer.toString(entry.level()));
        column("exact", entry -> Decimals.isShownAsFraction(entry.exact()) ? Decimals.approximate(entry.exact())
                : Decimals.working(entry.exact()));
        results = column("s", entry -> Decimals.working(entry.result()) + (entry.isOutside() ? " ▲▼".substring(
                entry.exact().signum() < 0 ? 2 : 1, entry.exact().signum() < 0 ? 3 : 2) : ""));
        results.setCellFactory(TextFieldTableCell.forTableColumn());
        results.setOnEditCommit(event -> writeLookup(event.getRowValue(), event.getNewValue()));
        table.getSelectionModel().selectedItemProperty().subscribe(entry -> {
            if (entry != null && !isShowing) {
                bench.light(Optional.of(new Search.Levels(false, entry.level(), entry.level())));
            }
        });
    }

    private TableColumn<Mapping.Entry, String> column(String name, Function<Mapping.Entry, String> text) {
        TableColumn<Mapping.Entry, String> column = new TableColumn<>(name);
        column.setSortable(false);
        column.setReorderable(false);
        column.setEditable(false);
        column.setCellValueFactory(data -> new ReadOnlyObjectWrapper<>(text.apply(data.getValue())));
        table.getColumns().add(column);
        return column;
    }

    private void request(boolean isSeen) {
        Shown now = bench.shown();
        if (isSeen && now != null && (curve == null || curve.shown() != now)) {
            background.start(progress -> ShownCurve.of(now), this::show, problem -> say.accept(problem.getMessage()));
        }
    }

    private void show(ShownCurve made) {
        curve = made;
        boolean isThere = made.plotted().isPresent();
        plot.setVisible(isThere);
        plot.setManaged(made.profile().isEmpty());
        profile.show(made.profile());
        tableCard.setVisible(isThere);
        tableCard.setManaged(isThere);
        title.setText(made.profile().isPresent() ? "Factor by the distance D from frequency zero" : isThere ? step().orElseThrow().type().formula(step().orElseThrow().arguments()) : "Curve");
        outside.setText(made.plotted().map(PlottedCurve::mapping).map(mapping -> outside(mapping.below(), mapping.above(),
                step().orElseThrow().overflow().word())).orElse(""));
        boolean isLookup = isLookup();
        results.setEditable(isLookup);
        hint.setText(made.profile().isPresent() ? "Drag a line, or use Page Down and the arrow keys." : !isThere ? "A curve shows the new value of each level. Select a point transform that is applied to an "
                + "image with levels." : made.plotted().get().handles().isEmpty() ? ""
                : isLookup ? "Drag a square. Or double-click a result in the table and type another one."
                : pairs().isPresent() ? "Drag a square. Double-click to add one; press Delete to remove the chosen one."
                : "Drag a square, or use Page Down and the arrow keys.");
        isShowing = true;
        table.getItems().setAll(made.plotted().map(plotted -> plotted.mapping().entries()).orElse(List.of()));
        isShowing = false;
        showPicked();
    }

    private static String outside(long below, long above, String overflow) {
        return below + above == 0 ? "no value is outside 0–M"
                : below + " pixels below 0, " + above + " above, overflow=" + overflow;
    }

    private void showPicked() {
        if (curve == null) {
            return;
        }
        Pixel picked = bench.pickedBeforeProperty().get();
        Optional<Image> before = curve.shown().before().map(Described::image).filter(Image::isLevelImage)
                .filter(image -> picked != null && image.contains(picked));
        int level = before.map(image -> image.level(image.offset(picked))).orElse(-1);
        plot.show(curve.plotted(), level);
        if (level >= 0) {
            table.scrollTo(Math.max(0, level - 3));
        }
    }

    private Optional<Step> step() {
        return curve == null || curve.shown().position() < 0 ? Optional.empty()
                : Optional.of(curve.shown().steps().get(curve.shown().position()).link().step());
    }

    private boolean isLookup() {
        return step().filter(step -> step.type() instanceof Lookup).isPresent();
    }

    /** Returns the key with the points of the curve, where the step has one. */
    private Optional<PairsParameter> pairs() {
        return step().flatMap(step -> step.type().ownParameters().stream().filter(PairsParameter.class::isInstance)
                .map(PairsParameter.class::cast).findFirst());
    }

    @Override
    public void drag(Handle handle, Rational level, Rational result) {
        change("drag " + bench.position() + " " + handle.name(), () -> handle.drag().to(level, result));
    }

    /** Where the step cannot have it so, it stays as it was. */
    private void change(String mergeKey, java.util.function.Supplier<Step> made) {
        try {
            Step changed = made.get();
            bench.edit(mergeKey, project -> project.withChain(chain -> chain.replaced(bench.position(), changed)));
        } catch (PixeronException notThere) {
            say.accept(notThere.getMessage());
        }
    }

    @Override
    public void endDrag() {
        bench.past().endMerge();
    }

    @Override
    public void add(Rational level, Rational result) {
        pairs().filter(key -> !isLookup()).ifPresent(key -> change(null, () -> changed(key, level, Optional.of(result))));
    }

    @Override
    public void remove(Handle handle) {
        pairs().ifPresent(key -> change(null, () -> changed(key, handle.level(), Optional.empty())));
    }

    private Step changed(PairsParameter key, Rational level, Optional<Rational> result) {
        Step step = step().orElseThrow();
        List<PairsParameter.Pair> pairs = new ArrayList<>(step.arguments().get(key));
        pairs.removeIf(pair -> pair.from().equals(level));
        result.ifPresent(to -> pairs.add(new PairsParameter.Pair(level, to)));
        pairs.sort(Comparator.comparing(PairsParameter.Pair::from));
        if (pairs.isEmpty()) {
            throw PixeronException.of("At least one point is needed.");
        }
        return step.with(key, pairs);
    }

    private void writeLookup(Mapping.Entry entry, String written) {
        Optional<PairsParameter> key = pairs();
        if (key.isPresent() && isLookup()) {
            change(null, () -> changed(key.get(), Rational.of(entry.level()), written.isBlank() ? Optional.empty()
                    : Optional.of(((Parameter<List<PairsParameter.Pair>>) key.get()).parse("0 " + written.strip()
                            .replaceAll("[ ▲▼]+$", "")).get(0).to())));
        }
        table.refresh();
    }

    @Override
    public Node first() {
        return profile.isVisible() ? profile : plot;
    }
}

package pixeron.app.bench.pixels;

import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Function;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import pixeron.PixeronException;
import pixeron.app.bench.parts.Titles;
import pixeron.app.model.Bench;
import pixeron.app.model.Display;
import pixeron.app.model.Scale;
import pixeron.look.NumberBase;
import pixeron.number.Approximate;
import pixeron.number.Decimals;

/** How values are shown, and which pixels are lit. Nothing here changes a value. */
public final class DisplayPane extends ScrollPane {

    private final Bench bench;
    private final ComboBox<Scale> scale = box("Colors", Scale::title, List.of(Scale.values()));
    private final ComboBox<Display.Range> range = box("Range", Display.Range::title, List.of(Display.Range.values()));
    private final TextField low = field("Lower end of the range");
    private final TextField high = field("Upper end of the range");
    private final ComboBox<NumberBase> base = box("Numbers", NumberBase::title, List.of(NumberBase.values()));
    private final ComboBox<Integer> first = box("Count rows and columns from", n -> "from " + n, List.of(0, 1));
    private final ComboBox<Display.Cells> cells = box("Numbers in a color cell", Display.Cells::title, List.of(Display.Cells.values()));
    private final CheckBox grid = new CheckBox("lines between cells");
    private final Label problem = new Label();
    private final FindPart find;
    /** True while values are shown that the user did not choose; also while the pane is being made. */
    private boolean isShowing = true;

    public DisplayPane(Bench bench) {
        this.bench = bench;
        getStyleClass().add("working-pane");
        GridPane choices = new GridPane();
        choices.getStyleClass().add("facts");
        HBox ends = new HBox(low, new Label("to"), high);
        ends.getStyleClass().add("part-head");
        Button plain = new Button("Back to plain gray");
        plain.getStyleClass().add("quiet");
        plain.setOnAction(event -> bench.looking().displayProperty().set(Display.PLAIN));
        row(choices, 0, "Colors", scale);
        row(choices, 1, "Range", new HBox(8, range, ends));
        row(choices, 2, "Numbers", base);
        row(choices, 3, "Count", first);
        row(choices, 4, "In color", cells);
        row(choices, 5, "Grid", grid);
        problem.getStyleClass().add("parameter-problem");
        Label note = new Label("These settings change the display only, never a value.");
        note.getStyleClass().add("sheet-hint");
        VBox left = new VBox(choices, problem, note, plain);
        left.getStyleClass().add("display-choices");
        find = new FindPart(bench);
        setContent(new HBox(left, find));
        setFitToWidth(true);
        listen();
        bench.looking().displayProperty().subscribe(this::show);
    }

    private static void row(GridPane table, int row, String name, javafx.scene.Node control) {
        Label label = new Label(name);
        label.getStyleClass().add("working-label");
        label.setLabelFor(control);
        table.addRow(row, label, control);
    }

    private static <T> ComboBox<T> box(String name, Function<T, String> title, List<T> choices) {
        ComboBox<T> box = new ComboBox<>();
        box.getItems().setAll(choices);
        box.setConverter(new Titles<>(title));
        box.setAccessibleText(name);
        box.setMinWidth(USE_PREF_SIZE);
        return box;
    }

    private static TextField field(String name) {
        TextField field = new TextField();
        field.getStyleClass().addAll("number-field", "place-field");
        field.setAccessibleText(name);
        return field;
    }

    private void listen() {
        on(scale, choice -> change(bench.looking().display().with(choice)));
        on(range, choice -> change(choice == Display.Range.OWN ? ownRange() : bench.looking().display().with(choice)));
        on(base, choice -> change(bench.looking().display().with(choice)));
        on(cells, choice -> change(bench.looking().display().with(choice)));
        on(first, choice -> change(bench.looking().display().withFirst(choice)));
        grid.selectedProperty().subscribe(isOn -> {
            if (!isShowing) {
                change(bench.looking().display().withGrid(isOn));
            }
        });
        for (TextField field : List.of(low, high)) {
            field.textProperty().subscribe(text -> {
                if (!isShowing) {
                    takeEnds();
                }
            });
        }
    }

    private <T> void on(ComboBox<T> box, Consumer<T> change) {
        box.valueProperty().subscribe(value -> {
            if (!isShowing && value != null) {
                change.accept(value);
            }
        });
    }

    private void change(Display display) {
        problem.setText("");
        bench.looking().displayProperty().set(display);
    }

    /** One's own range begins with what is seen now. */
    private Display ownRange() {
        return bench.shown() == null ? bench.looking().display().with(Display.Range.OWN)
                : bench.shown().after().or(() -> bench.shown().before())
                        .map(described -> bench.looking().display().with(bench.looking().display().ends(described)))
                        .orElse(bench.looking().display().with(Display.Range.OWN));
    }

    private void takeEnds() {
        try {
            double from = Decimals.parse(low.getText().strip()).asDouble();
            double to = Decimals.parse(high.getText().strip()).asDouble();
            if (from < to) {
                change(bench.looking().display().with(new Display.Ends(from, to)));
            } else {
                problem.setText("▲ The lower end must be below the upper end.");
            }
        } catch (PixeronException noNumber) {
            problem.setText("▲ " + noNumber.getMessage());
        }
    }

    private void show(Display display) {
        isShowing = true;
        scale.setValue(display.scale());
        range.setValue(display.range());
        base.setValue(display.base());
        first.setValue(display.first());
        cells.setValue(display.cells());
        grid.setSelected(display.hasGrid());
        boolean isOwn = display.range() == Display.Range.OWN;
        low.setVisible(isOwn);
        high.setVisible(isOwn);
        low.getParent().setVisible(isOwn);
        if (isOwn && !low.isFocused() && !high.isFocused()) {
            low.setText(Decimals.shortest(Approximate.from(display.ends().low()).asDouble()));
            high.setText(Decimals.shortest(Approximate.from(display.ends().high()).asDouble()));
        }
        isShowing = false;
    }

    /** Puts the cursor into the field of a place to go to. */
    public void focusPlace() {
        find.focusPlace();
    }

    /** Returns what is not shown as it is. */
    public static Optional<String> sign(Display display) {
        return display.sign().map(words -> "◐ shown in " + words);
    }
}

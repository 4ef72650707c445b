package pixeron.app.bench.steps;

import java.util.List;
import java.util.Optional;
import javafx.application.Platform;
import javafx.scene.AccessibleRole;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseButton;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import pixeron.app.model.Bench;
import pixeron.app.model.Seen;
import pixeron.app.model.Selection;
import pixeron.app.theme.Theme;
import pixeron.image.Frame;
import pixeron.image.Image;
import pixeron.image.Result;
import pixeron.step.Reference;
import pixeron.step.Step;
import pixeron.step.StepType;
import pixeron.step.catalog.Catalog;
import pixeron.step.key.ReferenceParameter;

/**
 * The button that adds a step. It opens in place into a field that finds steps by a few letters and says what each
 * does; Enter adds the marked one, Esc closes.
 */
public final class StepSearch extends StackPane {

    private static final double ROW = 80;
    private static final int MOST_ROWS = 4;

    private final Bench bench;
    private final Theme theme;
    private final Button button = new Button("+  Add a step");
    private final TextField field = new TextField();
    private final ListView<StepType> list = new ListView<>();
    private final Label nothing = new Label("No step found. Try “brighter” or “threshold”.");
    private final VBox search = new VBox(field, list);

    public StepSearch(Bench bench, Theme theme) {
        this.bench = bench;
        this.theme = theme;
        button.getStyleClass().add("add-step");
        button.setMaxWidth(Double.MAX_VALUE);
        button.setTooltip(new Tooltip("Add a step after the selected one (Ctrl+Shift+A)"));
        button.setOnAction(event -> open());
        field.setPromptText("name, or blur, edges, contrast …");
        field.setAccessibleText("Search for a step to add");
        field.textProperty().subscribe(typed -> find());
        field.addEventFilter(KeyEvent.KEY_PRESSED, this::keyPressed);
        field.focusedProperty().subscribe(isFocused -> closeWhenLeft());
        list.focusedProperty().subscribe(isFocused -> closeWhenLeft());
        list.setAccessibleRole(AccessibleRole.LIST_VIEW);
        list.setAccessibleText("Steps found");
        list.setPlaceholder(nothing);
        nothing.setWrapText(true);
        list.setCellFactory(view -> new TypeCell(theme.scale()));
        list.addEventFilter(KeyEvent.KEY_PRESSED, this::keyPressed);
        list.setOnMouseClicked(event -> {
            if (event.getButton() == MouseButton.PRIMARY) {
                add();
            }
        });
        search.getStyleClass().add("step-search");
        getChildren().add(button);
    }

    /** Opens the search and puts the cursor into it. */
    public void open() {
        field.clear();
        find();
        getChildren().setAll(search);
        field.requestFocus();
    }

    private boolean isOpen() {
        return getChildren().contains(search);
    }

    private void close() {
        getChildren().setAll(button);
    }

    private void closeWhenLeft() {
        // Asked again when the focus has settled: it passes from the field to the list by way of nowhere.
        Platform.runLater(() -> {
            if (isOpen() && !field.isFocused() && !list.isFocused()) {
                close();
            }
        });
    }

    private void find() {
        // What takes a color image or a spectrum has nothing to work on where there is none.
        Optional<Result> before = Optional.ofNullable(bench.shown()).flatMap(shown -> shown.seenAfter().or(shown::seenBefore)).map(Seen::result);
        list.getItems().setAll(Catalog.search(field.getText()).stream().filter(type -> before.map(type::takes).orElse(true)).toList());
        list.getSelectionModel().selectFirst();
        list.scrollTo(0);
        double rows = Math.max(1, Math.min(MOST_ROWS, list.getItems().size()));
        list.setPrefHeight(rows * ROW * theme.scale() + 4);
    }

    private void keyPressed(KeyEvent event) {
        if (event.getCode() == KeyCode.ENTER) {
            add();
        } else if (event.getCode() == KeyCode.ESCAPE) {
            close();
            button.requestFocus();
        } else if (event.getCode() == KeyCode.DOWN && field.isFocused()) {
            list.getSelectionModel().selectNext();
            list.scrollTo(list.getSelectionModel().getSelectedIndex());
        } else if (event.getCode() == KeyCode.UP && field.isFocused()) {
            list.getSelectionModel().selectPrevious();
            list.scrollTo(list.getSelectionModel().getSelectedIndex());
        } else {
            return;
        }
        event.consume();
    }

    private void add() {
        StepType type = list.getSelectionModel().getSelectedItem();
        if (type != null) {
            close();
            add(type);
        }
    }

    /** Adds a step of this kind behind the selected one. */
    public void add(StepType type) {
        bench.addStep(starter(type));
        fireEvent(new StepAdded());
    }

    /** What is marked is what a step that takes a rectangle begins with; another image is the one that came last. */
    private Step starter(StepType type) {
        Step plain = bench.looking().selectionProperty().get() instanceof Selection.Rectangle marked ? type.starter(frame().maximumLevel(), marked.area())
                : type.starter(frame());
        Step step = bench.shown().selected().map(seen -> type.fitted(plain, seen.result(), seen.name(bench.looking().channelProperty().get()))).orElse(plain);
        List<String> images = List.copyOf(bench.project().chain().others().keySet());
        for (ReferenceParameter key : type.references()) {
            step = key == Reference.WITH && key.isRequired() && !images.isEmpty() ? step.with(key, images.get(images.size() - 1)) : step;
        }
        return step;
    }

    /** A found step: its name, its formula and what it does. */
    private static final class TypeCell extends ListCell<StepType> {

        private final Label title = new Label();
        private final Label formula = new Label();
        private final Label sentence = new Label();
        private final VBox box = new VBox(title, formula, sentence);

        TypeCell(double scale) {
            title.getStyleClass().add("step-title");
            formula.getStyleClass().add("step-detail");
            sentence.getStyleClass().add("found-sentence");
            sentence.setWrapText(true);
            setPrefWidth(0);
            setPrefHeight(ROW * scale);
            setTooltip(new Tooltip());
        }

        @Override
        protected void updateItem(StepType type, boolean isEmpty) {
            super.updateItem(type, isEmpty);
            setGraphic(isEmpty ? null : box);
            if (!isEmpty) {
                title.setText(type.title());
                formula.setText(type.formula(type.starter(Image.BYTE_MAXIMUM).arguments()));
                sentence.setText(type.sentence());
                getTooltip().setText(type.sentence());
                setAccessibleText(type.title() + ": " + type.sentence());
            }
        }
    }

    /** Of what the new step will get: a step such as depth or crop may have changed it. */
    private Frame frame() {
        Frame source = bench.project().chain().input().frame();
        return bench.shown() == null ? source : bench.shown().after().or(() -> bench.shown().before()).map(described -> described.image().frame()).orElse(source);
    }
}

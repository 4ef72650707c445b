package pixeron.app.help;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.geometry.Pos;
import javafx.scene.AccessibleRole;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseButton;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import pixeron.app.help.Findable.Kind;
import pixeron.help.Searched;

/**
 * One search for everything, over the window: steps, actions with their keys, words, pages and cases. What is chosen in the list
 * is explained beside it; Enter does it, Esc closes.
 */
public final class Finder extends StackPane {

    private final Supplier<List<Findable>> all;
    private final TextField field = new TextField();
    private final ListView<Findable> list = new ListView<>();
    private final ScrollPane preview = new ScrollPane();
    private final Label enter = new Label();
    private final Label nothing = new Label("Nothing found. Try “brighter”, “border” or “undo”.");
    private List<Findable> findables = List.of();
    /** What had the keyboard before. */
    private Node from;

    /**
     * Creates the search, with a field and an empty list.
     *
     * @param all what can be found; asked each time that the search is opened
     */
    public Finder(Supplier<List<Findable>> all) {
        this.all = all;
        getStyleClass().add("help");
        field.setPromptText("a step, an action, a word, a page or a case");
        field.setAccessibleText("Find a step, an action, a word, a page or a case");
        field.textProperty().subscribe(typed -> find());
        list.setAccessibleText("Found");
        nothing.setWrapText(true);
        nothing.getStyleClass().add("sheet-hint");
        list.setPlaceholder(nothing);
        list.setCellFactory(view -> new Cell());
        list.getSelectionModel().selectedItemProperty().subscribe(found -> preview(found));
        list.setOnMouseClicked(event -> {
            if (event.getButton() == MouseButton.PRIMARY && event.getClickCount() == 2) {
                act();
            }
        });
        preview.setFitToWidth(true);
        preview.getStyleClass().add("finder-preview");
        preview.setAccessibleText("Description");
        enter.getStyleClass().add("sheet-hint");
        VBox left = new VBox(list);
        VBox.setVgrow(list, Priority.ALWAYS);
        left.getStyleClass().add("finder-list");
        HBox both = new HBox(left, preview);
        both.getStyleClass().add("finder-both");
        HBox.setHgrow(preview, Priority.ALWAYS);
        VBox.setVgrow(both, Priority.ALWAYS);
        VBox box = new VBox(field, both, enter);
        box.getStyleClass().addAll("help-box", "finder");
        box.setMaxSize(Region.USE_PREF_SIZE, Region.USE_PREF_SIZE);
        box.setOnMouseClicked(javafx.event.Event::consume);
        setAlignment(box, Pos.CENTER);
        getChildren().add(box);
        addEventFilter(KeyEvent.KEY_PRESSED, this::keyPressed);
        setOnMouseClicked(event -> close());
        setVisible(false);
    }

    /** Opens the search with nothing typed. */
    public void open() {
        findables = all.get();
        show("", null);
    }

    /**
     * Opens at the first of these names that something has, a step or a word.
     *
     * @return false where nothing has any of them; nothing is opened then
     */
    public boolean open(List<String> names) {
        findables = all.get();
        for (String name : names) {
            Optional<Findable> found = findables.stream().filter(each -> each.kind() == Kind.STEP || each.kind() == Kind.WORD)
                    .filter(each -> each.isCalled(name)).findFirst();
            if (found.isPresent()) {
                show(found.get().title(), found.get());
                return true;
            }
        }
        return false;
    }

    /** Goes on to another word while the search is open. */
    public void go(String word) {
        findables.stream().filter(each -> each.kind() == Kind.WORD && each.isCalled(word)).findFirst().ifPresent(found -> show(found.title(), found));
    }

    private void show(String typed, Findable chosen) {
        if (!isVisible()) {
            from = getScene() == null ? null : getScene().getFocusOwner();
            setVisible(true);
        }
        field.setText(typed);
        find();
        if (chosen != null) {
            list.getSelectionModel().select(chosen);
        }
        field.requestFocus();
        field.selectAll();
    }

    private void close() {
        setVisible(false);
        if (from != null) {
            from.requestFocus();
        }
    }

    private void find() {
        String typed = field.getText();
        list.getItems().setAll(findables.stream().filter(found -> found.rank(typed) != Searched.NONE)
                .sorted(Comparator.<Findable>comparingInt(found -> found.rank(typed)).thenComparing(Findable::kind)).toList());
        list.getSelectionModel().selectFirst();
        list.scrollTo(0);
    }

    private void preview(Findable found) {
        preview.setContent(found == null ? null : found.preview().get());
        preview.setVvalue(0);
        enter.setText(found == null ? "" : found.kind().enter());
    }

    private void keyPressed(KeyEvent event) {
        boolean isReading = preview.isFocused();
        if (event.getCode() == KeyCode.ESCAPE || event.getCode() == KeyCode.F1) {
            close();
        } else if (event.getCode() == KeyCode.ENTER) {
            act();
        } else if (event.getCode() == KeyCode.DOWN && !isReading) {
            move(1);
        } else if (event.getCode() == KeyCode.UP && !isReading) {
            move(-1);
        } else if (event.getCode() == KeyCode.PAGE_DOWN || event.getCode() == KeyCode.PAGE_UP) {
            preview.setVvalue(preview.getVvalue() + (event.getCode() == KeyCode.PAGE_DOWN ? page() : -page()));
        } else {
            return;
        }
        event.consume();
    }

    /** The part of what scrolls that one view is. */
    private double page() {
        double hidden = preview.getContent() == null ? 0 : preview.getContent().getLayoutBounds().getHeight() - preview.getViewportBounds().getHeight();
        return hidden <= 0 ? 0 : 0.9 * preview.getViewportBounds().getHeight() / hidden;
    }

    private void move(int by) {
        int next = Math.max(0, Math.min(list.getItems().size() - 1, list.getSelectionModel().getSelectedIndex() + by));
        list.getSelectionModel().select(next);
        list.scrollTo(Math.max(0, next - 3));
    }

    private void act() {
        Findable found = list.getSelectionModel().getSelectedItem();
        if (found == null || found.kind() == Kind.WORD) {
            return;
        } else if (found.kind() == Kind.PAGE) {
            preview.requestFocus();
            return;
        }
        close();
        found.action().run();
    }

    /** A name, what kind it is of, and what is aside. */
    private static final class Cell extends ListCell<Findable> {

        private final Label title = new Label();
        private final Label aside = new Label();
        private final HBox box = new HBox(title, aside);

        Cell() {
            title.getStyleClass().add("finder-title");
            title.setMaxWidth(Double.MAX_VALUE);
            title.setMinWidth(0);
            HBox.setHgrow(title, Priority.ALWAYS);
            aside.getStyleClass().add("finder-aside");
            aside.setMinWidth(USE_PREF_SIZE);
            box.getStyleClass().add("finder-row");
            setPrefWidth(0);
            setAccessibleRole(AccessibleRole.LIST_ITEM);
        }

        @Override
        protected void updateItem(Findable found, boolean isEmpty) {
            super.updateItem(found, isEmpty);
            setGraphic(isEmpty ? null : box);
            if (!isEmpty) {
                title.setText(found.title());
                aside.setText(found.aside().isEmpty() ? found.kind().word() : found.aside());
                setAccessibleText(found.title() + ", " + found.kind().word() + (found.aside().isEmpty() ? "" : ", " + found.aside()));
            }
        }
    }
}

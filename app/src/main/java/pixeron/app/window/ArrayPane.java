package pixeron.app.window;

import java.util.List;
import java.util.function.BiConsumer;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.RadioButton;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextArea;
import javafx.scene.control.ToggleGroup;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import pixeron.app.bench.steps.Thumbnail;
import pixeron.format.ArrayReadings;
import pixeron.format.ArrayReadings.Reading;
import pixeron.format.LoadedImage;

/**
 * A text with an array that leaves a choice or has a mistake: the text can be edited, its wrong line is selected, and each image
 * that it can be is shown as a picture.
 */
final class ArrayPane extends StackPane {

    private static final int PICTURE = 64;
    /** Longer texts are shown up to here and cannot be edited: a text control takes seconds for them. */
    private static final int MOST_EDITED = 60_000;

    private final BiConsumer<String, LoadedImage> onOpen;
    private final BiConsumer<String, String> asTable;
    private final Label title = new Label();
    private final TextArea editor = new TextArea();
    private final Label message = new Label();
    private final VBox choices = new VBox();
    private final ToggleGroup group = new ToggleGroup();
    private final Button open = new Button("Open");
    private String name = "";
    private String text = "";
    private boolean isShowing;

    /**
     * Creates the pane, which is hidden until a text is opened in it.
     *
     * @param onOpen gets the name of the text and the chosen image
     * @param asTable gets the name and the text, to read it as plain cells
     */
    ArrayPane(BiConsumer<String, LoadedImage> onOpen, BiConsumer<String, String> asTable) {
        this.onOpen = onOpen;
        this.asTable = asTable;
        getStyleClass().add("help");
        title.getStyleClass().add("card-title");
        editor.getStyleClass().add("array-text");
        editor.setAccessibleText("Text of the array");
        editor.textProperty().subscribe(typed -> {
            if (!isShowing) {
                text = typed;
                ArrayReadings.of(text).ifPresentOrElse(this::render, () -> render(List.of(), "There is no array in this text."));
            }
        });
        message.getStyleClass().add("parameter-problem");
        message.setWrapText(true);
        VBox left = new VBox(title, editor, message);
        left.getStyleClass().add("new-left");
        VBox.setVgrow(editor, Priority.ALWAYS);
        HBox.setHgrow(left, Priority.ALWAYS);
        Label head = new Label("Read as");
        head.getStyleClass().add("parameter-name");
        choices.getStyleClass().add("array-choices");
        ScrollPane scroll = new ScrollPane(choices);
        scroll.setFitToWidth(true);
        scroll.setFocusTraversable(false);
        VBox.setVgrow(scroll, Priority.ALWAYS);
        open.getStyleClass().add("accent");
        open.setOnAction(event -> take());
        Button plain = new Button("Read as plain cells");
        plain.setOnAction(event -> {
            setVisible(false);
            this.asTable.accept(name, text);
        });
        Button cancel = new Button("Cancel");
        cancel.setOnAction(event -> setVisible(false));
        HBox buttons = new HBox(open, plain, cancel);
        buttons.getStyleClass().add("buttons");
        VBox right = new VBox(head, scroll, buttons);
        right.getStyleClass().addAll("new-right", "array-right");
        HBox box = new HBox(left, right);
        box.getStyleClass().addAll("help-box", "new-box", "array-box");
        box.setMaxSize(Region.USE_PREF_SIZE, Region.USE_PREF_SIZE);
        getChildren().add(box);
        addEventFilter(KeyEvent.KEY_PRESSED, this::keyPressed);
        setVisible(false);
    }

    /**
     * Shows a text.
     *
     * @param array its name
     * @param content the text
     * @param readings the images that it can be
     */
    void open(String array, String content, ArrayReadings readings) {
        name = array;
        text = content;
        title.setText("Read " + array);
        boolean isLong = content.length() > MOST_EDITED;
        isShowing = true;
        editor.setText(isLong ? content.substring(0, MOST_EDITED) + "\n…" : content);
        editor.setEditable(!isLong);
        isShowing = false;
        setVisible(true);
        render(readings);
        // Controls that were never shown take the keyboard only after this.
        applyCss();
        if (group.getSelectedToggle() instanceof RadioButton chosen) {
            chosen.requestFocus();
        } else {
            editor.requestFocus();
            readings.line().ifPresent(this::select);
        }
    }

    /** Selects a line, from 1. */
    private void select(int line) {
        String shown = editor.getText();
        int begin = 0;
        for (int n = 1; n < line && begin >= 0; n++) {
            begin = shown.indexOf('\n', begin) + 1;
            if (begin == 0) {
                return;
            }
        }
        int end = shown.indexOf('\n', begin);
        editor.selectRange(begin, end < 0 ? shown.length() : end);
    }

    private void render(ArrayReadings readings) {
        render(readings.all(), readings.problem().orElse(""));
    }

    private void render(List<Reading> readings, String problem) {
        message.setText(problem.isEmpty() ? "" : "▲ " + problem);
        message.setVisible(!problem.isEmpty());
        message.setManaged(!problem.isEmpty());
        group.getToggles().clear();
        Label none = new Label("Correct the text. The images that it can represent appear here.");
        none.getStyleClass().add("sheet-hint");
        none.setWrapText(true);
        choices.getChildren().setAll(readings.isEmpty() ? List.of(none) : readings.stream().map(this::choice).toList());
        open.setDisable(readings.isEmpty());
    }

    private HBox choice(Reading reading) {
        RadioButton button = new RadioButton(reading.title());
        button.setUserData(reading);
        button.setToggleGroup(group);
        button.setSelected(group.getToggles().size() == 1);
        button.setWrapText(true);
        Label summary = new Label(reading.loaded().summary().orElse("").replaceFirst("^Array, ", ""));
        summary.getStyleClass().add("found-sentence");
        summary.setWrapText(true);
        VBox words = new VBox(button, summary);
        HBox.setHgrow(words, Priority.ALWAYS);
        StackPane picture = new StackPane(new Thumbnail(reading.loaded().result(), PICTURE));
        picture.getStyleClass().add("step-picture");
        picture.setMinSize(PICTURE + 2, PICTURE + 2);
        picture.setMaxSize(PICTURE + 2, PICTURE + 2);
        HBox row = new HBox(picture, words);
        row.getStyleClass().add("array-choice");
        row.setOnMouseClicked(event -> button.setSelected(true));
        return row;
    }

    private void take() {
        if (group.getSelectedToggle() != null) {
            setVisible(false);
            onOpen.accept(name, ((Reading) group.getSelectedToggle().getUserData()).loaded());
        }
    }

    private void keyPressed(KeyEvent event) {
        if (event.getCode() == KeyCode.ESCAPE) {
            setVisible(false);
            event.consume();
        } else if (event.getCode() == KeyCode.ENTER && !(event.getTarget() instanceof TextArea || event.getTarget() instanceof Button)) {
            take();
            event.consume();
        }
    }
}

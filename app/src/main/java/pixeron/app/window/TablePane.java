package pixeron.app.window;

import java.util.Optional;
import java.util.function.BiConsumer;
import java.util.stream.Collectors;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import pixeron.PixeronException;
import pixeron.app.bench.parts.MaximumChoices;
import pixeron.app.bench.parts.Titles;
import pixeron.app.bench.parts.Words;
import pixeron.app.bench.steps.Thumbnail;
import pixeron.format.TableForm;
import pixeron.image.Image;
import pixeron.image.ImageFacts;
import pixeron.make.TooLarge;
import pixeron.number.Decimals;

/**
 * How a text is read as a table of numbers, with what comes of it at once: separator, head lines, orientation, maximum
 * level, and what becomes of values that do not fit. It is filled with what fits the text, so Enter mostly is enough.
 */
final class TablePane extends StackPane {

    private static final int PICTURE = 150;
    private static final int LINES_SHOWN = 9;

    private final BiConsumer<String, Image> onOpen;
    private final Label title = new Label();
    private final ComboBox<Character> separator = new ComboBox<>();
    private final CheckBox comma = new CheckBox("decimal comma: 1,5");
    private final TextField head = new TextField();
    private final CheckBox turned = new CheckBox("lines are columns");
    private final TextField maximum = new TextField();
    private final MaximumChoices maxima = new MaximumChoices(chosen -> maximum.setText(Integer.toString(chosen)));
    private final ComboBox<TooLarge> tooLarge = new ComboBox<>();
    private final Label tooLargeWords = new Label();
    private final VBox tooLargeBox;
    private final Label lines = new Label();
    private final StackPane picture = new StackPane();
    private final Label facts = new Label();
    private final Button open = new Button("Open");
    private String name = "";
    private String text = "";
    private TableForm form = TableForm.guess("");
    private Image image;
    private boolean isShowing = true;

    /** @param onOpen gets the name of the table and its image */
    TablePane(BiConsumer<String, Image> onOpen) {
        this.onOpen = onOpen;
        getStyleClass().add("help");
        title.getStyleClass().add("card-title");
        separator.getItems().setAll(TableForm.SEPARATORS);
        separator.setConverter(new Titles<>(TablePane::words));
        separator.setAccessibleText("Cell separator");
        head.setAccessibleText("Header lines to skip");
        maximum.setAccessibleText("Maximum level");
        tooLarge.getItems().setAll(TooLarge.values());
        tooLarge.setConverter(new Titles<>(way -> way == TooLarge.KEEP ? "keep unchanged: a real-valued image"
                : way.title()));
        tooLarge.setMaxWidth(Double.MAX_VALUE);
        tooLarge.setAccessibleText("Handling of values that do not fit");
        tooLarge.setValue(TooLarge.RAISE);
        tooLargeWords.getStyleClass().add("parameter-problem");
        tooLargeWords.setWrapText(true);
        tooLargeBox = new VBox(4, tooLargeWords, tooLarge);
        head.getStyleClass().addAll("number-field", "place-field");
        maximum.getStyleClass().addAll("number-field", "place-field");
        lines.getStyleClass().add("table-lines");
        facts.getStyleClass().add("found-sentence");
        facts.setWrapText(true);
        open.getStyleClass().add("accent");
        open.setOnAction(event -> take());
        Button cancel = new Button("Cancel");
        cancel.setOnAction(event -> setVisible(false));
        HBox buttons = new HBox(open, cancel);
        buttons.getStyleClass().add("buttons");
        VBox left = new VBox(title, row("Separator", separator), row("", comma), row("Header lines", head),
                row("Orientation", turned), row("Maximum level", maximum), maxima, tooLargeBox, buttons);
        left.getStyleClass().add("new-left");
        // The box has the width that it likes; without this the right side would take it from the words on the left.
        left.setMinWidth(Region.USE_PREF_SIZE);
        picture.setMinSize(PICTURE + 2, PICTURE + 2);
        picture.setMaxSize(PICTURE + 2, PICTURE + 2);
        picture.getStyleClass().add("step-picture");
        VBox right = new VBox(lines, picture, facts);
        right.getStyleClass().add("new-right");
        HBox.setHgrow(right, Priority.ALWAYS);
        HBox box = new HBox(left, right);
        box.getStyleClass().addAll("help-box", "new-box");
        box.setMaxSize(Region.USE_PREF_SIZE, Region.USE_PREF_SIZE);
        getChildren().add(box);
        addEventFilter(KeyEvent.KEY_PRESSED, this::keyPressed);
        listen();
        setVisible(false);
    }

    private static HBox row(String label, Region control) {
        Label words = new Label(label);
        words.getStyleClass().add("parameter-name");
        words.setLabelFor(control);
        HBox row = new HBox(words, control);
        row.getStyleClass().add("table-row");
        return row;
    }

    private static String words(Character character) {
        return switch (character) {
            case ',' -> "comma  ,";
            case ';' -> "semicolon  ;";
            case '\t' -> "tab";
            default -> "blanks";
        };
    }

    private void listen() {
        separator.valueProperty().subscribe(value -> change(value == null ? form : form.withSeparator(value)));
        comma.selectedProperty().subscribe(isOn -> change(form.separator() == ',' ? form
                : form.withDecimalComma(isOn)));
        turned.selectedProperty().subscribe(isOn -> change(form.withTurned(isOn)));
        head.textProperty().subscribe(value -> change(value.strip().matches("\\d{1,4}")
                ? form.withHeadLines(Integer.parseInt(value.strip())) : form));
        maximum.textProperty().subscribe(value -> change(form));
        tooLarge.valueProperty().subscribe(way -> change(form));
    }

    private void change(TableForm changed) {
        if (!isShowing) {
            form = changed;
            render();
        }
    }

    /**
     * @param table its name, shown and given to what it becomes
     * @param content the text
     */
    void open(String table, String content) {
        name = table;
        text = content;
        form = TableForm.guess(text);
        title.setText("Read " + table);
        isShowing = true;
        head.setText(Integer.toString(form.headLines()));
        turned.setSelected(false);
        maximum.setText(Integer.toString(form.usualMaxima(text).stream().findFirst().orElse(Image.BYTE_MAXIMUM)));
        tooLarge.setValue(TooLarge.RAISE);
        isShowing = false;
        lines.setText(text.lines().limit(LINES_SHOWN).map(line -> line.length() > 60 ? line.substring(0, 59) + "…"
                : line)
                .map(line -> line.replace('\t', '→')).collect(Collectors.joining("\n"))
                + (text.lines().count() > LINES_SHOWN ? "\n…" : ""));
        setVisible(true);
        render();
        (open.isDisabled() ? separator : open).requestFocus();
    }

    private void render() {
        isShowing = true;
        separator.setValue(form.separator());
        comma.setSelected(form.hasDecimalComma());
        comma.setDisable(form.separator() == ',');
        isShowing = false;
        image = null;
        maxima.show(form.usualMaxima(text), maximum.getText().strip().matches("\\d{1,5}") ? Integer.parseInt(maximum.getText().strip()) : 0);
        picture.getChildren().clear();
        boolean isFitting = true;
        try {
            Image read = form.read(text, maximumLevel());
            isFitting = read.isLevelImage();
            image = tooLarge.getValue().apply(read);
            facts.setText(Words.size(image));
            picture.getChildren().setAll(new Thumbnail(image, PICTURE));
            if (!isFitting) {
                tooLargeWords.setText(misfits(read));
            }
        } catch (PixeronException notInThisForm) {
            facts.setText("▲ " + notInThisForm.getMessage());
        }
        tooLargeBox.setVisible(!isFitting);
        tooLargeBox.setManaged(!isFitting);
        open.setDisable(image == null);
    }

    private int maximumLevel() {
        String written = maximum.getText().strip();
        if (!written.matches("\\d{1,5}")) {
            throw PixeronException.of("The maximum level must be a whole number from 1 to 65535.");
        }
        return Image.requireMaximum(Integer.parseInt(written));
    }

    private static String misfits(Image read) {
        ImageFacts facts = ImageFacts.of(read);
        long count = java.util.stream.IntStream.range(0, read.count())
                .filter(n -> !Image.isLevel(read.value(n), read.maximumLevel())).count();
        return "▲ " + count + (count == 1 ? " value is" : " values are") + " not a whole level from 0 to "
                + read.maximumLevel() + " (smallest " + Decimals.approximate(facts.smallest()) + ", largest "
                + Decimals.approximate(facts.largest()) + "). Choose how to handle them.";
    }

    private void take() {
        Optional.ofNullable(image).ifPresent(found -> {
            setVisible(false);
            onOpen.accept(name, found);
        });
    }

    private void keyPressed(KeyEvent event) {
        if (event.getCode() == KeyCode.ESCAPE && !separator.isShowing() && !tooLarge.isShowing()) {
            setVisible(false);
            event.consume();
        } else if (event.getCode() == KeyCode.ENTER && event.getTarget() instanceof TextField) {
            take();
            event.consume();
        }
    }
}

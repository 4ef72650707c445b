package pixeron.app.bench.steps;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiConsumer;
import javafx.css.PseudoClass;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import pixeron.PixeronException;
import pixeron.app.bench.kernel.WeightsGrid;
import pixeron.app.bench.parts.AskedWord;
import pixeron.image.Result;
import pixeron.step.Reference;
import pixeron.step.key.Amount;
import pixeron.step.key.Arguments;
import pixeron.step.key.ChannelsParameter;
import pixeron.step.key.ChoiceParameter;
import pixeron.step.key.MatrixParameter;
import pixeron.step.key.NumberParameter;
import pixeron.step.key.Parameter;
import pixeron.step.key.ReferenceParameter;

/**
 * The field of one key, made from what the key says about itself. What is typed takes effect at once; what cannot be
 * read is marked and explained below the field, and the step stays as it was.
 *
 * @param <T> the type of the key's value
 */
public final class ParameterField<T> extends VBox {

    private static final int MANY_STEPS = 10;
    private static final double POINTS_A_STEP = 3;
    private static final int PICTURE = 28;
    private static final int LONGEST_BESIDE = 13;
    private static final PseudoClass WRONG = PseudoClass.getPseudoClass("wrong");

    private final Parameter<T> parameter;
    private final BiConsumer<ParameterField<T>, String> onChange;
    private final Label problem = new Label();
    private final Label remark = new Label();
    private final Region control;
    private final Optional<ValueSliders> sliders;
    private Runnable released = () -> { };
    /** What a reference can name. */
    private Map<String, Offered> offered = Map.of();
    /** True while a value is shown that the user did not give; also while the field is being made. */
    private boolean isShowing = true;
    private boolean isWaiting;

    /**
     * Creates the field of one parameter, with its label and its message.
     *
     * @param onChange gets the text that the user gave, blank for the key's default; throws a PixeronException where it is not in the
     *     key's range
     */
    public ParameterField(Parameter<T> parameter, BiConsumer<ParameterField<T>, String> onChange) {
        this.parameter = parameter;
        this.onChange = onChange;
        getStyleClass().add("parameter");
        Label name = new Label(parameter.title());
        name.getStyleClass().add("parameter-name");
        control = parameter instanceof ChoiceParameter choice ? comboBox(choice)
                : parameter instanceof MatrixParameter ? weights()
                : parameter instanceof ChannelsParameter channels && !channels.isRequired() ? channels() : parameter instanceof ReferenceParameter reference ? references(reference) : textField();
        control.setAccessibleText(parameter.title() + ", " + parameter.range());
        Tooltip.install(control, new Tooltip(parameter.key() + ": " + parameter.range()));
        AskedWord.set(this, parameter.title());
        name.setLabelFor(control);
        control.setMaxWidth(Double.MAX_VALUE);
        HBox.setHgrow(control, Priority.ALWAYS);
        problem.getStyleClass().add("parameter-problem");
        problem.setWrapText(true);
        remark.getStyleClass().add("parameter-remark");
        remark.setWrapText(true);
        getChildren().add(control instanceof WeightsGrid || isWide() ? new VBox(name, control) : new HBox(name, control));
        sliders = parameter instanceof NumberParameter number ? number.span().map(span -> new ValueSliders(number.title(), span, this::write,
                () -> released.run())) : Optional.empty();
        sliders.ifPresent(below -> {
            getChildren().add(below);
            below.show(List.of(), List.of(), 1);
            listenToSteps(name, below);
        });
        isShowing = false;
    }

    /** The arrow keys in the field, and the wheel and dragging on its name, go on by steps; with Shift by ten. */
    private void listenToSteps(Label name, ValueSliders below) {
        control.addEventFilter(KeyEvent.KEY_PRESSED, event -> {
            int by = event.getCode() == KeyCode.UP ? 1 : event.getCode() == KeyCode.DOWN ? -1 : 0;
            if (by != 0 && below.isVisible() && !event.isAltDown() && !event.isShortcutDown()) {
                below.step(event.isShiftDown() ? by * MANY_STEPS : by);
                event.consume();
            }
        });
        name.getStyleClass().add("steps-name");
        name.setOnScroll(event -> {
            if (event.getDeltaY() + event.getDeltaX() != 0 && below.isVisible()) {
                int by = event.getDeltaY() + event.getDeltaX() > 0 ? 1 : -1;
                below.step(event.isShiftDown() ? by * MANY_STEPS : by);
                event.consume();
            }
        });
        double[] from = {0};
        name.setOnMousePressed(event -> from[0] = event.getScreenX());
        name.setOnMouseDragged(event -> {
            int by = (int) ((event.getScreenX() - from[0]) / POINTS_A_STEP);
            if (by != 0 && below.isVisible()) {
                from[0] += by * POINTS_A_STEP;
                below.step(by);
            }
        });
        name.setOnMouseReleased(event -> released.run());
    }

    /** What the sliders were moved to is in the field, and takes effect as if it was typed. */
    private void write(String text) {
        text().ifPresent(field -> field.setText(text));
    }

    /** @param action runs when a slider is let go */
    void setOnReleased(Runnable action) {
        released = action;
    }

    /**
     * Shows the sliders for what the step works on.
     *
     * @param channels that can have a number each; fewer than two for one number
     * @param maximumLevel M of the image before
     */
    void scale(Arguments arguments, List<String> channels, int maximumLevel) {
        sliders.ifPresent(below -> below.show(arguments.all((NumberParameter) (Parameter<?>) parameter).stream().filter(Amount::isResolvable)
                .map(amount -> amount.resolve(maximumLevel)).toList(), channels, maximumLevel));
    }

    /** Beside a long name, or in half of the width, words would be cut. */
    private boolean isWide() {
        return parameter.title().length() > LONGEST_BESIDE || parameter instanceof ChoiceParameter choice && choice.choices().stream().anyMatch(found ->
                found.word().length() > LONGEST_BESIDE);
    }

    /** Returns the key. */
    public Parameter<T> parameter() {
        return parameter;
    }

    /** Returns the field or box itself. */
    public Node control() {
        return control;
    }

    private WeightsGrid weights() {
        WeightsGrid[] grid = new WeightsGrid[1];
        grid[0] = new WeightsGrid(parameter.title(), () -> {
            if (!isShowing) {
                typed(grid[0].getText());
            }
        });
        return grid[0];
    }

    private ChannelToggles channels() {
        ChannelToggles[] toggles = new ChannelToggles[1];
        toggles[0] = new ChannelToggles(() -> typed(toggles[0].getText()));
        return toggles[0];
    }

    /** A name may be typed or taken from the list. */
    private ComboBox<String> references(ReferenceParameter reference) {
        ComboBox<String> box = new ComboBox<>();
        box.setEditable(true);
        box.setPromptText(reference.isRequired() ? "" : reference.takesSelf() ? Reference.SELF : "none");
        box.setCellFactory(view -> new ReferenceCell());
        box.getEditor().getStyleClass().add("number-field");
        box.getEditor().textProperty().subscribe(text -> {
            if (!isShowing && text != null) {
                // What is typed is the value at once; else choosing the former one from the list would change nothing.
                box.setValue(text);
                typed(text.strip());
            }
        });
        return box;
    }

    /** A result that can be named: its name, and what it is. */
    private final class ReferenceCell extends ListCell<String> {

        @Override
        protected void updateItem(String name, boolean isEmpty) {
            super.updateItem(name, isEmpty);
            Offered found = isEmpty || name == null ? null : offered.get(name);
            setText(isEmpty || name == null ? null : found == null ? name : name + "   " + found.words());
            setGraphic(found == null ? null : found.picture().map(image -> new Thumbnail(image, PICTURE)).orElse(null));
        }
    }

    /**
     * A result that can be named.
     *
     * @param words what it is
     * @param picture the result itself; empty where there is none to be shown
     */
    record Offered(String words, Optional<Result> picture) {
    }

    /** @param results that can be named, each with what it is */
    @SuppressWarnings("unchecked") // a field of references has a box of names
    void offerReferences(Map<String, Offered> results) {
        // Where only a picture has come, the list is drawn anew when it is opened.
        boolean hasOtherNames = !results.keySet().equals(offered.keySet());
        offered = Collections.unmodifiableMap(new LinkedHashMap<>(results));
        if (hasOtherNames) {
            isShowing = true;
            ComboBox<String> box = (ComboBox<String>) control;
            // Not what its editor shows, which has it only when the box is on the screen.
            String text = box.getValue();
            int anchor = box.getEditor().getAnchor();
            int caret = box.getEditor().getCaretPosition();
            box.getItems().setAll(results.keySet());
            box.setValue(text);
            // Names can come while the value is selected to be typed over.
            box.getEditor().selectRange(anchor, caret);
            isShowing = false;
        }
    }

    /** @param channels that there are to be chosen from; the field hides itself where there are none */
    void offer(List<String> channels) {
        ((ChannelToggles) control).offer(channels);
        setVisible(!channels.isEmpty());
        setManaged(!channels.isEmpty());
    }

    /** Puts the cursor into the field and selects its whole value, so that typing replaces it. */
    public void focus() {
        if (control instanceof ChannelToggles toggles) {
            toggles.focusFirst();
        } else if (control instanceof WeightsGrid grid) {
            grid.focusFirst();
        } else {
            // A box writes its value into its editor only once it has its skin.
            control.applyCss();
            control.requestFocus();
            text().ifPresent(TextField::selectAll);
        }
    }

    /** Returns where text is typed; empty where a value is chosen. */
    private Optional<TextField> text() {
        return control instanceof TextField field ? Optional.of(field)
                : control instanceof ComboBox<?> box && box.isEditable() ? Optional.of(box.getEditor()) : Optional.empty();
    }

    private TextField textField() {
        TextField field = new TextField();
        field.getStyleClass().add("number-field");
        field.setPromptText(parameter.defaultValue().map(parameter::print).orElse(
                parameter.isRequired() ? "" : parameter.key().equals("area") ? "whole image" : "none"));
        field.textProperty().subscribe(text -> {
            if (!isShowing) {
                typed(text.strip());
            }
        });
        return field;
    }

    private void typed(String text) {
        try {
            onChange.accept(this, text);
            setProblem("");
        } catch (PixeronException notUnderstood) {
            setProblem(notUnderstood.getMessage());
        }
    }

    private ComboBox<ChoiceParameter.Choice> comboBox(ChoiceParameter choice) {
        ComboBox<ChoiceParameter.Choice> box = new ComboBox<>();
        box.getItems().setAll(choice.choices());
        box.setCellFactory(view -> new ChoiceCell(true));
        box.setButtonCell(new ChoiceCell(false));
        box.valueProperty().subscribe(value -> {
            if (!isShowing && value != null) {
                typed(value.word());
            }
        });
        new ChoiceByTyping<>(box, ChoiceParameter.Choice::word);
        return box;
    }

    /** A choice: its word, in the list with what it means. */
    private static final class ChoiceCell extends ListCell<ChoiceParameter.Choice> {

        private final boolean isLong;

        ChoiceCell(boolean isLong) {
            this.isLong = isLong;
        }

        @Override
        protected void updateItem(ChoiceParameter.Choice choice, boolean isEmpty) {
            super.updateItem(choice, isEmpty);
            setText(isEmpty ? null : isLong ? choice.word() + "   " + choice.sentence() : choice.word());
        }
    }

    /** @param isOn whether what is here is kept although the step does not have it yet, because it goes with what is written next */
    void setWaiting(boolean isOn) {
        isWaiting = isOn;
    }

    /** Shows the value that is given, unless the user is typing it. */
    public void show(Arguments arguments) {
        if (isWaiting) {
            return;
        }
        isShowing = true;
        Optional<T> value = arguments.find(parameter);
        if (control instanceof TextField field) {
            String text = arguments.isGiven(parameter) ? arguments.print(parameter) : "";
            if (!isSame(field.getText(), text)) {
                field.setText(text);
                setProblem("");
            }
        } else if (control instanceof WeightsGrid grid) {
            String text = value.map(parameter::print).orElse("");
            if (!isSame(grid.getText(), text)) {
                grid.setText(text);
                setProblem("");
            }
        } else if (control instanceof ChannelToggles toggles) {
            toggles.setText(value.map(parameter::print).orElse(""));
        } else if (control instanceof ComboBox<?> box && box.isEditable()) {
            String text = value.map(parameter::print).orElse("");
            if (!isSame(box.getEditor().getText(), text)) {
                select(box, text);
                setProblem("");
            }
        } else if (control instanceof ComboBox<?> box) {
            select(box, value.orElse(null));
        }
        isShowing = false;
    }

    /** A user who types "1.50" or a default must not see it become "1.5" or vanish under the cursor. */
    private boolean isSame(String typed, String text) {
        if (typed.strip().equals(text)) {
            return true;
        }
        if (!control.isFocusWithin()) {
            return false;
        }
        try {
            Arguments read = typed.isBlank() ? Arguments.NONE : Arguments.NONE.withText(parameter, typed, true);
            String printed = read.isGiven(parameter) ? read.print(parameter) : "";
            return printed.equals(text) && !(parameter.isRequired() && typed.isBlank());
        } catch (PixeronException stillWrong) {
            return problem.getText().length() > 0;
        }
    }

    @SuppressWarnings("unchecked") // the box of this key holds values of this key
    private static <V> void select(ComboBox<V> box, Object value) {
        box.setValue((V) value);
    }

    /**
     * Shows a remark.
     *
     * @param text what is worth knowing of the value, shown quietly below the field; empty for nothing
     */
    public void setRemark(String text) {
        remark.setText(text);
        if (text.isEmpty()) {
            getChildren().remove(remark);
        } else if (!getChildren().contains(remark)) {
            getChildren().add(remark);
        }
    }

    /**
     * Shows a problem.
     *
     * @param text what is wrong, shown below the field; empty when nothing is
     */
    public void setProblem(String text) {
        problem.setText(text.isEmpty() ? "" : "▲ " + text);
        control.pseudoClassStateChanged(WRONG, !text.isEmpty());
        if (text.isEmpty()) {
            getChildren().remove(problem);
        } else if (!getChildren().contains(problem)) {
            getChildren().add(problem);
        }
    }
}

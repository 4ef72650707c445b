package pixeron.app.window;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.BiConsumer;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import pixeron.PixeronException;
import pixeron.app.bench.parts.Titles;
import pixeron.app.bench.parts.Words;
import pixeron.app.bench.steps.ChoiceByTyping;
import pixeron.app.bench.steps.ParameterField;
import pixeron.app.bench.steps.Thumbnail;
import pixeron.app.model.Background;
import pixeron.image.Image;
import pixeron.image.Result;
import pixeron.make.Maker;
import pixeron.make.Makers;
import pixeron.make.TooLarge;
import pixeron.step.key.Arguments;
import pixeron.step.key.KeyedLine;
import pixeron.step.key.Parameter;

/** Where a new image is made, over the window: how, how large, with which values, and at once a picture of it. */
final class NewImagePane extends StackPane {

    private static final int PICTURE = 220;
    private static final String ROWS = "rows";
    private static final String COLUMNS = "columns";

    private final Background making = new Background();
    private final ComboBox<Maker> kind = new ComboBox<>();
    private final Label sentence = new Label();
    private final VBox keys = new VBox();
    private final StackPane picture = new StackPane();
    private final Label facts = new Label();
    private final ComboBox<TooLarge> tooLarge = new ComboBox<>();
    private final Button create = new Button("Create");
    private final Map<Parameter<?>, ParameterField<?>> made = new IdentityHashMap<>();
    /** The keys that the user wrote themselves. */
    private final Set<String> typed = new HashSet<>();
    private Arguments arguments = Arguments.NONE;
    private Result image;

    /** @param onCreate gets the name of the way and the new image */
    NewImagePane(BiConsumer<String, Result> onCreate) {
        getStyleClass().add("help");
        Label title = new Label("New image");
        title.getStyleClass().add("card-title");
        kind.getItems().setAll(Makers.all());
        kind.setConverter(new Titles<>(Maker::title));
        new ChoiceByTyping<>(kind, Maker::title);
        kind.setAccessibleText("Kind of image");
        kind.setMaxWidth(Double.MAX_VALUE);
        sentence.setWrapText(true);
        sentence.getStyleClass().add("found-sentence");
        keys.getStyleClass().add("new-keys");
        facts.setWrapText(true);
        facts.getStyleClass().add("found-sentence");
        create.getStyleClass().add("accent");
        create.setTooltip(new Tooltip("Create the image and open it on the bench (Enter)"));
        create.setOnAction(event -> {
            setVisible(false);
            onCreate.accept(kind.getValue().title(), fitted());
        });
        Button cancel = new Button("Cancel");
        cancel.setOnAction(event -> leave());
        HBox buttons = new HBox(create, cancel);
        buttons.getStyleClass().add("buttons");
        VBox left = new VBox(title, kind, sentence, keys, buttons);
        left.getStyleClass().add("new-left");
        picture.setMinSize(PICTURE + 2, PICTURE + 2);
        picture.setMaxSize(PICTURE + 2, PICTURE + 2);
        picture.getStyleClass().add("step-picture");
        tooLarge.getItems().setAll(TooLarge.values());
        tooLarge.setConverter(new Titles<>(TooLarge::title));
        tooLarge.setAccessibleText("Handling of values that do not fit");
        tooLarge.setMaxWidth(Double.MAX_VALUE);
        tooLarge.setValue(TooLarge.KEEP);
        tooLarge.valueProperty().subscribe(way -> {
            if (image != null) {
                describe();
            }
        });
        VBox right = new VBox(picture, facts, tooLarge);
        right.getStyleClass().add("new-right");
        HBox box = new HBox(left, right);
        box.getStyleClass().addAll("help-box", "new-box");
        box.setMaxSize(Region.USE_PREF_SIZE, Region.USE_PREF_SIZE);
        getChildren().add(box);
        addEventFilter(KeyEvent.KEY_PRESSED, this::keyPressed);
        kind.valueProperty().subscribe(maker -> {
            if (maker != null) {
                choose(maker);
            }
        });
        kind.setValue(Makers.all().get(0));
        setVisible(false);
    }

    void open() {
        setVisible(true);
        kind.requestFocus();
        remake();
    }

    private void keyPressed(KeyEvent event) {
        if (event.getCode() == KeyCode.ESCAPE && !kind.isShowing()) {
            leave();
            event.consume();
        } else if (event.getCode() == KeyCode.ENTER && !create.isDisabled()
                && event.getTarget() instanceof Region region
                && region.getStyleClass().contains("text-field")) {
            create.fire();
            event.consume();
        }
    }

    private void leave() {
        making.cancel();
        setVisible(false);
    }

    private void choose(Maker maker) {
        sentence.setText(maker.sentence());
        List<ParameterField<?>> fields = new ArrayList<>();
        Arguments kept = Arguments.NONE;
        for (Parameter<?> parameter : maker.parameters()) {
            fields.add(made.computeIfAbsent(parameter, this::field));
            kept = kept(kept, parameter);
        }
        // Size and levels stay when another way is chosen; every key that both ways share keeps its value.
        arguments = kept;
        fields.forEach(field -> field.setProblem(""));
        keys.getChildren().setAll(fields);
        fields.forEach(field -> field.show(arguments));
        remake();
    }

    private <T> Arguments kept(Arguments kept, Parameter<T> parameter) {
        return arguments.isGiven(parameter) ? kept.with(parameter, arguments.get(parameter)) : kept;
    }

    private <T> ParameterField<T> field(Parameter<T> parameter) {
        return new ParameterField<>(parameter, this::changed);
    }

    private <T> void changed(ParameterField<T> field, String text) {
        boolean isLeftOut = text.isEmpty() && !field.parameter().isRequired();
        arguments = isLeftOut ? arguments.without(field.parameter()) : arguments.withText(field.parameter(), text, false);
        typed.add(field.parameter().key());
        if (field.parameter().key().equals(ROWS) && !typed.contains(COLUMNS)) {
            // Most images that are made here are square: the columns follow until a user says otherwise.
            kind.getValue().parameters().stream().filter(parameter -> parameter.key().equals(COLUMNS)).findFirst().ifPresent(columns -> {
                arguments = isLeftOut ? arguments.without(columns) : arguments.withText(columns, text, false);
                made.get(columns).show(arguments);
            });
        }
        remake();
    }

    private void remake() {
        Maker maker = kind.getValue();
        Arguments wanted = arguments;
        image = null;
        create.setDisable(true);
        facts.setText("Calculating…");
        making.start(progress -> {
            KeyedLine.requireAll(maker, wanted);
            return maker.make(wanted, progress);
        }, this::show, problem -> {
            if (!(problem instanceof PixeronException)) {
                throw problem;
            }
            picture.getChildren().clear();
            facts.setText(problem.getMessage());
        });
    }

    private void show(Result newImage) {
        image = newImage;
        create.setDisable(false);
        describe();
    }

    /** The new image, its values dealt with where some are no levels. */
    private Result fitted() {
        return image instanceof Image gray ? tooLarge.getValue().apply(gray) : image;
    }

    private boolean isOpen() {
        return image instanceof Image gray && !gray.isLevelImage();
    }

    private void describe() {
        tooLarge.setVisible(isOpen());
        tooLarge.setManaged(isOpen());
        try {
            Result fitted = fitted();
            picture.getChildren().setAll(new Thumbnail(fitted, PICTURE));
            facts.setText(Words.size(fitted) + (!isOpen() ? ""
                    : "\n▲ Some values are not whole levels from 0 to "
                    + image.frame().maximumLevel() + ". Choose how to handle them."));
            create.setDisable(false);
        } catch (PixeronException cannotBe) {
            facts.setText("▲ " + cannotBe.getMessage());
            create.setDisable(true);
        }
    }
}

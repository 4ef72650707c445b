package pixeron.app.bench.walk;

import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.Slider;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import org.kordamp.ikonli.feather.Feather;
import org.kordamp.ikonli.javafx.FontIcon;
import pixeron.app.bench.parts.Titles;
import pixeron.app.model.Bench;
import pixeron.app.model.Speed;
import pixeron.app.model.Walking;
import pixeron.walk.Mistake;
import pixeron.walk.ScanOrder;
import pixeron.walk.Score;
import pixeron.walk.Walk;

/** The controls of a walk, above the sheets while there is one. */
public final class WalkBar extends VBox {

    /** What can be chosen as an order; the last is a path that is dragged on a sheet. */
    private enum Order {
        ROWS("row by row"), COLUMNS("column by column"), PATH("along a path");

        private final String title;

        Order(String title) {
            this.title = title;
        }
    }

    private final Walking walking;
    private final Button play = new Button("Play", new FontIcon(Feather.PLAY));
    private final Slider slider = new Slider();
    private final Label place = new Label();
    private final Label note = new Label();
    private final ComboBox<Order> order = new ComboBox<>();
    private final ComboBox<Speed> speed = new ComboBox<>();
    private final ToggleButton guess = new ToggleButton("Guess first");
    private final ToggleButton mistake = new ToggleButton();
    private boolean isShowing;

    public WalkBar(Bench bench) {
        this.walking = bench.walking();
        getStyleClass().add("walk-bar");
        new Player(walking);
        play.getStyleClass().add("walk-play");
        play.setMinWidth(Region.USE_PREF_SIZE);
        play.setTooltip(new Tooltip("Play or pause the walk (Shift+F9)"));
        play.setOnAction(event -> walking.playingProperty().set(!walking.playingProperty().get()));
        slider.setAccessibleText("Position in the walk");
        slider.setTooltip(new Tooltip("Drag to a pixel"));
        slider.setMinWidth(60);
        HBox.setHgrow(slider, Priority.ALWAYS);
        slider.valueProperty().subscribe(value -> {
            if (!isShowing && walking.isOn()) {
                walking.playingProperty().set(false);
                walking.to((int) Math.round(value.doubleValue()));
            }
        });
        place.getStyleClass().add("walk-place");
        place.setMinWidth(Region.USE_PREF_SIZE);
        note.getStyleClass().add("walk-note");
        note.setWrapText(true);
        makeChoices();
        HBox line = new HBox(button(Feather.SKIP_BACK, "Back to the start", walking::toStart),
                button(Feather.CHEVRON_LEFT, "Previous pixel (Alt+←)", walking::back), play,
                button(Feather.CHEVRON_RIGHT, "Next pixel (Alt+→)", walking::forward),
                button(Feather.CHEVRONS_DOWN, "To the next row or column (Alt+↓)", walking::nextLine),
                button(Feather.SKIP_FORWARD, "To the end", walking::toEnd),
                order, slider, place, speed, guess, mistake, button(Feather.X, "Close the walk (F9)", walking::leave));
        line.getStyleClass().add("walk-line");
        getChildren().addAll(line, note);
        walking.walkProperty().subscribe(this::render);
        walking.scoreProperty().subscribe(score -> renderNote());
        walking.mistakeProperty().subscribe(found -> renderNote());
        walking.playingProperty().subscribe(isOn -> {
            play.setText(isOn ? "Pause" : "Play");
            play.setGraphic(new FontIcon(isOn ? Feather.PAUSE : Feather.PLAY));
        });
    }

    private void makeChoices() {
        order.getItems().setAll(Order.values());
        order.setConverter(new Titles<>(choice -> choice.title));
        order.setAccessibleText("Order of the walk");
        order.setMinWidth(Region.USE_PREF_SIZE);
        order.setOnAction(event -> {
            if (!isShowing && order.getValue() != null) {
                chooseOrder(order.getValue());
            }
        });
        speed.getItems().setAll(Speed.values());
        speed.setConverter(new Titles<>(Speed::title));
        speed.setAccessibleText("Speed");
        speed.setMinWidth(Region.USE_PREF_SIZE);
        speed.getStyleClass().add("speed");
        speed.valueProperty().bindBidirectional(walking.speedProperty());
        guess.setTooltip(new Tooltip("Cover every value until you have entered yours"));
        guess.selectedProperty().bindBidirectional(walking.guessingProperty());
        mistake.selectedProperty().bindBidirectional(walking.mistakenProperty());
        for (ToggleButton toggle : new ToggleButton[] {guess, mistake}) {
            toggle.getStyleClass().add("quiet");
            toggle.setMinWidth(Region.USE_PREF_SIZE);
        }
        walking.guessingProperty().subscribe(isOn -> play.setDisable(isOn));
    }

    private void chooseOrder(Order chosen) {
        if (chosen == Order.PATH) {
            walking.drawingPathProperty().set(true);
        } else {
            walking.drawingPathProperty().set(false);
            walking.begin(chosen == Order.ROWS ? ScanOrder.ROWS : ScanOrder.COLUMNS);
        }
        renderNote();
    }

    private static Node button(Feather icon, String words, Runnable action) {
        Button button = new Button("", new FontIcon(icon));
        button.getStyleClass().add("icon-button");
        button.setTooltip(new Tooltip(words));
        button.setAccessibleText(words);
        button.setMinWidth(Region.USE_PREF_SIZE);
        button.setOnAction(event -> action.run());
        return button;
    }

    private void render(Walk walk) {
        setVisible(walk != null);
        setManaged(walk != null);
        if (walk == null) {
            return;
        }
        isShowing = true;
        slider.setMax(walk.visits().count());
        slider.setValue(walk.written());
        place.setText("pixel " + (walk.place() + 1) + " of " + walk.visits().count());
        order.setValue(walk.visits().order().map(way -> way == ScanOrder.ROWS ? Order.ROWS : Order.COLUMNS)
                .orElse(Order.PATH));
        showMistake(walking.mistakeKind());
        isShowing = false;
        renderNote();
    }

    /** Where no mistake is known the button stays, so that those beside it keep their places. */
    private void showMistake(Optional<Mistake.Kind> kind) {
        Mistake.Kind named = kind.orElse(Mistake.Kind.IN_PLACE);
        mistake.setText(named.title());
        mistake.setTooltip(new Tooltip(named.sentence()));
        mistake.setDisable(kind.isEmpty());
    }

    private void renderNote() {
        String text = "";
        Score score = walking.scoreProperty().get();
        if (walking.drawingPathProperty().get()) {
            text = "Drag over a sheet: the walk follows your path, then visits the other pixels row by row.";
        } else if (walking.mistakenProperty().get()) {
            text = "▲ Demonstration of a mistake: " + walking.mistakeKind().map(Mistake.Kind::consequence).orElse("") + apart();
        } else if (walking.guessingProperty().get()) {
            boolean isEnd = walking.isOn() && walking.walk().isAtEnd();
            text = isEnd ? "All pixels done. Correct at first try: " + score.right() + " of " + score.guesses() + "."
                    : "Enter your value for the framed pixel to reveal it."
                    + (score.guesses() == 0 ? "" : " Correct at first try: " + score.right() + " of " + score.guesses() + ".");
        }
        note.setText(text);
        note.setVisible(!text.isEmpty());
        note.setManaged(!text.isEmpty());
    }

    private String apart() {
        return walking.differing().map(count -> " At the end " + count + " of " + walking.walk().visits().count()
                + " values differ from the correct result.").orElse("");
    }
}

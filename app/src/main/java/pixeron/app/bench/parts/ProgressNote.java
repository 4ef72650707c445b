package pixeron.app.bench.parts;

import javafx.animation.PauseTransition;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.util.Duration;
import pixeron.app.model.Background;
import pixeron.app.theme.Theme;

/** Says that something is under way, how far it is, and lets the user give it up. Short work is not worth a word. */
public final class ProgressNote extends HBox {

    private static final Duration PATIENCE = Duration.millis(300);

    private final ProgressBar bar = new ProgressBar();
    private final PauseTransition patience = new PauseTransition(PATIENCE);

    /**
     * Creates a note with a progress bar and a button that cancels the work.
     *
     * @param what is under way: {@code Calculating…}
     * @param words what giving up means
     * @param cancel gives it up
     */
    public ProgressNote(String what, String words, Background background, Runnable cancel) {
        getStyleClass().add("work");
        Button button = new Button("Cancel");
        button.setTooltip(new Tooltip(words));
        button.setOnAction(event -> cancel.run());
        bar.setPrefWidth(120);
        bar.setAccessibleText("Progress: " + what);
        getChildren().addAll(new Label(what), bar, button);
        setVisible(false);
        managedProperty().bind(visibleProperty());
        patience.setOnFinished(event -> {
            setVisible(background.progressProperty().get() != Background.IDLE);
            show(background.progressProperty().get());
        });
        background.progressProperty().subscribe(value -> show(value.doubleValue()));
    }

    private void show(double value) {
        if (value == Background.IDLE) {
            patience.stop();
            setVisible(false);
        } else if (!isVisible()) {
            patience.play();
        } else {
            // Where nothing may move by itself, a bar without a known end stays empty.
            boolean isStill = getScene() != null && getScene().getRoot().getStyleClass().contains(Theme.STILL_CLASS);
            bar.setProgress(value > 0 ? value : isStill ? 0 : ProgressBar.INDETERMINATE_PROGRESS);
        }
    }
}

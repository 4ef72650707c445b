package pixeron.app.window;

import javafx.scene.AccessibleRole;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;

/** A message at the top of the window: what went wrong, and buttons for what can be done about it. */
final class Banner extends HBox {

    private final Label text = new Label();
    private final HBox actions = new HBox();

    Banner() {
        getStyleClass().add("banner");
        text.setWrapText(true);
        text.getStyleClass().add("banner-text");
        actions.getStyleClass().add("banner-actions");
        actions.setMinWidth(Region.USE_PREF_SIZE);
        HBox.setHgrow(text, Priority.ALWAYS);
        text.setMaxWidth(Double.MAX_VALUE);
        setAccessibleRole(AccessibleRole.TEXT);
        getChildren().addAll(text, actions);
        hide();
    }

    /** @param message one line for the user: what went wrong */
    void show(String message) {
        text.setText("▲  " + message);
        setAccessibleText(message);
        Button close = new Button("Close");
        close.setOnAction(event -> hide());
        actions.getChildren().setAll(close);
        setVisible(true);
        setManaged(true);
    }

    /** Puts one more way on into the message that is shown, behind those that are there; the first is the usual one. */
    void offer(String name, Runnable action) {
        Button button = new Button(name);
        int place = actions.getChildren().size() - 1;
        if (place == 0) {
            button.getStyleClass().add("accent");
        }
        button.setOnAction(event -> {
            hide();
            action.run();
        });
        actions.getChildren().add(place, button);
    }

    void hide() {
        setVisible(false);
        setManaged(false);
    }
}

package pixeron.app.exercise;

import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.Pane;

/** Takes a line away from those that it stands among. */
final class RemoveButton extends Button {

    RemoveButton(Node line, Runnable changed) {
        super("×");
        getStyleClass().add("quiet");
        setAccessibleText("Remove this line");
        setTooltip(new Tooltip("Remove this line"));
        setOnAction(event -> {
            ((Pane) line.getParent()).getChildren().remove(line);
            changed.run();
        });
    }
}

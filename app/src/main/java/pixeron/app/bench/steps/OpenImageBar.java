package pixeron.app.bench.steps;

import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import pixeron.app.model.Bench;
import pixeron.project.Project;

/** Which other image is open with its own steps, and the way back to the project's image; nothing while that one is open. */
public final class OpenImageBar extends HBox {

    private final Label words = new Label("Another image");

    public OpenImageBar(Bench bench) {
        getStyleClass().add("open-image");
        setAlignment(Pos.CENTER_LEFT);
        words.setMaxWidth(Double.MAX_VALUE);
        HBox.setHgrow(words, Priority.ALWAYS);
        Button back = new Button("Back to the image");
        back.getStyleClass().add("quiet");
        back.setMinWidth(USE_PREF_SIZE);
        back.setTooltip(new Tooltip("Return to the project's own image (Ctrl+Alt+B)"));
        back.setOnAction(event -> bench.turnTo(Project::atMain));
        getChildren().addAll(words, back);
        bench.projectProperty().subscribe(this::show);
    }

    private void show(Project project) {
        boolean isOther = project != null && project.open().isPresent();
        setVisible(isOther);
        setManaged(isOther);
        if (isOther) {
            words.setTooltip(new Tooltip("The image " + project.open().get() + " with its own steps"));
        }
    }
}

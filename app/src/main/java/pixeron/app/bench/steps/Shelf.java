package pixeron.app.bench.steps;

import java.util.List;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.kordamp.ikonli.feather.Feather;
import org.kordamp.ikonli.javafx.FontIcon;
import pixeron.app.model.Bench;
import pixeron.image.Frame;
import pixeron.project.OtherImage;
import pixeron.project.Project;

/** The project's other images, which steps can take beside the one before them: small pictures with their names. */
public final class Shelf extends VBox {

    private static final int PICTURE = 28;

    private final Bench bench;
    private List<OtherImage> shown = List.of();

    public Shelf(Bench bench) {
        this.bench = bench;
        getStyleClass().add("shelf");
        bench.projectProperty().subscribe(this::show);
        setVisible(false);
        setManaged(false);
    }

    private void show(Project project) {
        List<OtherImage> images = project == null ? List.of() : project.images();
        if (images.equals(shown)) {
            return;
        }
        shown = images;
        setVisible(!images.isEmpty());
        setManaged(!images.isEmpty());
        Label title = new Label("OTHER IMAGES");
        title.getStyleClass().add("section-title");
        getChildren().setAll(title);
        images.forEach(image -> getChildren().add(row(image)));
    }

    private Node row(OtherImage image) {
        Frame frame = image.result().frame();
        Label name = new Label(image.name());
        name.getStyleClass().add("step-title");
        Label detail = new Label(frame.size() + ", " + image.origin().file());
        detail.getStyleClass().add("step-detail");
        VBox words = new VBox(name, detail);
        words.setMinWidth(0);
        HBox.setHgrow(words, Priority.ALWAYS);
        Button remove = new Button("", new FontIcon(Feather.X));
        remove.getStyleClass().add("quiet");
        remove.setTooltip(new Tooltip("Take it off the shelf; steps that name it fail until undo brings it back"));
        remove.setAccessibleText("Remove the image " + image.name());
        remove.setOnAction(event -> bench.edit(project -> project.withImages(project.images().stream().filter(other ->
                !other.name().equals(image.name())).toList())));
        HBox row = new HBox(new Thumbnail(image.result(), PICTURE), words, remove);
        row.setAlignment(Pos.CENTER_LEFT);
        row.getStyleClass().add("shelf-row");
        Tooltip.install(row, new Tooltip("Named in steps as with=" + image.name()));
        return row;
    }
}

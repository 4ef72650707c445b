package pixeron.app.bench.steps;

import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.input.DragEvent;
import javafx.scene.input.KeyCode;
import javafx.scene.input.TransferMode;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import org.kordamp.ikonli.feather.Feather;
import org.kordamp.ikonli.javafx.FontIcon;
import pixeron.PixeronException;
import pixeron.app.bench.parts.Section;
import pixeron.app.model.Bench;
import pixeron.project.OtherImage;
import pixeron.project.Project;

/** The project's other images, which steps can take beside the one before them: small pictures with their names. */
public final class Shelf extends VBox {

    private static final int PICTURE = 28;
    private static final PseudoClass TARGET = PseudoClass.getPseudoClass("target");

    private final Bench bench;
    private final Ways ways;
    private final Consumer<String> trouble;
    private List<OtherImage> shown;
    private Optional<String> renamed = Optional.empty();

    /**
     * How images come onto the shelf.
     *
     * @param open lets the person choose a file
     * @param paste takes what is on the clipboard
     * @param drop takes a file that was dropped
     */
    public record Ways(Runnable open, Runnable paste, Consumer<Path> drop) {
    }

    /** @param trouble told in one line why a name is not taken */
    public Shelf(Bench bench, Ways ways, Consumer<String> trouble) {
        this.bench = bench;
        this.ways = ways;
        this.trouble = trouble;
        getStyleClass().add("shelf");
        bench.projectProperty().subscribe(this::show);
        setOnDragOver(this::dragOver);
        setOnDragExited(event -> pseudoClassStateChanged(TARGET, false));
        setOnDragDropped(this::dropped);
    }

    private void dragOver(DragEvent event) {
        if (event.getDragboard().hasFiles()) {
            event.acceptTransferModes(TransferMode.COPY);
            pseudoClassStateChanged(TARGET, true);
            event.consume();
        }
    }

    private void dropped(DragEvent event) {
        if (event.getDragboard().hasFiles()) {
            event.getDragboard().getFiles().forEach(file -> ways.drop.accept(file.toPath()));
            event.setDropCompleted(true);
            event.consume();
        }
    }

    private void show(Project project) {
        List<OtherImage> images = project == null ? List.of() : project.images();
        if (images.equals(shown)) {
            return;
        }
        shown = images;
        render();
    }

    private void render() {
        getChildren().setAll(head());
        shown.forEach(image -> getChildren().add(row(image)));
    }

    private Node head() {
        Label title = Section.of("OTHER IMAGES");
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        HBox head = new HBox(title, gap, button(Feather.FOLDER_PLUS, "Open another image for this project: to add, compare, paste, join (Ctrl+Alt+O); or drop a file here",
                ways.open), button(Feather.CLIPBOARD, "Paste the picture or the numbers on the clipboard as another image (Ctrl+Alt+V)", ways.paste));
        head.setAlignment(Pos.CENTER_LEFT);
        return head;
    }

    private static Button button(Feather icon, String words, Runnable action) {
        Button button = new Button("", new FontIcon(icon));
        button.getStyleClass().add("icon-button");
        button.setTooltip(new Tooltip(words));
        button.setAccessibleText(words);
        button.setOnAction(event -> action.run());
        return button;
    }

    private Node row(OtherImage image) {
        Label detail = new Label(image.result().frame().size() + ", " + image.origin().file());
        detail.getStyleClass().add("step-detail");
        detail.setWrapText(true);
        VBox words = new VBox(renamed.filter(image.name()::equals).isPresent() ? nameField(image) : name(image), detail);
        words.setMinWidth(0);
        HBox.setHgrow(words, Priority.ALWAYS);
        HBox row = new HBox(new Thumbnail(image.result(), PICTURE), words,
                button(Feather.EDIT_2, "Rename the image " + image.name(), () -> rename(image.name())),
                button(Feather.X, "Take the image " + image.name() + " off the shelf; steps that name it fail until undo brings it back", () ->
                        bench.edit(project -> project.withImages(project.images().stream().filter(other -> !other.name().equals(image.name())).toList()))));
        row.setAlignment(Pos.CENTER_LEFT);
        row.getStyleClass().add("shelf-row");
        Tooltip.install(row, new Tooltip("with=" + image.name() + "\n" + detail.getText()));
        return row;
    }

    private Node name(OtherImage image) {
        Label name = new Label(image.name());
        name.getStyleClass().add("step-title");
        name.setOnMouseClicked(event -> {
            if (event.getClickCount() == 2) {
                rename(image.name());
            }
        });
        return name;
    }

    private void rename(String name) {
        renamed = Optional.of(name);
        render();
    }

    /** Enter or leaving the field takes the name, Esc keeps the old one. */
    private Node nameField(OtherImage image) {
        TextField field = new TextField(image.name());
        field.getStyleClass().add("number-field");
        field.setAccessibleText("New name of the image " + image.name());
        field.setOnAction(event -> take(image.name(), field.getText().strip()));
        field.setOnKeyPressed(event -> {
            if (event.getCode() == KeyCode.ESCAPE) {
                take(image.name(), image.name());
                event.consume();
            }
        });
        field.sceneProperty().subscribe(scene -> {
            if (scene != null) {
                field.requestFocus();
                field.selectAll();
            }
        });
        field.focusedProperty().addListener((property, was, isFocused) -> {
            if (!isFocused && renamed.isPresent()) {
                take(image.name(), field.getText().strip());
            }
        });
        return field;
    }

    private void take(String old, String name) {
        renamed = Optional.empty();
        try {
            if (!name.equals(old)) {
                bench.edit(project -> project.renamed(old, name));
            }
        } catch (PixeronException noName) {
            trouble.accept(noName.getMessage());
        }
        render();
    }
}

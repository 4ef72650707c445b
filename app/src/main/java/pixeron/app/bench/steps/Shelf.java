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
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
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
import pixeron.image.Result;
import pixeron.project.OtherImage;
import pixeron.project.Project;

/** The project's other images, which steps can take beside the one before them: small pictures with their names. */
public final class Shelf extends VBox {

    private static final int PICTURE = 36;
    private static final PseudoClass TARGET = PseudoClass.getPseudoClass("target");
    private static final PseudoClass OPEN = PseudoClass.getPseudoClass("open");

    private final Bench bench;
    private final Ways ways;
    private final Consumer<String> trouble;
    private List<Row> shown;
    private Optional<String> renamed = Optional.empty();
    private Optional<String> open = Optional.empty();

    /**
     * How images come onto the shelf.
     *
     * @param open lets the user choose a file
     * @param paste takes what is on the clipboard
     * @param drop takes a file that was dropped
     * @param use makes one of them the project's image
     */
    public record Ways(Runnable open, Runnable paste, Consumer<Path> drop, Consumer<String> use) {
    }

    /**
     * The findings about an image.
     *
     * @param file where it came from
     * @param steps how many it has of its own
     */
    private record Row(String name, String file, Result input, int steps) {

        static Row of(OtherImage image) {
            return new Row(image.name(), image.origin().file(), image.input(), image.chain().size());
        }
    }

    /**
     * Creates the shelf of the images that steps can refer to.
     *
     * @param trouble told in one line why a name is not taken
     */
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
        List<Row> images = project == null ? List.of() : project.images().stream().map(Row::of).toList();
        Optional<String> now = project == null ? Optional.empty() : project.open();
        if (images.equals(shown) && now.equals(open)) {
            return;
        }
        shown = images;
        open = now;
        render();
    }

    private void render() {
        getChildren().setAll(head());
        shown.forEach(image -> getChildren().add(row(image)));
    }

    private Node head() {
        Label title = Section.of("Other images");
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        HBox head = new HBox(title, gap, button(Feather.FOLDER_PLUS, "Open another image for this project, for example to combine, paste or join (Ctrl+Alt+O). Or drop a file here.",
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

    private Node row(Row image) {
        String size = image.input().frame().size();
        Label detail = new Label(image.steps() == 0 ? size : image.steps() == 1 ? "1 step" : image.steps() + " steps");
        detail.getStyleClass().add("step-detail");
        detail.setMaxWidth(Double.MAX_VALUE);
        HBox.setHgrow(detail, Priority.ALWAYS);
        // Below the name, which has the whole width: names of files are long.
        HBox below = new HBox(detail, openButton(image.name()), more(image));
        below.setAlignment(Pos.CENTER_LEFT);
        VBox words = new VBox(renamed.filter(image.name()::equals).isPresent() ? nameField(image) : name(image), below);
        words.setMinWidth(0);
        HBox.setHgrow(words, Priority.ALWAYS);
        HBox row = new HBox(new Thumbnail(image.input(), PICTURE), words);
        row.setAlignment(Pos.CENTER_LEFT);
        row.getStyleClass().add("shelf-row");
        row.pseudoClassStateChanged(OPEN, open.equals(Optional.of(image.name())));
        Tooltip.install(row, new Tooltip("with=" + image.name() + "\n" + size + ", " + image.file()));
        return row;
    }

    private Button openButton(String name) {
        Button button = new Button("Open");
        button.getStyleClass().add("quiet");
        button.setMinWidth(USE_PREF_SIZE);
        button.setVisible(!open.equals(Optional.of(name)));
        button.setManaged(button.isVisible());
        button.setTooltip(new Tooltip("Work on the image " + name + " with its own steps. Steps that use this image use their last result."));
        button.setAccessibleText("Open the image " + name);
        button.setOnAction(event -> bench.turnTo(project -> project.opened(name)));
        return button;
    }

    /** What is done more rarely with an image. */
    private MenuButton more(Row image) {
        String name = image.name();
        MenuButton more = new MenuButton("", new FontIcon(Feather.MORE_HORIZONTAL),
                item("Use as the image", () -> ways.use.accept(name)),
                item("Rename", () -> rename(name)),
                item("Remove from shelf", () -> bench.edit(project -> project.withImages(project.images().stream().filter(other ->
                        !other.name().equals(name)).toList()))));
        more.getStyleClass().add("icon-button");
        more.setTooltip(new Tooltip("Use " + name + " as the image, rename or remove it"));
        more.setAccessibleText("More actions for the image " + name);
        return more;
    }

    private static MenuItem item(String words, Runnable action) {
        MenuItem item = new MenuItem(words);
        item.setOnAction(event -> action.run());
        return item;
    }

    private Node name(Row image) {
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
    private Node nameField(Row image) {
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

package pixeron.app.window;

import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.paint.Color;
import javafx.scene.shape.Rectangle;
import org.kordamp.ikonli.feather.Feather;
import org.kordamp.ikonli.javafx.FontIcon;
import pixeron.app.bench.parts.Words;
import pixeron.app.model.Bench;

/** The head of the window: what is open, and the actions that are needed most. */
final class TopBar extends HBox {

    private static final double CELL = 7;
    private static final String[] PIXELS = {"#23508F", "#5E7DA8", "#A9B7CC", "#5E7DA8", "#FFFDF8", "#C9CED6", "#3B4048", "#59626E", "#DDD6C8"};

    private final Bench bench;
    private final Label name = new Label();
    private final Label facts = new Label();
    private final FileActions actions;
    private final ResultActions results;
    private final Commands commands;
    private final Runnable newImage;
    private final HBox working = new HBox();

    TopBar(Bench bench, FileActions actions, ResultActions results, Commands commands, Runnable newImage, MenuButton menu) {
        this.bench = bench;
        this.actions = actions;
        this.results = results;
        this.commands = commands;
        this.newImage = newImage;
        getStyleClass().add("top-bar");
        working.getStyleClass().add("top-actions");
        name.getStyleClass().add("project-name");
        facts.getStyleClass().add("project-facts");
        name.setMinWidth(0);
        Region space = new Region();
        HBox.setHgrow(space, Priority.ALWAYS);
        HBox always = new HBox(working, gap(), menu);
        always.getStyleClass().add("top-actions");
        always.setMinWidth(Region.USE_PREF_SIZE);
        getChildren().addAll(logo(), name, facts, space, always);
        bench.projectProperty().subscribe(project -> render());
        bench.past().savedProperty().subscribe(saved -> render());
        bench.past().fileProperty().subscribe(file -> render());
    }

    /** Makes the actions that are not needed on the opening view: it stands sooner without them. */
    void build() {
        if (working.getChildren().isEmpty()) {
            Button open = button("Open…", "Open an image, a table or a project (Ctrl+O)", actions::open);
            Button make = button("New image…", "Create an image: constant, ramp, checkerboard, formula… (Ctrl+N)",
                    newImage);
            Button save = button("Save", "Save the project (Ctrl+S)", actions::save);
            Button result = button("Save result…", "Save the result of the selected step as PNG, PGM or table (Ctrl+E)",
                    results::saveResult);
            Button undo = icon(Feather.CORNER_UP_LEFT, "Undo (Ctrl+Z)", bench::undo);
            Button redo = icon(Feather.CORNER_UP_RIGHT, "Redo (Ctrl+Shift+Z)", bench::redo);
            undo.disableProperty().bind(bench.past().undoableProperty().not());
            redo.disableProperty().bind(bench.past().redoableProperty().not());
            Button smaller = icon(Feather.MINUS, "Smaller (Ctrl+−)", () -> commands.zoom(false));
            Button fit = button("Fit", "Show the whole image (Ctrl+0)", commands::fit);
            Button larger = icon(Feather.PLUS, "Larger (Ctrl++)", () -> commands.zoom(true));
            working.getChildren().addAll(open, make, save, result, gap(), undo, redo, gap(), smaller, fit, larger);
        }
    }

    /** @param isOpen false on the opening view, where there is nothing to save or to zoom */
    void setOpen(boolean isOpen) {
        if (isOpen) {
            build();
        }
        working.setVisible(isOpen);
        working.setManaged(isOpen);
        name.setVisible(isOpen);
        facts.setVisible(isOpen);
    }

    private void render() {
        if (bench.project() == null) {
            return;
        }
        name.setText(bench.project().name());
        String state = bench.past().savedProperty().get() ? bench.past().fileProperty().get() == null ? "no changes" : "saved"
                : "● unsaved changes";
        facts.setText(Words.size(bench.project().chain().input()) + " · " + state);
    }

    private static Region gap() {
        Region gap = new Region();
        gap.getStyleClass().add("gap");
        return gap;
    }

    private static Button button(String text, String words, Runnable action) {
        Button button = new Button(text);
        button.setTooltip(new Tooltip(words));
        button.setAccessibleText(words);
        button.setOnAction(event -> action.run());
        return button;
    }

    private static Button icon(Feather icon, String words, Runnable action) {
        Button button = button("", words, action);
        button.setGraphic(new FontIcon(icon));
        button.getStyleClass().add("icon-button");
        return button;
    }

    /** Nine pixels, the middle one picked: the icon of the program. Drawn, because decoding a picture would delay the first window. */
    private static Node logo() {
        StackPane logo = new StackPane();
        logo.getStyleClass().add("logo");
        Pane pixels = new Pane();
        for (int n = 0; n < PIXELS.length; n++) {
            Rectangle pixel = new Rectangle(n % 3 * CELL, n / 3 * CELL, CELL, CELL);
            pixel.setFill(Color.web(PIXELS[n]));
            pixels.getChildren().add(pixel);
        }
        Rectangle picked = new Rectangle(CELL, CELL, CELL, CELL);
        picked.getStyleClass().add("logo-picked");
        pixels.getChildren().add(picked);
        pixels.setMaxSize(3 * CELL, 3 * CELL);
        logo.getChildren().add(pixels);
        return logo;
    }
}

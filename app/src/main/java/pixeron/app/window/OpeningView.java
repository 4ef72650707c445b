package pixeron.app.window;

import java.nio.file.Path;
import java.text.DateFormat;
import java.util.ArrayList;
import java.util.Date;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import javafx.application.Platform;
import javafx.scene.AccessibleRole;
import javafx.scene.control.Button;
import javafx.scene.control.Hyperlink;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import pixeron.app.bench.parts.Section;
import pixeron.app.bench.steps.Thumbnail;
import pixeron.app.folder.Autosave;
import pixeron.project.demo.DemoCase;
import pixeron.project.demo.DemoCases;

/** Where one begins: open a file, take up recent or recovered work, or try a demo case. */
final class OpeningView extends ScrollPane {

    private static final int PICTURE = 58;
    private static final int COLUMNS = 2;
    /** Of one case, as a multiple of the size of its name: below that the longest name would be cut. */
    private static final double LEAST_WIDTH = 19;

    private final FileActions actions;
    private final ExerciseActions exercises;
    private final Button open = new Button("Open…");
    private final Map<DemoCase, StackPane> pictures = new LinkedHashMap<>();
    private final List<Label> names = new ArrayList<>();
    private final VBox cases = new VBox();
    private final VBox recent = new VBox();
    private final VBox recovered = new VBox();

    /** @param newImage opens the place where a new image is made */
    OpeningView(FileActions actions, Runnable newImage, ExerciseActions exercises) {
        this.actions = actions;
        this.exercises = exercises;
        getStyleClass().add("opening");
        setFitToWidth(true);
        setFitToHeight(true);
        VBox begin = begin(newImage);
        cases.getStyleClass().add("opening-cases");
        HBox.setHgrow(cases, Priority.ALWAYS);
        HBox columns = new HBox(begin, cases);
        columns.getStyleClass().add("opening-columns");
        setContent(columns);
        actions.settingsProperty().subscribe(settings -> showRecent(settings.recent()));
    }

    private VBox begin(Runnable newImage) {
        Label title = new Label("Pixeron");
        title.getStyleClass().add("opening-title");
        Label line = new Label("Image processing by hand: every number\nwith its working, yours beside it.");
        line.setWrapText(true);
        line.getStyleClass().add("opening-line");
        open.getStyleClass().add("accent");
        open.setTooltip(new Tooltip("Open a picture, a table of numbers or a project (Ctrl+O)"));
        open.setOnAction(event -> actions.open());
        Button paste = new Button("Paste");
        paste.setTooltip(new Tooltip("Create an image from the cells or the picture on the clipboard (Ctrl+V)"));
        paste.setOnAction(event -> actions.pasteImage());
        Label drop = new Label("or drop a picture, a table of numbers or a project on this window");
        drop.setWrapText(true);
        drop.getStyleClass().add("sheet-hint");
        Button make = new Button("New image…");
        make.setTooltip(new Tooltip("Create an image: constant, ramp, checkerboard, formula… (Ctrl+N)"));
        make.setOnAction(event -> newImage.run());
        HBox buttons = new HBox(open, make, paste);
        buttons.getStyleClass().add("buttons");
        Button practice = new Button("Practice");
        practice.setTooltip(new Tooltip("Practice with small exercises; missed ones come again (Ctrl+Shift+P)"));
        practice.setOnAction(event -> exercises.practice());
        Button mark = new Button("Mark a class…");
        mark.setTooltip(new Tooltip("Mark the answers to an exercise, with slips and points (Ctrl+Shift+M)"));
        mark.setOnAction(event -> exercises.mark());
        HBox more = new HBox(practice, mark);
        more.getStyleClass().add("buttons");
        VBox begin = new VBox(title, line, buttons, drop, Section.of("Exercises"), more, recovered, recent);
        begin.getStyleClass().add("opening-begin");
        return begin;
    }

    private void showRecent(List<Path> files) {
        recent.getChildren().setAll(Section.of("Recent"));
        if (files.isEmpty()) {
            Label none = new Label("Files that you open or save appear here.");
            none.setWrapText(true);
            none.getStyleClass().add("sheet-hint");
            recent.getChildren().add(none);
        }
        for (Path file : files) {
            Hyperlink link = new Hyperlink(file.getFileName().toString());
            link.setTooltip(new Tooltip(file.toString()));
            link.setOnAction(event -> actions.open(file));
            recent.getChildren().add(link);
        }
    }

    /** Shows the cases, and draws them one after the other. The window stands sooner without them, so this is called when it does. */
    void showCases() {
        if (cases.getChildren().isEmpty()) {
            cases.getChildren().addAll(Section.of("Demo cases from a small print workshop"), cards());
            pictures.forEach((demo, place) -> Platform.runLater(() -> place.getChildren().setAll(new Thumbnail(demo.image(), PICTURE))));
            pictures.clear();
        }
    }

    /** Puts the keyboard where one begins. */
    void focusFirst() {
        open.requestFocus();
    }

    /**
     * Lists work that an earlier run left behind. Looks into a folder, so it is called when the window stands.
     *
     * @return whether there is any
     */
    boolean showRecovered() {
        List<Path> files = actions.leftBehind();
        recovered.getChildren().clear();
        if (!files.isEmpty()) {
            recovered.getChildren().addAll(Section.of("Recovered"), words("Pixeron closed before this work was saved."));
        }
        for (Path file : files) {
            String time = DateFormat.getDateTimeInstance(DateFormat.MEDIUM,
                    DateFormat.SHORT).format(new Date(Autosave.time(file)));
            Button take = new Button("Recover");
            take.setOnAction(event -> actions.recover(file));
            Button discard = new Button("Discard");
            discard.setOnAction(event -> {
                actions.discard(file);
                showRecovered();
            });
            HBox row = new HBox(take, discard);
            row.getStyleClass().add("buttons");
            recovered.getChildren().addAll(words("From " + time + ":"), row);
        }
        return !files.isEmpty();
    }

    private static Label words(String text) {
        Label label = new Label(text);
        label.setWrapText(true);
        return label;
    }

    private GridPane cards() {
        GridPane cards = new GridPane();
        cards.getStyleClass().add("cards");
        List<Button> all = DemoCases.all().stream().map(this::card).toList();
        arrange(cards, all, COLUMNS);
        cards.widthProperty().subscribe(width -> {
            double name = names.get(0).getFont().getSize();
            int columns = width.doubleValue() < COLUMNS * LEAST_WIDTH * name ? 1 : COLUMNS;
            if (width.doubleValue() > 0 && columns != cards.getColumnConstraints().size()) {
                // Not while the grid is being laid out.
                Platform.runLater(() -> arrange(cards, all, columns));
            }
        });
        return cards;
    }

    private static void arrange(GridPane cards, List<Button> all, int columns) {
        cards.getChildren().clear();
        cards.getColumnConstraints().clear();
        for (int column = 0; column < columns; column++) {
            ColumnConstraints part = new ColumnConstraints();
            part.setPercentWidth(100.0 / columns);
            cards.getColumnConstraints().add(part);
        }
        for (int place = 0; place < all.size(); place++) {
            cards.add(all.get(place), place % columns, place / columns);
        }
    }

    private Button card(DemoCase demo) {
        Label title = new Label(demo.title());
        names.add(title);
        title.getStyleClass().add("card-title");
        Label sentence = new Label(demo.sentence());
        sentence.setWrapText(true);
        sentence.getStyleClass().add("card-sentence");
        VBox words = new VBox(title, sentence);
        words.getStyleClass().add("card-words");
        words.setPrefWidth(100);
        HBox.setHgrow(words, Priority.ALWAYS);
        StackPane picture = new StackPane();
        picture.setMinSize(PICTURE, PICTURE);
        pictures.put(demo, picture);
        HBox content = new HBox(picture, words);
        content.getStyleClass().add("card-content");
        Button card = new Button();
        card.setGraphic(content);
        card.getStyleClass().add("card");
        card.setMaxSize(Double.MAX_VALUE, Double.MAX_VALUE);
        card.setPrefHeight(PICTURE + 22);
        card.setAccessibleRole(AccessibleRole.BUTTON);
        card.setAccessibleText(demo.title() + ". " + demo.sentence());
        card.setOnAction(event -> actions.open(demo));
        return card;
    }
}

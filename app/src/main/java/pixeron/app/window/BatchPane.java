package pixeron.app.window;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Function;
import javafx.application.Platform;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TableColumn;
import javafx.scene.control.TableView;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import pixeron.PixeronException;
import pixeron.app.bench.parts.ProgressNote;
import pixeron.app.bench.parts.Titles;
import pixeron.app.bench.steps.Thumbnail;
import pixeron.app.model.Background;
import pixeron.app.model.Bench;
import pixeron.chain.Chain;
import pixeron.format.ImageFiles;
import pixeron.format.ReadOptions;
import pixeron.image.Frame;
import pixeron.image.Result;
import pixeron.recipe.Batch;
import pixeron.recipe.Recipe;
import pixeron.recipe.ResultFile;
import pixeron.step.Progress;

/** Where the steps of the bench are applied to many files: a preview of the first three, then a line for each of them. */
final class BatchPane extends StackPane {

    private static final int PREVIEWS = 3;
    private static final int PICTURE = 72;
    private static final String AS_IT_IS = "";
    private static final List<String> FORMATS = List.of(AS_IT_IS, "png", "tif", "pgm", "csv");

    private final Bench bench;
    private final Dialogs dialogs;
    private final Consumer<RuntimeException> trouble;
    private final Background running = new Background();
    private final Background looking = new Background();
    private final Label words = new Label();
    private final Label files = new Label("No files chosen");
    private final Label folder = new Label("No folder chosen");
    private final ComboBox<String> format = new ComboBox<>();
    private final CheckBox replace = new CheckBox("Replace existing files");
    private final HBox previews = new HBox();
    private final Label note = new Label();
    private final Button choose = button("Choose images…", "Choose the images for the steps", this::chooseFiles);
    private final Button apply = new Button("Apply");
    private final TableView<Batch.Done> table = new TableView<>();
    private List<Path> given = List.of();
    private Optional<Path> target = Optional.empty();

    /**
     * @param dialogs how files and folders are chosen
     * @param trouble says what must not happen
     */
    BatchPane(Bench bench, Dialogs dialogs, Consumer<RuntimeException> trouble) {
        this.bench = bench;
        this.dialogs = dialogs;
        this.trouble = trouble;
        getStyleClass().add("help");
        Label title = new Label("Apply to files");
        title.getStyleClass().add("card-title");
        words.setWrapText(true);
        words.getStyleClass().add("found-sentence");
        format.getItems().setAll(FORMATS);
        format.setConverter(new Titles<>(ending -> ending.equals(AS_IT_IS) ? "As each image" : ending.toUpperCase(java.util.Locale.ROOT)));
        format.setValue(AS_IT_IS);
        format.setAccessibleText("Format of the results");
        note.setWrapText(true);
        apply.getStyleClass().add("accent");
        apply.setOnAction(event -> run());
        Button close = new Button("Close");
        close.setOnAction(event -> leave());
        HBox buttons = line(apply, close, new ProgressNote("Applying…", "Stop after the current file; results so far are kept", running, running::cancel));
        buttons.getStyleClass().setAll("buttons");
        previews.getStyleClass().add("batch-previews");
        makeTable();
        VBox box = new VBox(title, words,
                line(choose, button("Choose a folder of images…", "Choose a folder; its subfolders are included", this::chooseFolder), files),
                previews, line(button("Results into…", "Choose the folder for the results; they keep the names of their images", this::chooseTarget), folder),
                line(new Label("Format"), format, replace), note, buttons, table);
        box.getStyleClass().addAll("help-box", "run-box");
        box.setMaxSize(Region.USE_PREF_SIZE, Region.USE_PREF_SIZE);
        getChildren().add(box);
        addEventFilter(KeyEvent.KEY_PRESSED, event -> {
            if (event.getCode() == KeyCode.ESCAPE && !format.isShowing()) {
                leave();
                event.consume();
            }
        });
        setVisible(false);
    }

    private static HBox line(Node... parts) {
        HBox line = new HBox(parts);
        line.getStyleClass().add("set-line");
        return line;
    }

    private static Button button(String text, String tip, Runnable action) {
        Button button = new Button(text);
        button.setTooltip(new Tooltip(tip));
        button.setMinWidth(Region.USE_PREF_SIZE);
        button.setOnAction(event -> action.run());
        return button;
    }

    private void makeTable() {
        table.setAccessibleText("Result for each image");
        table.setColumnResizePolicy(TableView.CONSTRAINED_RESIZE_POLICY_FLEX_LAST_COLUMN);
        table.setPlaceholder(new Label("A line for each image appears here."));
        table.setPrefHeight(170);
        column("Image", done -> done.item().file().getFileName().toString());
        column("Size", done -> done.size().map(Frame::size).orElse("–"));
        column("Result", done -> done.problem().map(problem -> "▲ " + problem).orElseGet(() -> "✓ " + done.item().out().getFileName()));
    }

    private void column(String name, Function<Batch.Done, String> text) {
        TableColumn<Batch.Done, String> column = new TableColumn<>(name);
        column.setSortable(false);
        column.setCellValueFactory(data -> new ReadOnlyObjectWrapper<>(text.apply(data.getValue())));
        table.getColumns().add(column);
    }

    void open() {
        int steps = bench.project().chain().size();
        words.setText("The " + (steps == 1 ? "step" : steps + " steps") + " of this branch " + (steps == 1 ? "is" : "are")
                + " applied to each image. Results keep the names of their images. The images do not change.");
        setVisible(true);
        show();
        (apply.isDisabled() ? choose : apply).requestFocus();
    }

    private void leave() {
        running.cancel();
        looking.cancel();
        setVisible(false);
    }

    private void chooseFiles() {
        List<Path> chosen = dialogs.chooseManyToOpen("Images", FileActions.TO_OPEN);
        if (!chosen.isEmpty()) {
            given = chosen;
            show();
        }
    }

    private void chooseFolder() {
        dialogs.chooseFolder("Folder of images").ifPresent(chosen -> {
            given = List.of(chosen);
            show();
        });
    }

    private void chooseTarget() {
        dialogs.chooseFolder("Folder for the results").ifPresent(chosen -> {
            target = Optional.of(chosen);
            show();
        });
    }

    private Batch plan(Path into) {
        return Batch.plan(given, into, Optional.of(format.getValue()).filter(ending -> !ending.equals(AS_IT_IS)), replace.isSelected());
    }

    /** An image that a preview shows, and its result or why there is none. */
    private record Preview(String name, Optional<Result> before, Optional<Result> after, String problem) {
    }

    /** How many images there are, and the previews of the first of them. */
    private record Previews(int count, List<Preview> first) {
    }

    private void show() {
        note.setText("");
        apply.setDisable(given.isEmpty() || target.isEmpty());
        folder.setText(target.map(Path::toString).orElse("No folder chosen"));
        if (given.isEmpty()) {
            return;
        }
        Recipe recipe = new Recipe(bench.project().chain());
        // Only what is read counts for a preview; where results go is asked later.
        looking.start(progress -> {
            List<Batch.Item> items = plan(given.get(0).resolveSibling("results of pixeron")).items();
            return new Previews(items.size(), items.stream().limit(PREVIEWS).map(item -> preview(recipe, item.file(), progress)).toList());
        }, made -> {
            files.setText(made.count() == 1 ? "1 image" : made.count() + " images");
            previews.getChildren().setAll(made.first().stream().map(BatchPane::picture).toList());
        }, this::say);
    }

    private static Preview preview(Recipe recipe, Path file, Progress progress) {
        String name = file.getFileName().toString();
        try {
            Result before = ImageFiles.read(file, ReadOptions.DEFAULT).result();
            return new Preview(name, Optional.of(before), Optional.of(recipe.on(Chain.of(before)).last(progress).required()), "");
        } catch (PixeronException problem) {
            return new Preview(name, Optional.empty(), Optional.empty(), problem.getMessage());
        }
    }

    private static Node picture(Preview preview) {
        Label name = new Label(preview.name());
        name.getStyleClass().add("found-sentence");
        List<Node> pictures = new ArrayList<>();
        preview.before().ifPresent(image -> pictures.add(new Thumbnail(image, PICTURE)));
        preview.after().ifPresent(image -> pictures.addAll(List.of(new Label("→"), new Thumbnail(image, PICTURE))));
        if (pictures.isEmpty()) {
            Label problem = new Label("▲ " + preview.problem());
            problem.setWrapText(true);
            problem.setMaxWidth(2 * PICTURE);
            pictures.add(problem);
        }
        VBox box = new VBox(line(pictures.toArray(Node[]::new)), name);
        box.getStyleClass().add("batch-preview");
        return box;
    }

    /** How many images there were, and how many of them have no result. */
    private record Counts(int done, int failed) {
    }

    private void run() {
        Recipe recipe = new Recipe(bench.project().chain());
        table.getItems().clear();
        note.setText("");
        running.start(progress -> {
            Batch batch = plan(target.orElseThrow());
            int done = 0;
            int failed = 0;
            for (Batch.Item item : batch.items()) {
                progress.report((double) done++ / batch.items().size());
                Batch.Done made = batch.apply(item, (file, out) -> write(recipe, file, out, progress));
                failed += made.problem().isPresent() ? 1 : 0;
                Platform.runLater(() -> table.getItems().add(made));
            }
            return new Counts(done, failed);
        }, counts -> note.setText((counts.failed() == 0 ? "✓ " : "▲ ") + (counts.done() - counts.failed()) + " of " + counts.done() + " results written."), this::say);
    }

    private static Frame write(Recipe recipe, Path file, Path out, Progress progress) {
        Result made = recipe.on(Chain.of(ImageFiles.read(file, ReadOptions.DEFAULT).result())).last(progress).required();
        return ResultFile.write(out, made, new ResultFile.Wish(Optional.empty(), false, true)).size();
    }

    private void say(RuntimeException problem) {
        if (problem instanceof PixeronException) {
            note.setText("▲ " + problem.getMessage());
        } else {
            trouble.accept(problem);
        }
    }
}

package pixeron.app.exercise;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiConsumer;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyCodeCombination;
import javafx.scene.input.KeyCombination;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import pixeron.app.bench.parts.Section;
import pixeron.app.bench.parts.Titles;
import pixeron.app.folder.UserFolder;
import pixeron.byhand.Verdict;
import pixeron.byhand.slip.SlipTitles;
import pixeron.chain.Stage;
import pixeron.exercise.Variant;
import pixeron.exercise.library.Library;
import pixeron.exercise.library.Size;
import pixeron.exercise.library.Topic;
import pixeron.exercise.practice.Practiced;
import pixeron.exercise.practice.Trial;
import pixeron.project.Project;
import pixeron.step.Step;

/** One small exercise after the other on a quiet bench: write, check, be told, next. */
public final class PracticeView extends BorderPane {

    private static final KeyCombination CHECK = new KeyCodeCombination(KeyCode.ENTER, KeyCombination.SHORTCUT_DOWN);
    private static final String ALL = "All topics";
    private static final int MINUTE = 60;

    private final Practice practice;
    private final BiConsumer<String, Project> toBench;
    private final ComboBox<Optional<Topic>> topics = new ComboBox<>();
    private final ComboBox<Size> sizes = new ComboBox<>();
    private final Label title = new Label();
    private final Label words = new Label();
    private final VBox steps = new VBox();
    private final VBox middle = new VBox();
    private final VBox said = new VBox();
    private final Button check = new Button("Check");
    private final Button next = new Button("Next exercise");
    private final Button bench = new Button("Open on the bench");
    private final VBox list = new VBox();
    private final ScrollPane paper = new ScrollPane();
    private Blanks blanks;
    private Variant shown;

    /**
     * Creates the practice view without a task.
     *
     * @param toBench opens work on the bench, under a name
     * @param leave goes back to where one begins
     */
    public PracticeView(UserFolder folder, Consumer<RuntimeException> trouble, BiConsumer<String, Project> toBench, Runnable leave) {
        this.practice = new Practice(folder, trouble);
        this.toBench = toBench;
        getStyleClass().add("practice");
        setLeft(side(leave));
        setCenter(paper());
        setRight(told());
        practice.taskProperty().subscribe(task -> {
            if (task != null) {
                render(task);
            }
        });
        practice.practisedProperty().subscribe(this::renderList);
        practice.makingProperty().subscribe(this::showMaking);
        addEventFilter(KeyEvent.KEY_PRESSED, event -> {
            if (CHECK.match(event)) {
                practice.check();
                event.consume();
            }
        });
    }

    /** Begins, or goes on where the user left. */
    public void begin() {
        practice.begin();
    }

    /** Puts the keyboard where it belongs when this is shown. */
    public void focusFirst() {
        if (blanks != null) {
            blanks.focusFirst();
        }
    }

    private Region side(Runnable leave) {
        Label head = new Label("Practice");
        head.getStyleClass().add("card-title");
        List<Optional<Topic>> all = new ArrayList<>(List.of(Optional.empty()));
        Library.topics().forEach(topic -> all.add(Optional.of(topic)));
        topics.getItems().setAll(all);
        topics.setConverter(new Titles<>(topic -> topic.map(Topic::title).orElse(ALL)));
        topics.setValue(Optional.empty());
        topics.setMaxWidth(Double.MAX_VALUE);
        topics.setAccessibleText("Topic");
        sizes.getItems().setAll(Size.values());
        sizes.setConverter(new Titles<>(size -> size.word() + ", " + size.side() + " × " + size.side()));
        sizes.setValue(Size.SMALL);
        sizes.setMaxWidth(Double.MAX_VALUE);
        sizes.setAccessibleText("Image size");
        topics.valueProperty().subscribe(topic -> choose());
        sizes.valueProperty().subscribe(size -> choose());
        Button back = new Button("Back");
        back.setTooltip(new Tooltip("Return to the start page"));
        back.setOnAction(event -> leave.run());
        Label section = Section.of("Practice history");
        list.getStyleClass().add("practiced");
        ScrollPane scroll = new ScrollPane(list);
        scroll.setFitToWidth(true);
        VBox.setVgrow(scroll, Priority.ALWAYS);
        VBox side = new VBox(head, topics, sizes, section, scroll, forget(), back);
        side.getStyleClass().addAll("side", "practice-side");
        return side;
    }

    /** One button, and a second one that really does it. */
    private Region forget() {
        Button ask = new Button("Delete history…");
        Button yes = new Button("Delete");
        Button no = new Button("Keep");
        HBox sure = new HBox(yes, no);
        sure.getStyleClass().add("buttons");
        sure.managedProperty().bind(sure.visibleProperty());
        sure.setVisible(false);
        ask.managedProperty().bind(ask.visibleProperty());
        ask.getStyleClass().add("quiet");
        ask.setTooltip(new Tooltip("Delete the record of your practice"));
        ask.setOnAction(event -> {
            sure.setVisible(true);
            ask.setVisible(false);
            no.requestFocus();
        });
        yes.setOnAction(event -> {
            practice.forget();
            sure.setVisible(false);
            ask.setVisible(true);
        });
        no.setOnAction(event -> {
            sure.setVisible(false);
            ask.setVisible(true);
        });
        return new VBox(ask, sure);
    }

    private Region paper() {
        title.getStyleClass().add("task-title");
        words.getStyleClass().add("task-words");
        words.setWrapText(true);
        steps.getStyleClass().add("task-steps");
        middle.getStyleClass().add("task");
        paper.setContent(middle);
        paper.setFitToWidth(true);
        paper.getStyleClass().add("task-scroll");
        return paper;
    }

    private Region told() {
        check.getStyleClass().add("accent");
        check.setMaxWidth(Double.MAX_VALUE);
        check.setTooltip(new Tooltip("Check your values. Press again to see where they differ, then why (Ctrl+Enter)"));
        check.setOnAction(event -> practice.check());
        next.setMaxWidth(Double.MAX_VALUE);
        next.setTooltip(new Tooltip("Go to the next exercise"));
        next.setOnAction(event -> practice.next());
        bench.setMaxWidth(Double.MAX_VALUE);
        bench.setTooltip(new Tooltip("Open this exercise and your values on the bench, with the working of every number"));
        bench.setOnAction(event -> {
            Trial trial = practice.taskProperty().get().trial();
            toBench.accept(title.getText(), trial.work());
        });
        said.getStyleClass().add("said");
        Region space = new Region();
        VBox.setVgrow(space, Priority.ALWAYS);
        VBox right = new VBox(check, said, space, bench, next);
        right.getStyleClass().addAll("side", "practice-told");
        return right;
    }

    private void choose() {
        if (topics.getValue() != null && sizes.getValue() != null) {
            practice.choose(topics.getValue(), sizes.getValue());
        }
    }

    /** An exercise may take a moment to be made: until it is there, a word says so, and nothing can be checked. */
    private void showMaking(boolean isMaking) {
        if (isMaking) {
            // The one before stays where it is, so that nothing jumps.
            (shown == null ? middle : said).getChildren().setAll(line("Creating the next exercise…", "found-sentence"));
        }
        check.setDisable(isMaking);
        next.setDisable(isMaking);
        bench.setDisable(isMaking);
    }

    private void render(Practice.Task task) {
        if (shown != task.variant()) {
            shown = task.variant();
            showTask(task);
        }
        boolean isSaid = task.said().isPresent();
        blanks.mark(isSaid && (task.told() != Practice.Told.COUNT || task.isDone()) ? task.said().get().states() : Map.of());
        said.getChildren().clear();
        task.said().ifPresent(what -> tell(task, what));
        check.setText(task.isDone() ? "Next" : !isSaid ? "Check" : switch (task.told()) {
            case COUNT -> "Show where";
            case PLACES -> "Explain";
            case REASONS -> "Check";
        });
        check.setDisable(isSaid && !task.isDone() && task.told() == Practice.Told.REASONS);
        next.setVisible(!task.isDone());
    }

    private void showTask(Practice.Task task) {
        Variant variant = task.variant();
        title.setText(variant.exercise().title());
        words.setText(variant.task());
        steps.getChildren().clear();
        for (Stage stage : variant.chain().stages()) {
            Step step = stage.link().step();
            Label formula = new Label((variant.chain().size() > 1 ? "Step " + (stage.position() + 1) + ": " : "") + Variant.words(step));
            formula.setWrapText(true);
            formula.getStyleClass().add("task-formula");
            steps.getChildren().add(formula);
        }
        blanks = new Blanks(variant, practice::write);
        List<Node> given = new ArrayList<>();
        variant.chain().input().faces().forEach(face -> {
            Label name = new Label(variant.title(face));
            name.getStyleClass().add("part-title");
            VBox box = new VBox(name, new GivenGrid(face.image()));
            box.getStyleClass().add("asked-part");
            given.add(box);
        });
        // The numbers lie beside the paper where there is room.
        blanks.getChildren().addAll(0, given);
        middle.getChildren().setAll(title, words, steps, blanks);
        paper.setVvalue(0);
        blanks.focusFirst();
    }

    private void tell(Practice.Task task, Trial.Said what) {
        long agree = what.states().values().stream().filter(state -> state == Verdict.AGREES).count();
        int cells = task.variant().parts().stream().mapToInt(part -> part.count()).sum();
        if (what.isDone()) {
            said.getChildren().add(line(task.isRightAtFirst() ? "✓ All correct at first try." : "✓ All correct now.", "said-right"));
            return;
        }
        long blank = cells - what.states().size();
        said.getChildren().add(line(agree + " of " + cells + " agree" + (what.differing() > 0 ? ", " + what.differing() + (what.differing() == 1 ? " differs" : " differ") : "")
                + (blank > 0 ? ", " + blank + " empty" : "") + ".", what.differing() > 0 ? "said-wrong" : "said-line"));
        if (task.told() == Practice.Told.REASONS) {
            List<Trial.Named> slips = what.slips();
            slips.forEach(slip -> said.getChildren().add(line(slip.text() + "  (" + SlipTitles.of(slip.ids()) + ")", "said-line")));
            if (slips.isEmpty() && what.differing() > 0) {
                said.getChildren().add(line("No known slip explains the difference. Open the exercise on the bench to see every working.", "said-line"));
            }
        } else if (task.told() == Practice.Told.COUNT && what.differing() > 0) {
            said.getChildren().add(line("Find the mistake yourself, or choose Show where.", "found-sentence"));
        }
    }

    private static Label line(String text, String style) {
        Label label = new Label(text);
        label.setWrapText(true);
        label.getStyleClass().add(style);
        return label;
    }

    private void renderList(Practiced practiced) {
        list.getChildren().clear();
        for (Topic topic : Library.topics()) {
            Practiced.Summary summary = practiced.summary(topic.id());
            if (summary.done() > 0) {
                Label name = new Label(topic.title());
                name.setWrapText(true);
                name.getStyleClass().add("step-title");
                int level = practiced.level(topic.id());
                Label facts = new Label("●".repeat(level) + "○".repeat(Practiced.HIGHEST - level) + "  " + summary.rightAtFirst() + " of " + summary.done() + " correct at first try · "
                        + time(summary.seconds()));
                facts.getStyleClass().add("found-sentence");
                VBox row = new VBox(name, facts);
                if (!summary.slips().isEmpty()) {
                    row.getChildren().add(line(summary.slips().stream().limit(3).map(slip -> SlipTitles.of(slip.getKey()) + (slip.getValue() > 1 ? " × " + slip.getValue() : ""))
                            .collect(Collectors.joining(", ")), "step-detail"));
                }
                row.getStyleClass().add("practiced-row");
                list.getChildren().add(row);
            }
        }
        if (list.getChildren().isEmpty()) {
            list.getChildren().add(line("Your results appear here: how often you were correct at first try, and your slips.", "found-sentence"));
        }
    }

    private static String time(int seconds) {
        return seconds < MINUTE ? seconds + " s each" : Math.round(seconds / (double) MINUTE) + " min each";
    }
}

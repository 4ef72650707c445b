package pixeron.app.exercise;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.function.BiConsumer;
import java.util.function.Consumer;
import java.util.stream.Stream;
import javafx.animation.PauseTransition;
import javafx.beans.binding.Bindings;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextArea;
import javafx.scene.control.TextField;
import javafx.scene.control.TextInputControl;
import javafx.scene.control.Tooltip;
import javafx.scene.image.Image;
import javafx.scene.image.ImageView;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.util.Duration;
import pixeron.PixeronException;
import pixeron.app.bench.parts.ProgressNote;
import pixeron.app.bench.parts.Section;
import pixeron.app.model.Background;
import pixeron.exercise.Asked;
import pixeron.exercise.Exercise;
import pixeron.exercise.Variant;
import pixeron.exercise.Variants;
import pixeron.exercise.file.ExerciseFile;
import pixeron.exercise.print.Worksheet;
import pixeron.exercise.quiz.QuizFormat;
import pixeron.image.Frame;
import pixeron.image.Result;
import pixeron.make.Makers;
import pixeron.project.Project;
import pixeron.report.pdf.Paper;

/** Where an exercise is set: what is given, what is drawn, what is asked; and beside it the printed page of any variant. */
public final class SetView extends BorderPane {

    private static final List<String> ENDINGS = List.of("*" + ExerciseFile.ENDING);
    private static final Duration PATIENCE = Duration.millis(250);
    private static final double MARGIN = 44;
    private static final String USUAL = "30";

    /** What can be chosen for a quiz: one format, or all of them. */
    private record QuizChoice(String title, Set<QuizFormat> formats) {
        static List<QuizChoice> all() {
            return Stream.concat(Arrays.stream(QuizFormat.values()).map(format -> new QuizChoice(format.title(), EnumSet.of(format))),
                    Stream.of(new QuizChoice("All formats", EnumSet.allOf(QuizFormat.class)))).toList();
        }

        @Override
        public String toString() {
            return title;
        }
    }

    private final Choosing choosing;
    private final Consumer<RuntimeException> trouble;
    private final BiConsumer<String, Project> toBench;
    private final Background drawing = new Background();
    private final Background giving = new Background();
    private final PauseTransition patience = new PauseTransition(PATIENCE);
    private final TextField title = field("Title");
    private final TextArea task = new TextArea();
    private final TextField line = field("Image line for each variant");
    private final VBox steps = new VBox();
    private final VBox choices = new VBox();
    private final VBox asked = new VBox();
    private final CheckBox ties = new CheckBox("Avoid rounding ties (such as 2.5)");
    private final TextField decimals = field("Maximum number of decimals");
    private final TextField clipped = field("Minimum number of clipped values");
    private final TextField seed = field("Seed of the random numbers");
    private final TextField number = field("Variant to show");
    private final TextField count = field("Number of variants");
    private final ComboBox<QuizChoice> quiz = new ComboBox<>();
    private final ImageView page = new ImageView();
    private final Label said = new Label();
    private final Button save = new Button("Save…");
    private final Button give = new Button("Create worksheets…");
    private final Button bench = new Button("Open on the bench");
    private Result samples;
    private Exercise exercise;
    private Variant shown;
    private boolean isFilling;

    /**
     * Creates the view in which an instructor sets an exercise.
     *
     * @param toBench opens work on the bench, under a name
     */
    public SetView(Choosing choosing, Consumer<RuntimeException> trouble, BiConsumer<String, Project> toBench, Runnable leave) {
        this.choosing = choosing;
        this.trouble = trouble;
        this.toBench = toBench;
        getStyleClass().add("practice");
        ScrollPane form = new ScrollPane(form());
        form.setFitToWidth(true);
        form.getStyleClass().add("set-side");
        setLeft(form);
        setTop(head(leave));
        said.setWrapText(true);
        page.getStyleClass().add("page-picture");
        page.setPreserveRatio(true);
        VBox place = new VBox(said, page);
        place.getStyleClass().add("page-place");
        ScrollPane sheet = new ScrollPane(place);
        sheet.setFitToWidth(true);
        // Where the form is wide, as in large type, the page is as wide as there is room.
        page.fitWidthProperty().bind(Bindings.createDoubleBinding(() -> page.getImage() == null ? 0 : Math.min(page.getImage().getWidth(),
                sheet.getViewportBounds().getWidth() - MARGIN), page.imageProperty(), sheet.viewportBoundsProperty()));
        setCenter(sheet);
        patience.setOnFinished(event -> draw());
        List.of(title, line, decimals, clipped, seed, number).forEach(this::watch);
        watch(task);
        ties.selectedProperty().subscribe(is -> changed());
    }

    static TextField field(String words) {
        TextField field = new TextField();
        field.setAccessibleText(words);
        field.setTooltip(new Tooltip(words));
        return field;
    }

    private void watch(TextInputControl field) {
        field.textProperty().subscribe(text -> changed());
    }

    private Region head(Runnable leave) {
        Label head = new Label("Create an exercise");
        head.getStyleClass().add("card-title");
        save.setTooltip(new Tooltip("Save the exercise as a file, to edit it, practice it, or mark its answers"));
        save.setOnAction(event -> saveExercise());
        give.getStyleClass().add("accent");
        give.setTooltip(new Tooltip("Create pages, tables to fill in, projects, an answer key and a quiz in a folder"));
        give.setOnAction(event -> giveOut());
        bench.setTooltip(new Tooltip("Open this variant on the bench"));
        bench.setOnAction(event -> toBench.accept(shown.exercise().title(), shown.project()));
        Button back = new Button("Back");
        back.setOnAction(event -> leave.run());
        count.setText(USUAL);
        count.setPrefColumnCount(4);
        number.setText("1");
        number.setPrefColumnCount(4);
        Region space = new Region();
        HBox.setHgrow(space, Priority.ALWAYS);
        HBox buttons = new HBox(new Label("variant"), number, bench, save, new Label("variants"), count, give, back);
        buttons.getStyleClass().addAll("buttons", "set-line");
        buttons.setMinWidth(Region.USE_PREF_SIZE);
        HBox bar = new HBox(head, new ProgressNote("Creating worksheets…", "Cancel; written files are kept", giving, giving::cancel), space, buttons);
        bar.getStyleClass().add("class-head");
        return bar;
    }

    private Region form() {
        task.setPrefRowCount(2);
        task.setWrapText(true);
        task.setAccessibleText("Task");
        task.setPromptText("Task text; {name} is replaced by its random number");
        line.getStyleClass().add("number-field");
        line.setPromptText("Empty: the same image for everybody");
        Button draw = new Button("Random images");
        draw.getStyleClass().add("quiet");
        draw.setTooltip(new Tooltip("Use a different random image of this size for each variant"));
        draw.setOnAction(event -> {
            Frame frame = samples.frame();
            line.setText("uniform-noise rows=" + frame.rows() + " columns=" + frame.columns() + " maximum=" + frame.maximumLevel() + " seed={s}");
            if (choices.getChildren().stream().map(ChoiceRow.class::cast).noneMatch(row -> row.named().name().equals("s"))) {
                choices.getChildren().add(choiceRow(new Draft.Named("s", "1 to 1000000")));
            }
        });
        Button choice = quiet("+  Add a random number", () -> choices.getChildren().add(choiceRow(new Draft.Named("", ""))));
        Button question = quiet("+  Add a question", () -> asked.getChildren().add(questionRow(new Draft.Question(
                Math.max(1, steps.getChildren().size()), Draft.Kind.ALL, "", "", "5"))));
        Button step = quiet("+  Add a step", () -> addStep(""));
        decimals.setPrefColumnCount(3);
        clipped.setPrefColumnCount(3);
        seed.setPrefColumnCount(12);
        quiz.getItems().setAll(QuizChoice.all());
        quiz.getSelectionModel().selectFirst();
        quiz.setAccessibleText("Format of the quiz");
        quiz.setTooltip(new Tooltip("Choose the format of the quiz"));
        VBox form = new VBox(Section.of("Title"), title, Section.of("Task"), task, Section.of("Image"), line, draw,
                Section.of("Steps (write {name} for a random number)"), steps, step, Section.of("Random numbers"), choices, choice, Section.of("Questions"), asked, question, Section.of("Constraints"), ties,
                row(new Label("at most"), decimals, new Label("decimals before rounding")), row(new Label("at least"), clipped, new Label("values clipped")),
                Section.of("Seed"), seed, Section.of("Quiz format"), quiz);
        form.getStyleClass().add("side");
        List.of(steps, choices, asked).forEach(lines -> lines.getStyleClass().add("set-lines"));
        return form;
    }

    private ChoiceRow choiceRow(Draft.Named named) {
        return new ChoiceRow(named, this::changed);
    }

    private QuestionRow questionRow(Draft.Question question) {
        boolean hasFaces = samples == null || samples.faces().size() > 1 || !question.face().isEmpty();
        return new QuestionRow(question, hasFaces, this::changed);
    }

    private Button quiet(String text, Runnable action) {
        Button button = new Button(text);
        button.getStyleClass().add("quiet");
        button.setOnAction(event -> {
            action.run();
            changed();
        });
        return button;
    }

    static HBox row(Node... nodes) {
        HBox row = new HBox(nodes);
        row.getStyleClass().add("set-line");
        return row;
    }

    private void addStep(String text) {
        TextField field = field("Step " + (steps.getChildren().size() + 1));
        field.setText(text);
        field.getStyleClass().add("number-field");
        watch(field);
        steps.getChildren().add(field);
    }

    /** Makes an exercise of what is on the bench: asked for is what has values by hand. */
    public void set(Project project) {
        fill(Draft.of(project, System.currentTimeMillis() / 1000));
    }

    /** Opens an exercise to be changed. */
    public void open(Path file) {
        drawing.start(progress -> {
            Exercise read = ExerciseFile.read(file);
            return Draft.of(read, Makers.gray("fill rows=5 columns=5 maximum=7"));
        }, this::fill, trouble);
    }

    private void fill(Draft draft) {
        isFilling = true;
        samples = draft.samples();
        title.setText(draft.title());
        task.setText(draft.task());
        line.setText(draft.line());
        steps.getChildren().clear();
        draft.steps().forEach(this::addStep);
        choices.getChildren().setAll(draft.choices().stream().map(this::choiceRow).toList());
        asked.getChildren().setAll(draft.asked().stream().map(this::questionRow).toList());
        ties.setSelected(draft.wish().isWithoutTies());
        decimals.setText(draft.wish().decimals());
        clipped.setText(draft.wish().clipped());
        seed.setText(draft.seed());
        number.setText("1");
        isFilling = false;
        draw();
    }

    /** Puts the keyboard where it belongs when this is shown. */
    public void focusFirst() {
        title.requestFocus();
    }

    private Draft draft() {
        return new Draft(title.getText(), task.getText(), samples, line.getText(), steps.getChildren().stream().map(node -> ((TextField) node).getText()).toList(),
                choices.getChildren().stream().map(node -> ((ChoiceRow) node).named()).toList(),
                asked.getChildren().stream().map(node -> ((QuestionRow) node).question()).toList(),
                new Draft.Wishes(ties.isSelected(), decimals.getText(), clipped.getText()), seed.getText());
    }

    private void changed() {
        if (!isFilling && samples != null) {
            patience.playFromStart();
        }
    }

    private int variantNumber() {
        String text = number.getText().strip();
        return text.matches("\\d{1,5}") ? Integer.parseInt(text) : 0;
    }

    /** A variant with the picture of its page. */
    private record Drawn(Exercise exercise, Variant variant, Image page, int cells) {
    }

    private void draw() {
        Draft draft;
        try {
            draft = draft();
        } catch (PixeronException notYet) {
            problem(notYet);
            return;
        }
        // A name in braces gets a line of its own as soon as it is typed.
        draft.missing().stream().limit(1).forEach(name -> choices.getChildren().add(choiceRow(new Draft.Named(name, ""))));
        int wanted = variantNumber();
        drawing.start(progress -> {
            Exercise made = draft.exercise();
            Variant variant = new Variants(made).variant(wanted, progress);
            int cells = variant.parts().stream().mapToInt(part -> part.count()).sum();
            return new Drawn(made, variant, PagePicture.of(variant, progress), cells);
        }, this::show, problem -> {
            if (problem instanceof PixeronException) {
                problem(problem);
            } else {
                trouble.accept(problem);
            }
        });
    }

    private void show(Drawn drawn) {
        exercise = drawn.exercise();
        shown = drawn.variant();
        page.setImage(drawn.page());
        page.setOpacity(1);
        said.getStyleClass().setAll("label", "found-sentence");
        said.setText(drawn.variant().code() + " · " + drawn.cells() + " cells · " + Asked.worth(exercise.points()));
        enable(true);
    }

    private void problem(RuntimeException why) {
        exercise = null;
        said.getStyleClass().setAll("label", "said-wrong");
        said.setText("▲ " + why.getMessage());
        page.setOpacity(0.4);
        enable(false);
    }

    private void enable(boolean isWhole) {
        List.of(save, give, bench).forEach(button -> button.setDisable(!isWhole));
    }

    private void saveExercise() {
        Exercise kept = exercise;
        String name = kept.title().strip().replaceAll("[^\\p{L}\\p{N}]+", "-").toLowerCase(Locale.ROOT) + ExerciseFile.ENDING;
        choosing.toSave("Save the exercise", name, "Exercise", ENDINGS).ifPresent(file -> giving.start(progress -> {
            String chosen = file.getFileName().toString();
            Path whole = chosen.endsWith(ExerciseFile.ENDING) ? file : file.resolveSibling(chosen.replaceFirst("\\.json$", "") + ExerciseFile.ENDING);
            ExerciseFile.write(whole, kept);
            return whole;
        }, whole -> said.setText("Saved " + whole.getFileName()), trouble));
    }

    private void giveOut() {
        Exercise kept = exercise;
        Set<QuizFormat> formats = quiz.getValue().formats();
        String many = count.getText().strip();
        int wanted = many.matches("\\d{1,6}") ? Integer.parseInt(many) : 0;
        choosing.folder("Folder for the worksheets").ifPresent(folder -> giving.start(progress -> {
            List<Variant> variants = new Variants(kept).first(wanted, progress);
            Worksheet.requireFree(folder, variants, formats);
            List<Path> files = new ArrayList<>(Worksheet.write(folder, variants, formats, Paper.usual(), progress));
            Path own = folder.resolve("exercise" + ExerciseFile.ENDING);
            ExerciseFile.write(own, kept);
            files.add(own);
            return files.size();
        }, files -> said.setText("Wrote " + files + " files into " + folder.getFileName() + ": print sheets.pdf; key.pdf is the answer key"), trouble));
    }
}

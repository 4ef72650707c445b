package pixeron.app.bench.compare;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.BiConsumer;
import java.util.function.Consumer;
import javafx.beans.value.ObservableValue;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import pixeron.app.bench.parts.MiddlePane;
import pixeron.app.model.Background;
import pixeron.app.model.Bench;
import pixeron.app.model.Described;
import pixeron.app.model.Seen;
import pixeron.app.sheet.paint.Viewport;
import pixeron.app.theme.Theme;
import pixeron.image.Frame;
import pixeron.image.Image;
import pixeron.image.Result;
import pixeron.project.Project;
import pixeron.step.histogram.Equalize;
import pixeron.step.lowrank.RankKeep;
import pixeron.step.point.Stretch;

/** Two to four results side by side with one zoom and one picked pixel, their counts of levels, and what differs. */
public final class ComparePane extends VBox implements MiddlePane.Content {

    private static final int MOST = 4;
    private static final String THREE_WAYS = "Contrast stretch maps levels along a straight line and keeps their relative spacing. "
            + "Equalization maps them by their cumulative histogram, from 0 or from the first level that occurs.";

    private static final String RANKS = "1 2 4 8 16 32 64";
    private static final String PATTERNS = "The image as a sum of rank-1 terms, each a column times a row: repeating patterns need few of them, "
            + "dust and noise need many.";

    private final Bench bench;
    private final Background background = new Background();
    private final Consumer<String> say;
    private final TextField ranksField = new TextField(RANKS);
    private final RankPane rankPane;
    private final Viewport viewport = new Viewport();
    private final HBox row = new HBox();
    private final List<PlaceView> views = new ArrayList<>();
    private final Label sentence = new Label();
    private final ToggleButton difference = new ToggleButton("Differences");
    private final Button more = button("+ Result", "Add another result, up to four");
    private final Button fewer = button("− Result", "Remove the last result");
    private final Theme theme;
    private final ObservableValue<Boolean> isSeen;
    private List<Choice> results = List.of();
    private final List<Choice.Outside> answers = new ArrayList<>();
    private Project chosenFor;
    private ShownComparison shown;

    /**
     * Creates the pane with the selected step's result and no other beside it.
     *
     * @param openImage lets the user choose a file with an image or a table; gives its name and the image
     * @param isSeen whether this is shown
     */
    public ComparePane(Bench bench, Theme theme, Consumer<BiConsumer<String, Result>> openImage, Consumer<String> say,
            ObservableValue<Boolean> isSeen) {
        this.bench = bench;
        this.theme = theme;
        this.say = say;
        this.isSeen = isSeen;
        rankPane = new RankPane(theme, ranksField);
        getStyleClass().add("compare");
        difference.getStyleClass().add("quiet");
        difference.setTooltip(new Tooltip("Show each result minus the first, as signed numbers"));
        difference.selectedProperty().subscribe(isOn -> render());
        more.setOnAction(event -> {
            List<Choice> offered = offered();
            change(results.size(), offered.get(Math.min(offered.size() - 1, results.size())));
        });
        fewer.setOnAction(event -> {
            results = results.subList(0, results.size() - 1);
            request();
        });
        Button answer = button("Open an answer…", "Open a picture or a table, such as the result of your own program");
        answer.setOnAction(event -> openImage.accept(this::addAnswer));
        Button ways = button("Stretch and equalize", "Compare a contrast stretch and both equalizations of the step's input");
        ways.setOnAction(event -> showThreeWays());
        Button ranks = button("Ranks", "Compare the input of the selected step with its approximations of these ranks; the first three are shown");
        ranks.setOnAction(event -> showRanks());
        ranksField.setAccessibleText("Ranks to compare");
        ranksField.getStyleClass().add("number-field");
        ranksField.setOnAction(event -> showRanks());
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        HBox head = new HBox(more, fewer, difference, gap, ways, ranks, answer);
        head.getStyleClass().add("compare-head");
        sentence.getStyleClass().add("sheet-hint");
        sentence.setWrapText(true);
        sentence.setMinHeight(USE_PREF_SIZE);
        sentence.setManaged(false);
        row.getStyleClass().add("compare-row");
        HBox.setHgrow(row, Priority.ALWAYS);
        HBox beside = new HBox(row, rankPane);
        beside.getStyleClass().add("compare-row");
        VBox.setVgrow(beside, Priority.ALWAYS);
        getChildren().addAll(head, sentence, beside);
        bench.shownProperty().subscribe(now -> request());
        isSeen.subscribe(seen -> request());
        bench.looking().displayProperty().subscribe(display -> render());
        bench.looking().colorViewProperty().subscribe(view -> render());
        theme.paletteProperty().subscribe(palette -> render());
        bench.pickedProperty().subscribe(viewport::reveal);
    }

    private static Button button(String text, String words) {
        Button button = new Button(text);
        button.getStyleClass().add("quiet");
        button.setTooltip(new Tooltip(words));
        return button;
    }

    /** Everything that the work has, and what was opened to be compared. */
    private List<Choice> offered() {
        Project project = bench.project();
        List<Choice> all = new ArrayList<>();
        // What is open comes first, so that it is what is compared as long as nobody chooses.
        addSteps(project, all);
        project.open().ifPresent(name -> addSteps(project.atMain(), all));
        project.images().stream().filter(image -> !project.open().equals(Optional.of(image.name()))).forEach(image ->
                addSteps(project.opened(image.name()), all));
        all.addAll(answers);
        return all;
    }

    private static void addSteps(Project project, List<Choice> all) {
        all.add(new Choice.OfStep(project.open(), project.branch(), -1));
        for (String branch : project.branches()) {
            for (int position = 0; position < project.chain(branch).size(); position++) {
                all.add(new Choice.OfStep(project.open(), branch, position));
            }
        }
    }

    /** What comes into the selected step. */
    private Choice.OfStep before() {
        return new Choice.OfStep(bench.project().open(), bench.project().branch(), Math.max(-1, bench.position() - 1));
    }

    private void request() {
        Project project = bench.project();
        if (!isSeen.getValue() || project == null || bench.shown() == null) {
            return;
        }
        List<Choice> offered = offered();
        boolean isOther = chosenFor == null || !chosenFor.main().origin().equals(project.main().origin())
                || !chosenFor.name().equals(project.name());
        chosenFor = project;
        if (isOther) {
            answers.clear();
            results = List.of();
        }
        // What is no longer there, such as a deleted step, gives its place up.
        results = new ArrayList<>(results.stream().filter(result -> !(result instanceof Choice.OfStep)
                || offered.contains(result)).toList());
        for (int n = 0; results.size() < Math.min(2, offered.size()) || results.isEmpty(); n++) {
            results.add(offered.get(Math.min(n, offered.size() - 1)));
        }
        List<Choice> wanted = List.copyOf(results);
        background.start(progress -> ShownComparison.of(project, wanted, progress), made -> {
            shown = made;
            render();
        }, problem -> say.accept(String.valueOf(problem.getMessage())));
    }

    private void change(int place, Choice result) {
        rankPane.hide();
        results = new ArrayList<>(results);
        if (place == results.size()) {
            results.add(result);
        } else {
            results.set(place, result);
        }
        sentence.setManaged(false);
        sentence.setVisible(false);
        request();
    }

    private void addAnswer(String name, Result image) {
        Choice.Outside answer = new Choice.Outside(name, image);
        answers.add(answer);
        change(results.size() < MOST ? results.size() : MOST - 1, answer);
    }

    private void showThreeWays() {
        rankPane.hide();
        Choice.OfStep before = before();
        results = new ArrayList<>(List.of(before, new Choice.Tried(Stretch.plain(), "Stretch", before),
                new Choice.Tried(Equalize.share(), "Equalize", before),
                new Choice.Tried(Equalize.fromFirst(), "Equalize, lowest = 0", before)));
        explain(THREE_WAYS);
    }

    private void showRanks() {
        Choice.OfStep before = before();
        Optional<Image> image = bench.shown().before().map(Described::image);
        int most = image.map(one -> Math.min(one.rows(), one.columns())).orElse(0);
        List<Integer> wanted = Arrays.stream(ranksField.getText().strip().split("[\\s,;]+")).filter(word -> word.matches("\\d{1,5}")).map(Integer::valueOf)
                .filter(k -> k >= 1 && k <= most).distinct().sorted().toList();
        if (wanted.isEmpty()) {
            say.accept("Use whole numbers from 1 to " + most + ", such as 1 4 16.");
            return;
        }
        List<Choice> all = new ArrayList<>(List.of(before));
        wanted.stream().limit(MOST - 1L).forEach(k -> all.add(new Choice.Tried(RankKeep.keeping(k), "rank " + k, before)));
        results = all;
        explain(PATTERNS);
        rankPane.show(image.orElseThrow(), wanted, say);
    }

    /** Shows the chosen results with a sentence above them. */
    private void explain(String text) {
        sentence.setText(text);
        sentence.setManaged(true);
        sentence.setVisible(true);
        request();
    }

    private void render() {
        if (shown == null || bench.project() == null) {
            return;
        }
        while (views.size() < shown.places().size()) {
            int place = views.size();
            views.add(new PlaceView(bench, theme, viewport, place + 1, result -> change(place, result)));
        }
        row.getChildren().setAll(views.subList(0, shown.places().size()));
        List<Frame> frames = shown.places().stream().flatMap(place -> place.seen().stream()).map(Seen::frame)
                .toList();
        viewport.setImageSize(frames.stream().mapToInt(Frame::rows).max().orElse(1),
                frames.stream().mapToInt(Frame::columns).max().orElse(1));
        List<Choice> offered = offered();
        for (int n = 0; n < shown.places().size(); n++) {
            views.get(n).offer(offered, shown.places().get(n).choice(), bench.project());
            views.get(n).show(shown.places().get(n), difference.isSelected());
        }
        more.setDisable(results.size() >= MOST);
        fewer.setDisable(results.size() <= 2);
    }

    @Override
    public Optional<Viewport> viewport() {
        return Optional.of(viewport);
    }

    @Override
    public Node first() {
        return more;
    }
}

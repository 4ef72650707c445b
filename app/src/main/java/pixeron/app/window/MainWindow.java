package pixeron.app.window;

import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import pixeron.app.bench.BenchView;
import pixeron.app.bench.parts.AskedWord;
import pixeron.app.bench.parts.FileDrop;
import pixeron.app.bench.parts.ProgressNote;
import pixeron.app.bench.sheets.SheetsPane.Kind;
import pixeron.app.bench.steps.Shelf;
import pixeron.app.folder.Autosave;
import pixeron.app.folder.OwnKernels;
import pixeron.app.folder.UserFolder;
import pixeron.app.folder.WindowPlace;
import pixeron.app.help.Findable;
import pixeron.app.help.Findables;
import pixeron.app.help.Finder;
import pixeron.app.help.FirstMinute;
import pixeron.app.help.KeysPane;
import pixeron.app.help.figure.FigureViews;
import pixeron.app.model.Background;
import pixeron.app.model.Bench;
import pixeron.app.model.Commas;
import pixeron.app.theme.Theme;
import pixeron.format.ArrayReadings;
import pixeron.image.Pixel;
import pixeron.program.ProgramLimits;
import pixeron.project.Project;
import pixeron.project.SavedProject;
import pixeron.project.View;
import pixeron.project.demo.DemoCases;
import pixeron.step.StepType;

/** Everything inside the window: top bar, messages, and below them the opening view or the bench. */
public final class MainWindow extends StackPane {

    private final Banner banner = new Banner();
    private final Background calculation = new Background();
    private final Theme theme = new Theme(this);
    private final BorderPane layout = new BorderPane();
    /** All that is in the window: the bench, and over it what is shown for a while. */
    private final StackPane desk = new StackPane();
    private final Magnifier magnifier = new Magnifier(desk);
    private final Bench bench;
    private final UserFolder folder;
    private final Dialogs dialogs;
    private final Pace pace;
    private final FileActions files;
    private final OpeningView opening;
    private final TopBar topBar;
    private final AnswerActions answers;
    private final ShelfActions shelf;
    private final ResultActions results;
    private final ExerciseActions exercises;
    private BenchView view;
    private KeysPane keys;
    private Finder finder;
    private final FigureViews figures = new FigureViews(theme);
    private final MainMenu menu;
    private NewImagePane newImage;
    private TablePane table;
    private ArrayPane array;
    private CopyAs copyAs;
    private RunPane run;
    private BatchPane batch;
    /** What was on the bench when an exercise took its place. */
    private Project behind;
    /** Where the window is; null until it was shown. */
    private WindowPlace place;

    /**
     * How long things may take.
     *
     * @param autosave time without a change before unsaved work is kept
     * @param program limits of one run of a user's program
     */
    public record Pace(Duration autosave, ProgramLimits program) {
    }

    /**
     * Opens the window with the work that was autosaved, or with a demo case.
     *
     * @param folder the user's settings and autosaved work
     * @param dialogs how files are chosen
     * @param pace how long things may take
     */
    public MainWindow(UserFolder folder, Dialogs dialogs, Pace pace) {
        this.folder = folder;
        this.dialogs = dialogs;
        this.pace = pace;
        bench = new Bench(calculation, problem -> trouble(problem));
        bench.prepareAhead();
        Background reading = new Background();
        Voice voice = new Voice(dialogs, banner, text -> view().say(text));
        files = new FileActions(bench, reading, new Autosave(folder, pace.autosave()), folder, voice);
        answers = new AnswerActions(bench, reading, voice, files::trouble);
        shelf = new ShelfActions(bench, reading, voice, files::trouble);
        files.setAskHow(this::askHow, this::askWhich);
        exercises = new ExerciseActions(folder, bench, voice, files::trouble, new ExerciseActions.Ways(this::showExercise, this::openWork, this::leaveExercise));
        files.setOpenExercise(exercises::open);
        opening = new OpeningView(files, this::showNewImage, exercises);
        Commands commands = new Commands(bench, this::view, banner, answers, files::pasteImage, this::toggleLecture);
        copyAs = commands.copyAs();
        results = new ResultActions(bench, voice, files::trouble);
        menu = new MainMenu(files, results, new MainMenu.Others(shelf, answers, exercises), commands, theme, new MainMenu.Ways(this::showOpening,
                this::showNewImage, this::runProgram, this::applyToFiles, this::find, this::explain, this::showKeys, this::showFirstMinute, () -> askToClose(Platform::exit)));
        topBar = new TopBar(bench, files, results, commands, this::showNewImage, menu.button());
        ProgressNote note = new ProgressNote("Opening…", "Cancel; the current image stays open", reading,
                reading::cancel);
        note.getStyleClass().add("opening-note");
        layout.setTop(topBar);
        layout.setCenter(opening);
        topBar.setOpen(false);
        // Over what is there: nothing moves under the pointer when a message comes or goes.
        VBox over = new VBox(banner, note);
        over.setMaxHeight(USE_PREF_SIZE);
        over.setPickOnBounds(false);
        StackPane.setAlignment(over, Pos.TOP_CENTER);
        over.translateYProperty().bind(topBar.heightProperty());
        desk.getChildren().addAll(layout, over);
        getChildren().add(magnifier);
        files.settingsProperty().subscribe(settings -> {
            theme.setDark(settings.isDark());
            theme.setType(settings.type());
            theme.setStill(settings.isStill());
        });
        theme.magnificationProperty().subscribe(magnifier::setFactor);
        // When the project is there, before its result is: what is calculated then finds the bench standing.
        bench.projectProperty().subscribe(project -> showWhatIsOpen());
        bench.shownProperty().subscribe(shown -> showWhatIsOpen());
        bench.hand().commas().askedProperty().subscribe(number -> {
            if (!number.isEmpty()) {
                askAboutCommas(number);
            }
        });
        addEventHandler(KeyEvent.KEY_PRESSED, event -> {
            if (event.getCode() == KeyCode.ESCAPE && banner.isVisible()) {
                banner.hide();
            } else if (event.getCode() == KeyCode.ESCAPE && view != null && view.isLecture()) {
                toggleLecture();
            }
        });
        FileDrop.on(this, dropped -> files.open(dropped.get(0)));
    }

    /** The bench takes longer to make than the opening view, so the window does not wait for it. */
    private BenchView view() {
        if (view == null) {
            theme.loadNumbers();
            topBar.build();
            view = new BenchView(bench, new OwnKernels(folder), calculation, theme, new BenchView.Ways(
                    image -> files.openNew("Part", image), answers::openCells, answers::openToCompare, results::saveText,
                    new Shelf.Ways(shelf::open, shelf::paste, shelf::open, shelf::use)));
            copyAs.attach(view.sheets());
            view.sheets().openTableButton().setOnAction(event -> answers.open());
        }
        return view;
    }

    /** Only sheets, working and loops, all large, or everything again. */
    private void toggleLecture() {
        boolean isOn = !view().isLecture();
        view().setLecture(isOn);
        topBar.setVisible(!isOn);
        topBar.setManaged(!isOn);
        theme.setLecture(isOn);
    }

    private void askAboutCommas(String number) {
        String point = number.replace(',', '.');
        banner.show(number + " is read as " + point + ". Is the comma a decimal mark or a thousands separator?");
        banner.offer("It is " + point, () -> bench.hand().sayCommas(Commas.Reading.DECIMAL));
        banner.offer("It is " + number.replace(",", ""), () -> bench.hand().sayCommas(Commas.Reading.GROUPS));
    }

    private void showNewImage() {
        if (newImage == null) {
            theme.loadNumbers();
            newImage = new NewImagePane(files::openNew);
            desk.getChildren().add(newImage);
        }
        newImage.open();
    }

    /** A program is checked on the result of the selected step, where that is an image. */
    private void runProgram() {
        if (!bench.isOpen() || bench.shown() == null || bench.shown().operation().isEmpty() || bench.hand().isWhole()) {
            banner.show("First select a step whose result is an image.");
            return;
        }
        if (run == null) {
            run = new RunPane(bench, pace.program(), answers::chooseProgram, this::trouble);
            desk.getChildren().add(run);
        }
        run.open();
    }

    /** The steps of the branch on the bench, applied to other files. */
    private void applyToFiles() {
        if (!bench.isOpen() || bench.project().chain().size() == 0) {
            banner.show("There are no steps to apply. Add a step first.");
            return;
        }
        if (batch == null) {
            batch = new BatchPane(bench, dialogs, this::trouble);
            desk.getChildren().add(batch);
        }
        batch.open();
    }

    private void askHow(String name, String text) {
        if (table == null) {
            theme.loadNumbers();
            table = new TablePane(files::openTable);
            desk.getChildren().add(table);
        }
        table.open(name, text);
    }

    private void askWhich(String name, String text, ArrayReadings readings) {
        if (array == null) {
            theme.loadNumbers();
            array = new ArrayPane(files::openArray, this::askHow);
            desk.getChildren().add(array);
        }
        array.open(name, text, readings);
    }

    private void showKeys() {
        if (keys == null) {
            theme.loadNumbers();
            keys = new KeysPane();
            desk.getChildren().add(keys);
        }
        keys.open();
    }

    private Finder finder() {
        if (finder == null) {
            theme.loadNumbers();
            finder = new Finder(this::findables);
            desk.getChildren().add(finder);
        }
        return finder;
    }

    private List<Findable> findables() {
        return Stream.concat(menu.actions().stream(), Findables.all(this::addStep, files::open, word -> finder().go(word), figures).stream()).toList();
    }

    private void addStep(StepType type) {
        if (bench.isOpen() && bench.shown() != null) {
            view().addStep(type);
        } else {
            banner.show("A step needs an image. First open or create one.");
        }
    }

    private void find() {
        finder().open();
    }

    /** The word of what has the keyboard, or the keys where it has none. */
    private void explain() {
        if (!finder().open(AskedWord.of(getScene().getFocusOwner()))) {
            showKeys();
        }
    }

    /** The smallest case with the three things to do beside it. */
    private void showFirstMinute() {
        files.afterUnsaved(() -> {
            files.open(DemoCases.all().get(0));
            guide();
        });
    }

    private void guide() {
        files.setSettings(files.settingsProperty().get().withGuided());
        view().setGuide(new FirstMinute(bench, view().slipsShownProperty(), () -> {
            view().setGuide(null);
            view().sheets().sheet(Kind.BY_HAND).requestFocus();
        }));
    }

    private void showWhatIsOpen() {
        boolean isElsewhere = layout.getCenter() == opening || layout.getCenter() != view && bench.project() != behind;
        if (bench.project() != null && isElsewhere) {
            showBench();
        }
    }

    /** An exercise takes the place of what is shown; what is on the bench stays there. */
    private void showExercise(Region exercise, Runnable focus) {
        theme.loadNumbers();
        behind = bench.project();
        topBar.setOpen(false);
        layout.setCenter(exercise);
        afterLayout(focus);
    }

    private void openWork(String name, Project work) {
        files.open(new SavedProject(work, new View(Math.max(0, work.chain().size() - 1), new Pixel(0, 0))));
    }

    private void leaveExercise() {
        if (bench.isOpen() && bench.project() != null) {
            showBench();
        } else {
            layout.setCenter(opening);
            afterLayout(opening::focusFirst);
        }
    }

    private void showBench() {
        layout.setCenter(view());
        topBar.setOpen(true);
        afterLayout(() -> view().sheets().sheet(bench.position() < 0 ? Kind.BEFORE : Kind.BY_HAND).requestFocus());
    }

    /**
     * When what had the keyboard is gone, the scene gives it to the first control at the next pulse; this comes after
     * that.
     */
    private void afterLayout(Runnable action) {
        Runnable[] once = new Runnable[1];
        once[0] = () -> {
            getScene().removePostLayoutPulseListener(once[0]);
            action.run();
        };
        getScene().addPostLayoutPulseListener(once[0]);
        Platform.requestNextPulse();
    }

    /** Goes back to where one begins, after a question about unsaved work. */
    private void showOpening() {
        if (layout.getCenter() != opening) {
            files.afterUnsaved(() -> {
                bench.past().giveUpUnsaved();
                topBar.setOpen(false);
                opening.showRecovered();
                layout.setCenter(opening);
                afterLayout(opening::focusFirst);
            });
        }
    }

    /** The window stands: now there is time to look for recovered work and to open what was asked for. */
    public void started(List<String> words) {
        opening.showCases();
        boolean hasRecovered = opening.showRecovered();
        opening.focusFirst();
        if (!words.isEmpty()) {
            files.openAsItIs(Path.of(words.get(0)));
        } else if (!hasRecovered && !files.settingsProperty().get().isGuided()) {
            showFirstMinute();
        }
        if (view == null) {
            Platform.runLater(() -> rehearse(() -> { }));
        }
    }

    /**
     * Shows a small case where nobody sees it, so that later actions find everything loaded.
     *
     * @param end runs when that is done
     */
    public void rehearse(Runnable end) {
        opening.showCases();
        Rehearsal.start(theme, view(), new OwnKernels(folder), () -> !bench.isOpen(), end);
    }

    /** Returns where the window was when it was closed last. */
    public Optional<WindowPlace> place() {
        return files.settingsProperty().get().place();
    }

    /**
     * Sets the place of the window.
     *
     * @param where the window is now; kept when it is closed
     */
    public void setPlace(WindowPlace where) {
        place = where;
    }

    /**
     * Asks about unsaved changes.
     *
     * @param close runs when nothing unsaved is in the way
     */
    public void askToClose(Runnable close) {
        files.afterUnsaved(() -> {
            if (place != null && !place().equals(Optional.of(place))) {
                files.setSettings(files.settingsProperty().get().withPlace(place));
            }
            files.end();
            close.run();
        });
    }

    /** Shows what went wrong. */
    public void trouble(RuntimeException problem) {
        files.trouble(problem);
    }

    /** The state, for tests and pictures. */
    public Bench bench() {
        return bench;
    }
}

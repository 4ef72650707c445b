package pixeron.app.bench;

import java.util.List;
import java.util.Map;
import java.util.function.BiConsumer;
import java.util.function.Consumer;
import java.util.function.Function;
import javafx.application.Platform;
import javafx.beans.value.ObservableValue;
import javafx.geometry.Orientation;
import javafx.scene.Node;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.ComboBoxBase;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.SplitPane;
import javafx.scene.control.Tab;
import javafx.scene.control.TabPane;
import javafx.scene.control.TextInputControl;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import org.kordamp.ikonli.feather.Feather;
import org.kordamp.ikonli.javafx.FontIcon;
import pixeron.app.bench.compare.ComparePane;
import pixeron.app.bench.counts.FactsPane;
import pixeron.app.bench.counts.HistogramPane;
import pixeron.app.bench.counts.LevelsPane;
import pixeron.app.bench.curve.CurvePane;
import pixeron.app.bench.parts.MiddlePane;
import pixeron.app.bench.parts.Section;
import pixeron.app.bench.parts.Withheld;
import pixeron.app.bench.pixels.DisplayPane;
import pixeron.app.bench.pixels.MarkedPane;
import pixeron.app.bench.pixels.PixelPane;
import pixeron.app.bench.pixels.WatchList;
import pixeron.app.bench.pixels.WavePane;
import pixeron.app.bench.sheets.SheetsPane;
import pixeron.app.bench.steps.BranchBar;
import pixeron.app.bench.steps.OpenImageBar;
import pixeron.app.bench.steps.ParameterPane;
import pixeron.app.bench.steps.Shelf;
import pixeron.app.bench.steps.StepAdded;
import pixeron.app.bench.steps.StepList;
import pixeron.app.bench.steps.StepSearch;
import pixeron.app.bench.table.TablesPane;
import pixeron.app.bench.walk.LoopsPane;
import pixeron.app.bench.walk.WalkBar;
import pixeron.app.bench.working.SlipsPane;
import pixeron.app.bench.working.WorkingPane;
import pixeron.app.folder.OwnKernels;
import pixeron.app.model.Background;
import pixeron.app.model.Bench;
import pixeron.app.model.Seen;
import pixeron.app.model.Walking;
import pixeron.app.sheet.paint.Viewport;
import pixeron.app.theme.Theme;
import pixeron.format.CellTable;
import pixeron.image.Result;
import pixeron.step.StepType;
import pixeron.working.WorkingText;

/** The main view: puts its parts in their places. */
public final class BenchView extends BorderPane {

    private static final double DIVIDER = 0.6;
    private static final double COMPARE_DIVIDER = 0.7;
    /** What one press of a key zooms by. */
    private static final double KEY_ZOOM = 1.25;

    private final SheetsPane sheets;
    private final WorkingPane working;
    private final StepSearch search;
    private final StatusLine status;
    private final TabPane tabs = new TabPane();
    private final Tab display;
    private final MiddlePane middle;
    private final SplitPane split;
    private final ScrollPane side;
    private final VBox left;
    private final Tab slips;
    private final Bench bench;
    private boolean isLecture;
    private boolean isDividerMoved;

    /**
     * What only the window around it can do.
     *
     * @param newImage opens an image that was made here
     * @param openCells lets the user choose a file with cells and hands them over
     * @param openAnswer lets the user choose a file with an image and hands over its name and the image
     * @param keepText lets the user choose a file for a name and a text, and writes it
     * @param shelf how other images come to the project
     */
    public record Ways(Consumer<Result> newImage, Consumer<Consumer<CellTable>> openCells,
            Consumer<BiConsumer<String, Result>> openAnswer, BiConsumer<String, String> keepText, Shelf.Ways shelf) {
    }

    /**
     * Lays out the bench: the chain, its sheets, and the tabs below.
     *
     * @param bench the state
     * @param personal the user's own kernels
     * @param background where it is calculated
     * @param ways what the window does for it
     */
    public BenchView(Bench bench, OwnKernels personal, Background background, Theme theme, Ways ways) {
        sheets = new SheetsPane(bench, theme, this::say);
        working = new WorkingPane(bench, theme);
        display = tab("Display", isSeen -> new DisplayPane(bench));
        search = new StepSearch(bench, theme);
        status = new StatusLine(bench, background);
        getStyleClass().add("bench");
        this.bench = bench;
        side = side(bench, personal, ways.shelf);
        slips = new Tab("Slips");
        left = new VBox(side);
        left.getStyleClass().add("left");
        VBox.setVgrow(side, Priority.ALWAYS);
        setLeft(left);
        addEventFilter(KeyEvent.KEY_PRESSED, this::walkKeys);
        BorderPane walked = new BorderPane(sheets);
        walked.setTop(new WalkBar(bench));
        HBox actions = new HBox(new ChannelBar(bench), new FaceBar(bench), new ComponentBar(bench), walkButton(bench));
        actions.getStyleClass().add("middle-actions");
        middle = new MiddlePane(walked, actions, Map.of(
                MiddlePane.View.TABLE, isSeen -> new TablesPane(bench, theme, ways.openCells, this::say, isSeen),
                MiddlePane.View.HISTOGRAM, isSeen -> withheld(new HistogramPane(bench, theme, isSeen)),
                MiddlePane.View.CURVE, isSeen -> withheld(new CurvePane(bench, theme, this::say, isSeen)),
                MiddlePane.View.COMPARE, isSeen -> withheld(new ComparePane(bench, theme, ways.openAnswer, this::say, isSeen))));
        HBox below = below(bench, theme, ways);
        split = new SplitPane(middle, below);
        split.setOrientation(Orientation.VERTICAL);
        split.addEventFilter(MouseEvent.MOUSE_DRAGGED, event -> isDividerMoved |= event.getTarget() instanceof Node part
                && part.getStyleClass().contains("split-pane-divider"));
        middle.shownProperty().subscribe(view -> placeDivider());
        sheets.largeProperty().subscribe(kind -> {
            split.getItems().setAll(kind == null ? List.of(middle, below) : List.of(middle));
            placeDivider();
        });
        // A bench that is before its window has its size would keep what was left for the working then.
        split.heightProperty().subscribe(height -> Platform.runLater(this::placeDivider));
        setCenter(split);
        setBottom(status);
    }

    /** Begins a walk where there is a result, or leaves it. */
    private static Node walkButton(Bench bench) {
        ToggleButton button = new ToggleButton("Walk", new FontIcon(Feather.NAVIGATION));
        button.getStyleClass().add("walk-button");
        button.setTooltip(new Tooltip("Build the result pixel by pixel, with its loops (F9)"));
        button.setOnAction(event -> {
            bench.walking().toggle();
            button.setSelected(bench.walking().isOn());
        });
        bench.walking().walkProperty().subscribe(walk -> button.setSelected(walk != null));
        bench.shownProperty().subscribe(shown -> button.setDisable(!bench.walking().isPossible()));
        return button;
    }

    private ScrollPane side(Bench bench, OwnKernels personal, Shelf.Ways shelf) {
        Label title = Section.of("Steps");
        ParameterPane parameters = new ParameterPane(bench, personal);
        StepList steps = new StepList(bench, this::say);
        VBox box = new VBox(title, new OpenImageBar(bench), new BranchBar(bench), steps, search, parameters, new Shelf(bench, shelf, this::say));
        box.getStyleClass().add("side");
        ScrollPane side = new ScrollPane(box);
        side.getStyleClass().add("side-scroll");
        side.setFitToWidth(true);
        side.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        // What was clicked to open another image, or to go back, is not there any more: the keyboard goes on at the steps.
        bench.projectProperty().subscribe((was, now) -> {
            if (was != null && now != null && !was.open().equals(now.open())) {
                steps.focusSelected();
            }
        });
        addEventHandler(StepAdded.ADDED, event -> {
            if (!parameters.focusFirst()) {
                steps.focusSelected();
            }
            // Its fields are seen, as far as they fit, however many steps are above them.
            Platform.runLater(() -> reveal(side, parameters));
        });
        return side;
    }

    /** Scrolls just so far that a part is seen, from its top on where all of it does not fit. */
    private static void reveal(ScrollPane scroll, Region part) {
        scroll.applyCss();
        scroll.layout();
        double room = scroll.getViewportBounds().getHeight();
        double hidden = scroll.getContent().getLayoutBounds().getHeight() - room;
        double top = part.getBoundsInParent().getMinY();
        double start = scroll.getVvalue() * Math.max(0, hidden);
        double wanted = Math.min(top, Math.max(start, top + part.getHeight() - room));
        if (hidden > 0 && (wanted > start || top < start)) {
            scroll.setVvalue(wanted / hidden);
        }
    }

    private HBox below(Bench bench, Theme theme, Ways ways) {
        slips.setContent(new SlipsPane(bench, middle::show, slips.selectedProperty()));
        tabs.getTabs().addAll(new Tab("Working", working), slips,
                tab("Pixel", isSeen -> withheld(new PixelPane(bench, theme, isSeen))),
                tab("Tracked", isSeen -> withheld(new WatchList(bench, isSeen))),
                // What is marked is summed up apart from the calculation, so that neither takes the other's place.
                tab("Selection", isSeen -> withheld(new MarkedPane(bench, theme, new Background(), ways.newImage, this::say, isSeen))),
                display,
                tab("Facts", isSeen -> withheld(new FactsPane(bench, theme, isSeen))));
        tabs.setTabClosingPolicy(TabPane.TabClosingPolicy.UNAVAILABLE);
        tabs.getStyleClass().add("work-tabs");
        Label count = new Label();
        count.getStyleClass().add("slip-count");
        Runnable showCount = () -> {
            int found = bench.shown() == null || bench.looking().isAlone() ? 0 : bench.hand().found().slips().size();
            count.setText("● " + found);
            slips.setGraphic(found == 0 ? null : count);
        };
        bench.shownProperty().subscribe(shown -> showCount.run());
        bench.looking().hintsProperty().subscribe(taken -> showCount.run());
        bench.looking().colorViewProperty().subscribe(view -> showCount.run());
        StackPane area = new StackPane(tabs, working.copyButton());
        area.getStyleClass().add("work-area");
        // The button is at the right of the tabs and lets clicks beside it through to them.
        StackPane.setAlignment(working.copyButton(), javafx.geometry.Pos.TOP_RIGHT);
        working.copyButton().visibleProperty().bind(tabs.getSelectionModel().selectedIndexProperty().isEqualTo(0)
                .and(working.hasWorkingProperty()));
        HBox.setHgrow(area, Priority.ALWAYS);
        area.setMinWidth(0);
        HBox below = new HBox(area, right(bench, theme, ways.keepText));
        below.getStyleClass().add("below");
        return below;
    }

    /** How often the levels occur, and what the step does as loops; the loops come forward when a walk begins. */
    private TabPane right(Bench bench, Theme theme, BiConsumer<String, String> keepText) {
        LevelsPane counts = new LevelsPane(bench, theme);
        WavePane wave = new WavePane(bench);
        Tab levels = new Tab("Levels", counts);
        // A spectrum has no levels; its coefficients represent waves.
        bench.shownProperty().subscribe(shown -> {
            boolean isSpectrum = shown != null && shown.seenAfter().filter(Seen::isSpectrum).isPresent();
            levels.setText(isSpectrum ? "Wave" : "Levels");
            levels.setContent(isSpectrum ? wave : counts);
        });
        Tab loops = tab("Loops", isSeen -> new LoopsPane(bench, isSeen, keepText));
        TabPane right = new TabPane(levels, loops);
        right.setTabClosingPolicy(TabPane.TabClosingPolicy.UNAVAILABLE);
        right.getStyleClass().addAll("work-tabs", "right-tabs");
        right.setMinWidth(Region.USE_PREF_SIZE);
        boolean[] wasOn = {false};
        bench.walking().walkProperty().subscribe(walk -> {
            if (walk != null != wasOn[0]) {
                wasOn[0] = walk != null;
                right.getSelectionModel().select(walk != null ? loops : levels);
                if (walk != null) {
                    tabs.getSelectionModel().select(0);
                    middle.show(MiddlePane.View.SHEETS);
                }
            }
        });
        return right;
    }

    /** Returns a part that shows results, covered while they are withheld. */
    private Withheld withheld(Region part) {
        return new Withheld(bench, part);
    }

    /** What is in a tab is made when it is opened for the first time: the bench stands sooner without it. */
    private static Tab tab(String name, Function<ObservableValue<Boolean>, Node> content) {
        Tab tab = new Tab(name);
        tab.selectedProperty().subscribe(isSelected -> {
            if (isSelected && tab.getContent() == null) {
                tab.setContent(content.apply(tab.selectedProperty()));
            }
        });
        return tab;
    }

    public SheetsPane sheets() {
        return sheets;
    }

    /** Several results need the height more than their working does; who moved the divider is left alone. */
    private void placeDivider() {
        if (!isDividerMoved && split.getItems().size() > 1) {
            split.setDividerPositions(middle.shownProperty().getValue() == MiddlePane.View.COMPARE ? COMPARE_DIVIDER : DIVIDER);
        }
    }

    /** Zooms in or out around the picked pixel, in the view that is shown. */
    public void zoom(boolean isIn) {
        viewport().zoomAround(isIn ? KEY_ZOOM : 1 / KEY_ZOOM, bench.pickedProperty().get());
    }

    /** Shows the whole image, in the view that is shown. */
    public void fit() {
        viewport().fit();
    }

    private Viewport viewport() {
        return middle.viewport().orElse(sheets.viewport());
    }

    /** Shows the sheets, or what else can be in their place. */
    public void show(MiddlePane.View view) {
        middle.show(view);
    }

    /** Adds a step behind the selected one. */
    public void addStep(StepType type) {
        search.add(type);
    }

    /** Returns whether the slips are looked at. */
    public ObservableValue<Boolean> slipsShownProperty() {
        return slips.selectedProperty();
    }

    /**
     * Shows a guide.
     *
     * @param guide is under the steps until it is removed; null for none
     */
    public void setGuide(Node guide) {
        left.getChildren().setAll(side);
        if (guide != null) {
            left.getChildren().add(guide);
        }
    }

    /** Opens the search for a step. */
    public void openSearch() {
        search.open();
    }

    /** Opens the place where a pixel is found by its row and column. */
    public void goToPixel() {
        tabs.getSelectionModel().select(display);
        // A tab that was never shown takes the keyboard only when it stands.
        tabs.applyCss();
        tabs.layout();
        ((DisplayPane) display.getContent()).focusPlace();
    }

    /** Puts the working of the picked pixel on the clipboard, as text or as LaTeX. */
    public void copyWorking(boolean isLatex) {
        working.copyWorking(isLatex ? WorkingText::latex : WorkingText::plain);
        say(isLatex ? "Copied the working as LaTeX" : "Copied the working");
    }

    /**
     * Goes on in a walk of the view in the middle, such as down a table.
     *
     * @return false when it has none of its own
     */
    public boolean step(int by) {
        return middle.step(by);
    }

    /**
     * Goes on to the end of a line in a walk of the view that is shown.
     *
     * @return false when it has none of its own
     */
    public boolean nextLine() {
        return middle.nextLine();
    }

    /** Returns whether only sheets, working and loops are shown, all large. */
    public boolean isLecture() {
        return isLecture;
    }

    /**
     * Shows only sheets, working and loops, or everything again. In a lecture the arrows drive the walk, which begins with
     * it, and the space bar plays it.
     */
    public void setLecture(boolean isOn) {
        isLecture = isOn;
        setLeft(isOn ? null : left);
        setBottom(isOn ? null : status);
        middle.setLecture(isOn);
        sheets.setLecture(isOn);
        if (isOn && !bench.walking().isOn()) {
            bench.walking().toggle();
        }
        tabs.getSelectionModel().select(0);
        split.setDividerPositions(DIVIDER);
        Platform.runLater(() -> {
            sheets.sheet(SheetsPane.Kind.AFTER).requestFocus();
            // There is more room now, or less: cells are as large as fit.
            layout();
            Platform.runLater(sheets.viewport()::fit);
        });
    }

    /** In a lecture arrows drive the walk wherever the keyboard is; else from its buttons. Esc leaves it. */
    private void walkKeys(KeyEvent event) {
        Walking walking = bench.walking();
        boolean isOpened = event.getTarget() instanceof ComboBoxBase<?> box && box.isShowing();
        // On a sheet arrows pick pixels; on a button they would do nothing, and drive the walk.
        boolean isDriving = isLecture || walking.isOn() && event.getTarget() instanceof ButtonBase;
        if (event.getTarget() instanceof TextInputControl || event.isAltDown() || isOpened) {
            return;
        } else if (event.getCode() == KeyCode.ESCAPE && walking.isOn() && !isLecture && bench.looking().selectionProperty().get() == null) {
            walking.leave();
            event.consume();
            return;
        }
        Runnable action = !isDriving ? null : switch (event.getCode()) {
            case RIGHT -> walking::forward;
            case LEFT -> walking::back;
            case DOWN -> walking::nextLine;
            case UP -> walking::oneMoment;
            case SPACE -> !isLecture ? null : () -> walking.playingProperty().set(!walking.playingProperty().get());
            default -> null;
        };
        if (action != null) {
            action.run();
            event.consume();
        }
    }

    /**
     * Shows a line of text.
     *
     * @param text shown for a moment in the status line
     */
    public void say(String text) {
        status.say(text);
    }
}

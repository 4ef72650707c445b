package pixeron.app.bench.working;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.css.PseudoClass;
import javafx.scene.control.Button;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.Label;
import javafx.scene.control.MenuItem;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import org.kordamp.ikonli.feather.Feather;
import org.kordamp.ikonli.javafx.FontIcon;
import pixeron.app.bench.parts.AfterSheets;
import pixeron.app.bench.parts.AskedWord;
import pixeron.app.bench.parts.Copy;
import pixeron.app.bench.parts.Withheld;
import pixeron.app.bench.parts.Words;
import pixeron.app.bench.parts.WorkingLines;
import pixeron.app.model.Bench;
import pixeron.app.model.Shown;
import pixeron.app.model.Walking;
import pixeron.app.model.Whole;
import pixeron.app.sheet.paint.HandPainter;
import pixeron.app.theme.Theme;
import pixeron.byhand.CellCheck;
import pixeron.byhand.Verdict;
import pixeron.byhand.parts.WrongPart;
import pixeron.byhand.slip.search.Explanation;
import pixeron.image.Pixel;
import pixeron.number.Decimals;
import pixeron.step.Explained;
import pixeron.step.Operation;
import pixeron.step.table.PixelTable;
import pixeron.walk.PartialWorking;
import pixeron.walk.Walk;
import pixeron.working.Line;
import pixeron.working.Working;
import pixeron.working.WorkingText;

/** The working of the picked pixel, line by line, and the findings about the user's value there. */
public final class WorkingPane extends BorderPane {

    /** Characters on one line of a working before it goes on below. */
    private static final int LINE_LENGTH = 64;

    private static final int DENSE_FROM = 60;
    private static final PseudoClass DENSE = PseudoClass.getPseudoClass("dense");

    private final Bench bench;
    private final Theme theme;
    private final GridPane lines = new GridPane();
    private final CellGrids cells;
    private final Label hint = new Label();
    private final Button walkHere = new Button("Walk to here");
    private final Button copy = new Button();
    private final HBox callout = new HBox();
    private final NumbersByHand numbers;
    private final PlacePicture place;
    private final WorkingBody body;
    private final ScrollPane scroll;
    private final BooleanProperty hasWorking = new SimpleBooleanProperty();
    private Working working;
    /** The last working, and of what it was; it stays right for the same pixel of the same. */
    private Working known;
    private Explained knownOf;
    private Pixel knownAt;
    /** What is in the pane; empty where something else does. While a user types it is the same from key to key. */
    private List<Line> standing = List.of();

    public WorkingPane(Bench bench, Theme theme) {
        this.bench = bench;
        this.theme = theme;
        this.numbers = new NumbersByHand(bench);
        this.cells = new CellGrids();
        this.place = new PlacePicture(theme);
        this.body = new WorkingBody(cells, lines, place);
        this.scroll = new ScrollPane(body);
        getStyleClass().add("working-pane");
        AskedWord.set(this, "working");
        scroll.setFitToWidth(true);
        scroll.setFocusTraversable(false);
        // The findings about the user's own value are always seen, however long the working is.
        VBox bottom = new VBox(numbers, callout);
        bottom.getStyleClass().add("callout-place");
        setCenter(scroll);
        setBottom(bottom);
        lines.getStyleClass().add("working-lines");
        hint.getStyleClass().add("sheet-hint");
        hint.setWrapText(true);
        callout.getStyleClass().add("callout");
        // Only a picture: beside eight tabs there is no room for words.
        copy.setGraphic(new FontIcon(Feather.COPY));
        copy.setAccessibleText("Copy working");
        copy.getStyleClass().addAll("icon-button", "quiet");
        copy.setTooltip(new Tooltip("Copy the working as text (Ctrl+Shift+C) or LaTeX (Ctrl+Shift+X); HTML by its context menu"));
        copy.setOnAction(event -> copyWorking(WorkingText::plain));
        copy.setContextMenu(new ContextMenu(copyAs("Copy as text", WorkingText::plain),
                copyAs("Copy as LaTeX", WorkingText::latex), copyAs("Copy as HTML", WorkingText::html)));
        AfterSheets walked = new AfterSheets(bench.walking(), this::render);
        bench.shownProperty().subscribe(shown -> render());
        bench.pickedProperty().subscribe(pixel -> walked.request());
        bench.goneProperty().subscribe(isGone -> walked.request());
        bench.walking().walkProperty().subscribe(walk -> walked.request());
        bench.walking().playingProperty().subscribe(isOn -> render());
        bench.looking().hintsProperty().subscribe(taken -> render());
        bench.looking().colorViewProperty().subscribe(view -> render());
        bench.walking().mistakeProperty().subscribe(found -> render());
        theme.paletteProperty().subscribe(palette -> {
            empty();
            render();
        });
        walkHere.getStyleClass().add("quiet");
        walkHere.setOnAction(event -> bench.walking().to(bench.pickedProperty().get()));
    }

    /** Whether there is a working to copy. */
    public ReadOnlyBooleanProperty hasWorkingProperty() {
        return hasWorking;
    }

    /** Returns the button that copies the working, to be put where there is room. */
    public Button copyButton() {
        return copy;
    }

    private MenuItem copyAs(String title, Function<Working, String> form) {
        MenuItem item = new MenuItem(title);
        item.setOnAction(event -> copyWorking(form));
        return item;
    }

    /** Puts the working on the clipboard in some form, if there is one. */
    public void copyWorking(Function<Working, String> form) {
        if (working != null) {
            Copy.text(form.apply(working));
        }
    }

    private void render() {
        Shown shown = bench.shown();
        callout.getChildren().clear();
        working = null;
        if (shown == null) {
            empty();
        } else {
            Pixel picked = bench.pickedProperty().get();
            bench.walking().explained().filter(explained -> explained.contains(picked) && !bench.goneProperty().get()).ifPresentOrElse(explained ->
                    show(explained, shown, picked), () -> showHint(shown));
        }
        showPlace(shown);
        hasWorking.set(working != null);
        // Not while results are covered, nor while a walk is on, which has numbers enough.
        if (shown != null) {
            numbers.show(shown, bench.pickedProperty().get(), working != null && bench.walking().walk() == null && !bench.hand().isWhole());
        }
        callout.setVisible(!callout.getChildren().isEmpty());
        callout.setManaged(callout.isVisible());
    }

    private void empty() {
        lines.getChildren().clear();
        body.setGrids(false);
        standing = List.of();
    }

    private void showHint(String words) {
        empty();
        hint.setText(words);
        lines.add(hint, 0, 0, 2, 1);
    }

    /** Of the right result only: a mistake of the loop reads elsewhere. */
    private void showPlace(Shown shown) {
        Pixel picked = bench.pickedProperty().get();
        Optional<Operation> operation = working == null || shown == null || bench.walking().mistakeProperty().get() != null ? Optional.empty()
                : shown.operation().filter(found -> found.contains(picked));
        place.show(operation.flatMap(found -> found.footprint(picked)), operation.map(found -> found.sources(picked)).orElse(List.of()),
                operation.map(found -> found.before().frame()).orElse(null), bench.looking().display().first());
    }

    private void show(Explained explained, Shown shown, Pixel picked) {
        Walking walking = bench.walking();
        if (bench.isCovered(picked)) {
            showHint(bench.isWithheld() ? Withheld.WORDS : "Covered while you find the mistake yourself. For hints, see the Slips tab.");
        } else if (walking.isSeen(picked)) {
            working = workingOf(explained, picked);
            show(working.lines());
            if (walking.mistakeProperty().get() == null) {
                showCallout(shown, picked);
            }
        } else if (walking.walk().current().equals(picked)) {
            boolean isGuess = walking.guessingProperty().get();
            // Who guesses sees all terms; who watches sees them come.
            int taken = isGuess ? Walk.ALL : walking.code().map(code -> code.cells(walking.moment())).orElse(0);
            show(PartialWorking.lines(workingOf(explained, picked), taken, isGuess
                    ? "until you enter your value by hand" : "until the walk writes the value"));
        } else {
            showHint("The walk has not reached this yet.");
            lines.add(walkHere, 0, 1, 2, 1);
        }
    }

    private Working workingOf(Explained explained, Pixel picked) {
        if (knownOf != explained || !picked.equals(knownAt)) {
            known = explained.explain(picked);
            knownOf = explained;
            knownAt = picked;
        }
        return known;
    }

    private void show(List<Line> shown) {
        if (shown.equals(standing)) {
            return;
        }
        empty();
        standing = shown;
        List<Line> rows = shown.stream().filter(Line::isCells).toList();
        if (!rows.isEmpty()) {
            cells.show(rows);
        }
        body.setGrids(!rows.isEmpty());
        // Bits are under bits: a line of them must not break.
        lines.pseudoClassStateChanged(DENSE, shown.stream().anyMatch(line -> !line.isCells() && line.text().length() >= DENSE_FROM));
        WorkingLines.show(shown, lines, LINE_LENGTH, theme);
    }

    private void showHint(Shown shown) {
        showHint(shown.operation().filter(Operation::isSpread).isPresent() ? "Every value of After depends on this value. Pick a pixel of After."
                : shown.operation().isPresent() ? "No pixel of the result uses this pixel of Before."
                : shown.position() < 0
                ? (bench.isDrawable() ? "This is the image itself. To change a value, type into a cell of Before."
                        : "This is the image itself, in color.") + " Add or select a step to see the working of the picked pixel here."
                : shown.failure().isPresent()
                        ? "The step has no result. See the message at the step on the left."
                : "The step is off. Its result is its input.");
    }

    private void showCallout(Shown shown, Pixel picked) {
        if (bench.hand().isWhole()) {
            shown.whole().ifPresent(whole -> showWhole(whole, picked));
            return;
        }
        shown.check().cells().stream().filter(c -> c.pixel().equals(picked)).findFirst().ifPresent(check -> {
            boolean isFollowing = shown.following().pixels().contains(picked);
            callout(check, isFollowing, isFollowing
                    ? "You wrote " + check.byHand().text() + ". Correct, given " + given(shown, picked) + "."
                    : words(check, shown.slips()) + wrongPart(check, shown));
        });
    }

    private void callout(CellCheck check, boolean isFollowing, String text) {
        boolean isRight = check.state() == Verdict.AGREES || isFollowing;
        callout.getStyleClass().removeAll("right", "wrong");
        callout.getStyleClass().add(isRight ? "right" : "wrong");
        Label mark = new Label(isFollowing ? "↳" : mark(check));
        mark.getStyleClass().add("callout-mark");
        mark.setMinWidth(Region.USE_PREF_SIZE);
        Label words = new Label(text);
        words.setWrapText(true);
        words.getStyleClass().add("callout-words");
        HBox.setHgrow(words, Priority.ALWAYS);
        callout.getChildren().setAll(mark, words);
    }

    /** Of a pixel with color every channel that is wrong is named, and what explains the first of them. */
    private void showWhole(Whole whole, Pixel picked) {
        Map<String, CellCheck> written = whole.work().at(picked);
        if (written.isEmpty()) {
            return;
        }
        Map<String, CellCheck> wrong = new LinkedHashMap<>(written);
        wrong.values().removeIf(cell -> cell.state() == Verdict.AGREES || whole.work().following().contains(cell.pixel()));
        if (wrong.isEmpty()) {
            CellCheck first = written.values().iterator().next();
            boolean isFollowing = written.values().stream().anyMatch(cell -> cell.state() != Verdict.AGREES);
            callout(first, isFollowing, "You wrote " + listed(written) + ". " + (isFollowing ? "Correct, given your values of the step before."
                    : "This value agrees."));
            return;
        }
        CellCheck first = wrong.values().iterator().next();
        String reason = words(first, whole.found().slips());
        callout(first, false, "You wrote " + listed(wrong) + "." + reason.substring(reason.indexOf(". ") + 1));
    }

    private static String listed(Map<String, CellCheck> cells) {
        return cells.entrySet().stream().map(cell -> cell.getKey() + " " + cell.getValue().byHand().text()).collect(Collectors.joining(", "));
    }

    private static String given(Shown shown, Pixel picked) {
        return shown.following().ofTables().entrySet().stream().filter(table -> table.getValue().contains(picked)).findFirst()
                .map(table -> "your own " + PixelTable.kind(shown.operation().orElseThrow().step().type(), table.getKey()).title().toLowerCase(Locale.ROOT))
                .orElse("your step " + shown.position());
    }

    private static String mark(CellCheck check) {
        return Words.mark(check.state(), check.difference());
    }

    private static String words(CellCheck check, List<Explanation> slips) {
        String wrote = "You wrote " + check.byHand().text() + worth(check) + ". ";
        if (check.state() == Verdict.AGREES) {
            return wrote + "This value agrees.";
        } else if (check.state() == Verdict.NOT_UNDERSTOOD) {
            return wrote + "This is neither a number nor an expression. " + check.byHand().problem();
        }
        Optional<Explanation> slip = slips.stream().filter(s -> s.pixels().contains(check.pixel())).findFirst();
        return wrote + slip.map(Explanation::text).orElseGet(() -> check.state() == Verdict.NOT_ROUNDED
                ? "This is the correct value before rounding and overflow."
                : "It " + HandPainter.words(check) + "; no known slip explains it.");
    }

    /** Names the wrong part of an expression, if one part explains the difference. */
    private static String wrongPart(CellCheck check, Shown shown) {
        return !check.isDiffering() || shown.position() < 0 ? "" : shown.operation()
                .flatMap(operation -> WrongPart.of(check.byHand(), operation, check.pixel()))
                .map(part -> " " + part).orElse("");
    }

    /** What an expression is worth, where it does not say so itself. */
    private static String worth(CellCheck check) {
        boolean isExpression = check.byHand().decimals() < 0 && check.byHand().value().isPresent();
        return isExpression ? " = " + Decimals.approximate(check.byHand().value().orElseThrow()) : "";
    }
}

package pixeron.app.bench;

import java.util.Optional;
import java.util.stream.Collectors;
import javafx.animation.PauseTransition;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.text.Text;
import javafx.scene.text.TextFlow;
import javafx.util.Duration;
import pixeron.app.bench.parts.ProgressNote;
import pixeron.app.bench.parts.Words;
import pixeron.app.bench.pixels.DisplayPane;
import pixeron.app.model.Background;
import pixeron.app.model.Bench;
import pixeron.app.model.Described;
import pixeron.app.model.Seen;
import pixeron.app.model.Selection;
import pixeron.app.model.Shown;
import pixeron.byhand.Check;
import pixeron.image.Frequency;
import pixeron.image.Pixel;
import pixeron.image.Spectrum;
import pixeron.look.Measures;
import pixeron.look.PackedPixel;
import pixeron.number.Decimals;
import pixeron.step.Footprint;
import pixeron.step.Operation;

/** Where the picked pixel is and its values; how the values by hand stand; what is being calculated. */
final class StatusLine extends HBox {

    private static final int COLOURS = 3;

    private final Bench bench;
    private final TextFlow place = new TextFlow();
    private final Label counts = new Label();
    private final Button next = new Button("Next difference");
    private final Label message = new Label();
    private final Label sign = new Label();
    /** What the marked line or rectangle measures. */
    private final Label measures = new Label();

    StatusLine(Bench bench, Background background) {
        this.bench = bench;
        getStyleClass().add("status");
        next.getStyleClass().add("quiet");
        next.setTooltip(new Tooltip("Go to the next differing value by hand (F8)"));
        next.setOnAction(event -> bench.hand().pickNextDifference());
        ProgressNote work = new ProgressNote("Calculating…", "Cancel the calculation and undo the change that started it",
                background,
                bench::cancelCalculation);
        message.getStyleClass().add("status-message");
        counts.setMinWidth(Region.USE_PREF_SIZE);
        next.setMinWidth(Region.USE_PREF_SIZE);
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        place.setMinWidth(Region.USE_PREF_SIZE);
        setFillHeight(false);
        // Never wider than the window: what does not fit at its end must not push the rest aside.
        setMinWidth(0);
        sign.getStyleClass().add("display-sign");
        sign.setTooltip(new Tooltip("Changes the display only, not the values. See the Display tab."));
        sign.setMinWidth(Region.USE_PREF_SIZE);
        getChildren().addAll(place, sign, measures, message, gap, work, counts, next);
        measures.getStyleClass().add("status-message");
        bench.looking().selectionProperty().subscribe(marked -> showMeasures(marked));
        bench.shownProperty().subscribe(shown -> render());
        bench.pickedProperty().subscribe(pixel -> render());
        bench.pickedBeforeProperty().subscribe(pixel -> render());
        bench.goneProperty().subscribe(isGone -> render());
        bench.walking().walkProperty().subscribe(walk -> render());
        bench.walking().mistakeProperty().subscribe(found -> render());
        bench.looking().hintsProperty().subscribe(taken -> render());
        bench.looking().colorViewProperty().subscribe(view -> render());
        bench.looking().displayProperty().subscribe(display -> {
            sign.setText(DisplayPane.sign(display).orElse(""));
            sign.setManaged(!sign.getText().isEmpty());
            render();
        });
    }

    private void showMeasures(Selection marked) {
        measures.setText(marked instanceof Selection.Line line ? Measures.of(line.segment())
                : marked instanceof Selection.Rectangle rectangle ? Measures.of(rectangle.area(), bench.looking().display().first()) : "");
        measures.setManaged(marked != null);
    }

    /** @param text what was just done, such as "Copied 8 × 8 values" */
    void say(String text) {
        message.setText(text);
        PauseTransition pause = new PauseTransition(Duration.seconds(6));
        pause.setOnFinished(event -> {
            if (message.getText().equals(text)) {
                message.setText("");
            }
        });
        pause.play();
    }

    private void render() {
        place.getChildren().clear();
        Shown shown = bench.shown();
        if (shown == null) {
            return;
        }
        Pixel picked = bench.pickedProperty().get();
        int first = bench.looking().display().first();
        String row = Integer.toString(picked.row() + first);
        String column = Integer.toString(picked.column() + first);
        getStyleClass().remove("in-color");
        if (shown.hasColor()) {
            getStyleClass().add("in-color");
        }
        Pixel before = bench.pickedBeforeProperty().get();
        boolean isGone = bench.goneProperty().get();
        boolean isMoved = !isGone && shown.operation().filter(Operation::isMoving).isPresent();
        if (isGone) {
            add("before row ", Integer.toString(before.row() + first), ", column ", Integer.toString(before.column() + first), "ink");
            text(shown.operation().filter(Operation::isSpread).isPresent() ? " · affects every value of After" : " · not used", "soft", false);
        } else {
            add(isMoved ? "after row " : "row ", row, isMoved ? ", column " : "   column ", column, "ink");
        }
        Optional<Footprint> under = isMoved ? shown.operation().filter(operation -> operation.contains(picked)).flatMap(operation -> operation.footprint(picked))
                : Optional.empty();
        if (under.isPresent()) {
            String several = under.get().isPoint() ? " " : "s ";
            add(" · from row" + several, under.get().rows(first), ", column" + several, under.get().columns(first), "ink");
        } else if (isMoved && before != null) {
            add(" · from row ", Integer.toString(before.row() + first), ", column ", Integer.toString(before.column() + first), "ink");
        } else if (isMoved) {
            text(" · from outside the image", "soft", false);
        } else if (!isGone && shown.seenAfter().filter(Seen::isSpectrum).isPresent()) {
            Frequency at = Spectrum.frequency(shown.grid(), picked);
            add("    u ", Decimals.working(at.u()), ", v ", Decimals.working(at.v()), "ink");
        } else if (!isGone) {
            add("    x ", column, ", y ", row, "ink");
        }
        value(shown.position() < 0 ? "    value " : "    before ", shown.seenBefore(), before, "role-before");
        if (isGone) {
            text(" ", "soft", false);
        } else if (bench.walking().isSeen(picked) && !bench.isCovered(picked)) {
            Described mistake = bench.walking().mistakeProperty().get();
            value("    after ", mistake == null ? shown.seenAfter() : Optional.of(Seen.of(mistake)), picked,
                    "role-after");
        } else {
            text("    after ?", "role-after", false);
        }
        String byHand = isGone || shown.operation().isEmpty() ? "" : bench.hand().text(picked);
        // While the user guesses, what they wrote earlier does not help them.
        boolean isCovered = bench.walking().guessingProperty().get() && !bench.walking().isSeen(picked);
        if (!byHand.isEmpty() && !isCovered) {
            text("    by hand ", "role-by-hand", false);
            text(byHand, "role-by-hand", true);
        }
        boolean isStep = shown.operation().isPresent();
        Check check = bench.hand().check();

        counts.setText(bench.walking().isOn() ? "walk: " + bench.walking().walk().written() + " of "
                + bench.walking().walk().visits().count() + " pixels written" 
                : !isStep ? "" : bench.looking().isAlone() ? check.filled() + " filled, marks hidden" : bench.hand().isWhole() ? check.filled() == 0 ? "" : check.agree() + " agree · " + check.differing().size() + " differ" : Words.counts(check, shown.answers()));
        boolean isNext = !bench.looking().isAlone() && check.agree() < check.filled();
        next.setVisible(isNext);
        next.setManaged(isNext);
    }

    private void add(String first, String number, String second, String other, String style) {
        text(first, "soft", false);
        text(number, style, true);
        text(second, "soft", false);
        text(other, style, true);
    }

    private void value(String name, Optional<Seen> seen, Pixel picked, String role) {
        seen.map(Seen::result).filter(found -> picked != null && found.frame().contains(picked)).ifPresent(found -> {
            text(name, role, false);
            // Alpha is in the packed value; where there is none it is told with the others.
            if (found instanceof Spectrum spectrum) {
                text(spectrum.text(picked), role, true);
                return;
            }
            boolean isPacked = PackedPixel.find(found, picked).isPresent();
            text(found.faces().stream().limit(isPacked ? COLOURS : found.faces().size()).map(face -> Decimals.working(face.image().value(picked)))
                    .collect(Collectors.joining(" ")), role, true);
            PackedPixel.find(found, picked).ifPresent(packed -> {
                text("  ", role, false);
                text(packed.hexadecimal(), role, true);
            });
        });
    }

    private void text(String words, String style, boolean isNumber) {
        Text text = new Text(words);
        text.getStyleClass().addAll("status-text", style);
        if (isNumber) {
            text.getStyleClass().add("status-number");
        }
        place.getChildren().add(text);
    }
}

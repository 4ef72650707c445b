package pixeron.app.bench.walk;

import java.util.List;
import java.util.Optional;
import javafx.beans.value.ObservableValue;
import javafx.css.PseudoClass;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import pixeron.app.bench.parts.AskedWord;
import pixeron.app.bench.parts.WhenSeen;
import pixeron.app.model.Bench;
import pixeron.app.model.Walking;
import pixeron.walk.PseudoCode;
import pixeron.walk.Walk;
import pixeron.working.Loop;
import pixeron.working.Moment;

/** What the step does, as loops in plain words, with the line that was done last and what the variables hold. */
public final class LoopsPane extends ScrollPane {

    private static final PseudoClass CURRENT = PseudoClass.getPseudoClass("current");
    private static final double INDENT = 14;

    private final Bench bench;
    private final VBox lines = new VBox();
    private final HBox choice = new HBox();
    private final FlowPane variables = new FlowPane();
    private final Label hint = new Label("Select a step: what it does for each pixel stands here as loops in plain words.");
    private List<Loop.Row> shown = List.of();

    /** @param isSeen whether the pane is seen now */
    public LoopsPane(Bench bench, ObservableValue<Boolean> isSeen) {
        this.bench = bench;
        WhenSeen seen = new WhenSeen(isSeen, this::render);
        getStyleClass().add("loops");
        AskedWord.set(this, "loop");
        setFitToWidth(true);
        lines.getStyleClass().add("loop-lines");
        variables.getStyleClass().add("loop-variables");
        hint.getStyleClass().add("sheet-hint");
        hint.setWrapText(true);
        ToggleButton packed = new ToggleButton("Masks and shifts");
        packed.getStyleClass().add("quiet");
        packed.setTooltip(new Tooltip("Loops take packed pixels apart with masks and shifts; switched off, they name the channels"));
        packed.selectedProperty().bindBidirectional(bench.looking().packedLoopsProperty());
        bench.looking().packedLoopsProperty().subscribe(isPacked -> seen.request());
        bench.looking().colourViewProperty().subscribe(view -> seen.request());
        choice.getChildren().add(packed);
        choice.getStyleClass().add("loop-choice");
        setContent(new VBox(choice, lines, variables));
        bench.shownProperty().subscribe(now -> seen.request());
        bench.pickedProperty().subscribe(now -> follow(seen));
        bench.walking().walkProperty().subscribe(now -> follow(seen));
        bench.walking().playingProperty().subscribe(now -> seen.request());
        bench.walking().mistakeProperty().subscribe(now -> seen.request());
    }

    /** At fast speed nobody could read along. */
    private void follow(WhenSeen seen) {
        if (!bench.walking().isRushing()) {
            seen.request();
        }
    }

    private void render() {
        Walking walking = bench.walking();
        boolean isWhole = bench.shown() != null && bench.shown().hasColour() && bench.shown().operation().isPresent() && bench.looking().isWhole();
        choice.setVisible(isWhole);
        choice.setManaged(isWhole);
        Optional<PseudoCode> code = walking.code();
        if (code.isEmpty()) {
            shown = List.of();
            lines.getChildren().setAll(hint);
            variables.getChildren().clear();
            return;
        }
        if (!code.get().lines().equals(shown)) {
            shown = code.get().lines();
            lines.getChildren().setAll(shown.stream().map(LoopsPane::line).toList());
        }
        int done = walking.moment();
        // While a value is to be guessed, the lines that lead to it are not told.
        boolean isCovered = walking.isOn() && walking.guessingProperty().get() && done != Walk.ALL;
        int current = code.get().line(isCovered ? 0 : done);
        for (int n = 0; n < lines.getChildren().size(); n++) {
            lines.getChildren().get(n).pseudoClassStateChanged(CURRENT, n == current);
        }
        showVariables(code.get().variables(isCovered ? 0 : done));
    }

    /** From moment to moment mostly values change; what shows them is made once. */
    private void showVariables(List<Moment.Variable> now) {
        while (variables.getChildren().size() > now.size()) {
            variables.getChildren().remove(now.size());
        }
        while (variables.getChildren().size() < now.size()) {
            variables.getChildren().add(new VariableBox());
        }
        for (int n = 0; n < now.size(); n++) {
            ((VariableBox) variables.getChildren().get(n)).show(now.get(n));
        }
    }

    private static Region line(Loop.Row row) {
        Label text = new Label(row.text());
        text.setWrapText(true);
        HBox line = new HBox(text);
        line.getStyleClass().add("loop-line");
        line.setStyle("-fx-padding: 1 6 1 " + (8 + INDENT * row.depth()) + ";");
        return line;
    }

    private static final class VariableBox extends HBox {

        private final Label name = new Label();
        private final Label value = new Label();

        VariableBox() {
            super();
            getStyleClass().add("loop-variable");
            name.getStyleClass().add("working-label");
            name.setMinWidth(USE_PREF_SIZE);
            value.getStyleClass().add("loop-value");
            getChildren().addAll(name, value);
        }

        void show(Moment.Variable variable) {
            name.setText(variable.name() + " =");
            value.setText(variable.value());
        }
    }
}

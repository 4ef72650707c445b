package pixeron.app.bench.walk;

import java.util.List;
import java.util.Optional;
import java.util.function.BiConsumer;
import javafx.beans.value.ObservableValue;
import javafx.css.PseudoClass;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import pixeron.app.bench.parts.AfterSheets;
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
    private final ToggleButton packed = new ToggleButton("Masks and shifts");
    private final ProgramPane program;
    private Optional<?> language = Optional.empty();
    private final FlowPane variables = new FlowPane();
    private final Label hint = new Label("Select a step to see its loops here in plain words.");
    private List<Loop.Row> shown = List.of();

    /**
     * Creates the pane with the loop of the selected step in each language.
     *
     * @param isSeen whether the pane is seen now
     * @param keep lets the user choose a file for a name and a text, and writes it
     */
    public LoopsPane(Bench bench, ObservableValue<Boolean> isSeen, BiConsumer<String, String> keep) {
        this.bench = bench;
        this.program = new ProgramPane(bench, keep);
        WhenSeen seen = new WhenSeen(isSeen, this::render);
        getStyleClass().add("loops");
        AskedWord.set(this, "loop");
        setFitToWidth(true);
        lines.getStyleClass().add("loop-lines");
        variables.getStyleClass().add("loop-variables");
        hint.getStyleClass().add("sheet-hint");
        hint.setWrapText(true);
        packed.getStyleClass().add("quiet");
        packed.setTooltip(new Tooltip("Show loops with masks and shifts for packed pixels, instead of channel names"));
        packed.selectedProperty().bindBidirectional(bench.looking().packedLoopsProperty());
        bench.looking().packedLoopsProperty().subscribe(isPacked -> seen.request());
        bench.looking().colorViewProperty().subscribe(view -> seen.request());
        bench.looking().hintsProperty().subscribe(taken -> seen.request());
        // Beside the languages where there is room: a row of its own would push the last line of a loop out of sight.
        FlowPane choices = new FlowPane(languages(seen), packed);
        choices.getStyleClass().add("loop-choice");
        setContent(new VBox(choices, lines, variables, program));
        bench.shownProperty().subscribe(now -> seen.request());
        AfterSheets walked = new AfterSheets(bench.walking(), seen::request);
        bench.pickedProperty().subscribe(now -> walked.request());
        bench.walking().walkProperty().subscribe(now -> walked.request());
        bench.walking().playingProperty().subscribe(now -> seen.request());
        bench.walking().mistakeProperty().subscribe(now -> seen.request());
    }

    /** In plain words, or as a program. */
    private HBox languages(WhenSeen seen) {
        ToggleGroup group = new ToggleGroup();
        HBox row = new HBox(toggle("Words", Optional.empty(), group, "Show the loops in plain words"));
        for (ProgramPane.Language one : ProgramPane.Language.values()) {
            row.getChildren().add(toggle(one.title(), Optional.of(one), group, "Show the loops as a program in " + one.title()));
        }
        group.selectToggle(group.getToggles().get(0));
        group.selectedToggleProperty().subscribe((before, now) -> {
            if (now == null) {
                group.selectToggle(before);
                return;
            }
            language = (Optional<?>) now.getUserData();
            setFitToHeight(language.isPresent());
            seen.request();
        });
        return row;
    }

    private static ToggleButton toggle(String title, Optional<ProgramPane.Language> language, ToggleGroup group, String words) {
        ToggleButton button = new ToggleButton(title);
        button.setUserData(language);
        button.setToggleGroup(group);
        button.getStyleClass().add("quiet");
        button.setTooltip(new Tooltip(words));
        return button;
    }

    private static void show(Node node, boolean isShown) {
        node.setVisible(isShown);
        node.setManaged(isShown);
    }

    private void render() {
        boolean isProgram = language.isPresent();
        show(program, isProgram);
        show(lines, !isProgram);
        show(variables, !isProgram);
        if (isProgram) {
            show(packed, false);
            program.show((ProgramPane.Language) language.get());
            return;
        }
        Walking walking = bench.walking();
        boolean isWhole = bench.shown() != null && bench.shown().isInColor() && bench.shown().operation().isPresent() && bench.looking().isWhole();
        show(packed, isWhole);
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
        boolean isCovered = bench.isWithheld() || walking.isOn() && walking.guessingProperty().get() && done != Walk.ALL;
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

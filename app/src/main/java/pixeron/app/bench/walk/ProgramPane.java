package pixeron.app.bench.walk;

import java.util.Locale;
import java.util.Optional;
import java.util.function.BiConsumer;
import javafx.scene.control.Button;
import javafx.scene.control.TextArea;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import pixeron.app.bench.parts.Copy;
import pixeron.app.model.Background;
import pixeron.app.model.Bench;
import pixeron.chain.ChainPrograms;
import pixeron.loop.ChainProgram;
import pixeron.loop.LoopProgram;
import pixeron.project.Project;
import pixeron.step.Operation;

/** The loops of a step, or of all steps up to it, as a whole small program, to be read, copied and saved; that of a step also with its loop left open. */
final class ProgramPane extends VBox {

    /** A language of programming. */
    enum Language {
        PYTHON("Python"), JAVA("Java");

        private final String title;

        Language(String title) {
            this.title = title;
        }

        String title() {
            return title;
        }

        String text(LoopProgram program) {
            return this == PYTHON ? program.python() : program.java();
        }

        String text(ChainProgram program) {
            return this == PYTHON ? program.python() : program.java();
        }

        String fileName(ChainProgram program) {
            return this == PYTHON ? program.name() + ".py" : program.className() + ".java";
        }

        String fileName(LoopProgram program) {
            return this == PYTHON ? program.name().replace('-', '_') + ".py" : program.className() + ".java";
        }
    }

    private final Bench bench;
    private final TextArea text = new TextArea();
    private final Button copy = new Button("Copy");
    private final Button save = new Button("Save…");
    private final Button start = new Button("Save template…");
    private final ToggleButton all = new ToggleButton("All steps");
    private final HBox buttons = new HBox(all, copy, save, start);
    private final Background making = new Background();
    private Optional<LoopProgram> shown = Optional.empty();
    private Optional<ChainProgram> shownChain = Optional.empty();
    private Language language = Language.PYTHON;

    /** @param keep lets the user choose a file for a name and a text, and writes it */
    ProgramPane(Bench bench, BiConsumer<String, String> keep) {
        this.bench = bench;
        getStyleClass().add("program");
        text.setEditable(false);
        text.getStyleClass().add("program-text");
        text.setAccessibleText("The step as a program");
        VBox.setVgrow(text, Priority.ALWAYS);
        copy.setTooltip(new Tooltip("Copy the program"));
        copy.setOnAction(event -> Copy.text(text.getText()));
        save.setTooltip(new Tooltip("Save a program that reads a CSV file, runs this loop and writes a CSV file"));
        save.setOnAction(event -> {
            shown.ifPresent(program -> keep.accept(language.fileName(program), language.text(program)));
            shownChain.ifPresent(program -> keep.accept(language.fileName(program), language.text(program)));
        });
        all.getStyleClass().add("quiet");
        all.setTooltip(new Tooltip("Show all steps up to the selected one as one program"));
        all.selectedProperty().subscribe((was, is) -> show(language));
        start.setTooltip(new Tooltip("Save the program without the loop body, to write it yourself and check it here"));
        start.setOnAction(event -> shown.ifPresent(program -> keep.accept(language.fileName(program), language.text(program.open()))));
        buttons.getStyleClass().add("program-buttons");
        getChildren().addAll(buttons, text);
    }

    /** Shows the program of the selected step. */
    void show(Language wanted) {
        language = wanted;
        shown = Optional.empty();
        shownChain = Optional.empty();
        if (all.isSelected() && bench.isOpen()) {
            showChain();
            return;
        }
        Optional<Operation> operation = bench.shown() == null ? Optional.empty() : bench.shown().operation();
        shown = operation.flatMap(Operation::program);
        write(shown.map(language::text), operation.isEmpty() ? "Select a step with a result." : "No program for this step. Its loops are shown in words.");
    }

    private void showChain() {
        Project project = bench.project();
        int upTo = bench.position() + 1;
        String name = project.name().strip().toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "-").replaceAll("^-|-$", "");
        making.start(progress -> ChainPrograms.of(project.chain(), name.isEmpty() ? "steps" : name, upTo, progress), made -> {
            shownChain = Optional.of(made);
            write(Optional.of(language.text(made)), "");
        }, problem -> write(Optional.empty(), String.valueOf(problem.getMessage())));
    }

    private void write(Optional<String> found, String otherwise) {
        copy.setDisable(found.isEmpty());
        save.setDisable(found.isEmpty());
        start.setDisable(shown.isEmpty());
        String program = found.orElse(otherwise);
        if (!program.equals(text.getText())) {
            text.setText(program);
            // What is around the loop is a little above; what is seen ends with the end of its body.
            text.positionCaret(shown.isEmpty() ? 0 : Math.max(0, program.indexOf(language == Language.PYTHON ? "line.append(s)" : "after[i][j] =")));
        }
    }
}

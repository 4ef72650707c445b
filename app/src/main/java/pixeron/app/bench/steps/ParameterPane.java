package pixeron.app.bench.steps;

import java.util.ArrayList;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import pixeron.PixeronException;
import pixeron.app.bench.kernel.KernelTools;
import pixeron.app.bench.parts.AskedWord;
import pixeron.app.bench.parts.Copy;
import pixeron.app.bench.parts.Grips;
import pixeron.app.folder.OwnKernels;
import pixeron.app.model.Bench;
import pixeron.app.model.Seen;
import pixeron.app.model.Shown;
import pixeron.chain.Chain;
import pixeron.chain.Outcome;
import pixeron.image.Result;
import pixeron.project.Mending;
import pixeron.project.Project;
import pixeron.step.Inputs;
import pixeron.step.Mend;
import pixeron.step.Progress;
import pixeron.step.Reach;
import pixeron.step.Reference;
import pixeron.step.Step;
import pixeron.step.StepType;
import pixeron.step.catalog.StepLine;
import pixeron.step.kernel.Kernel;
import pixeron.step.key.Arguments;
import pixeron.step.key.Parameter;
import pixeron.step.key.ReferenceParameter;

/** The keys of the selected step, edited in place. */
public final class ParameterPane extends VBox {

    /** The channels that a step works on where its line says nothing of them. */
    private static final List<String> COLORS = List.of("red", "green", "blue");

    private final Bench bench;
    private final Label title = new Label();
    private final Label sentence = new Label();
    private final Label failure = new Label();
    private final VBox mends = new VBox();
    private final Label note = new Label();
    private final Label places = new Label();
    private final List<ParameterField<?>> fields = new ArrayList<>();
    private final Map<Parameter<?>, ParameterField<?>> made = new IdentityHashMap<>();
    private final Button copy = new Button("Copy step line");
    private final Button spellOut = new Button("Convert to kernel");
    private final KernelTools kernel;
    private final ImageSettings image;
    /** What is right in itself and does not go with the other keys yet, by its field. */
    private final Map<ParameterField<?>, String> waiting = new LinkedHashMap<>();
    private Step shownStep;
    private StepType type;
    private int id;

    /**
     * Creates an empty pane; it shows the parameters of the selected step.
     *
     * @param personal the user's own kernels
     */
    public ParameterPane(Bench bench, OwnKernels personal) {
        this.bench = bench;
        this.kernel = new KernelTools(bench, personal, this::replace);
        spellOut.getStyleClass().add("quiet");
        spellOut.setTooltip(new Tooltip("Convert to a kernel with editable weights"));
        spellOut.setOnAction(event -> {
            Step step = bench.project().chain().stage(bench.position()).link().step();
            step.type().spelledOut(step).ifPresent(this::replace);
        });
        this.image = new ImageSettings(bench);
        getStyleClass().add("parameters");
        AskedWord.set(this, () -> type == null ? "image" : type.title());
        title.getStyleClass().add("section-title");
        sentence.getStyleClass().add("found-sentence");
        sentence.setWrapText(true);
        failure.getStyleClass().add("parameter-problem");
        failure.setWrapText(true);
        note.getStyleClass().add("step-note");
        note.setWrapText(true);
        places.getStyleClass().add("step-places");
        places.setWrapText(true);
        mends.getStyleClass().add("mends");
        copy.getStyleClass().add("quiet");
        copy.setTooltip(new Tooltip("Copy the step as one line of text for the command line or a project"));
        copy.setOnAction(event -> copyLine());
        bench.projectProperty().subscribe(project -> show());
        bench.positionProperty().subscribe(position -> show());
        bench.shownProperty().subscribe(this::showFailure);
        bench.looking().displayProperty().subscribe(display -> showPlaces());
    }

    private void show() {
        Project project = bench.project();
        if (project == null || bench.position() >= project.chain().size()) {
            return;
        }
        if (bench.position() < 0) {
            type = null;
            title.setText("IMAGE");
            image.show(project);
            getChildren().setAll(title, image);
            return;
        }
        var link = project.chain().stage(bench.position()).link();
        if (link.step().type() != type || link.id() != id) {
            type = link.step().type();
            id = link.id();
            build(link.step());
        }
        if (!link.step().equals(shownStep)) {
            // Changed from elsewhere, such as by undo: what waits belongs to what was before.
            List.copyOf(waiting.keySet()).forEach(this::taken);
        }
        shownStep = link.step();
        fields.forEach(field -> field.show(link.step().arguments()));
        offerChannels();
        offerReferences(project);
        if (link.step().type() instanceof Kernel) {
            kernel.show(link.step());
        }
        showPlaces();
        boolean isReady = link.step().type().spelledOut(link.step()).isPresent();
        spellOut.setVisible(isReady);
        spellOut.setManaged(isReady);
    }

    private void build(Step step) {
        title.setText(step.type().title().toUpperCase(java.util.Locale.ROOT));
        sentence.setText(step.type().sentence());
        List.copyOf(waiting.keySet()).forEach(this::taken);
        fields.forEach(field -> field.setProblem(""));
        fields.clear();
        for (Parameter<?> parameter : channelsFirst(step.type())) {
            // A field is made once: making one costs more time than anything else when a step is selected.
            fields.add(made.computeIfAbsent(parameter, this::field));
        }
        failure.setText("");
        getChildren().setAll(title, sentence);
        getChildren().addAll(fields);
        if (step.type() instanceof Kernel) {
            getChildren().add(3, kernel);
        }
        getChildren().addAll(places, spellOut, new HBox(copy));
    }

    /** Which channels are worked on is behind the step's own keys, before what is rarely touched. */
    private static List<Parameter<?>> channelsFirst(StepType type) {
        List<Parameter<?>> ordered = new ArrayList<>(type.parameters());
        if (ordered.remove(StepType.CHANNELS)) {
            ordered.add(type.ownParameters().size(), StepType.CHANNELS);
        }
        return ordered;
    }

    /** Another step in the place of the selected one; through its line, so that its type is that of the catalog. */
    private void replace(Step changed) {
        int position = bench.position();
        bench.edit(project -> project.withChain(chain -> chain.replaced(position, StepLine.parse(changed.line()))));
    }

    private <T> ParameterField<T> field(Parameter<T> parameter) {
        ParameterField<T> field = new ParameterField<>(parameter, this::changed);
        field.setOnReleased(() -> bench.past().endMerge());
        return field;
    }

    private <T> void changed(ParameterField<T> field, String text) {
        int position = bench.position();
        Step step = bench.project().chain().stage(position).link().step();
        waiting.remove(field);
        field.setWaiting(false);
        Arguments alone = written(step, step.arguments(), field, text);
        Optional<Step> together = waiting.isEmpty() ? Optional.empty() : together(step, alone);
        try {
            Step changed = together.isPresent() ? together.get() : new Step(step.type(), alone);
            List<ParameterField<?>> taken = together.isPresent() ? List.copyOf(waiting.keySet()) : List.of();
            shownStep = changed;
            bench.edit("parameter " + field.parameter().key() + " of " + id,
                    project -> project.withChain(chain -> chain.replaced(position, changed)));
            taken.forEach(this::taken);
        } catch (PixeronException notWithTheOthers) {
            // Right in itself: what it goes with may be written next, such as a value for one cut more.
            waiting.put(field, text);
            field.setWaiting(true);
            throw notWithTheOthers;
        }
    }

    private void taken(ParameterField<?> field) {
        waiting.remove(field);
        field.setWaiting(false);
        field.setProblem("");
    }

    /** The step with everything that waits; empty where that does not go together either. */
    private Optional<Step> together(Step step, Arguments alone) {
        try {
            Arguments all = alone;
            for (Map.Entry<ParameterField<?>, String> other : waiting.entrySet()) {
                all = written(step, all, other.getKey(), other.getValue());
            }
            return Optional.of(new Step(step.type(), all));
        } catch (PixeronException notYet) {
            return Optional.empty();
        }
    }

    private static <T> Arguments written(Step step, Arguments arguments, ParameterField<T> field, String text) {
        boolean isLeftOut = text.isEmpty() && !field.parameter().isRequired();
        Arguments written = isLeftOut ? arguments.without(field.parameter()) : arguments.withText(field.parameter(), text, step.type().takesEach());
        // The numbers of channels that are switched off go with them.
        return field.parameter() != StepType.CHANNELS ? written : written.forChannels(worked(arguments), worked(written));
    }

    private static List<String> worked(Arguments arguments) {
        return arguments.find(StepType.CHANNELS).orElse(COLORS);
    }

    /** Results before this step, and other images of the project. */
    private void offerReferences(Project project) {
        for (ParameterField<?> field : fields) {
            if (field.parameter() instanceof ReferenceParameter reference) {
                field.offerReferences(offered(project, reference));
            }
        }
    }

    private Map<String, ParameterField.Offered> offered(Project project, ReferenceParameter reference) {
        Map<String, ParameterField.Offered> results = new LinkedHashMap<>();
        if (reference.takesSelf()) {
            results.put(Reference.SELF, new ParameterField.Offered("input of this step", result(project, bench.position() - 1)));
        }
        results.put(Reference.toStep(0), new ParameterField.Offered("the image", Optional.of(project.chain().input())));
        for (int n = 0; n < bench.position(); n++) {
            results.put(Reference.toStep(n + 1), new ParameterField.Offered(project.chain().stage(n).link().step().type().title(), result(project, n)));
        }
        project.chain().others().forEach((name, other) -> offer(results, name, project.image(name).origin().file(), other));
        return results;
    }

    /** An image that steps can name; one with steps of its own by each of them too. */
    private static void offer(Map<String, ParameterField.Offered> results, String name, String file, Chain other) {
        if (other.size() == 0) {
            results.put(name, new ParameterField.Offered(file, Optional.of(other.input())));
            return;
        }
        results.put(name, new ParameterField.Offered("after all of its steps", Optional.empty()));
        results.put(name + ":0", new ParameterField.Offered(file, Optional.of(other.input())));
        for (int n = 0; n < other.size(); n++) {
            results.put(name + ":" + (n + 1), new ParameterField.Offered("after " + other.stage(n).link().step().type().title(), Optional.empty()));
        }
    }

    /** Only what is calculated already: a list is no reason to wait. */
    private Optional<Result> result(Project project, int position) {
        Shown shown = bench.shown();
        return position < 0 ? Optional.of(project.chain().input()) : shown == null || position >= shown.steps().size() ? Optional.empty()
                : shown.steps().get(position).after() instanceof Outcome.Done done ? Optional.of(done.result()) : Optional.empty();
    }

    /** Only an image with color has channels to choose from. */
    private void offerChannels() {
        Shown shown = bench.shown();
        List<String> channels = shown == null || shown.position() != bench.position() ? List.of()
                : shown.seenBefore().filter(seen -> seen.hasColor() || seen.isModel()).map(Seen::names).orElse(List.of());
        fields.stream().filter(field -> field.parameter() == StepType.CHANNELS).forEach(field -> field.offer(channels));
    }

    /** On a color image a step that takes a number for each channel has a slider for each. */
    private void showSliders(Shown shown) {
        Optional<Seen> before = shown == null || bench.position() < 0 || shown.position() != bench.position() ? Optional.empty() : shown.seenBefore();
        before.ifPresent(seen -> {
            Step step = bench.project().chain().stage(bench.position()).link().step();
            fields.forEach(field -> field.scale(step.arguments(), seen.hasColor() && step.type().takesEach() ? worked(step.arguments()) : List.of(),
                    seen.frame().maximumLevel()));
        });
    }

    /** Beside each limit that no level can reach. */
    private void showRemarks(Shown shown) {
        Optional<Result> before = shown == null || bench.position() < 0 || shown.position() != bench.position() ? Optional.empty()
                : shown.seenBefore().map(Seen::result);
        fields.forEach(field -> field.setRemark(before.flatMap(result -> Reach.note(bench.project().chain().stage(bench.position()).link().step(),
                field.parameter(), result)).orElse("")));
    }

    /** A step that is right in itself but cannot be applied to its input says so here, where it can be mended. */
    private void showFailure(Shown shown) {
        getChildren().removeAll(failure, mends, note);
        offerChannels();
        showRemarks(shown);
        showSliders(shown);
        if (shown != null && bench.position() >= 0) {
            offerReferences(bench.project());
        }
        if (shown != null && !shown.notes().isEmpty() && bench.position() == shown.position()) {
            note.setText(String.join("\n", shown.notes()));
            getChildren().add(Math.min(2, getChildren().size()), note);
        } else if (shown != null && bench.position() >= 0 && bench.position() != shown.position()) {
            // Not calculated yet: what takes long says so.
            shown.selected().flatMap(seen -> bench.project().chain().stage(bench.position()).link().step().type().patience(seen.frame())).ifPresent(words -> {
                note.setText(words);
                getChildren().add(Math.min(2, getChildren().size()), note);
            });
        }
        Optional<Outcome.Failed> failed = shown == null ? Optional.empty() : shown.failure();
        if (failed.isPresent() && failed.get().position() == bench.position()) {
            failure.setText("▲ " + failed.get().message());
            getChildren().add(Math.min(2, getChildren().size()), failure);
            showMends(shown);
        }
        showPlaces();
    }

    /** First pixel, size and last pixel of what is dragged on the sheets, beside the keys that say two of the three. */
    private void showPlaces() {
        int first = bench.looking().display().first();
        places.setText(Grips.of(bench).stream().map(grip -> grip.name() + " " + grip.words(first).replace(' ', '\u00A0')).collect(Collectors.joining("\n")));
        places.setVisible(!places.getText().isEmpty());
        places.setManaged(places.isVisible());
    }

    /** What would bring two images of unequal size together, one click each. */
    private void showMends(Shown shown) {
        mends.getChildren().clear();
        Step step = bench.project().chain().stage(bench.position()).link().step();
        try {
            shown.inputs().ifPresent(inputs -> step.type().mends(step, inputs).forEach(mend -> mends.getChildren().add(button(mend, inputs))));
        } catch (PixeronException noOtherImage) {
            return;
        }
        if (!mends.getChildren().isEmpty()) {
            getChildren().add(getChildren().indexOf(failure) + 1, mends);
        }
    }

    private Button button(Mend mend, Inputs inputs) {
        Button button = new Button(mend.words());
        button.setWrapText(true);
        button.setMaxWidth(Double.MAX_VALUE);
        button.setTooltip(new Tooltip(mend.line()));
        int position = bench.position();
        String reference = bench.project().chain().stage(position).link().step().references().get(0);
        button.setOnAction(event -> {
            if (mend.isOfOther()) {
                // The other image may be large, and is calculated before it is on the shelf.
                bench.editSlowly(null, project -> Mending.mended(project, position, reference, inputs, mend, Progress.NONE));
            } else {
                bench.edit(project -> Mending.mended(project, position, reference, inputs, mend, Progress.NONE));
                // The step is one further down.
                bench.select(position + 1);
            }
        });
        return button;
    }

    /**
     * Puts the cursor into the first field that has a value of its own, else into the first; which channels the step works on is asked
     * beside, and may be hidden.
     */
    public boolean focusFirst() {
        Arguments arguments = bench.project().chain().stage(bench.position()).link().step().arguments();
        List<ParameterField<?>> possible = fields.stream().filter(field -> field.parameter() != StepType.CHANNELS).toList();
        Optional<ParameterField<?>> first = possible.stream().filter(field -> arguments.isGiven(field.parameter())).findFirst().or(() -> possible.stream().findFirst());
        first.ifPresent(ParameterField::focus);
        return first.isPresent();
    }

    private void copyLine() {
        try {
            Copy.text(bench.project().chain().stage(bench.position()).link().step().line());
        } catch (PixeronException noStep) {
            failure.setText(noStep.getMessage());
        }
    }
}

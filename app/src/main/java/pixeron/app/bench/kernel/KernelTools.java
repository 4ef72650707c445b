package pixeron.app.bench.kernel;

import java.util.List;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Menu;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import pixeron.app.folder.OwnKernels;
import pixeron.app.model.Bench;
import pixeron.project.OwnKernel;
import pixeron.step.Step;
import pixeron.step.catalog.ReadyKernels;
import pixeron.step.kernel.Kernel;
import pixeron.step.kernel.KernelFacts;
import pixeron.step.kernel.Weights;

/** Actions for the weights of a kernel besides typing them, and facts about them. */
public final class KernelTools extends VBox {

    private final Bench bench;
    private final OwnKernels personal;
    private final Consumer<Step> write;
    private final Label facts = new Label();
    private final MenuButton fill = new MenuButton("Presets…");
    private final TextField name = new TextField();
    private Step step;

    /**
     * Creates the buttons beside the weights of a kernel step.
     *
     * @param write gets the changed step
     */
    public KernelTools(Bench bench, OwnKernels personal, Consumer<Step> write) {
        this.bench = bench;
        this.personal = personal;
        this.write = write;
        getStyleClass().add("kernel-tools");
        facts.getStyleClass().add("kernel-facts");
        facts.setWrapText(true);
        fill.setTooltip(new Tooltip("Fill the weights with a preset or a saved kernel"));
        fill.setOnShowing(event -> fillMenu());
        FlowPane changes = new FlowPane(button("Rotate", "Rotate weights and anchor by 180°", Weights::turned),
                button("Transpose", "Swap rows and columns", Weights::transposed),
                button("Negate", "Change the sign of every weight", Weights::negated), fill);
        changes.getStyleClass().add("kernel-changes");
        name.setPromptText("kernel name");
        name.setAccessibleText("Name of the saved kernel");
        HBox.setHgrow(name, Priority.ALWAYS);
        name.setMinWidth(40);
        name.setOnAction(event -> keep());
        Button keep = new Button("Save kernel");
        keep.getStyleClass().add("quiet");
        keep.setTooltip(new Tooltip("Save the kernel in this project and in your list"));
        keep.setMinWidth(USE_PREF_SIZE);
        keep.setOnAction(event -> keep());
        HBox keeping = new HBox(name, keep);
        keeping.getStyleClass().add("kernel-changes");
        getChildren().addAll(facts, changes, keeping);
    }

    private Button button(String text, String words, UnaryOperator<Weights> change) {
        Button button = new Button(text);
        button.getStyleClass().add("quiet");
        button.setTooltip(new Tooltip(words));
        button.setOnAction(event -> write.accept(Kernel.with(step, change.apply(Kernel.weights(step)))));
        return button;
    }

    /**
     * Shows a kernel.
     *
     * @param shown a kernel
     */
    public void show(Step shown) {
        step = shown;
        facts.setText(String.join("\n", KernelFacts.of(Kernel.weights(shown)).sentences()));
    }

    private void fillMenu() {
        fill.getItems().clear();
        Menu ready = new Menu("Presets");
        ReadyKernels.all().forEach(kernel -> ready.getItems().add(item(kernel.line(),
                () -> kernel.type().spelledOut(kernel).orElseThrow())));
        fill.getItems().add(ready);
        addOwn("In this project", bench.project().kernels());
        addOwn("In your list", personal.all());
    }

    private void addOwn(String title, List<OwnKernel> kernels) {
        MenuItem head = new MenuItem(title + (kernels.isEmpty() ? ": none yet" : ""));
        head.setDisable(true);
        fill.getItems().addAll(new SeparatorMenuItem(), head);
        kernels.forEach(kernel -> fill.getItems().add(item(kernel.name(), kernel::step)));
    }

    private MenuItem item(String title, java.util.function.Supplier<Step> kernel) {
        MenuItem item = new MenuItem(title);
        item.setOnAction(event -> write.accept(Kernel.filled(step, kernel.get())));
        return item;
    }

    private void keep() {
        if (!name.getText().isBlank()) {
            OwnKernel kernel = new OwnKernel(name.getText().strip(), step.line());
            bench.edit(project -> project.withKernel(kernel));
            personal.keep(kernel);
            name.clear();
        }
    }
}

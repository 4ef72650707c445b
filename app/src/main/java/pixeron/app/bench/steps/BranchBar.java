package pixeron.app.bench.steps;

import java.util.List;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.FlowPane;
import pixeron.app.model.Bench;
import pixeron.project.Project;

/** The branches of the work, when there are several: which one is worked on, and a way to delete it. As many rows as they need. */
public final class BranchBar extends FlowPane {

    private final Bench bench;
    private List<String> names = List.of();

    public BranchBar(Bench bench) {
        this.bench = bench;
        getStyleClass().add("branches");
        bench.projectProperty().subscribe(this::show);
    }

    private void show(Project project) {
        boolean hasSeveral = project != null && !project.others().isEmpty();
        setVisible(hasSeveral);
        setManaged(hasSeveral);
        if (!hasSeveral) {
            names = List.of();
            return;
        }
        if (!project.branches().equals(names)) {
            names = project.branches();
            make();
        }
        getChildren().stream().filter(ToggleButton.class::isInstance).map(ToggleButton.class::cast)
                .forEach(button -> button.setSelected(button.getText().equals(project.branch())));
    }

    private void make() {
        Label words = new Label("Branch");
        words.getStyleClass().add("parameter-name");
        getChildren().setAll(words);
        for (String name : names) {
            ToggleButton button = new ToggleButton(name);
            button.setTooltip(new Tooltip("Work on branch " + name));
            button.setAccessibleText("Branch " + name);
            button.setOnAction(event -> {
                button.setSelected(true);
                bench.edit(project -> project.onBranch(name));
            });
            getChildren().add(button);
        }
        Button delete = new Button("Delete");
        delete.getStyleClass().add("quiet");
        delete.setTooltip(new Tooltip("Delete this branch with its steps and values by hand. Undo restores it."));
        delete.setAccessibleText("Delete this branch");
        delete.setMinWidth(USE_PREF_SIZE);
        delete.setOnAction(event -> bench.edit(Project::withoutBranch));
        getChildren().add(delete);
    }
}

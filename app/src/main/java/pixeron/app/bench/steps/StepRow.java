package pixeron.app.bench.steps;

import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.AccessibleRole;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import pixeron.app.bench.parts.AskedWord;
import pixeron.app.bench.parts.Words;
import pixeron.app.model.StepState;
import pixeron.byhand.Check;
import pixeron.chain.Outcome;
import pixeron.image.Result;
import pixeron.project.Project;
import pixeron.step.Step;

/**
 * One line of the calculation: its number, a small picture of its result, what it does, how the values by hand stand.
 */
final class StepRow extends HBox {

    private static final PseudoClass SELECTED = PseudoClass.getPseudoClass("selected");
    private static final PseudoClass OFF = PseudoClass.getPseudoClass("off");
    private static final int PICTURE = 38;

    private final Label title = new Label();
    private final Label detail = new Label();
    private final Label result = new Label();
    private final VBox words = new VBox(title, detail);
    private final StackPane picture = new StackPane();
    private final int position;
    private Step shown;
    private boolean isShownOn;

    /** @param position from 0, or −1 for the image */
    StepRow(int position) {
        this.position = position;
        getStyleClass().add("step-row");
        setAlignment(Pos.CENTER_LEFT);
        Label number = new Label(Integer.toString(position + 1));
        number.getStyleClass().add("step-number");
        title.getStyleClass().add("step-title");
        detail.getStyleClass().add("step-detail");
        title.setWrapText(true);
        detail.setWrapText(true);
        result.getStyleClass().add("step-result");
        words.getStyleClass().add("step-words");
        words.setMinWidth(0);
        HBox.setHgrow(words, Priority.ALWAYS);
        picture.getStyleClass().add("step-picture");
        picture.setMinSize(PICTURE + 2, PICTURE + 2);
        picture.setMaxSize(PICTURE + 2, PICTURE + 2);
        getChildren().addAll(number, picture, words);
        setFocusTraversable(true);
        setAccessibleRole(AccessibleRole.LIST_ITEM);
    }

    int position() {
        return position;
    }

    void setSelected(boolean isSelected) {
        pseudoClassStateChanged(SELECTED, isSelected);
    }

    void showImage(Project project) {
        AskedWord.set(this, "image");
        title.setText(project.open().map(name -> "Image " + name).orElse("Image"));
        detail.setText(project.origin().file());
        show(project.chain().input());
        setResult("", false);
        setAccessibleText("Image: " + project.origin().file());
    }

    /** Shows the step itself; what came of it follows when it is calculated. */
    void showStep(Step step, boolean isOn) {
        if (step.equals(shown) && isOn == isShownOn) {
            return;
        }
        shown = step;
        isShownOn = isOn;
        AskedWord.set(this, step.type().title());
        title.setText(step.type().title() + (isOn ? "" : " · off"));
        detail.setText(Words.narrow(Words.arguments(step)));
        Tooltip.install(this, new Tooltip(step.line()));
        pseudoClassStateChanged(OFF, !isOn);
        setAccessibleText("Step " + (position + 1) + ": " + step.line() + (isOn ? "" : ", off"));
    }

    /** @param isOpen false while a user looks for a mistake alone: then neither picture nor counts give anything away */
    void showOutcome(StepState state, boolean isOpen) {
        if (state.after() instanceof Outcome.Done done) {
            if (isOpen) {
                show(done.result());
            } else {
                picture.getChildren().clear();
            }
            setResult(isOpen ? agreement(state.check()) : "", false);
        } else {
            picture.getChildren().clear();
            int failed = ((Outcome.Failed) state.after()).position();
            setResult(failed == position ? "▲ cannot be applied" : "waits for step " + (failed + 1),
                    failed == position);
        }
        setAccessibleText("Step " + (position + 1) + ": " + state.link().step().line()
                + (state.link().isOn() ? "" : ", off")
                + (result.getText().isEmpty() ? "" : ", " + result.getText()));
    }

    private static String agreement(Check check) {
        return check.filled() == 0 ? "" : check.agree() + " of " + check.filled() + " agree";
    }

    private void setResult(String text, boolean isProblem) {
        result.setText(text);
        result.pseudoClassStateChanged(PseudoClass.getPseudoClass("problem"), isProblem);
        if (text.isEmpty()) {
            words.getChildren().remove(result);
        } else if (!words.getChildren().contains(result)) {
            words.getChildren().add(result);
        }
    }

    private void show(Result image) {
        if (picture.getChildren().isEmpty()) {
            picture.getChildren().add(new Thumbnail(image, PICTURE));
        } else {
            ((Thumbnail) picture.getChildren().get(0)).show(image);
        }
    }
}

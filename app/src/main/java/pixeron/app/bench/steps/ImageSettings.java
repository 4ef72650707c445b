package pixeron.app.bench.steps;

import javafx.css.PseudoClass;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import pixeron.PixeronException;
import pixeron.app.bench.parts.Words;
import pixeron.app.model.Bench;
import pixeron.image.Image;
import pixeron.number.Decimals;
import pixeron.project.Project;

/** What is known of the image, and its maximum level, which a table of numbers does not say itself. */
final class ImageSettings extends VBox {

    private static final PseudoClass WRONG = PseudoClass.getPseudoClass("wrong");

    private final Bench bench;
    private final TextField maximum = new TextField();
    private final Label problem = new Label();
    private final Label about = new Label();
    private final GraySettings gray;
    private boolean isShowing;

    ImageSettings(Bench bench) {
        this.bench = bench;
        getStyleClass().add("parameter");
        Label name = new Label("Maximum level");
        name.getStyleClass().add("parameter-name");
        name.setLabelFor(maximum);
        maximum.getStyleClass().add("number-field");
        maximum.setAccessibleText("Maximum level M, 1 to 65535");
        maximum.setTooltip(new Tooltip("M: the largest level. An image of n bits has M = 2ⁿ − 1: 7, 15, 255. Enter takes it."));
        maximum.setOnAction(event -> take());
        maximum.focusedProperty().subscribe(isFocused -> {
            if (!isFocused) {
                take();
            }
        });
        HBox.setHgrow(maximum, Priority.ALWAYS);
        about.getStyleClass().add("found-sentence");
        about.setWrapText(true);
        problem.getStyleClass().add("parameter-problem");
        problem.setWrapText(true);
        gray = new GraySettings(bench);
        getChildren().addAll(new HBox(name, maximum), about);
    }

    void show(Project project) {
        Image image = project.chain().source();
        getChildren().remove(gray);
        project.gray().ifPresent(source -> {
            gray.show(source);
            getChildren().add(gray);
        });
        maximum.setDisable(project.gray().isPresent());
        isShowing = true;
        maximum.setText(Integer.toString(image.maximumLevel()));
        isShowing = false;
        setProblem("");
        about.setText(Words.size(image) + " · " + project.origin().format() + "\n"
                + String.join("\n", project.origin().notes())
                + (image.isExact() ? "" : "\nSome values do not fit as exact fractions and are kept as doubles."));
    }

    private void take() {
        if (isShowing || bench.project() == null) {
            return;
        }
        try {
            var number = Decimals.parse(maximum.getText().strip());
            if (!number.isInt()) {
                throw PixeronException.of("The maximum level must be a whole number from 1 to 65535.");
            }
            Image changed = bench.project().chain().source().withMaximum(number.toInt());
            if (changed.maximumLevel() != bench.project().chain().source().maximumLevel()) {
                bench.edit(project -> project.withChain(chain -> chain.onSource(changed)));
            }
            setProblem("");
        } catch (PixeronException notAllowed) {
            setProblem(notAllowed.getMessage());
        }
    }

    private void setProblem(String text) {
        problem.setText(text.isEmpty() ? "" : "▲ " + text);
        maximum.pseudoClassStateChanged(WRONG, !text.isEmpty());
        getChildren().remove(problem);
        if (!text.isEmpty()) {
            getChildren().add(1, problem);
        }
    }
}

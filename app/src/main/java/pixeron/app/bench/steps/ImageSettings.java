package pixeron.app.bench.steps;

import java.util.List;
import javafx.css.PseudoClass;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import pixeron.PixeronException;
import pixeron.app.bench.parts.MaximumChoices;
import pixeron.app.bench.parts.Words;
import pixeron.app.model.Bench;
import pixeron.image.ColorImage;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.image.Result;
import pixeron.image.UsualMaxima;
import pixeron.number.Decimals;
import pixeron.project.Project;

/** What is known of the image, and its maximum level, which a table of numbers does not say itself. */
final class ImageSettings extends VBox {

    private static final PseudoClass WRONG = PseudoClass.getPseudoClass("wrong");

    private final Bench bench;
    private final TextField maximum = new TextField();
    private final MaximumChoices maxima = new MaximumChoices(chosen -> {
        maximum.setText(Integer.toString(chosen));
        take();
    });
    private final Label problem = new Label();
    private final Label about = new Label();
    private boolean isShowing;

    ImageSettings(Bench bench) {
        this.bench = bench;
        getStyleClass().add("parameter");
        Label name = new Label("Maximum level");
        name.getStyleClass().add("parameter-name");
        name.setLabelFor(maximum);
        maximum.getStyleClass().add("number-field");
        maximum.setAccessibleText("Maximum level M, 1 to 65535");
        maximum.setTooltip(new Tooltip("M: the largest level. An image with n bits has M = 2ⁿ − 1: 7, 15, 255. Press Enter to apply it."));
        maximum.setOnAction(event -> take());
        // Only a change: a bench that is made when its image is open already has nothing to take yet.
        maximum.focusedProperty().subscribe((wasFocused, isFocused) -> {
            if (!isFocused) {
                take();
            }
        });
        HBox.setHgrow(maximum, Priority.ALWAYS);
        about.getStyleClass().add("found-sentence");
        about.setWrapText(true);
        problem.getStyleClass().add("parameter-problem");
        problem.setWrapText(true);
        getChildren().addAll(new HBox(name, maximum), maxima, about);
    }

    void show(Project project) {
        Result input = project.chain().input();
        maximum.setDisable(input instanceof ColorImage);
        isShowing = true;
        maximum.setText(Integer.toString(input.frame().maximumLevel()));
        isShowing = false;
        // A table does not say its maximum level; other images do.
        maxima.show(project.origin().isTable() && input instanceof Image image ? UsualMaxima.holding(image) : List.of(), input.frame().maximumLevel());
        setProblem("");
        boolean isExact = input.faces().stream().allMatch(face -> face.image().isExact());
        about.setText(Words.size(input) + " · " + project.origin().format() + "\n"
                + String.join("\n", project.origin().notes())
                + (input instanceof ColorImage color ? transparent(color) : "")
                + (isExact ? "" : "\nSome values are too long for exact fractions and are stored as doubles."));
    }

    private String transparent(ColorImage color) {
        return color.transparentArea().map(area -> "\n" + color.transparentPixels() + " pixels are not opaque, between "
                + Words.place(new Pixel(area.row(), area.column()), bench.looking().display()) + " and "
                + Words.place(area.lastPixel(), bench.looking().display()) + ".").orElse("");
    }

    private void take() {
        if (isShowing || bench.project() == null || bench.project().chain().input() instanceof ColorImage) {
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

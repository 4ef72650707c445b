package pixeron.app.bench.steps;

import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;
import javafx.css.PseudoClass;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.VBox;
import pixeron.PixeronException;
import pixeron.app.bench.parts.Titles;
import pixeron.app.bench.parts.Words;
import pixeron.app.model.Bench;
import pixeron.image.Area;
import pixeron.project.Project;
import pixeron.step.gray.GrayRule;
import pixeron.step.gray.GraySource;
import pixeron.step.gray.Transparency;

/** How gray is made of a colour picture: the rule, one's own weights, what becomes of transparent pixels. */
final class GraySettings extends VBox {

    private static final PseudoClass WRONG = PseudoClass.getPseudoClass("wrong");
    private static final String OWN_WEIGHTS = "own weights";
    private static final String WEIGHTS = "weights ";

    private final Bench bench;
    private final ComboBox<String> rule = new ComboBox<>();
    private final TextField weights = new TextField();
    private final Label formula = new Label();
    private final Label problem = new Label();
    private final ComboBox<Transparency> transparency = new ComboBox<>();
    private final Label transparent = new Label();
    private final CheckBox apart = new CheckBox("channels side by side");
    /** True while values are shown that the person did not choose; also while the pane is being made. */
    private boolean isShowing = true;

    GraySettings(Bench bench) {
        this.bench = bench;
        getStyleClass().add("gray-settings");
        List<String> words = new ArrayList<>(GrayRule.ready().stream().map(GrayRule::word).toList());
        words.add(OWN_WEIGHTS);
        rule.getItems().setAll(words);
        rule.setMaxWidth(Double.MAX_VALUE);
        rule.setAccessibleText("Gray rule");
        weights.getStyleClass().add("number-field");
        weights.setAccessibleText("Weights of red, green and blue");
        weights.setTooltip(new Tooltip("Three numbers: the weights of red, green and blue, such as 0.5 0.25 0.25"));
        transparency.getItems().setAll(Transparency.values());
        transparency.setConverter(new Titles<>(Transparency::word));
        transparency.setMaxWidth(Double.MAX_VALUE);
        transparency.setAccessibleText("Transparent pixels");
        Button keep = new Button("Keep the gray, forget the colour");
        keep.getStyleClass().add("quiet");
        keep.setTooltip(new Tooltip("The gray image becomes the image itself, which can be drawn on"));
        keep.setOnAction(event -> bench.edit(null, Project::withoutColour));
        for (Label label : List.of(formula, transparent)) {
            label.getStyleClass().add("found-sentence");
            label.setWrapText(true);
        }
        problem.getStyleClass().add("parameter-problem");
        problem.setWrapText(true);
        getChildren().addAll(named("Gray rule"), rule, weights, formula, problem, named("Transparent pixels"),
                transparency,
                transparent, apart, keep);
        listen();
    }

    private static Label named(String text) {
        Label label = new Label(text);
        label.getStyleClass().add("parameter-name");
        return label;
    }

    private void listen() {
        rule.valueProperty().subscribe(word -> {
            if (!isShowing && word != null) {
                change(word.equals(OWN_WEIGHTS) ? WEIGHTS + "1/3 1/3 1/3" : word);
            }
        });
        weights.textProperty().subscribe(text -> {
            if (!isShowing) {
                change(WEIGHTS + text);
            }
        });
        transparency.valueProperty().subscribe(way -> {
            if (!isShowing && way != null) {
                edit(gray -> gray.with(way));
            }
        });
        apart.selectedProperty().bindBidirectional(bench.looking().channelsApartProperty());
    }

    private void change(String text) {
        try {
            GrayRule chosen = GrayRule.parse(text);
            problem.setText("");
            weights.pseudoClassStateChanged(WRONG, false);
            edit(gray -> gray.with(chosen));
        } catch (PixeronException notUnderstood) {
            problem.setText("▲ " + notUnderstood.getMessage());
            weights.pseudoClassStateChanged(WRONG, true);
        }
    }

    private void edit(UnaryOperator<GraySource> change) {
        bench.editSlowly("gray", project -> project.withGray(change.apply(project.gray().orElseThrow())));
    }

    void show(GraySource gray) {
        isShowing = true;
        String word = gray.rule().word();
        boolean isOwn = word.startsWith(WEIGHTS);
        rule.setValue(isOwn ? OWN_WEIGHTS : word);
        if (isOwn && !weights.isFocused()) {
            weights.setText(word.substring(WEIGHTS.length()));
        }
        weights.setVisible(isOwn);
        weights.setManaged(isOwn);
        formula.setText(gray.rule().formula());
        transparency.setValue(gray.transparency());
        transparency.setDisable(gray.picture().alpha().isEmpty());
        transparent.setText(gray.picture().transparentArea().map(area -> where(gray, area))
                .orElse("All pixels are opaque."));
        isShowing = false;
    }

    private String where(GraySource gray, Area area) {
        return gray.picture().transparentPixels() + " pixels are not opaque, between "
                + Words.place(new pixeron.image.Pixel(area.row(), area.column()), bench.looking().display()) + " and "
                + Words.place(area.lastPixel(), bench.looking().display()) + "; they are taken "
                        + gray.transparency().sentence()
                + ".";
    }
}

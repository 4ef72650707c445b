package pixeron.app.bench.pixels;

import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.image.ImageView;
import javafx.scene.image.WritableImage;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import pixeron.app.bench.steps.StepAdded;
import pixeron.app.model.Bench;
import pixeron.app.sheet.paint.Grays;
import pixeron.image.Frame;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.image.Spectrum;
import pixeron.number.Decimals;
import pixeron.number.Value;
import pixeron.step.Wave;

/** The wave that the picked coefficient and its conjugate represent: a picture of it alone, its periods, its angle, where it begins. */
public final class WavePane extends VBox {

    private static final int SIDE = 112;

    private final Bench bench;
    private final ImageView picture = new ImageView();
    private final Label title = new Label();
    private final Label words = new Label();
    private final Button away = new Button();
    private Wave shown;

    public WavePane(Bench bench) {
        this.bench = bench;
        getStyleClass().add("wave-pane");
        title.getStyleClass().add("wave-title");
        title.setWrapText(true);
        words.getStyleClass().add("wave-words");
        words.setWrapText(true);
        HBox.setHgrow(words, Priority.ALWAYS);
        HBox body = new HBox(picture, words);
        body.getStyleClass().add("wave-body");
        away.setTooltip(new Tooltip("Add a step that sets this coefficient and its conjugate to 0"));
        away.setOnAction(event -> {
            bench.addStep(shown.away());
            fireEvent(new StepAdded());
        });
        away.setMinWidth(USE_PREF_SIZE);
        getChildren().addAll(title, body, away);
        bench.shownProperty().subscribe(now -> render());
        bench.pickedProperty().subscribe(pixel -> render());
        bench.walking().walkProperty().subscribe(walk -> render());
        bench.looking().hintsProperty().subscribe(taken -> render());
    }

    private void render() {
        Pixel picked = bench.pickedProperty().get();
        shown = Optional.ofNullable(bench.shown()).flatMap(now -> now.wave(picked)).orElse(null);
        if (shown != null) {
            show(!bench.isCovered(picked) && bench.walking().isSeen(picked));
        }
    }

    /** @param isTold whether it is told where the wave begins, which the coefficient says */
    private void show(boolean isTold) {
        Image image = shown.picture();
        picture.setImage(drawn(image));
        picture.setVisible(isTold);
        boolean isMean = shown.frequency().u() == 0 && shown.frequency().v() == 0;
        title.setText(isMean ? "The mean, not a wave" : shown.frequency() + (shown.isAlone() ? ", its own conjugate" : " and its conjugate " + Spectrum.frequency(shown.frame(), shown.mate())));
        Frame part = shown.part();
        words.setText(isMean ? "F(0, 0) is the sum of all values." : "period " + periods(shown) + "\nangle " + degrees(shown.angle()) + (isTold ? "\nphase " + degrees(shown.phase()) : "")
                + (part.isSized(shown.frame()) ? "" : "\nshown: " + part.size() + " of " + shown.frame().size()));
        boolean isGone = isTold && shown.magnitude().signum() == 0;
        away.setVisible(!isGone);
        if (isGone) {
            words.setText(words.getText() + "\nmagnitude 0: this wave is absent");
        }
        away.setText(isMean ? "Remove the mean" : shown.isAlone() ? "Remove this wave" : "Remove this wave");
        picture.setAccessibleText(title.getText() + ", " + words.getText());
    }

    private static String periods(Wave wave) {
        return Stream.of(wave.periodRows().map(length -> Decimals.approximate(length) + " rows"), wave.periodColumns().map(length -> Decimals.approximate(length) + " columns"))
                .flatMap(Optional::stream).collect(Collectors.joining(", "));
    }

    private static String degrees(Value value) {
        return Decimals.cell(value) + "°";
    }

    /** Small images have large pixels, as on the sheets. */
    private static WritableImage drawn(Image image) {
        double cell = (double) SIDE / Math.max(image.rows(), image.columns());
        int width = Math.max(1, (int) Math.round(cell * image.columns()));
        int height = Math.max(1, (int) Math.round(cell * image.rows()));
        WritableImage drawn = new WritableImage(width, height);
        for (int n = 0; n < width * height; n++) {
            int offset = (int) (n / width / cell) * image.columns() + (int) (n % width / cell);
            drawn.getPixelWriter().setArgb(n % width, n / width, Grays.point(Grays.of(image, Math.min(offset, image.count() - 1))));
        }
        return drawn;
    }
}

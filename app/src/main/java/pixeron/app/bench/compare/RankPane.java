package pixeron.app.bench.compare;

import java.util.List;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import javafx.geometry.Insets;
import javafx.geometry.VPos;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.VBox;
import javafx.scene.text.TextAlignment;
import pixeron.app.bench.parts.Plot;
import pixeron.app.model.Background;
import pixeron.app.theme.Palette;
import pixeron.app.theme.Theme;
import pixeron.image.Image;
import pixeron.step.lowrank.RankError;

/** What each of the user's ranks costs and gives, and the mean squared error over all ranks as a curve. */
final class RankPane extends VBox {

    private static final String HEADING = "   k       MSE  numbers       %\n";

    private final Background background = new Background();
    private final Curve curve;
    private final Label lines = new Label();

    /** @param asked where the ranks are typed */
    RankPane(Theme theme, TextField asked) {
        curve = new Curve(theme);
        lines.getStyleClass().add("rank-lines");
        lines.setMinSize(USE_PREF_SIZE, USE_PREF_SIZE);
        setMinWidth(USE_PREF_SIZE);
        getStyleClass().add("rank-pane");
        getChildren().addAll(asked, curve, lines);
        hide();
    }

    void hide() {
        background.cancel();
        setVisible(false);
        setManaged(false);
    }

    /**
     * Shows the errors of an image.
     *
     * @param ranks those that are asked about
     * @param trouble gets what went wrong, in a sentence
     */
    void show(Image image, List<Integer> ranks, Consumer<String> trouble) {
        background.start(progress -> RankError.of(image, progress), errors -> {
            curve.show(errors, ranks);
            lines.setText(HEADING + errors.stream().filter(error -> ranks.contains(error.k())).map(RankPane::line).collect(Collectors.joining("\n")));
            setVisible(true);
            setManaged(true);
        }, problem -> trouble.accept(String.valueOf(problem.getMessage())));
    }

    private static String line(RankError error) {
        return String.format("%4d%10.2f%9d%8.1f", error.k(), error.mse(), error.numbers(), error.percent());
    }

    /** The error falls from rank to rank; those that are asked about have a dot. */
    private static final class Curve extends Plot {

        private static final double HEIGHT = 120;
        private static final double AXIS = 16;
        private static final double DOT = 6;

        private List<RankError> errors = List.of();
        private List<Integer> ranks = List.of();

        Curve(Theme theme) {
            super(theme, "rank-curve", new Insets(4, 10, 2, 10));
            setMinHeight(HEIGHT);
            setPrefHeight(HEIGHT);
        }

        void show(List<RankError> newErrors, List<Integer> newRanks) {
            errors = newErrors;
            ranks = newRanks;
            setAccessibleText("Mean squared error over rank: from " + String.format("%.2f", errors.get(0).mse()) + " at rank 1 to 0 at rank " + errors.size());
            paint();
        }

        @Override
        protected void paint(GraphicsContext graphics, Palette palette) {
            if (errors == null || errors.isEmpty()) {
                return;
            }
            double ground = tall() - AXIS;
            double largest = Math.max(Double.MIN_NORMAL, errors.get(0).mse());
            double slot = across() / Math.max(1, errors.size() - 1);
            double[] x = new double[errors.size()];
            double[] y = new double[x.length];
            for (int n = 0; n < x.length; n++) {
                x[n] = n * slot;
                y[n] = ground - (ground - 4) * errors.get(n).mse() / largest;
            }
            graphics.setStroke(palette.line());
            graphics.strokeLine(0, ground + 0.5, across(), ground + 0.5);
            graphics.setStroke(palette.after());
            graphics.setLineWidth(2);
            graphics.strokePolyline(x, y, x.length);
            graphics.setLineWidth(1);
            graphics.setFill(palette.after());
            ranks.stream().filter(k -> k <= x.length).forEach(k -> graphics.fillOval(x[k - 1] - DOT / 2, y[k - 1] - DOT / 2, DOT, DOT));
            graphics.setFont(numbers());
            graphics.setFill(palette.soft());
            graphics.setTextBaseline(VPos.TOP);
            write(graphics, "1", TextAlignment.LEFT, 0, ground + 3);
            write(graphics, Integer.toString(x.length), TextAlignment.RIGHT, across(), ground + 3);
            write(graphics, "rank k", TextAlignment.CENTER, across() / 2, ground + 3);
            write(graphics, "MSE", TextAlignment.RIGHT, across(), 2);
        }
    }
}

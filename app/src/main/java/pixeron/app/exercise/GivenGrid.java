package pixeron.app.exercise;

import javafx.scene.AccessibleRole;
import javafx.scene.control.Label;
import javafx.scene.layout.GridPane;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.number.Decimals;

/** An image as numbers on their grays, with the numbers of rows and columns around them: small enough to be read at once. */
final class GivenGrid extends GridPane {

    private static final double DARK = 0.55;

    GivenGrid(Image image) {
        getStyleClass().add("squared");
        int maximum = image.maximumLevel();
        for (int j = 0; j < image.columns(); j++) {
            add(edge(j), j + 1, 0);
        }
        for (int i = 0; i < image.rows(); i++) {
            add(edge(i), 0, i + 1);
            for (int j = 0; j < image.columns(); j++) {
                Pixel pixel = new Pixel(i, j);
                double share = Math.max(0, Math.min(1, image.value(pixel).asDouble() / maximum));
                Label cell = new Label(Decimals.cell(image.value(pixel)));
                long gray = Math.round(255 * share);
                cell.getStyleClass().add("given-cell");
                cell.setStyle("-fx-background-color: rgb(" + gray + "," + gray + "," + gray + "); -fx-text-fill: " + (share < DARK ? "white" : "black") + ";");
                add(cell, j + 1, i + 1);
            }
        }
        setAccessibleRole(AccessibleRole.TEXT);
        setAccessibleText("Image of " + image.rows() + " rows and " + image.columns() + " columns, levels 0 to " + maximum);
    }

    /** Returns the number of a row or a column. */
    static Label edge(int number) {
        Label label = new Label(String.valueOf(number));
        label.getStyleClass().add("edge");
        return label;
    }
}

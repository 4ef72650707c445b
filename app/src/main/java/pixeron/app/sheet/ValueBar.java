package pixeron.app.sheet;

import javafx.scene.control.Label;
import javafx.scene.image.ImageView;
import javafx.scene.image.WritableImage;
import javafx.scene.layout.HBox;
import pixeron.app.model.Display;
import pixeron.app.model.Scale;
import pixeron.number.Approximate;
import pixeron.number.Decimals;

/** Which color represents which value: a strip of the scale between its two ends. */
public final class ValueBar extends HBox {

    private static final int WIDTH = 64;
    private static final int HEIGHT = 10;

    private final Label low = new Label();
    private final Label high = new Label();
    private final ImageView strip = new ImageView();
    private Scale drawn;

    ValueBar() {
        getStyleClass().add("value-bar");
        low.getStyleClass().add("fact");
        high.getStyleClass().add("fact");
        low.setMinWidth(USE_PREF_SIZE);
        high.setMinWidth(USE_PREF_SIZE);
        getChildren().addAll(low, strip, high);
        hide();
    }

    /** Takes the bar away. */
    public void hide() {
        setVisible(false);
        setManaged(false);
    }

    /**
     * Shows a color scale.
     *
     * @param scale from value to color
     * @param ends the values of its first and last color
     */
    public void show(Scale scale, Display.Ends ends) {
        if (scale != drawn) {
            drawn = scale;
            WritableImage picture = new WritableImage(WIDTH, HEIGHT);
            for (int x = 0; x < WIDTH; x++) {
                int color = scale.color(x * (Scale.STEPS - 1) / (WIDTH - 1));
                for (int y = 0; y < HEIGHT; y++) {
                    picture.getPixelWriter().setArgb(x, y, color);
                }
            }
            strip.setImage(picture);
        }
        low.setText(Decimals.approximate(Approximate.from(ends.low())));
        high.setText(Decimals.approximate(Approximate.from(ends.high())));
        setAccessibleText("Colors from " + low.getText() + " to " + high.getText());
        setVisible(true);
        setManaged(true);
    }
}

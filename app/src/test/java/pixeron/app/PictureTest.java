package pixeron.app;

import java.io.File;
import java.io.IOException;
import java.util.Set;
import javafx.embed.swing.SwingFXUtils;
import javafx.scene.control.Labeled;
import javafx.scene.image.WritableImage;
import javax.imageio.ImageIO;

/** Takes pictures of the window into the folder of the property pixeron.pictures. */
abstract class PictureTest extends WindowTest {

    /** Pictures that are looked at while a view is changed, but not kept: they need -Dpixeron.pictures.all=yes. */
    private static final Set<String> NOT_KEPT = Set.of("channel", "chain", "counting", "variance", "rows", "guess", "in-place", "sure", "hints", "table", "channels", "two-pulls-b", "banded", "rank", "turned", "new-image", "inspecting", "ranks", "forwards", "strip-flip",
            "color-slips", "color-pixel", "color-table", "color-compare", "color-dark", "color-loops", "color-image", "color-gray", "color-to-gray", "two-images-large", "mean", "numbers", "start", "display", "gradient", "gone", "median", "compare-crop", "message", "laid", "laid-real", "pass-curve", "peaks", "inverse", "moving", "pass", "without-first", "laid-dark", "laid-large", "wrong-value", "first-minute", "class-dark-large", "exercise-dark-large", "practice-dark-large", "run", "notch", "resized", "crop", "singular");

    void take(String name) throws IOException {
        if (NOT_KEPT.contains(name) && System.getProperty("pixeron.pictures.all") == null) {
            return;
        }
        settleIfOpen();
        sleep(250);
        WritableImage[] picture = new WritableImage[1];
        interact(() -> picture[0] = window.getScene().snapshot(null));
        File file = new File(System.getProperty("pixeron.pictures"), name + ".png");
        ImageIO.write(SwingFXUtils.fromFXImage(picture[0], null), "png", file);
    }

    private void settleIfOpen() {
        if (bench().isOpen()) {
            settle();
        }
    }

    void demo(String title) {
        clickOn((Labeled) lookup((Labeled label) -> label.getText() != null && label.getText().equals(title)).query());
        until(() -> bench().shown() != null);
    }
}

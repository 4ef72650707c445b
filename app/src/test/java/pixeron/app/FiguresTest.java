package pixeron.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.awt.image.BufferedImage;
import java.io.File;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import javafx.embed.swing.SwingFXUtils;
import javafx.scene.Scene;
import javafx.scene.image.WritableImage;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javax.imageio.ImageIO;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import pixeron.app.help.figure.FigureView;
import pixeron.app.theme.Theme;
import pixeron.help.figure.FigureMark;
import pixeron.help.figure.Figures;

/**
 * The figures of the pages are drawn by the window's painters. Those beside the pages must be what is drawn now;
 * {@code -Dpixeron.figures=write} draws them anew.
 */
class FiguresTest extends WindowTest {

    private static final Path PAGES = Path.of("../docs/definitions");
    private static final int WIDTH = 700;
    private static final int HEIGHT = 700;
    /** Another machine may draw the edges of letters a little differently. */
    private static final double MOST_DIFFERENCE = 3;

    @ParameterizedTest
    @MethodSource("pixeron.help.figure.Figures#names")
    void figuresBesideThePagesAreAsTheyAreDrawn(String name) throws IOException {
        for (boolean isDark : new boolean[] {false, true}) {
            BufferedImage drawn = drawn(name, isDark);
            File file = PAGES.resolve("figures/" + name + (isDark ? "-dark" : "") + ".png").toFile();
            if ("write".equals(System.getProperty("pixeron.figures"))) {
                Files.createDirectories(file.toPath().getParent());
                ImageIO.write(drawn, "png", file);
            }
            BufferedImage kept = ImageIO.read(file);
            assertThat(kept.getWidth()).as(name).isCloseTo(drawn.getWidth(), within(2));
            assertThat(kept.getHeight()).as(name).isCloseTo(drawn.getHeight(), within(2));
            assertThat(difference(kept, drawn)).as(name).isLessThan(MOST_DIFFERENCE);
        }
    }

    private BufferedImage drawn(String name, boolean isDark) throws IOException {
        FigureMark mark = FigureMark.find(Files.readString(PAGES.resolve(name + ".md"))).orElseThrow();
        StackPane[] root = new StackPane[1];
        interact(() -> {
            StackPane pane = new StackPane();
            Theme theme = new Theme(pane);
            theme.setDark(isDark);
            FigureView view = new FigureView(Figures.find(name).orElseThrow(), mark.words(), theme);
            pane.setStyle("-fx-background-color: -panel; -fx-padding: 12;");
            pane.getChildren().add(view);
            pane.setMaxSize(Region.USE_PREF_SIZE, Region.USE_PREF_SIZE);
            root[0] = new StackPane(pane);
            stage.setScene(new Scene(root[0], WIDTH, HEIGHT));
        });
        awaitFrames();
        WritableImage[] picture = new WritableImage[1];
        interact(() -> picture[0] = root[0].getChildren().get(0).snapshot(null, null));
        return SwingFXUtils.fromFXImage(picture[0], null);
    }

    private static double difference(BufferedImage one, BufferedImage other) {
        int width = Math.min(one.getWidth(), other.getWidth());
        int height = Math.min(one.getHeight(), other.getHeight());
        long sum = 0;
        for (int y = 0; y < height; y++) {
            for (int x = 0; x < width; x++) {
                for (int shift = 0; shift < 24; shift += 8) {
                    sum += Math.abs((one.getRGB(x, y) >> shift & 0xFF) - (other.getRGB(x, y) >> shift & 0xFF));
                }
            }
        }
        return sum / (3.0 * width * height);
    }
}
